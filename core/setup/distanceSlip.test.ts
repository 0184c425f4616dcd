import { describe, expect, it } from 'vitest'
import { distanceSlip, readingSlip } from './distanceSlip'

describe('slips of the tape', () => {
  it.each([
    [12, 12, null],
    [13, 12, null],
    [120, 12, 'tenfold'],
    [1.2, 12, 'tenfold'],
    [144, 12, 'feet-for-inches'],
    [1, 12, 'feet-for-inches'],
    [20, 12, 'far-off'],
    [0, 12, null],
  ] as const)('%d beside a registered %d is %s', (typed, registered, slip) => {
    expect(distanceSlip(typed, registered)).toBe(slip)
  })
})

describe('slips in a reading', () => {
  it('are tenfold off every neighbour and not just small scatter', () => {
    expect(readingSlip(-205, [-2.5, -23], 0.5)).toBe(true)
    expect(readingSlip(-20.5, [-2.5, -23], 0.5)).toBe(false)
    expect(readingSlip(4, [0.5, 0.5], 0.5)).toBe(false)
    expect(readingSlip(50, [0, 0], 0.5)).toBe(false)
  })
})
