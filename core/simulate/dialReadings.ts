import type { Carrier, Plunger } from '../coupling/dialSet'
import type { Misalignment } from '../frame/planes'
import type { Reading } from '../fit/harmonicFit'
import type { Random } from '../random/random'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { faceTravel, rimTravel, type ShaftPair } from './bracketDial'
import { dialShows, EXACT_DIAL, type DialNature } from './dialGauge'
import { trueHub } from './hub'
import { axisOfLine, REFERENCE_AXIS } from './shaftAxis'

const RADIUS: Millimetres = 60

/** Two true hubs whose movable axis lies on this line. */
export const pairOnLine = (line: Misalignment, radius: Millimetres = RADIUS): ShaftPair => ({
  stationary: REFERENCE_AXIS,
  movable: axisOfLine(line),
  stationaryHub: trueHub(radius),
  movableHub: trueHub(radius),
})

const NO_CHANCE: Random = () => 0

/** What a rim dial shows round the clock, zeroed at the first position. Millimetres. */
export const simulateRim = (
  line: Misalignment,
  setting: { readonly carriedBy: Carrier; readonly plane: Millimetres; readonly sag: Millimetres },
  clocks: readonly Degrees[],
  dial: DialNature = EXACT_DIAL,
  normal: Random = NO_CHANCE,
): readonly Reading[] => {
  const pair = pairOnLine(line)
  const travel = (clock: Degrees) => rimTravel(pair, { ...setting, bothTurn: true }, clock)
  return dialShows(
    clocks.map((clock) => ({ clock, plunger: travel(clock) })),
    dial,
    normal,
  )
}

/** What a face dial shows round the clock, zeroed at the first position. Millimetres. */
export const simulateFace = (
  line: Misalignment,
  setting: {
    readonly plunger: Plunger
    readonly diameter: Millimetres
    readonly sag: Millimetres
    readonly carriedBy?: Carrier
  },
  clocks: readonly Degrees[],
  dial: DialNature = EXACT_DIAL,
  normal: Random = NO_CHANCE,
): readonly Reading[] => {
  const pair = pairOnLine(line)
  const whole = { carriedBy: 'movable' as const, bothTurn: true, faceX: 0, float: 0, ...setting }
  return dialShows(
    clocks.map((clock) => ({ clock, plunger: faceTravel(pair, whole, clock) })),
    dial,
    normal,
  )
}
