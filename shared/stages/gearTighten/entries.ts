import { z } from 'zod'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const gearTightenKinds = {
  'gear-tightened': defineKind('gear-tightened', z.object({ words: text('remark', 2000) })),
}
