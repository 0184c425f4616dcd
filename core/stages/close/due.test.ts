import { describe, expect, it } from 'vitest'
import { TestBelt } from '../../jobs/testBelt'
import { beltsToday } from './beltsToday'
import { dueAdvised, dueOfBelts, urgencyOf } from './due'

describe('when to come back', () => {
  it('is for the hot check first, then for the first weeks of what was moved, else the regular look', () => {
    expect(dueAdvised({ provisional: true, moved: true })).toBe('hot-check')
    expect(dueAdvised({ provisional: false, moved: true })).toBe('first-weeks')
    expect(dueAdvised({ provisional: false, moved: false })).toBe('regular')
  })

  it('is, for new belts, after an hour’s run, a day and a week, whichever was not read yet', () => {
    const belt = new TestBelt().ready().opened()
    const advised = (day = '2026-01-01') => dueOfBelts(beltsToday(belt.fold().state, day))
    expect(advised()).toBe('first-weeks')
    belt.gaps(2.7, 2.7)
    belt.add({
      kind: 'belts-fitted',
      payload: { belts: 'new', units: 'metric', length: null, matched: true, words: '' },
    })
    belt.push([31, 31, 31, 31, 31])
    belt.tighten()
    belt.run()
    expect(advised()).toBe('belts-hour')
    // Read once more after it ran.
    const read = belt.push([29, 29, 29, 29, 29])
    belt.entries[belt.entries.length - 1] = { ...read, madeAt: '2026-01-01T09:30:00.000Z' }
    expect(advised()).toBe('belts-day')
    const later = (fittedOn: string | undefined) => {
      const known = new TestBelt(
        fittedOn === undefined
          ? belt.machine
          : { ...belt.machine, belts: { ...belt.machine.belts, fittedOn } },
      ).ready('planned')
      known.push([24, 24, 24, 24, 24], 'run-in')
      return dueOfBelts(beltsToday(known.fold().state, '2026-01-10'))
    }
    expect(later('2026-01-10')).toBe('belts-day')
    expect(later('2026-01-09')).toBe('belts-week')
    expect(later('2026-01-03')).toBe('regular')
    expect(later(undefined)).toBe('regular')
  })

  it('is overdue from the day after, and soon for a fortnight', () => {
    expect(urgencyOf('2026-11-25', '2026-11-26')).toBe('overdue')
    expect(urgencyOf('2026-11-26', '2026-11-26')).toBe('soon')
    expect(urgencyOf('2026-12-10', '2026-11-26')).toBe('soon')
    expect(urgencyOf('2026-12-11', '2026-11-26')).toBe('later')
  })
})
