import type { Reading } from '../fit/harmonicFit'
import type { Millimetres } from '../units/unitSystem'

export type Carrier = 'movable' | 'stationary'
export type Turning = 'both' | 'movable' | 'stationary'
/** away: onto the other hub's near face. back: reaching over, onto the far face. */
export type Plunger = 'away' | 'back'
/** +1 when pressing the plunger makes the number rise, -1 when it falls. */
export type ReadingSign = 1 | -1

/** A rim dial's readings, millimetres and degrees (docs/methods/rim-face.md). */
export interface DialSet {
  readonly carriedBy: Carrier
  /** x of the plane the tip runs on. */
  readonly plane: Millimetres
  readonly readings: readonly Reading[]
  /** How far the dial end of the bar hangs. */
  readonly sag: Millimetres
  readonly turning?: Turning
  readonly readingSign?: ReadingSign
  /** Run-out of the hub that stood still, read by turning it under a fixed dial. */
  readonly runout?: readonly Reading[]
}

/** A face dial's readings, millimetres and degrees. */
export interface FaceSet {
  readonly plunger: Plunger
  /** Diameter of the circle the tip runs on. */
  readonly diameter: Millimetres
  readonly readings: readonly Reading[]
  readonly sag?: Millimetres
  readonly readingSign?: ReadingSign
  readonly runout?: readonly Reading[]
}

/** k of the rim model: -1 when the movable shaft carries the dial, +1 when the stationary one does. */
export const rimFactor = (carriedBy: Carrier): 1 | -1 => (carriedBy === 'movable' ? -1 : 1)

/** q of the face model: +1 for a plunger pointing away from its bracket, -1 for one pointing back. */
export const faceFactor = (plunger: Plunger): 1 | -1 => (plunger === 'away' ? 1 : -1)

/** A dial travels round the other hub only while the shaft that carries it turns. */
export const travels = ({ carriedBy, turning = 'both' }: Pick<DialSet, 'carriedBy' | 'turning'>): boolean =>
  turning === 'both' || turning === carriedBy
