import type { StockShim } from '../shims/leafKinds'
import type { Millimetres } from '../units/unitSystem'
import { classPairs, type ClassPair } from './liftClasses'
import { farRange, followedRange, nearRange } from './liftRanges'
import { firstAtLeast, innerLifts, innerShift, nearestIndex, type MachineLifts } from './machineLifts'
import { NO_SETTING, outsideSettings, settingOf, type Setting } from './outsideSettings'
import { outwardFromZero } from './outward'
import type { PairLifts } from './planFoot'
import { leastShare, shareAt, type LimitForm } from './planeLimits'
import { packsFromShelf, type PairPack } from './stockCheck'
import { MOST_STEPS, type Work } from './work'

export const PLAN_KINDS = ['closest', 'fewest-feet', 'fewest-shims', 'least-lift'] as const
export type PlanKind = (typeof PLAN_KINDS)[number]

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

/** Combinations of packs tried for one setting. */
const MOST_PACKS = 40_000

/** What working out one range counts for, beside one setting looked at. */
const ROW = 12

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
 * Branch and bound over all settings: for every setting of the second machine (if any) and every lift of
 * the first machine's near pair that the level set of the share allows, the far-pair lifts that stay inside
 * it. The level set is a parallelogram in the two lifts, so both ranges come in closed form, and it shrinks
 * as better plans are found. What costs least is looked at first. `complete` turns a candidate into a plan or
 * refuses it.
 */
const search = <Found extends Costs>(
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
  const best = new Best<Found>(MERITS[kind], within, start)
  const others = second ? outsideSettings(second, work) : [NO_SETTING]
  // What leaves the second machine nearly alone comes first: the first one does most of it by itself.
  const order = best.primary === 'share' ? 'lift' : best.primary
  others.sort((a, b) => a[order] - b[order])
  const look = new Look(problem, first, best, complete)
  if (best.primary === 'lift') byLift(look, others, work)
  else byClass(look, others, classPairs(first.near, first.far, best.primary), work)
  return best.found
}

type Costs = Readonly<Record<Merit, number>>

/** The best plan so far, and how far a share may go to better it. */
class Best<Found extends Costs> {
  readonly primary: Merit

  constructor(
    private readonly merits: readonly [Merit, Merit, Merit],
    private readonly within: number,
    public found: Found | null,
  ) {
    this.primary = merits[0]
  }

  /** Half of a difference in last digits must not decide, so equal shares go on to the next merit. */
  compare(c: Costs): number {
    if (!this.found) return -1
    for (const merit of this.merits) {
      const difference = c[merit] - this.found[merit]
      if (Math.abs(difference) > EQUAL) return difference
    }
    return 0
  }

  /** Whether the best already beats whatever costs this by the first merit. */
  beats(cost: number): boolean {
    return this.found !== null && this.primary !== 'share' && cost > this.found[this.primary] + EQUAL
  }

  /** The greatest share that can still be better at this cost by the first merit. */
  levelAt(cost: number): number {
    const { found, primary, within } = this
    if (!found || primary === 'lift') return within
    if (primary !== 'share' && cost < found[primary] - EQUAL) return within
    return Math.min(within, found.share + EQUAL)
  }
}

/** One candidate after another, held against the best so far. */
class Look<Found extends Costs> {
  private readonly cost = { share: 0, changes: 0, pairs: 0, lift: 0 }

  constructor(
    readonly problem: LiftSearch,
    readonly first: MachineLifts,
    readonly best: Best<Found>,
    private readonly complete: (c: Ranked) => Found | null,
  ) {}

  /** Lifts `near` and `far` of the first machine beside a setting of the second. */
  at(near: number, far: number, b: Setting): void {
    const { first, best, cost, problem } = this
    const va = first.near.v[near] as number
    const vb = first.far.v[far] as number
    const ca = first.near.changes[near] as number
    const cb = first.far.changes[far] as number
    cost.changes = ca + cb + b.changes
    cost.pairs = (ca > 0 ? 1 : 0) + (cb > 0 ? 1 : 0) + b.pairs
    cost.lift = Math.abs(va) + Math.abs(vb) + b.lift
    if (best.beats(cost[best.primary])) return
    let offset = problem.offset + b.offset + first.nearOffset * va + first.farOffset * vb
    let slope = problem.slope + b.slope + first.nearSlope * va + first.farSlope * vb
    if (first.inner.length > 0) {
      const inner = innerLifts(first, near, far)
      if (!inner) return
      const off = innerShift(first, near, far, inner)
      offset += off.offset
      slope += off.slope
    }
    cost.share = shareAt(problem.forms, offset, slope)
    if (cost.share > best.levelAt(cost[best.primary]) + EQUAL || best.compare(cost) >= 0) return
    const setting = settingOf(first, near, far)
    const found = setting && this.complete({ a: setting, b, ...cost })
    if (found && best.compare(found) < 0) best.found = found
  }

