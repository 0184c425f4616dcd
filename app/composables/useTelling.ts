import { wordsFrom, type Words } from '~~/shared/wording/words'
import { namesOf, seenOf, tellingOf, type Telling } from '~~/shared/wording/telling'

/** How this person is told: words, units, and the works' own names for the feet of the machine in view. */
export const useTelling = (): ComputedRef<Telling> => {
  const session = useSession()
  const inView = useInView()
  return computed(() => tellingOf(session.units, inView.machine, session.works?.footWords, inView.viewFrom))
}

/** The words of the program where neither units nor feet matter, as they are said to whoever stands where this person does. */
export const useWords = (): Words => {
  const { machine, viewFrom } = useInView()
  return wordsFrom(seenOf(machine, viewFrom), namesOf(machine))
}

/** Whether this person looks from behind the stationary machine; a view is set up anew when they go round. */
export const useOtherEnd = (): boolean => useInView().viewFrom === 'stationary'

/** Rows of a map of feet as they stand from where one looks: from behind the driven machine the map is turned half round. */
export const useRowsSeen = (): (<T>(rows: readonly T[]) => readonly T[]) =>
  useOtherEnd() ? (rows) => [...rows].reverse() : (rows) => rows
