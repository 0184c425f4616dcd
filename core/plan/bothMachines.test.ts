import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { planeShare } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import { planMoves, shiftOfMoves, type PlanFoot, type PlanInput } from './movePlan'
import type { MachineRole } from './pairNames'
import { reachableLifts } from './planFoot'
import { bestSideMoves } from './sideMove'

const MIL = 0.0254
const TOLERANCES: readonly SettledTolerance[] = [
  { form: 'offset-slope', mode: 'plane', offset: 2 * MIL, slope: 0.0005 },
  { form: 'flex-plane', mode: 'plane', slope: 0.0006, spoolLength: 300 },
  {
    form: 'window',
    offset: { v: [0, 4 * MIL], h: [-2 * MIL, null] },
    slope: { v: [null, 0.0004], h: [-0.0005, 0.0005] },
  },
]
const foot = (
  machine: MachineRole,
  id: string,
  x: number,
  existing: readonly number[],
  more: Partial<PlanFoot> = {},
): PlanFoot => ({
  id,
  machine,
  x,
  existing: { left: existing.map((t) => t * MIL), right: existing.map((t) => t * MIL) },
  maxPack: 25 * MIL,
  sidePlus: 6 * MIL,
  sideMinus: 4 * MIL,
  ...more,
})
const STOCK = [2, 5, 10].map((t) => ({ thickness: t * MIL, count: 40 }))
const FOUR = [
  foot('movable', 'inboard', 250, [5]),
  foot('movable', 'outboard', 700, [5, 5]),
  foot('stationary', 'inboard', -220, [5]),
  foot('stationary', 'outboard', -640, []),
]
const tenths = (most: number) => fc.integer({ min: -most, max: most }).map((n) => n / 10)
const lines = fc
  .record({ ov: tenths(150), oh: tenths(150), sv: tenths(10), sh: tenths(10) })
  .map(({ ov, oh, sv, sh }): Misalignment => ({
    offset: { v: ov * MIL, h: oh * MIL },
    slope: { v: sv / 1000, h: sh / 1000 },
  }))
const input = (
  coupling: Misalignment,
  tolerance: SettledTolerance,
  more: Partial<PlanInput> = {},
): PlanInput => ({
  coupling,
  target: ALIGNED,
  tolerance,
  feet: FOUR,
  stock: STOCK,
  packLimit: 2,
  sideStep: 0,
  ...more,
})

/** Every combination of lifts, one after another. */
const bruteForce = (given: PlanInput) => {
  const lists = given.feet.map((f) => reachableLifts(f, given.stock, given.packLimit))
  let best = { share: Infinity, changes: Infinity }
  let fewest = Infinity
  const choose = (i: number, picked: { v: number; changes: number }[]) => {
    if (i === lists.length) {
      const moves = picked.map((p, k) => {
        const f = given.feet[k] as PlanFoot
        return { id: f.id, machine: f.machine ?? ('movable' as const), x: f.x, v: p.v, h: 0 }
      })
      const share = planeShare(
        lineSum(given.coupling, shiftOfMoves(moves)),
        given.tolerance,
        given.target,
        'v',
      )
      const changes = picked.reduce((s, p) => s + p.changes, 0)
      if (share < best.share - 1e-9 || (share < best.share + 1e-9 && changes < best.changes))
        best = { share, changes }
      if (share <= 0.8 + 1e-9) fewest = Math.min(fewest, changes)
      return
    }
    for (const lift of lists[i] ?? []) choose(i + 1, [...picked, lift])
  }
  choose(0, [])
  return { ...best, fewest }
}

describe('both machines at once', () => {
  it.each(TOLERANCES)('the closest plan is the best of every combination: $form', (tolerance) => {
    fc.assert(
      fc.property(lines, (coupling) => {
        const given = input(coupling, tolerance)
        const wish = bruteForce(given)
        const result = planMoves(given)
        expect(result.score.v).toBeCloseTo(wish.share, 8)
        expect(result.plans[0]?.shimsHandled).toBe(wish.changes)
        const fewest = Math.min(
          ...result.plans.filter((p) => p.score.v <= 0.8 + 1e-9).map((p) => p.shimsHandled),
        )
        expect(fewest).toBe(wish.fewest)
      }),
      { numRuns: 12 },
    )
  })

  it('predict what the moves of both do together', () => {
    const coupling: Misalignment = { offset: { v: -9 * MIL, h: 7 * MIL }, slope: { v: 0.0004, h: 0.0002 } }
    const plan = planMoves(input(coupling, TOLERANCES[0] as SettledTolerance)).plans[0]
    const moved = lineSum(coupling, shiftOfMoves(plan?.moves ?? []))
    expect(plan?.predicted.offset.v).toBeCloseTo(moved.offset.v ?? NaN, 12)
    expect(plan?.predicted.slope.h).toBeCloseTo(moved.slope.h ?? NaN, 12)
  })

  it('raising the stationary machine lowers the movable one against it', () => {
    const moves = FOUR.slice(2).map((f) => ({
      id: f.id,
      machine: 'stationary' as const,
      x: f.x,
      v: 0.1,
      h: 0,
    }))
    expect(shiftOfMoves(moves).offset.v).toBeCloseTo(-0.1, 12)
  })
})

