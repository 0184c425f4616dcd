import type { Misalignment } from '../../core/frame/planes'

/** Where the movable axis lies at the coupling centre and where it is expected once warm, in parts of a square from -1 to 1: 3 o'clock right, up is up. */
export interface Going {
  readonly from: readonly [x: number, y: number]
  readonly to: readonly [x: number, y: number]
}

/** How much of the half square the further of both points takes. */
const REACH = 0.8
/** Below this nothing goes anywhere, mm. */
const STILL = 1e-4

/** A cold line and how it goes as it warms, drawn as large as it fits; null where a plane is unknown or nothing moves. */
export const goingOf = (cold: Misalignment, by: Misalignment): Going | null => {
  const { v, h } = cold.offset
  if (v === null || h === null || by.offset.v === null || by.offset.h === null) return null
  if (Math.hypot(by.offset.v, by.offset.h) < STILL) return null
  const to = { v: v + by.offset.v, h: h + by.offset.h }
  const scale = REACH / Math.max(...[v, h, to.v, to.h].map(Math.abs))
  return { from: [h * scale, v * scale], to: [to.h * scale, to.v * scale] }
}
