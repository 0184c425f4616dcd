import { describe, expect, it } from 'vitest'
import { dueAdvised, urgencyOf } from './due'

describe('when to come back', () => {
  it('is for the hot check first, then for the first weeks of what was moved, else the regular look', () => {
    expect(dueAdvised({ provisional: true, moved: true })).toBe('hot-check')
    expect(dueAdvised({ provisional: false, moved: true })).toBe('first-weeks')
    expect(dueAdvised({ provisional: false, moved: false })).toBe('regular')
  })

  it('is overdue from the day after, and soon for a fortnight', () => {
    expect(urgencyOf('2026-11-25', '2026-11-26')).toBe('overdue')
    expect(urgencyOf('2026-11-26', '2026-11-26')).toBe('soon')
    expect(urgencyOf('2026-12-10', '2026-11-26')).toBe('soon')
    expect(urgencyOf('2026-12-11', '2026-11-26')).toBe('later')
  })
})
