import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clockVector } from '../frame/clock'
import { flangeShims, sidewaysMove, type FlangeBolt } from './flangeShims'

const bolts = (n: number, radius = 100): FlangeBolt[] =>
  Array.from({ length: n }, (_, i) => ({ id: `b${i}`, clock: (360 / n) * i, radius }))
const slope = fc.record({
  v: fc.double({ min: -0.002, max: 0.002, noNaN: true }),
  h: fc.double({ min: -0.002, max: 0.002, noNaN: true }),
})

describe('flange shims', () => {
  it('coplanar: their tops lie in the plane of the tilt, the smallest is zero', () => {
    fc.assert(
      fc.property(slope, fc.integer({ min: 3, max: 12 }), (tilt, n) => {
        const found = flangeShims({ slope: tilt, bolts: bolts(n), school: 'coplanar', step: 0 })
        if (!found.ok) throw new Error('refused')
        const { shims, rock } = found.value
        expect(Math.min(...shims.map((s) => s.thickness))).toBeCloseTo(0, 12)
        const first = shims[0]?.thickness ?? 0
        shims.forEach((s, i) => {
          const [c, h] = clockVector((360 / n) * i)
          const expected = 100 * (tilt.v * (c - 1) + tilt.h * h)
          expect(s.thickness - first).toBeCloseTo(expected, 9)
        })
        if (rock !== null) expect(rock).toBeCloseTo(0, 9)
      }),
    )
  })

  it('pairwise: each opposite pair has its own zero, and rounding shows as rock', () => {
    const found = flangeShims({
      slope: { v: 0.001, h: 0.0004 },
      bolts: bolts(4),
      school: 'pairwise',
      step: 0.05,
    })
    if (!found.ok) throw new Error('refused')
    expect(found.value.shims.map((s) => s.thickness)).toEqual(
      [0.2, 0.1, 0, 0].map((t) => expect.closeTo(t, 9)),
    )
    expect(found.value.rock).toBeCloseTo(0.1, 9)
  })

  it('add to the pack that is there', () => {
    const withPack = bolts(4).map((b) => ({ ...b, existing: 0.5 }))
    const found = flangeShims({ slope: { v: 0.001, h: 0 }, bolts: withPack, school: 'coplanar', step: 0 })
    expect(found.ok && found.value.shims.map((s) => s.pack)).toEqual(
      [0.7, 0.6, 0.5, 0.6].map((t) => expect.closeTo(t, 9)),
    )
  })

  it('refuse bolts in a row and pairs that are none', () => {
    const row = [0, 0, 180].map((clock, i) => ({ id: String(i), clock, radius: 50 + 10 * i }))
    expect(flangeShims({ slope: { v: 0, h: 0 }, bolts: row, school: 'coplanar', step: 0 })).toMatchObject({
      ok: false,
    })
    expect(
      flangeShims({ slope: { v: 0, h: 0 }, bolts: bolts(3), school: 'pairwise', step: 0 }),
    ).toMatchObject({
      refusals: [{ code: 'bolts-not-paired' }],
    })
  })

  it('tell which clock position a loose flange moves toward', () => {
    expect(sidewaysMove({ v: 0, h: 0.3 })).toMatchObject({ v: 0, h: -0.3, distance: 0.3, toward: 270 })
    expect(sidewaysMove({ v: -0.2, h: 0 }).toward).toBe(0)
  })
})
