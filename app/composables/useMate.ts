import { mateHeardWords } from '~~/shared/wording/en'
import { unitOf } from '~~/shared/forms/typed'
import { clockName } from '~~/shared/wording/directions'
import type { Press, Wanted } from '~~/shared/secondScreen/call'
import { BELT_BOX } from '~~/shared/stages/tension/boxes'
import { newId } from '~/device/newId'

/** A second screen that was not heard for so long is gone. */
const GONE_MS = 50_000

/** This page's own name among the screens of a job. */
const own = newId()

/** Whether a second screen of the job in view is linked. */
export const useMateLinked = () => {
  const job = useJob()
  const now = useNow({ interval: 5000 })
  // Kept while stages come and go: a mate who was there before this one was opened is there.
  const heard = useState(`mate.heard.${job.id}`, () => 0)
  watch(
    () => job.called,
    (said) => {
      if (said && said.from !== own && said.says !== 'wants' && said.says !== 'presses')
        heard.value = Date.now()
    },
  )
  return computed(() => now.value.getTime() - heard.value < GONE_MS)
}

/** The tension board's end of the line: says which belt is pressed next, and puts what is read there into its box. */
export const useMatePress = (of: {
  /** The belt read next; null where none is. */
  readonly press: () => Omit<Press, 'units'> | null
  /** What stands in the box of a belt, from 1. */
  readonly box: (belt: number) => string
  readonly fill: (belt: number, value: string) => void
}) => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const linked = useMateLinked()
  /** What was heard last, in words. */
  const note = ref('')
  const tell = () => {
    const press = of.press()
    void job.call({ says: 'presses', from: own, press: press && { ...press, units: session.units } })
  }
  const told = computed(() => JSON.stringify([of.press(), session.units]))
  onMounted(() => linked.value && tell())
  watchDebounced(told, () => linked.value && tell(), { debounce: 150 })
  watch(
    () => job.called,
    (said) => {
      if (!said || said.from === own) return
      if (said.says === 'here') tell()
      const press = of.press()
      if (said.says !== 'pressed' || !press || said.by !== press.by) return
      const w = mateHeardWords(telling.value.words)
      const unit = BELT_BOX[said.by]
      const value =
        said.units === session.units ? said.value : `${said.value} ${unitOf(unit, said.units)}`.trim()
      const name = w.belt(said.belt, press.of)
      const empty = of.box(said.belt).trim() === ''
      if (empty) of.fill(said.belt, value)
      note.value = (empty ? w.reads : w.late)(name, value)
    },
  )
  onBeforeUnmount(() => {
    if (linked.value) void job.call({ says: 'presses', from: own, press: null })
  })
  return { note }
}

/**
 * The board's end of the line to a second screen: says what is read next, and puts what is read there into
 * its box, if nobody has filled that meanwhile.
 */
export const useMate = (
  reading: ReturnType<typeof useReadingForm>,
  wants: () => Omit<Wanted, 'units'> | null,
) => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const linked = useMateLinked()
  /** What was heard last, in words. */
  const note = ref('')
  const tell = () => {
    const wanted = wants()
    void job.call({ says: 'wants', from: own, wants: wanted && { ...wanted, units: session.units } })
  }
  const told = computed(() => JSON.stringify([wants(), session.units]))
  onMounted(() => linked.value && tell())
  watchDebounced(told, () => linked.value && tell(), { debounce: 150 })
  watch(
    () => job.called,
    (said) => {
      if (!said || said.from === own) return
      const w = mateHeardWords(telling.value.words)
      const wanted = wants()
      if (said.says === 'here') tell()
      if (said.says === 'there') note.value = wanted ? w.there(clockName(wanted.at, telling.value)) : ''
      if (said.says !== 'reads') return
      const box = reading.form.value.circles[said.circle]?.[String(said.clock)] ?? ''
      const value =
        said.units === session.units ? said.value : `${said.value} ${unitOf('displacement', said.units)}`
      const dial = wanted?.circle === said.circle ? wanted.dial : said.circle
      if (box.trim() === '') reading.setText(said.circle, said.clock, value)
      note.value = box.trim() === '' ? w.reads(dial, value) : w.late(dial, value)
    },
  )
  onBeforeUnmount(() => {
    if (linked.value) void job.call({ says: 'wants', from: own, wants: null })
  })
  return { note, linked }
}
