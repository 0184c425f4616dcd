import { z } from 'zod'
import { oneOf } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const slackOffKinds = {
  'slacked-off': defineKind(
    'slacked-off',
    z.object({ belts: oneOf('belts-hang', ['loose', 'off']), words: text('remark', 2000) }),
  ),
}
