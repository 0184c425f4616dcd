import type { Misalignment, Plane } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { keyOfPair } from '~~/core/plan/pairNames'
import type { MovePlan } from '~~/core/plan/movePlan'
import { adviseMove, chanceAfter, lineDoubt } from '~~/core/stages/plan/odds'
import {
  drivenMoves,
  planChanges,
  planInputFor,
  worthwhilePlan,
  type WhichMoves,
} from '~~/core/stages/plan/planning'
import {
  choiceOf,
  doNothing,
  firstChoice,
  movesHorizontally,
  movesVertically,
  nearestMove,
  movedBy,
  packedMoves,
  plannedAxes,
  predictedLine,
  shimLifts,
  steppedMove,
  withMove,
  type PlanChoice,
} from '~~/shared/stages/plan/choice'

/** The plans on offer, the one in hand (chosen or dragged), and where it leads. */
export const usePlanChoice = () => {
  const job = useJob()
  const { draft: asked } = useDraft('plan-which', () => ({ which: '' as WhichMoves | '' }))
  /** The driven machine has feet that are not locked. */
  const mayMoveDriven = computed(() => job.footed !== null && drivenMoves(job.footed.machine))
  /** Which machine is moved: as asked, as the plan taken has it, or the movable one. */
  const which = computed((): WhichMoves => {
    if (!mayMoveDriven.value) return 'movable'
    const taken = job.footed?.plan
    return asked.value.which || (taken && !taken.stale ? movedBy(taken.footwork) : 'movable')
  })
  const input = computed(() => (job.footed ? planInputFor(job.footed, which.value) : null))
  const search = usePlanSearch(() => input.value)
  const { result } = search
  const suggested = computed(() => worthwhilePlan(result.value?.plans ?? []))
  const lifts = computed(() => (input.value ? shimLifts(input.value) : new Map()))
  const askWhich = (other: WhichMoves) => {
    if (other === which.value) return
    asked.value.which = other
    tried.value = null
  }

  /** What was tried by hand; null shows what the board opens with. */
  const tried = shallowRef<PlanChoice | null>(null)
  const choice = computed((): PlanChoice | null => {
    if (!input.value) return null
    const taken = job.footed?.plan ?? null
    // Until the plans are there, nothing is offered that might be logged in their place.
    if (search.state.value === 'working' && !tried.value && !taken) return null
    const inBand = job.footed?.latest.judgement?.verdict === 'in'
    return tried.value ?? firstChoice(input.value, { taken, inBand, worthwhile: suggested.value })
  })
  const predicted = computed(() =>
    input.value && choice.value ? predictedLine(input.value, choice.value) : null,
  )
  const judgement = computed(() =>
    predicted.value && job.footed ? judge(predicted.value, job.footed.tolerance, job.footed.target) : null,
  )
  /** A plan that is pointed at is drawn in place of the one in hand. */
  const pointed = shallowRef<MovePlan | null>(null)
  const point = (plan: MovePlan | null) => {
    pointed.value = plan
  }
  // A plan for other readings is not pointed at any more.
  watch(result, () => (pointed.value = null))
  const drawn = computed(() => (pointed.value ? choiceOf(pointed.value) : choice.value))
  /** Where both axes lie after the plan in hand; and after what is drawn. */
  const ownAxes = computed(() =>
    input.value && choice.value ? plannedAxes(input.value, choice.value) : null,
  )
  const axes = computed(() => (input.value && drawn.value ? plannedAxes(input.value, drawn.value) : null))

  const doubt = computed(() => {
    const state = job.footed
    return state?.setUp && input.value ? lineDoubt(state.latest, state.setUp) : null
  })
  /** Chance that this line ends in band when these feet are moved to it. */
  const chanceOf = (line: Misalignment, feet: PlanChoice['feet']): number | null =>
    input.value && doubt.value
      ? chanceAfter(line, feet, doubt.value.covariance, input.value.tolerance, input.value.target)
      : null
  const chances = computed(
    () => new Map((result.value?.plans ?? []).map((p) => [p.kind, chanceOf(p.predicted, p.moves)])),
  )
  const chance = computed(() =>
    predicted.value && choice.value ? chanceOf(predicted.value, choice.value.feet) : null,
  )
  const advice = computed(() =>
    input.value && doubt.value && result.value
      ? adviseMove(input.value, job.footed?.latest.judgement ?? null, result.value.plans, doubt.value)
      : null,
  )

  const drawnPacks = computed(() => (drawn.value ? packedMoves(drawn.value, lifts.value) : null))
  const packed = computed(() => (choice.value ? packedMoves(choice.value, lifts.value) : null))

  const nearest = (foot: string, plane: Plane, wanted: number): number =>
    input.value ? nearestMove(input.value, lifts.value, foot, plane, wanted) : wanted
  const step = (foot: string, plane: Plane, by: 1 | -1): number => {
    const now = choice.value?.feet.find((f) => keyOfPair(f) === foot)?.[plane] ?? 0
    return input.value ? steppedMove(input.value, lifts.value, now, foot, plane, by) : now
  }
  const move = (foot: string, plane: Plane, value: number) => {
    if (choice.value) tried.value = withMove(choice.value, foot, plane, value)
  }
  const take = (plan: MovePlan | null) => {
    if (input.value) tried.value = plan ? choiceOf(plan) : doNothing(input.value)
  }
  const changes = (units: 'inch' | 'metric') =>
    packed.value ? planChanges({ moves: packed.value }, units) : null

  return {
    input,
    result,
    search,
    suggested,
    choice,
    predicted,
    point,
    drawn,
    axes,
    ownAxes,
    mayMoveDriven,
    which,
    askWhich,
    drawnPacks,
    doubt,
    chances,
    chance,
    advice,
    judgement,
    packedMoves: computed(() => packed.value ?? []),
    nearest,
    step,
    move,
    take,
    changes,
    hasShims: computed(() => choice.value !== null && movesVertically(choice.value)),
    hasSide: computed(() => choice.value !== null && movesHorizontally(choice.value)),
  }
}
