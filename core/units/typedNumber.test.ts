import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { flipSign, readTypedNumber, type TypedMeasure } from './typedNumber'
import type { UnitSystem } from './unitSystem'

const value = (text: string, measure: TypedMeasure = 'displacement', units: UnitSystem = 'inch') => {
  const read = readTypedNumber(text, measure, units)
  return read.ok ? read.value : read.fault
}

describe('typed numbers', () => {
  it.each([
    ['7', 7],
    ['+7', 7],
    ['-2.25', -2.25],
    ['−2.25', -2.25],
    ['.125', 0.125],
    ['12.', 12],
    ['0,12', 0.12],
    ['  3 ', 3],
    ['-0', 0],
    ['18+25', 43],
    ['18 + 25 + 2', 45],
    ['-2.25 mil', -2.25],
    ['45 thou', 45],
    ['0.127mm', 5],
    ['0.254 mm', 10],
    ['3 mils', 3],
  ])('a displacement box in mil understands %j as %d', (text, expected) => {
    expect(value(text)).toBeCloseTo(expected as number, 9)
  })

  it.each([
    ['2 5/32', 2.15625],
    ['2-5/32', 2.15625],
    ['5/32', 0.15625],
    ['-2 5/32', -2.15625],
    ['2 5/32 in', 2.15625],
    ['1 ft 7', 19],
    ['1 ft 7 1/2 in', 19.5],
    ['1\' 7"', 19],
    ['2 ft', 24],
    ['25.4 mm', 1],
    ['2.54cm', 1],
    ['1 m', 39.3700787402],
  ])('a distance box in inches understands %j as %d', (text, expected) => {
    expect(value(text, 'distance')).toBeCloseTo(expected as number, 9)
  })

  it.each([
    ['12 mil', 'displacement', 0.3048],
    ['12 in', 'distance', 304.8],
    ['1 ft 7', 'distance', 482.6],
    ['304,8', 'distance', 304.8],
  ] as const)('a metric box understands %j', (text, measure, expected) => {
    expect(value(text, measure, 'metric')).toBeCloseTo(expected, 9)
  })

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['seven', 'not-a-number'],
    ['-', 'not-a-number'],
    ['7 7', 'not-a-number'],
    ['1.2.3', 'not-a-number'],
    ['NaN', 'not-a-number'],
    ['Infinity', 'not-a-number'],
    ['0x10', 'not-a-number'],
    ['5-3', 'not-a-number'],
    ['18+', 'not-a-number'],
    ['--7', 'two-signs'],
    ['+-7', 'two-signs'],
    ['1,234', 'comma-unclear'],
    ['5/0', 'bad-fraction'],
    ['2 32/5', 'bad-fraction'],
    ['1e3', 'exponent'],
    ['99999999', 'too-large'],
  ])('refuses %j as %s', (text, fault) => {
    expect(value(text)).toBe(fault)
  })

  it('takes no unit where none belongs', () => {
    expect(value('990', 'plain')).toBe(990)
    expect(value('990 mm', 'plain')).toBe('unit-here')
  })

  it('tells plain figures from those that are read back', () => {
    const plain = (text: string) => {
      const read = readTypedNumber(text, 'displacement', 'inch')
      return read.ok && read.plain
    }
    expect(plain('-2.5')).toBe(true)
    expect(plain('18+25')).toBe(false)
    expect(plain('2.5 mil')).toBe(false)
    expect(plain('5/32')).toBe(false)
  })

  it('never throws and never answers anything but a finite number or a fault', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[-+0-9.,/ ft"'mil]{0,14}$/)), (text) => {
        for (const measure of ['displacement', 'distance', 'plain'] as const) {
          const read = readTypedNumber(text, measure, 'metric')
          if (read.ok) expect(Number.isFinite(read.value)).toBe(true)
          else expect(read.fault).toMatch(/^[a-z-]+$/)
        }
      }),
    )
  })

  it('reads back any decimal it is given', () => {
    fc.assert(
      fc.property(fc.integer({ min: -99999, max: 99999 }), (n) => {
        expect(value(String(n / 100), 'displacement', 'metric')).toBeCloseTo(n / 100, 9)
      }),
    )
  })
})

describe('the minus key', () => {
  it.each([
    ['7', '-7'],
    ['-7', '7'],
    ['−7', '7'],
    ['+7', '-7'],
    ['', '-'],
    ['-', ''],
    ['2.5 mil', '-2.5 mil'],
  ])('turns %j into %j', (before, after) => {
    expect(flipSign(before)).toBe(after)
  })
})
