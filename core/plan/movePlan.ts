import { lineOfMoves } from '../coupling/feet'
import { lineDifference, lineSum, positionAt, type Misalignment } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import type { StockShim } from '../shims/leafKinds'
import type { Pack } from '../shims/reachablePacks'
import type { Millimetres } from '../units/unitSystem'
import { aimOf } from './aim'
import { fairShares } from './fairShares'
import { PLAN_KINDS, searchLifts, type LiftChoice, type PlanKind } from './liftSearch'
import { machineLifts, type MachineLifts } from './machineLifts'
import type { MachineRole, Side } from './pairNames'
import { pairLifts, shelfFor, type PairLifts, type PlanFoot } from './planFoot'
import { limitForms, shareAt } from './planeLimits'
import { lentTo, type PairPack } from './stockCheck'
import { Work, type GoOn } from './work'
import { bestSideMoves, roundSideMoves, type SideFoot } from './sideMove'

export { reachableLifts } from './planFoot'
export type { Lift, PlanFoot } from './planFoot'
export type { PlanKind } from './liftSearch'

export interface PlanInput {
  readonly coupling: Misalignment
  readonly target: Misalignment
  readonly tolerance: SettledTolerance
  /** Two or more pairs of each machine that may move. */
  readonly feet: readonly PlanFoot[]
  readonly stock: readonly StockShim[]
  readonly packLimit: number
  /** Side moves are rounded to this where room allows; 0 keeps them exact. */
  readonly sideStep: Millimetres
}

export interface PlannedMove {
  readonly id: string
  readonly machine: MachineRole
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
  readonly packs: Readonly<Record<Side, Pack>>
}

export interface MovePlan {
  readonly kind: PlanKind
  readonly moves: readonly PlannedMove[]
  readonly predicted: Misalignment
  readonly judgement: Judgement
  readonly score: { readonly v: number; readonly h: number }
  /** Foot pairs whose bolts are slackened for shims. */
  readonly pairsOpened: number
  readonly shimsHandled: number
  readonly lift: Millimetres
}

/** A foot that can't do what the target asks of it, and why. */
export interface BlockedFoot {
  readonly id: string
  readonly machine: MachineRole
  readonly plane: 'v' | 'h'
  readonly need: Millimetres
  readonly room: Millimetres
  readonly reason: 'no-shim' | 'pack-height' | 'bolt-bound' | 'locked'
}

export interface PlanResult {
  readonly feasible: boolean
  readonly score: { readonly v: number; readonly h: number }
  readonly plans: readonly MovePlan[]
  readonly blocked: readonly BlockedFoot[]
  /** `all`, or `within N` when there was more than could be looked at. */
  readonly searched: string
}

/** Plans other than the closest keep this share of the limit in hand where they can. */
const SAFE_SHARE = 0.8
const WHOLE = 1 + 1e-9

/** The feet with every lift their packs can make: what stays the same while readings change. */
export interface PreparedFeet {
  readonly feet: readonly PlanFoot[]
  readonly pairs: readonly PairLifts[]
  readonly machines: readonly MachineLifts[]
  readonly sharedMachines: () => readonly MachineLifts[]
  readonly stock: readonly StockShim[]
}

const byMachine = (pairs: readonly PairLifts[]): readonly MachineLifts[] =>
  (['movable', 'stationary'] as const).flatMap((role) => {
    const own = pairs.filter((p) => (p.foot.machine ?? 'movable') === role)
    return own.length >= 2 ? [machineLifts(role, own)] : []
  })

/**
 * Works out what every pair can do; the slow part of a plan, done once for a set of feet. Leaves that come
 * out under one foot may go in under another.
 */
