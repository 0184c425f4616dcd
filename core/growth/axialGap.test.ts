import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { axialGap } from './axialGap'

const shaft = (rise: number, closesGap = true) => ({ length: 1000, alpha: 1e-5, rise, closesGap })

describe('a gap that closes', () => {
  it('is set cold by what the shafts grow', () => {
    const found = axialGap({ runningGap: 3, shafts: [shaft(50), shaft(20, false)] })
    expect(found.coldGap).toBeCloseTo(3 + 0.5 - 0.2, 12)
    expect(found.collides).toBeNull()
  })

  it('hubs that touch are out, whatever the window says, and it is said when', () => {
    const warm = axialGap({ runningGap: 1, shafts: [shaft(150)], measured: 1.2, window: [1, 2] })
    expect(warm).toMatchObject({ collides: 'running', verdict: 'out' })
    const cold = axialGap({ runningGap: 0.2, shafts: [shaft(-60)], window: [null, null] })
    expect(cold).toMatchObject({ collides: 'cold', verdict: 'out' })
    const float = axialGap({ runningGap: 1, shafts: [shaft(20)], float: 2.1 })
    expect(float.collides).toBe('running')
    expect(axialGap({ runningGap: 1, shafts: [shaft(20)], float: 1.9 }).collides).toBeNull()
  })

  it('never collides while every end of the float is open, cold and warm', () => {
    const length = fc.double({ min: 0, max: 5, noNaN: true })
    fc.assert(
      fc.property(length, length, fc.double({ min: -100, max: 200, noNaN: true }), (gap, float, rise) => {
        const found = axialGap({ runningGap: gap, shafts: [shaft(rise)], float })
        const least = Math.min(gap, found.coldGap) - float / 2
        expect(found.collides === null).toBe(least > 0)
      }),
    )
  })
})
