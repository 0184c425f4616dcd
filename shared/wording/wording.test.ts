import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { JudgedValue } from '../../core/judge/judge'
import { misalignmentWords, offsetWords, shimWords, sideWords, signWord, slopeWords } from './directions'
import { asTyped, figure, pack, thickness } from './figures'
import { quantityName } from './quantities'
import { refusalSentence } from './refusals'
import { toleranceSource } from './tolerances'

const MIL = 0.0254
const quantity = (name: string, kind: 'displacement' | 'slope'): JudgedValue => ({
  name,
  kind,
  value: 0,
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
    [offsetWords(3.6 * MIL, 'v', 'inch'), '3.6 mil high'],
    [offsetWords(-3.6 * MIL, 'v', 'inch'), '3.6 mil low'],
    [offsetWords(3.6 * MIL, 'h', 'inch'), '3.6 mil toward 3'],
    [offsetWords(-3.6 * MIL, 'h', 'inch'), '3.6 mil toward 9'],
    [offsetWords(0, 'v', 'inch'), 'level with it'],
    [offsetWords(0.0001, 'h', 'inch'), 'in line with it'],
    [offsetWords(null, 'v', 'inch'), 'not known'],
    [slopeWords(0.0003, 'v', 'inch'), 'outboard end high, gap open at bottom'],
    [slopeWords(-0.0003, 'v', 'inch'), 'outboard end low, gap open at top'],
    [slopeWords(0.0003, 'h', 'inch'), 'outboard end toward 3, gap open at 9'],
    [slopeWords(-0.0003, 'h', 'inch'), 'outboard end toward 9, gap open at 3'],
    [slopeWords(0, 'h', 'inch'), 'parallel'],
    [slopeWords(null, 'h', 'inch'), 'not known'],
    [shimWords(12 * MIL, 'inch'), 'add 12.0'],
    [shimWords(-5 * MIL, 'inch'), 'take out 5.0'],
    [shimWords(0, 'inch'), 'leave as it is'],
    [sideWords(7 * MIL, 'inch'), 'push 7.0 toward 3'],
    [sideWords(-7 * MIL, 'inch'), 'push 7.0 toward 9'],
  ])('%s', (said, wanted) => {
    expect(said).toBe(wanted)
  })

  it('leave out of the whole what is not known', () => {
    expect(misalignmentWords({ offset: { v: -MIL, h: null }, slope: { v: null, h: null } }, 'inch')).toBe(
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
    expect(signWord(quantity(name, kind), value, 'inch')).toBe(word)
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
        expect(signWord(q, size, 'inch')).not.toBe(signWord(q, -size, 'inch'))
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
      expect(quantityName(name)).toMatch(/^[A-Z][a-z]/)
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
