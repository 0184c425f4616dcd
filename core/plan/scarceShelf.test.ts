import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lineOfMoves } from '../coupling/feet'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { StockShim } from '../shims/leafKinds'
import { packChoices } from '../shims/reachablePacks'
import { shimPack } from '../shims/shimPack'
import { limitForms, shareAt } from './planeLimits'
import { planMoves, type PlanFoot, type PlanResult } from './movePlan'

const MIL = 0.0254
const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 2 * MIL, slope: 0.0005 }
const X = { near: 254, far: 635 } as const
const PACK_LIMIT = 2

const foot = (id: string, x: number, left: readonly number[], right = left): PlanFoot => ({
  id,
  x,
  existing: { left: left.map((t) => t * MIL), right: right.map((t) => t * MIL) },
  maxPack: 100 * MIL,
  sidePlus: 0,
  sideMinus: 0,
})
const high = (near: number, far: number): Misalignment => {
  const line = lineOfMoves([
    { id: 'near', x: X.near, v: near * MIL, h: 0 },
    { id: 'far', x: X.far, v: far * MIL, h: 0 },
  ])
  return line
}
const plan = (coupling: Misalignment, feet: readonly PlanFoot[], stock: readonly StockShim[]): PlanResult =>
  planMoves({
    coupling,
    target: ALIGNED,
    tolerance: LIMITS,
    feet,
    stock,
    packLimit: PACK_LIMIT,
    sideStep: 0,
  })

/** All multisets of at most `PACK_LIMIT` leaves of a pool, as counts by thickness. */
const packsOf = (pool: ReadonlyMap<number, number>): readonly (readonly number[])[] => {
  const kinds = [...pool.keys()]
  const out: number[][] = [[]]
  kinds.forEach((a, i) => {
    out.push([a])
    for (const b of kinds.slice(i)) if (a !== b || (pool.get(a) ?? 0) > 1) out.push([a, b])
  })
  return out
}
const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)

/** Least share over everything that can be laid under the four feet out of one pool, without any cleverness. */
const bestByHand = (
  coupling: Misalignment,
  feet: readonly PlanFoot[],
  shelf: ReadonlyMap<number, number>,
) => {
  const pool = new Map(shelf)
  const lying = feet.flatMap((f) => [f.existing.left, f.existing.right])
  for (const t of lying.flat()) {
    const mil = Math.round(t / MIL)
    pool.set(mil, (pool.get(mil) ?? 0) + 1)
  }
  const packs = packsOf(pool)
  const forms = limitForms(LIMITS, ALIGNED, 'v')
  const start = lying.map((list) => Math.round(sum(list) / MIL))
  let best = Infinity
  const used = new Map<number, number>()
  const lifts: number[] = []
  const choose = (slot: number) => {
    if (slot === 4) {
      const to = lineSum(coupling, high(lifts[0] ?? 0, lifts[2] ?? 0))
      best = Math.min(best, shareAt(forms, to.offset.v ?? 0, to.slope.v ?? 0))
      return
    }
    for (const pack of packs) {
      const lift = sum(pack) - (start[slot] ?? 0)
      if (slot % 2 === 1 && lift !== lifts[slot - 1]) continue
      for (const t of pack) used.set(t, (used.get(t) ?? 0) + 1)
      lifts[slot] = lift
      if (pack.every((t) => (used.get(t) ?? 0) <= (pool.get(t) ?? 0))) choose(slot + 1)
      for (const t of pack) used.set(t, (used.get(t) ?? 0) - 1)
    }
  }
  choose(0)
  return best
}

