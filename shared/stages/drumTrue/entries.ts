import { z } from 'zod'
import { clock, oneOf } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const drumTrueKinds = {
  'drum-tapped': defineKind(
    'drum-tapped',
    z.object({ surface: oneOf('surface', ['rim', 'face']), mark: clock, words: text('remark') }),
  ),
}
