import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, type Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import { seededRandom } from '../random/random'
import type { StockShim } from '../shims/leafKinds'
import { fairShares } from './fairShares'
import { planMoves, type PlanFoot } from './movePlan'

const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.05, slope: 0.0005 }
const X = { near: 300, far: 880 }
const random = seededRandom(11)
/** Thicknesses with nothing in common, in tenths of a micrometre. */
const uneven = (kinds: number, count: number): readonly StockShim[] =>
  Array.from({ length: kinds }, () => ({
    thickness: Math.round(250 + random() * 12_000) / 1e4,
    count,
    kind: 'plain',
  }))
const foot = (id: keyof typeof X, existing: readonly number[]): PlanFoot => ({
  id,
  x: X[id],
  existing: { left: existing, right: existing },
  maxPack: 5,
  sidePlus: 1,
  sideMinus: 1,
})

/** Totals of at most `limit` leaves by laying every leaf on every total, in tenths of a micrometre. */
const totals = (lying: readonly number[], stock: readonly StockShim[], limit: number) => {
  const keys = [...new Set([...lying, ...stock.map((s) => s.thickness)].map((t) => Math.round(t * 1e4)))]
  let last = new Set([0])
  const all = new Set([0])
  for (let n = 0; n < limit; n++) {
    const next = new Set<number>()
    for (const t of last) for (const k of keys) if (t + k <= 50_000) next.add(t + k)
    next.forEach((t) => all.add(t))
    last = next
  }
  return [...all].sort((a, b) => a - b)
}

/** For each height of one pair the far pair's best one: the worst share falls and then rises along it. */
const leastShare = (line: Misalignment, near: readonly number[], far: readonly number[], lying: number) => {
  const shareOf = (a: number, b: number) => {
    const va = (a - lying) / 1e4
    const vb = (b - lying) / 1e4
    const slope = (vb - va) / (X.far - X.near)
    const offset = va - slope * X.near
    return Math.max(
      Math.abs((line.offset.v ?? 0) + offset) / 0.05,
      Math.abs((line.slope.v ?? 0) + slope) / 0.0005,
    )
  }
  let best = Infinity
  for (const a of near) {
    let low = 0
    let high = far.length - 1
    while (high - low > 2) {
      const third = Math.floor((high - low) / 3)
      if (shareOf(a, far[low + third] as number) < shareOf(a, far[high - third] as number)) high -= third
      else low += third
    }
    for (let j = low; j <= high; j++) best = Math.min(best, shareOf(a, far[j] as number))
  }
  return best
}

describe('a shelf of thicknesses that have nothing in common', () => {
  it('gives the closest plan of all that can be laid', () => {
    const stock = uneven(9, 100)
    const lying = [stock[0]?.thickness ?? 0, stock[3]?.thickness ?? 0]
    const reach = totals(lying, stock, 4)
    const asIs = Math.round(lying.reduce((s, t) => s + t, 0) * 1e4)
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: -0.8, max: 0.8, noNaN: true }),
        (offset, slope) => {
          const coupling = { offset: { v: offset, h: 0 }, slope: { v: slope / 1000, h: 0 } }
          const found = planMoves({
            coupling,
            target: ALIGNED,
            tolerance: LIMITS,
            feet: [foot('near', lying), foot('far', lying)],
            stock,
            packLimit: 4,
            sideStep: 0,
          })
          expect(found.searched).toBe('all')
          expect(found.plans[0]?.score.v).toBeCloseTo(leastShare(coupling, reach, reach, asIs), 7)
        },
      ),
      { numRuns: 20 },
    )
  })

  it('with two of each still gives a plan close to none at all', () => {
    const found = planMoves({
      coupling: { offset: { v: -0.21, h: 0 }, slope: { v: -0.0004, h: 0 } },
      target: ALIGNED,
      tolerance: LIMITS,
      feet: [
        foot('near', [0.635, 0.254]),
        { ...foot('far', [0.508]), existing: { left: [0.508], right: [0.5] } },
      ],
      stock: uneven(30, 2),
      packLimit: 6,
      sideStep: 0,
    })
    expect(found.plans[0]?.score.v).toBeLessThan(0.01)
  })
})

describe('a shelf dealt out', () => {
  it('gives away no more than there is, alike to the left and the right, and nothing to a locked pair', () => {
    const kind = fc.record({
      thickness: fc.integer({ min: 1, max: 40 }),
      count: fc.integer({ min: 0, max: 30 }),
    })
    fc.assert(
      fc.property(
        fc.array(fc.boolean(), { minLength: 1, maxLength: 6 }),
        fc.uniqueArray(kind, { maxLength: 8, selector: (k) => k.thickness }),
        (locked, stock) => {
          const shares = fairShares(
            locked.map((l) => ({ locked: l })),
            stock,
          )
          locked.forEach((l, i) => {
            if (l) expect(shares[i]).toEqual([])
          })
          for (const { thickness, count } of stock) {
            const given = shares.map((s) => s.find((k) => k.thickness === thickness)?.count ?? 0)
            const total = 2 * given.reduce((s, n) => s + n, 0)
            expect(total).toBeLessThanOrEqual(count)
            // Less than a pair's worth is left over.
            if (locked.includes(false)) expect(count - total).toBeLessThan(2)
          }
        },
      ),
    )
  })
})