describe('side moves of both machines', () => {
  const shareAfter = (coupling: Misalignment, tolerance: SettledTolerance, moves: readonly number[]) =>
    planeShare(
      lineSum(
        coupling,
        shiftOfMoves(
          FOUR.map((f, i) => ({ id: f.id, machine: f.machine ?? 'movable', x: f.x, v: 0, h: moves[i] ?? 0 })),
        ),
      ),
      tolerance,
      ALIGNED,
      'h',
    )

  it('stay in the room, and no point of a grid over it does better', () => {
    fc.assert(
      fc.property(lines, fc.constantFrom(...TOLERANCES), (coupling, tolerance) => {
        const best = bestSideMoves(coupling, tolerance, ALIGNED, FOUR)
        best.forEach((h) => {
          expect(h).toBeLessThanOrEqual(6 * MIL + 1e-9)
          expect(h).toBeGreaterThanOrEqual(-4 * MIL - 1e-9)
        })
        const share = shareAfter(coupling, tolerance, best)
        const grid = [-4, -1.5, 1, 3.5, 6].map((x) => x * MIL)
        for (const a of grid)
          for (const b of grid)
            for (const c of grid)
              for (const d of grid)
                expect(share).toBeLessThanOrEqual(shareAfter(coupling, tolerance, [a, b, c, d]) + 1e-9)
      }),
      { numRuns: 40 },
    )
  })

  it('leave the stationary machine alone while the movable one has room', () => {
    const coupling: Misalignment = { offset: { v: 0, h: 2 * MIL }, slope: { v: 0, h: 0 } }
    const moves = bestSideMoves(coupling, TOLERANCES[0] as SettledTolerance, ALIGNED, FOUR)
    expect(moves.slice(2)).toEqual([0, 0])
    expect(shareAfter(coupling, TOLERANCES[0] as SettledTolerance, moves)).toBeCloseTo(0, 9)
  })
})

describe('scarce shims', () => {
  const bare = (id: string, x: number) => foot('movable', id, x, [])
  it('are shared over all feet: other packs of the same height step in', () => {
    // Two 10 mil leaves and plenty of fives: four feet want 10 each, two of them get 5 + 5.
    const stock = [
      { thickness: 10 * MIL, count: 2 },
      { thickness: 5 * MIL, count: 20 },
    ]
    const given = input(
      { offset: { v: -10 * MIL, h: 0 }, slope: { v: 0, h: 0 } },
      TOLERANCES[0] as SettledTolerance,
      {
        feet: [bare('inboard', 250), bare('outboard', 700)],
        stock,
        packLimit: 3,
      },
    )
    const plan = planMoves(given).plans[0]
    expect(plan?.score.v).toBeCloseTo(0, 9)
    expect(plan?.shimsHandled).toBe(6)
    const used = (plan?.moves ?? []).flatMap((m) => [...m.packs.left.putIn, ...m.packs.right.putIn])
    expect(used.filter((t) => Math.abs(t - 10 * MIL) < 1e-9)).toHaveLength(2)
  })

  it('that run out leave the best that can be supplied', () => {
    const given = input(
      { offset: { v: -10 * MIL, h: 0 }, slope: { v: 0, h: 0 } },
      TOLERANCES[0] as SettledTolerance,
      {
        feet: [bare('inboard', 250), bare('outboard', 700)],
        stock: [{ thickness: 10 * MIL, count: 2 }],
        packLimit: 3,
      },
    )
    const result = planMoves(given)
    expect(result.plans[0]?.shimsHandled).toBeLessThanOrEqual(2)
    expect(result.feasible).toBe(false)
  })

  it('laminated pieces count once each', () => {
    const given = input(
      { offset: { v: -7 * MIL, h: 0 }, slope: { v: 0, h: 0 } },
      TOLERANCES[0] as SettledTolerance,
      {
        feet: [bare('inboard', 250), bare('outboard', 700)],
        stock: [{ thickness: 20 * MIL, count: 3, kind: 'laminated', layer: MIL }],
        packLimit: 2,
      },
    )
    const used = (planMoves(given).plans[0]?.moves ?? []).flatMap((m) => [
      ...m.packs.left.pieces,
      ...m.packs.right.pieces,
    ])
    expect(used.length).toBeLessThanOrEqual(3)
  })
})

describe('more than two pairs', () => {
  it('stay on one line within the soft-foot limit', () => {
    const feet = [
      foot('movable', 'a', 200, [5, 5]),
      foot('movable', 'b', 450, [5, 5]),
      foot('movable', 'c', 700, [5, 5]),
    ]
    const plan = planMoves(
      input(
        { offset: { v: -6 * MIL, h: 3 * MIL }, slope: { v: -0.0003, h: 0 } },
        TOLERANCES[0] as SettledTolerance,
        { feet },
      ),
    ).plans[0]
    const [a, b, c] = plan?.moves ?? []
    expect(plan?.moves).toHaveLength(3)
    expect(Math.abs((b?.v ?? NaN) - ((a?.v ?? 0) + (c?.v ?? 0)) / 2)).toBeLessThanOrEqual(2 * MIL + 1e-9)
    expect(b?.h).toBeCloseTo(((a?.h ?? 0) + (c?.h ?? 0)) / 2, 9)
  })
})
