import { instrumentWords } from '~~/shared/wording/en/instruments'
import { instrumentName, ranOutWords } from '~~/shared/wording/instruments'
import { useLive } from './live'

/** A battery below so many percent is said. */
const LOW = 15

/** How the instrument at a place stands, in words: in a word beside its needle, and what has to be known of it. */
export const useLiveTold = () => {
  const telling = useTelling()
  const live = useLive()
  const w = computed(() => instrumentWords(telling.value.words))
  const today = new Date().toISOString()

  const steady = (place: string): boolean => live.isLive(place) && (live.now.value[place]?.steady ?? false)
  const says = (place: string): string => {
    const now = live.now.value[place]
    const standing = live.standing(place)
    if (!live.isLive(place)) return w.value.states[standing === 'speaking' ? 'awaited' : standing]
    if (now?.value === null) return w.value.noFigure
    return steady(place) ? w.value.steady : w.value.moving
  }
  const alerts = (place: string): readonly string[] => {
    const link = live.linkAt(place)
    if (!link?.instrument) return []
    const name = instrumentName(link.instrument, telling.value)
    const standing = live.standing(place)
    const blind =
      live.isLive(place) && live.now.value[place]?.value === null && link.instrument.kind === 'head'
    return [
      standing === 'gone' || standing === 'late' ? w.value.lost(name) : '',
      standing === 'silent' ? w.value.silentSays(name) : '',
      blind ? w.value.beamLost(name) : '',
      link.trouble ? `${name}: ${w.value.trouble[link.trouble]}.` : '',
      link.battery !== null && link.battery < LOW ? w.value.lowBattery(name, link.battery) : '',
      ranOutWords(link.instrument, today, telling.value),
    ].filter(Boolean)
  }
  return { steady, says, alerts }
}
