import type { LogEntry } from '../../core/logbook/entry'
import { toCore, type Measured } from '../../core/units/unitSystem'
import { hourName } from './directions'
import { figure, pack } from './figures'
import { circleName } from './readings'
import type { Telling } from './telling'

/** Values of an entry by what they are called, as a person reads them. */
type Values = ReadonlyMap<string, string>

const PATH_WORDS: Readonly<Record<string, string>> = {
  plane: 'dial plane',
  sag: 'sag',
  diameter: 'swing circle',
  carriedBy: 'bracket on',
  plunger: 'plunger points',
  turning: 'shafts that turn',
  readingSign: 'press raises the number (1) or not (−1)',
  p1: 'near rim gap',
  p2: 'far rim gap',
  w: 'apart',
  edgeOn: 'edge lies on',
  edgeSide: 'edge on the face',
}

/** Flat values of a payload whose parts need no words of their own; `shown` words a leaf. */
const flat = (
  value: unknown,
  path: readonly string[],
  shown: (leaf: unknown, path: readonly string[]) => string,
) => {
  const found: [string, string][] = []
  const walk = (v: unknown, at: readonly string[]): void => {
    if (v !== null && typeof v === 'object')
      for (const [k, inner] of Object.entries(v)) walk(inner, [...at, k])
    else if (v !== undefined && v !== '')
      found.push([
        at
          .map((p) => PATH_WORDS[p] ?? p)
          .filter((p) => !['given', 'how', '0'].includes(p))
          .join(' '),
        shown(v, at),
      ])
  }
  walk(value, path)
  return found
}

const valuesOf = (entry: LogEntry, telling: Telling): Values => {
  const { units, words, footNames } = telling
  const inUnits =
    (typed: 'inch' | 'metric', measured: Extract<Measured, 'displacement' | 'distance'>) => (x: number) =>
      figure(toCore(x, measured, typed), measured, units, { sign: measured === 'displacement', unit: true })
  switch (entry.kind) {
    case 'readings-taken': {
      const d = inUnits(entry.payload.units, 'displacement')
      const rows = Object.entries(entry.payload.circles).flatMap(([circle, list]) =>
        list.map((r): [string, string] => [
          `${circleName(circle, telling)} at ${hourName(r.clock, telling)}`,
          d(r.value),
        ]),
      )
      const turned = Object.entries(entry.payload.returned ?? {}).map(([circle, x]): [string, string] => [
        `${circleName(circle, telling)} after the full turn`,
        d(x),
      ])
      return new Map([...rows, ...turned])
    }
    case 'move-made':
    case 'plan-chosen': {
      const { units: typed, changes, side } = entry.payload
      const mm = (list: readonly number[]) => list.map((t) => toCore(t, 'displacement', typed))
      return new Map([
        ...changes.flatMap((c): [string, string][] => {
          const foot = `${footNames(c.pair, c.machine)} ${words.feet.sides[c.side]}`
          return [
            [`${foot}, taken out`, pack(mm(c.takenOut), units)],
            [`${foot}, put in`, pack(mm(c.putIn), units)],
          ]
        }),
        ...side.map((s): [string, string] => [
          `${footNames(s.pair, s.machine)} feet pushed`,
          inUnits(typed, 'displacement')(s.moved),
        ]),
      ])
    }
    case 'set-up': {
      const { units: typed, how, feet, graduation, returned } = entry.payload
      const small = inUnits(typed, 'displacement')
      const tape = inUnits(typed, 'distance')
      const byCircle = (what: string, of: Readonly<Record<string, number>>) =>
        Object.entries(of).map(([c, x]): [string, string] => [`${circleName(c, telling)} ${what}`, small(x)])
      return new Map([
        ['method', words.measuring.methods[how.method]],
        ...flat(how.given, [], (leaf, at) => {
          const name = at[at.length - 1] ?? ''
          if (typeof leaf !== 'number') return String(leaf)
          return name === 'sag' ? small(leaf) : name === 'readingSign' ? String(leaf) : tape(leaf)
        }),
        ...feet.map((f): [string, string] => [`${footNames(f.pair, f.machine)} feet at`, tape(f.x)]),
        ...byCircle('graduation', graduation),
        ...byCircle('after the full turn', returned),
      ])
    }
    case 'sheaves-read': {
      const tape = inUnits(entry.payload.units, 'distance')
      return new Map(
        flat(entry.payload, [], (leaf) => (typeof leaf === 'number' ? tape(leaf) : String(leaf))),
      )
    }
    default:
      return new Map(flat(entry.payload, [], String))
  }
}

/** What a correction changed: `Face at 9: +5.5 mil → +2.5 mil`, one line a value, old and new. */
export const correctionLines = (old: LogEntry, corrected: LogEntry, telling: Telling): readonly string[] => {
  const before = valuesOf(old, telling)
  const after = valuesOf(corrected, telling)
  return [...new Set([...before.keys(), ...after.keys()])].flatMap((name) => {
    const [a, b] = [before.get(name) ?? '–', after.get(name) ?? '–']
    return a === b ? [] : [`${name}: ${a} → ${b}`]
  })
}
