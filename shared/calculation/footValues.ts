import { issue } from '../issue'
import { z } from 'zod'
import { lineOfFootValues } from '../../core/coupling/footValues'
import { done } from '../../core/outcome'
import { answerLine, methodFields } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { figure, idText, oneOf, refuseTwins } from './fields'
import { methodOut } from './results'

export const footValuesInput = z.object({
  ...methodFields,
  feet: methodFields.feet.optional().describe('Where moves are wanted; the feet of the values when missing.'),
  values: z
    .array(
      z.object({
        id: idText,
        x: figure('distance-to-the-feet', 'distance'),
        v: figure('vertical-value', 'displacement'),
        h: figure('side-value', 'displacement'),
      }),
      { error: issue('give-the-values-as-a-list') },
    )
    .min(2, { error: issue('give-the-values-at-two-foot') })
    .max(12, { error: issue('give-at-most-twelve-foot-pairs') })
    .superRefine((list, context) => refuseTwins(list, context, 'foot-pairs')),
  kind: oneOf('what-the-values-are', ['position', 'correction']),
})

/** Positions or corrections at the feet, typed from any instrument. */
export const footValuesOperation = defineOperation({
  name: 'foot-values',
  summary: 'Offset and slope from positions or corrections that an instrument shows at the feet.',
  input: footValuesInput,
  result: methodOut,
  compute: (given) => {
    const line = lineOfFootValues(given.values, given.kind)
    return done(
      answerLine({ ...given, feet: given.feet ?? given.values }, line, { sets: [], flags: ['unproven'] }),
    )
  },
})
