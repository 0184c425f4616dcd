import { lineOfMoves } from '../coupling/feet'
import { lineDifference, lineSum, type Misalignment, type Plane } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import { nearestIndex } from '../plan/machineLifts'
import { limitForms, shareAt } from '../plan/planeLimits'
import { fairShares } from '../plan/fairShares'
import { pairLifts, shelfFor, type PairLifts, type PlanFoot } from '../plan/planFoot'
import { lentTo, packsFromShelf, type PairPack } from '../plan/stockCheck'
import { Work } from '../plan/work'
import type { StockShim } from '../shims/leafKinds'
import type { Millimetres } from '../units/unitSystem'
import type { SolveLinear } from './linearProgram'
import { turnToTrain, type Train } from './train'
import { solveContinuous, solveLifts, solvePushes, type PreparedMachine } from './trainProgram'

export type TrainPlanKind = 'closest' | 'least-work' | 'one-machine'

export interface TrainMove {
  readonly machine: string
  readonly id: string
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
  readonly packs: PairPack
}

export interface TrainPlan {
  readonly kind: TrainPlanKind
  /** The only machine it moves, of a plan for one machine alone; null for the others. */
  readonly only: string | null
  readonly moves: readonly TrainMove[]
  readonly couplings: readonly {
    readonly id: string
    /** In the coupling's own frame. */
    readonly predicted: Misalignment
    readonly judgement: Judgement
    readonly score: { readonly v: number; readonly h: number }
  }[]
  readonly feasible: boolean
  readonly shimsHandled: number
}

/** Shares of the limit that the least work keeps within, the first that can be reached: half leaves room for the hands. */
const LEVELS = [0.5, 0.8, 1] as const
const WHOLE = 1 + 1e-6
/** Combinations of packs tried for one set of lifts. */
const MOST_TRIED = 400_000

/**
 * Moves of a train of machines that bring every coupling in band: `closest` makes the largest
 * judged share over all couplings as small as whole shims allow near the continuous best,
 * `least-work` handles the fewest shims and moves the least sideways with every coupling safely in
 * band. Locked feet, packs and room are bounds. The program is linear (integer for the packs) and
 * handed to `solve`. Side moves go by whole `sideStep`s, 0 leaves them as they are. Empty when the
 * bounds leave nothing. Source: docs/methods/train-plan.md.
 */
export const planTrain = async (
  whole: Train,
  stock: readonly StockShim[],
  packLimit: number,
  solve: SolveLinear,
  sideStep: Millimetres = 0,
): Promise<readonly TrainPlan[]> => {
  const open = new Set(whole.machines.filter((m) => m.feet.some((f) => !f.locked)).map((m) => m.id))
  const helped = whole.couplings.filter((c) => open.has(c.left) || open.has(c.right))
  // What nobody can help must not hide what somebody can.
  const plans = await planHelped(
    { ...whole, couplings: helped.length > 0 ? helped : whole.couplings },
    stock,
    packLimit,
    solve,
    sideStep,
  )
  return plans.map((plan) => planned(whole, plan))
}

