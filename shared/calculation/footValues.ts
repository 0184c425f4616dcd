import { z } from 'zod'
import { lineOfFootValues } from '../../core/coupling/footValues'
import { done } from '../../core/outcome'
import { answerLine, methodFields } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { figure, idText, oneOf, refuseTwins } from './fields'
import { methodOut } from './results'

/** Positions or corrections at the feet, typed from any instrument. */
export const footValuesOperation = defineOperation({
  name: 'foot-values',
  summary: 'Offset and slope from positions or corrections that an instrument shows at the feet.',
  input: z.object({
    ...methodFields,
    feet: methodFields.feet
      .optional()
      .describe('Where moves are wanted; the feet of the values when missing.'),
    values: z
      .array(
        z.object({
          id: idText,
          x: figure('the distance to the feet', 'distance'),
          v: figure('the vertical value', 'displacement'),
          h: figure('the side value', 'displacement'),
        }),
        { error: 'Give the values as a list of id, x, v and h.' },
      )
      .min(2, { error: 'Give the values at two foot pairs or more.' })
      .max(12, { error: 'Give at most twelve foot pairs.' })
      .superRefine((list, context) => refuseTwins(list, context, 'foot pairs')),
    kind: oneOf('what the values are', ['position', 'correction']),
  }),
  result: methodOut,
  compute: (given) => {
    const line = lineOfFootValues(given.values, given.kind)
    return done(
      answerLine({ ...given, feet: given.feet ?? given.values }, line, { sets: [], flags: ['unproven'] }),
    )
  },
})
