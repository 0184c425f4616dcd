import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, type Misalignment } from '../frame/planes'
import { judge, marginIn, planeShare } from './judge'
import { offsetLimitOf, settleTolerance, type SettledTolerance, type Tolerance } from './tolerance'
import { toleranceToCore } from './toleranceUnits'

const line = (ov: number | null, oh: number | null, sv: number | null, sh: number | null): Misalignment => ({
  offset: { v: ov, h: oh },
  slope: { v: sv, h: sh },
})
const PLANE: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.001 }
const VECTOR: SettledTolerance = { ...PLANE, mode: 'vector' }

describe('margin in a band', () => {
  it.each([
    [0, [-4, 4], 1],
    [2, [-4, 4], 0.5],
    [4, [-4, 4], 0],
    [5, [-4, 4], -0.25],
    [3, [2, 6], 0.5],
    [8, [4, null], 1],
    [3, [4, null], -0.25],
    [3, [null, 4], 0.25],
    [2, [0, null], 1],
    [0, [0, null], 0],
    [-2, [0, null], -1],
    [7, [null, null], 1],
    [3, [3, 3], 0],
    [4, [3, 3], -1],
  ] as const)('of %d in %j is %d', (value, band, margin) => {
    expect(marginIn(value, band)).toBeCloseTo(margin, 12)
  })

  it('is in from a fifth of the band on, edge up to the limit itself, out beyond', () => {
    const of = (offset: number) => judge(line(offset, 0, 0, 0), PLANE).verdict
    expect(of(0.08)).toBe('in')
    expect(of(0.0801)).toBe('edge')
    expect(of(0.1)).toBe('edge')
    expect(of(0.10001)).toBe('out')
    expect(of(-0.10001)).toBe('out')
  })
})

describe('judging', () => {
  it('names the quantity with the least margin', () => {
    expect(judge(line(0.01, -0.06, 0.0003, 0.0009), PLANE).worst).toBe('slope.h')
  })

  it('takes both planes together in vector mode', () => {
    const judged = judge(line(0.06, 0.08, 0, 0), VECTOR)
    expect(judged.quantities.map((q) => q.name)).toEqual(['offset', 'slope'])
    expect(judged.quantities[0]).toMatchObject({ verdict: 'edge', low: 0, high: 0.1 })
    expect(judged.quantities[0]?.value).toBeCloseTo(0.1, 12)
  })

  it('counts from the target, except in windows', () => {
    const target = line(0.5, 0, 0, 0)
    expect(judge(line(0.5, 0, 0, 0), PLANE, target).verdict).toBe('in')
    const window: SettledTolerance = {
      form: 'window',
      offset: { v: [0, 0.2], h: [-0.1, 0.1] },
      slope: { v: [null, null], h: [null, null] },
    }
    expect(judge(line(0.5, 0, 0, 0), window, target).verdict).toBe('out')
    expect(judge(line(0.1, 0, 9, 9), window, target).verdict).toBe('in')
  })

  it('judges each flex plane of a spacer by offset over length and half the slope', () => {
    const spacer: SettledTolerance = { form: 'flex-plane', mode: 'plane', slope: 0.001, spoolLength: 200 }
    const judged = judge(line(0.2, 0, 0.001, 0), spacer)
    const value = (name: string) => judged.quantities.find((q) => q.name === name)?.value
    expect(value('flex.stationary.v')).toBeCloseTo(0.0015, 12)
    expect(value('flex.movable.v')).toBeCloseTo(-0.0005, 12)
    expect(judged.worst).toBe('flex.stationary.v')
    expect(judged.verdict).toBe('out')
  })

  it('keeps what is not known from being called in band, but an out is an out', () => {
    expect(judge(line(0, null, 0, 0), PLANE).verdict).toBe('unknown')
    expect(judge(line(0.5, null, 0, 0), PLANE).verdict).toBe('out')
    expect(judge(line(null, null, null, null), PLANE)).toMatchObject({ verdict: 'unknown', worst: null })
  })

  it('calls a value edge when its 95 % interval crosses the limit, and never lets an interval excuse one that is out', () => {
    const sd = line(0.03, 0, 0, 0)
    expect(judge(line(0.05, 0, 0, 0), PLANE).verdict).toBe('in')
    expect(judge(line(0.05, 0, 0, 0), PLANE, ALIGNED, sd).verdict).toBe('edge')
    expect(judge(line(0.11, 0, 0, 0), PLANE, ALIGNED, sd).verdict).toBe('out')
    expect(judge(line(0.05, 0, 0, 0), VECTOR, ALIGNED, sd).quantities[0]?.verdict).toBe('edge')
  })

  it('the same line mirrored keeps its margins', () => {
    const v = fc.double({ min: -0.2, max: 0.2, noNaN: true })
    fc.assert(
      fc.property(v, v, (a, b) => {
        const one = judge(line(a, b, 0, 0), PLANE).quantities.map((q) => q.margin)
        const other = judge(line(-a, -b, 0, 0), PLANE).quantities.map((q) => q.margin)
        expect(other).toEqual(one)
      }),
    )
  })

  it('a share of 1 lies exactly on the limit', () => {
    expect(planeShare(line(0.1, 0, 0, 0), PLANE, ALIGNED, 'v')).toBeCloseTo(1, 12)
    expect(planeShare(line(0.1, 0.03, 0, 0), PLANE, ALIGNED, 'h')).toBeCloseTo(0.3, 12)
  })
})

describe('starter limits by speed', () => {
  const rule = (grade: 'fine' | 'standard', spoolLength?: number): Tolerance => ({
    form: 'speed-rule',
    mode: 'plane',
    grade,
    spoolLength,
  })
  const MIL = 0.0254

  it.each([
    ['standard', 990, 5400 / 990, 1000 / 990],
    ['fine', 1800, 2, 600 / 1800],
    ['standard', 300, 8, 1.5],
    ['fine', 20000, 0.5, 0.1],
  ] as const)('%s at %d rpm', (grade, rpm, offset, slope) => {
    const settled = settleTolerance(rule(grade), rpm)
    if (settled.form !== 'offset-slope') throw new Error(settled.form)
    expect(settled.offset / MIL).toBeCloseTo(offset, 9)
    expect(settled.slope * 1000).toBeCloseTo(slope, 9)
    expect(offsetLimitOf(settled)).toBe(settled.offset)
  })

  it('goes by flex plane when a spool length is given', () => {
    const settled = settleTolerance(rule('standard', 180), 1480)
    expect(settled).toMatchObject({ form: 'flex-plane', spoolLength: 180 })
    if (settled.form === 'flex-plane') expect(settled.slope * 1000).toBeCloseTo(1800 / 1480, 9)
    expect(offsetLimitOf(settled)).toBeNull()
  })

  it('turns a limit given in mil into millimetres, window and all', () => {
    expect(
      toleranceToCore({ form: 'offset-slope', mode: 'plane', offset: 4, slope: 0.8 }, 'inch'),
    ).toMatchObject({
      offset: 4 * MIL,
      slope: 0.0008,
    })
    const window = toleranceToCore(
      { form: 'window', offset: { v: [0, 10], h: [null, 5] }, slope: { v: [-1, null], h: [null, null] } },
      'metric',
    )
    expect(window).toMatchObject({ offset: { v: [0, 10], h: [null, 5] }, slope: { v: [-0.01, null] } })
    expect(offsetLimitOf(settleTolerance(window, 1))).toBe(5)
  })
})
