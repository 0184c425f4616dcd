import type { SimulatedGearset } from '../simulate/gearset'

const MIL = 0.0254
/** Crowned teeth 60 mm wide whose paint is a third of the face; contact travels two percent a mil. */
export const TRUE_GEARSET: SimulatedGearset = {
  face: 60,
  crown: { forward: 4000, back: 4000 },
  blue: 0.0144,
  touches: { forward: 3, back: -3 },
  travel: { blocks: { together: 47, apart: 1 }, gear: { together: -2, apart: 40 } },
  pressureAngle: 20,
  backlash: 13 * MIL,
  stands: { blocks: 0, gear: 0, centres: 0 },
}
