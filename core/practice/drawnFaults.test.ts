import { describe, expect, it } from 'vitest'
import { drawnFaults } from './drawnFaults'
import { BENCH_FAULTS } from './faults'
import { STANDS } from './stands'

describe('faults that free practice hides', () => {
  it('are none, one, or two to three that can be told apart, the same for the same seed', () => {
    const seen = new Set<string>()
    for (let seed = 1; seed < 400; seed++) {
      expect(drawnFaults(seed, 'none', STANDS.short)).toEqual([])
      const one = drawnFaults(seed, 'one', STANDS.short)
      expect(one).toHaveLength(1)
      expect(drawnFaults(seed, 'one', STANDS.short)).toEqual(one)
      one.forEach((f) => seen.add(f))
      const several = drawnFaults(seed, 'several', STANDS.short)
      expect([2, 3]).toContain(several.length)
      expect(several.filter((f) => /bracket|needle|backlash|counts/.test(f)).length).toBeLessThan(2)
      expect(drawnFaults(seed, 'several', STANDS.long)).not.toContain('float')
    }
    // Every fault has its day.
    expect(seen.size).toBe(BENCH_FAULTS.length)
  })
})
