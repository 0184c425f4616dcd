import { feelerLimits } from '~~/core/register/hubs'
import { roughCure } from '~~/core/stages/roughIn/cure'
import {
  blankRough,
  nameRoughUnits,
  readRough,
  textsOf,
  type RoughTexts,
} from '~~/shared/stages/roughIn/form'

/** The boxes at the hubs, bound to the draft; what was felt last is shown until somebody feels again. */
export const useRoughForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const state = computed(() => job.coupled!)
  const limits = computed(() => feelerLimits(state.value.machine))
  const { draft: form, clear } = useDraft<RoughTexts>('rough-in', () =>
    blankRough(session.units, limits.value),
  )
  useUnitsOfDraft(form, nameRoughUnits)

  const read = computed(() => readRough(form.value, limits.value, telling.value))
  const typed = computed(
    () =>
      Object.values(form.value.figures).some((t) => t.trim() !== '') ||
      Object.values(form.value.went).some((t) => t !== ''),
  )
  const last = computed(() => state.value.roughIn.latest)
  const again = ref(false)
  /** What is on record is shown, not asked for. */
  const showing = computed(
    () => last.value !== null && !state.value.roughIn.stale && !typed.value && !again.value,
  )
  const texts = computed(() =>
    showing.value && last.value?.round.felt
      ? textsOf(last.value.round.felt.payload, session.units, limits.value)
      : form.value,
  )

  watch(
    () => read.value.payload,
    (payload) => {
      job.draft = payload && !showing.value ? job.compose({ kind: 'hubs-felt', payload }) : null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })

  const live = computed(() => job.liveCoupled?.roughIn ?? state.value.roughIn)
  const cure = computed(() =>
    live.value.latest && !live.value.stale
      ? roughCure(state.value.machine, live.value.latest, state.value.packs)
      : null,
  )
  /** Boxes for another look: empty, or what was felt last to type over one of them. */
  const begin = (from: 'empty' | 'last' | 'shown') => {
    const before = last.value?.round.felt?.payload
    clear()
    again.value = from !== 'shown'
    if (!before || from === 'shown') return
    const old = textsOf(before, session.units, limits.value)
    form.value = from === 'last' ? old : { ...old, figures: {}, went: {}, drag: '' }
  }
  return { form, texts, read, limits, state, showing, live, cure, begin }
}
