import { describe, expect, it } from 'vitest'
import { dayWords, momentWords, timeWords } from './days'
import { OWN_END } from './words'

describe('a moment is told', () => {
  it('as a day without a leading zero, its month in letters', () => {
    expect(dayWords('2026-03-03T12:00:00', { words: OWN_END })).toBe('3 Mar 2026')
    expect(dayWords(new Date(2027, 11, 31, 23, 59).getTime(), { words: OWN_END })).toBe('31 Dec 2027')
  })
  it('as a time of the clock on the wall', () => {
    expect(timeWords('2026-03-03T07:05:59')).toBe('07:05')
    expect(timeWords(new Date(2026, 2, 3, 0, 0).getTime())).toBe('00:00')
  })
  it('by its time alone on its own day, by its day too on any other', () => {
    const now = '2026-03-03T18:00:00'
    expect(momentWords('2026-03-03T07:05:00', { words: OWN_END }, now)).toBe('07:05')
    expect(momentWords('2026-03-02T07:05:00', { words: OWN_END }, now)).toBe('2 Mar 2026, 07:05')
  })
})