const planHelped = async (
  train: Train,
  stock: readonly StockShim[],
  packLimit: number,
  solve: SolveLinear,
  sideStep: Millimetres,
): Promise<readonly TrainPlan[]> => {
  const feet = train.machines.flatMap((m) => m.feet)
  const lent = lentTo(feet, stock, packLimit)
  const shelf = shelfFor(feet, stock, packLimit)
  const prepare = (lifts: (foot: PlanFoot, i: number) => PairLifts): readonly PreparedMachine[] =>
    train.machines.map((machine): PreparedMachine => {
      const pairs = [...machine.feet].sort((a, b) => a.x - b.x).map((foot) => lifts(foot, feet.indexOf(foot)))
      return { machine, pairs: [pairs[0] as PairLifts, pairs[pairs.length - 1] as PairLifts] }
    })
  const machines = prepare((foot, i) => pairLifts(foot, shelf, lent[i]))
  const bestV = await solveContinuous(train, machines, 'v', solve, null)
  const bestH = await solveContinuous(train, machines, 'h', solve, null)
  if (!bestV || !bestH) return []
  let shared: readonly PreparedMachine[] | null = null
  /** Whole shims near `around`; where the shelf is too short for them, with a fair share of it for every foot. */
  const whole = async (
    kind: TrainPlanKind,
    around: Moves,
    level: number | null,
    side: Moves,
  ): Promise<TrainPlan | null> => {
    const stepped = byStep(machines, side, sideStep)
    const from = async (own: readonly PreparedMachine[]) => {
      const lifts = await solveLifts(train, own, stock, solve, around, level)
      return lifts && assemble(kind, train, own, stock, lifts, stepped)
    }
    const found = await from(machines)
    // A program that ran out of time may have found less than the lifts nearest to the continuous best.
    const rounded =
      level === null || !found?.feasible
        ? assemble(kind, train, machines, stock, nearestTo(machines, around), stepped)
        : null
    const plan = found && rounded && worstOf(rounded) < worstOf(found) - 1e-9 ? rounded : (found ?? rounded)
    if (plan) return plan
    const shares = fairShares(feet, stock)
    shared ??= prepare((foot, i) => pairLifts(foot, shelfFor([foot], shares[i] ?? [], packLimit)))
    return from(shared)
  }
  const plans: TrainPlan[] = []
  const close = await whole('closest', bestV.moves, null, bestH.moves)
  if (close) plans.push(close)
  const levelFor = (share: number) => LEVELS.find((l) => share <= l) ?? null
  const reached = close ? Math.max(...close.couplings.map((c) => c.score.v)) : bestV.share
  const levelV = levelFor(reached)
  const levelH = levelFor(bestH.share)
  if (levelV !== null && levelH !== null) {
    const easyV = await solveContinuous(train, machines, 'v', solve, levelV)
    const lifted = easyV && (await whole('least-work', easyV.moves, levelV, bestH.moves))
    const opened = new Set(
      machines.flatMap((m, k) =>
        lifted?.moves.some(
          (f) => f.machine === m.machine.id && f.packs.left.changes + f.packs.right.changes > 0,
        )
          ? [k]
          : [],
      ),
    )
    const side = lifted && (await solvePushes(train, machines, opened, solve, levelH))
    if (lifted && side) plans.push(pushed(train, lifted, machines, byStep(machines, side, sideStep)))
  }
  return plans
}

/**
 * The least work that brings the train as near as `machine` alone can: every other one stays. Null when
 * the bounds leave nothing. Source: docs/methods/train-plan.md.
 */
export const planOneMachine = async (
  train: Train,
  machine: string,
  stock: readonly StockShim[],
  packLimit: number,
  solve: SolveLinear,
  sideStep: Millimetres = 0,
): Promise<TrainPlan | null> => {
  const alone: Train = {
    ...train,
    machines: train.machines.map((m) =>
      m.id === machine ? m : { ...m, feet: m.feet.map((f) => ({ ...f, locked: true })) },
    ),
  }
  const plans = await planTrain(alone, stock, packLimit, solve, sideStep)
  const easy = plans.find((p) => p.kind === 'least-work' && p.feasible) ?? plans[0]
  return easy ? { ...easy, kind: 'one-machine', only: machine } : null
}

/** Side moves by whole steps of a dial, inside the room of each pair. */
const byStep = (machines: readonly PreparedMachine[], side: Moves, step: Millimetres): Moves =>
  step <= 0
    ? side
    : machines.map((m, k) => {
        const inside = (pair: 0 | 1) => {
          const { foot } = m.pairs[pair]
          if (foot.locked) return 0
          const [least, most] = [
            Math.ceil(-foot.sideMinus / step - 1e-9),
            Math.floor(foot.sidePlus / step + 1e-9),
          ]
          return Math.min(most, Math.max(least, Math.round((side[k]?.[pair] ?? 0) / step))) * step || 0
        }
        return [inside(0), inside(1)] as const
      })

