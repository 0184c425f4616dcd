import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'
import { backlashPerCentre } from './backlash'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** A zone along the tooth: -1 is one end, +1 the other, seen the same way for both runs; either order. */
export type Zone = readonly [number, number]

export interface GearContactInput {
  readonly forward: Zone
  readonly reverse: Zone
  readonly wanted: Zone
  readonly backlash?: Millimetres
  /** On the tooth by a dial, in the plane of rotation; or by a feeler, square to the flanks. */
  readonly backlashAs?: 'transverse' | 'normal'
  readonly window?: Band
  /** Pressure angle of the teeth, needed for the centre-distance shim. */
  readonly pressureAngle: Degrees
}

export type GearAdvice =
  | 'contact-good'
  | 'shift-bearing-blocks'
  | 'shift-gear-along-shaft'
  | 'one-run-off'
  | 'zone-too-short'
  | 'zone-too-long'
  | 'zone-at-edge'
  | 'centres-closer'
  | 'centres-further'
  | 'read-again'

/** What one running direction shows, against the wanted zone. */
export interface RunContact {
  /** How far its middle lies from the middle that is wanted. */
  readonly off: number
  readonly length: number
  /** Share of the wanted zone that it covers. */
  readonly covers: number
  /** Share of it that lies outside of the wanted zone. */
  readonly outside: number
  readonly faults: readonly ('off' | 'too-short' | 'too-long' | 'at-edge')[]
}

export interface GearContactResult {
  /** How far each run's zone centre lies from the wanted centre, in the -1 to +1 scale. */
  readonly off: { readonly forward: number; readonly reverse: number }
  readonly runs: { readonly forward: RunContact; readonly reverse: RunContact }
  /** What both runs have in common, and what sets them apart: half the sum and half the difference. */
  readonly together: number
  readonly apart: number
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

/** A zone centre this near the wanted one counts as on it. */
const NEAR = 0.15
/** A zone that covers less of the wanted one carries on too little of the tooth. */
const LEAST_COVERED = 0.5
/** A zone with more of itself outside of the wanted one is not the wanted one. */
const MOST_OUTSIDE = 0.5
/** Contact that reaches this far ends on the edge of the tooth. */
const EDGE = 0.95

const sorted = ([a, b]: Zone): Zone => (a <= b ? [a, b] : [b, a])
const centre = ([a, b]: Zone) => (a + b) / 2

const contactOf = (run: Zone, want: Zone): RunContact => {
  const [from, to] = sorted(run)
  const [low, high] = sorted(want)
  const length = to - from
  const wanted = high - low
  const common = Math.max(0, Math.min(to, high) - Math.max(from, low))
  const off = centre(run) - centre(want)
  const within = from >= low && to <= high
  const covers = wanted > 0 ? common / wanted : low >= from && low <= to ? 1 : 0
  const outside = length > 0 ? 1 - common / length : within ? 0 : 1
  const faults: RunContact['faults'][number][] = []
  if (Math.abs(off) > Math.max(NEAR, wanted / 4)) faults.push('off')
  // What lies off is said so; short and long are of a zone that lies where it should.
  else {
    if (covers < LEAST_COVERED) faults.push('too-short')
    if (outside > MOST_OUTSIDE) faults.push('too-long')
  }
  if ((from <= -EDGE && low > -EDGE) || (to >= EDGE && high < EDGE)) faults.push('at-edge')
  return { off, length, covers, outside, faults }
}

/**
 * What the blued contact says of both running directions: off to the same side, shift the bearing
 * blocks the other way; off to opposite sides, shift the gear along its shaft. A zone is an interval: one
 * that lies in the middle but is too short, too long or runs onto the edge of the tooth is not good.
 * Backlash against its window; centre distance changes it by `2 tan(pressure angle)` on the tooth and by
 * `2 sin(pressure angle)` between the flanks. Source: docs/methods/gear-contact.md.
 */
export const gearContact = (input: GearContactInput): GearContactResult => {
  const runs = {
    forward: contactOf(input.forward, input.wanted),
    reverse: contactOf(input.reverse, input.wanted),
  }
  const both = [runs.forward, runs.reverse]
  const side = (run: RunContact): -1 | 0 | 1 => (run.faults.includes('off') ? (run.off > 0 ? 1 : -1) : 0)
  const [f, r] = [side(runs.forward), side(runs.reverse)]
  const advice: GearAdvice[] = []
  if (f !== 0 && f === r) advice.push('shift-bearing-blocks')
  else if (f !== 0 && f === -r) advice.push('shift-gear-along-shaft')
  else if (f !== r) advice.push('one-run-off')
  const shows = (fault: RunContact['faults'][number]) => both.some((run) => run.faults.includes(fault))
  if (shows('too-short')) advice.push('zone-too-short')
  if (shows('too-long')) advice.push('zone-too-long')
  if (shows('at-edge')) advice.push('zone-at-edge')
  advice.push(advice.length === 0 ? 'contact-good' : 'read-again')

  let backlash: GearContactResult['backlash'] = null
  if (input.backlash !== undefined && input.window) {
    const [low, high] = input.window
    const margin = marginIn(input.backlash, input.window)
    const middle = low !== null && high !== null ? (low + high) / 2 : (low ?? high ?? input.backlash)
    const outside = margin < 0
    const perCentre = backlashPerCentre(
      input.backlashAs === 'normal' ? 'feeler' : 'dial',
      input.pressureAngle,
    )
    const centreChange = outside ? (middle - input.backlash) / perCentre : 0
    backlash = { margin, verdict: verdictOfMargin(margin), centreChange }
    if (outside) advice.push(centreChange < 0 ? 'centres-closer' : 'centres-further')
  }
  return {
    off: { forward: runs.forward.off, reverse: runs.reverse.off },
    runs,
    together: (runs.forward.off + runs.reverse.off) / 2,
    apart: (runs.forward.off - runs.reverse.off) / 2,
    advice,
    blocksToward: f === r && f !== 0 ? (f === 1 ? -1 : 1) : 0,
    backlash,
  }
}
