import { clockVector } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import type { Degrees, Millimetres } from '../units/unitSystem'

/**
 * How far the curve through these readings may still lie from where it is drawn: half of its 95 % interval at a clock
 * angle, from the readings' own standard deviation. Infinite where they can't carry a curve. Millimetres.
 */
export const curveBand = (
  readings: readonly Reading[],
  sd: Millimetres,
): ((clock: Degrees) => Millimetres) => {
  let [c, s, cc, ss, cs] = [0, 0, 0, 0, 0]
  for (const { clock } of readings) {
    const [x, y] = clockVector(clock)
    c += x
    s += y
    cc += x * x
    ss += y * y
    cs += x * y
  }
  const n = readings.length
  // Inverse of [n c s; c cc cs; s cs ss], symmetric.
  const [k00, k01, k02] = [cc * ss - cs * cs, cs * s - c * ss, c * cs - cc * s]
  const [k11, k12, k22] = [n * ss - s * s, c * s - n * cs, n * cc - c * c]
  const det = n * k00 + c * k01 + s * k02
  if (!(det > 1e-9)) return () => Infinity
  return (clock) => {
    const [x, y] = clockVector(clock)
    const variance = (k00 + 2 * x * k01 + 2 * y * k02 + x * x * k11 + 2 * x * y * k12 + y * y * k22) / det
    return 1.959963984540054 * sd * Math.sqrt(Math.max(0, variance))
  }
}
