import {
  AMPLIFICATION_WARNED,
  ARC_WARNED,
  type HarmonicFit,
  type Reading,
  type Residual,
} from '../fit/harmonicFit'
import type { SettledTolerance } from '../judge/tolerance'
import type { Degrees, Millimetres, UnitSystem } from '../units/unitSystem'
import { closureLimit, closureOf } from './closure'
import { fitAgrees, suspectReadings } from './suspects'
import { weakGeometry, type ReadCircles, type WeakQuantity } from './weakGeometry'
import type { Join } from '../coupling/dialCircle'

/** What may be said about one dial's readings before their result is shown. Millimetres. */
export interface SetTrust {
  readonly name: string
  readonly closure: Millimetres | null
  readonly closureLimit: Millimetres
  readonly residualRms: Millimetres
  readonly worst: Residual
  readonly residuals: readonly Residual[]
  readonly arc: Degrees
  readonly amplification: number
  readonly sag: Millimetres
  /** Readings beyond what the fit needs. */
  readonly spare: number
  /** Null when nothing is spare: three positions can't expose a bad one. */
  readonly agrees: boolean | null
  /** Indexes into the readings that could be the bad one. */
  readonly suspects: readonly number[]
  readonly singlePlane: boolean
}

/** Codes a trust report can raise; the words are in shared/wording. */
export type TrustFlag =
  | 'closure'
  | 'residual'
  | 'unproven'
  | 'arc-short'
  | 'amplified'
  | 'single-plane'
  | 'return-to-zero'
  | 'no-sag'
  | 'one-shaft-turned'
  | 'axial-float'
  | 'hub-radii'
  | 'go-no-go'
  | 'weak-geometry'

export interface TrustReport {
  readonly sets: readonly SetTrust[]
  readonly flags: readonly TrustFlag[]
  /** Judged quantities that this set-up can't tell, where their limits and the graduation are known. */
  readonly weak?: readonly WeakQuantity[]
}

export interface TrustLimits {
  readonly units: UnitSystem
  readonly graduation: Millimetres | null
  /** The offset tolerance, which tightens the sum check; null when none is known. */
  readonly offsetLimit: Millimetres | null
  /** What will be judged, for saying whether the set-up can tell it. */
  readonly tolerance?: SettledTolerance | null
}

/** The trust report of one dial from its fit. */
export const trustOfSet = (
  name: string,
  readings: readonly Reading[],
  fit: HarmonicFit,
  sag: Millimetres,
  limits: TrustLimits,
): SetTrust => {
  const limit = closureLimit(limits.units, limits.graduation, limits.offsetLimit)
  return {
    name,
    closure: closureOf(readings),
    closureLimit: limit,
    residualRms: fit.residualRms,
    worst: fit.worst,
    residuals: fit.residuals,
    arc: fit.arc,
    amplification: fit.amplification,
    sag,
    spare: fit.spare,
    agrees: fitAgrees(fit, readings.length, limit),
    suspects: suspectReadings(readings, fit, limit),
    singlePlane: fit.cos === null || fit.sin === null,
  }
}

/** Flags that follow from the sets alone, each once, in a fixed order. */
export const flagsOfSets = (sets: readonly SetTrust[]): TrustFlag[] => {
  const flags: TrustFlag[] = []
  if (sets.some((s) => s.closure !== null && s.agrees === false)) flags.push('closure')
  if (sets.some((s) => s.closure === null && s.agrees === false)) flags.push('residual')
  if (sets.some((s) => s.agrees === null)) flags.push('unproven')
  if (sets.some((s) => !s.singlePlane && s.arc < ARC_WARNED)) flags.push('arc-short')
  if (sets.some((s) => s.amplification > AMPLIFICATION_WARNED)) flags.push('amplified')
  if (sets.some((s) => s.singlePlane)) flags.push('single-plane')
  return flags
}

/** The report of a whole set-up: its sets, and whether it is large enough for what will be judged. */
export const trustOfSetUp = (
  sets: readonly SetTrust[],
  circles: ReadCircles,
  join: Join,
  limits: TrustLimits,
): TrustReport => {
  const flags = flagsOfSets(sets)
  if (!limits.tolerance || limits.graduation === null || limits.graduation === 0) return { sets, flags }
  const weak = weakGeometry(circles, join, limits.graduation, limits.tolerance)
  return weak.length > 0 ? { sets, flags: [...flags, 'weak-geometry'], weak } : { sets, flags }
}
