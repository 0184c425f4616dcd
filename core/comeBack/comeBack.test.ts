import { describe, expect, it } from 'vitest'
import { addDays, addMonths, dayOf, daysBetween } from './days'
import { landOn, latenessOf, type Standstill } from './landing'
import { dueByRule, NO_RULES } from './rules'

describe('days of the calendar', () => {
  it('go on over months, leap days and the change of the clocks', () => {
    expect(addDays('2026-12-25', 14)).toBe('2027-01-08')
    expect(addDays('2026-03-01', -1)).toBe('2026-02-28')
    expect(addMonths('2028-02-29', 12)).toBe('2029-02-28')
    expect(addMonths('2026-10-31', 1)).toBe('2026-11-30')
    expect(addMonths('2026-11-30', 3)).toBe('2027-02-28')
    for (let i = 0; i < 800; i++) expect(daysBetween('2026-01-01', addDays('2026-01-01', i))).toBe(i)
  })
  it('are those of the place', () => {
    expect(dayOf(new Date(2026, 10, 27, 0, 5))).toBe('2026-11-27')
    expect(dayOf(new Date(2026, 10, 27, 23, 55))).toBe('2026-11-27')
  })
})

describe('rules for coming back', () => {
  const works = { ...NO_RULES, firstWeeksDays: 21, regularMonths: 6, hoursPerWeek: 100 }

  it('the machine’s own goes before the works’, that before the starting value, each by itself', () => {
    const machine = { ...NO_RULES, hotCheckDays: 3 }
    const by = (what: 'hot-check' | 'first-weeks' | 'regular' | 'other', own = machine) =>
      dueByRule(what, '2026-11-27', { machine: own, works })
    expect(by('hot-check')).toMatchObject({ on: '2026-11-30', from: 'machine' })
    expect(by('first-weeks')).toMatchObject({ on: '2026-12-18', from: 'works' })
    expect(by('regular')).toMatchObject({
      on: '2027-05-27',
      from: 'works',
      rule: { by: 'months', months: 6 },
    })
    expect(by('other').from).toBe('starting')
    expect(dueByRule('hot-check', '2026-11-27', {})).toMatchObject({ on: '2026-12-11', from: 'starting' })
    expect(dueByRule('regular', '2026-11-27', {})).toMatchObject({ on: '2027-11-27', from: 'starting' })
  })

  it('new belts are read after an hour’s run on the same day, after a day and after a week', () => {
    const by = (what: 'belts-hour' | 'belts-day' | 'belts-week', rules = {}) =>
      dueByRule(what, '2026-11-27', rules)
    expect(by('belts-hour')).toEqual({
      on: '2026-11-27',
      from: 'starting',
      rule: { by: 'running', hours: 1 },
    })
    expect([by('belts-day').on, by('belts-week').on]).toEqual(['2026-11-28', '2026-12-04'])
    const own = { ...NO_RULES, beltsHours: 2, beltsDays: 2 }
    expect(by('belts-hour', { works: own })).toMatchObject({ from: 'works', rule: { hours: 2 } })
    expect(by('belts-day', { machine: own, works: NO_RULES })).toMatchObject({
      on: '2026-11-29',
      from: 'machine',
    })
    // Rules kept before these were asked say nothing of them.
    expect(by('belts-week', { works: { firstWeeksDays: 9 } }).from).toBe('starting')
  })

  it('running hours are days by how long it runs a week; whichever comes first rules', () => {
    const machine = { ...NO_RULES, regularMonths: 12, regularHours: 2000 }
    // 20 weeks at the works' 100 hours.
    expect(dueByRule('regular', '2026-01-01', { machine, works })).toMatchObject({
      on: '2026-05-21',
      from: 'machine',
      rule: { by: 'hours', hours: 2000, hoursPerWeek: 100 },
    })
    const slow = { ...machine, hoursPerWeek: 10 }
    expect(dueByRule('regular', '2026-01-01', { machine: slow, works })).toMatchObject({
      on: '2027-01-01',
      rule: { by: 'months' },
    })
  })

  it('hours alone say nothing where nobody knows how long it runs', () => {
    const machine = { ...NO_RULES, regularHours: 2000 }
    expect(dueByRule('regular', '2026-01-01', { machine, works: null }).from).toBe('starting')
  })
})

describe('where due work lands', () => {
  const now = new Date(2026, 10, 27, 9)
  const stop = (day: number, from = 6, to = 14): Standstill => ({
    id: `stop ${day}`,
    startsAt: new Date(2026, 10, day, from).toISOString(),
    endsAt: new Date(2026, 10, day, to).toISOString(),
  })
  const lands = (due: string, ...days: number[]) => {
    const at = landOn(
      due,
      now,
      days.map((d) => stop(d)),
    )
    return at && [at.stop.id, at.late]
  }

  it('is the last stop within the week before its day, else the first behind it', () => {
    expect(lands('2026-12-05', 28, 30)).toEqual(['stop 30', -5])
    expect(lands('2026-11-29', 28, 30)).toEqual(['stop 28', -1])
    expect(lands('2026-11-28', 30, 34)).toEqual(['stop 30', 2])
    expect(lands('2026-11-30', 30)).toEqual(['stop 30', 0])
  })

  it('is nowhere when no stop is near enough: one is asked for', () => {
    expect(lands('2026-11-28')).toBeNull()
    expect(lands('2026-12-20', 30)).toBeNull()
    expect(lands('2026-11-28', 36)).toBeNull()
  })

  it('for what is overdue is the next stop within a week of today', () => {
    expect(lands('2026-11-01', 30, 33)).toEqual(['stop 30', 29])
    expect(lands('2026-11-01', 36)).toBeNull()
  })

  it('is never a stop that is over; one under way still counts', () => {
    expect(landOn('2026-11-27', now, [stop(27, 1, 8)])).toBeNull()
    expect(landOn('2026-11-27', now, [stop(27, 6, 14)])?.stop.id).toBe('stop 27')
    expect(landOn('2026-11-20', now, [stop(26, 22, 40)])?.stop.id).toBe('stop 26')
  })
})

it('lateness counts against its own interval: a day of one before three of ninety', () => {
  const day = latenessOf('2026-11-25', '2026-11-26', '2026-11-27')
  const quarter = latenessOf('2026-08-26', '2026-11-24', '2026-11-27')
  expect(day).toBeGreaterThan(quarter)
  expect(latenessOf('2026-11-01', '2026-12-01', '2026-11-27')).toBeLessThan(0)
  expect(Number.isFinite(latenessOf('2026-11-27', '2026-11-27', '2026-11-28'))).toBe(true)
})
