import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clockName, offsetWords, sideWords, signWord, slopeWords } from './directions'
import * as subjects from './en'
import { OTHER_END, OWN_END, type Words } from './words'
import { seenClock } from './otherEnd'
import { tellingOf } from './telling'
import * as viewWords from './viewWords'

const OWN = tellingOf('inch', null)
const OTHER = tellingOf('inch', null, 'inboard-outboard', 'stationary')

/** All subjects as they are said from one end. */
const everything = (words: Words): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    Object.entries(subjects).flatMap(([name, say]) =>
      typeof say === 'function' && name.endsWith('Words')
        ? [[name.replace(/Words$/, ''), (say as (words: Words) => unknown)(words)]]
        : [],
    ),
  )

/** Every leaf of the words, by path: a sentence, or a function that makes one. */
const leaves = (node: unknown, path = ''): [string, unknown][] =>
  typeof node === 'object' && node !== null && !Array.isArray(node)
    ? Object.entries(node).flatMap(([key, value]) => leaves(value, path ? `${path}.${key}` : key))
    : [[path, node]]

/** What names one side: these read the other way round from the other end. */
const ONE_SIDE = /toward [39]\b|\b[39] o’clock|(?:from|again at|gap at) [39]\b|\b[39] side\b/
/** Both sides alike, or not told from where one stands: hubs' own marks, the second screen, a flange seen from above. */
const ALIKE =
  /^(secondScreen|flange|flangeTape|refusals|objections|issues|things|belts|kinds)\.|^directions\.hours\.|\.trust\.|typing\.|gapsApart$/

describe('seen from the other end', () => {
  it('a clock angle goes over and comes back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (clock) => {
        expect(seenClock(seenClock(clock, 'stationary'), 'stationary')).toBe(clock)
        expect(seenClock(clock, 'movable')).toBe(clock)
      }),
    )
    expect([0, 90, 180, 270, 30].map((c) => clockName(c, OTHER))).toEqual([
      '12 o’clock',
      '9 o’clock',
      '6 o’clock',
      '3 o’clock',
      '11 o’clock',
    ])
  })

  it('a horizontal value reads like its negative from the own end; a vertical one like itself', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), (x) => {
        for (const say of [
          (v: number, t: typeof OWN) => offsetWords(v, 'h', t),
          (v: number, t: typeof OWN) => slopeWords(v / 1000, 'h', 'outboard', t),
          (v: number, t: typeof OWN) => sideWords(v, t),
          (v: number, t: typeof OWN) => signWord({ name: 'offset.h', kind: 'displacement' }, v, t),
          (v: number, t: typeof OWN) => signWord({ name: 'flex.a.h', kind: 'slope' }, v / 1000, t),
          (v: number, t: typeof OWN) => signWord({ name: 'slope.h', kind: 'slope' }, v / 1000, t),
        ])
          expect(say(x, OTHER)).toBe(say(-x, OWN))
        expect(offsetWords(x, 'v', OTHER)).toBe(offsetWords(x, 'v', OWN))
        expect(slopeWords(x / 1000, 'v', 'outboard', OTHER)).toBe(slopeWords(x / 1000, 'v', 'outboard', OWN))
      }),
    )
  })

  it('words of single views, which are not turned over, name no side but in the register and in sums without a job', () => {
    const { recordWords: _, quickWords: __, ...others } = viewWords
    expect(leaves(others).filter(([, said]) => ONE_SIDE.test(String(said)))).toEqual([])
  })

  it('no sentence that names a side is left as it was', () => {
    const other = new Map(leaves(everything(OTHER_END)))
    const left = leaves(everything(OWN_END)).filter(([path, said]) => {
      if (ALIKE.test(path)) return false
      const text = typeof said === 'function' ? String(said as () => string) : said
      return typeof text === 'string' && ONE_SIDE.test(text) && other.get(path) === said
    })
    expect(left.map(([path]) => path)).toEqual([])
  })

  it('sentences change their side and nothing else', () => {
    expect(subjects.movesWords(OTHER_END).view.room('3 mil', '9 mil')).toBe(
      'room 3 mil toward 9, 9 mil toward 3',
    )
    expect(subjects.movesWords(OTHER_END).view.pushed('outboard')).toBe('outboard pushed, toward 9 is plus')
    expect(subjects.feetWords(OTHER_END).sides).toEqual({ left: 'right', right: 'left' })
    expect(subjects.measuringWords(OTHER_END).view.shownSigns(1, -1)).toContain('toward 9 is minus')
    expect(subjects.movesWords(OTHER_END)).toBe(subjects.movesWords(OTHER_END))
    expect(Object.keys(everything(OWN_END)).length).toBeGreaterThan(35)
  })
})
