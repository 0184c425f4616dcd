import type { StockShim } from '../shims/leafKinds'
import type { Millimetres } from '../units/unitSystem'
import { firstAtLeast, innerLifts, nearestIndex, type MachineLifts } from './machineLifts'
import type { PairLifts } from './planFoot'
import { levelInterval, shareAt, type LimitForm } from './planeLimits'
import { packsFromShelf, type PairPack } from './stockCheck'

export type PlanKind = 'closest' | 'fewest-feet' | 'fewest-shims' | 'least-lift'

/** One lift for every pair of the machines that move, with the packs that make it. */
export interface LiftChoice {
  readonly lifts: readonly { readonly pair: PairLifts; readonly lift: number; readonly packs: PairPack }[]
  readonly share: number
  readonly changes: number
  readonly pairs: number
  readonly lift: Millimetres
}

type Merit = 'share' | 'changes' | 'pairs' | 'lift'

/** What a kind of plan wants, most important first. */
const MERITS: Readonly<Record<PlanKind, readonly [Merit, Merit, Merit]>> = {
  closest: ['share', 'changes', 'lift'],
  'fewest-feet': ['pairs', 'share', 'changes'],
  'fewest-shims': ['changes', 'share', 'lift'],
  'least-lift': ['lift', 'share', 'changes'],
}

const EQUAL = 1e-9

/** A lift of near and far pair of one machine, with what it costs. */
interface Setting {
  near: number
  far: number
  changes: number
  pairs: number
  lift: Millimetres
  offset: number
  slope: number
}

export interface LiftSearch {
  /** Vertical offset and slope as they are. */
  readonly offset: number
  readonly slope: number
  readonly forms: readonly LimitForm[]
  readonly machines: readonly MachineLifts[]
  readonly stock: readonly StockShim[]
}

const settingOf = (m: MachineLifts, near: number, far: number): Setting => {
  const a = m.near.v[near] as number
  const b = m.far.v[far] as number
  const ca = m.near.changes[near] as number
  const cb = m.far.changes[far] as number
  return {
    near,
    far,
    changes: ca + cb,
    pairs: (ca > 0 ? 1 : 0) + (cb > 0 ? 1 : 0),
    lift: Math.abs(a) + Math.abs(b),
    offset: m.nearOffset * a + m.farOffset * b,
    slope: m.nearSlope * a + m.farSlope * b,
  }
}

/** Every setting of the second machine, once; the search runs over it on the outside. */
const allSettings = (m: MachineLifts): Setting[] => {
  const out: Setting[] = []
  for (let a = 0; a < m.near.v.length; a++) for (let b = 0; b < m.far.v.length; b++) out.push(settingOf(m, a, b))
  return out
}

const NO_SETTING: Setting = { near: 0, far: 0, changes: 0, pairs: 0, lift: 0, offset: 0, slope: 0 }

/**
 * The best whole-shim lifts by one merit, exactly: for every setting of the second machine (if
 * any) and every lift of the first machine's near pair that the level set of the share allows,
 * the far-pair lifts that stay inside it. The level set is a parallelogram in the two lifts, so
 * both ranges come in closed form, and it shrinks as better plans are found. Stock is checked over
 * all feet before a plan counts. Null when nothing stays within `within`.
 */
