import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../random/random'
import { DrawTally, LineTally } from './drawTally'
import { BLOCK, type LineColumns } from './lineModel'

const value = fc.oneof(
  fc.double({ noNaN: true, min: -1e3, max: 1e3 }),
  fc.constantFrom(0, 5, 5, 5, -1e9, 1e9),
)
const blocks = (list: readonly number[]) =>
  Array.from({ length: Math.ceil(list.length / BLOCK) }, (_, b) => {
    const block = new Float64Array(BLOCK)
    block.set(list.slice(b * BLOCK, (b + 1) * BLOCK))
    return { block, count: Math.min(BLOCK, list.length - b * BLOCK) }
  })
const tallied = (list: readonly number[]) => {
  const tally = new DrawTally()
  for (const { block, count } of blocks(list)) tally.add(block, count)
  return tally.spread()
}

/** The same but for the last digit: tails are interpolated from either end. */
const same = (found: number, wanted: number) => {
  if (Number.isFinite(wanted)) expect(Math.abs(found - wanted)).toBeLessThanOrEqual(1e-12 * Math.abs(wanted))
  else expect(found).toBe(wanted)
}

describe('draws taken together block by block', () => {
  it('have the quantiles of the sorted list, far out and equal values too', () => {
    // Shuffled, as draws are: the first block stands for the rest.
    const long = fc
      .tuple(fc.array(value, { minLength: 1, maxLength: 3 * BLOCK, size: 'max' }), fc.nat())
      .map(([list, seed]) => {
        const random = seededRandom(seed)
        return list
          .map((x) => ({ x, by: random() }))
          .sort((a, b) => a.by - b.by)
          .map(({ x }) => x)
      })
    fc.assert(
      fc.property(long, (list) => {
        const sorted = [...list].sort((a, b) => a - b)
        const at = (share: number) => {
          const place = share * (sorted.length - 1)
          const low = sorted[Math.floor(place)] as number
          const high = sorted[Math.min(sorted.length - 1, Math.floor(place) + 1)] as number
          return place === Math.floor(place) ? low : low + (place - Math.floor(place)) * (high - low)
        }
        const found = tallied(list)
        same(found.low, at(0.025))
        same(found.high, at(0.975))
      }),
      { numRuns: 60 },
    )
  })

  it('have the mean and deviation of the list, also far from zero', () => {
    const list = Array.from({ length: 2500 }, (_, i) => 1e6 + Math.sin(i * 1.7))
    const mean = list.reduce((s, x) => s + x, 0) / list.length
    const sd = Math.sqrt(list.reduce((s, x) => s + (x - mean) ** 2, 0) / (list.length - 1))
    expect(tallied(list).mean).toBeCloseTo(mean, 6)
    expect(tallied(list).sd).toBeCloseTo(sd, 9)
    expect(tallied([3, 3, 3])).toEqual({ mean: 3, sd: 0, low: 3, high: 3 })
  })

  it('have the covariance of their lists', () => {
    const n = BLOCK + 300
    const lists = [1, 2, 3, 4].map((k) =>
      Array.from({ length: n }, (_, i) => 5 * k + Math.sin(i * k) + (i % 7)),
    )
    const tally = new LineTally()
    for (const at of [0, BLOCK]) {
      const columns = lists.map((list) => {
        const block = new Float64Array(BLOCK)
        block.set(list.slice(at, at + BLOCK))
        return block
      })
      tally.add(columns as unknown as LineColumns, Math.min(BLOCK, n - at))
    }
    const means = lists.map((list) => list.reduce((s, x) => s + x, 0) / n)
    const found = tally.covariance()
    for (let j = 0; j < 4; j++)
      for (let k = 0; k < 4; k++) {
        const wanted =
          (lists[j] as number[]).reduce(
            (s, x, i) => s + (x - (means[j] as number)) * ((lists[k]?.[i] ?? 0) - (means[k] as number)),
            0,
          ) /
          (n - 1)
        expect(found[4 * j + k]).toBeCloseTo(wanted, 8)
      }
  })
})
