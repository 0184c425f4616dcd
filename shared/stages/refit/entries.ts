import { z } from 'zod'
import { PINS_AT_REFIT } from '../../../core/stages/refit/entries'
import { oneOf } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const refitKinds = {
  'gear-refitted': defineKind(
    'gear-refitted',
    z.object({
      pins: oneOf('pins-done', PINS_AT_REFIT),
      bearings: oneOf('bearings', ['new', 'same']),
      words: text('remark', 2000),
    }),
  ),
}
