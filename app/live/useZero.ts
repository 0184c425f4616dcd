import { instrumentWords } from '~~/shared/wording/en/instruments'
import type { InstrumentLink } from '~~/shared/instruments/link'

/** Tells instruments that what they feel now is zero; says why where they can't be told. */
export const useZero = () => {
  const job = useJob()
  const telling = useTelling()
  const fault = ref('')
  const zero = async (links: readonly (InstrumentLink | undefined)[]) => {
    fault.value = ''
    try {
      for (const link of links) if (link) await job.instruments()?.tell(job.id, link.id, 'zero')
    } catch (failure) {
      if (!(failure instanceof ApiFailure)) throw failure
      fault.value = failure.status === 0 ? instrumentWords(telling.value.words).notReached : failure.message
    }
  }
  return { fault, zero }
}
