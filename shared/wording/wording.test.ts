import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judge, type JudgedValue } from '../../core/judge/judge'
import { issue } from '../issue'
import { OWN_END } from './words'
import {
  findingsWords,
  measuringWords,
  methodsWords,
  movesWords,
  reportWords,
  secondScreenWords,
  setUpWords,
} from './en'
import { circleName } from './circles'
import { issues } from './en/issues'
import { things } from './en/things'
import { misalignmentWords, offsetWords, shimWords, sideWords, signWord, slopeWords } from './directions'
import { asTyped, figure, pack, thickness } from './figures'
import { isParallel, namedQuantities, quantityName } from './quantities'
import { refusalSentence } from './refusals'
import { nameFeet, tellingOf } from './telling'
import { toleranceSource } from './tolerances'
import { wordIssue } from './wordIssue'

const MIL = 0.0254
const T = tellingOf('inch', null)
const quantity = (name: string, kind: 'displacement' | 'slope'): JudgedValue => ({
  name,
  kind,
  value: 0,
  aim: 0,
  low: -1,
  high: 1,
  margin: 1,
  verdict: 'in',
})

describe('figures', () => {
  it.each([
    [-8.4 * MIL, 'displacement', 'inch', {}, '−8.4'],
    [8.4 * MIL, 'displacement', 'inch', { sign: true }, '+8.4'],
    [8.4 * MIL, 'displacement', 'inch', { unit: true }, '8.4 mil'],
    [-0.0001 * MIL, 'displacement', 'inch', { sign: true }, '0.0'],
    [0.2134, 'displacement', 'metric', {}, '0.213'],
    [0.00036, 'slope', 'inch', {}, '0.36'],
    [0.00036, 'slope', 'metric', { unit: true }, '0.036 mm/100 mm'],
    [304.8, 'distance', 'inch', { unit: true }, '12.00 in'],
    [304.8, 'distance', 'metric', {}, '304.8'],
    [0.01, 'displacement', 'inch', { extra: 2 }, '0.394'],
    [null, 'displacement', 'inch', { sign: true }, '–'],
  ] as const)('%d as %s in %s', (value, measured, units, options, shown) => {
    expect(figure(value, measured, units, options)).toBe(shown)
  })

  it('never show a hyphen for a minus, nor a signed zero', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), (mm) => {
        const shown = figure(mm, 'displacement', 'inch', { sign: true })
        expect(shown).not.toContain('-')
        expect(shown).not.toMatch(/^[+−]0(\.0*)?$/)
      }),
    )
  })

  it('show shims as they are stamped', () => {
    expect(pack([25 * MIL, 10 * MIL], 'inch')).toBe('25+10')
    expect(pack([0.025, 0.5], 'metric')).toBe('0.025+0.5')
    expect(pack([], 'inch')).toBe('none')
    expect(thickness(1, 'inch')).toBe('39.37')
  })

  it('can be typed back without loss that shows', () => {
    expect(asTyped(34.5 * 25.4, 'distance', 'inch')).toBe('34.5')
    expect(asTyped(0.1, 'displacement', 'metric')).toBe('0.1')
  })
})

