import { describe, expect, it } from 'vitest'
import type { PlanFoot, PlannedMove } from '../../../core/plan/movePlan'
import { planMoves } from '../../../core/plan/movePlan'
import { pickList, plannedPacks } from './packs'

const foot = (id: string, x: number, existing: readonly number[]): PlanFoot => ({
  id,
  x,
  existing: { left: existing, right: existing },
  maxPack: 5,
  sidePlus: 1,
  sideMinus: 1,
})
const pack = (shims: readonly number[], takeOut: readonly number[], putIn: readonly number[], pieces = putIn.map(() => -1)) => ({ total: shims.reduce((s, t) => s + t, 0), shims, takeOut, putIn, pieces, changes: takeOut.length + putIn.length }) // prettier-ignore
const move = (id: string, left: ReturnType<typeof pack>, right = left): PlannedMove => ({
  id,
  machine: 'movable',
  x: 300,
  v: 0,
  h: 0,
  packs: { left, right },
})

describe('packs leaf by leaf', () => {
  it('say which leaves stay and which go in, bottom up', () => {
    const [left] = plannedPacks([foot('a', 300, [1, 0.2])], [move('a', pack([1, 0.1, 0.2], [], [0.1]))])
    expect(left?.leaves).toEqual([
      { thickness: 1, fresh: false },
      { thickness: 0.1, fresh: true },
      { thickness: 0.2, fresh: false },
    ])
  })

  it('tell of two equal leaves only as many fresh as go in', () => {
    const [left] = plannedPacks([foot('a', 300, [0.2])], [move('a', pack([0.2, 0.2], [], [0.2]))])
    expect(left?.leaves.filter((l) => l.fresh).length).toBe(1)
  })

  it('leave a foot as it lies where the plan does nothing', () => {
    const packs = plannedPacks([foot('a', 300, [1]), foot('b', 900, [])], [])
    expect(packs.map((p) => [p.pair, p.side, p.leaves.length, p.takeOut.length])).toEqual([
      ['a', 'left', 1, 0],
      ['a', 'right', 1, 0],
      ['b', 'left', 0, 0],
      ['b', 'right', 0, 0],
    ])
  })

  it('add up to what the planner promises', () => {
    const feet = [foot('a', 300, [1, 0.2]), foot('b', 900, [0.5])]
    const { plans } = planMoves({
      coupling: { offset: { v: -0.4, h: 0 }, slope: { v: 0.0002, h: 0 } },
      target: { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } },
      tolerance: { form: 'offset-slope', mode: 'plane', offset: 0.05, slope: 0.0005 },
      feet,
      stock: [0.05, 0.1, 0.2, 0.5].map((thickness) => ({ thickness, count: 20 })),
      packLimit: 4,
      sideStep: 0.01,
    })
    for (const plan of plans)
      for (const p of plannedPacks(feet, plan.moves)) {
        const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)
        const lift = plan.moves.find((m) => m.id === p.pair)!.v
        expect(sum(p.leaves.map((l) => l.thickness))).toBeCloseTo(sum(p.now) + lift, 9)
      }
  })
})

describe('the pick list', () => {
  it('counts what comes from the shelf and what goes back, thickest first', () => {
    const list = pickList([move('a', pack([1, 0.5], [0.2], [0.5])), move('b', pack([0.1], [], [0.1], [0]))])
    expect(list).toEqual([
      { thickness: 0.5, take: 2, back: 0, peeled: false },
      { thickness: 0.2, take: 0, back: 2, peeled: false },
      { thickness: 0.1, take: 2, back: 0, peeled: true },
    ])
  })

  it('lets a leaf that comes out under one foot go in under another', () => {
    const list = pickList([move('a', pack([1], [0.2], [])), move('b', pack([0.2], [], [0.2]))])
    expect(list).toEqual([])
  })
})
