import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clockVector } from '../frame/clock'
import { AMPLIFICATION_FOUR_CLOCK, fitHarmonic, type Reading } from './harmonicFit'

const at = (clock: number, value: number, group?: string): Reading => ({ clock, value, group })
const ok = (readings: readonly Reading[]) => {
  const fit = fitHarmonic(readings)
  if (!fit.ok) throw new Error(fit.refusals[0]?.code)
  return fit.value
}
const refusal = (readings: readonly Reading[]) => {
  const fit = fitHarmonic(readings)
  return fit.ok ? null : fit.refusals[0]?.code
}

const amplitude = fc.double({ min: -50, max: 50, noNaN: true })
const circle = (c: number, a: number, b: number, clocks: readonly number[]): Reading[] =>
  clocks.map((clock) => {
    const [cos, sin] = clockVector(clock)
    return at(clock, c + a * cos + b * sin)
  })

describe('fitting one dial', () => {
  it('halves top against bottom and right against left for the four quarters', () => {
    const fit = ok([at(0, 0), at(90, -2.5), at(180, -23), at(270, -20.5)])
    expect(fit.cos).toBeCloseTo(11.5, 12)
    expect(fit.sin).toBeCloseTo(9, 12)
    expect(fit.amplification).toBeCloseTo(AMPLIFICATION_FOUR_CLOCK, 12)
    expect(fit.arc).toBe(270)
  })

  it('finds any circle again from any spread-out positions', () => {
    const clocks = fc.constantFrom(
      [0, 90, 180, 270],
      [20, 95, 170, 245],
      [0, 120, 240],
      [10, 50, 130, 200, 260, 340],
    )
    fc.assert(
      fc.property(amplitude, amplitude, amplitude, clocks, (c, a, b, where) => {
        const fit = ok(circle(c, a, b, where))
        expect(fit.cos).toBeCloseTo(a, 8)
        expect(fit.sin).toBeCloseTo(b, 8)
        expect(fit.constants['']).toBeCloseTo(c, 8)
        expect(fit.residualRms).toBeLessThan(1e-9)
      }),
    )
  })

  it('gives each zero group its own constant', () => {
    const fit = ok([at(0, 0, 'tb'), at(180, -23, 'tb'), at(90, 0, 'lr'), at(270, -18, 'lr')])
    expect(fit.cos).toBeCloseTo(11.5, 12)
    expect(fit.sin).toBeCloseTo(9, 12)
    expect(fit.constants.tb).not.toBeCloseTo(fit.constants.lr ?? 0, 3)
  })

  it('does not care at which position the dial was zeroed', () => {
    fc.assert(
      fc.property(amplitude, amplitude, amplitude, (a, b, zero) => {
        const readings = circle(0, a, b, [0, 90, 180, 270])
        const shifted = readings.map((r) => ({ ...r, value: r.value - zero }))
        expect(ok(shifted).cos).toBeCloseTo(ok(readings).cos ?? NaN, 9)
      }),
    )
  })

  it('reads one plane from a pair on 12-6 or 3-9 and leaves the other unknown', () => {
    expect(ok([at(0, 0), at(180, -8)])).toMatchObject({ cos: 4, sin: null })
    expect(ok([at(90, 0), at(270, -8)])).toMatchObject({ cos: null, sin: 4 })
  })

  it('shows the odd reading as the worst residual', () => {
    const readings = circle(0, 5, -3, [0, 45, 90, 135, 180, 225, 270, 315])
    readings[3] = at(135, (readings[3]?.value ?? 0) + 4)
    expect(ok(readings).worst.clock).toBe(135)
  })

  it.each([
    ['one position', [at(0, 1), at(1, 2), at(359, 2)], 'too-few-positions'],
    ['a pair off the planes', [at(45, 0), at(225, 3)], 'pair-off-plane'],
    ['a pair that is not opposite', [at(0, 0), at(90, 3)], 'pair-off-plane'],
    ['a short arc', [at(0, 0), at(20, 1), at(40, 3)], 'arc-too-short'],
    [
      'positions that amplify too much',
      [at(0, 0, 'a'), at(5, 1, 'a'), at(90, 0, 'b'), at(95, 1, 'b')],
      'amplified-too-much',
    ],
  ] as const)('refuses %s', (_, readings, code) => {
    expect(refusal(readings)).toBe(code)
  })
})
