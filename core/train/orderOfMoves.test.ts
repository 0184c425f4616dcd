import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { orderOfMoves } from './orderOfMoves'

const NAMES = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h']

describe('order of moves', () => {
  it('goes from what stays outward, and settles a coupling with every machine', () => {
    expect(orderOfMoves(['mill', 'gear', 'motor'], new Set(['motor', 'gear']))).toEqual([
      { machine: 'gear', settles: [0] },
      { machine: 'motor', settles: [1] },
    ])
    expect(orderOfMoves(['a', 'b', 'c', 'd'], new Set(['a', 'c']))).toEqual([
      { machine: 'a', settles: [0] },
      { machine: 'c', settles: [1, 2] },
    ])
  })

  it('begins at the driven end where nothing stays', () => {
    expect(orderOfMoves(['a', 'b', 'c'], new Set(['a', 'b', 'c']))).toEqual([
      { machine: 'a', settles: [] },
      { machine: 'b', settles: [0] },
      { machine: 'c', settles: [1] },
    ])
  })

  it('never moves a machine of a coupling that was settled, and settles every coupling', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 8 }), fc.integer({ min: 1, max: 255 }), (count, bits) => {
        const machines = NAMES.slice(0, count)
        const moved = new Set(machines.filter((_, i) => bits & (1 << i)))
        const steps = orderOfMoves(machines, moved)
        expect(new Set(steps.map((s) => s.machine))).toEqual(moved)
        const settled = new Set<number>()
        for (const [n, { machine, settles }] of steps.entries()) {
          const at = machines.indexOf(machine)
          expect([at - 1, at].some((c) => settled.has(c))).toBe(false)
          for (const c of settles) settled.add(c)
          // Only where nothing stays does the first of them settle none.
          if (n > 0 || moved.size < count) expect(settles.length).toBeGreaterThan(0)
        }
        for (let c = 0; c + 1 < count; c++)
          if (moved.has(machines[c]!) || moved.has(machines[c + 1]!)) expect(settled.has(c)).toBe(true)
      }),
    )
  })
})
