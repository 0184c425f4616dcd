import type { PushWatch } from '~~/core/stages/move/push'
import { blankPush, namePushUnits, readPush, type PushTexts } from '~~/shared/stages/move/pushForm'

/** The dials at the ends of a push: boxes bound to the draft, and when they were read. */
export const usePushForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const logged = computed(() => job.footed!.push)
  /** The same as instruments show it now, where some watch it. */
  const live = shallowRef<PushWatch | null>(null)
  const watched = computed(() => live.value ?? logged.value)
  const { draft: form } = useDraft<PushTexts>('push', () => blankPush(session.units))
  useUnitsOfDraft(form, namePushUnits)
  /** Behind tightening once no bite is left to take, unless it is said otherwise. */
  const said = ref<'pushing' | 'tightened' | null>(null)
  const when = computed(() => said.value ?? (logged.value.next ? 'pushing' : 'tightened'))
  const sayWhen = (w: 'pushing' | 'tightened') => {
    said.value = w
  }
  const type = (pair: string, text: string) => {
    form.value.toGo[pair] = text
  }
  const read = computed(() => readPush(form.value, logged.value, when.value, telling.value))
  const ask = useAskOnce(() => read.value.questions)
  const typed = computed(() => Object.values(form.value.toGo).some((t) => t.trim() !== ''))
  /** True when the dials were logged. */
  const log = (): boolean => {
    const { payload } = read.value
    if (!payload || !ask.mayGo() || !job.log({ kind: 'counts-read', payload })) return false
    form.value = blankPush(session.units)
    said.value = null
    return true
  }
  return { form, logged, live, watched, when, sayWhen, type, read, ask, typed, log }
}
