import { z } from 'zod'
import { done } from '../../core/outcome'
import { answerLine, methodFields } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { couplingLine } from './fields'
import { methodOut } from './results'

export const couplingValuesInput = z.object({ ...methodFields, coupling: couplingLine })

/** Offset and slope typed from any instrument: what the feet need. Nothing is there to trust or doubt. */
export const couplingValuesOperation = defineOperation({
  name: 'coupling-values',
  summary: 'The move at each foot pair from offset and slope at the coupling.',
  input: couplingValuesInput,
  result: methodOut,
  compute: (given) => {
    const { offset, slope } = given.coupling
    const unknown = [offset, slope].some((vh) => vh.v === null || vh.h === null)
    return done(
      answerLine(given, given.coupling, {
        sets: [],
        flags: unknown ? ['unproven', 'single-plane'] : ['unproven'],
      }),
    )
  },
})
