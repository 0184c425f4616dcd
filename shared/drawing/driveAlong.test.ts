import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../../core/jobs/testBelt'
import { groovesOf, layAlong } from './driveAlong'

describe('a drive along its shafts', () => {
  it('is lined up by first groove centres, to one scale, a belt a groove', () => {
    const { sheaves, belts, height } = layAlong(BELT_MACHINE, 600)
    const [motor, driven] = sheaves
    expect(motor.grooves[0]).toBeCloseTo(driven.grooves[0] ?? NaN, 9)
    // One scale along and across.
    const scale = (driven.x - motor.x) / 820
    expect(motor.half).toBeCloseTo(90 * scale, 9)
    expect(motor.inner - motor.outer).toBeCloseTo(101 * scale, 9)
    expect(driven.outer).toBeCloseTo(motor.outer - 2.7 * scale, 9)
    expect(motor.shaftEnd).toBeCloseTo(motor.outer - 16 * scale, 9)
    expect(driven.shaftEnd).toBeNull()
    expect(belts).toHaveLength(5)
    expect(driven.x + driven.half).toBeCloseTo(600, 9)
    expect(height).toBeGreaterThan(Math.max(motor.inner, driven.inner))
  })

  it('spreads grooves evenly where nobody registered how far apart they stand', () => {
    const { motor } = BELT_MACHINE.sheaves
    const even = groovesOf(motor)
    expect(even[4]).toBeCloseTo(motor.faceWidth - motor.depthInner, 9)
    expect(groovesOf({ ...motor, groovePitch: 19 }).map(Math.round)).toEqual([10, 29, 48, 67, 86])
    expect(groovesOf({ ...motor, grooves: 1 })).toEqual([10])
    const fewer = { ...BELT_MACHINE, belts: { ...BELT_MACHINE.belts, count: 9 } }
    expect(layAlong(fewer, 500).belts).toHaveLength(5)
  })
})
