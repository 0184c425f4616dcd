import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { slopeByDivisions, slopeByFeeler } from './levelReading'

describe('a slope read off a level', () => {
  it('by feeler: its thickness over the supported length, in either unit', () => {
    expect(slopeByFeeler(8, 12, 'inch')).toBeCloseTo(8 / 12_000, 12)
    expect(slopeByFeeler(0.2032, 304.8, 'metric')).toBeCloseTo(8 / 12_000, 12)
  })

  it('by divisions, turned end for end: the level’s own error drops out and is told', () => {
    const n = fc.integer({ min: -20, max: 20 })
    fc.assert(
      fc.property(n, n, (slope, error) => {
        const read = slopeByDivisions(slope + error, error - slope, 0.5, 'inch')
        expect(read.slope).toBeCloseTo((slope * 0.5) / 1000, 12)
        expect(read.levelError).toBeCloseTo(error, 12)
      }),
    )
    expect(slopeByDivisions(2, null, 0.05, 'metric')).toEqual({ slope: 0.001, levelError: null })
  })
})
