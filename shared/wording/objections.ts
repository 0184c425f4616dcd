import type { Objection } from '../../core/logbook/admit'

/** Plain sentences for entries that a logbook can't take. */
export const OBJECTIONS: Readonly<Record<Objection['code'], string>> = {
  'job-closed':
    'This job is closed and signed. Open a new job to measure again; a remark can still be added.',
  'already-open': 'This job is open already.',
  'not-open': 'This job has no opening entry. Open it first.',
  'no-set-up': 'Set up the instrument first: without its distances the readings mean nothing.',
  'no-such-set': 'That set of readings is not in this logbook.',
  'no-such-feet': 'This machine has no foot pair by that name.',
  'feet-missing': 'Give the distance to every foot pair of this machine.',
  'not-skippable': 'That stage can’t be passed over.',
  'nothing-moved': 'Nothing was moved. Enter the shims or side moves that were made.',
  'no-such-entry': 'The entry to correct is not in this logbook.',
  'other-kind': 'An entry can only be corrected by one of its own kind.',
  'already-corrected': 'Someone corrected that entry meanwhile. Look at the newer one and correct that.',
  'not-correctable': 'That kind of entry is never corrected. Add a remark.',
}
