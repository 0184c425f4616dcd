import type { StockShim } from '../shims/leafKinds'
import type { Millimetres } from '../units/unitSystem'
import { farRange, nearRange } from './liftRanges'
import { firstAtLeast, innerLifts, innerShift, nearestIndex, type MachineLifts } from './machineLifts'
import type { PairLifts } from './planFoot'
import { leastShare, shareAt, type LimitForm } from './planeLimits'
import { packsFromShelf, type PairPack } from './stockCheck'
import { MOST_STEPS, type Work } from './work'

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
  /** The machines with a fair share of the shelf for every foot. */
  readonly sharedMachines: () => readonly MachineLifts[]
  readonly stock: readonly StockShim[]
  readonly work: Work
}

/** Null when an inner pair can't follow the line of the outer two. */
const settingOf = (m: MachineLifts, near: number, far: number): Setting | null => {
  const inner = m.inner.length > 0 ? innerLifts(m, near, far) : []
  if (!inner) return null
  const off = innerShift(m, near, far, inner)
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
    offset: m.nearOffset * a + m.farOffset * b + off.offset,
    slope: m.nearSlope * a + m.farSlope * b + off.slope,
  }
}

/** Combinations of packs tried for one setting. */
const MOST_PACKS = 40_000

/** What working out one range counts for, beside one setting looked at. */
const ROW = 12

/** Settings of the second machine that the search runs over on the outside, at most. */
const MOST_OUTSIDE = 10_000

/** The lifts that are easiest to make, then those that lift least; in order of height. */
const easiest = ({ v, changes }: PairLifts, count: number): readonly number[] => {
  const all = Array.from(v, (_, i) => i)
  if (all.length <= count) return all
  const by = (i: number, j: number) =>
    (changes[i] as number) - (changes[j] as number) || Math.abs(v[i] as number) - Math.abs(v[j] as number)
  return all
    .sort(by)
    .slice(0, count)
    .sort((i, j) => i - j)
}

/**
 * Every setting of the second machine, once. Where there are too many to run over, the easiest of each
 * pair: the first machine's own lifts lie as close, so that what is lost is handling, not closeness.
 */
const outsideSettings = (m: MachineLifts, work: Work): Setting[] => {
  const out: Setting[] = []
  const whole = m.near.v.length * m.far.v.length <= MOST_OUTSIDE
  if (!whole) work.narrow(MOST_OUTSIDE)
  const each = whole ? Infinity : Math.sqrt(MOST_OUTSIDE)
  const fars = easiest(m.far, each)
  for (const a of easiest(m.near, each))
    for (const b of fars) {
      const setting = settingOf(m, a, b)
      if (setting) out.push(setting)
    }
  return out
}

const NO_SETTING: Setting = { near: 0, far: 0, changes: 0, pairs: 0, lift: 0, offset: 0, slope: 0 }

/** A candidate without its packs: enough to rank it. */
interface Ranked {
  readonly a: Setting
  readonly b: Setting
  readonly share: number
  readonly changes: number
  readonly pairs: number
  readonly lift: Millimetres
}

/**
 * The best whole-shim lifts by one merit, exactly. First as if the shelf were full; only when the
 * shelf can't supply that plan is every candidate checked against it on the way. Null when nothing
 * stays within `within`. Where there is more than can be looked at, the best that was found.
 */
export const searchLifts = (problem: LiftSearch, kind: PlanKind, within: number): LiftChoice | null => {
  const best = search(problem, kind, within, problem.work.part(MOST_STEPS), (c) => c)
  if (!best) return null
  const full = packed(problem, best, problem.work.part(MOST_PACKS))
  if (full) return full
  // The shelf is short. With a fair share of it for every foot any setting can be supplied; what is better
  // than the best of those is then looked for setting by setting.
  const shared = { ...problem, machines: problem.sharedMachines() }
  const fair = search(shared, kind, within, problem.work.part(MOST_STEPS), (c) => c)
  const sure = fair && packed(shared, fair, problem.work.part(MOST_PACKS))
  const tried = problem.work.part(MOST_STEPS / 10)
  return search(problem, kind, within, tried, (c) => packed(problem, c, tried), sure)
}

/** A candidate with packs that the shelf can supply, or null. */
const packed = (problem: LiftSearch, c: Ranked, work: Work): LiftChoice | null => {
  const [first, second] = problem.machines
  if (!first) return null
  const innerA = innerLifts(first, c.a.near, c.a.far)
  const innerB = second ? innerLifts(second, c.b.near, c.b.far) : []
  if (!innerA || !innerB) return null
  const wanted = [...ofMachine(first, c.a, innerA), ...(second ? ofMachine(second, c.b, innerB) : [])]
  const supplied = packsFromShelf(wanted, problem.stock, work)
  if (!supplied) return null
  const lifts = wanted.map((w, i) => ({ ...w, packs: supplied.packs[i] as PairPack }))
  return {
    lifts,
    share: c.share,
    changes: supplied.changes,
    pairs: lifts.filter((l) => l.packs.left.changes + l.packs.right.changes > 0).length,
    lift: lifts.reduce((s, l) => s + Math.abs(l.pair.v[l.lift] as number), 0),
  }
}

/**
 * Branch and bound over all settings: for every setting of the second machine (if any) and every
 * lift of the first machine's near pair that the level set of the share allows, the far-pair lifts
 * that stay inside it. The level set is a parallelogram in the two lifts, so both ranges come in
 * closed form, and it shrinks as better plans are found. `complete` turns a candidate into a plan
 * or refuses it.
 */
