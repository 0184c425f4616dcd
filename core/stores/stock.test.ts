import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { netLeaves, stockNow, type ShimLot, type ShimUse } from './stock'

const lot = (id: string, thickness: number, more: Partial<ShimLot> = {}): ShimLot => ({
  id,
  units: 'inch',
  thickness,
  kind: 'plain',
  layer: null,
  size: '',
  place: 'Stores',
  counted: 10,
  countedAt: '2026-11-01T00:00:00.000Z',
  low: 0,
  ...more,
})
const use = (taken: readonly number[], more: Partial<ShimUse> = {}): ShimUse => ({
  units: 'inch',
  area: 'Kiln yard',
  size: '',
  taken,
  back: [],
  at: '2026-11-10T00:00:00.000Z',
  ...more,
})
const nowOf = (...args: Parameters<typeof stockNow>) =>
  Object.fromEntries(stockNow(...args).map((s) => [s.lot.id, s.now]))

describe('what lies in the stores', () => {
  it('is what was counted, less what was put in and plus what came back since', () => {
    const lots = [lot('5', 5), lot('10', 10)]
    expect(nowOf(lots, [use([5, 5, 10]), use([], { back: [10, 10, 7] })], [])).toEqual({ 5: 8, 10: 11 })
  })

  it('a use before the count is in the count already', () => {
    const early = use([5], { at: '2026-10-31T23:59:59.999Z' })
    expect(nowOf([lot('5', 5)], [early], [])).toEqual({ 5: 10 })
  })

  it('units and sizes are not mixed; a lot without a size fits any', () => {
    const lots = [lot('a', 5, { size: 'A' }), lot('c', 5, { size: 'C' }), lot('mm', 5, { units: 'metric' })]
    expect(nowOf(lots, [use([5], { size: 'c' })], [])).toEqual({ a: 10, c: 9, mm: 10 })
    expect(nowOf([lot('any', 5)], [use([5], { size: 'C' })], [])).toEqual({ any: 9 })
    expect(nowOf([lot('a', 5, { size: 'A' })], [use([5], { size: 'C' })], [])).toEqual({ a: 10 })
  })

  it('is taken where the machine stands, else from the fullest', () => {
    const lots = [lot('far', 5, { counted: 40 }), lot('near', 5, { place: 'kiln yard', counted: 2 })]
    expect(nowOf(lots, [use([5])], [])).toEqual({ far: 40, near: 1 })
    expect(nowOf(lots, [use([5], { area: 'Press hall' })], [])).toEqual({ far: 39, near: 2 })
  })

  it('a leaf nobody has as it is costs one laminated piece, which does not come back', () => {
    const lots = [lot('lam', 20, { kind: 'laminated', layer: 2 }), lot('20', 20)]
    expect(nowOf(lots, [use([6, 20])], [])).toEqual({ lam: 9, 20: 9 })
    expect(nowOf(lots, [use([], { back: [6] })], [])).toEqual({ lam: 10, 20: 10 })
    // Half a layer can't be peeled, nor more than there is.
    expect(nowOf(lots, [use([5]), use([22])], [])).toEqual({ lam: 10, 20: 10 })
  })

  it('is reserved by plans, and low by what is free', () => {
    const [s] = stockNow([lot('5', 5, { low: 3 })], [use([5, 5])], [use([5, 5, 5, 5, 5])])
    expect(s).toMatchObject({ now: 8, reserved: 5, free: 3, low: true })
    const [plenty] = stockNow([lot('5', 5, { low: 3 })], [], [])
    expect(plenty).toMatchObject({ free: 10, low: false })
    const [none] = stockNow([lot('5', 5, { counted: 0 })], [use([5])], [use([5])])
    expect(none).toMatchObject({ now: -1, reserved: 1, free: 0, low: false })
  })

  it('keeps every leaf, whatever is taken and brought back', () => {
    const leaves = fc.array(fc.constantFrom(1, 2, 5, 10), { maxLength: 8 })
    fc.assert(
      fc.property(fc.array(fc.record({ taken: leaves, back: leaves }), { maxLength: 6 }), (jobs) => {
        const lots = [1, 2, 5, 10].flatMap((t) => [
          lot(`${t} a`, t),
          lot(`${t} b`, t, { place: 'Kiln yard' }),
        ])
        const stock = stockNow(
          lots,
          jobs.map((j) => use(j.taken, { back: j.back })),
          [],
        )
        const total = stock.reduce((n, s) => n + s.now, 0)
        const moved = jobs.reduce((n, j) => n + j.back.length - j.taken.length, 0)
        expect(total).toBe(80 + moved)
      }),
    )
  })
})

it('a leaf that only changes its foot is neither taken nor brought back', () => {
  const changes = [
    { takenOut: [10, 5], putIn: [20] },
    { takenOut: [], putIn: [5, 2] },
  ]
  expect(netLeaves(changes)).toEqual({ taken: [20, 2], back: [10] })
})
