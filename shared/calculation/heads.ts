import { z } from 'zod'
import { heads, headsArrangement } from '../../core/coupling/heads'
import { done } from '../../core/outcome'
import { answerMethod, methodFields, trustLimits, type DialMethod } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { clock, figure } from './fields'
import { methodOut } from './results'

const input = z.object({
  ...methodFields,
  stationaryPlane: figure('the plane of the stationary head', 'distance'),
  movablePlane: figure('the plane of the movable head', 'distance'),
  samples: z
    .array(
      z.object({
        clock,
        movableClock: clock.optional(),
        stationary: figure('what the stationary head shows', 'displacement'),
        movable: figure('what the movable head shows', 'displacement'),
      }),
      { error: 'Give the samples as a list of clock, stationary and movable.' },
    )
    .min(3, { error: 'Give samples at three clock positions or more.' })
    .max(4000, { error: 'Give at most 4000 samples.' }),
})

export const headsMethod: DialMethod<z.infer<typeof input>> = {
  name: 'heads',
  input,
  measure: (given) => heads(given, trustLimits(given)),
  arrange: (given) => done(headsArrangement(given)),
}

/** Electronic heads on both shafts through the contract. */
export const headsOperation = defineOperation({
  name: 'heads',
  summary:
    'Offset and slope at the coupling from electronic heads on both shafts, at positions or on an arc.',
  input,
  result: methodOut,
  compute: (given) => answerMethod(given, headsMethod.measure(given)),
})
