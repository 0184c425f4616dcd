import { describe, expect, it } from 'vitest'
import { crissCross, tightening } from './tightening'

describe('tightening', () => {
  it('pulls a bolt to three quarters of its proof load in three passes', () => {
    const found = tightening({ diameter: 16, pitch: 2, proofStress: 600, nutFactor: 0.2, bolts: 4 })
    expect(found.tensileArea).toBeCloseTo(156.7, 1)
    expect(found.preload).toBeCloseTo(0.75 * 600 * found.tensileArea, 9)
    expect(found.torque).toBeCloseTo((0.2 * 16 * found.preload) / 1000, 9)
    expect(found.passes.map((p) => p.torque / found.torque)).toEqual(
      [0.3, 0.6, 1].map((s) => expect.closeTo(s, 12)),
    )
  })

  it('lets the maker’s torque rule', () => {
    const found = tightening({
      diameter: 16,
      pitch: 2,
      proofStress: 600,
      nutFactor: 0.15,
      bolts: 4,
      makerTorque: 120,
    })
    expect(found.torque).toBe(120)
    expect(found.preload).toBeCloseTo(120_000 / 2.4, 9)
  })

  it('goes criss-cross through every bolt once', () => {
    expect(crissCross(4)).toEqual([1, 3, 2, 4])
    for (const n of [1, 3, 5, 8])
      expect([...crissCross(n)].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1))
  })
})
