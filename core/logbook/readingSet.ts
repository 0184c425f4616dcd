import type { CouplingMeasurement } from '../coupling/dialCircle'
import { feetFor, type FootResult } from '../coupling/feet'
import { rimFace } from '../coupling/rimFace'
import type { Reading } from '../fit/harmonicFit'
import { lineDifference } from '../frame/planes'
import { offsetLimitOf, type SettledTolerance } from '../judge/tolerance'
import type { Refusal } from '../outcome'
import { repeatOfPositions, repeatOfQuantities, type RepeatRow } from '../trust/compareMeasurements'
import { repeatLimit } from '../trust/repeat'
import { beyondReturnLimit, returnLimit } from '../trust/returnToZero'
import type { SetTrust, TrustFlag } from '../trust/trustReport'
import { toCore, type Millimetres } from '../units/unitSystem'
import type { EntryOf, TypedReading } from './entry'
import { DIALS, type Dial, type SetUp } from './setUp'

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

/** Limits of the trust checks for a set-up under this tolerance. */
export const trustLimits = (setUp: SetUp, tolerance: SettledTolerance) => ({
  units: setUp.units,
  graduation: Math.max(setUp.graduation.rim, setUp.graduation.face),
  offsetLimit: offsetLimitOf(tolerance),
})

/** The trust rows of one dial in a set, null where the set could not be fitted. */
export const trustOf = (set: ReadingSet, dial: Dial): SetTrust | null =>
  set.measured?.trust.sets.find((s) => s.name === dial) ?? null

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
  const sameSetUp = first.setUp.entryId === second.setUp.entryId
  const positions = sameSetUp
    ? DIALS.flatMap((dial) =>
        repeatOfPositions(
          dial,
          first.readings[dial],
          second.readings[dial],
          repeatLimit(second.setUp.units, second.setUp.graduation[dial]),
        ),
      )
    : []
  const change =
    first.measured && second.measured
      ? lineDifference(second.measured.coupling, first.measured.coupling)
      : null
  const rows = [...positions, ...(change ? repeatOfQuantities(change, tolerance) : [])]
  return {
    first: first.entry.id,
    second: second.entry.id,
    rows,
    agrees: rows.length > 0 && rows.every((r) => r.within),
    feet: change ? feetFor(change, second.setUp.feet) : [],
  }
}
