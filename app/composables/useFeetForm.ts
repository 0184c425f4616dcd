import { cureOf } from '~~/core/stages/feet/cure'
import { pairsOutward } from '~~/core/stages/feet/feetCheck'
import { blankFeet, crissCross, nameFeetUnits, readFeet, type FeetTexts } from '~~/shared/stages/feet/form'

/** The boxes at the feet, bound to the draft; what was read last is shown until somebody reads again. */
export const useFeetForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form, clear } = useDraft<FeetTexts>('feet', () => blankFeet(session.units))
  useUnitsOfDraft(form, nameFeetUnits)

  const state = computed(() => job.footed!)
  const order = computed(() => crissCross(pairsOutward(state.value.machine)))
  const read = computed(() => readFeet(form.value, order.value, telling.value))
  const typed = computed(() =>
    [...Object.values(form.value.rises), ...Object.values(form.value.corners)].some((t) => t.trim() !== ''),
  )
  const again = ref(false)
  /** What is on record is shown, not asked for. */
  const showing = computed(
    () => state.value.feetCheck.readings.at(-1) != null && !typed.value && !again.value,
  )

  watch(
    read,
    ({ rises }) => {
      job.draft =
        rises && form.value.step === 'rises' ? job.compose({ kind: 'rises-read', payload: rises }) : null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })

  const live = computed(() => job.liveCoupled?.feetCheck ?? state.value.feetCheck)
  const cure = computed(() => cureOf(state.value.machine, live.value, state.value.packs))
  /** Empty boxes for a step; what is on record is asked for anew, or shown. */
  const begin = (step: FeetTexts['step'], anew: boolean) => {
    clear()
    form.value.step = step
    again.value = anew
  }
  return { form, read, order, state, showing, live, cure, again, begin }
}
