import { z } from 'zod'
import { units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { footChanges, sideChanges } from '../feet'

export const moveKinds = {
  'move-made': defineKind(
    'move-made',
    z.object({ units, changes: footChanges, side: sideChanges, remark: text('remark') }),
  ),
}
