import type { Plane } from '~~/core/frame/planes'
import { lineSum } from '~~/core/frame/planes'
import { lineOfMoves } from '~~/core/coupling/feet'
import { judge } from '~~/core/judge/judge'
import { planMoves, reachableLifts, type Lift, type MovePlan, type PlannedMove } from '~~/core/plan/movePlan'
import { planChanges, planInputFor, worthwhilePlan } from '~~/core/stages/plan/planning'

export interface PlannedFoot {
  readonly id: string
  readonly x: number
  readonly v: number
  readonly h: number
}

export type PlanOption = MovePlan['kind'] | 'own' | 'nothing'
type Choice = { readonly option: PlanOption; readonly feet: readonly PlannedFoot[] }

/** The plans on offer, the one in hand (chosen or dragged), and where it leads. */
export const usePlanChoice = () => {
  const job = useJob()
  const input = computed(() => (job.coupled ? planInputFor(job.coupled) : null))
  const result = computed(() => (input.value ? planMoves(input.value) : null))
  const suggested = computed(() => worthwhilePlan(result.value?.plans ?? []))
  const lifts = computed(
    () =>
      new Map<string, readonly Lift[]>(
        (input.value?.feet ?? []).map((f) => [
          f.id,
          [...reachableLifts(f, input.value!.stock, input.value!.packLimit)].sort((a, b) => a.v - b.v),
        ]),
      ),
  )
  const inBand = computed(() => job.coupled?.latest.judgement?.verdict === 'in')
  const nothing = computed((): Choice => ({
    option: 'nothing',
    feet: (input.value?.feet ?? []).map(({ id, x }) => ({ id, x, v: 0, h: 0 })),
  }))
  const ofPlan = (plan: MovePlan): Choice => ({
    option: plan.kind,
    feet: plan.moves.map(({ id, x, v, h }) => ({ id, x, v, h })),
  })
  /** What was tried by hand; null shows the plan already taken, else nothing when in band, else the one worth doing. */
  const tried = shallowRef<Choice | null>(null)
  const choice = computed((): Choice | null => {
    if (!input.value) return null
    if (tried.value) return tried.value
    const taken = job.coupled?.plan
    if (taken && !taken.stale)
      return {
        option: taken.entry.payload.option,
        feet: taken.footwork.moves.filter((m) => m.machine === 'movable'),
      }
    if (inBand.value) return nothing.value
    return suggested.value ? ofPlan(suggested.value) : nothing.value
  })

  const predicted = computed(() =>
    input.value && choice.value ? lineSum(input.value.coupling, lineOfMoves(choice.value.feet)) : null,
  )
  const judgement = computed(() =>
    predicted.value && job.coupled ? judge(predicted.value, job.coupled.tolerance, job.coupled.target) : null,
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
  const take = (plan: MovePlan | null) => (tried.value = plan ? ofPlan(plan) : nothing.value)

  /** Shims by foot for the choice in hand. */
  const packedMoves = computed((): readonly PlannedMove[] =>
    (choice.value?.feet ?? []).flatMap((f) => {
      const lift = (lifts.value.get(f.id) ?? []).find((l) => Math.abs(l.v - f.v) < 1e-9)
      return lift ? [{ ...f, machine: 'movable', packs: lift.packs }] : []
    }),
  )
  const changes = (units: 'inch' | 'metric') =>
    packedMoves.value.length === choice.value?.feet.length
      ? planChanges({ moves: packedMoves.value }, units)
      : null
  const hasShims = computed(() => (choice.value?.feet ?? []).some((f) => Math.abs(f.v) > 1e-9))
  const hasSide = computed(() => (choice.value?.feet ?? []).some((f) => Math.abs(f.h) > 1e-9))

  return {
    input,
    result,
    suggested,
    choice,
    predicted,
    judgement,
    packedMoves,
    nearest,
    step,
    move,
    take,
    changes,
    hasShims,
    hasSide,
  }
}
