import { lineOfMoves } from '../coupling/feet'
import { lineSum, positionAt, type Misalignment } from '../frame/planes'
import { judge, planeShare, type Judgement } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'
import { reachablePacks, thicknessKey, type Pack, type StockShim } from './packs'
import { aimOf, bestSideMoves } from './sideMove'

export type Side = 'left' | 'right'
export const SIDES: readonly Side[] = ['left', 'right']

/** A foot pair of the machine to be moved, with what limits it. Millimetres. */
export interface PlanFoot {
  readonly id: string
  readonly x: Millimetres
  /** Shims under each foot, bottom up. */
  readonly existing: Readonly<Record<Side, readonly Millimetres[]>>
  readonly maxPack: Millimetres
  readonly sidePlus: Millimetres
  readonly sideMinus: Millimetres
  readonly locked?: boolean
}

export interface PlanInput {
  readonly coupling: Misalignment
  readonly target: Misalignment
  readonly tolerance: SettledTolerance
  readonly feet: readonly [PlanFoot, PlanFoot]
  readonly stock: readonly StockShim[]
  readonly packLimit: number
  /** Side moves are rounded to this where room allows; 0 keeps them exact. */
  readonly sideStep: Millimetres
}

export type PlanKind = 'closest' | 'fewest-feet' | 'fewest-shims' | 'least-lift'

export interface PlannedMove {
  readonly id: string
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
  readonly packs: Readonly<Record<Side, Pack>>
}

export interface MovePlan {
  readonly kind: PlanKind
  readonly moves: readonly [PlannedMove, PlannedMove]
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
}

/** A change of height that real packs can make under both feet of a pair. */
export interface Lift {
  readonly v: Millimetres
  readonly packs: Readonly<Record<Side, Pack>>
  readonly changes: number
}

const SAFE_SHARE = 0.8

/** Every lift that real packs can make; the same under the left and the right foot of a pair. */
export const reachableLifts = (
  foot: PlanFoot,
  stock: readonly StockShim[],
  packLimit: number,
): readonly Lift[] => {
  const total = (side: Side) => foot.existing[side].reduce((s, t) => s + t, 0)
  const packsOf = (side: Side) =>
    foot.locked
      ? reachablePacks(foot.existing[side], [], 0, -1)
      : reachablePacks(foot.existing[side], stock, packLimit, foot.maxPack)
  const left = packsOf('left')
  const right = packsOf('right')
  const untouchedKeys = { left: thicknessKey(total('left')), right: thicknessKey(total('right')) }
  const lifts: Lift[] = []
  for (const [key, pack] of left) {
    const twin = right.get(key - untouchedKeys.left + untouchedKeys.right)
    if (!twin || (foot.locked && pack.changes + twin.changes > 0)) continue
    lifts.push({
      v: pack.total - total('left'),
      packs: { left: pack, right: twin },
      changes: pack.changes + twin.changes,
    })
  }
  return lifts
}

/** Whether stock holds enough for both pairs together. */
const withinStock = (lifts: readonly Lift[], stock: readonly StockShim[]): boolean => {
  const need = new Map<number, number>()
  for (const lift of lifts)
    for (const side of ['left', 'right'] as const)
      for (const t of lift.packs[side].putIn) need.set(thicknessKey(t), (need.get(thicknessKey(t)) ?? 0) + 1)
  for (const lift of lifts)
    for (const side of ['left', 'right'] as const)
      for (const t of lift.packs[side].takeOut)
        need.set(thicknessKey(t), (need.get(thicknessKey(t)) ?? 0) - 1)
  for (const [key, count] of need)
    if (count > stock.reduce((s, k) => s + (thicknessKey(k.thickness) === key ? k.count : 0), 0)) return false
  return true
}

/** Rounds a side move to the step without leaving the room. */
const toStep = (h: Millimetres, step: Millimetres, foot: PlanFoot): Millimetres => {
  if (step <= 0) return h === 0 ? 0 : h
  const rounded = Math.round(h / step) * step
  const inside =
    rounded > foot.sidePlus ? rounded - step : rounded < -foot.sideMinus ? rounded + step : rounded
  return inside > foot.sidePlus || inside < -foot.sideMinus ? h : inside === 0 ? 0 : inside
}

const blockedFeet = (input: PlanInput, lifts: readonly (readonly Lift[])[]): readonly BlockedFoot[] => {
  const aim = aimOf(input.tolerance, input.target)
  return input.feet.flatMap((foot, i): readonly BlockedFoot[] => {
    const now = positionAt(input.coupling, foot.x)
    const wanted = positionAt(aim, foot.x)
    const rows: BlockedFoot[] = []
    const needV = (wanted.v ?? 0) - (now.v ?? 0)
    const reach = (lifts[i] ?? []).map((l) => l.v)
    const lowest = Math.min(...reach)
    const highest = Math.max(...reach)
    if (foot.locked && Math.abs(needV) > 0)
      rows.push({ id: foot.id, plane: 'v', need: needV, room: 0, reason: 'locked' })
    else if (needV < lowest)
      rows.push({ id: foot.id, plane: 'v', need: needV, room: lowest, reason: 'no-shim' })
    else if (needV > highest)
      rows.push({ id: foot.id, plane: 'v', need: needV, room: highest, reason: 'pack-height' })
    const needH = (wanted.h ?? 0) - (now.h ?? 0)
    const roomH = foot.locked ? 0 : needH > 0 ? foot.sidePlus : foot.sideMinus
    if (Math.abs(needH) > roomH)
      rows.push({
        id: foot.id,
        plane: 'h',
        need: needH,
        room: roomH,
        reason: foot.locked ? 'locked' : 'bolt-bound',
      })
    return rows
  })
}

