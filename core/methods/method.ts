import { measureArrangement, type CouplingMeasurement, type DialArrangement } from '../coupling/dialCircle'
import type { DialSet, FaceSet } from '../coupling/dialSet'
import type { Reading } from '../fit/harmonicFit'
import { done, type Outcome } from '../outcome'
import type { TrustFlag, TrustLimits } from '../trust/trustReport'
import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'

/** What was read, circle by circle, under the names that the method gives its circles. */
export type Circles = Readonly<Record<string, readonly Reading[]>>

/** A rim dial as it is mounted, without what it read. */
export type RimMount = Omit<DialSet, 'readings'>
/** A face dial as it is mounted, without what it read. */
export type FaceMount = Omit<FaceSet, 'readings'>

/** Readings arranged as two circles and a join, with what the set-up itself leaves open. */
export interface Arranged {
  readonly arrangement: DialArrangement
  readonly flags: readonly TrustFlag[]
  /** How far the shafts crept along the axis; null where the method can't see it. */
  readonly axialFloat: Millimetres | null
}

/** How one school turns its set-up and its readings into circles. */
export interface Method<SetUp> {
  /** Circles to read, in the order they are read at a stop. */
  readonly circles: (setUp: SetUp) => readonly string[]
  /** Core units throughout. Refusals carry the circle's name first in their path. */
  readonly arrange: (setUp: SetUp, read: Circles) => Outcome<Arranged>
  /** A set-up in contract units of `units`, in core units. */
  readonly toCore: (setUp: SetUp, units: UnitSystem) => SetUp
}

/** What one circle reads, or nothing. */
export const readAt = (read: Circles, circle: string): readonly Reading[] => read[circle] ?? []

const runoutToCore = (runout: readonly Reading[] | undefined, units: UnitSystem) =>
  runout?.map((r) => ({ ...r, value: toCore(r.value, 'displacement', units) }))

/** A rim mount in contract units, in core units. */
export const rimToCore = (mount: RimMount, units: UnitSystem): RimMount => ({
  ...mount,
  plane: toCore(mount.plane, 'distance', units),
  sag: toCore(mount.sag, 'displacement', units),
  runout: runoutToCore(mount.runout, units),
})

/** A face mount in contract units, in core units. */
export const faceToCore = (mount: FaceMount, units: UnitSystem): FaceMount => ({
  ...mount,
  diameter: toCore(mount.diameter, 'distance', units),
  sag: mount.sag === undefined ? undefined : toCore(mount.sag, 'displacement', units),
  runout: runoutToCore(mount.runout, units),
})

/**
 * Measures by a method: arranges the readings, fits the circles, joins them and reports how far
 * they may be trusted. Millimetres, degrees, mm/mm. Refuses positions that can't carry a result.
 */
export const measureBy = <SetUp>(
  method: Method<SetUp>,
  setUp: SetUp,
  read: Circles,
  limits: TrustLimits,
): Outcome<CouplingMeasurement> => {
  const arranged = method.arrange(setUp, read)
  return arranged.ok ? measureArranged(arranged.value, limits) : arranged
}

/** Measures what is arranged already; see measureBy. */
export const measureArranged = (arranged: Arranged, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const { arrangement, axialFloat } = arranged
  const measured = measureArrangement(arrangement, limits)
  if (!measured.ok) return measured
  const { trust } = measured.value
  const crept = axialFloat !== null && axialFloat > (trust.sets[1]?.closureLimit ?? 0)
  const flags = [...trust.flags, ...arranged.flags, ...(crept ? (['axial-float'] as const) : [])]
  return done({ ...measured.value, trust: { ...trust, flags }, axialFloat })
}
