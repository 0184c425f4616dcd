import type { CouplingMeasurement } from '../../coupling/dialCircle'
import { feetFor, type FootResult } from '../../coupling/feet'
import type { Reading } from '../../fit/harmonicFit'
import { lineDifference } from '../../frame/planes'
import { offsetLimitOf, type SettledTolerance } from '../../judge/tolerance'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { measureArranged, type Arranged, type Circles } from '../../methods/method'
import { arrangeBy } from '../../methods/methods'
import type { Refusal } from '../../outcome'
import { repeatOfPositions, repeatOfQuantities, type RepeatRow } from '../../trust/compareMeasurements'
import { repeatLimit } from '../../trust/repeat'
import { beyondReturnLimit } from '../../trust/returnToZero'
import type { SetTrust, TrustFlag } from '../../trust/trustReport'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { SetUp } from '../setUp/setUp'

/** One typed set with what may be said of it alone. */
export interface ReadingSet {
  readonly entry: LogEntry<'readings-taken'>
  readonly setUp: SetUp
  /** As read, by circle; core units. */
  readonly read: Circles
  readonly arranged: Arranged | null
  readonly measured: CouplingMeasurement | null
  readonly refusals: readonly Refusal[]
  readonly flags: readonly TrustFlag[]
  readonly returned: Readonly<Record<string, Millimetres>> | null
  /** 12 + 6 against 3 + 9 of each circle that holds exactly those four. */
  readonly sums: Readonly<
    Record<string, { readonly topBottom: Millimetres; readonly leftRight: Millimetres }>
  >
  /** Balances, returned to zero and could be calculated. */
  readonly sound: boolean
}

const SERIOUS: readonly TrustFlag[] = ['closure', 'residual', 'return-to-zero']

/** Limits of the trust checks for a set-up under this tolerance. */
export const trustLimits = (setUp: SetUp, tolerance: SettledTolerance) => ({
  units: setUp.units,
  graduation: setUp.coarsest,
  offsetLimit: offsetLimitOf(tolerance),
  tolerance,
})

const sumsOf = (readings: readonly Reading[]) => {
  const at = (clock: number) => readings.find((r) => r.clock === clock)?.value
  const [r12, r3, r6, r9] = [at(0), at(90), at(180), at(270)]
  // Dials zeroed twice can't be held against one another.
  if (new Set(readings.map((r) => r.group ?? '')).size > 1) return null
  if (readings.length !== 4 || r12 === undefined || r3 === undefined || r6 === undefined || r9 === undefined)
    return null
  return { topBottom: r12 + r6, leftRight: r3 + r9 }
}

/** What one set of readings says by itself; worked out once a set. */
export const readSet = remember(
  (entry: LogEntry<'readings-taken'>, setUp: SetUp, tolerance: SettledTolerance): ReadingSet => {
    const { payload } = entry
    const length = (x: number) => toCore(x, 'displacement', payload.units)
    const read: Circles = Object.fromEntries(
      setUp.circles.map((c) => [
        c,
        (payload.circles[c] ?? []).map((r) => ({ ...r, value: length(r.value) })),
      ]),
    )
    const arranged = arrangeBy(setUp.how, read)
    const outcome = arranged.ok ? measureArranged(arranged.value, trustLimits(setUp, tolerance)) : arranged
    const returned =
      payload.returned &&
      Object.fromEntries(setUp.circles.map((c) => [c, length(payload.returned?.[c] ?? 0)]))
    const slipped =
      returned !== null &&
      setUp.circles.some((c) => beyondReturnLimit(returned[c] ?? 0, setUp.units, setUp.graduation[c] || null))
    const flags: TrustFlag[] = outcome.ok ? [...outcome.value.trust.flags] : []
    if (slipped) flags.push('return-to-zero')
    return {
      entry,
      setUp,
      read,
      arranged: arranged.ok ? arranged.value : null,
      measured: outcome.ok ? outcome.value : null,
      refusals: outcome.ok ? [] : outcome.refusals,
      flags,
      returned,
      sums: Object.fromEntries(
        setUp.circles.flatMap((c) => {
          const sums = sumsOf(read[c] ?? [])
          return sums ? [[c, sums]] : []
        }),
      ),
      sound: outcome.ok && !flags.some((f) => SERIOUS.includes(f)),
    }
  },
)

/** The trust report of one fitted circle in a set, null where the set could not be fitted. */
export const trustOf = (set: ReadingSet, circle: string): SetTrust | null =>
  set.measured?.trust.sets.find((s) => s.name === circle) ?? null

/** How a second set repeats a first. */
export interface RepeatReport {
  readonly first: string
  readonly second: string
  readonly rows: readonly RepeatRow[]
  readonly agrees: boolean
  /** What the two sets would have the feet do differently: shown, not limited. */
  readonly feet: readonly FootResult[]
  /** They would agree if the second had its 3 and 9 o'clock readings the other way round. */
  readonly mirrored: boolean
}

/**
 * Compares two sets position by position, where they share a set-up, and quantity by quantity; see
 * docs/methods/compare-sets.md. Worked out once a pair.
 */
export const compareSets = remember(
  (first: ReadingSet, second: ReadingSet, tolerance: SettledTolerance): RepeatReport => {
    const sameSetUp = first.setUp === second.setUp
    const positions = sameSetUp
      ? second.setUp.circles.flatMap((circle) =>
          repeatOfPositions(
            circle,
            first.read[circle] ?? [],
            second.read[circle] ?? [],
            repeatLimit(second.setUp.units, second.setUp.graduation[circle] ?? null),
          ),
        )
      : []
    const a = first.measured?.coupling
    const b = second.measured?.coupling
    const change = a && b ? lineDifference(b, a) : null
    const within = (rows: readonly RepeatRow[]) => rows.length > 0 && rows.every((r) => r.within)
    const rows = [...positions, ...(change ? repeatOfQuantities(change, tolerance) : [])]
    const agrees = within(rows)
    const turned = a && b ? lineDifference(mirrorH(b), a) : null
    return {
      first: first.entry.id,
      second: second.entry.id,
      rows,
      agrees,
      feet: change ? feetFor(change, second.setUp.feet) : [],
      mirrored: !agrees && turned !== null && within(repeatOfQuantities(turned, tolerance)),
    }
  },
)

const mirrorH = (line: CouplingMeasurement['coupling']): CouplingMeasurement['coupling'] => {
  const flip = (x: number | null) => (x === null ? null : -x)
  return {
    offset: { v: line.offset.v, h: flip(line.offset.h) },
    slope: { v: line.slope.v, h: flip(line.slope.h) },
  }
}
