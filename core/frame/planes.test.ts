import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, fitLine, lineDifference, lineSum, positionAt, type Misalignment } from './planes'

const n = fc.double({ min: -10, max: 10, noNaN: true })
const line = fc.record({ offset: fc.record({ v: n, h: n }), slope: fc.record({ v: n, h: n }) })
const HALF: Misalignment = { offset: { v: 1, h: null }, slope: { v: 0.5, h: null } }

describe('a shaft line', () => {
  it('adds and takes away like a straight line', () => {
    fc.assert(
      fc.property(line, line, n, (a, b, x) => {
        const sum = positionAt(lineSum(a, b), x)
        expect(sum.v).toBeCloseTo((positionAt(a, x).v ?? NaN) + (positionAt(b, x).v ?? NaN), 9)
        expect(positionAt(lineDifference(lineSum(a, b), b), x).h).toBeCloseTo(positionAt(a, x).h ?? NaN, 9)
      }),
    )
  })

  it('keeps an unknown plane unknown, whatever is done with it', () => {
    expect(positionAt(HALF, 7)).toEqual({ v: 4.5, h: null })
    expect(lineSum(HALF, ALIGNED).offset).toEqual({ v: 1, h: null })
    expect(lineDifference(ALIGNED, HALF).slope).toEqual({ v: -0.5, h: null })
  })

  it('through two points is exact, through more is least squares', () => {
    const exact = fitLine([
      { x: 0, y: 1 },
      { x: 10, y: 6 },
    ])
    expect([exact.offset, exact.slope]).toEqual([1, 0.5])
    const middle = fitLine([
      { x: 0, y: 0 },
      { x: 1, y: 3 },
      { x: 2, y: 0 },
    ])
    expect([middle.offset, middle.slope]).toEqual([1, 0])
  })
})
