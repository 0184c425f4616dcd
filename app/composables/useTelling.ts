import { en, type Words } from '~~/shared/wording/en'
import { tellingOf, type Telling } from '~~/shared/wording/telling'

/** How this person is told: words, units, and the works' own names for the feet of the machine in view. */
export const useTelling = (): ComputedRef<Telling> => {
  const session = useSession()
  const job = useJob()
  return computed(() => tellingOf(session.units, job.machine, session.works?.footWords))
}

/** The words of the program where neither units nor feet matter. */
export const useWords = (): Words => en
