import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import { fitHarmonic } from '../../core/fit/harmonicFit'
import { typedValue } from '../forms/typed'
import { drawCircles, type DrawnRound } from '../stages/measure/round'
import type { TextGroup, Texts } from './texts'

/** A circle of readings in a sum's form: the list it stands in, and under which names each row keeps it. */
export interface SumCircle {
  readonly id: string
  readonly list: string
  readonly value: string
}

const own = (id: string, list: string): SumCircle => ({ id, list, value: 'value' })

/** The circles of a measuring sum; those whose optional part was not opened are not there. */
export const circlesOfSum = (
  operation: string,
  at: (path: string) => Texts | undefined,
): readonly SumCircle[] => {
  const all: readonly SumCircle[] =
    (
      {
        'rim-face': [
          own('rim', 'rim/readings'),
          own('face', 'face/readings'),
          own('face1', 'faces/0/readings'),
          own('face2', 'faces/1/readings'),
        ],
        'reverse-rim': [own('onStationary', 'onStationary/readings'), own('onMovable', 'onMovable/readings')],
        'spacer-faces': [
          own('atStationary', 'atStationary/readings'),
          own('atMovable', 'atMovable/readings'),
        ],
        heads: [
          { id: 'stationary', list: 'samples', value: 'stationary' },
          { id: 'movable', list: 'samples', value: 'movable' },
        ],
        'fit-readings': [own('dial', 'readings')],
      } as Readonly<Record<string, readonly SumCircle[]>>
    )[operation] ?? []
  return all.filter((c) => Array.isArray(at(c.list)))
}

const rowsOf = (list: Texts | undefined): readonly TextGroup[] =>
  Array.isArray(list) ? (list as TextGroup[]) : []
const clockOf = (row: TextGroup, units: UnitSystem): number | null =>
  typedValue(String((row.clock as string | undefined) ?? ''), 'plain', units)

/** The positions that the rows of these circles stand at, in the order of the first. */
export const positionsOf = (
  circles: readonly SumCircle[],
  at: (path: string) => Texts | undefined,
  units: UnitSystem,
): readonly number[] => [
  ...new Set(circles.flatMap((c) => rowsOf(at(c.list)).flatMap((row) => clockOf(row, units) ?? []))),
]

/** What stands in the boxes, by circle and position. */
export const textsAt = (
  circles: readonly SumCircle[],
  at: (path: string) => Texts | undefined,
  units: UnitSystem,
): Readonly<Record<string, Readonly<Record<string, string>>>> =>
  Object.fromEntries(
    circles.map((c) => [
      c.id,
      Object.fromEntries(
        rowsOf(at(c.list)).flatMap((row) => {
          const clock = clockOf(row, units)
          return clock === null ? [] : [[String(clock), String((row[c.value] as string | undefined) ?? '')]]
        }),
      ),
    ]),
  )

/** The rows of a circle's list with this text at this position; a row that was missing is put in. */
export const withText = (
  rows: readonly Texts[],
  circle: SumCircle,
  clock: number,
  text: string,
  units: UnitSystem,
): TextGroup[] => {
  const own = rows as readonly TextGroup[]
  const there = own.some((row) => clockOf(row, units) === clock)
  const blank = { ...(own[0] ?? {}), clock: String(clock), [circle.value]: '' }
  return (there ? own : [...own, blank]).map((row) =>
    clockOf(row, units) === clock ? { ...row, [circle.value]: text } : row,
  )
}

/** The rows of a list at these positions: those that were there keep what they hold. */
export const atPositions = (
  rows: readonly Texts[],
  positions: readonly number[],
  units: UnitSystem,
): TextGroup[] => {
  const own = rows as readonly TextGroup[]
  const empty = Object.fromEntries(Object.keys(own[0] ?? { clock: '', value: '' }).map((k) => [k, '']))
  return positions.map(
    (clock) => own.find((row) => clockOf(row, units) === clock) ?? { ...empty, clock: String(clock) },
  )
}

/** The typed circles drawn about their own fits. */
export const drawTyped = (
  circles: readonly SumCircle[],
  at: (path: string) => Texts | undefined,
  units: UnitSystem,
): readonly DrawnRound[] => {
  const read = circles.map((c) => ({
    name: c.id,
    readings: rowsOf(at(c.list)).flatMap((row) => {
      const clock = clockOf(row, units)
      const value = typedValue(String((row[c.value] as string | undefined) ?? ''), 'displacement', units)
      const group = typeof row.group === 'string' && row.group !== '' ? { group: row.group } : {}
      return clock === null || value === null
        ? []
        : [{ clock, value: toCore(value, 'displacement', units), ...group }]
    }),
  }))
  const fits = Object.fromEntries(
    read.flatMap((c) => {
      const fit = c.readings.length >= 2 ? fitHarmonic(c.readings) : null
      return fit?.ok ? [[c.name, fit.value]] : []
    }),
  )
  return drawCircles(read, fits, (clock) => clock)
}
