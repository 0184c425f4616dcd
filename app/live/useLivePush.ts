import { liveToGo, withLive, type Shown } from '~~/core/instruments/livePush'
import { placeOfKey } from '~~/core/instruments/places'
import type { PushWatch } from '~~/core/stages/move/push'
import { useLive } from './live'

/** A push as the instruments show it that watch it: dials beside the ends, else heads at 3 or 9; null where none does. */
export const useLivePush = (push: () => PushWatch | null) => {
  const job = useJob()
  const live = useLive()
  /** Dials beside the ends; without any, the heads. */
  const places = computed(() => {
    const at = (what: 'side' | 'circle') =>
      job.links.filter((l) => l.instrument && placeOfKey(l.place)?.at === what).map((l) => l.place)
    const sides = at('side')
    if (sides.length > 0) return sides
    return job.measured?.setUp?.how.method === 'heads' && at('circle').length === 2 ? at('circle') : []
  })
  const byHeads = computed(() => places.value.some((p) => placeOfKey(p)?.at === 'circle'))
  const shown = computed((): Shown =>
    Object.fromEntries(
      places.value.flatMap((place) => {
        const now = live.now.value[place]
        return live.isLive(place) && now?.value != null
          ? [[place, { value: now.value, clock: now.clock }]]
          : []
      }),
    ),
  )
  const toGo = computed(() => {
    const watched = push()
    const how = job.measured?.setUp?.how
    return watched
      ? liveToGo(
          watched,
          shown.value,
          job.footed?.feet.movable ?? [],
          how?.method === 'heads' ? how.given : null,
        )
      : {}
  })
  const watched = computed(() => {
    const own = push()
    return own && Object.keys(toGo.value).length > 0 ? withLive(own, toGo.value) : null
  })
  return { live, places, byHeads, toGo, watched }
}
