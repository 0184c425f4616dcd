import { placeKey } from '~~/core/instruments/places'
import { dialsOn } from '~~/core/practice/benchDials'
import { feltAt } from '~~/core/practice/instrumentsOnBench'
import { normalFrom, seededRandom } from '~~/core/random/random'
import type { InstrumentLink } from '~~/shared/instruments/link'
import type { Hears, InstrumentDoor } from './door'

/** Milliseconds between two figures of a head. */
const EVERY = 50
const GRADUATION = 0.001

const placeOf = (circle: string) => placeKey({ at: 'circle', circle })
const linkOf = (circle: string): InstrumentLink => ({
  id: circle,
  place: placeOf(circle),
  state: 'speaking',
  code: null,
  codeUntil: null,
  instrument: {
    kind: 'head',
    serial: `bench ${circle}`,
    unit: 'mm',
    graduation: GRADUATION,
    calibrated: null,
  },
  battery: null,
  trouble: null,
})

/** Heads mounted on the bench speak as any others do, without a line; answers how to silence them. */
export const speakFromBench = (hears: Pick<Hears, 'instruments' | 'live'>): (() => void) => {
  const practice = usePractice()
  const normal = normalFrom(seededRandom(practice.record?.seed ?? 1))
  let known = ''
  const timer = setInterval(() => {
    const { bench, shown } = practice.coupled ?? {}
    const circles = bench && shown?.mount?.method === 'heads' ? dialsOn(shown) : []
    if (circles.join() !== known) {
      known = circles.join()
      hears.instruments(circles.map(linkOf))
    }
    if (!bench || !shown || circles.length === 0) return
    hears.live(
      circles.flatMap((circle) => {
        const felt = feltAt(bench, shown, { at: 'circle', circle })
        if (!felt) return []
        const value = Math.round(felt.value / GRADUATION + 0.3 * normal()) * GRADUATION
        return [
          { place: placeOf(circle), t: performance.now() / 1000, v: value, clock: felt.clock, poor: false },
        ]
      }),
    )
  }, EVERY)
  return () => clearInterval(timer)
}

/** What the job asks of heads on the bench: they are zeroed by its own hands, and stand where they stand. */
export const benchInstruments = (): InstrumentDoor => {
  const practice = usePractice()
  const nothing = () => Promise.resolve()
  return {
    wait: nothing,
    release: nothing,
    swap: nothing,
    tell: (_, circle, command) => {
      if (command === 'zero') practice.hands({ act: 'zero', circle })
      return Promise.resolve()
    },
  }
}
