import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LEAST_METAL, sheetShimFault, sheetShimPath, type SheetShim } from './sheetShim'

const SHIM: SheetShim = { length: 100, width: 80, slot: 20, toBolt: 60 }

/** Corners and ends of an outline in the order they are cut. */
const points = (path: string): readonly (readonly [number, number])[] =>
  [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)|A[\d.]+ [\d.]+ 0 0 0 (-?[\d.]+) (-?[\d.]+)/g)].map((m) => [
    Number(m[1] ?? m[3]),
    Number(m[2] ?? m[4]),
  ])

describe('a shim cut from sheet', () => {
  it.each([
    ['the bolt off the sheet', { toBolt: 100 }, 'bolt-outside'],
    ['the bolt at the edge', { toBolt: 0 }, 'bolt-outside'],
    ['a slot as wide as the shim', { slot: 75 }, 'slot-too-wide'],
    ['a slot through to the back', { toBolt: 88 }, 'slot-too-deep'],
    ['as usual', {}, null],
  ] as const)('%s', (_, change, fault) => {
    const shim = { ...SHIM, ...change }
    expect(sheetShimFault(shim)).toBe(fault)
    expect(sheetShimPath(shim) === null).toBe(fault !== null)
  })

  it('keeps its size, its slot and metal all round, whatever the figures', () => {
    const size = fc.double({ min: 30, max: 400, noNaN: true })
    const share = fc.double({ min: 0.1, max: 0.9, noNaN: true })
    fc.assert(
      fc.property(size, size, share, share, (length, width, s, b) => {
        const shim = { length, width, slot: s * width, toBolt: b * length }
        fc.pre(sheetShimFault(shim) === null)
        const at = points(sheetShimPath(shim) ?? '')
        const xs = at.map(([x]) => x)
        const ys = at.map(([, y]) => y)
        expect([Math.min(...xs), Math.min(...ys)]).toEqual([0, 0])
        expect(Math.max(...xs)).toBeCloseTo(width, 3)
        expect(Math.max(...ys)).toBeCloseTo(length, 3)
        // The slot's straight sides: its width, centred, from the open edge to the bolt's middle.
        const inside = at.filter(
          ([x, y]) => Math.abs(y - (length - shim.toBolt)) < 1e-3 && x > 1e-3 && x < width - 1e-3,
        )
        const [a, c] = inside.map(([x]) => x)
        expect(Math.abs((a ?? NaN) - (c ?? NaN))).toBeCloseTo(shim.slot, 3)
        expect(((a ?? NaN) + (c ?? NaN)) / 2).toBeCloseTo(width / 2, 3)
        expect(length - shim.toBolt - shim.slot / 2).toBeGreaterThanOrEqual(LEAST_METAL)
      }),
    )
  })
})
