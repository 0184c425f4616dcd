import { conflict, defineStage } from '../../logbook/stage'
import type { Backlash } from '../backlash/read'
import type { Contact } from '../contact/contact'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { PinsStand } from '../refit/refit'
import type { GearRecheck } from './recheck'

interface Sees {
  readonly safety: Safety
  readonly gearRecheck: GearRecheck
  readonly contact: Contact
  readonly backlash: Backlash
  readonly pins: PinsStand
}

/** Blocks and covers drawn down, contact and backlash read once more, the pins back in or reamed. */
export const gearTightenStage = defineStage({
  id: 'tighten',
  writes: ['gear-tightened', 'pins-handled'],
  skip: 'once',
  mark: ({ gearRecheck: { entry, missing, verdict }, pins }: Sees) => {
    if (!entry) return 'todo'
    if (missing.length > 0) return 'stale'
    if (verdict === 'in' && pins === 'out') return 'edge'
    return verdict === 'unknown' ? 'done' : verdict
  },
  wants: ({ gearRecheck: { entry, missing, loosened }, pins }) =>
    entry ? missing.length > 0 || pins === 'out' : loosened,
  objection: ({ safety, contact, backlash }, entry) => {
    if (entry.kind === 'gear-tightened') {
      if (contact.now === null) return conflict('contact-unread')
      if (backlash.now === null) return conflict('backlash-unread')
    }
    return lockoutObjection(safety)
  },
})
