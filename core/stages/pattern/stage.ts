import { defineStage } from '../../logbook/stage'
import type { Skips } from '../../logbook/stage'
import type { Contact } from '../contact/contact'
import type { Pattern } from './pattern'

interface Sees {
  readonly skips: Skips
  readonly pattern: Pattern
  readonly contact: Contact
}

/**
 * The pattern as found, photographed and its zone painted, before anything is disturbed. What may be written of it is
 * said by the contact stage, whose entry it shares.
 */
export const patternStage = defineStage({
  id: 'pattern',
  writes: ['contact-painted'],
  skip: 'once',
  mark: ({ pattern, contact }: Sees) =>
    pattern === null ? 'todo' : (contact.asFound?.figures?.verdict ?? 'done'),
  wants: ({ pattern, contact }) => pattern === null && !contact.disturbed,
})