const search = <Found extends Readonly<Record<Merit, number>>>(
  problem: LiftSearch,
  kind: PlanKind,
  within: number,
  work: Work,
  complete: (c: Ranked) => Found | null,
  start: Found | null = null,
): Found | null => {
  const [first, second] = problem.machines
  if (!first) return null
  if (problem.forms.some((f) => leastShare(f) > within + EQUAL)) return null
  const merits = MERITS[kind]
  const primary = merits[0]
  const others = second ? outsideSettings(second, work) : [NO_SETTING]
  // What leaves the second machine nearly alone comes first: the first one does most of it by itself.
  const order = primary === 'share' ? 'lift' : primary
  others.sort((a, b) => a[order] - b[order])

  let best: Found | null = start
  let level = start && primary === 'share' ? Math.min(within, start.share + EQUAL) : within
  // Half of a difference in last digits must not decide, so equal shares go on to the next merit.
  const compare = (c: Readonly<Record<Merit, number>>): number => {
    if (!best) return -1
    for (const merit of merits) {
      const difference = c[merit] - best[merit]
      if (Math.abs(difference) > EQUAL) return difference
    }
    return 0
  }

  const cost = { share: 0, changes: 0, pairs: 0, lift: 0 }
  const consider = (near: number, far: number, b: Setting, offset: number, slope: number) => {
    const { v, changes } = first.near
    const va = v[near] as number
    const vb = first.far.v[far] as number
    const ca = changes[near] as number
    const cb = first.far.changes[far] as number
    cost.changes = ca + cb + b.changes
    cost.pairs = (ca > 0 ? 1 : 0) + (cb > 0 ? 1 : 0) + b.pairs
    cost.lift = Math.abs(va) + Math.abs(vb) + b.lift
    if (best && primary !== 'share' && cost[primary] > best[primary] + EQUAL) return
    let innerOffset = 0
    let innerSlope = 0
    if (first.inner.length > 0) {
      const inner = innerLifts(first, near, far)
      if (!inner) return
      const off = innerShift(first, near, far, inner)
      innerOffset = off.offset
      innerSlope = off.slope
    }
    cost.share = shareAt(
      problem.forms,
      offset + first.nearOffset * va + first.farOffset * vb + innerOffset,
      slope + first.nearSlope * va + first.farSlope * vb + innerSlope,
    )
    if (cost.share > level + EQUAL || compare(cost) >= 0) return
    const setting = settingOf(first, near, far)
    if (!setting) return
    const ranked: Ranked = { a: setting, b, ...cost }
    const found = complete(ranked)
    if (!found || compare(found) >= 0) return
    best = found
    if (primary === 'share') level = Math.min(level, found.share + EQUAL)
  }

  const { near, far } = first
  const forms = problem.forms
  for (const b of others) {
    if (work.spend(ROW)) break
    if (best && primary !== 'share' && b[primary] > (best as Found)[primary] + EQUAL) break
    const offset = problem.offset + b.offset
    const slope = problem.slope + b.slope
    if (!best) {
      // A first plan near the middle of every band makes the level set small from the start.
      const [low, high] = nearRange(first, forms, offset, slope, 0)
      const start = nearestIndex(near.v, middleOf([low, high]))
      for (let j = 0; j < far.v.length; j++) consider(start, j, b, offset, slope)
    }
    const range = nearRange(first, forms, offset, slope, level)
    if (range[0] > range[1]) continue
    const from = firstAtLeast(near.v, range[0] - EQUAL)
    const to = firstAtLeast(near.v, range[1] + EQUAL) - 1
    if (from > to) continue
    // From the middle outward: good plans come first and shrink the level set for the rest.
    const middle = Math.min(to, Math.max(from, nearestIndex(near.v, middleOf(range))))
    for (let step = 0; step <= to - from; step++)
      for (let side = step === 0 ? 1 : 0; side < 2; side++) {
        const i = side === 0 ? middle - step : middle + step
        if (i < from || i > to) continue
        const v = near.v[i] as number
        if (best && primary !== 'share') {
          // What this lift costs alone is already more than the best plan does.
          const ca = near.changes[i] as number
          const own = primary === 'changes' ? ca : primary === 'pairs' ? (ca > 0 ? 1 : 0) : Math.abs(v)
          if (own + b[primary] > (best as Found)[primary] + EQUAL) continue
        }
        const [low, high] = farRange(
          first,
          forms,
          offset + first.nearOffset * v,
          slope + first.nearSlope * v,
          level,
        )
        const end = firstAtLeast(far.v, high + EQUAL)
        const begin = firstAtLeast(far.v, low - EQUAL)
        if (work.spend(ROW + Math.max(0, end - begin))) return best
        for (let j = begin; j < end; j++) consider(i, j, b, offset, slope)
      }
  }
  return best
}

const middleOf = ([low, high]: readonly [number, number]): number =>
  Number.isFinite(low) && Number.isFinite(high)
    ? (low + high) / 2
    : Number.isFinite(low)
      ? low
      : Number.isFinite(high)
        ? high
        : 0

const ofMachine = (m: MachineLifts, s: Setting, inner: readonly number[]) => [
  { pair: m.near, lift: s.near },
  ...m.inner.map((pair, i) => ({ pair, lift: inner[i] as number })),
  { pair: m.far, lift: s.far },
]
