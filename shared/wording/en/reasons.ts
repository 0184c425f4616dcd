import type { JobReason } from '../../../core/stages/open/entries'
import { said } from '../words'

/** Why a job is done. */
export const reasons = {
  planned: 'Planned check',
  vibration: 'Vibration',
  'new-machine': 'New machine',
  moved: 'Moved or rebuilt',
  wear: 'Wear found',
  'hot-check': 'Hot check',
  'sheave-set': 'Sheave set otherwise',
  other: 'Other',
} satisfies Record<JobReason, string>

export const reasonsWords = said(reasons)
