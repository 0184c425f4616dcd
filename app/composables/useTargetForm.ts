import { sameTarget, tryTarget } from '~~/core/stages/target/target'
import {
  blankTarget,
  growingPairs,
  nameTargetUnits,
  readTarget,
  textsOfTarget,
  type TargetTexts,
} from '~~/shared/stages/target/form'

/** The boxes of the cold target, bound to the draft, and the line they come to. */
export const useTargetForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const state = computed(() => job.coupled!)
  const pairs = computed(() => growingPairs(state.value.feet))
  const inForce = computed(() => state.value.coldTarget)
  /** A board opens with the target in force, so that one figure of it can be put right. */
  const opening = (): TargetTexts => {
    const { payload } = inForce.value
    if (payload) return textsOfTarget(payload, session.units, pairs.value)
    const blank = blankTarget(session.units, pairs.value)
    return state.value.closing ? { ...blank, way: 'none' } : blank
  }
  const { draft: form } = useDraft<TargetTexts>('target', opening)
  useUnitsOfDraft(form, nameTargetUnits)
  const begin = () => {
    form.value = opening()
  }
  const read = computed(() => readTarget(form.value, pairs.value, telling.value))
  const typed = computed(() => (read.value.payload ? tryTarget(read.value.payload) : null))
  /** Whether what stands in the boxes says something else than what is in force. */
  const changed = computed(() => {
    return typed.value !== null && !sameTarget(typed.value, inForce.value)
  })
  /** What is drawn and told: what is being typed, else what is in force. */
  const shown = computed(() => (changed.value && typed.value ? typed.value : inForce.value))
  return { form, pairs, read, typed, changed, shown, inForce, state, begin }
}