export const searchLifts = (
  problem: LiftSearch,
  kind: PlanKind,
  within: number,
): LiftChoice | null => {
  const [first, second] = problem.machines
  if (!first) return null
  const merits = MERITS[kind]
  const primary = merits[0]
  const others = second ? allSettings(second) : [NO_SETTING]
  if (primary !== 'share') others.sort((a, b) => a[primary] - b[primary])

  let best: LiftChoice | null = null
  let level = within
  // Half of a difference in last digits must not decide, so equal shares go on to the next merit.
  const compare = (c: Readonly<Record<Merit, number>>): number => {
    if (!best) return -1
    for (const merit of merits) {
      const difference = c[merit] - best[merit]
      if (Math.abs(difference) > EQUAL) return difference
    }
    return 0
  }

  const accept = (a: Setting, b: Setting, share: number) => {
    const innerA = innerLifts(first, a.near, a.far)
    const innerB = second ? innerLifts(second, b.near, b.far) : []
    if (!innerA || !innerB) return
    const wanted = [
      ...ofMachine(first, a, innerA),
      ...(second ? ofMachine(second, b, innerB) : []),
    ]
    const supplied = packsFromShelf(wanted, problem.stock)
    if (!supplied) return
    const lifts = wanted.map((w, i) => ({ ...w, packs: supplied.packs[i] as PairPack }))
    const found: LiftChoice = {
      lifts,
      share,
      changes: supplied.changes,
      pairs: lifts.filter((l) => l.packs.left.changes + l.packs.right.changes > 0).length,
      lift: lifts.reduce((s, l) => s + Math.abs(l.pair.v[l.lift] as number), 0),
    }
    if (compare(found) < 0) {
      best = found
      if (primary === 'share') level = Math.min(level, found.share + EQUAL)
    }
  }

  const cost = { share: 0, changes: 0, pairs: 0, lift: 0 }
  const consider = (near: number, far: number, b: Setting, offset: number, slope: number) => {
    const a = settingOf(first, near, far)
    cost.changes = a.changes + b.changes
    cost.pairs = a.pairs + b.pairs
    cost.lift = a.lift + b.lift
    if (best && primary !== 'share' && cost[primary] > best[primary] + EQUAL) return
    cost.share = shareAt(problem.forms, offset + a.offset, slope + a.slope)
    if (cost.share > level + EQUAL || compare(cost) >= 0) return
    accept(a, b, cost.share)
  }

  const { near, far } = first
  const forms = problem.forms
  for (const b of others) {
    if (best && primary !== 'share' && b[primary] > (best as LiftChoice)[primary] + EQUAL) break
    const offset = problem.offset + b.offset
    const slope = problem.slope + b.slope
    const range = nearRange(first, forms, offset, slope, level)
    if (range[0] > range[1]) continue
    const from = firstAtLeast(near.v, range[0] - EQUAL)
    const to = firstAtLeast(near.v, range[1] + EQUAL) - 1
    if (from > to) continue
    // From the middle outward: good plans come first and shrink the level set for the rest.
    const middle = Math.min(to, Math.max(from, nearestIndex(near.v, middleOf(range))))
    for (let step = 0; step <= to - from; step++)
      for (const i of step === 0 ? [middle] : [middle - step, middle + step]) {
        if (i < from || i > to) continue
        const v = near.v[i] as number
        const [low, high] = farRange(
          first,
          forms,
          offset + first.nearOffset * v,
          slope + first.nearSlope * v,
          level,
        )
        const end = firstAtLeast(far.v, high + EQUAL)
        for (let j = firstAtLeast(far.v, low - EQUAL); j < end; j++) consider(i, j, b, offset, slope)
      }
  }
  return best
}

const middleOf = ([low, high]: readonly [number, number]): number =>
  Number.isFinite(low) && Number.isFinite(high) ? (low + high) / 2 : Number.isFinite(low) ? low : Number.isFinite(high) ? high : 0

const ofMachine = (m: MachineLifts, s: Setting, inner: readonly number[]) => [
  { pair: m.near, lift: s.near },
  ...m.inner.map((pair, i) => ({ pair, lift: inner[i] as number })),
  { pair: m.far, lift: s.far },
]

/** Far-pair lifts for which every form stays inside its level set, the near lift already counted. */
const farRange = (
  m: MachineLifts,
  forms: readonly LimitForm[],
  offset: number,
  slope: number,
  level: number,
): readonly [number, number] => {
  let low = -Infinity
  let high = Infinity
  for (const f of forms) {
    const [lo, hi] = levelInterval(f.band, level)
    const now = f.offsetFactor * offset + f.slopeFactor * slope - f.shift
    const rate = f.offsetFactor * m.farOffset + f.slopeFactor * m.farSlope
    if (Math.abs(rate) < 1e-15) {
      if (now < lo - EQUAL || now > hi + EQUAL) return [1, 0]
      continue
    }
    const a = (lo - now) / rate
    const b = (hi - now) / rate
    low = Math.max(low, Math.min(a, b))
    high = Math.min(high, Math.max(a, b))
  }
  return [low, high]
}

/** Near-pair lifts that some far-pair lift could go with: the shadow of the parallelogram. */
const nearRange = (
  m: MachineLifts,
  forms: readonly LimitForm[],
  offset: number,
  slope: number,
  level: number,
): readonly [number, number] => {
  let low = -Infinity
  let high = Infinity
  for (let i = 0; i < forms.length; i++)
    for (let j = i + 1; j < forms.length; j++) {
      const f = forms[i] as LimitForm
      const g = forms[j] as LimitForm
      const fn = f.offsetFactor * m.nearOffset + f.slopeFactor * m.nearSlope
      const ff = f.offsetFactor * m.farOffset + f.slopeFactor * m.farSlope
      const gn = g.offsetFactor * m.nearOffset + g.slopeFactor * m.nearSlope
      const gf = g.offsetFactor * m.farOffset + g.slopeFactor * m.farSlope
      const det = fn * gf - ff * gn
      if (Math.abs(det) < 1e-18) continue
      const [flo, fhi] = levelInterval(f.band, level)
      const [glo, ghi] = levelInterval(g.band, level)
      const nowF = f.offsetFactor * offset + f.slopeFactor * slope - f.shift
      const nowG = g.offsetFactor * offset + g.slopeFactor * slope - g.shift
      const p = gf / det
      const q = -ff / det
      const [pl, ph] = scaledRange(flo - nowF, fhi - nowF, p)
      const [ql, qh] = scaledRange(glo - nowG, ghi - nowG, q)
      low = Math.max(low, pl + ql)
      high = Math.min(high, ph + qh)
    }
  return [low, high]
}

const scaledRange = (low: number, high: number, by: number): readonly [number, number] =>
  by === 0 ? [0, 0] : by > 0 ? [low * by, high * by] : [high * by, low * by]
