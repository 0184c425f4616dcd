import { z } from 'zod'
import { DRIVE_PLACES } from '../../../core/stages/inspect/entries'
import { FOUND } from '../../../core/stages/look/entries'
import { notNegative, oneOf } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { MOST_PHOTOGRAPHS } from '../../photographs/photographs'
import { text, uuid } from '../../text'

export const inspectKinds = {
  'drive-looked': defineKind(
    'drive-looked',
    z.object({
      places: z
        .array(oneOf('place-of-the-drive', DRIVE_PLACES), { error: issue('say', 'place-of-the-drive') })
        .min(1, { error: issue('say', 'place-of-the-drive') })
        .max(DRIVE_PLACES.length, { error: issue('at-most', 'place-of-the-drive', DRIVE_PLACES.length) }),
      found: oneOf('what-was-found', FOUND),
      words: text('what-was-found'),
      photographs: z
        .array(uuid('photograph'))
        .max(MOST_PHOTOGRAPHS, { error: issue('at-most', 'photographs', MOST_PHOTOGRAPHS) }),
    }),
  ),
  'setting-read': defineKind(
    'setting-read',
    z.object({
      place: oneOf('sheave', ['motor', 'driven']),
      turns: notNegative('turns-open'),
      words: text('remark', 2000),
    }),
  ),
}