  /** Numbers of the near lifts of a list that some far lift may go with. */
  nearBetween(list: Float64Array, b: Setting, level: number): readonly [number, number] {
    const { first, problem } = this
    const [low, high] = nearRange(
      first,
      problem.forms,
      problem.offset + b.offset,
      problem.slope + b.slope,
      level,
    )
    return numbersWithin(list, low, high)
  }

  /** Numbers of the far lifts of a list that may go with a near lift. */
  farBetween(list: Float64Array, nearLift: number, b: Setting, level: number): readonly [number, number] {
    const { first, problem } = this
    const [low, high] = farRange(
      first,
      problem.forms,
      problem.offset + b.offset + first.nearOffset * nearLift,
      problem.slope + b.slope + first.nearSlope * nearLift,
      level,
    )
    if (first.inner.length === 0) return numbersWithin(list, low, high)
    const [lowest, highest] = followedRange(first, nearLift)
    return numbersWithin(list, Math.max(low, lowest), Math.min(high, highest))
  }

  /** A first plan near the middle of every band makes the level set small from the start. */
  middle(b: Setting): void {
    const { first, problem } = this
    const { near, far } = first
    const offset = problem.offset + b.offset
    const slope = problem.slope + b.slope
    const i = nearestIndex(near.v, middleOf(nearRange(first, problem.forms, offset, slope, 0)))
    for (let a = Math.max(0, i - 2); a <= Math.min(near.v.length - 1, i + 2); a++) {
      const v = near.v[a] as number
      const range = farRange(
        first,
        problem.forms,
        offset + first.nearOffset * v,
        slope + first.nearSlope * v,
        0,
      )
      const j = nearestIndex(far.v, middleOf(range))
      for (let f = Math.max(0, j - 2); f <= Math.min(far.v.length - 1, j + 2); f++) this.at(a, f, b)
    }
  }
}

/** What costs least first; of what costs alike the least share, from the middle of the bands outward. */
const byClass = <Found extends Costs>(
  look: Look<Found>,
  others: readonly Setting[],
  classes: readonly ClassPair[],
  work: Work,
): void => {
  const { best } = look
  for (const b of others) {
    const own = best.primary === 'share' ? 0 : b[best.primary]
    if (work.spend(ROW) || best.beats(own)) return
    if (!best.found) look.middle(b)
    for (const { cost, near, far } of classes) {
      if (best.beats(own + cost)) break
      if (!oneClass(look, b, own + cost, near, far, work)) return
    }
  }
}

/** Every near lift that the level allows, from the middle outward; false when there is no more work to be done. */
const oneClass = <Found extends Costs>(
  look: Look<Found>,
  b: Setting,
  cost: number,
  near: ClassPair['near'],
  far: ClassPair['far'],
  work: Work,
): boolean => {
  const { best } = look
  let [from, to] = look.nearBetween(near.v, b, best.levelAt(cost))
  if (from > to) return !work.spend(1)
  const middle = (from + to) >> 1
  let down = middle
  let up = middle + 1
  while (down >= from || up <= to) {
    const upward = up <= to && (down < from || up - middle <= middle - down)
    const next = upward ? up++ : down--
    const [begin, end] = look.farBetween(far.v, near.v[next] as number, b, best.levelAt(cost))
    if (work.spend(ROW + Math.max(0, end - begin + 1))) return false
    const known = best.found
    for (let j = begin; j <= end; j++) look.at(near.at[next] as number, far.at[j] as number, b)
    if (best.found === known) continue
    // A better plan leaves less to look at.
    const [low, high] = look.nearBetween(near.v, b, best.levelAt(cost))
    from = Math.max(from, low)
    to = Math.min(to, high)
  }
  return true
}

/** The least lift: near lifts and for each the far lifts, those that move least first. */
const byLift = <Found extends Costs>(look: Look<Found>, others: readonly Setting[], work: Work): void => {
  const { best, first } = look
  const { near, far } = first
  let over = false
  for (const b of others) {
    if (over || work.spend(ROW) || best.beats(b.lift)) return
    const level = best.levelAt(0)
    const [from, to] = look.nearBetween(near.v, b, level)
    outwardFromZero(near.v, from, to, (i) => {
      const nearLift = near.v[i] as number
      const lift = b.lift + Math.abs(nearLift)
      if (best.beats(lift)) return false
      const [begin, end] = look.farBetween(far.v, nearLift, b, level)
      over = work.spend(ROW)
      if (!over)
        outwardFromZero(far.v, begin, end, (j) => {
          if (best.beats(lift + Math.abs(far.v[j] as number))) return false
          look.at(i, j, b)
          over = work.spend(1)
          return !over
        })
      return !over
    })
  }
}

/** First and last entry of a rising list between two values; the last before the first where there is none. */
const numbersWithin = (list: Float64Array, low: number, high: number): readonly [number, number] =>
  low > high ? [0, -1] : [firstAtLeast(list, low - EQUAL), firstAtLeast(list, high + EQUAL) - 1]

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
