import { z } from 'zod'
import { oneOf, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { boltChanges, pushTold } from '../bolts'

export const flangeMoveKinds = {
  'flange-moved': defineKind(
    'flange-moved',
    z.object({ units, changes: boltChanges, pushed: pushTold.nullable(), remark: text('remark') }),
  ),
  'flange-counts-read': defineKind(
    'flange-counts-read',
    z.object({ units, when: oneOf('when-counted', ['pushing', 'tightened']), toGo: pushTold }),
  ),
}
