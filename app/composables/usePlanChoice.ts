import { lineOfMoves } from '~~/core/coupling/feet'
import { lineSum, type Plane } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { planChanges, planInputFor } from '~~/core/logbook/planning'
import { planMoves, reachableLifts, type Lift, type MovePlan, type PlannedMove } from '~~/core/plan/movePlan'

export interface PlannedFoot {
  readonly id: string
  readonly x: number
  readonly v: number
  readonly h: number
}

type Choice = { readonly option: MovePlan['kind'] | 'own'; readonly feet: readonly PlannedFoot[] }

/** The plans on offer, the one in hand (chosen or dragged), and where it leads. */
export const usePlanChoice = () => {
  const job = useJob()
  const input = computed(() => (job.machine && job.state ? planInputFor(job.machine, job.state) : null))
  const result = computed(() => (input.value ? planMoves(input.value) : null))
  const lifts = computed(
    () =>
      new Map<string, readonly Lift[]>(
        (input.value?.feet ?? []).map((f) => [
          f.id,
          [...reachableLifts(f, input.value!.stock, input.value!.packLimit)].sort((a, b) => a.v - b.v),
        ]),
      ),
  )
  const ofPlan = (plan: MovePlan): Choice => ({
    option: plan.kind,
    feet: plan.moves.map(({ id, x, v, h }) => ({ id, x, v, h })),
  })
  /** What was tried by hand; null shows the plan already taken, or the closest. */
  const tried = shallowRef<Choice | null>(null)
  const choice = computed((): Choice | null => {
    if (tried.value) return tried.value
    const taken = job.state?.plan
    if (taken) return { option: taken.entry.payload.option, feet: taken.footwork.moves }
    const first = result.value?.plans[0]
    return first ? ofPlan(first) : null
  })

  const predicted = computed(() =>
    input.value && choice.value ? lineSum(input.value.coupling, lineOfMoves(choice.value.feet)) : null,
  )
  const judgement = computed(() =>
    predicted.value && job.state ? judge(predicted.value, job.state.tolerance, job.state.target) : null,
  )

  const nearest = (foot: string, plane: Plane, wanted: number): number => {
    const limits = input.value?.feet.find((f) => f.id === foot)
    if (!limits || !input.value) return wanted
    if (plane === 'h') {
      const step = input.value.sideStep || 0.01
      const room = Math.min(
        limits.locked ? 0 : limits.sidePlus,
        Math.max(limits.locked ? 0 : -limits.sideMinus, wanted),
      )
      return Math.round(room / step) * step || 0
    }
    return (lifts.value.get(foot) ?? []).reduce(
      (best, l) => (Math.abs(l.v - wanted) < Math.abs(best - wanted) ? l.v : best),
      0,
    )
  }
  const step = (foot: string, plane: Plane, by: 1 | -1): number => {
    const now = choice.value?.feet.find((f) => f.id === foot)?.[plane] ?? 0
    if (plane === 'h') return nearest(foot, plane, now + by * (input.value?.sideStep ?? 0.01))
    const list = lifts.value.get(foot) ?? []
    const beyond = list.filter((l) => (by === 1 ? l.v > now + 1e-9 : l.v < now - 1e-9))
    return (by === 1 ? beyond[0] : beyond.at(-1))?.v ?? now
  }
  const move = (foot: string, plane: Plane, value: number) => {
    if (!choice.value) return
    tried.value = {
      option: 'own',
      feet: choice.value.feet.map((f) => (f.id === foot ? { ...f, [plane]: value } : f)),
    }
  }
  const take = (plan: MovePlan) => (tried.value = ofPlan(plan))

  /** Shims by foot for the choice in hand. */
  const packedMoves = computed((): readonly PlannedMove[] =>
    (choice.value?.feet ?? []).flatMap((f) => {
      const lift = (lifts.value.get(f.id) ?? []).find((l) => Math.abs(l.v - f.v) < 1e-9)
      return lift ? [{ ...f, machine: 'movable', packs: lift.packs }] : []
    }),
  )
  const changes = (units: 'inch' | 'metric') =>
    packedMoves.value.length === 2 ? planChanges({ moves: packedMoves.value }, units) : null

  return { input, result, choice, predicted, judgement, packedMoves, nearest, step, move, take, changes }
}
