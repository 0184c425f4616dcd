import { z } from 'zod'
import { JOB_REASONS } from '../../../core/stages/open/entries'
import { oneOf, rpm } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const openingKinds = {
  'job-opened': defineKind(
    'job-opened',
    z.object({
      reason: oneOf('reason', JOB_REASONS),
      rpm,
      customer: text('customer', 120),
      note: text('note'),
    }),
  ),
}
