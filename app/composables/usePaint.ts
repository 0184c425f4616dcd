import { RUNS, type PaintedZone, type Run } from '~~/core/gear/contactFigures'
import type { ContactRead } from '~~/core/stages/contact/contact'
import { blankPaint, paintPayload, readPaint, type PaintTexts } from '~~/shared/stages/contact/form'
import { zoneTexts } from '~~/shared/wording/gearContact'

/**
 * The paint of both flanks as it is dragged or typed, bound to the draft and folded at once. Until something is changed
 * the boxes show what was logged.
 */
export const usePaint = (moment: 'as-found' | 'fit', logged: () => ContactRead | null) => {
  const job = useJob()
  const telling = useTelling()
  const { draft, clear } = useDraft<PaintTexts & { touched: boolean }>(`paint.${moment}`, () => ({
    ...blankPaint(),
    touched: false,
  }))
  const stands = computed((): PaintTexts => {
    const now = logged()
    if (draft.value.touched || !now) return draft.value
    return {
      forward: zoneTexts(now.zones.forward),
      back: zoneTexts(now.zones.back),
      photographs: [...now.entry.payload.photographs],
      words: now.entry.payload.words,
    }
  })
  const change = (next: Partial<PaintTexts>) => {
    draft.value = { ...stands.value, ...next, touched: true }
  }
  const type = (run: Run, end: 'from' | 'to', text: string) =>
    change({ [run]: { ...stands.value[run], [end]: text } })
  const drag = (run: Run, zone: PaintedZone) => change({ [run]: zoneTexts(zone) })
  const wipe = (run: Run) => change({ [run]: { from: '', to: '' } })

  const read = computed(() => readPaint(stands.value, telling.value))
  const offered = computed(() => paintPayload(stands.value, moment, telling.value))
  /** Set once somebody asks to log what can't be logged yet: until then only what can't be read is said. */
  const asked = ref(false)
  const faults = computed(() => (asked.value ? offered.value.faults : read.value.faults))
  const begun = computed(
    () => draft.value.touched && RUNS.some((r) => stands.value[r].from !== '' || stands.value[r].to !== ''),
  )
  watch(
    [offered, () => draft.value.touched],
    () => {
      const { payload } = offered.value
      job.draft = payload && draft.value.touched ? job.compose({ kind: 'contact-painted', payload }) : null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })
  /** Logs what stands there; false, with what is missing said at its box, when it can't be. */
  const log = (): boolean => {
    const { payload } = offered.value
    asked.value = payload === null
    if (!payload || !job.log({ kind: 'contact-painted', payload })) return false
    clear()
    return true
  }
  return { stands, read, faults, begun, change, type, drag, wipe, log, clear }
}
