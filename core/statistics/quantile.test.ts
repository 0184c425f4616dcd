import fc from 'fast-check'
import { expect, it } from 'vitest'
import { selectRank } from './quantile'

it('the k-th smallest is that of the sorted list', () => {
  const value = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constantFrom(0, 1, -1))
  fc.assert(
    fc.property(fc.array(value, { minLength: 1, maxLength: 200 }), fc.nat(), (list, n) => {
      const k = n % list.length
      const sorted = [...list].sort((a, b) => a - b)
      // Zeros of either sign rank alike: which of them comes out is not promised.
      expect(selectRank(Float64Array.from(list), k) === sorted[k]).toBe(true)
    }),
  )
})