export const prepareFeet = (
  feet: readonly PlanFoot[],
  stock: readonly StockShim[],
  packLimit: number,
): PreparedFeet => {
  const lent = lentTo(feet, stock, packLimit)
  const shelf = shelfFor(feet, stock, packLimit)
  const pairs = feet.map((f, i) => pairLifts(f, shelf, lent[i]))
  const sharedPairs = () =>
    byMachine(
      fairShares(feet, stock).map((own, i) => {
        const foot = feet[i] as PlanFoot
        return pairLifts(foot, shelfFor([foot], own, packLimit))
      }),
    )
  let shared: readonly MachineLifts[] | null = null
  const sharedMachines = () => {
    shared ??= sharedPairs()
    return shared
  }
  return { feet, pairs, machines: byMachine(pairs), sharedMachines, stock }
}

const total = (list: readonly Millimetres[]) => list.reduce((s, t) => s + t, 0)

/** What the packs really come to, to the last digit of their leaves. */
const liftOf = (packs: PairPack, foot: PlanFoot): Millimetres =>
  packs.left.changes === 0 ? 0 : packs.left.total - total(foot.existing.left)

/** How moves of both machines shift the line: the movable's less the stationary's. */
export const shiftOfMoves = (
  moves: readonly Pick<PlannedMove, 'id' | 'machine' | 'x' | 'v' | 'h'>[],
): Misalignment => {
  const of = (role: MachineRole) => moves.filter((m) => m.machine === role)
  const movable = of('movable')
  const stationary = of('stationary')
  const own = movable.length > 1 ? lineOfMoves(movable) : null
  const other = stationary.length > 1 ? lineOfMoves(stationary) : null
  const still: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }
  return lineDifference(own ?? still, other ?? still)
}

const roomOf = (foot: PlanFoot): SideFoot => (foot.locked ? { ...foot, sidePlus: 0, sideMinus: 0 } : foot)

/** Side moves of every pair, in whole steps of the dial where room allows. */
const sideMovesFor = (input: PlanInput): ReadonlyMap<PlanFoot, Millimetres> => {
  const { coupling, tolerance, target, sideStep } = input
  const feet = input.feet.map(roomOf)
  const exact = bestSideMoves(coupling, tolerance, target, feet)
  const moves = roundSideMoves(exact, sideStep, coupling, tolerance, target, feet)
  return new Map(input.feet.map((f, i) => [f, moves[i] as number]))
}

const blockedFeet = (input: PlanInput, prepared: PreparedFeet): readonly BlockedFoot[] => {
  const aim = aimOf(input.tolerance, input.target)
  const both = prepared.machines.length > 1
  return prepared.pairs.flatMap(({ foot, v }): readonly BlockedFoot[] => {
    const machine = foot.machine ?? 'movable'
    // With two machines to move, what one would need alone says nothing of the pair of them.
    if (both && machine === 'stationary') return []
    const sign = machine === 'movable' ? 1 : -1
    const now = positionAt(input.coupling, foot.x)
    const wanted = positionAt(aim, foot.x)
    const rows: BlockedFoot[] = []
    const needV = sign * ((wanted.v ?? 0) - (now.v ?? 0))
    const lowest = v[0] as number
    const highest = v[v.length - 1] as number
    const row = (plane: 'v' | 'h', need: number, room: number, reason: BlockedFoot['reason']) =>
      rows.push({ id: foot.id, machine, plane, need, room, reason })
    if (foot.locked && Math.abs(needV) > 0) row('v', needV, 0, 'locked')
    else if (needV < lowest) row('v', needV, lowest, 'no-shim')
    else if (needV > highest) row('v', needV, highest, 'pack-height')
    const needH = sign * ((wanted.h ?? 0) - (now.h ?? 0))
    const room = needH > 0 ? roomOf(foot).sidePlus : roomOf(foot).sideMinus
    if (Math.abs(needH) > room) row('h', needH, room, foot.locked ? 'locked' : 'bolt-bound')
    return rows
  })
}

/**
 * Whole-shim plans for prepared feet. Every lift that real packs can make is within the search,
 * side moves are exact and then rounded to the dial. Up to four plans side by side, or only `kinds` beside
 * the closest, which is returned even when the limits can't be reached. Score and verdict are of the line that all pairs come to;
 * feasible means that this verdict is not out.
 * Source: docs/methods/move-plan.md.
 */
