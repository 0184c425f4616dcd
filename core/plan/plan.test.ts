import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lineOfMoves } from '../coupling/feet'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { planeShare } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import { planMoves, reachableLifts, type PlanFoot, type PlanInput } from './movePlan'
import { layThinBetweenThick, thicknessKey } from '../shims/leafKinds'
import { packChoices } from '../shims/reachablePacks'
import { bestSideMoves } from './sideMove'

const MIL = 0.0254
const mil = (...list: number[]) => list.map((t) => t * MIL)
const STOCK = [1, 2, 5, 10, 20].map((t) => ({ thickness: t * MIL, count: 40 }))
const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 2 * MIL, slope: 0.0005 }
const foot = (id: string, x: number, more: Partial<PlanFoot> = {}): PlanFoot => ({
  id,
  x,
  existing: { left: mil(10, 5), right: mil(10, 5) },
  maxPack: 60 * MIL,
  sidePlus: 50 * MIL,
  sideMinus: 50 * MIL,
  ...more,
})
const input = (
  coupling: Misalignment,
  feet: PlanInput['feet'],
  more: Partial<PlanInput> = {},
): PlanInput => ({
  coupling,
  target: ALIGNED,
  tolerance: LIMITS,
  feet,
  stock: STOCK,
  packLimit: 4,
  sideStep: 0,
  ...more,
})
const line = (ov: number, oh: number, sv: number, sh: number): Misalignment => ({
  offset: { v: ov * MIL, h: oh * MIL },
  slope: { v: sv / 1000, h: sh / 1000 },
})
const INBOARD = foot('inboard', 254)
const OUTBOARD = foot('outboard', 635)

describe('packs', () => {
  const allPacks = (existing: number[], limit: number, highest: number) => {
    const choices = packChoices(existing, STOCK, limit, highest)
    return [...choices.keys].flatMap((key) => choices.packs(key))
  }
  const packAt = (total: number, existing = mil(10, 5), stock = STOCK, limit = 4) =>
    packChoices(existing, stock, limit, 60 * MIL).packs(thicknessKey(total * MIL))[0]

  it('are made with the fewest shims handled, then the fewest shims', () => {
    expect(packAt(25)).toMatchObject({ changes: 1, takeOut: [] })
    expect(packAt(25)?.putIn[0]).toBeCloseTo(10 * MIL, 9)
    expect(packAt(10)).toMatchObject({ changes: 1, putIn: [] })
    expect(packAt(15)?.changes).toBe(0)
  })

  it('never hold more than the limit nor stand higher than they may', () => {
    for (const pack of allPacks(mil(10, 5), 3, 30 * MIL)) {
      expect(pack.shims.length).toBeLessThanOrEqual(3)
      expect(pack.total).toBeLessThanOrEqual(30 * MIL + 1e-9)
    }
  })

  it('can always be left as they are, even when they hold too many', () => {
    const five = mil(5, 5, 5, 5, 5)
    expect(packAt(25, five)).toMatchObject({ changes: 0 })
  })

  it('use no more shims than there are', () => {
    const scarce = [{ thickness: 10 * MIL, count: 1 }]
    const reach = packChoices([], scarce, 4, 60 * MIL)
    expect([...reach.keys].sort()).toEqual([0, thicknessKey(10 * MIL)].sort())
  })

  it('book the difference between old and new exactly', () => {
    for (const pack of allPacks(mil(10, 5, 2), 4, 60 * MIL)) {
      const out = pack.takeOut.reduce((s, t) => s + t, 0)
      const put = pack.putIn.reduce((s, t) => s + t, 0)
      expect(17 * MIL - out + put).toBeCloseTo(pack.total, 9)
      expect(pack.changes).toBe(pack.takeOut.length + pack.putIn.length)
    }
  })

  it('lie with thin shims between thick ones', () => {
    const laid = layThinBetweenThick([1, 20, 5, 10], (t) => t)
    expect(laid[0]).toBe(20)
    expect(laid.at(-1)).toBe(10)
    expect(laid.slice(1, 3).sort()).toEqual([1, 5])
  })
})

