import { conflict, defineStage, invalid, type Objection } from '../../logbook/stage'
import type { LogEntry } from '../../logbook/entry'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { PinsStand, Refit } from '../refit/refit'
import type { Contact } from './contact'
import type { Cleared } from './rounds'

interface Sees {
  readonly safety: Safety
  readonly contact: Contact
  readonly cleared: Cleared
  readonly refit: Refit
  readonly pins: PinsStand
  readonly opensUp: boolean
}

const paintedObjection = (
  { contact, cleared, refit, opensUp }: Sees,
  { moment, forward, back }: LogEntry<'contact-painted'>['payload'],
): Objection | null => {
  if (moment === 'as-found') {
    if (contact.disturbed) return conflict('disturbed-already')
    return forward || back ? null : invalid('paint-a-run', 'payload', 'forward')
  }
  if (opensUp && refit === null) return conflict('not-refitted')
  if (cleared === null) return conflict('mesh-not-cleared')
  if (!forward) return invalid('both-runs', 'payload', 'forward')
  return back ? null : invalid('both-runs', 'payload', 'back')
}

/** Blued both ways under light load, the paint's ends read, and shifted until it lies where it is wanted. */
export const contactStage = defineStage({
  id: 'contact',
  writes: ['mesh-cleared', 'contact-painted', 'gear-shifted'],
  skip: 'once',
  mark: ({ contact: { now, reads } }: Sees) => {
    if (now) return now.figures?.verdict ?? 'done'
    return reads.length > 1 ? 'stale' : 'todo'
  },
  wants: ({ contact: { now } }) => now === null || now.figures?.verdict === 'out',
  objection: (job, entry) => {
    const { safety, contact, pins } = job
    switch (entry.kind) {
      case 'contact-painted':
        return paintedObjection(job, entry.payload) ?? lockoutObjection(safety)
      case 'gear-shifted':
        if (entry.payload.by === 0) return invalid('nothing-shifted', 'payload', 'by')
        if (contact.now === null) return conflict('contact-unread')
        return pins === 'in' || pins === 'reamed' ? conflict('pins-hold') : lockoutObjection(safety)
      default:
        return lockoutObjection(safety)
    }
  },
})
