import { describe, expect, it } from 'vitest'
import { flangeFollows } from './flangeSum'

const bolts = [0, 90, 180, 270].map((clock, i) => ({ id: `b${i}`, clock, radius: 4 }))
const answered = {
  coupling: { offset: { v: -8.4, h: 5.1 }, slope: { v: -0.36, h: 0.22 } },
  parallelAfter: { v: -12.72, h: null },
  shims: [
    { id: 'b2', thickness: 3 },
    { id: 'b1', thickness: 2.5 },
  ],
}

describe('the drawing of a flange sum', () => {
  it('stands every shim at its own bolt, in millimetres', () => {
    const follows = flangeFollows({ bolts }, answered, 'inch')
    expect(follows?.added).toEqual([0, 2.5, 3, 0].map((t) => expect.closeTo(t * 0.0254, 9)))
    expect(follows?.bolts[0]?.radius).toBeCloseTo(101.6, 9)
    expect(follows?.coupling.slope.v).toBeCloseTo(-0.00036, 12)
    expect(follows?.stays.h).toBeNull()
  })

  it('draws nothing while its bolts are half typed, too few or in a row', () => {
    expect(flangeFollows({}, answered, 'inch')).toBeNull()
    expect(
      flangeFollows({ bolts: [...bolts.slice(0, 2), { id: 'x', clock: 'three' }] }, answered, 'inch'),
    ).toBeNull()
    expect(flangeFollows({ bolts: bolts.map((b) => ({ ...b, clock: 0 })) }, answered, 'inch')).toBeNull()
  })
})
