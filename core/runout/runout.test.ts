import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { radiusAt, trueHub } from '../simulate/hub'
import { runout, starterRunoutLimit } from './runout'

describe('run-out', () => {
  const eight = Array.from({ length: 8 }, (_, i) => i * 45)
  it('takes a simulated hub apart: eccentric and oval, with their high spots', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0.005, max: 0.1, noNaN: true }),
        fc.integer({ min: 0, max: 179 }),
        (amount, at, ovality, ovalAt) => {
          const hub = { ...trueHub(80), eccentric: { amount, at }, oval: { amount: ovality, at: ovalAt } }
          const readings = eight.map((clock) => ({ clock, value: radiusAt(hub, clock) - 80 }))
          const found = runout({ readings, surface: 'rim', limit: 0.1 })
          if (!found.ok) throw new Error('refused')
          expect(found.value.first.amplitude).toBeCloseTo(amount, 9)
          expect(found.value.second?.amplitude).toBeCloseTo(ovality, 9)
          expect(Math.cos(((found.value.first.highAt - at) * Math.PI) / 180)).toBeCloseTo(1, 9)
          expect(Math.cos(((found.value.second?.highAt ?? 0) - ovalAt) * (Math.PI / 90))).toBeCloseTo(1, 9)
          expect(found.value.residualRms).toBeCloseTo(0, 9)
        },
      ),
    )
  })

  it('has no second harmonic from four positions, and a slope only for a face', () => {
    const readings = [0, 90, 180, 270].map((clock) => ({
      clock,
      value: clock === 90 ? 0.1 : clock === 270 ? -0.1 : 0,
    }))
    const rim = runout({ readings, surface: 'rim', diameter: 100, limit: 0.1 })
    const face = runout({ readings, surface: 'face', diameter: 100, limit: 0.1 })
    expect(rim.ok && rim.value).toMatchObject({ second: null, slope: null, strikeAt: 90, verdict: 'out' })
    expect(face.ok && face.value.slope).toBeCloseTo(0.002, 12)
  })

  it('is limited by speed, within bounds', () => {
    expect(starterRunoutLimit(100)).toBeCloseTo(5 * 0.0254, 12)
    expect(starterRunoutLimit(2400)).toBeCloseTo(3 * 0.0254, 12)
    expect(starterRunoutLimit(9000)).toBeCloseTo(2 * 0.0254, 12)
  })
})
