import { headsApart, NO_SWEEP, sweepOn, sweptSoFar, thinned, type Sweep } from '~~/core/instruments/sweep'
import { sweptTexts } from '~~/shared/stages/measure/sweepForm'
import { useLive } from './live'

/** Milliseconds between two looks at what a sweep comes to. */
const LOOK = 200

/** A sweep under way: samples gathered as they come, and put into the boxes of the set a few times a second. */
export const useSweep = (
  reading: ReturnType<typeof useReadingForm>,
  places: () => Readonly<Record<string, string>>,
) => {
  const job = useJob()
  const session = useSession()
  const live = useLive()
  let gathered: Sweep = NO_SWEEP
  let fresh = false
  const sweep = shallowRef<Sweep>(NO_SWEEP)
  const on = ref(false)
  const circleAt = (place: string) => Object.entries(places()).find(([, p]) => p === place)?.[0]
  const stop = live.hear((place, sample) => {
    const circle = on.value ? circleAt(place) : undefined
    if (circle === undefined) return
    gathered = sweepOn(gathered, circle, sample)
    fresh = true
  })
  const swept = computed(() =>
    Object.fromEntries(Object.keys(places()).map((c) => [c, thinned(sweep.value, c)])),
  )
  const look = () => {
    if (!fresh) return
    fresh = false
    sweep.value = gathered
    const anything = Object.values(swept.value).every((list) => list.length >= 3)
    if (anything)
      reading.form.value = sweptTexts(reading.form.value, swept.value, session.units, job.viewFrom)
  }
  const { pause, resume } = useIntervalFn(look, LOOK, { immediate: false })
  const begin = () => {
    gathered = NO_SWEEP
    sweep.value = NO_SWEEP
    fresh = false
    reading.reset()
    on.value = true
    resume()
  }
  const end = () => {
    on.value = false
    pause()
  }
  onScopeDispose(stop)
  return {
    on,
    sweep,
    swept,
    so: computed(() => sweptSoFar(sweep.value)),
    apart: computed(() => headsApart(sweep.value)),
    begin,
    end,
    /** Everything that came by now is in the boxes. */
    look: () => {
      fresh = true
      look()
    },
  }
}
