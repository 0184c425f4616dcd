import { describe, expect, it } from 'vitest'
import type { SettledTolerance } from '../judge/tolerance'
import { bentShafts } from '../simulate/couplingGrip'
import { axisOfLine, lineBetween, REFERENCE_AXIS } from '../simulate/shaftAxis'
import { couplingStrain } from './couplingStrain'

const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.0006 }
const TRUTH = { offset: { v: 0.4, h: -0.2 }, slope: { v: 0.001, h: 0 } }
const read = (lateral: number) => {
  const bent = bentShafts(REFERENCE_AXIS, axisOfLine(TRUTH), {
    lateral,
    bending: lateral,
    shaftLateral: 1,
    shaftBending: 1,
  })
  return lineBetween(bent.movable, bent.stationary)
}
const strain = (lateral: number, tolerance: SettledTolerance = LIMITS, repeat = { offset: 0, slope: 0 }) =>
  couplingStrain({ coupled: read(lateral), uncoupled: TRUTH, feet: [{ id: 'a', x: 500 }], tolerance, repeat })

describe('coupling strain', () => {
  it('shows on a simulated coupling that holds the shafts, not on one that lets them be', () => {
    expect(strain(0).strained).toBe(false)
    const held = strain(1)
    expect(held.strained).toBe(true)
    expect(held.difference.offset.v).toBeCloseTo(-0.4 * (1 / 1.5), 6)
    expect(held.feet[0]?.moveError.v).toBeCloseTo((0.4 + 0.001 * 500) * (1 / 1.5), 6)
  })

  it('is measured against half of the limit, or the repeat where that is larger', () => {
    const small = strain(0.1)
    expect(small.quantities.map((q) => q.limit)).toEqual([0.05, 0.05, 0.0003, 0.0003])
    expect(small.quantities.some((q) => q.over)).toBe(true)
    expect(strain(0.1, LIMITS, { offset: 0.2, slope: 0.002 }).strained).toBe(false)
  })

  it('knows flex planes, vectors and windows', () => {
    expect(
      strain(1, { form: 'flex-plane', mode: 'plane', slope: 0.0008, spoolLength: 200 }).quantities.map(
        (q) => q.name,
      ),
    ).toContain('flex.stationary.v')
    expect(strain(1, { ...LIMITS, mode: 'vector' } as SettledTolerance).quantities).toHaveLength(2)
    const open: SettledTolerance = {
      form: 'window',
      offset: { v: [0, null], h: [-0.1, 0.1] },
      slope: { v: [null, null], h: [-0.001, 0.001] },
    }
    const found = strain(1, open)
    expect(found.quantities.find((q) => q.name === 'offset.v')).toMatchObject({ limit: null, over: false })
    expect(found.quantities.find((q) => q.name === 'offset.h')?.limit).toBeCloseTo(0.05, 12)
  })
})