export const planPrepared = (
  input: Omit<PlanInput, 'feet' | 'stock' | 'packLimit'>,
  prepared: PreparedFeet,
  goOn?: GoOn,
  kinds: readonly PlanKind[] = PLAN_KINDS,
): PlanResult => {
  const { coupling, target, tolerance } = input
  const whole: PlanInput = { ...input, feet: prepared.feet, stock: prepared.stock, packLimit: 0 }
  const side = sideMovesFor(whole)
  // In vector mode what stays sideways uses part of every limit that heights are planned within.
  const aside = lineSum(
    coupling,
    shiftOfMoves(
      prepared.feet.map((f) => ({
        id: f.id,
        machine: f.machine ?? 'movable',
        x: f.x,
        v: 0,
        h: side.get(f) ?? 0,
      })),
    ),
  )
  const formsV = limitForms(tolerance, target, 'v', aside)
  const alone = { v: limitForms(tolerance, target, 'v'), h: limitForms(tolerance, target, 'h') }
  const scoreOf = (line: Misalignment) => ({
    v: shareAt(alone.v, line.offset.v ?? 0, line.slope.v ?? 0),
    h: shareAt(alone.h, line.offset.h ?? 0, line.slope.h ?? 0),
  })
  const problem = {
    offset: coupling.offset.v ?? 0,
    slope: coupling.slope.v ?? 0,
    forms: formsV,
    machines: prepared.machines,
    sharedMachines: prepared.sharedMachines,
    stock: prepared.stock,
    work: new Work(Infinity, goOn),
  }
  const closest = searchLifts(problem, 'closest', Infinity)
  const within =
    !closest || closest.share > WHOLE ? null : closest.share <= SAFE_SHARE + 1e-9 ? SAFE_SHARE : 1
  const picks: [PlanKind, LiftChoice | null][] = [
    ['closest', closest],
    ...kinds
      .filter((kind) => kind !== 'closest')
      .map((kind): [PlanKind, LiftChoice | null] => [
        kind,
        within === null ? null : searchLifts(problem, kind, within),
      ]),
  ]
  const plans: MovePlan[] = []
  for (const [kind, choice] of picks) {
    if (!choice) continue
    const moves = prepared.feet.flatMap((foot): readonly PlannedMove[] => {
      const own = choice.lifts.find((l) => l.pair.foot === foot)
      if (!own) return []
      return [
        {
          id: foot.id,
          machine: foot.machine ?? 'movable',
          x: foot.x,
          v: liftOf(own.packs, foot),
          h: side.get(foot) ?? 0,
          packs: own.packs,
        },
      ]
    })
    if (plans.some((p) => p.moves.every((m, i) => m.v === moves[i]?.v))) continue
    const predicted = lineSum(coupling, shiftOfMoves(moves))
    plans.push({
      kind,
      moves,
      predicted,
      judgement: judge(predicted, tolerance, target),
      score: scoreOf(predicted),
      pairsOpened: choice.pairs,
      shimsHandled: choice.changes,
      lift: choice.lift,
    })
  }
  const [first] = plans
  return {
    feasible: (first?.judgement ?? judge(coupling, tolerance, target)).verdict !== 'out',
    score: first?.score ?? scoreOf(coupling),
    plans,
    blocked: blockedFeet(whole, prepared),
    searched: searchedOf(problem.work, prepared),
  }
}

/** What was looked at: all, so many settings, or lifts told apart to so many micrometres. */
const searchedOf = (work: Work, { pairs }: PreparedFeet): string => {
  const within = Math.max(0, ...pairs.map((p) => p.within))
  return work.searched === 'all' && within > 0
    ? `within ${Number((within * 1000).toFixed(1))} um`
    : work.searched
}

/** Whole-shim plans for feet given in full; see planPrepared. */
export const planMoves = (input: PlanInput, goOn?: GoOn): PlanResult =>
  planPrepared(input, prepareFeet(input.feet, input.stock, input.packLimit), goOn)
