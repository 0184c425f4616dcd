import { lineDifference, type Misalignment } from '../../frame/planes'
import type { FootPlane } from '../../coupling/feet'
import type { Millimetres } from '../../units/unitSystem'
import type { Footwork } from '../move/footwork'

/** Feet nearer together than this carry no motor that is trammed: what was read didn't come from the shim. */
const LEAST_SPAN: Millimetres = 50
/** What the face has to change by, in graduations of the dial, before it tells anything. Starting value. */
const TELLS = 3

/** Where both foot pairs stand, by what a shim or a push at one of them did. */
export interface Learned {
  readonly feet: readonly FootPlane[]
  /** How far the distance between them may be off, as a share. */
  readonly doubt: number
}

/**
 * Where two foot pairs stand, told by a move that treated them unlike: `span = (b - a) / slope`, and the near pair lies where
 * the axis went by just its own lift. Null where they were moved alike, where the face changed too little to tell, or by
 * what no shim can do. Millimetres; `opening` is how far the face changed over its circle. Source: docs/methods/drum-tram.md.
 */
export const learnLevers = (
  made: Pick<Footwork, 'moves'>,
  before: Misalignment,
  after: Misalignment,
  face: { readonly circle: Millimetres; readonly graduation: Millimetres },
): Learned | null => {
  const own = made.moves.filter((m) => m.machine === 'movable')
  const [near, far] = own
  if (!near || !far || own.length !== 2) return null
  const change = lineDifference(after, before)
  for (const plane of ['v', 'h'] as const) {
    const [offset, slope] = [change.offset[plane], change.slope[plane]]
    const apart = far[plane] - near[plane]
    if (apart === 0 || offset === null || slope === null) continue
    const opening = Math.abs(slope) * face.circle
    if (opening < TELLS * face.graduation) continue
    const span = apart / slope
    const at = (near[plane] - offset) / slope
    if (span < LEAST_SPAN || at <= 0) continue
    return {
      feet: [
        { id: near.id, x: at },
        { id: far.id, x: at + span },
      ],
      // Two sets, read to half a graduation at both ends of the circle.
      doubt: face.graduation / opening,
    }
  }
  return null
}
