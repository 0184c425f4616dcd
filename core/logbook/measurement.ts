import { feetFor, type FootPlane, type FootResult } from '../coupling/feet'
import type { CouplingMeasurement } from '../coupling/dialCircle'
import { rimFace } from '../coupling/rimFace'
import type { DialSet, FaceSet } from '../coupling/dialSet'
import type { Reading } from '../fit/harmonicFit'
import { lineDifference, type Misalignment } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import { judgedQuantities } from '../judge/quantities'
import { offsetLimitOf, type SettledTolerance } from '../judge/tolerance'
import type { Refusal } from '../outcome'
import { repeatDifferences, repeatLimit } from '../trust/repeat'
import { beyondReturnLimit, returnLimit } from '../trust/returnToZero'
import { closureLimit } from '../trust/closure'
import { suspectReadings } from '../trust/suspects'
import type { SetTrust, TrustFlag } from '../trust/trustReport'
import { toCore, type Degrees, type Millimetres, type UnitSystem } from '../units/unitSystem'
import type { EntryOf, SetUpPayload, TypedReading } from './entry'

export type Dial = 'rim' | 'face'
export const DIALS: readonly Dial[] = ['rim', 'face']

/** A set-up in core units, with the entry it came from. */
export interface SetUp {
  readonly entryId: string
  readonly given: SetUpPayload
  readonly units: UnitSystem
  readonly rim: Omit<DialSet, 'readings'>
  readonly face: Omit<FaceSet, 'readings'>
  readonly graduation: Readonly<Record<Dial, Millimetres>>
  readonly feet: readonly FootPlane[]
  readonly returned: Readonly<Record<Dial, Millimetres>>
  /** False when a dial missed zero after the full turn by more than a graduation. */
  readonly holdsZero: boolean
}

/** A set-up entry in core units. */
export const settleSetUp = (entry: EntryOf<'set-up'>): SetUp => {
  const { payload: p } = entry
  const length = (x: number) => toCore(x, 'displacement', p.units)
  const distance = (x: number) => toCore(x, 'distance', p.units)
  const graduation = { rim: length(p.rim.graduation), face: length(p.face.graduation) }
  const returned = { rim: length(p.returned.rim), face: length(p.returned.face) }
  return {
    entryId: entry.id,
    given: p,
    units: p.units,
    rim: {
      carriedBy: p.rim.carriedBy,
      plane: distance(p.rim.plane),
      sag: length(p.rim.sag),
      turning: p.turning,
      readingSign: p.rim.readingSign,
    },
    face: {
      plunger: p.face.plunger,
      diameter: distance(p.face.diameter),
      sag: length(p.face.sag),
      readingSign: p.face.readingSign,
    },
    graduation,
    feet: p.feet.map((f) => ({ id: f.id, x: distance(f.x) })),
    returned,
    holdsZero: DIALS.every((d) => !beyondReturnLimit(returned[d], p.units, graduation[d])),
  }
}

/** One typed set with what may be said of it alone. */
export interface ReadingSet {
  readonly entry: EntryOf<'readings-taken'>
  readonly setUp: SetUp
  readonly readings: Readonly<Record<Dial, readonly Reading[]>>
  readonly measured: CouplingMeasurement | null
  readonly refusals: readonly Refusal[]
  readonly flags: readonly TrustFlag[]
  readonly returned: Readonly<Record<Dial, Millimetres>> | null
  readonly returnLimits: Readonly<Record<Dial, Millimetres>>
  /** Balances, returned to zero and could be calculated. */
  readonly sound: boolean
  readonly usedAnyway: string | null
  readonly leftOut: string | null
}

const SERIOUS: readonly TrustFlag[] = ['closure', 'residual', 'return-to-zero']

/** What one set of readings says by itself. */
export const readSet = (
  entry: EntryOf<'readings-taken'>,
  setUp: SetUp,
  tolerance: SettledTolerance,
  notes: { readonly usedAnyway: string | null; readonly leftOut: string | null },
): ReadingSet => {
  const { payload } = entry
  const length = (x: number) => toCore(x, 'displacement', payload.units)
  const inCore = (list: readonly TypedReading[]): readonly Reading[] =>
    list.map((r) => ({ ...r, value: length(r.value) }))
  const readings = { rim: inCore(payload.rim), face: inCore(payload.face) }
  const outcome = rimFace(
    { rim: { ...setUp.rim, readings: readings.rim }, faces: [{ ...setUp.face, readings: readings.face }] },
    trustLimits(setUp, tolerance),
  )
  const returned = payload.returned && {
    rim: length(payload.returned.rim),
    face: length(payload.returned.face),
  }
  const slipped =
    returned !== null && DIALS.some((d) => beyondReturnLimit(returned[d], setUp.units, setUp.graduation[d]))
  const flags: TrustFlag[] = outcome.ok ? [...outcome.value.trust.flags] : []
  if (slipped) flags.push('return-to-zero')
  return {
    entry,
    setUp,
    readings,
    measured: outcome.ok ? outcome.value : null,
    refusals: outcome.ok ? [] : outcome.refusals,
    flags,
    returned,
    returnLimits: {
      rim: returnLimit(setUp.units, setUp.graduation.rim),
      face: returnLimit(setUp.units, setUp.graduation.face),
    },
    sound: outcome.ok && !flags.some((f) => SERIOUS.includes(f)),
    ...notes,
  }
}

