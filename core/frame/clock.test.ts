import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clockDistance, clockVector, coveredArc, distinctClocks, normalClock } from './clock'

describe('clock angles', () => {
  it('are exact at the quarters, right is toward 3', () => {
    expect(clockVector(0)).toEqual([1, 0])
    expect(clockVector(90)).toEqual([0, 1])
    expect(clockVector(-180)).toEqual([-1, 0])
    expect(clockVector(630)).toEqual([0, -1])
  })

  it('come back into one turn and measure the short way round', () => {
    fc.assert(
      fc.property(fc.integer({ min: -720, max: 720 }), fc.integer({ min: -720, max: 720 }), (a, b) => {
        expect(normalClock(a)).toBeGreaterThanOrEqual(0)
        expect(normalClock(a)).toBeLessThan(360)
        expect(clockDistance(a, b)).toBe(clockDistance(b, a))
        expect(clockDistance(a, b)).toBeLessThanOrEqual(180)
      }),
    )
  })

  it('count neighbours across 12 as one position', () => {
    expect(distinctClocks([359, 0, 1.5])).toHaveLength(1)
    expect(distinctClocks([0, 90, 180, 270, 360])).toHaveLength(4)
  })

  it('cover a turn less the largest gap', () => {
    expect(coveredArc([0, 90, 180, 270])).toBe(270)
    expect(coveredArc([350, 10, 30])).toBe(40)
  })
})
