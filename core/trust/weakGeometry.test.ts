import { describe, expect, it } from 'vitest'
import { gapStraightedge } from '../coupling/gapStraightedge'
import type { SettledTolerance } from '../judge/tolerance'
import { judge } from '../judge/judge'
import { ALIGNED } from '../frame/planes'
import { measureTaken, reverseRimDials, rimFaceDials, spacerFacesDials, type Taken } from '../methods/dials'
import type { TrustLimits } from './trustReport'

const GRADUATION = 0.01
const QUARTERS = [0, 90, 180, 270].map((clock) => ({ clock, value: 0 }))
const planes = (offset: number, slope: number): SettledTolerance => ({
  form: 'offset-slope',
  mode: 'plane',
  offset,
  slope,
})
const limits = (tolerance: SettledTolerance): TrustLimits => ({
  units: 'metric',
  graduation: GRADUATION,
  offsetLimit: null,
  tolerance,
})
const measured = (taken: Taken, tolerance: SettledTolerance) => {
  const outcome = measureTaken(taken, limits(tolerance))
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
  return outcome.value
}
/** Every reading in turn one graduation off, the whole method again: the most any does to a quantity. */
const mostByOneGraduation = (taken: Taken, tolerance: SettledTolerance, name: string): number => {
  const valueOf = (t: Taken) =>
    judge(measured(t, tolerance).coupling, tolerance, ALIGNED).quantities.find((q) => q.name === name)
      ?.value ?? NaN
  const before = valueOf(taken)
  let most = 0
  for (const [circle, readings] of Object.entries(taken.read))
    readings.forEach((_, i) => {
      const off = readings.map((r, j) => (i === j ? { ...r, value: r.value + GRADUATION } : r))
      const changed = { ...taken, read: { ...taken.read, [circle]: off } } as Taken
      most = Math.max(most, Math.abs(valueOf(changed) - before))
    })
  return most
}

const reverse = (near: number, far: number) =>
  reverseRimDials({
    onStationary: { carriedBy: 'movable', plane: near, sag: 0, readings: QUARTERS },
    onMovable: { carriedBy: 'stationary', plane: far, sag: 0, readings: QUARTERS },
  })
const rimFace = (diameter: number, rimPlane = -30) =>
  rimFaceDials({
    rim: { carriedBy: 'movable', plane: rimPlane, sag: 0, readings: QUARTERS },
    faces: [
      { plunger: 'away', diameter, readings: [20, 100, 170, 260, 330].map((clock) => ({ clock, value: 0 })) },
    ],
  })
const spacer = (a: number, b: number) =>
  spacerFacesDials({
    spoolLength: 300,
    atStationary: { plunger: 'away', diameter: a, readings: QUARTERS },
    atMovable: { plunger: 'back', diameter: b, readings: QUARTERS },
  })

describe('a set-up too small for what will be judged', () => {
  const CASES: readonly (readonly [string, SettledTolerance, Taken, (size: number) => Taken])[] = [
    ['planes close together', planes(0.1, 0.0005), reverse(-4, 9), (s) => reverse(2.5 - s / 2, 2.5 + s / 2)],
    ['a small swing', planes(0.1, 0.0002), rimFace(40), (s) => rimFace(s)],
    ['a rim far out behind a small swing', planes(0.02, 0.01), rimFace(40, -120), (s) => rimFace(s, -120)],
    [
      'small faces at a spool',
      { form: 'flex-plane', mode: 'plane', slope: 0.0003, spoolLength: 300 },
      spacer(30, 45),
      (s) => spacer(Math.max(30, s), Math.max(45, s)),
    ],
    [
      'both planes taken together',
      { form: 'offset-slope', mode: 'vector', offset: 0.2, slope: 0.0004 },
      reverse(-4, 9),
      (s) => reverse(2.5 - s / 2, 2.5 + s / 2),
    ],
  ]

  it.each(CASES)('is said, with how large it would have to be: %s', (_, tolerance, taken, sized) => {
    const { trust } = measured(taken, tolerance)
    expect(trust.flags).toContain('weak-geometry')
    const [weak] = trust.weak ?? []
    if (!weak) throw new Error('nothing weak')
    if (tolerance.form !== 'window' && tolerance.mode === 'plane')
      expect(mostByOneGraduation(taken, tolerance, weak.name)).toBeCloseTo(weak.effect, 9)
    expect(weak.effect).toBeGreaterThan(weak.limit)
    const just = measured(sized((weak.needs ?? NaN) * 1.0001), tolerance).trust.weak ?? []
    expect(just.map((w) => w.name)).not.toContain(weak.name)
    const short = measured(sized((weak.needs ?? NaN) * 0.99), tolerance).trust.weak ?? []
    expect(short.map((w) => w.name)).toContain(weak.name)
  })

  it('is not said of a set-up that can tell it, nor without a graduation or limits', () => {
    const tight = planes(0.1, 0.0002)
    expect(measured(rimFace(200), tight).trust.flags).not.toContain('weak-geometry')
    const without = { ...limits(tight), graduation: null }
    const outcome = measureTaken(rimFace(40), without)
    expect(outcome.ok && outcome.value.trust.flags).not.toContain('weak-geometry')
  })

  it('asks for a finer dial where no size serves', () => {
    const [weak] = measured(rimFace(200), planes(0.008, 0.01)).trust.weak ?? []
    expect(weak).toMatchObject({ name: 'offset.v', remedy: 'finer-dial', needs: null })
  })

  it('leaves quantities with an open side alone', () => {
    const open: SettledTolerance = {
      form: 'window',
      offset: { v: [0, null], h: [-1, 1] },
      slope: { v: [-1e-6, null], h: [null, 1e-6] },
    }
    expect(measured(rimFace(40), open).trust.weak).toBeUndefined()
  })

  it('is said of feeler gaps too', () => {
    const found = gapStraightedge({ gaps: { diameter: 50, readings: QUARTERS } }, limits(planes(0.1, 0.0003)))
    expect(found.ok && found.value.trust.weak?.[0]).toMatchObject({
      name: 'slope.v',
      effect: GRADUATION / 50,
      remedy: 'diameter',
    })
  })
})
