import { lineDifference, type Misalignment } from '../frame/planes'
import type { ChangeDoubt } from '../uncertainty/changeDoubt'
import type { Degrees } from '../units/unitSystem'

/** Why a flange did not do what was planned. */
export type TiltCause =
  'as-planned' | 'nothing-happened' | 'sign-swapped' | 'bolts-turned' | 'part-only' | 'differs'

/** What shims or a push did, against what they were to do. */
export interface AchievedTilt {
  readonly cause: TiltCause
  /** By how many bolts clockwise they were laid on; only of bolts that were counted from the wrong one. */
  readonly turned: number | null
  /** Clockwise from what was planned, degrees; null where nothing was planned or nothing happened. */
  readonly angle: Degrees | null
  /** Measured as a share of what was planned; null where nothing was planned. */
  readonly share: number | null
}

const PART = [0.2, 0.8] as const

interface Vector {
  readonly v: number
  readonly h: number
}

const less = (a: Vector, b: Vector): Vector => ({ v: a.v - b.v, h: a.h - b.h })
const scaled = (a: Vector, by: number): Vector => ({ v: a.v * by, h: a.h * by })
const turnedBy = (a: Vector, degrees: Degrees): Vector => {
  const t = (degrees * Math.PI) / 180
  return { v: a.v * Math.cos(t) - a.h * Math.sin(t), h: a.v * Math.sin(t) + a.h * Math.cos(t) }
}
const clockOf = (a: Vector): Degrees => ((Math.atan2(a.h, a.v) * 180) / Math.PI + 360) % 360

/** How many standard deviations, squared, a vector stands from nothing. */
const distance = (a: Vector, sd: Vector): number => (a.v / sd.v) ** 2 + (a.h / sd.h) ** 2

/**
 * Compares a change of tilt (or, of a push, of offset) with the planned one: both planes together, since on a flange the two
 * are one vector on the clock. Beyond what measuring leaves open (`doubt`), a change of the right size at the wrong hour is
 * named by how many bolts it was counted on. Null while either is unknown. Source: docs/methods/vertical-flange.md.
 */
export const compareTilt = (given: {
  readonly before: Misalignment
  readonly after: Misalignment
  readonly planned: Misalignment
  readonly of: 'slope' | 'offset'
  readonly bolts: number
  readonly doubt: ChangeDoubt
}): AchievedTilt | null => {
  const { before, after, of, bolts, doubt } = given
  const change = lineDifference(after, before)[of]
  const wanted = given.planned[of]
  if (change.v === null || change.h === null || wanted.v === null || wanted.h === null) return null
  const [measured, planned]: [Vector, Vector] = [
    { v: change.v, h: change.h },
    { v: wanted.v, h: wanted.h },
  ]
  const at = of === 'offset' ? 0 : 2
  const sd = {
    v: Math.sqrt((doubt.covariance[5 * at] as number) + 1e-18),
    h: Math.sqrt((doubt.covariance[5 * (at + 1)] as number) + 1e-18),
  }
  const fits = (to: Vector) => distance(less(measured, to), sd) <= doubt.limit
  const size = Math.hypot(planned.v, planned.h)
  const share = size > 0 ? Math.hypot(measured.v, measured.h) / size : null
  const still = fits({ v: 0, h: 0 })
  const angle = size > 0 && !still ? (clockOf(measured) - clockOf(planned) + 360) % 360 : null
  const found = (cause: TiltCause, turned: number | null = null): AchievedTilt => ({
    cause,
    turned,
    angle,
    share,
  })
  if (fits(planned)) return found('as-planned')
  if (still) return found('nothing-happened')
  if (fits(scaled(planned, -1))) return found('sign-swapped')
  if (of === 'slope')
    for (let n = 1; n < bolts; n++)
      if (fits(turnedBy(planned, (360 / bolts) * n))) return found('bolts-turned', n)
  const along = size > 0 ? (measured.v * planned.v + measured.h * planned.h) / size ** 2 : 0
  if (along >= PART[0] && along <= PART[1] && fits(scaled(planned, along))) return found('part-only')
  return found('differs')
}