const trustLimits = (setUp: SetUp, tolerance: SettledTolerance) => ({
  units: setUp.units,
  graduation: Math.max(setUp.graduation.rim, setUp.graduation.face),
  offsetLimit: offsetLimitOf(tolerance),
})

/** One line of a repeat check, millimetres or mm/mm. */
export interface RepeatRow {
  readonly what: 'position' | 'quantity'
  /** Dial name for a position, quantity name otherwise. */
  readonly name: string
  readonly clock: Degrees | null
  readonly kind: 'displacement' | 'slope'
  readonly difference: number
  readonly limit: number
  readonly within: boolean
}

/** How a second set repeats a first. */
export interface RepeatReport {
  readonly first: string
  readonly second: string
  readonly rows: readonly RepeatRow[]
  readonly agrees: boolean
  /** What the two sets would have the feet do differently: shown, not limited. */
  readonly feet: readonly FootResult[]
}

/** Compares two sets position by position and quantity by quantity (chapter 2, repeat). */
export const compareSets = (
  first: ReadingSet,
  second: ReadingSet,
  tolerance: SettledTolerance,
): RepeatReport => {
  const rows: RepeatRow[] = []
  const sameSetUp = first.setUp.entryId === second.setUp.entryId
  if (sameSetUp)
    for (const dial of DIALS) {
      const limit = repeatLimit(second.setUp.units, second.setUp.graduation[dial])
      for (const d of repeatDifferences(first.readings[dial], second.readings[dial]))
        rows.push({
          what: 'position',
          name: dial,
          clock: d.clock,
          kind: 'displacement',
          difference: d.difference,
          limit,
          within: Math.abs(d.difference) <= limit * (1 + 1e-9),
        })
    }
  const change: Misalignment | null =
    first.measured && second.measured
      ? lineDifference(second.measured.coupling, first.measured.coupling)
      : null
  if (change)
    for (const q of judgedQuantities(tolerance).flatMap((one) => one.terms)) {
      const parts = [change.offset[q.plane], change.slope[q.plane]]
      if (parts.some((p) => p === null)) continue
      const [low, high] = q.band
      if (low === null || high === null) continue
      const difference = q.offsetFactor * (parts[0] ?? 0) + q.slopeFactor * (parts[1] ?? 0)
      const limit = (high - low) / 4
      rows.push({
        what: 'quantity',
        name: q.name,
        clock: null,
        kind: q.kind,
        difference,
        limit,
        within: Math.abs(difference) <= limit * (1 + 1e-9),
      })
    }
  return {
    first: first.entry.id,
    second: second.entry.id,
    rows,
    agrees: rows.length > 0 && rows.every((r) => r.within),
    feet: change ? feetFor(change, second.setUp.feet) : [],
  }
}

/**
 * How far a measurement may be believed. agreed: two sets repeat. once: one set that balances.
 * unproven: nothing spare to expose a bad reading. doubtful: it fails a check. overridden: used
 * against a failed check, with a reason. none: nothing typed.
 */
export type TrustLevel = 'none' | 'doubtful' | 'unproven' | 'once' | 'agreed' | 'overridden'

export interface SuspectReading {
  readonly set: string
  readonly dial: Dial
  readonly clock: Degrees
}

/** What all sets between two moves say together. */
export interface Measurement {
  readonly sets: readonly ReadingSet[]
  readonly used: readonly string[]
  readonly repeat: RepeatReport | null
  readonly suspects: readonly SuspectReading[]
  readonly trust: TrustLevel
  /** From the sets used; null while none can be. */
  readonly combined: CouplingMeasurement | null
  readonly coupling: Misalignment | null
  readonly judgement: Judgement | null
  readonly feet: readonly FootResult[]
}

const MOST_COMPARED = 6

