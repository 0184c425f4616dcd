import { defineStage, invalid } from '../../logbook/stage'
import { BLOCKS } from '../../register/gearMachine'
import type { Contact } from '../contact/contact'
import type { Layers } from '../gearLook/layersFound'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Backlash } from './read'

interface Sees {
  readonly safety: Safety
  readonly backlash: Backlash
  readonly layers: Layers
  readonly contact: Contact
}

/** The play between the teeth, against its window, and the layers that cure it. */
export const backlashStage = defineStage({
  id: 'backlash',
  writes: ['backlash-read', 'layers-changed'],
  skip: 'once',
  mark: ({ backlash: { now, reads } }: Sees) =>
    now ? now.verdict : reads.length > 1 && reads.some((r) => r !== null) ? 'stale' : 'todo',
  wants: ({ backlash: { now } }) => now === null || now.verdict === 'out',
  objection: ({ safety, layers }, entry) => {
    if (entry.kind === 'layers-changed') {
      const given = entry.payload.layers
      if (given.length !== BLOCKS) return invalid('both-blocks', 'payload', 'layers')
      if (given.every((n) => n === 0)) return invalid('nothing-shifted', 'payload', 'layers')
      const short = given.findIndex((n, i) => (layers.now[i] ?? 0) + n < 0)
      if (short >= 0) return invalid('no-such-layers', 'payload', 'layers', short)
    }
    return lockoutObjection(safety)
  },
})
