import fc from 'fast-check'
import { expect, it } from 'vitest'
import { quantiles } from './quantile'

it('quantiles are those of the sorted list', () => {
  const value = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constantFrom(0, 1, -1))
  fc.assert(
    fc.property(fc.array(value, { minLength: 1, maxLength: 200 }), (list) => {
      const sorted = [...list].sort((a, b) => a - b)
      const shares = [0, 0.025, 0.3, 0.5, 0.975, 1]
      const found = quantiles(Float64Array.from(list), shares)
      shares.forEach((share, i) => {
        const place = share * (sorted.length - 1)
        const below = Math.floor(place)
        const low = sorted[below] as number
        const high = sorted[Math.min(sorted.length - 1, below + 1)] as number
        expect(found[i]).toBeCloseTo(low + (place - below) * (high - low), 9)
      })
    }),
  )
})
