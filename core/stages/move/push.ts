import type { FootPlane } from '../../coupling/feet'
import type { LogEntry } from '../../logbook/entry'
import { keyOfPair, pairKey, type MachineRole } from '../../plan/pairNames'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { Footwork } from './footwork'

/** Dials read since the plan was chosen. */
export type Counts = readonly LogEntry<'counts-read'>[]

/** Half a graduation of an inch dial: nearer than that nobody pushes. Starting value. */
export const ARRIVED: Millimetres = 0.0127
/** Smaller bites than this aren't halved. Starting value. */
const SMALL_BITE: Millimetres = 0.0508
/** What the feet may shift while the bolts are tightened. Starting value. */
export const DRIFT_LIMIT: Millimetres = 0.0254

/** A push that did something else than was meant. */
export type PushSlip = 'other-way' | 'other-foot' | 'too-far'

/** One end of a machine in a push; plus is toward 3. */
export interface PushEnd {
  readonly machine: MachineRole
  readonly id: string
  readonly wanted: Millimetres
  readonly toGo: Millimetres
  /** Where the last count before it stood; null until it was counted. */
  readonly before: Millimetres | null
  /** How far tightening shifted it; null until it was read. */
  readonly drift: Millimetres | null
}

/** The bite to take now. */
export interface Bite {
  readonly machine: MachineRole
  readonly pair: string
  /** Signed: plus is toward 3. */
  readonly by: Millimetres
}

export interface PushWatch {
  /** Of each machine that is pushed, from the coupling outward. */
  readonly ends: readonly PushEnd[]
  readonly wanted: boolean
  readonly counted: boolean
  readonly next: Bite | null
  readonly slip: { readonly what: PushSlip; readonly machine: MachineRole; readonly pair: string } | null
  /** The worst shift on tightening against its limit; null until it was read. */
  readonly drift: { readonly worst: Millimetres; readonly over: boolean } | null
}

const largest = (ends: readonly PushEnd[]): PushEnd | undefined =>
  [...ends].sort((a, b) => Math.abs(b.toGo) - Math.abs(a.toGo))[0]

/** The driven machine first, then the one that follows it: both ends in turn, the one with more to go first; half of it at a time, until it is small. */
const nextBite = (ends: readonly PushEnd[], bitten: string | null): Bite | null => {
  const left = ends.filter((e) => Math.abs(e.toGo) > ARRIVED)
  const driven = left.filter((e) => e.machine === 'stationary')
  const off = driven.length > 0 ? driven : left
  const others = off.filter((e) => keyOfPair(e) !== bitten)
  const end = largest(others.length > 0 ? others : off)
  if (!end) return null
  const size = Math.min(Math.abs(end.toGo), Math.max(SMALL_BITE, Math.abs(end.toGo) / 2))
  return { machine: end.machine, pair: end.id, by: Math.sign(end.toGo) * size }
}

/** What a count says of the bite before it. */
const slipOf = (before: readonly PushEnd[], after: readonly PushEnd[], bite: Bite): PushSlip | null => {
  const bitten = pairKey(bite.pair, bite.machine)
  const moved = (key: string) => {
    const [was, is] = [before, after].map((list) => list.find((e) => keyOfPair(e) === key)?.toGo ?? 0) as [
      number,
      number,
    ]
    return was - is
  }
  const way = Math.sign(bite.by)
  const own = way * moved(bitten)
  if (own < -ARRIVED) return 'other-way'
  const elsewhere = after.some(
    (e) => keyOfPair(e) !== bitten && way * moved(keyOfPair(e)) > Math.abs(bite.by) / 2,
  )
  if (own <= ARRIVED && elsewhere) return 'other-foot'
  const left = after.find((e) => keyOfPair(e) === bitten)?.toGo ?? 0
  return way * left < -ARRIVED ? 'too-far' : null
}

/**
 * A push as far as it has come: what each end has still to go, the bite to take now, and what the last
 * count says of the last bite. `footwork` is the plan's; without one every end is to stay where it is, and
 * only the shift on tightening is watched. Millimetres.
 */
export const watchPush = (
  footwork: Footwork | null,
  feet: { readonly [R in MachineRole]: readonly Pick<FootPlane, 'id'>[] },
  counts: Counts,
): PushWatch => {
  const endsOf = (machine: MachineRole): readonly PushEnd[] =>
    feet[machine].map(({ id }) => {
      const wanted = footwork?.moves.find((m) => m.machine === machine && m.id === id)?.h ?? 0
      return { machine, id, wanted, toGo: wanted, before: null, drift: null }
    })
  const pushed = (list: readonly PushEnd[]) => list.some((e) => Math.abs(e.wanted) > ARRIVED)
  const driven = endsOf('stationary')
  const shimmed = footwork?.moves.some((m) => m.machine === 'stationary' && m.v !== 0) ?? false
  let ends: readonly PushEnd[] = [...endsOf('movable'), ...(pushed(driven) || shimmed ? driven : [])]
  let bitten: string | null = null
  let slip: PushWatch['slip'] = null
  for (const { payload } of counts) {
    const read = (key: string): Millimetres | null => {
      const count = payload.counts.find((c) => pairKey(c.pair, c.machine) === key)
      return count ? toCore(count.toGo, 'displacement', payload.units) : null
    }
    const was = ends
    const bite = nextBite(was, bitten)
    ends = was.map((e) => {
      const toGo = read(keyOfPair(e))
      if (toGo === null) return e
      // Toward 3 is plus, and what is still to go shrinks by what was gone.
      return payload.when === 'tightened'
        ? { ...e, toGo, drift: (e.drift ?? 0) + e.toGo - toGo }
        : { ...e, toGo, before: e.toGo, drift: null }
    })
    if (payload.when === 'pushing') {
      // An end that nobody read says nothing; where one alone was read, that is the one that was pushed.
      const bittenAt = bite && pairKey(bite.pair, bite.machine)
      const what = bite && bittenAt && read(bittenAt) !== null ? slipOf(was, ends, bite) : null
      slip = what && bite ? { what, machine: bite.machine, pair: bite.pair } : null
      const [only] = payload.counts
      const alone = only && payload.counts.length === 1 ? pairKey(only.pair, only.machine) : undefined
      // What went wrong is put right first, at the same end.
      if (!slip) bitten = alone ?? bittenAt ?? bitten
    } else slip = null
  }
  const drifts = ends.flatMap((e) => (e.drift === null ? [] : [Math.abs(e.drift)]))
  const worst = Math.max(0, ...drifts)
  return {
    ends,
    wanted: pushed(ends),
    counted: counts.length > 0,
    next: nextBite(ends, bitten),
    slip,
    drift: drifts.length > 0 ? { worst, over: worst > DRIFT_LIMIT * (1 + 1e-9) } : null,
  }
}
