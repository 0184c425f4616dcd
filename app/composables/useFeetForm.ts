import { FOOT_NAMES } from '~~/core/feet/softFoot'
import { cureOf } from '~~/core/stages/feet/cure'
import { footKeyOf, outerFeet } from '~~/core/stages/feet/feetCheck'
import { blankFeet, crissCross, nameFeetUnits, readFeet, type FeetTexts } from '~~/shared/stages/feet/form'

/** The boxes at the feet, bound to the draft; what was read last is shown until somebody reads again. */
export const useFeetForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form, clear } = useDraft<FeetTexts>('feet', () => blankFeet(session.units))
  useUnitsOfDraft(form, nameFeetUnits)

  const state = computed(() => job.coupled!)
  const machine = computed(() => state.value.machine)
  const order = computed(() =>
    crissCross([...machine.value.feet.movable].sort((a, b) => Math.abs(a.x) - Math.abs(b.x))),
  )
  const read = computed(() => readFeet(form.value, order.value, telling.value))
  const typed = computed(
    () =>
      Object.values(form.value.rises).some((t) => t.trim() !== '') ||
      Object.values(form.value.corners).some((t) => t.trim() !== ''),
  )
  const again = ref(false)
  const logged = computed(() => {
    const { readings } = state.value.feetCheck
    return readings[readings.length - 1] ?? null
  })
  /** What is on record is shown, not asked for. */
  const showing = computed(() => logged.value !== null && !typed.value && !again.value)

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
  const cure = computed(() => cureOf(machine.value, live.value, state.value.packs))
  const names = computed(() => outerFeet(machine.value, 'movable'))
  const nameOf = (foot: Parameters<typeof footKeyOf>[0]) =>
    FOOT_NAMES.find((f) => names.value && footKeyOf(names.value[f]) === footKeyOf(foot)) ?? ''
  const startAgain = () => {
    const { step } = form.value
    clear()
    form.value.step = step
    again.value = true
  }
  const settled = (step: FeetTexts['step']) => {
    clear()
    form.value.step = step
    again.value = false
  }
  return {
    form,
    read,
    order,
    state,
    machine,
    logged,
    showing,
    live,
    cure,
    names,
    nameOf,
    again,
    startAgain,
    settled,
  }
}
