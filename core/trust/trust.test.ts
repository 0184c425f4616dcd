import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fitHarmonic, type Reading } from '../fit/harmonicFit'
import { clockVector } from '../frame/clock'
import { closureLimit, closureOf } from './closure'
import { repeatDifferences, repeatLimit } from './repeat'
import { beyondReturnLimit } from './returnToZero'
import { readingSigma, suspectReadings } from './suspects'
import { flagsOfSets, trustOfSet } from './trustReport'

const MIL = 0.0254
const quarters = (...values: number[]): Reading[] => values.map((value, i) => ({ clock: i * 90, value }))
const circle = (a: number, b: number, clocks: readonly number[], group?: string): Reading[] =>
  clocks.map((clock) => {
    const [c, s] = clockVector(clock)
    return { clock, value: a * c + b * s - a, group }
  })
const spoil = (readings: readonly Reading[], index: number, by: number): Reading[] =>
  readings.map((r, i) => (i === index ? { ...r, value: r.value + by } : r))

describe('sum check', () => {
  it('adds top and bottom against left and right', () => {
    expect(closureOf(quarters(0, -2.5, -23, -20.5))).toBe(0)
    expect(closureOf(quarters(0, 1, 3.5, 5.5))).toBe(-3)
  })

  it('counts only one zero group at exactly the four quarters', () => {
    expect(closureOf(quarters(0, 1, 2))).toBeNull()
    expect(closureOf([...quarters(0, 1, 2, 1), { clock: 45, value: 1 }])).toBeNull()
    expect(
      closureOf([
        { clock: 0, value: 0 },
        { clock: 45, value: 1 },
        { clock: 180, value: 2 },
        { clock: 270, value: 1 },
      ]),
    ).toBeNull()
    expect(closureOf(quarters(0, 1, 2, 1).map((r, i) => ({ ...r, group: i % 2 ? 'lr' : 'tb' })))).toBeNull()
    expect(closureOf([{ clock: 360, value: 0 }, ...quarters(0, 1, 2, 1).slice(1)])).toBe(0)
  })

  it('has a limit of two graduations at least, and of the offset limit where that is tighter', () => {
    expect(closureLimit('inch', null, null)).toBeCloseTo(2 * MIL, 12)
    expect(closureLimit('metric', null, null)).toBeCloseTo(0.05, 12)
    expect(closureLimit('inch', 0.5 * MIL, 0.75 * MIL)).toBeCloseTo(1 * MIL, 12)
    expect(closureLimit('inch', 0.1 * MIL, 0.75 * MIL)).toBeCloseTo(0.75 * MIL, 12)
    expect(closureLimit('inch', 2 * MIL, 9 * MIL)).toBeCloseTo(4 * MIL, 12)
  })

  it('is the four-quarter face of the scatter check: sigma is half of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -30, max: 30, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (values) => {
          const readings = quarters(...values)
          const fit = fitHarmonic(readings)
          if (!fit.ok) throw new Error('refused')
          expect(readingSigma(fit.value, 4)).toBeCloseTo(Math.abs(closureOf(readings) ?? NaN) / 2, 9)
        },
      ),
    )
  })
})

const suspectsOf = (readings: readonly Reading[], limit: number): readonly number[] => {
  const whole = fitHarmonic(readings)
  if (!whole.ok) throw new Error('refused')
  return suspectReadings(readings, whole.value, limit)
}

describe('naming a bad reading', () => {
  const limit = 2 * MIL

  it('finds nothing to suspect in a set that agrees', () => {
    expect(suspectsOf(circle(0.3, -0.1, [0, 90, 180, 270]), limit)).toEqual([])
  })

  it('can not tell which of four at right angles is wrong', () => {
    const bad = spoil(circle(0.3, -0.1, [0, 90, 180, 270]), 2, 0.1)
    expect(suspectsOf(bad, limit)).toEqual([0, 1, 2, 3])
  })

  it('names the one that the repeat set contradicts', () => {
    const first = circle(0.3, -0.1, [0, 90, 180, 270], '1')
    const second = spoil(circle(0.3, -0.1, [0, 90, 180, 270], '2'), 3, 0.12)
    expect(suspectsOf([...first, ...second], limit)).toEqual([7])
  })

  it('names it with two further positions as well, wherever it is', () => {
    const clocks = [0, 45, 90, 180, 225, 270]
    for (let i = 0; i < clocks.length; i++) {
      const suspects = suspectsOf(spoil(circle(0.3, 0.2, clocks), i, 0.15), limit)
      expect(suspects).toContain(i)
      expect(suspects.length).toBeLessThan(clocks.length)
    }
  })
})

describe('repeat', () => {
  it('compares positions after removing each set’s own constant', () => {
    const first = quarters(0, 1, 3.5, 2.5)
    const shifted = first.map((r) => ({ ...r, value: r.value + 7 }))
    for (const d of repeatDifferences(first, shifted)) expect(d.difference).toBeCloseTo(0, 12)
    const worse = repeatDifferences(first, quarters(0, 1, 3.5, 5.5))
    expect(worse.find((d) => d.clock === 270)?.difference).toBeCloseTo(2.25, 12)
    expect(worse.find((d) => d.clock === 0)?.difference).toBeCloseTo(-0.75, 12)
  })

  it('leaves out positions that only one set has, and sets that can’t be fitted', () => {
    expect(repeatDifferences(quarters(0, 1, 2, 1), circle(1, 0, [0, 60, 180, 300]))).toHaveLength(2)
    expect(repeatDifferences(quarters(0), quarters(0, 1, 2, 1))).toEqual([])
  })

  it('has a limit of 1 mil or two graduations', () => {
    expect(repeatLimit('inch', 0.5 * MIL)).toBeCloseTo(MIL, 12)
    expect(repeatLimit('inch', MIL)).toBeCloseTo(2 * MIL, 12)
    expect(repeatLimit('metric', null)).toBeCloseTo(0.02, 12)
  })
})

describe('return to zero', () => {
  it('allows one graduation and no more', () => {
    expect(beyondReturnLimit(0.5 * MIL, 'inch', 0.5 * MIL)).toBe(false)
    expect(beyondReturnLimit(-0.6 * MIL, 'inch', 0.5 * MIL)).toBe(true)
    expect(beyondReturnLimit(0.001, 'metric', 0)).toBe(true)
    expect(beyondReturnLimit(0.011, 'metric', null)).toBe(true)
  })
})

describe('trust flags', () => {
  const trust = (readings: readonly Reading[]) => {
    const fit = fitHarmonic(readings)
    if (!fit.ok) throw new Error('refused')
    return flagsOfSets([
      trustOfSet('rim', readings, fit.value, 0, { units: 'inch', graduation: null, offsetLimit: null }),
    ])
  }
  it.each([
    ['nothing about a balanced set', circle(0.3, 0.1, [0, 90, 180, 270]), []],
    ['a broken sum', spoil(circle(0.3, 0.1, [0, 90, 180, 270]), 1, 0.1), ['closure']],
    ['scatter at other positions', spoil(circle(0.3, 0.1, [10, 80, 150, 220, 300]), 1, 0.2), ['residual']],
    ['three positions that can expose nothing', circle(0.3, 0.1, [0, 120, 240]), ['unproven']],
    ['a pair', circle(0.3, 0.1, [0, 180]), ['unproven', 'single-plane']],
    ['a short arc that amplifies', circle(0.3, 0.1, [0, 25, 50, 75]), ['arc-short', 'amplified']],
  ] as const)('tell %s', (_, readings, flags) => {
    expect(trust(readings)).toEqual(flags)
  })
})