describe('side moves', () => {
  const feet = (plusA: number, minusA: number, plusB: number, minusB: number) =>
    [
      { id: 'inboard', x: 254, sidePlus: plusA * MIL, sideMinus: minusA * MIL },
      { id: 'outboard', x: 635, sidePlus: plusB * MIL, sideMinus: minusB * MIL },
    ] as const
  const shareAfter = (found: Misalignment, room: ReturnType<typeof feet>, h: readonly number[]) =>
    planeShare(
      lineSum(
        found,
        lineOfMoves([
          { id: 'a', x: 254, v: 0, h: h[0] ?? 0 },
          { id: 'b', x: 635, v: 0, h: h[1] ?? 0 },
        ]),
      ),
      LIMITS,
      ALIGNED,
      'h',
    )

  it('go all the way where there is room', () => {
    const room = feet(100, 100, 100, 100)
    const found = line(0, -9, 0, 0.6)
    expect(shareAfter(found, room, bestSideMoves(found, LIMITS, ALIGNED, room))).toBeCloseTo(0, 9)
  })

  it('are the best the bolt holes allow: no point of a fine grid over the room does better', () => {
    const size = fc.integer({ min: 0, max: 15 })
    const tenth = fc.integer({ min: -200, max: 200 }).map((n) => n / 10)
    fc.assert(
      fc.property(
        size,
        size,
        size,
        size,
        tenth,
        fc.integer({ min: -20, max: 20 }),
        (pa, ma, pb, mb, offset, s) => {
          const room = feet(pa, ma, pb, mb)
          const found = line(0, offset, 0, s / 10)
          const best = bestSideMoves(found, LIMITS, ALIGNED, room)
          const share = shareAfter(found, room, best)
          best.forEach((h, i) => {
            expect(h).toBeLessThanOrEqual((room[i]?.sidePlus ?? 0) + 1e-9)
            expect(h).toBeGreaterThanOrEqual(-(room[i]?.sideMinus ?? 0) - 1e-9)
          })
          for (let i = 0; i <= 12; i++)
            for (let j = 0; j <= 12; j++) {
              const h = [(-ma + ((pa + ma) * i) / 12) * MIL, (-mb + ((pb + mb) * j) / 12) * MIL] as const
              expect(share).toBeLessThanOrEqual(shareAfter(found, room, h) + 1e-9)
            }
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('whole-shim plans', () => {
  it('bring a low motor up with real shims, and say what is left', () => {
    const result = planMoves(input(line(-8.4, 5.1, -0.36, 0.22), [INBOARD, OUTBOARD]))
    expect(result.feasible).toBe(true)
    const [closest] = result.plans
    expect(closest?.kind).toBe('closest')
    expect((closest?.moves[0]?.v ?? 0) / MIL).toBeCloseTo(12, 6)
    expect((closest?.moves[1]?.v ?? 0) / MIL).toBeGreaterThan(16)
    expect(closest?.judgement.verdict).toBe('in')
  })

  it('lift left and right alike, by packs that hold it', () => {
    for (const plan of planMoves(input(line(-8.4, 5.1, -0.36, 0.22), [INBOARD, OUTBOARD])).plans)
      for (const m of plan.moves)
        for (const side of ['left', 'right'] as const)
          expect(m.packs[side].total).toBeCloseTo(15 * MIL + m.v, 9)
  })

  it('offer cheaper plans beside the closest, none of them out of band', () => {
    const { plans } = planMoves(input(line(-3, 0, 0.1, 0), [INBOARD, OUTBOARD]))
    const closest = plans[0]
    for (const plan of plans) {
      expect(plan.score.v).toBeLessThanOrEqual(1 + 1e-9)
      expect(plan.score.v).toBeGreaterThanOrEqual((closest?.score.v ?? 0) - 1e-12)
    }
    const feet = plans.find((p) => p.kind === 'fewest-feet')
    if (feet) expect(feet.pairsOpened).toBeLessThanOrEqual(closest?.pairsOpened ?? 2)
  })

  it('say so when there is nothing left to take out', () => {
    const bare = { left: [], right: [] }
    const result = planMoves(
      input(line(30, 0, 0, 0), [
        foot('inboard', 254, { existing: bare }),
        foot('outboard', 635, { existing: bare }),
      ]),
    )
    expect(result.feasible).toBe(false)
    // The best that is left: lift the outboard end, which lowers the shaft at the coupling.
    expect(result.plans[0]?.moves[0]?.v).toBe(0)
    expect(result.plans[0]?.moves[1]?.v).toBeGreaterThan(0)
    expect(result.blocked.map((b) => b.reason)).toEqual(['no-shim', 'no-shim'])
    expect(result.blocked[0]).toMatchObject({ id: 'inboard', plane: 'v', room: 0 })
  })

  it('leave a locked pair alone', () => {
    const result = planMoves(input(line(-6, 4, 0, 0), [foot('inboard', 254, { locked: true }), OUTBOARD]))
    expect(result.plans[0]?.moves[0]).toMatchObject({ v: 0, h: 0 })
    expect(result.blocked.some((b) => b.id === 'inboard' && b.reason === 'locked')).toBe(true)
  })

  it('name bolt-bound feet and do what the room allows', () => {
    const result = planMoves(
      input(line(0, -9, 0, -0.5), [INBOARD, foot('outboard', 635, { sidePlus: 4 * MIL })]),
    )
    expect(result.blocked).toMatchObject([{ id: 'outboard', plane: 'h', reason: 'bolt-bound' }])
    expect((result.plans[0]?.moves[1]?.h ?? 0) / MIL).toBeLessThanOrEqual(4 + 1e-9)
  })

  it('do not spend more shims than the store has over all four feet', () => {
    const scarce = [{ thickness: 10 * MIL, count: 2 }]
    const bare = { left: [], right: [] }
    const result = planMoves(
      input(
        line(-10, 0, 0, 0),
        [foot('inboard', 254, { existing: bare }), foot('outboard', 635, { existing: bare })],
        { stock: scarce },
      ),
    )
    for (const plan of result.plans) expect(plan.shimsHandled).toBeLessThanOrEqual(2)
  })

  it('round side moves to the dial without leaving the room, and predict from what is dialled', () => {
    const step = 0.5 * MIL
    const result = planMoves(
      input(line(0, -7.3, 0, 0.11), [foot('inboard', 254, { sidePlus: 4.7 * MIL }), OUTBOARD], {
        sideStep: step,
      }),
    )
    const plan = result.plans[0]
    for (const m of plan?.moves ?? []) {
      expect(m.h / step).toBeCloseTo(Math.round(m.h / step), 6)
      expect(m.h).toBeLessThanOrEqual(m.id === 'inboard' ? 4.7 * MIL : 50 * MIL)
    }
    const moved = lineSum(line(0, -7.3, 0, 0.11), lineOfMoves(plan?.moves ?? []))
    expect(plan?.predicted.offset.h).toBeCloseTo(moved.offset.h ?? NaN, 12)
  })

  it('aim at the target, or at the middle of a window', () => {
    const target = line(5, 0, 0, 0)
    const aimed = planMoves(input(ALIGNED, [INBOARD, OUTBOARD], { target })).plans[0]
    expect((aimed?.predicted.offset.v ?? 0) / MIL).toBeCloseTo(5, 0)
    const window: SettledTolerance = {
      form: 'window',
      offset: { v: [4 * MIL, 6 * MIL], h: [-MIL, MIL] },
      slope: { v: [-0.0005, 0.0005], h: [-0.0005, 0.0005] },
    }
    const middled = planMoves(input(ALIGNED, [INBOARD, OUTBOARD], { tolerance: window })).plans[0]
    expect((middled?.predicted.offset.v ?? 0) / MIL).toBeCloseTo(5, 0)
    expect(middled?.judgement.verdict).toBe('in')
  })

  it('know every lift a pair can make', () => {
    const lifts = reachableLifts(INBOARD, STOCK, 4).map((l) => Math.round(l.v / MIL))
    expect(Math.min(...lifts)).toBe(-15)
    expect(new Set(lifts).size).toBe(lifts.length)
    expect(lifts).toContain(0)
  })
})
