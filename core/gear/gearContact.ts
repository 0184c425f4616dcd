import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** Contact along the tooth: -1 is one end, +1 the other, seen the same way for both runs. */
export interface GearContactInput {
  readonly forward: readonly [number, number]
  readonly reverse: readonly [number, number]
  readonly wanted: readonly [number, number]
  readonly backlash?: Millimetres
  readonly window?: Band
  /** Pressure angle of the teeth, needed for the centre-distance shim. */
  readonly pressureAngle: Degrees
}

export type GearAdvice =
  | 'contact-good'
  | 'shift-bearing-blocks'
  | 'shift-gear-along-shaft'
  | 'one-run-off'
  | 'centres-closer'
  | 'centres-further'
  | 'read-again'

export interface GearContactResult {
  /** How far each run's zone centre lies from the wanted centre, in the -1 to +1 scale. */
  readonly off: { readonly forward: number; readonly reverse: number }
  readonly advice: readonly GearAdvice[]
  /** The end the bearing blocks shift toward: -1, +1, or 0 for no shift. */
  readonly blocksToward: -1 | 0 | 1
  readonly backlash: {
    readonly margin: number
    readonly verdict: Verdict
    /** Change of centre distance that brings the backlash to the middle of its window. */
    readonly centreChange: Millimetres
  } | null
}

const centre = ([a, b]: readonly [number, number]) => (a + b) / 2
/** A zone centre this near the wanted one counts as on it. */
const NEAR = 0.15

/**
 * What the blued contact says of both running directions: off to the same side, shift the bearing
 * blocks the other way; off to opposite sides, shift the gear along its shaft. Backlash against its
 * window; centre distance changes it by `2 tan(pressure angle)`. Source: docs/methods/gear-contact.md.
 */
export const gearContact = (input: GearContactInput): GearContactResult => {
  const wanted = centre(input.wanted)
  const half = Math.abs(input.wanted[1] - input.wanted[0]) / 2
  const off = { forward: centre(input.forward) - wanted, reverse: centre(input.reverse) - wanted }
  const slack = Math.max(NEAR, half / 2)
  const side = (x: number): -1 | 0 | 1 => (Math.abs(x) <= slack ? 0 : x > 0 ? 1 : -1)
  const [f, r] = [side(off.forward), side(off.reverse)]
  const advice: GearAdvice[] = []
  if (f === 0 && r === 0) advice.push('contact-good')
  else if (f === r) advice.push('shift-bearing-blocks', 'read-again')
  else if (f === -r) advice.push('shift-gear-along-shaft', 'read-again')
  else advice.push('one-run-off', 'read-again')

  let backlash: GearContactResult['backlash'] = null
  if (input.backlash !== undefined && input.window) {
    const [low, high] = input.window
    const margin = marginIn(input.backlash, input.window)
    const middle = low !== null && high !== null ? (low + high) / 2 : (low ?? high ?? input.backlash)
    const outside = margin < 0
    const centreChange = outside
      ? (middle - input.backlash) / (2 * Math.tan((input.pressureAngle * Math.PI) / 180))
      : 0
    backlash = { margin, verdict: verdictOfMargin(margin), centreChange }
    if (outside) advice.push(centreChange < 0 ? 'centres-closer' : 'centres-further')
  }
  return { off, advice, blocksToward: f === r && f !== 0 ? (f === 1 ? -1 : 1) : 0, backlash }
}
