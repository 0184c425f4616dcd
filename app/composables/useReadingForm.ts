import type { NotedSet } from '~~/core/stages/measure/measurement'
import { fromCore } from '~~/core/units/unitSystem'
import {
  blankReadings,
  editReadings,
  nameReadingUnits,
  readReadings,
  seenFromEnd,
  usualPositions,
  WAYS,
  type ReadingTexts,
  type Way,
} from '~~/shared/stages/measure/form'
import { METHOD_FORMS } from '~~/shared/methods/forms'
import { newId } from '~/device/newId'

/** One set being typed: its boxes bound to the draft, which is folded at every digit. */
export const useReadingForm = () => {
  const job = useJob()
  const session = useSession()
  const circles = computed(() => job.measured?.setUp?.circles ?? [])
  const reads = computed(() => {
    const how = job.measured?.setUp?.how
    return how ? METHOD_FORMS[how.method].reads : 'dials'
  })
  /** Each instrument can tell where it stands. */
  const tellsAngles = computed(() => job.measured?.setUp?.how.method === 'heads')
  const usual = computed(() => usualPositions(job.measured?.machine.drive ?? 'coupled'))
  const { draft: form } = useDraft<ReadingTexts>('readings', () =>
    blankReadings(circles.value, session.units, usual.value, reads.value),
  )
  useUnitsOfDraft(form, nameReadingUnits)
  watch(
    () => job.viewFrom,
    (now) => {
      // Put in whole: a draft is written at every change of it.
      form.value = seenFromEnd(form.value, now)
    },
    { immediate: true, flush: 'sync' },
  )

  const reset = (
    positions: readonly number[] = form.value.positions,
    zeroedTwice: boolean = form.value.zeroedTwice,
  ) => {
    const { ownAngles } = form.value
    form.value = {
      ...blankReadings(circles.value, session.units, positions, reads.value, zeroedTwice, job.viewFrom),
      ownAngles: ownAngles && tellsAngles.value,
    }
  }
  // Boxes of a set-up by another method are not these.
  watch(
    circles,
    (now) => {
      if (now.length > 0 && Object.keys(form.value.circles).join() !== now.join() && !form.value.correcting)
        reset()
    },
    { immediate: true },
  )
  const shownCircles = computed(() => {
    const own = form.value.correcting ? Object.keys(form.value.circles) : circles.value
    return own.length > 0 ? own : circles.value
  })
  const graduation = computed(() =>
    Object.fromEntries(
      Object.entries(job.measured?.setUp?.graduation ?? {}).map(([c, mm]) => [
        c,
        fromCore(mm, 'displacement', session.units),
      ]),
    ),
  )
  const read = computed(() =>
    readReadings(form.value, shownCircles.value, session.units, graduation.value, reads.value),
  )
  const correct = (noted: NotedSet) => {
    form.value = editReadings(noted, session.units, job.viewFrom)
  }
  /** Another way round the clock: what stands in the boxes stays, but for the zeros. */
  const take = (way: Way) => {
    const before = form.value
    reset(WAYS[way], way === 'twice')
    for (const [circle, boxes] of Object.entries(before.circles))
      for (const [clock, text] of Object.entries(boxes))
        if (text.trim() !== '' && text.trim() !== '0') setText(circle, Number(clock), text)
  }
  const setText = (circle: string, clock: number, text: string) => {
    const boxes = form.value.circles[circle] ?? {}
    form.value.circles[circle] = { ...boxes, [String(clock)]: text }
  }

  const setAngle = (circle: string, stop: number, text: string) => {
    form.value.angles[circle] = { ...form.value.angles[circle], [String(stop)]: text }
  }

  let draftId = newId()
  watch(
    [form, () => session.units],
    () => {
      if (read.value.blank) {
        job.draft = null
        draftId = newId()
        return
      }
      const { correcting } = form.value
      job.draft = {
        ...job.compose(read.value.body, correcting ? { entry: correcting, reason: '…' } : null),
        id: draftId,
      }
    },
    { deep: true, immediate: true, flush: 'sync' },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })
  return {
    form,
    circles: shownCircles,
    reads,
    read,
    tellsAngles,
    reset,
    take,
    correct,
    setText,
    setAngle,
    draftId: () => draftId,
  }
}
