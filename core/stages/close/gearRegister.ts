import type { PaintedZone, Runs } from '../../gear/contactFigures'
import { LEVERS, type Lever, type Response } from '../../gear/levers'
import type { Contact } from '../contact/contact'
import type { Layers } from '../gearLook/layersFound'
import type { Millimetres } from '../../units/unitSystem'

/** What the register takes over from a closed job on a gearset. Millimetres; percent of the face width. */
export type GearRegisterChange =
  | {
      readonly what: 'layers'
      readonly was: readonly number[]
      readonly now: readonly number[]
      readonly thickness: Millimetres
    }
  /** How the paint goes with a lever, percent a millimetre. */
  | { readonly what: 'response'; readonly lever: Lever; readonly response: Response }
  | { readonly what: 'left-as'; readonly zones: Runs<PaintedZone> }

/** What lies under the blocks, what the paint told of each lever, and how it was left. */
export const gearRegisterChanges = ({
  contact,
  layers,
}: {
  readonly contact: Contact
  readonly layers: Layers
}): readonly GearRegisterChange[] => {
  const { now, registered, thickness, differs } = layers
  const { forward, back } = contact.left?.zones ?? { forward: null, back: null }
  return [
    ...(differs || now.some((n, i) => n !== registered[i])
      ? [{ what: 'layers' as const, was: registered, now, thickness }]
      : []),
    ...LEVERS.flatMap((lever): readonly GearRegisterChange[] => {
      const known = contact.known[lever]
      return known?.from === 'job' ? [{ what: 'response', lever, response: known.response }] : []
    }),
    ...(forward && back ? [{ what: 'left-as' as const, zones: { forward, back } }] : []),
  ]
}