describe('directions', () => {
  it.each([
    [offsetWords(3.6 * MIL, 'v', T), '3.6 mil high'],
    [offsetWords(-3.6 * MIL, 'v', T), '3.6 mil low'],
    [offsetWords(3.6 * MIL, 'h', T), '3.6 mil toward 3'],
    [offsetWords(-3.6 * MIL, 'h', T), '3.6 mil toward 9'],
    [offsetWords(0, 'v', T), 'level with it'],
    [offsetWords(0.0001, 'h', T), 'in line with it'],
    [offsetWords(null, 'v', T), 'not known'],
    [slopeWords(0.0003, 'v', 'outboard', T), 'outboard end high, gap open at bottom'],
    [slopeWords(-0.0003, 'v', 'outboard', T), 'outboard end low, gap open at top'],
    [slopeWords(0.0003, 'h', 'outboard', T), 'outboard end toward 3, gap open at 9'],
    [slopeWords(-0.0003, 'h', 'outboard', T), 'outboard end toward 9, gap open at 3'],
    [slopeWords(0, 'h', 'outboard', T), 'no horizontal angle'],
    [slopeWords(null, 'h', 'outboard', T), 'not known'],
    [shimWords(12 * MIL, T), 'add 12.0'],
    [shimWords(-5 * MIL, T), 'take out 5.0'],
    [shimWords(0, T), 'leave as it is'],
    [sideWords(7 * MIL, T), 'push 7.0 toward 3'],
    [sideWords(-7 * MIL, T), 'push 7.0 toward 9'],
  ])('%s', (said, wanted) => {
    expect(said).toBe(wanted)
  })

  it('leave out of the whole what is not known', () => {
    expect(misalignmentWords({ offset: { v: -MIL, h: null }, slope: { v: null, h: null } }, false, T)).toBe(
      '1.0 mil low',
    )
  })

  it.each([
    ['offset.v', 'displacement', -0.1, 'low'],
    ['offset.h', 'displacement', 0.1, 'toward 3'],
    ['slope.v', 'slope', 0.001, 'end high'],
    ['slope.h', 'slope', -0.001, 'end to 9'],
    ['flex.stationary.v', 'slope', 0.001, 'open at 6'],
    ['flex.movable.h', 'slope', 0.001, 'open at 9'],
    ['flex.movable.h', 'slope', -0.001, 'open at 3'],
    ['offset', 'displacement', 0.1, ''],
    ['offset.v', 'displacement', 0.00001, ''],
    ['offset.v', 'displacement', null, ''],
  ] as const)('%s %s %d is %j', (name, kind, value, word) => {
    expect(signWord(quantity(name, kind), value, T)).toBe(word)
  })

  it('turn over exactly when the sign does', () => {
    const names = fc.constantFrom(
      'offset.v',
      'offset.h',
      'slope.v',
      'slope.h',
      'flex.stationary.v',
      'flex.movable.h',
    )
    fc.assert(
      fc.property(names, fc.double({ min: 0.01, max: 1, noNaN: true }), (name, size) => {
        const q = quantity(name, name.startsWith('offset') ? 'displacement' : 'slope')
        expect(signWord(q, size, T)).not.toBe(signWord(q, -size, T))
      }),
    )
  })
})

describe('names and sources', () => {
  it('every judged quantity has a name in words', () => {
    for (const name of [
      'offset.v',
      'offset.h',
      'slope.v',
      'slope.h',
      'offset',
      'slope',
      'flex.stationary.v',
      'flex.movable',
    ])
      expect(quantityName(name, T)).toMatch(/^[A-Z][a-z]/)
  })

  it('a limit says where it comes from', () => {
    expect(toleranceSource({ form: 'offset-slope', source: 'Maker’s sheet' }, 990)).toBe('Maker’s sheet')
    expect(toleranceSource({ form: 'speed-rule', grade: 'fine' }, 1480)).toContain('fine grade at 1480 rpm')
    expect(toleranceSource({ form: 'window' }, null)).toContain('Window')
  })

  it('a refusal is a sentence with its figures', () => {
    expect(refusalSentence({ code: 'arc-too-short', path: [], numbers: { arc: 40, limit: 60 } })).toBe(
      'The readings cover only 40 degrees. Spread them over 60 degrees or more.',
    )
    expect(refusalSentence({ code: 'pair-off-plane', path: [] })).toContain('12 and 6')
  })
})

describe('what schemas say, worded', () => {
  it('has a sentence for every code and words for every thing', () => {
    for (const code of Object.keys(issues) as (keyof typeof issues)[]) {
      const sentence = wordIssue(issue(code, 'reading', 3))
      expect(sentence).toMatch(/[.?]$/)
      expect(sentence).not.toContain('#')
    }
    for (const words of Object.values(things)) expect(words).not.toMatch(/^[A-Z]|\.$/)
  })

  it('leaves alone what no schema said, and names that are no things', () => {
    expect(wordIssue('Invalid input')).toBe('Invalid input')
    expect(wordIssue('#nothing-like-it|x')).toBe('#nothing-like-it|x')
    expect(wordIssue(issue('no-machine-called', 'mill | 2'))).toContain('mill ')
  })
})

