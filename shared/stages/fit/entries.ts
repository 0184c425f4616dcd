import { z } from 'zod'
import { oneOf, positive, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const fitKinds = {
  'belts-fitted': defineKind(
    'belts-fitted',
    z.object({
      belts: oneOf('belts-that-went-on', ['same', 'new']),
      units,
      length: positive('belt-length').nullable(),
      matched: z.boolean({ error: issue('say', 'matched-set') }).nullable(),
      words: text('remark', 2000),
    }),
  ),
}
