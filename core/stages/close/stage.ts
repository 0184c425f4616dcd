import { conflict, defineStage, invalid } from '../../logbook/stage'
import { FOLD_VERSION, type Closing, type Outcome } from './closing'

interface Sees {
  readonly closing: Closing
  readonly outcome: Outcome
}

/** Signed and done; out of band or unmeasured only with the reason. Last on every sheet. */
export const closeStage = defineStage({
  id: 'close',
  writes: ['job-closed'],
  skip: 'never',
  mark: ({ closing }: Sees) => (closing ? 'done' : 'todo'),
  wants: () => true,
  objection: ({ outcome }, entry) => {
    if (entry.kind !== 'job-closed') return null
    const { signed, exception } = entry.payload
    if (outcome.exceptions.length > 0 && exception.trim() === '')
      return invalid('exception-needed', 'payload', 'exception')
    // Signed by what the writer saw; when that is no longer what the logbook says, they look again.
    if (signed && signed.foldVersion === FOLD_VERSION && signed.verdict !== outcome.verdict)
      return conflict('signed-otherwise')
    return null
  },
})
