import { conflict, defineStage, invalid } from '../../logbook/stage'
import { BLOCKS } from '../../register/gearMachine'
import type { GearMachine } from '../../register/gearMachine'
import type { Contact } from '../contact/contact'
import { placesOf, type Looks } from '../look/looks'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Pattern } from '../pattern/pattern'

interface Sees {
  readonly machine: GearMachine
  readonly safety: Safety
  readonly looks: Looks
  readonly pattern: Pattern
  readonly contact: Contact
}

/** The opened gearset, place by place; its layers and pins marked before anything comes out. */
export const gearLookStage = defineStage({
  id: 'look',
  writes: ['place-looked', 'pins-handled', 'layers-marked'],
  skip: 'once',
  mark: ({ looks }: Sees) => (looks.unseen.length === 0 ? 'done' : 'todo'),
  // Whoever went on to the paint has looked; nobody is sent back for it.
  wants: ({ looks, pattern, contact }) => looks.unseen.length > 0 && pattern === null && !contact.disturbed,
  objection: ({ machine, safety, contact }, entry) => {
    switch (entry.kind) {
      case 'place-looked': {
        const strange = entry.payload.places.findIndex((p) => !placesOf(machine).includes(p))
        if (strange >= 0) return invalid('no-such-place', 'payload', 'places', strange)
        return lockoutObjection(safety)
      }
      case 'layers-marked':
        if (entry.payload.under.length !== BLOCKS) return invalid('both-blocks', 'payload', 'under')
        return contact.disturbed ? conflict('shimmed-already') : lockoutObjection(safety)
      case 'pins-handled':
        return lockoutObjection(safety)
      default:
        return null
    }
  },
})
