import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { thicknessKey, type StockShim } from './leafKinds'
import { packChoices } from './reachablePacks'
import { shimPack } from './shimPack'

const MIL = 0.0254

interface Tried {
  readonly total: number
  readonly changes: number
  readonly count: number
}

/** Every pack, one leaf after another, without any cleverness. */
const everyPack = (existing: readonly number[], stock: readonly StockShim[], limit: number): Tried[] => {
  const leaves = [
    ...existing.map((t, i) => ({ t, existing: i, piece: -1 })),
    ...stock.flatMap((s, k) =>
      Array.from({ length: Math.min(s.count, limit) }, (_, n) => ({ s, k, n })).flatMap(({ n }) =>
        s.kind === 'laminated'
          ? Array.from({ length: Math.round(s.thickness / (s.layer ?? 1)) }, (_, peel) => ({
              t: s.thickness - peel * (s.layer ?? 1),
              existing: -1,
              piece: 1000 * (k + 1) + n,
            }))
          : [{ t: s.thickness, existing: -1, piece: -1 }],
      ),
    ),
  ]
  const out: Tried[] = []
  const choose = (from: number, picked: typeof leaves) => {
    const kept = picked.filter((l) => l.existing >= 0).length
    out.push({
      total: picked.reduce((s, l) => s + l.t, 0),
      changes: existing.length - kept + (picked.length - kept),
      count: picked.length,
    })
    if (picked.length === limit) return
    for (let i = from; i < leaves.length; i++) {
      const leaf = leaves[i] as (typeof leaves)[number]
      if (leaf.piece >= 0 && picked.some((p) => p.piece === leaf.piece)) continue
      choose(i + 1, [...picked, leaf])
    }
  }
  choose(0, [])
  return out
}

const best = (wanted: number, tried: readonly Tried[]): Tried => {
  const rank = (t: Tried) =>
    [Math.round(Math.abs(t.total - wanted) * 1e7), t.changes, t.count, Math.round(t.total * 1e7)] as const
  return tried.reduce((b, t) => {
    const x = rank(t)
    const y = rank(b)
    for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return (x[i] as number) < (y[i] as number) ? t : b
    return b
  })
}

const thickness = fc.constantFrom(1, 2, 3, 5, 10, 20, 25)
const plain = fc.record({
  thickness,
  count: fc.integer({ min: 0, max: 2 }),
  kind: fc.constant('plain' as const),
})

describe('a shim pack', () => {
  it('is the best there is: brute force over every pack finds none better', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 700 }).map((n) => n / 10),
        fc.array(thickness, { maxLength: 3 }),
        fc.uniqueArray(plain, { maxLength: 4, selector: (s) => s.thickness }),
        fc.boolean(),
        fc.integer({ min: 1, max: 3 }),
        (wanted, existing, shelf, laminated, limit) => {
          const stock: StockShim[] = [
            ...shelf,
            ...(laminated ? [{ thickness: 12, count: 1, kind: 'laminated' as const, layer: 3 }] : []),
          ].map((s) => ({ ...s, thickness: s.thickness * MIL, ...('layer' in s ? { layer: 3 * MIL } : {}) }))
          const existingMm = existing.map((t) => t * MIL)
          const found = shimPack({ wanted: wanted * MIL, existing: existingMm, stock, limit })
          const wish = best(wanted * MIL, everyPack(existingMm, stock, limit))
          expect(Math.abs(found.error)).toBeCloseTo(Math.abs(wish.total - wanted * MIL), 9)
          expect([found.changes, found.count]).toEqual([wish.changes, wish.count])
          expect(found.pack.reduce((s, l) => s + l.thickness, 0)).toBeCloseTo(found.total, 9)
        },
      ),
      { numRuns: 150 },
    )
  })

  it('peels a laminated piece but leaves a layer, and says what was peeled', () => {
    const stock = [{ thickness: 62, count: 1, kind: 'laminated', layer: 2 } as const]
    const one = shimPack({ wanted: 0.5, existing: [], stock, limit: 3 })
    expect(one).toMatchObject({ total: 0, count: 0 })
    const thin = shimPack({ wanted: 2.2, existing: [], stock, limit: 3 })
    expect(thin.pack).toEqual([{ thickness: 2, source: 'peeled', peeledFrom: 62 }])
    expect(shimPack({ wanted: 62, existing: [], stock, limit: 1 }).pack[0]?.source).toBe('stock')
  })

  it('keeps what lies there where it can', () => {
    const found = shimPack({ wanted: 58, existing: [10, 10], stock: [{ thickness: 38, count: 1 }], limit: 3 })
    expect(found.changes).toBe(1)
    expect(found.pack.filter((l) => l.source === 'kept')).toHaveLength(2)
  })
})

describe('reachable packs', () => {
  it('know for each total the fewest shims handled', () => {
    fc.assert(
      fc.property(
        fc.array(thickness, { maxLength: 3 }),
        fc.uniqueArray(plain, { maxLength: 4, selector: (s) => s.thickness }),
        (existing, stock) => {
          const choices = packChoices(existing, stock, 3, 1e6)
          const tried = everyPack(existing, stock, 3)
          const totals = new Map<number, number>()
          for (const t of tried)
            totals.set(thicknessKey(t.total), Math.min(t.changes, totals.get(thicknessKey(t.total)) ?? 99))
          for (const key of choices.keys) {
            const asIs = existing.reduce((s, t) => s + t, 0)
            expect(choices.changes(key)).toBe(key === thicknessKey(asIs) ? 0 : totals.get(key))
          }
          expect(new Set(choices.keys).size).toBeGreaterThanOrEqual(totals.size)
        },
      ),
      { numRuns: 100 },
    )
  })

  it('use one laminated piece once', () => {
    const stock = [{ thickness: 6, count: 1, kind: 'laminated', layer: 2 } as const]
    const totals = [...packChoices([], stock, 3, 100).keys].map((k) => k * 1e-4)
    expect(totals.map((t) => Math.round(t)).sort((a, b) => a - b)).toEqual([0, 2, 4, 6])
  })
})
