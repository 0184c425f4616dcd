import { z } from 'zod'
import { LEVERS } from '../../../core/gear/levers'
import { LIGHT_LOADS } from '../../../core/stages/contact/entries'
import { figure, oneOf, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { MOST_PHOTOGRAPHS } from '../../photographs/photographs'
import { text, uuid } from '../../text'

const end = figure('end-of-the-paint')
  .min(0, { error: issue('percent-of-the-face') })
  .max(100, { error: issue('percent-of-the-face') })

/** Where paint begins and ends, percent of the face width. */
export const paintedZone = z
  .tuple([end, end], { error: issue('zone-as-two-ends') })
  .refine(([begins, ends]) => begins < ends, { error: issue('zone-upside-down') })

export const photographs = z
  .array(uuid('photographs-id'), { error: issue('photographs-as-a-list') })
  .max(MOST_PHOTOGRAPHS, { error: issue('at-most', 'photographs', MOST_PHOTOGRAPHS) })

const remark = text('remark', 2000)

export const contactKinds = {
  'mesh-cleared': defineKind(
    'mesh-cleared',
    z
      .object({ load: oneOf('light-load', LIGHT_LOADS), helper: text('helper', 60), words: remark })
      .refine(({ load, words }) => load !== 'other' || words.trim() !== '', {
        path: ['words'],
        error: issue('say', 'light-load'),
      }),
  ),
  'contact-painted': defineKind(
    'contact-painted',
    z.object({
      moment: oneOf('moment-of-the-paint', ['as-found', 'fit']),
      forward: paintedZone.nullable(),
      back: paintedZone.nullable(),
      photographs,
      words: remark,
    }),
  ),
  'gear-shifted': defineKind(
    'gear-shifted',
    z.object({
      units,
      lever: oneOf('what-was-shifted', LEVERS),
      by: figure('how-far-it-was-shifted', 'displacement'),
      words: remark,
    }),
  ),
}
