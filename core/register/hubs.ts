import { remember } from '../logbook/remember'
import { toCore, type Millimetres } from '../units/unitSystem'
import type { MeasuredMachine } from './measuredMachine'

/** What the register says of the hubs and of feelers between them; null where nothing is known. In or mm, limits mil or mm. */
export interface RegisteredHubs {
  readonly stationaryDiameter: number | null
  readonly movableDiameter: number | null
  /** Cold gap between the faces, least and most. */
  readonly gapLeast: number | null
  readonly gapMost: number | null
  /** How far a shaft floats along its axis; null or 0 where none does. */
  readonly float: number | null
  /** The site's value for close enough before an instrument goes on. */
  readonly closeEnough: number | null
  /** What its maker lets a straightedge and feelers stand for, where no instrument is asked: rim step and difference of the gaps. */
  readonly rimLimit: number | null
  readonly faceLimit: number | null
}

/** Close enough at rough-in where the works says nothing else. */
export const ROUGH_LIMIT = { inch: 15 * 0.0254, metric: 0.4 } as const

/** What hubs are felt against. Millimetres. */
export interface FeelerLimits {
  readonly rim: Millimetres
  readonly face: Millimetres
  /** Whose value it is. */
  readonly source: 'maker' | 'site' | 'starting'
  /** Straightedge and feelers are all that is asked: the check at four places proves the alignment. */
  readonly whole: boolean
  readonly gap: { readonly least: Millimetres | null; readonly most: Millimetres | null }
  readonly float: Millimetres
  /** Movable less stationary radius as registered; null where a diameter is missing. */
  readonly radiusDifference: Millimetres | null
  /** The smaller hub's diameter as registered; null where none is. */
  readonly diameter: Millimetres | null
}

/** What the register asks of straightedge and feelers. */
export const feelerLimits = remember((machine: MeasuredMachine): FeelerLimits => {
  const { hubs, units } = machine
  const shift = (t: number | null | undefined) => (t == null ? null : toCore(t, 'displacement', units))
  const far = (t: number | null | undefined) => (t == null ? null : toCore(t, 'distance', units))
  const [rim, face] = [shift(hubs?.rimLimit), shift(hubs?.faceLimit)]
  const whole = rim !== null && face !== null
  const site = shift(hubs?.closeEnough)
  const close = site ?? ROUGH_LIMIT[units]
  const diameters = [far(hubs?.stationaryDiameter), far(hubs?.movableDiameter)]
  const [s, m] = diameters
  const known = diameters.filter((d) => d !== null) as number[]
  return {
    rim: whole ? rim : close,
    face: whole ? face : close,
    source: whole ? 'maker' : site === null ? 'starting' : 'site',
    whole,
    gap: { least: far(hubs?.gapLeast), most: far(hubs?.gapMost) },
    float: far(hubs?.float) ?? 0,
    radiusDifference: s == null || m == null ? null : (m - s) / 2,
    diameter: known.length > 0 ? Math.min(...known) : null,
  }
})
