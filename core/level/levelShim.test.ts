import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { levelShimFromDivisions, levelShimFromFeeler } from './levelShim'

const length = fc.double({ min: 10, max: 3000, noNaN: true })

describe('the shim that levels', () => {
  it('is the feeler itself when the level is as long as the bolts are apart', () => {
    fc.assert(
      fc.property(length, (l) => {
        expect(levelShimFromFeeler(0.2, l, l)).toBeCloseTo(0.2, 12)
      }),
    )
  })

  it('by feeler and by divisions of the same slope is the same shim', () => {
    fc.assert(
      fc.property(length, length, fc.double({ min: 0.01, max: 2, noNaN: true }), (bolts, level, feeler) => {
        const slope = feeler / level
        expect(levelShimFromDivisions(4, slope / 4, bolts)).toBeCloseTo(
          levelShimFromFeeler(feeler, bolts, level),
          9,
        )
      }),
    )
  })
})
