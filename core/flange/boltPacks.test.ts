import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boltsAround } from '../register/flangeMachine'
import type { StockShim } from '../shims/leafKinds'
import { doubtOfSd, typicalSd } from '../uncertainty/changeDoubt'
import { ALIGNED } from '../frame/planes'
import { compareTilt } from './achievedTilt'
import { boltPacks, type BoltPacksInput } from './boltPacks'
import { flangePlane, rockOf } from './flangePlane'
import { exactShims } from './flangeShims'

const MIL = 0.0254
const SHELF: readonly StockShim[] = [1, 2, 3, 5, 10, 20].map((t) => ({ thickness: t * MIL, count: 40 }))
const tilt = fc.record({
  v: fc.double({ min: -0.0006, max: 0.0006, noNaN: true }),
  h: fc.double({ min: -0.0006, max: 0.0006, noNaN: true }),
})
const count = fc.integer({ min: 3, max: 12 })
const asked = (n: number, slope: BoltPacksInput['slope'], more: Partial<BoltPacksInput> = {}) =>
  boltPacks({
    slope,
    bolts: boltsAround(n, { v: 356, h: 356 }).map((b) => ({ ...b, lying: [] })),
    school: 'coplanar',
    stock: SHELF,
    packLimit: 4,
    slopeLimit: 0.0003,
    rockLimit: 2 * MIL,
    ...more,
  })

describe('the plane of shims', () => {
  it('is the tilt that they cure, on any number of bolts, round or oval', () => {
    fc.assert(
      fc.property(tilt, count, fc.double({ min: 0.7, max: 1.4, noNaN: true }), (slope, n, oval) => {
        const bolts = boltsAround(n, { v: 300, h: 300 * oval })
        const plane = flangePlane(bolts, exactShims(bolts, slope, 'coplanar'))
        expect(plane.slope.v).toBeCloseTo(slope.v, 9)
        expect(plane.slope.h).toBeCloseTo(slope.h, 9)
        expect(rockOf(plane)).toBeCloseTo(0, 9)
      }),
    )
  })

  it('bolts of an oval stand where it was taped in both planes', () => {
    const [top, , right] = boltsAround(8, { v: 300, h: 200 })
    expect(top).toMatchObject({ clock: 0, radius: 150 })
    expect(right?.clock).toBeCloseTo(90, 9)
    expect(right?.radius).toBeCloseTo(100, 9)
  })

  it('counts the furthest top twice where no bolts stand opposite', () => {
    const bolts = boltsAround(5, { v: 300, h: 300 })
    const plane = flangePlane(bolts, [0, 0, 0, 0, 0.1])
    expect(plane.rock).toBeNull()
    expect(rockOf(plane)).toBeCloseTo(2 * plane.off, 12)
    expect(plane.off).toBeGreaterThan(0.02)
  })
})

describe('shims from the shelf', () => {
  it('leave less tilt than a quarter of the limit and hardly any rock, whichever way it leans', () => {
    fc.assert(
      fc.property(tilt, count, (slope, n) => {
        const found = asked(n, slope)
        expect(found).not.toBeNull()
        expect(Math.hypot(found!.tiltLeft.v, found!.tiltLeft.h)).toBeLessThan(0.0003 / 4)
        expect(rockOf(found!.plane)).toBeLessThanOrEqual(2 * MIL)
        expect(found!.packs.every((p) => p.putIn.length <= 4)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })

  it('take no more leaves than there are, and say when there are too few', () => {
    const few: readonly StockShim[] = [
      { thickness: 2 * MIL, count: 3 },
      { thickness: 5 * MIL, count: 2 },
    ]
    const found = asked(8, { v: 0, h: 0.0006 }, { stock: few })
    const used = (found?.packs ?? []).flatMap((p) => p.putIn)
    expect(used.filter((t) => Math.abs(t - 2 * MIL) < 1e-6).length).toBeLessThanOrEqual(3)
    expect(used.filter((t) => Math.abs(t - 5 * MIL) < 1e-6).length).toBeLessThanOrEqual(2)
    // With nothing on the shelf, nothing is laid: what it comes to is told, not a wish.
    const none = asked(8, { v: 0, h: 0.0006 }, { stock: [] })
    expect(none?.leaves).toBe(0)
    expect(none?.tiltLeft.h).toBeCloseTo(0.0006, 12)
  })

  it('peel laminated pieces, and leave room for what lies under a bolt', () => {
    const laminated: readonly StockShim[] = [
      { thickness: 20 * MIL, count: 8, kind: 'laminated', layer: 2 * MIL },
    ]
    const found = asked(4, { v: 0.0004, h: 0 }, { stock: laminated })
    expect(found?.packs.every((p) => p.putIn.every((t) => Math.round(t / (2 * MIL)) >= 1))).toBe(true)
    const lying = boltsAround(4, { v: 356, h: 356 }).map((b) => ({ ...b, lying: [0.1, 0.1, 0.1] }))
    expect(asked(4, { v: 0.0004, h: 0 }, { bolts: lying })?.packs.every((p) => p.putIn.length <= 1)).toBe(
      true,
    )
  })

  it('pairwise leaves the lower bolt of each pair alone', () => {
    const found = asked(8, { v: -0.0002, h: 0.0005 }, { school: 'pairwise' })
    for (let i = 0; i < 4; i++) expect(Math.min(found!.packs[i]!.added, found!.packs[i + 4]!.added)).toBe(0)
    expect(found?.lift).toBe(0)
  })
})

describe('what shims did against what they were to do', () => {
  const planned = { offset: { v: 0.1, h: -0.05 }, slope: { v: 0.0004, h: -0.0003 } }
  const doubt = doubtOfSd(typicalSd(null))
  const did = (slope: { v: number; h: number }) =>
    compareTilt({
      before: ALIGNED,
      after: { offset: { v: 0, h: 0 }, slope },
      planned,
      of: 'slope',
      bolts: 8,
      doubt,
    })

  it.each([
    [{ v: 0.0004, h: -0.0003 }, 'as-planned'],
    [{ v: 0, h: 0 }, 'nothing-happened'],
    [{ v: -0.0004, h: 0.0003 }, 'sign-swapped'],
    [{ v: 0.0003, h: 0.0004 }, 'bolts-turned'],
    [{ v: 0.0012, h: 0.0011 }, 'differs'],
  ] as const)('%j is %s', (slope, cause) => {
    expect(did(slope)?.cause).toBe(cause)
  })

  it('a larger tilt done by half is part of it', () => {
    const large = { offset: { v: 0, h: 0 }, slope: { v: 0.002, h: 0 } }
    const half = { offset: { v: 0, h: 0 }, slope: { v: 0.001, h: 0 } }
    const found = compareTilt({ before: ALIGNED, after: half, planned: large, of: 'slope', bolts: 4, doubt })
    expect(found).toMatchObject({ cause: 'part-only', share: 0.5 })
  })

  it('says nothing of a plane that is not known', () => {
    const after = { offset: { v: null, h: 0 }, slope: { v: null, h: 0 } }
    expect(compareTilt({ before: ALIGNED, after, planned, of: 'slope', bolts: 8, doubt })).toBeNull()
  })
})
