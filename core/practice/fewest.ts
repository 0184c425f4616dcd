import type { Misalignment } from '../frame/planes'
import { judge, type Verdict } from '../judge/judge'
import { planPrepared, prepareFeet, type PlanInput, type PlannedMove } from '../plan/movePlan'
import { MACHINE_ROLES, type MachineRole, type Side } from '../plan/pairNames'
import type { PlanFoot } from '../plan/planFoot'
import { shelfOf } from '../register/shelf'
import { toCore } from '../units/unitSystem'
import type { Bench } from './bench'
import { lineOnBench, roomAt, type BenchState } from './benchState'

/** One move: a machine shimmed, or a machine pushed. */
export interface OneMove {
  readonly machine: MachineRole
  readonly plane: 'v' | 'h'
}

/** The fewest moves that end as well as this machine can be left, and what they are. */
export interface Fewest {
  readonly moves: readonly OneMove[]
  readonly verdict: Verdict
  readonly plan: readonly PlannedMove[]
  readonly predicted: Misalignment
}

const EVERY: readonly OneMove[] = MACHINE_ROLES.flatMap((machine) =>
  (['v', 'h'] as const).map((plane) => ({ machine, plane })),
)

/** Every choice out of `list`, the smallest first, in the order of the list. */
const choicesOf = <T>(list: readonly T[]): readonly (readonly T[])[] =>
  Array.from({ length: 2 ** list.length }, (_, mask) => list.filter((_, i) => mask & (1 << i))).sort(
    (a, b) => a.length - b.length,
  )

/** A pair that may do only what is among the moves. */
const only = (foot: PlanFoot, moves: readonly OneMove[]): PlanFoot => {
  const role = foot.machine ?? 'movable'
  const may = (plane: 'v' | 'h') => moves.some((m) => m.machine === role && m.plane === plane)
  return {
    ...foot,
    // What must not be shimmed shows the planner nothing that could come out, and no room for anything to go in.
    ...(may('v') ? {} : { existing: { left: [], right: [] }, maxPack: 0 }),
    ...(may('h') ? {} : { sidePlus: 0, sideMinus: 0 }),
  }
}

const BETTER: Readonly<Record<Verdict, number>> = { in: 2, edge: 1, out: 0 }

/**
 * The fewest moves that bring a line as far into its band as its shelf and its holes allow, by the planner that plans
 * for jobs: every choice of what may move is tried, the smallest first. No moves where it lies in band already, or
 * where none makes it better. Core units.
 */
export const fewestMoves = (input: PlanInput): Fewest => {
  const there = judge(input.coupling, input.tolerance, input.target).verdict
  let best: Fewest = {
    moves: [],
    verdict: there === 'unknown' ? 'out' : there,
    plan: [],
    predicted: input.coupling,
  }
  const able = EVERY.filter(({ machine }) =>
    input.feet.some((f) => (f.machine ?? 'movable') === machine && !f.locked),
  )
  for (const moves of choicesOf(able)) {
    if (best.verdict === 'in') break
    const feet = input.feet.map((f) => only(f, moves))
    const { plans } = planPrepared(input, prepareFeet(feet, input.stock, input.packLimit), undefined, [
      'closest',
    ])
    const [closest] = plans
    const verdict = closest?.judgement.verdict
    if (!closest || !verdict || verdict === 'unknown' || BETTER[verdict] <= BETTER[best.verdict]) continue
    best = { moves, verdict, plan: closest.moves, predicted: closest.predicted }
  }
  return best
}

const pairsOf = (bench: Bench, state: BenchState, machine: MachineRole): readonly PlanFoot[] => {
  const { feet, units } = bench.setting.machine
  const thick = (t: number) => toCore(t, 'displacement', units)
  return (bench.feet[machine] ?? []).map((pair, i) => {
    const list = feet[machine]
    const registered = list[i === 0 ? 0 : list.length - 1]
    const leaves = (side: Side) => {
      const pack =
        machine === 'movable'
          ? state.packs[i === 0 ? (side === 'left' ? 1 : 2) : side === 'left' ? 4 : 3]
          : (state.drivenPacks[pair.id]?.[side] ?? [])
      return pack.map((l) => l.real)
    }
    const { plus, minus } = roomAt(bench, state, machine, i as 0 | 1)
    return {
      id: pair.id,
      machine,
      x: pair.x,
      existing: { left: leaves('left'), right: leaves('right') },
      maxPack: thick(registered?.maxPack ?? 0),
      sidePlus: Math.max(0, plus),
      sideMinus: Math.max(0, minus),
      locked: registered?.locked ?? false,
    }
  })
}

/** What a planner would start from that knew the truth of the bench. */
export const truthInput = (
  bench: Bench,
  state: BenchState,
  { tolerance, target }: Pick<PlanInput, 'tolerance' | 'target'>,
): PlanInput => ({
  coupling: lineOnBench(bench, state),
  target,
  tolerance,
  feet: MACHINE_ROLES.flatMap((machine) => pairsOf(bench, state, machine)),
  stock: shelfOf(bench.setting.machine),
  packLimit: bench.setting.machine.packLimit,
  sideStep: 0,
})
