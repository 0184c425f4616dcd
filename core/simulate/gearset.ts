import { RUNS, type PaintedZone, type Run, type Runs } from '../gear/contactFigures'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** How far contact travels along a tooth, a millimetre of shift: the same way on both flanks, and opposite ways. */
export interface Travel {
  readonly together: number
  readonly apart: number
}

/**
 * A gearset with crowned teeth: along each flank the gap to its mate is a circle about the point of contact. Blue of
 * some thickness is pressed away where the gap is thinner. Lengths in millimetres.
 */
export interface SimulatedGearset {
  readonly face: Millimetres
  /** Of the crown along each flank. */
  readonly crown: Runs<Millimetres>
  readonly blue: Millimetres
  /** Where each flank touches when all stands at its place, from the middle of the tooth. */
  readonly touches: Runs<Millimetres>
  readonly travel: Readonly<Record<'blocks' | 'gear', Travel>>
  readonly pressureAngle: Degrees
  /** Backlash on the tooth when the shafts stand at their distance. */
  readonly backlash: Millimetres
  /** How far each stands from its place, toward the `to` end; the centre distance apart. */
  readonly stands: { readonly blocks: Millimetres; readonly gear: Millimetres; readonly centres: Millimetres }
}

const SIDE: Runs<1 | -1> = { forward: 1, back: -1 }

/**
 * What the blue of one run shows, in percent of the face width: where the gap along the crown is thinner than the
 * blue, cut off at the ends of the tooth. Null where the flank is not touched at all.
 */
export const paintOf = (g: SimulatedGearset, run: Run): PaintedZone | null => {
  const { blocks, gear } = g.travel
  const at =
    g.touches[run] +
    g.stands.blocks * (blocks.together + SIDE[run] * blocks.apart) +
    g.stands.gear * (gear.together + SIDE[run] * gear.apart)
  const half = g.face / 2
  // A crown that would touch beyond the end of the tooth bears on that end.
  const nearest = Math.max(-half, Math.min(half, at))
  const least = (nearest - at) ** 2 / (2 * g.crown[run])
  const reach = Math.sqrt(2 * g.crown[run] * (least + g.blue))
  const [begins, ends] = [Math.max(-half, at - reach), Math.min(half, at + reach)]
  return ends <= begins ? null : [(100 * (begins + half)) / g.face, (100 * (ends + half)) / g.face]
}

/** The blue of both runs; throws where a flank is not touched. */
export const paintOfBoth = (g: SimulatedGearset): Runs<PaintedZone> => {
  const [forward, back] = RUNS.map((run) => paintOf(g, run))
  if (!forward || !back) throw new Error('A flank of the simulated gearset is not touched.')
  return { forward, back }
}

/** What a dial on the tooth shows. The flanks stand at the pressure angle, and part on both sides of the tooth. */
export const backlashOf = (g: SimulatedGearset): Millimetres =>
  g.backlash + 2 * g.stands.centres * Math.tan((g.pressureAngle * Math.PI) / 180)
