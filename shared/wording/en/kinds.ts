import type { EntryKind } from '../../../core/logbook/entry'

/** Kinds of entry as a person names them. */
export const kinds = {
  'job-opened': 'The opening',
  'safety-confirmed': 'A safety confirmation',
  'power-restored': 'The return of power',
  'lockout-waived': 'The reason why no lockout is needed',
  'gaps-felt': 'The gaps under the feet',
  'level-read': 'The level of a shaft',
  'machine-levelled': 'The shims that level the machine',
  'runout-read': 'The run-out of a hub',
  'hubs-felt': 'The feelers at the hubs',
  'hubs-roughed': 'What was done at the rough-in',
  'rises-read': 'The rises of the feet',
  'foot-filled': 'Filling a foot',
  'set-up': 'The set-up',
  'readings-taken': 'A set of readings',
  'set-used-anyway': 'The use of a failed set',
  'set-left-out': 'Leaving a set out',
  'plan-chosen': 'The plan',
  'move-made': 'The move',
  'contacts-checked': 'The four-contact check',
  'sheaves-read': 'The gaps at the sheaves',
  'line-corrected': 'What was corrected',
  'stage-skipped': 'Passing a stage over',
  remark: 'A remark',
  'job-closed': 'The signature',
} satisfies Record<EntryKind, string>
