import { roughInWords, typingWords } from '../../wording/en'
import type { MachineRole } from '../../../core/plan/pairNames'
import type { FeelerLimits } from '../../../core/register/hubs'
import type { FeltPlace, RoughInEntries } from '../../../core/stages/roughIn/entries'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { asTape, namedParts, typedValue, unitOf, withUnit } from '../../forms/typed'
import { hourName } from '../../wording/directions'
import type { Telling } from '../../wording/telling'

export const QUARTERS = [0, 90, 180, 270] as const
export type Quarter = (typeof QUARTERS)[number]
export type Felt = 'step' | 'gap'

/** Where a figure or a blade belongs: `step.0`, `gap.270`. */
export const placeKey = (felt: Felt, clock: Quarter): string => `${felt}.${clock}`

/** What stands in the boxes at the hubs, as typed. */
export interface RoughTexts {
  units: UnitSystem
  /** A thickness measured at each place, or one blade tried at each. */
  how: 'measured' | 'blade'
  /** Thickness of the one blade. */
  blade: string
  /** Thicknesses by placeKey. */
  figures: Record<string, string>
  /** What the one blade did, by placeKey. */
  went: Record<string, '' | 'in' | 'stops'>
  /** Which hub the straightedge lies on, by clock: the other one is lower there. */
  lies: Record<string, MachineRole>
  /** Steps at 6 and 9 too. */
  four: boolean
  diameter: string
  stationaryHub: string
  movableHub: string
  coupled: boolean
  drag: '' | 'front' | 'back' | 'even'
  pushed: boolean
  remark: string
}

/** Empty boxes; the circle as registered. */
export const blankRough = (units: UnitSystem, limits: FeelerLimits): RoughTexts => ({
  units,
  how: 'measured',
  blade: '',
  figures: {},
  went: {},
  lies: {},
  four: limits.whole,
  diameter: limits.diameter === null ? '' : asTape(limits.diameter, units),
  stationaryHub: '',
  movableHub: '',
  coupled: false,
  drag: '',
  pushed: false,
  remark: '',
})

/** The same texts meaning the same in other units. */
export const nameRoughUnits = (texts: RoughTexts, was: UnitSystem): void => {
  const small = unitOf('displacement', was)
  for (const key of Object.keys(texts.figures))
    texts.figures[key] = namedParts(texts.figures[key] ?? '', small)
  texts.blade = namedParts(texts.blade, small)
  for (const tape of ['diameter', 'stationaryHub', 'movableHub'] as const)
    texts[tape] = withUnit(texts[tape], unitOf('distance', was))
}

/** Thicker than any feeler stack across a rim that still turns: a digit has slipped. */
const FAR_TOO_MUCH: Millimetres = 6

export interface RoughRead {
  /** What can't be read, by the box it stands in. */
  readonly faults: Readonly<Record<string, string>>
  /** What is still missing to make sense of what stands there, by box. */
  readonly notes: Readonly<Record<string, string>>
  /** What is odd and asked once before it is logged. */
  readonly questions: readonly string[]
  readonly payload: RoughInEntries['hubs-felt'] | null
}

/** Boxes that are shown: steps at 12 and 3, at 6 and 9 too where four are asked; gaps at all. */
export const shownPlaces = (four: boolean): readonly { readonly felt: Felt; readonly clock: Quarter }[] => [
  ...QUARTERS.filter((c) => four || c < 180).map((clock) => ({ felt: 'step' as const, clock })),
  ...QUARTERS.map((clock) => ({ felt: 'gap' as const, clock })),
]