/**
 * Whole-shim plans for two foot pairs: every lift that real packs can make is tried against every
 * other, side moves are exact and then rounded to the dial. Up to four plans side by side; the
 * closest is returned even when the limits can't be reached. Feasible means both plane shares are
 * at most 1. Source: chapter 2, Whole-shim plan.
 */
export const planMoves = (input: PlanInput): PlanResult => {
  const { coupling, target, tolerance, feet } = input
  const roomFor = (foot: PlanFoot) => (foot.locked ? { ...foot, sidePlus: 0, sideMinus: 0 } : foot)
  const sideFeet = [roomFor(feet[0]), roomFor(feet[1])] as const
  const exactSide = bestSideMoves(coupling, tolerance, target, sideFeet)
  const side = [
    toStep(exactSide[0], input.sideStep, sideFeet[0]),
    toStep(exactSide[1], input.sideStep, sideFeet[1]),
  ] as const

  const lifts = feet.map((f) => reachableLifts(f, input.stock, input.packLimit)) as [
    readonly Lift[],
    readonly Lift[],
  ]
  const moved = (a: number, b: number) =>
    lineSum(
      coupling,
      lineOfMoves([
        { id: feet[0].id, x: feet[0].x, v: a, h: side[0] },
        { id: feet[1].id, x: feet[1].x, v: b, h: side[1] },
      ]),
    )

  interface Candidate {
    readonly a: Lift
    readonly b: Lift
    readonly share: number
    readonly pairs: number
    readonly changes: number
    readonly lift: number
  }
  const candidates: Candidate[] = []
  for (const a of lifts[0])
    for (const b of lifts[1])
      candidates.push({
        a,
        b,
        share: planeShare(moved(a.v, b.v), tolerance, target, 'v'),
        pairs: (a.changes > 0 ? 1 : 0) + (b.changes > 0 ? 1 : 0),
        changes: a.changes + b.changes,
        lift: Math.abs(a.v) + Math.abs(b.v),
      })

  type Rank = (c: Candidate) => readonly number[]
  const less = (a: readonly number[], b: readonly number[]): boolean => {
    for (const [i, x] of a.entries()) {
      const y = b[i] as number
      if (Math.abs(x - y) > 1e-9) return x < y
    }
    return false
  }
  const bestOf = (pool: readonly Candidate[], rank: Rank): Candidate | null => {
    let best: Candidate | null = null
    let bestRank: readonly number[] = []
    for (const c of pool) {
      const r = rank(c)
      if ((best === null || less(r, bestRank)) && withinStock([c.a, c.b], input.stock)) {
        best = c
        bestRank = r
      }
    }
    return best
  }

  const inBand = candidates.filter((c) => c.share <= 1 + 1e-9)
  const safe = inBand.filter((c) => c.share <= SAFE_SHARE + 1e-9)
  const pool = safe.length > 0 ? safe : inBand
  const picks: [PlanKind, Candidate | null][] = [
    ['closest', bestOf(candidates, (c) => [c.share, c.changes, c.lift])],
    ['fewest-feet', bestOf(pool, (c) => [c.pairs, c.share, c.changes])],
    ['fewest-shims', bestOf(pool, (c) => [c.changes, c.share, c.lift])],
    ['least-lift', bestOf(pool, (c) => [c.lift, c.share, c.changes])],
  ]
  const plans: MovePlan[] = []
  for (const [kind, c] of picks) {
    if (!c || plans.some((p) => p.moves[0].v === c.a.v && p.moves[1].v === c.b.v)) continue
    const predicted = moved(c.a.v, c.b.v)
    plans.push({
      kind,
      moves: [
        { id: feet[0].id, x: feet[0].x, v: c.a.v, h: side[0], packs: c.a.packs },
        { id: feet[1].id, x: feet[1].x, v: c.b.v, h: side[1], packs: c.b.packs },
      ],
      predicted,
      judgement: judge(predicted, tolerance, target),
      score: { v: c.share, h: planeShare(predicted, tolerance, target, 'h') },
      pairsOpened: c.pairs,
      shimsHandled: c.changes,
      lift: c.lift,
    })
  }
  const score = plans[0]?.score ?? {
    v: planeShare(coupling, tolerance, target, 'v'),
    h: planeShare(coupling, tolerance, target, 'h'),
  }
  return {
    feasible: score.v <= 1 + 1e-9 && score.h <= 1 + 1e-9,
    score,
    plans,
    blocked: blockedFeet(input, lifts),
  }
}
