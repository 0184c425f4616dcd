import { z } from 'zod'
import { oneOf, positive, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text, uuid } from '../../text'

export const fitKinds = {
  'belts-fitted': defineKind(
    'belts-fitted',
    z.object({
      belts: oneOf('belts-that-went-on', ['same', 'new']),
      units,
      length: positive('belt-length').nullable(),
      matched: z.boolean({ error: issue('say', 'matched-set') }).nullable(),
      spares: z.object({ lot: uuid('belts-id'), pieces: whole('how-many-pieces', 1, 40) }).optional(),
      words: text('remark', 2000),
    }),
  ),
}
