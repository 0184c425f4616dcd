import { z } from 'zod'
import { PROOF_POINTS } from '../../../core/stages/prove/entries'
import { notNegative, oneOf, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text, why } from '../../text'

export const proveKinds = {
  'bump-begun': defineKind('bump-begun', z.object({ by: text('who-switches', 120) })),
  'rotation-seen': defineKind(
    'rotation-seen',
    z.object({ seen: oneOf('rotation-seen', ['right', 'wrong', 'not-needed']), words: text('note', 500) }),
  ),
  'coupling-made-up': defineKind(
    'coupling-made-up',
    z.object({ units, gap: notNegative('gap', 'distance').nullable() }),
  ),
  'coupling-opened': defineKind('coupling-opened', z.object({ why })),
  'proof-confirmed': defineKind(
    'proof-confirmed',
    z.object({
      point: oneOf('proof-point', PROOF_POINTS),
      how: oneOf('how-confirmed', ['done', 'not-here']),
      words: text('note', 500),
    }),
  ),
}
