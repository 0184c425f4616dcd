import { positionAt, type Misalignment } from '../frame/planes'
import type { Reading } from '../fit/harmonicFit'
import type { Circles, FaceMount } from '../methods/method'
import type { MethodGiven } from '../methods/methods'
import type { Random } from '../random/random'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { faceGap, faceTravel, rimStep } from './bracketDial'
import { dialShows, EXACT_DIAL, type DialNature } from './dialGauge'
import { pairOnLine, simulateRim } from './dialReadings'
import { trueHub } from './hub'
import { axisOfLine } from './shaftAxis'

const NO_CHANCE: Random = () => 0
/** Mean gap between the faces of the simulated hubs. */
const APART: Millimetres = 4
const STILL: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

const known = (x: number | null) => x ?? 0

/** The line a spool hangs on between its flex planes. */
const spoolLine = (truth: Misalignment, length: Millimetres): Misalignment => {
  const end = positionAt(truth, length / 2)
  return {
    offset: { v: known(end.v) / 2, h: known(end.h) / 2 },
    slope: { v: known(end.v) / length, h: known(end.h) / length },
  }
}

/**
 * What a method's circles read off an exact machine that stands on this line: dials with their nature and chance,
 * feelers and an instrument's own figures as they are. A set-up and a line in core units; millimetres out.
 */
export const readByMethod = (
  how: MethodGiven,
  truth: Misalignment,
  clocks: readonly Degrees[],
  dial: DialNature = EXACT_DIAL,
  normal: Random = NO_CHANCE,
): Circles => {
  const face = (from: Misalignment, to: Misalignment, mount: FaceMount): readonly Reading[] =>
    dialShows(
      clocks.map((clock) => ({
        clock,
        plunger: faceTravel(
          {
            stationary: axisOfLine(from),
            movable: axisOfLine(to),
            stationaryHub: trueHub(60),
            movableHub: trueHub(60),
          },
          {
            carriedBy: 'movable',
            plunger: mount.plunger,
            sag: mount.sag ?? 0,
            bothTurn: true,
            diameter: mount.diameter,
            faceX: 0,
            float: 0,
          },
          clock,
        ),
      })),
      dial,
      normal,
    ).map((r) => ({ ...r, value: r.value * (mount.readingSign ?? 1) }))
  const rim = (mount: Parameters<typeof simulateRim>[1] & { readonly readingSign?: 1 | -1 }) =>
    simulateRim(truth, mount, clocks, dial, normal).map((r) => ({
      ...r,
      value: r.value * (mount.readingSign ?? 1),
    }))
  switch (how.method) {
    case 'rim-face': {
      const [first, second] = how.given.faces
      return second
        ? {
            rim: rim(how.given.rim),
            face1: face(STILL, truth, first),
            // Under its own clock position, half a turn from the first.
            face2: face(STILL, truth, second),
          }
        : { rim: rim(how.given.rim), face: face(STILL, truth, first) }
    }
    case 'reverse-rim':
      return { onStationary: rim(how.given.onStationary), onMovable: rim(how.given.onMovable) }
    case 'spacer-faces': {
      const { spoolLength, atStationary, atMovable } = how.given
      const spool = spoolLine(truth, spoolLength)
      return { atStationary: face(STILL, spool, atStationary), atMovable: face(spool, truth, atMovable) }
    }
    case 'heads':
      return {
        stationary: rim({ carriedBy: 'movable', plane: how.given.stationaryPlane, sag: 0 }),
        movable: rim({ carriedBy: 'stationary', plane: how.given.movablePlane, sag: 0 }),
      }
    case 'gaps': {
      const pair = pairOnLine(truth)
      return {
        steps: clocks.map((clock) => ({ clock, value: rimStep(pair, clock) })),
        gaps: clocks.map((clock) => ({ clock, value: faceGap(pair, APART, how.given.diameter, clock) })),
      }
    }
    case 'values': {
      const { per, signs } = how.given
      return {
        offset: shown(truth.offset, [signs.high, signs.toward3], 1),
        angle: shown(truth.slope, [signs.endHigh, signs.endToward3], per),
      }
    }
    case 'foot-values': {
      const { near, far, signs } = how.given
      return {
        nearPlane: shown(positionAt(truth, near), [signs.high, signs.toward3], 1),
        farPlane: shown(positionAt(truth, far), [signs.high, signs.toward3], 1),
      }
    }
  }
}

/** A figure in each plane as an instrument with these signs shows it. */
const shown = (
  vh: Misalignment['offset'],
  [vertical, horizontal]: readonly [1 | -1, 1 | -1],
  factor: number,
): readonly Reading[] => [
  { clock: 0, value: known(vh.v) * factor * vertical },
  { clock: 90, value: known(vh.h) * factor * horizontal },
]
