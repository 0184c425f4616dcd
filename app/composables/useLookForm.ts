import type { InjectionKey, UnwrapNestedRefs } from 'vue'
import { checkLooks, keepLooks, placesOf } from '~~/core/stages/look/looks'
import type { EntryBody } from '~~/core/logbook/entry'
import {
  blankLook,
  blankPlace,
  nameLookUnits,
  type LookTexts,
  type PlaceTexts,
} from '~~/shared/stages/look/form'

/** The boxes of look and clean, bound to the draft, and the machine as the logbook has it. */
export const useLookForm = () => {
  const job = useJob()
  const session = useSession()
  const { draft: form } = useDraft<LookTexts>('look', () => blankLook(session.units))
  useUnitsOfDraft(form, nameLookUnits)
  const state = computed(() => job.opened!)
  const closed = computed(() => state.value.closing !== null)
  const places = computed(() => placesOf(state.value.machine))
  // A place of another coupling may be left over from before the register was changed.
  watchEffect(() => {
    if (!places.value.includes(form.value.place)) form.value.place = places.value[0] ?? 'pins'
  })
  const place = computed((): PlaceTexts => form.value.places[form.value.place] ?? blankPlace())
  const write = (change: Partial<PlaceTexts>) => {
    form.value.places[form.value.place] = { ...place.value, ...change }
  }
  /** As the logbook stands, with this entry added. */
  const looksWith = (body: EntryBody | null) =>
    body
      ? checkLooks(state.value.machine, keepLooks(state.value.looks.facts, job.compose(body)))
      : state.value.looks
  /** The fold of a machine on feet; its panels are shown for no other. */
  const onFeet = computed(() => job.footed!)
  return { form, state, onFeet, closed, places, place, write, looksWith }
}

export type LookForm = UnwrapNestedRefs<ReturnType<typeof useLookForm>>

/** The form that the panels of the stage share. */
export const lookKey: InjectionKey<LookForm> = Symbol('look')

/** The form of the stage one stands in. */
export const useSharedLook = (): LookForm => {
  const look = inject(lookKey)
  if (!look) throw new Error('A panel of look and clean outside of its stage.')
  return look
}
