import type { Plane } from '../../core/frame/planes'
import { toCore, type Millimetres, type UnitSystem } from '../../core/units/unitSystem'
import { QUARTERS, placeKey, type Felt, type Quarter, type RoughTexts } from '../stages/roughIn/form'
import type { TextGroup, TextList, Texts } from './texts'

/** The boxes at the hubs, as a board of feelers holds them. */
export type HubFeelers = Pick<RoughTexts, 'how' | 'blade' | 'figures' | 'went' | 'lies' | 'four'>

/** The boxes before anything stands in them. */
export const noFeelers = (): HubFeelers => ({
  how: 'measured',
  blade: '',
  figures: {},
  went: {},
  lies: {},
  four: false,
})

/** The three shapes a row of feelers may have, in the order of the form: a thickness, a blade in, a blade stopped. */
const SHAPES = ['value', 'passes', 'stops'] as const

const rowsOf = (list: Texts | undefined): readonly TextGroup[] =>
  Array.isArray(list) ? (list as TextGroup[]) : []
const textOf = (of: TextGroup, name: string): string => (typeof of[name] === 'string' ? of[name] : '')
const unsigned = (text: string): string => text.replace(/^\s*[-−]\s*/, '')

/**
 * The lists of a sum as boxes at the hubs. A thickness under the straightedge is below zero while the edge lies on
 * the stationary hub; there the box holds it without its sign. `beside` is what the boxes hold and a list has no place for: which hub
 * the edge lies on where nothing is typed yet, the figures while a blade is tried.
 */
export const hubFeelers = (
  gaps: Texts | undefined,
  rises: Texts | undefined,
  beside: HubFeelers,
): HubFeelers => {
  const figures: Record<string, string> = {}
  const went: Record<string, '' | 'in' | 'stops'> = {}
  const lies = { ...beside.lies }
  let [how, blade, four] = [beside.how, beside.blade, beside.four]
  const rows = [...rowsOf(gaps), ...rowsOf(rises)]
  if (rows.some((r) => r.pick === '0' && textOf(r.of as TextGroup, 'value').trim() !== '')) how = 'measured'
  for (const [felt, list] of [
    ['gap', gaps],
    ['step', rises],
  ] as const)
    for (const row of rowsOf(list)) {
      const of = row.of as TextGroup
      const shape = SHAPES[Number(row.pick)] ?? 'value'
      const clock = Number(textOf(of, 'clock')) as Quarter
      const text = textOf(of, shape)
      const bare = felt === 'step' ? unsigned(text) : text
      if (felt === 'step' && shape !== 'stops' && bare.trim() !== '')
        lies[clock] = bare === text ? 'movable' : 'stationary'
      if (felt === 'step' && clock >= 180 && (bare.trim() !== '' || shape !== 'value')) four = true
      if (shape === 'value') {
        figures[placeKey(felt, clock)] = bare
        continue
      }
      how = 'blade'
      went[placeKey(felt, clock)] = shape === 'passes' ? 'in' : 'stops'
      if (bare.trim() !== '') blade = bare
    }
  return how === 'blade'
    ? { how, blade, figures: beside.figures, went, lies, four }
    : { how, blade, figures, went: beside.went, lies, four }
}

/** The boxes of one kind as a sum's list: all four places, what is empty left empty. */
export const feelerRows = (felt: Felt, hubs: HubFeelers): TextList =>
  QUARTERS.map((clock): TextGroup => {
    const key = placeKey(felt, clock)
    const sign = felt === 'step' && (hubs.lies[clock] ?? 'stationary') === 'stationary' ? '-' : ''
    const signed = (text: string) => (text.trim() === '' ? '' : `${sign}${text}`)
    const went = hubs.how === 'blade' ? (hubs.went[key] ?? '') : ''
    if (went === 'in') return { pick: '1', of: { clock: String(clock), passes: signed(hubs.blade) } }
    if (went === 'stops') return { pick: '2', of: { clock: String(clock), stops: hubs.blade } }
    const value = hubs.how === 'measured' ? (hubs.figures[key] ?? '') : ''
    return { pick: '0', of: { clock: String(clock), value: signed(value), group: '' } }
  })

/** Whether boxes at the hubs can hold these lists: each place once, no sets by name, one blade for all. */
export const fitsHubs = (gaps: Texts | undefined, rises: Texts | undefined): boolean => {
  const lists = [rowsOf(gaps), rowsOf(rises)]
  const told = (row: TextGroup) => {
    const of = row.of as TextGroup
    const shape = SHAPES[Number(row.pick)] ?? 'value'
    return { shape, clock: Number(textOf(of, 'clock')), text: textOf(of, shape), group: textOf(of, 'group') }
  }
  const all = lists.flatMap((rows) => rows.map(told))
  const typed = all.filter((r) => r.text.trim() !== '')
  const blades = new Set(typed.filter((r) => r.shape !== 'value').map((r) => unsigned(r.text).trim()))
  return (
    lists.every((rows) => new Set(rows.map((r) => told(r).clock)).size === rows.length) &&
    all.every((r) => (QUARTERS as readonly number[]).includes(r.clock) && r.group === '') &&
    blades.size <= 1 &&
    (blades.size === 0 || typed.every((r) => r.shape !== 'value'))
  )
}

type Ends = readonly [number | null, number | null]
interface Told {
  readonly v: number | null
  readonly h: number | null
}

/** What the sum of feelers comes to, in the units it was given in. */
export interface FeelersFound {
  readonly coupling: { readonly offset: Told; readonly slope: Told }
  readonly bounds: Readonly<Record<'offset' | 'slope', { readonly v: Ends; readonly h: Ends }>>
}

/** A step or an opening in millimetres; null where a blade only bounds it. */
export interface FeltAtHubs {
  readonly value: Millimetres | null
  readonly bounds: Ends
  readonly limit: Millimetres
  readonly verdict: null
}

/** The result as steps at the rims and openings across a circle of this diameter; nothing judges them here. */
export const feltAtHubs = (
  found: FeelersFound | null,
  diameter: Millimetres | null,
  units: UnitSystem,
): Readonly<Record<'steps' | 'openings', Readonly<Record<Plane, FeltAtHubs>>>> => {
  const felt = (what: 'offset' | 'slope', plane: Plane): FeltAtHubs => {
    const end = (x: number | null): number | null =>
      x === null
        ? null
        : what === 'offset'
          ? toCore(x, 'displacement', units)
          : toCore(x, 'slope', units) * (diameter ?? 0)
    const [low, high] = found?.bounds[what][plane] ?? [null, null]
    return {
      value: end(found?.coupling[what][plane] ?? null),
      bounds: [end(low), end(high)],
      limit: 0,
      verdict: null,
    }
  }
  const inPlanes = (what: 'offset' | 'slope') => ({ v: felt(what, 'v'), h: felt(what, 'h') })
  return { steps: inPlanes('offset'), openings: inPlanes('slope') }
}