/** Reads the boxes at the hubs. */
export const readRough = (texts: RoughTexts, limits: FeelerLimits, telling: Telling): RoughRead => {
  const { words, units } = telling
  const w = roughInWords(words).form
  const faults: Record<string, string> = {}
  const notes: Record<string, string> = {}
  const questions: string[] = []
  const places: Record<Felt, FeltPlace[]> = { step: [], gap: [] }

  const small = (text: string | undefined, key: string): number | null => {
    const read = readTypedNumber(text ?? '', 'displacement', units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[key] = typingWords(words).faults[read.fault]
      return null
    }
    if (read.value < 0) faults[key] = w.notBelowZero
    return read.value < 0 ? null : read.value
  }
  const blade = texts.how === 'blade' ? small(texts.blade, 'blade') : null
  if (blade === 0) faults.blade = w.bladeAboveZero
  for (const { felt, clock } of shownPlaces(texts.four)) {
    const key = placeKey(felt, clock)
    const sign = felt === 'step' && (texts.lies[clock] ?? 'stationary') === 'stationary' ? -1 : 1
    const signed = (t: number) => (t === 0 ? 0 : sign * t)
    if (texts.how === 'blade') {
      const went = texts.went[key] ?? ''
      if (went === '' || blade === null) continue
      places[felt].push(went === 'in' ? { clock, passes: signed(blade) } : { clock, stops: blade })
      continue
    }
    const value = small(texts.figures[key], key)
    if (value === null) continue
    places[felt].push({ clock, value: signed(value) })
    if (toCore(value, 'displacement', units) > (felt === 'step' ? FAR_TOO_MUCH : 60))
      questions.push(
        w.much(w.at[felt](hourName(clock, telling)), `${value} ${unitOf('displacement', units)}`),
      )
  }
  if (texts.how === 'blade' && blade === null && !faults.blade) notes.blade = w.bladeFirst

  const has = (clock: Quarter) => places.gap.some((p) => p.clock === clock)
  for (const [a, b] of [
    [0, 180],
    [90, 270],
  ] as const)
    if (has(a) !== has(b)) notes[placeKey('gap', has(a) ? b : a)] = w.andThis

  const tape = (key: 'diameter' | 'stationaryHub' | 'movableHub'): number | null => {
    const read = readTypedNumber(texts[key], 'distance', units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[key] = typingWords(words).faults[read.fault]
      return null
    }
    if (read.value <= 0) faults[key] = w.sizeAboveZero
    return read.value > 0 ? typedValue(texts[key], 'distance', units) : null
  }
  const diameter = tape('diameter')
  const [stationary, movable] = [tape('stationaryHub'), tape('movableHub')]
  if ((stationary === null) !== (movable === null))
    notes[stationary === null ? 'stationaryHub' : 'movableHub'] = w.bothHubs
  if (places.gap.length > 0 && diameter === null && !faults.diameter) notes.diameter = w.circleToo
  const floats = limits.float > 0
  if (floats && places.gap.length > 0 && !texts.pushed) questions.push(w.pushFirst)

  const whole =
    Object.keys(faults).length === 0 &&
    Object.keys(notes).length === 0 &&
    places.step.length + places.gap.length > 0
  return {
    faults,
    notes,
    questions,
    payload: whole
      ? {
          units,
          steps: places.step,
          gaps: places.gap,
          diameter: places.gap.length > 0 ? diameter : null,
          hubs: stationary !== null && movable !== null ? { stationary, movable } : null,
          coupled: texts.coupled,
          drag: texts.drag || null,
          pushed: floats ? texts.pushed : null,
          remark: texts.remark.trim(),
        }
      : null,
  }
}

/** The boxes that say what an entry says, in these units: for showing what was felt last. */
export const textsOf = (
  payload: RoughInEntries['hubs-felt'],
  units: UnitSystem,
  limits: FeelerLimits,
): RoughTexts => {
  const texts = blankRough(units, limits)
  const shown = (t: number, measure: 'displacement' | 'distance') =>
    String(Number(fromCore(toCore(t, measure, payload.units), measure, units).toPrecision(6)))
  for (const [felt, list] of [
    ['step', payload.steps],
    ['gap', payload.gaps],
  ] as const)
    for (const p of list) {
      const key = placeKey(felt, p.clock as Quarter)
      const signed = 'value' in p ? p.value : 'passes' in p ? p.passes : 0
      if (felt === 'step' && signed !== 0) texts.lies[p.clock] = signed > 0 ? 'movable' : 'stationary'
      if ('value' in p) texts.figures[key] = shown(Math.abs(p.value), 'displacement')
      else {
        texts.how = 'blade'
        texts.blade = shown(Math.abs('passes' in p ? p.passes : p.stops), 'displacement')
        texts.went[key] = 'passes' in p ? 'in' : 'stops'
      }
      texts.four ||= felt === 'step' && p.clock >= 180
    }
  if (payload.diameter !== null) texts.diameter = shown(payload.diameter, 'distance')
  if (payload.hubs) {
    texts.stationaryHub = shown(payload.hubs.stationary, 'distance')
    texts.movableHub = shown(payload.hubs.movable, 'distance')
  }
  texts.coupled = payload.coupled
  texts.drag = payload.drag ?? ''
  texts.pushed = payload.pushed ?? false
  return texts
}