describe('the works’ own words for feet', () => {
  const pair = (id: string) => ({ id })
  const machine = {
    drive: 'coupled',
    feet: { movable: ['a', 'b', 'c'].map(pair), stationary: ['a', 'b'].map(pair) },
  }

  it('go by the place of a pair, not by its name', () => {
    const names = nameFeet(OWN_END, 'near-far', machine)
    expect(['a', 'b', 'c'].map((id) => names(id))).toEqual(['near', 'middle', 'far'])
    expect(names('b', 'stationary')).toBe('far')
    expect(names('unknown')).toBe('unknown')
  })

  it('reach every sentence', () => {
    const told = tellingOf('inch', machine, 'front-back')
    expect(slopeWords(0.0003, 'v', told.footNames('c'), told)).toBe('back end high, gap open at bottom')
  })
})

describe('the two machines of a coupling', () => {
  const told = (movableName: string, stationaryName: string) =>
    tellingOf('metric', { drive: 'coupled', movableName, stationaryName })

  it('are the motor and the driven one, whatever stands across from a motor', () => {
    const { words } = told('Motor', 'Clay ball mill')
    expect(words).toBe(OWN_END)
    expect(circleName('onStationary', { words })).toBe('Driven hub')
    expect(setUpWords(words).sagAsked).toContain('a low motor')
    expect(movesWords(words).view.againstDriven).toContain('The driven machine was moved too')
  })

  it('have their own names in every label where no motor moves', () => {
    const telling = told('Gear unit', 'Pan mill')
    const { words } = telling
    expect(['onMovable', 'stationary', 'atMovable'].map((c) => circleName(c, telling))).toEqual([
      'Gear unit hub',
      'Pan mill head',
      'Gear unit face',
    ])
    const { labels } = methodsWords(words)
    expect(labels['reverse-rim'].sagStationary).toBe('Sag of the gear unit’s bar')
    expect(labels.heads.stationaryPlane).toBe('Centre to pan mill head')
    expect(measuringWords(words).view.note).toMatch(/^from behind the gear unit ·/)
    expect(reportWords(words).seenFrom).toContain('from behind the gear unit,')
    expect(quantityName('flex.stationary.v', telling)).toBe('Pan mill flex, vertical')
    expect(findingsWords(words).level.shim).toBe('Gear unit to level')
    const unlike = [labels, measuringWords(words), setUpWords(words), secondScreenWords(words)]
    expect(JSON.stringify(unlike).replaceAll(/"\w+":/g, '')).not.toMatch(/\bmotor|\bdriven/i)
  })

  it('turn with whoever goes round, names and sides at once', () => {
    const { words } = tellingOf(
      'metric',
      { drive: 'coupled', movableName: 'Gear unit', stationaryName: 'Pan mill' },
      'near-far',
      'stationary',
    )
    expect(measuringWords(words).view.note).toBe('from behind the pan mill · plunger in is plus')
    expect(methodsWords(words).labels.values.shownToward3).toBe('Gear unit toward 9: it shows')
    expect(methodsWords(words)).toBe(methodsWords(words))
  })
})

describe('a headline', () => {
  const judgement = judge(
    { offset: { v: -0.2, h: 0.01 }, slope: { v: 0, h: 0.002 } },
    { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.001 },
  )

  it('names every quantity that is out, each with its plane or its direction', () => {
    const named = namedQuantities(judgement, 'out', 'outboard', T)
    expect(named).toContain('7.9 mil low')
    expect(named).toContain('angle, horizontal 2.00, outboard end toward 3')
    expect(named).not.toContain('vertical')
  })

  it('says parallel only when both angles are within a fifth of their limits', () => {
    expect(isParallel(judgement)).toBe(false)
    const near = { offset: { v: 0, h: 0 }, slope: { v: 0.0001, h: -0.00019 } }
    const limit = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.001 } as const
    expect(isParallel(judge(near, limit))).toBe(true)
    expect(isParallel(judge({ ...near, slope: { v: 0.0003, h: 0 } }, limit))).toBe(false)
  })
})
