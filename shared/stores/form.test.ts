import { describe, expect, it } from 'vitest'
import { stockFor } from '../register/stockFor'
import type { ShimStock } from '../register/works'
import { OWN_END } from '../wording/words'
import { blankLot, readCount, readLot, type LotTexts } from './form'

const ID = '00000000-0000-4000-a000-000000000001'
const read = (more: Partial<LotTexts>) =>
  readLot({ ...blankLot('inch'), thickness: '5', counted: '20', ...more }, ID, OWN_END)

describe('the boxes of shims', () => {
  it('take a thickness in whatever unit it is typed', () => {
    expect(read({}).lot).toMatchObject({ units: 'inch', thickness: 5, counted: 20, layer: null, low: 0 })
    expect(read({ thickness: '0.127 mm' }).lot?.thickness).toBeCloseTo(5, 9)
    expect(read({ units: 'metric', thickness: '0,05' }).lot).toMatchObject({
      units: 'metric',
      thickness: 0.05,
    })
  })

  it('say at each box what is wrong', () => {
    expect(Object.keys(read({ thickness: 'thin', counted: '', low: '-1' }).faults).sort()).toEqual([
      'counted',
      'low',
      'thickness',
    ])
    expect(read({ kind: 'laminated', layer: '' }).faults).toHaveProperty('layer')
    expect(read({ kind: 'laminated', layer: '6' }).faults.layer).toBe(
      'The layer is thicker than the shim. Check both.',
    )
    expect(read({ thickness: '-5' }).faults).toHaveProperty('thickness')
    expect(read({ kind: 'laminated', layer: '2', thickness: '20' }).lot).toMatchObject({ layer: 2 })
  })

  it('take whole counts alone', () => {
    expect(['0', ' 12 ', '1.5', '-1', 'x', ''].map(readCount)).toEqual([0, 12, null, null, null, null])
  })
})

describe('what of the stock a machine may have', () => {
  const shims = (
    thickness: number,
    size: string,
    count: number,
    more: Partial<ShimStock> = {},
  ): ShimStock => ({
    units: 'inch',
    thickness,
    kind: 'plain',
    layer: null,
    size,
    count,
    ...more,
  })
  const stock = [
    shims(10, '', 5),
    shims(5, 'A', 3),
    shims(5, 'c', 4),
    shims(5, '', 1),
    shims(20, 'A', 2, { kind: 'laminated', layer: 2 }),
    shims(0.05, '', 9, { units: 'metric' }),
  ]

  it('is its size and what fits any, thinnest first, together from all places', () => {
    expect(stockFor({ units: 'inch', shimSize: 'C' }, stock)).toEqual([
      { thickness: 5, count: 5 },
      { thickness: 10, count: 5 },
    ])
    expect(stockFor({ units: 'inch', shimSize: 'A' }, stock)).toContainEqual({
      thickness: 20,
      count: 2,
      kind: 'laminated',
      layer: 2,
    })
  })

  it('is everything in its units where nobody has said its size', () => {
    expect(stockFor({ units: 'inch' }, stock).map((s) => s.count)).toEqual([8, 5, 2])
    expect(stockFor({ units: 'metric' }, stock)).toEqual([{ thickness: 0.05, count: 9 }])
  })
})
