import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TotalSet } from './totalSet'

const setOf = (size: number, totals: readonly number[]) => {
  const set = new TotalSet(size)
  for (const t of totals) set.add(t)
  return set
}
const listOf = (set: TotalSet) => Array.from({ length: set.size }, (_, t) => t).filter((t) => set.has(t))
const size = fc.integer({ min: 1, max: 200 })
const totals = fc.array(fc.nat(220), { maxLength: 12 })

describe('a set of totals', () => {
  it('holds what was added below its size, and nothing else', () => {
    fc.assert(
      fc.property(size, totals, (n, list) => {
        const wish = [...new Set(list.filter((t) => t < n))].sort((a, b) => a - b)
        expect(listOf(setOf(n, list))).toEqual(wish)
        expect(setOf(n, list).has(-1)).toBe(false)
      }),
    )
  })

  it('laid on a leaf of any thickness is every total with it, what is over the size fallen away', () => {
    fc.assert(
      fc.property(size, totals, totals, fc.nat(230), (n, ones, others, by) => {
        const set = setOf(n, ones)
        set.addShifted(setOf(n, others), by)
        const wish = new Set(
          [...ones, ...others.filter((t) => t < n).map((t) => t + by)].filter((t) => t < n),
        )
        expect(listOf(set)).toEqual([...wish].sort((a, b) => a - b))
      }),
      { numRuns: 500 },
    )
  })

  it('a copy goes its own way', () => {
    const set = setOf(40, [3])
    const copy = set.copy()
    copy.add(39)
    expect(listOf(set)).toEqual([3])
    expect(listOf(copy)).toEqual([3, 39])
  })

  it('tells what another has not seen yet, once', () => {
    const seen = setOf(100, [5, 64])
    const fresh: number[] = []
    setOf(100, [5, 31, 32, 64, 99]).takeNew(seen, (t) => fresh.push(t))
    expect(fresh).toEqual([31, 32, 99])
    setOf(100, [31]).takeNew(seen, (t) => fresh.push(t))
    expect(fresh).toHaveLength(3)
  })
})
