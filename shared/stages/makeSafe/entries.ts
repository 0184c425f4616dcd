import { z } from 'zod'
import { LOADED_SAFETY_POINTS } from '../../../core/stages/makeSafe/entries'
import { oneOf } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text, why } from '../../text'

export const safetyKinds = {
  'safety-confirmed': defineKind(
    'safety-confirmed',
    z.object({ point: oneOf('point-confirmed', LOADED_SAFETY_POINTS), permit: text('permit-number', 60) }),
  ),
  'power-restored': defineKind('power-restored', z.object({ why })),
  'lockout-waived': defineKind('lockout-waived', z.object({ why })),
}