type Moves = readonly (readonly [number, number])[]

const worstOf = (plan: TrainPlan) => Math.max(...plan.couplings.flatMap((c) => [c.score.v, c.score.h]))

/** The lift of each pair nearest to a wanted one. */
const nearestTo = (machines: readonly PreparedMachine[], wanted: Moves): Moves =>
  machines.map((m, k) => [
    nearestIndex(m.pairs[0].v, wanted[k]?.[0] ?? 0),
    nearestIndex(m.pairs[1].v, wanted[k]?.[1] ?? 0),
  ])

const assemble = (
  kind: TrainPlanKind,
  train: Train,
  machines: readonly PreparedMachine[],
  stock: readonly StockShim[],
  lifts: readonly (readonly [number, number])[],
  side: readonly (readonly [number, number])[],
): TrainPlan | null => {
  const wanted = machines.flatMap((m, k) =>
    ([0, 1] as const).map((pair) => ({ pair: m.pairs[pair], lift: lifts[k]?.[pair] ?? 0 })),
  )
  const supplied = packsFromShelf(wanted, stock, new Work(MOST_TRIED))
  if (!supplied) return null
  const moves = machines.flatMap((m, k) =>
    ([0, 1] as const).map((pair): TrainMove => {
      const { foot, v } = m.pairs[pair]
      const h = side[k]?.[pair] ?? 0
      return {
        machine: m.machine.id,
        id: foot.id,
        x: foot.x,
        v: v[lifts[k]?.[pair] ?? 0] as number,
        h: Math.abs(h) < 1e-9 ? 0 : h,
        packs: supplied.packs[2 * k + pair] as PairPack,
      }
    }),
  )
  return planned(train, {
    kind,
    only: null,
    moves,
    shimsHandled: supplied.changes,
  })
}

/** A plan with other side moves. */
const pushed = (
  train: Train,
  plan: TrainPlan,
  machines: readonly PreparedMachine[],
  side: Moves,
): TrainPlan =>
  planned(train, {
    ...plan,
    moves: plan.moves.map((m) => {
      const k = machines.findIndex((own) => own.machine.id === m.machine)
      const h = side[k]?.[machines[k]?.pairs[0].foot.id === m.id ? 0 : 1] ?? 0
      return { ...m, h: Math.abs(h) < 1e-9 ? 0 : h }
    }),
  })

/** What moves make of every coupling. */
const planned = (
  train: Train,
  plan: Pick<TrainPlan, 'kind' | 'only' | 'moves' | 'shimsHandled'>,
): TrainPlan => {
  const { moves } = plan
  const lineAt = (machine: string, x: Millimetres): Misalignment =>
    lineOfMoves(moves.filter((m) => m.machine === machine).map((m) => ({ ...m, x: m.x - x })))
  const couplings = train.couplings.map((c) => {
    const shift = lineDifference(lineAt(c.right, c.x), lineAt(c.left, c.x))
    const predicted = turnToTrain(lineSum(turnToTrain(c.coupling, c.stationary), shift), c.stationary)
    const share = (plane: Plane) =>
      shareAt(
        limitForms(c.tolerance, c.target, plane),
        predicted.offset[plane] ?? 0,
        predicted.slope[plane] ?? 0,
      )
    return {
      id: c.id,
      predicted,
      judgement: judge(predicted, c.tolerance, c.target),
      score: { v: share('v'), h: share('h') },
    }
  })
  return {
    kind: plan.kind,
    only: plan.only,
    moves,
    couplings,
    feasible: couplings.every((c) => c.score.v <= WHOLE && c.score.h <= WHOLE),
    shimsHandled: plan.shimsHandled,
  }
}
