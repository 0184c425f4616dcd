import { z } from 'zod'
import { RUN_POINTS } from '../../../core/stages/run/entries'
import { notNegative, oneOf } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const runKinds = {
  'run-confirmed': defineKind(
    'run-confirmed',
    z.object({
      point: oneOf('point-of-the-run', RUN_POINTS),
      found: oneOf('what-was-found', ['good', 'bad']),
      current: notNegative('current').nullable(),
      words: text('remark', 2000),
    }),
  ),
}
