import { z } from 'zod'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const tightenKinds = {
  'base-tightened': defineKind('base-tightened', z.object({ words: text('remark', 2000) })),
}
