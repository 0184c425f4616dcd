import { stillness, type Sample } from '~~/core/instruments/steady'
import { touched } from '~/people/gate'
import type { InstrumentLink, LiveSample } from '~~/shared/instruments/link'

/** What an instrument shows now, in core units. */
export interface LiveNow {
  /** Null while it has no figure. */
  readonly value: number | null
  readonly clock: number | null
  readonly steady: boolean
  /** The middle of what it showed lately. */
  readonly middle: number | null
  readonly poor: boolean
  /** When it was heard, by this device's clock, milliseconds. */
  readonly at: number
}

/** Samples kept of each place: enough for a needle to settle, and for a minute of a thermometer. */
const MOST = 240
/** Nothing heard of a needle for so long: it is not live. */
const LATE_MS = 2500

/** What the instruments of the job in view show, heard as long as somebody looks. */
export const useLive = createSharedComposable(() => {
  const job = useJob()
  const outbox = useOutbox()
  const samples = new Map<string, Sample[]>()
  const now = shallowRef<Readonly<Record<string, LiveNow>>>({})
  const clock = useNow({ interval: 500 })
  const hearers = new Set<(place: string, sample: Sample) => void>()

  const linkAt = (place: string): InstrumentLink | undefined => job.links.find((l) => l.place === place)
  const hear = (batch: readonly LiveSample[]) => {
    touched.at = Date.now()
    const next = { ...now.value }
    const at = Date.now()
    for (const { place, t, v, clock: angle, poor } of batch) {
      const kept = samples.get(place) ?? []
      const sample: Sample = { at: t, value: v, clock: angle }
      // Another instrument, or one whose clock was set, begins anew.
      if (t < (kept.at(-1)?.at ?? t)) kept.length = 0
      kept.push(sample)
      if (kept.length > MOST) kept.splice(0, kept.length - MOST)
      samples.set(place, kept)
      const still = stillness(kept.slice(-60), linkAt(place)?.instrument?.graduation ?? 0)
      next[place] = { value: v, clock: angle, steady: still.steady, middle: still.value, poor, at }
      for (const heard of hearers) heard(place, sample)
    }
    now.value = next
  }
  const stop = job.hearLive(hear)
  tryOnScopeDispose(stop)
  watch(
    () => job.id,
    () => {
      samples.clear()
      now.value = {}
    },
  )

  /** How a place stands: whether what it shows is live. */
  const standing = (place: string) => {
    const link = linkAt(place)
    const seen = now.value[place]
    if (!link || link.state === 'awaited') return 'awaited' as const
    if (link.state !== 'speaking') return link.state
    const down = !outbox.linked && !job.practising
    return down || (seen && clock.value.getTime() - seen.at > LATE_MS) ? ('late' as const) : link.state
  }
  const isLive = (place: string): boolean => standing(place) === 'speaking' && now.value[place] !== undefined

  return {
    now,
    linkAt,
    standing,
    isLive,
    /** The last samples of a place, the newest last. */
    samplesAt: (place: string): readonly Sample[] => samples.get(place) ?? [],
    /** Hears each sample as it comes; answers how to stop. */
    hear: (heard: (place: string, sample: Sample) => void): (() => void) => {
      hearers.add(heard)
      return () => void hearers.delete(heard)
    },
  }
})

/**
 * Notes once in the logbook which instrument spoke at a place, before what it showed is taken, and tells the instrument
 * that it was.
 */
export const useSpoken = () => {
  const job = useJob()
  return (place: string): void => {
    const link = job.links.find((l) => l.place === place)
    const instrument = link?.instrument
    if (!instrument) return
    // Nothing hangs on it: an instrument that can't be told has been read all the same.
    void job
      .instruments()
      ?.tell(job.id, link.id, 'take')
      .catch(() => null)
    const { kind, serial, calibrated } = instrument
    const known = job.logbook.some(
      (e) =>
        e.kind === 'instrument-spoke' &&
        e.payload.place === place &&
        e.payload.serial === serial &&
        e.payload.calibrated === calibrated,
    )
    if (!known) job.log({ kind: 'instrument-spoke', payload: { place, kind, serial, calibrated } })
  }
}

/** A short tone, where the device may sound one; and words said aloud where that is wished. */
export const useTelltale = () => {
  const sound = useLocalStorage('hc.live.sound', true)
  const aloud = useLocalStorage('hc.live.aloud', false)
  let context: AudioContext | null = null
  const beep = () => {
    if (!sound.value || !('AudioContext' in window)) return
    try {
      context ??= new AudioContext()
      const tone = context.createOscillator()
      const gain = context.createGain()
      tone.frequency.value = 880
      gain.gain.value = 0.12
      tone.connect(gain).connect(context.destination)
      tone.start()
      tone.stop(context.currentTime + 0.14)
    } catch {
      // A device without a speaker is no reason to stop.
    }
  }
  const say = (words: string) => {
    if (!aloud.value || !('speechSynthesis' in window)) return
    speechSynthesis.cancel()
    speechSynthesis.speak(new SpeechSynthesisUtterance(words))
  }
  return { sound, aloud, beep, say }
}
