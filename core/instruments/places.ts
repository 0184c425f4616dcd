import type { MachineRole } from '../plan/pairNames'

/** What an instrument that speaks for itself is. */
export const SPEAKERS = ['dial', 'head', 'belt-gauge', 'level', 'thermometer'] as const
export type Speaker = (typeof SPEAKERS)[number]

/** Units an instrument may tell its figures in, by what it is; the first is the one its figures are kept in. */
export const SPEAKER_UNITS = {
  dial: ['mm', 'mil'],
  head: ['mm', 'mil'],
  'belt-gauge': ['Hz', 'N', 'lbf'],
  level: ['mm/m', 'mil/in'],
  thermometer: ['degC', 'degF'],
} as const satisfies Readonly<Record<Speaker, readonly string[]>>
export type SpeakerUnit = (typeof SPEAKER_UNITS)[Speaker][number]

/** Every unit an instrument may tell its figures in. */
export const ALL_SPEAKER_UNITS = [
  'mm',
  'mil',
  'Hz',
  'N',
  'lbf',
  'mm/m',
  'mil/in',
  'degC',
  'degF',
] as const satisfies readonly SpeakerUnit[]

const TO_CORE: Readonly<Record<SpeakerUnit, (v: number) => number>> = {
  mm: (v) => v,
  mil: (v) => v * 0.0254,
  Hz: (v) => v,
  N: (v) => v,
  lbf: (v) => v * 4.4482216152605,
  'mm/m': (v) => v / 1000,
  'mil/in': (v) => v / 1000,
  degC: (v) => v,
  degF: (v) => (v - 32) / 1.8,
}

/** A figure of an instrument in core units: mm, mm/mm, Hz, N, degrees Celsius. */
export const figureToCore = (value: number, unit: SpeakerUnit): number => TO_CORE[unit](value)

/** A step between two figures of an instrument in core units. */
export const stepToCore = (step: number, unit: SpeakerUnit): number => TO_CORE[unit](step) - TO_CORE[unit](0)

/**
 * Where in a job an instrument stands: a circle of the set-up, an end of a machine that is pushed, a foot pair
 * whose warmth is read, the span of the belts, the shaft a level lies on, whichever foot is loosened.
 */
export type Place =
  | { readonly at: 'circle'; readonly circle: string }
  /** A dial beside an end: at the 3 o'clock side it counts up as the machine comes toward 3, at the other side down. */
  | {
      readonly at: 'side'
      readonly machine: MachineRole
      readonly pair: string
      readonly from: '3' | '9'
    }
  | { readonly at: 'warmth'; readonly machine: MachineRole; readonly pair: string }
  | { readonly at: 'belt' | 'level' | 'foot' }

const PLACE_KINDS: Readonly<Record<Place['at'], readonly Speaker[]>> = {
  circle: ['dial', 'head'],
  side: ['dial'],
  warmth: ['thermometer'],
  belt: ['belt-gauge'],
  level: ['level'],
  foot: ['dial'],
}

/** The kinds of instrument that can stand at a place. */
export const speakersFor = (place: Place): readonly Speaker[] => PLACE_KINDS[place.at]

/** A place in a word, as it goes over the line and into the record: `circle:rim`, `side:movable:inboard`, `side:movable:outboard:9`, `belt`. */
export const placeKey = (place: Place): string => {
  if (place.at === 'circle') return `circle:${place.circle}`
  if (place.at === 'side') return `side:${place.machine}:${place.pair}${place.from === '9' ? ':9' : ''}`
  if (place.at === 'warmth') return `warmth:${place.machine}:${place.pair}`
  return place.at
}

const NAME = /^[A-Za-z0-9][A-Za-z0-9 _-]{0,39}$/

/** The place that a word names; null where it names none. */
export const placeOfKey = (key: string): Place | null => {
  const [at, first = '', second = '', third, ...more] = key.split(':')
  if (more.length > 0 || (third !== undefined && !(at === 'side' && third === '9'))) return null
  if (at === 'circle') return NAME.test(first) && second === '' ? { at, circle: first } : null
  if (at === 'side' || at === 'warmth') {
    if ((first !== 'movable' && first !== 'stationary') || !NAME.test(second)) return null
    const end = { machine: first, pair: second } as const
    return at === 'warmth' ? { at, ...end } : { at, ...end, from: third === '9' ? '9' : '3' }
  }
  return (at === 'belt' || at === 'level' || at === 'foot') && key === at ? { at } : null
}
