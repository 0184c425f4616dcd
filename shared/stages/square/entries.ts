import { z } from 'zod'
import { notNegative, oneOf, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

export const squareKinds = {
  'motor-squared': defineKind(
    'motor-squared',
    z.object({
      units,
      sheaveEnd: notNegative('distance-to-the-motor'),
      farEnd: notNegative('distance-to-the-motor'),
      edge: oneOf('edge-measured-from', ['driven-side', 'far-side']),
      words: text('remark', 2000),
    }),
  ),
}
