import { describe, expect, it } from 'vitest'
import { drumFollows } from './drumSum'

describe('the drawing of a tram sum', () => {
  it('stands every reading on the scale of its window, open ends and all, in millimetres', () => {
    const { checks, line, feet } = drumFollows(
      {
        coupling: null,
        feet: null,
        checks: [
          { dial: 'rim', what: 'top', value: -2, low: 0, high: null, verdict: 'out' },
          { dial: 'face', what: 'side', value: 0.5, low: -2, high: 2, verdict: 'in' },
        ],
      },
      'inch',
    )
    expect(checks.map((c) => [c.dial, c.what, c.verdict])).toEqual([
      ['rim', 'top', 'out'],
      ['face', 'side', 'in'],
    ])
    expect(checks[0]?.value).toBeCloseTo(-0.0508, 9)
    expect(checks[0]?.band).toEqual([0, null])
    expect(checks[1]?.band[1]).toBeCloseTo(0.0508, 9)
    expect([line, feet]).toEqual([null, []])
  })

  it('draws the motor where both dials were read round', () => {
    const { line, feet } = drumFollows(
      {
        coupling: { offset: { v: -3, h: null }, slope: { v: 0.2, h: 0 } },
        feet: [{ x: 10 }, { x: 24 }],
        checks: [],
      },
      'inch',
    )
    expect(line?.offset.v).toBeCloseTo(-0.0762, 9)
    expect(line?.offset.h).toBeNull()
    expect(line?.slope.v).toBeCloseTo(0.0002, 12)
    expect(feet).toEqual([expect.closeTo(254, 9), expect.closeTo(609.6, 9)])
  })
})