/** Largest group of sets that repeat one another; the later group when two are as large. */
const agreeingSets = (sets: readonly ReadingSet[], tolerance: SettledTolerance): readonly ReadingSet[] => {
  const compared = sets.slice(-MOST_COMPARED)
  const repeats = compared.map((a, i) =>
    compared.map((b, j) => (i < j ? compareSets(a, b, tolerance).agrees : false)),
  )
  let best: readonly number[] = []
  for (let mask = 1; mask < 1 << compared.length; mask++) {
    const members = compared.map((_, i) => i).filter((i) => mask & (1 << i))
    if (members.length < best.length) continue
    if (members.every((i, n) => members.slice(n + 1).every((j) => repeats[i]?.[j]))) best = members
  }
  return best.map((i) => compared[i] as ReadingSet)
}

/** Several sets of one set-up as one least-squares problem, each with constants of its own. */
const combine = (sets: readonly ReadingSet[], tolerance: SettledTolerance): CouplingMeasurement | null => {
  const last = sets[sets.length - 1]
  if (!last) return null
  const alike = sets.filter((s) => s.setUp.entryId === last.setUp.entryId)
  if (alike.length === 1) return last.measured
  const pooled = (dial: Dial) =>
    alike.flatMap((s, i) => s.readings[dial].map((r) => ({ ...r, group: `${i}:${r.group ?? ''}` })))
  const outcome = rimFace(
    {
      rim: { ...last.setUp.rim, readings: pooled('rim') },
      faces: [{ ...last.setUp.face, readings: pooled('face') }],
    },
    trustLimits(last.setUp, tolerance),
  )
  return outcome.ok ? outcome.value : last.measured
}

const findSuspects = (
  sets: readonly ReadingSet[],
  tolerance: SettledTolerance,
): readonly SuspectReading[] => {
  const last = sets[sets.length - 1]
  if (!last) return []
  const alike = sets.filter((s) => s.setUp.entryId === last.setUp.entryId)
  const limits = trustLimits(last.setUp, tolerance)
  const limit = closureLimit(limits.units, limits.graduation, limits.offsetLimit)
  return DIALS.flatMap((dial) => {
    const origin: SuspectReading[] = []
    const pooled = alike.flatMap((s, i) =>
      s.readings[dial].map((r) => {
        origin.push({ set: s.entry.id, dial, clock: r.clock })
        return { ...r, group: `${i}:${r.group ?? ''}` }
      }),
    )
    const indexes = suspectReadings(pooled, limit)
    return indexes.map((i) => origin[i] as SuspectReading)
  })
}

/** Takes the sets between two moves together: which are used, how far to trust them, what they say. */
export const takeMeasurement = (
  sets: readonly ReadingSet[],
  tolerance: SettledTolerance,
  target: Misalignment,
): Measurement => {
  const offered = sets.filter((s) => s.measured !== null && s.leftOut === null)
  const admitted = offered.filter((s) => s.sound || s.usedAnyway !== null)
  const agreeing = agreeingSets(admitted, tolerance)
  const lastAdmitted = admitted[admitted.length - 1]
  const disagree = admitted.length > 1 && agreeing.length < 2
  const used = disagree && lastAdmitted?.usedAnyway != null ? [lastAdmitted] : agreeing
  const combined = combine(used, tolerance)
  const pair = offered.slice(-2)
  const [before, latest] = pair
  const repeat = before && latest ? compareSets(before, latest, tolerance) : null
  const trust = ((): TrustLevel => {
    if (sets.length === 0) return 'none'
    if (used.some((s) => s.usedAnyway !== null)) return 'overridden'
    if (used.length > 1) return 'agreed'
    const newest = offered[offered.length - 1]
    const newestFails = newest !== undefined && !admitted.includes(newest)
    if (disagree || newestFails || admitted.length === 0) return 'doubtful'
    return used.some((s) => s.flags.includes('unproven')) ? 'unproven' : 'once'
  })()
  const coupling = combined?.coupling ?? null
  const setUp = used[used.length - 1]?.setUp
  return {
    sets,
    used: used.map((s) => s.entry.id),
    repeat,
    suspects: trust === 'doubtful' ? findSuspects(offered, tolerance) : [],
    trust,
    combined,
    coupling,
    judgement: coupling && judge(coupling, tolerance, target),
    feet: coupling && setUp ? feetFor(coupling, setUp.feet, target) : [],
  }
}

/** The trust rows of one dial in a set, null where the set could not be fitted. */
export const trustOf = (set: ReadingSet, dial: Dial): SetTrust | null =>
  set.measured?.trust.sets.find((s) => s.name === dial) ?? null
