import type { Place } from '../instruments/places'
import { lineBetween, REFERENCE_AXIS } from '../simulate/shaftAxis'
import type { Celsius, Degrees } from '../units/unitSystem'
import type { Bench } from './bench'
import { dialNow, dialsOn, standsAt } from './benchDials'
import { footHeight, shaftsOnBench, type BenchState } from './benchState'

/** What an instrument feels at its place, in core units; where its shaft stands, where it rides on one. */
export interface Felt {
  readonly value: number
  readonly clock: Degrees | null
}

const AMBIENT: Celsius = 19
/** How far a pair of feet warms, as warm as it gets: the machine that rises most, its far end a little less. */
const WARMS: Readonly<Record<'movable' | 'stationary', Celsius>> = { movable: 26, stationary: 9 }

/** What an instrument at this place of the bench feels as it stands; null where there is nothing to feel. */
export const feltAt = (bench: Bench, state: BenchState, place: Place): Felt | null => {
  switch (place.at) {
    case 'circle':
      return dialsOn(state).includes(place.circle)
        ? {
            value: dialNow(bench, state, place.circle),
            clock: state.mount?.method === 'heads' ? standsAt(bench, state) : null,
          }
        : null
    case 'side': {
      const pairs = bench.feet[place.machine]
      const i = pairs?.findIndex((p) => p.id === place.pair) ?? -1
      if (i < 0) return null
      const pushed = state.pushed[place.machine][i as 0 | 1]
      return { value: place.from === '9' ? -pushed : pushed, clock: null }
    }
    case 'warmth': {
      const far = place.pair === bench.feet[place.machine]?.[1].id
      return { value: AMBIENT + state.warm * WARMS[place.machine] * (far ? 0.8 : 1), clock: null }
    }
    case 'level': {
      const { movable } = shaftsOnBench(bench, state)
      return { value: lineBetween(movable, REFERENCE_AXIS).slope.v ?? 0, clock: null }
    }
    case 'foot': {
      const { footDial } = state
      return footDial && { value: footHeight(bench, state, footDial.foot) - footDial.zero, clock: null }
    }
    case 'belt':
      return null
  }
}
