import { lookArmed, UNREAD, type Armed } from '~~/core/instruments/arm'
import { stillness } from '~~/core/instruments/steady'
import type { ReadingBox } from '~~/shared/stages/measure/form'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { liveTyped } from '~~/shared/wording/instruments'
import { useLive, useSpoken, useTelltale } from './live'

/** Zeroed it stands within so many graduations of nothing, and in so many milliseconds. */
const ZEROED_WITHIN = 3
const ZEROED_IN = 4000

/** A circle that an instrument speaks for, and where that stands. */
export interface LiveCircle {
  readonly circle: string
  readonly place: string
  readonly name: string
}

/**
 * Reading by itself: each instrument is read once it stands still at the mark its circle wants next, into the box that
 * a person would type it in. Hands are on the shaft; the boxes stay open to typing.
 */
export const useArming = (
  reading: ReturnType<typeof useReadingForm>,
  circles: () => readonly LiveCircle[],
  clockName: (clock: number) => string,
) => {
  const job = useJob()
  const telling = useTelling()
  const live = useLive()
  const spoken = useSpoken()
  const telltale = useTelltale()
  const on = ref(false)
  const took = ref('')
  const armed: Record<string, Armed> = {}
  const w = computed(() => instrumentWords(telling.value.words).take)

  /** The box a circle wants next; the full turn last. */
  const wantedBy = (circle: string): ReadingBox | null =>
    reading.read.value.missing.find((b) => b.circle === circle) ?? null
  const markOf = (box: ReadingBox) => box.clock ?? reading.form.value.positions[0] ?? 0
  const fill = ({ circle, name, place }: LiveCircle, box: ReadingBox, value: number) => {
    const instrument = live.linkAt(place)?.instrument
    if (!instrument) return
    spoken(place)
    const text = liveTyped(instrument, value, telling.value)
    if (box.clock === null) reading.form.value.returned[circle] = text
    else reading.setText(circle, box.clock, text)
    took.value = w.value.took(name, text.replace('-', '−'), clockName(markOf(box)))
    telltale.beep()
    telltale.say(w.value.said(text))
  }
  /** The stop at which a circle is read next, counted from the start; none where it has been read. */
  const stopOf = (circle: string): number => {
    const box = wantedBy(circle)
    const { order } = reading.read.value
    return box ? Math.floor(order.indexOf(box) / reading.circles.value.length) : Infinity
  }
  /** Instruments at one stop are read together: one that is ahead waits for the others. */
  const mayRead = (circle: string): boolean =>
    stopOf(circle) === Math.min(...circles().map((c) => stopOf(c.circle)))

  const standsAtZero = () =>
    circles().every(({ place }) => {
      const graduation = live.linkAt(place)?.instrument?.graduation ?? 0
      const now = live.now.value[place]
      // What it showed before it was zeroed is forgotten: else that would be taken for a turn.
      return now?.steady === true && Math.abs(now.middle ?? Infinity) <= ZEROED_WITHIN * graduation
    })
  /** Where a set starts, instruments are told to zero; true once they show it. */
  const zeroAll = async (): Promise<boolean> => {
    for (const { place } of circles()) {
      const link = live.linkAt(place)
      if (link) await job.instruments()?.tell(job.id, link.id, 'zero')
    }
    return until(standsAtZero).toBeTruthy({ timeout: ZEROED_IN })
  }
  /** Arms the instruments where they stand; they are read once they were turned on from there. */
  const arm = async () => {
    took.value = reading.read.value.blank ? w.value.zeroing : ''
    try {
      if (reading.read.value.blank && !(await zeroAll())) {
        took.value = w.value.noZero
        return
      }
    } catch (failure) {
      if (!(failure instanceof ApiFailure)) throw failure
      took.value = failure.message
      return
    }
    for (const { circle, place } of circles()) {
      const now = live.now.value[place]
      armed[circle] = { last: { value: now?.value ?? 0, clock: now?.clock ?? null }, turned: false }
    }
    took.value = ''
    on.value = true
    telltale.beep()
  }
  /** Reads what stands now, whether it was turned or not. */
  const takeNow = () => {
    const due = circles().filter((c) => live.isLive(c.place) && mayRead(c.circle))
    for (const c of due) {
      const box = wantedBy(c.circle)
      const now = live.now.value[c.place]
      if (!box || now?.middle == null) continue
      fill(c, box, now.middle)
      armed[c.circle] = { last: { value: now.middle, clock: now.clock }, turned: false }
    }
  }
  const stop = live.hear((place) => {
    const c = on.value ? circles().find((one) => one.place === place) : undefined
    const box = c && wantedBy(c.circle)
    const graduation = live.linkAt(place)?.instrument?.graduation
    if (!c || !box || graduation === undefined || !mayRead(c.circle)) return
    const still = stillness(live.samplesAt(place).slice(-60), graduation)
    const step = lookArmed(armed[c.circle] ?? UNREAD, still, graduation, markOf(box))
    armed[c.circle] = step.armed
    if (step.take) fill(c, box, step.take.value)
  })
  onScopeDispose(stop)
  return { on, took, telltale, arm, disarm: () => (on.value = false), takeNow }
}
