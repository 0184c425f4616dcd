import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PairPacks } from '../../register/pair'
import type { FootChange, SideChange } from '../plan/entries'
import { doFootwork, UNEVEN_LIMIT, type FeetOf } from './footwork'

const MIL = 0.0254
const FEET: FeetOf = {
  movable: [
    { id: 'inboard', x: 300 },
    { id: 'outboard', x: 900 },
  ],
  stationary: [
    { id: 'inboard', x: -300 },
    { id: 'outboard', x: -900 },
  ],
}
const pack = (machine: 'movable' | 'stationary', id: string): PairPacks => ({
  machine,
  id,
  packs: { left: [25 * MIL, 10 * MIL], right: [25 * MIL, 10 * MIL] },
})
const PACKS = [
  pack('movable', 'inboard'),
  pack('movable', 'outboard'),
  pack('stationary', 'inboard'),
  pack('stationary', 'outboard'),
]
const change = (
  pair: string,
  side: 'left' | 'right',
  putIn: readonly number[],
  takenOut: readonly number[] = [],
  machine: 'movable' | 'stationary' = 'movable',
): FootChange => ({ machine, pair, side, putIn, takenOut })
const both = (pair: string, putIn: readonly number[], takenOut: readonly number[] = []) => [
  change(pair, 'left', putIn, takenOut),
  change(pair, 'right', putIn, takenOut),
]
const work = (changes: readonly FootChange[], side: readonly SideChange[] = [], packs = PACKS) =>
  doFootwork(packs, FEET, 'inch', changes, side)
const packOf = (w: ReturnType<typeof work>, id: string, side: 'left' | 'right') =>
  w.packs.find((p) => p.machine === 'movable' && p.id === id)?.packs[side].map((t) => +(t / MIL).toFixed(6))

describe('what shims do', () => {
  it('lift a pair by what went in less what came out', () => {
    const w = work(both('outboard', [20, 5], [10]))
    const [inboard, outboard] = w.moves
    expect(inboard).toMatchObject({ id: 'inboard', v: 0, h: 0 })
    expect(outboard?.v).toBeCloseTo(15 * MIL, 12)
    expect(packOf(w, 'outboard', 'left')).toEqual([25, 20, 5])
    expect(packOf(w, 'inboard', 'left')).toEqual([25, 10])
    expect(w.shimsHandled).toBe(6)
    expect(w.planes).toEqual({ v: true, h: false })
  })

  it('tilt the axis about the feet that stayed', () => {
    const { change: line } = work(both('outboard', [6]))
    // 6 mil at 900 and nothing at 300: a slope of 0.01 mil a millimetre, and −3 mil at the coupling.
    expect((line!.slope.v ?? NaN) / MIL).toBeCloseTo(0.01, 12)
    expect((line!.offset.v ?? NaN) / MIL).toBeCloseTo(-3, 9)
    expect(line!.offset.h).toBeCloseTo(0, 12)
  })

  it('raising both machines alike changes nothing between them', () => {
    const all = (['movable', 'stationary'] as const).flatMap((machine) =>
      ['inboard', 'outboard'].flatMap((pair) =>
        (['left', 'right'] as const).map((side) => change(pair, side, [10], [], machine)),
      ),
    )
    const { change: line } = work(all)
    expect(line!.offset.v).toBeCloseTo(0, 12)
    expect(line!.slope.v).toBeCloseTo(0, 12)
  })

  it('taken out come from the pack by their thickness, one by one', () => {
    const w = work(both('inboard', [], [10]))
    expect(packOf(w, 'inboard', 'right')).toEqual([25])
    expect(w.unknownShims).toEqual([])
    expect(w.moves[0]?.v).toBeCloseTo(-10 * MIL, 12)
  })

  it('that no pack was known to hold are said, and count all the same', () => {
    const w = work([change('inboard', 'left', [], [7, 10])])
    expect(w.unknownShims).toMatchObject([{ machine: 'movable', pair: 'inboard', side: 'left' }])
    expect((w.unknownShims[0]?.thickness ?? NaN) / MIL).toBeCloseTo(7, 9)
    expect(packOf(w, 'inboard', 'left')).toEqual([25])
  })

  it('typed in either unit meet the same leaf', () => {
    const metric = doFootwork(PACKS, FEET, 'metric', [change('inboard', 'left', [], [0.254])], [])
    expect(metric.unknownShims).toEqual([])
  })

  it('the same of two equal leaves leaves the other', () => {
    const twins = [{ ...pack('movable', 'inboard'), packs: { left: [10 * MIL, 10 * MIL], right: [] } }]
    const w = work([change('inboard', 'left', [], [10])], [], twins)
    expect(packOf(w, 'inboard', 'left')).toEqual([10])
  })
})

describe('uneven feet', () => {
  const difference = (mil: number) => work([change('inboard', 'left', [mil]), change('inboard', 'right', [])])

  it('are told once left and right differ by more than a foot may rise', () => {
    expect(difference(2).uneven).toEqual([])
    expect(difference(2.1).uneven).toMatchObject([{ machine: 'movable', pair: 'inboard' }])
    expect(UNEVEN_LIMIT).toBeCloseTo(2 * MIL, 12)
  })

  it('lift the axis by their mean', () => {
    expect((difference(20).moves[0]?.v ?? NaN) / MIL).toBeCloseTo(10, 9)
  })
})

describe('side moves', () => {
  it('add up at a pair and keep the other plane still', () => {
    const side = (pair: string, moved: number): SideChange => ({ machine: 'movable', pair, moved })
    const w = work([], [side('inboard', 3), side('inboard', -1), side('outboard', 2)])
    expect(w.moves.slice(0, 2).map((m) => m.h / MIL)).toEqual([expect.closeTo(2, 9), expect.closeTo(2, 9)])
    expect((w.change!.offset.h ?? NaN) / MIL).toBeCloseTo(2, 9)
    expect(w.change!.slope.h).toBeCloseTo(0, 12)
    expect(w.planes).toEqual({ v: false, h: true })
  })

  it('of nothing are no move', () => {
    expect(work([], [{ machine: 'movable', pair: 'inboard', moved: 0 }]).planes.h).toBe(false)
  })
})

it('taking out what was just put in leaves every machine where it was', () => {
  const thickness = fc.constantFrom(1, 2, 5, 10, 20, 25)
  fc.assert(
    fc.property(
      fc.array(thickness, { maxLength: 5 }),
      fc.constantFrom('inboard', 'outboard'),
      (leaves, pair) => {
        const there = work(both(pair, leaves))
        const back = work(both(pair, [], leaves), [], there.packs as PairPacks[])
        expect(back.unknownShims).toEqual([])
        for (const plane of ['v', 'h'] as const) {
          expect((there.change!.offset[plane] ?? 0) + (back.change!.offset[plane] ?? 0)).toBeCloseTo(0, 9)
          expect((there.change!.slope[plane] ?? 0) + (back.change!.slope[plane] ?? 0)).toBeCloseTo(0, 12)
        }
        expect(packOf(back, pair, 'left')).toHaveLength(2)
      },
    ),
  )
})
