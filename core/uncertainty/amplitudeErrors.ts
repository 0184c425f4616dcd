import type { ArrangementModel, CircleModel } from './arrangementModel'
import { amplitudeCovariance, sharesClock } from './linear'
import type { Spread } from './spread'

const RADIAN = Math.PI / 180

/** Adds what wrong clock angles do to a circle's amplitudes; `angles` in radians, one a reading. */
const addClockErrors = (
  circle: CircleModel,
  count: number,
  angles: Float64Array,
  errors: Float64Array,
  at: number,
) => {
  const { turned, quarter, weights } = circle
  let a = 0
  let b = 0
  for (let i = 0; i < count; i++) {
    // The pointer stood off by this much while the round number was written down:
    // cos(x + e) - cos(x), and so for the sine, by the sum of angles.
    const e = angles[i] as number
    const sine = Math.abs(e) < 0.05 ? e * (1 - (e * e) / 6 + (e * e * e * e) / 120) : Math.sin(e)
    const loss = Math.abs(e) < 0.05 ? -e * e * (0.5 - (e * e) / 24) : Math.cos(e) - 1
    const error = (turned[i] as number) * loss + (quarter[i] as number) * sine
    a += (weights.cos[i] as number) * error
    b += (weights.sin[i] as number) * error
  }
  errors[at] = (errors[at] as number) + a
  errors[at + 1] = (errors[at + 1] as number) + b
}

/**
 * Errors of both circles' amplitudes from standard normal draws. Sums of normal reading errors are normal:
 * two draws stand for all readings of a circle, exactly. Clock errors go through the real turn; dials on
 * one bracket stop together and share them.
 */
export const amplitudeErrors = (model: ArrangementModel, sd: Spread) => {
  const read = { ...sd, clock: 0 }
  const roots = model.circles.map((circle) => {
    const [aa, ab, bb] = amplitudeCovariance(circle, read)
    const root = Math.sqrt(aa)
    const cross = root > 0 ? ab / root : 0
    return { root, cross, left: Math.sqrt(Math.max(0, bb - cross * cross)) }
  }) as unknown as readonly [Root, Root]
  const [first, second] = model.circles
  const shared = sharesClock(model)
  const turn = sd.clock * RADIAN
  const angles = new Float64Array(turn === 0 ? 0 : Math.max(first.clocks.length, second.clocks.length))
  const [one, two] = [first.clocks.length, second.clocks.length]
  return {
    /** Draws taken each time. */
    count: 4 + (turn === 0 ? 0 : one + (shared ? 0 : two)),
    into: (errors: Float64Array, z: Float64Array, from: number): void => {
      const [a, b] = roots
      errors[0] = a.root * (z[from] as number)
      errors[1] = a.cross * (z[from] as number) + a.left * (z[from + 1] as number)
      errors[5] = b.root * (z[from + 2] as number)
      errors[6] = b.cross * (z[from + 2] as number) + b.left * (z[from + 3] as number)
      if (turn === 0) return
      for (let i = 0; i < one; i++) angles[i] = turn * (z[from + 4 + i] as number)
      addClockErrors(first, one, angles, errors, 0)
      if (!shared) for (let i = 0; i < two; i++) angles[i] = turn * (z[from + 4 + one + i] as number)
      addClockErrors(second, two, angles, errors, 5)
    },
  }
}

interface Root {
  readonly root: number
  readonly cross: number
  readonly left: number
}
