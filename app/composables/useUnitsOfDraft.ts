import type { UnitSystem } from '~~/core/units/unitSystem'

/**
 * Keeps what was typed meaning what it meant: a draft remembers the units it was typed in, and when
 * the view now has others, each bare figure gets its unit written behind it. Runs at once, so that a
 * draft taken up again after a reload or from another job is never read in the wrong unit.
 */
export const useUnitsOfDraft = <T extends { units: UnitSystem }>(
  draft: Ref<T>,
  name: (draft: T, was: UnitSystem) => void,
) => {
  const session = useSession()
  watch(
    () => session.units,
    (now) => {
      const was = draft.value.units
      if (was === now) return
      name(draft.value, was)
      draft.value.units = now
    },
    { immediate: true, flush: 'sync' },
  )
}