describe('a short shelf', () => {
  it('leaves that come out under one pair go in under the other', () => {
    // The far end is low by 10 mil, the near one high by 10; the shelf is empty, but two tens lie under the near pair.
    const found = plan(high(10, -10), [foot('near', X.near, [10]), foot('far', X.far, [])], [])
    expect(found.plans[0]?.score.v).toBeCloseTo(0, 9)
    const far = found.plans[0]?.moves.find((m) => m.id === 'far')
    expect(far?.packs.left.putIn.map((t) => Math.round(t / MIL))).toEqual([10])
    expect(found.plans[0]?.shimsHandled).toBe(4)
  })

  it('is one pool for all feet: nothing that can be laid out of it does better', () => {
    const leaf = fc.constantFrom(2, 5, 7, 10)
    const lying = fc.array(leaf, { maxLength: 2 })
    fc.assert(
      fc.property(
        fc.tuple(fc.integer({ min: -15, max: 15 }), fc.integer({ min: -15, max: 15 })),
        lying,
        lying,
        fc.array(fc.tuple(leaf, fc.integer({ min: 1, max: 2 })), { maxLength: 2 }),
        ([near, far], underNear, underFar, shelf) => {
          const onShelf = new Map<number, number>()
          for (const [t, n] of shelf) onShelf.set(t, (onShelf.get(t) ?? 0) + n)
          const stock = [...onShelf].map(([t, count]): StockShim => ({
            thickness: t * MIL,
            count,
            kind: 'plain',
          }))
          const feet = [foot('near', X.near, underNear), foot('far', X.far, underFar)]
          const coupling = high(near, far)
          const found = plan(coupling, feet, stock)
          expect(found.plans[0]?.score.v).toBeCloseTo(bestByHand(coupling, feet, onShelf), 6)

          // And it takes no more than there is.
          const balance = new Map(onShelf)
          for (const m of found.plans[0]?.moves ?? [])
            for (const pack of [m.packs.left, m.packs.right]) {
              for (const t of pack.takeOut)
                balance.set(Math.round(t / MIL), (balance.get(Math.round(t / MIL)) ?? 0) + 1)
              for (const t of pack.putIn)
                balance.set(Math.round(t / MIL), (balance.get(Math.round(t / MIL)) ?? 0) - 1)
            }
          for (const left of balance.values()) expect(left).toBeGreaterThanOrEqual(0)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('still gives a plan where the best of all can’t be supplied and there is too much to look at', () => {
    const uneven = Array.from({ length: 24 }, (_, i) => (1.03 + i * 1.377 + (i % 7) * 0.0137) * MIL)
    const stock = uneven.map((thickness): StockShim => ({ thickness, count: 2, kind: 'plain' }))
    const feet = [foot('near', X.near, [20]), foot('far', X.far, [20])]
    const found = planMoves({
      coupling: high(-8.4, 9.3),
      target: ALIGNED,
      tolerance: LIMITS,
      feet,
      stock,
      packLimit: 5,
      sideStep: 0,
    })
    expect(found.plans[0]?.score.v).toBeLessThan(0.5)
    expect(found.searched).toMatch(/^(all|within \d+)/)
  })
})

describe('work on what is legal', () => {
  const laminated: StockShim = { thickness: 200 * MIL, count: 50, kind: 'laminated', layer: MIL }
  const shelf = Array.from({ length: 30 }, (_, i) => (1.03 + i * 1.377) * MIL)
  const plain = shelf.map((thickness): StockShim => ({ thickness, count: 40, kind: 'plain' }))

  it('of packs grows with totals, not with how many packs there are', () => {
    // Hundreds of millions of packs: counted one by one they would take minutes.
    const reach = packChoices([], [...plain, laminated], 6, 250 * MIL)
    expect(reach.keys.length).toBeGreaterThan(10_000)
    const pack = shimPack({ wanted: 131.7 * MIL, existing: [], stock: [...plain, laminated], limit: 8 })
    expect(Math.abs(pack.error)).toBeLessThan(0.01 * MIL)
  }, 8_000)

  it('says how far totals are told apart when leaves are absurd, and still lays real leaves', () => {
    const absurd = [...plain, { thickness: 25_000, count: 3, kind: 'laminated', layer: 127.3 } as const]
    const pack = shimPack({ wanted: 131.7 * MIL, existing: [], stock: absurd, limit: 6 })
    const total = pack.pack.reduce((s, l) => s + l.thickness, 0)
    expect(pack.total).toBeCloseTo(total, 9)
    const far = shimPack({ wanted: 12_000, existing: [], stock: absurd, limit: 6 })
    expect(far.searched).toMatch(/^within [\d.]+ um$/)
    expect(Math.abs(far.error)).toBeLessThan(70)
  }, 8_000)

  it('stops when it is told to, and says so', () => {
    let asked = 0
    const feet = [foot('near', X.near, [20]), foot('far', X.far, [20])]
    const given = {
      coupling: high(-8, 9),
      target: ALIGNED,
      tolerance: LIMITS,
      feet,
      stock: [...plain, laminated],
    }
    const found = planMoves({ ...given, packLimit: 6, sideStep: 0 }, () => {
      asked++
      return false
    })
    expect(asked).toBeGreaterThan(0)
    expect(found.searched).toMatch(/^within \d+$/)
    expect(found.plans.length).toBeGreaterThan(0)
  })
})
