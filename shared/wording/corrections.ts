import { feetWords, methodsWords, reportWords, setsWords } from './en'
import type { LogEntry } from '../../core/logbook/entry'
import { toCore, type Measured } from '../../core/units/unitSystem'
import { hourName } from './directions'
import { figure, pack } from './figures'
import { circleName } from './circles'
import type { Telling } from './telling'

/** Values of an entry by what they are called, as a person reads them. */
type Values = ReadonlyMap<string, string>

/** Flat values of a payload whose parts need no words of their own; `shown` words a leaf. */
const flat = (
  value: unknown,
  paths: Readonly<Record<string, string>>,
  shown: (leaf: unknown, path: readonly string[]) => string,
) => {
  const found: [string, string][] = []
  const walk = (v: unknown, at: readonly string[]): void => {
    if (v !== null && typeof v === 'object')
      for (const [k, inner] of Object.entries(v)) walk(inner, [...at, k])
    else if (v !== undefined && v !== '')
      found.push([
        at
          .map((p) => paths[p] ?? p)
          .filter((p) => !['given', 'how', '0'].includes(p))
          .join(' '),
        shown(v, at),
      ])
  }
  walk(value, [])
  return found
}

const valuesOf = (entry: LogEntry, telling: Telling): Values => {
  const { units, words, footNames } = telling
  const w = reportWords(words).corrections
  const inUnits =
    (typed: 'inch' | 'metric', measured: Extract<Measured, 'displacement' | 'distance'>) => (x: number) =>
      figure(toCore(x, measured, typed), measured, units, { sign: measured === 'displacement', unit: true })
  switch (entry.kind) {
    case 'readings-taken': {
      const d = inUnits(entry.payload.units, 'displacement')
      const rows = Object.entries(entry.payload.circles).flatMap(([circle, list]) =>
        list.map((r): [string, string] => [
          w.at(circleName(circle, telling), hourName(r.clock, telling)),
          d(r.value),
        ]),
      )
      const turned = Object.entries(entry.payload.returned ?? {}).map(([circle, x]): [string, string] => [
        w.afterTurn(circleName(circle, telling)),
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
          const foot = `${footNames(c.pair, c.machine)} ${feetWords(words).sides[c.side]}`
          return [
            [w.takenOut(foot), pack(mm(c.takenOut), units)],
            [w.putIn(foot), pack(mm(c.putIn), units)],
          ]
        }),
        ...side.map((s): [string, string] => [
          w.pushed(feetWords(words).feet(footNames(s.pair, s.machine))),
          inUnits(typed, 'displacement')(s.moved),
        ]),
      ])
    }
    case 'set-up': {
      const { units: typed, how, feet, graduation, returned } = entry.payload
      const small = inUnits(typed, 'displacement')
      const tape = inUnits(typed, 'distance')
      const byCircle = (what: (circle: string) => string, of: Readonly<Record<string, number>>) =>
        Object.entries(of).map(([c, x]): [string, string] => [what(circleName(c, telling)), small(x)])
      return new Map([
        [w.method, setsWords(words).methods[how.method]],
        ...flat(how.given, w.paths, (leaf, at) => {
          const name = at[at.length - 1] ?? ''
          if (typeof leaf !== 'number') return String(leaf)
          if (at.includes('signs'))
            return leaf > 0 ? methodsWords(words).options.plus : methodsWords(words).options.minus
          return name === 'sag' ? small(leaf) : name === 'readingSign' ? String(leaf) : tape(leaf)
        }),
        ...feet.map((f): [string, string] => [
          w.feetAt(feetWords(words).feet(footNames(f.pair, f.machine))),
          tape(f.x),
        ]),
        ...byCircle(w.graduation, graduation),
        ...byCircle(w.afterTurn, returned),
      ])
    }
    case 'sheaves-read': {
      const tape = inUnits(entry.payload.units, 'distance')
      return new Map(
        flat(entry.payload, w.paths, (leaf) => (typeof leaf === 'number' ? tape(leaf) : String(leaf))),
      )
    }
    default:
      return new Map(flat(entry.payload, w.paths, String))
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
