import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../jobs/testBelt'

const squareOn = (sheaveEnd: number, farEnd: number, edge: 'driven-side' | 'far-side' = 'far-side') => {
  const belt = new TestBelt().ready()
  belt.add({ kind: 'motor-squared', payload: { units: 'metric', sheaveEnd, farEnd, edge, words: '' } })
  return belt.fold().state.square!
}

describe('the motor on its base', () => {
  it('is judged by what its belts may run at, at its own feet', () => {
    const s = squareOn(100, 100)
    expect(s).toMatchObject({ verdict: 'in', by: { by: 'starting' } })
    expect(s.difference).toBeCloseTo(0, 12)
    expect(s.limit).toBeCloseTo(254 * Math.tan((0.5 * Math.PI) / 180), 9)
  })

  it('squares the far end the way it has to go, whichever side the edge lies on', () => {
    // From the far side, a far end further off stands nearer the driven shaft: it goes away from it.
    const near = squareOn(100, 105)
    expect(near.verdict).toBe('out')
    expect(near.farEndSlide).toBeCloseTo(5, 12)
    expect(near.turns).toBeCloseTo(2, 12)
    const far = squareOn(100, 105, 'driven-side')
    expect(far.farEndSlide).toBeCloseTo(-5, 12)
    expect(far.turn).toBeCloseTo(Math.atan(5 / 254), 12)
    expect(far.turn).toBeCloseTo(-near.turn, 12)
  })

  it('knows no turns where its screws’ travel is unknown', () => {
    const belt = new TestBelt({ ...BELT_MACHINE, base: { ...BELT_MACHINE.base, screwPitch: null } }).ready()
    belt.square(100, 105)
    expect(belt.fold().state.square).toMatchObject({ turns: null, verdict: 'out' })
  })
})
