import { describe, expect, it } from 'vitest'
import type { DueVisit } from '../api/answers'
import { tellingOf } from '../wording/telling'
import { landingWords, waitWords } from '../wording/comeBack'
import { layOutDays } from './layOutDays'
import type { StandstillRecord } from './standstill'

const now = new Date(2026, 10, 27, 9)
const stop = (
  day: number,
  from: number,
  hours: number,
  more: Partial<StandstillRecord> = {},
): StandstillRecord => ({
  id: `stop-${day}`,
  area: 'Press hall',
  startsAt: new Date(2026, 10, day, from).toISOString(),
  endsAt: new Date(2026, 10, day, from + hours).toISOString(),
  note: '',
  cancelled: false,
  version: 1,
  ...more,
})
const visit = (due: string, landing: DueVisit['landing'] = null): DueVisit => ({
  job: { tag: due, summary: { due: null } } as unknown as DueVisit['job'],
  area: 'Press hall',
  due,
  openJob: null,
  landing,
})

describe('days of the calendar', () => {
  it('hold what lands on its stop’s day, what asks on its own, and what is overdue on today', () => {
    const on29 = stop(29, 6, 8)
    const days = layOutDays(
      '2026-11-27',
      7,
      [visit('2026-11-20'), visit('2026-11-28'), visit('2026-12-02', { stop: on29, late: -3 })],
      [on29],
      now,
    )
    expect(days.map((d) => d.day)).toEqual([
      '2026-11-27',
      '2026-11-28',
      '2026-11-29',
      '2026-11-30',
      '2026-12-01',
      '2026-12-02',
      '2026-12-03',
    ])
    expect(days.map((d) => d.visits.map((v) => `${v.visit.due} ${v.stands}`))).toEqual([
      ['2026-11-20 late'],
      ['2026-11-28 asks'],
      ['2026-12-02 lands'],
      [],
      [],
      [],
      [],
    ])
    expect(days[2]?.stops).toEqual([on29])
  })

  it('show a stop on every day it covers, not where it ends at midnight, and none that was called off', () => {
    const long = stop(27, 22, 26)
    const off = stop(28, 6, 2, { cancelled: true })
    const days = layOutDays('2026-11-27', 3, [], [long, off], now)
    expect(days.map((d) => d.stops.length)).toEqual([1, 1, 0])
  })

  it('land what is overdue on a stop under way today, whenever that began', () => {
    const since = stop(26, 20, 24)
    const days = layOutDays('2026-11-26', 2, [visit('2026-11-25', { stop: since, late: 1 })], [since], now)
    expect(days[1]?.visits).toHaveLength(1)
  })
})

it('a landing is said with its distance from the day, unless it is overdue anyway', () => {
  const telling = tellingOf('inch', null)
  const on = (due: string, late: number) =>
    landingWords({ due, landing: { stop: stop(29, 6, 8), late } }, telling, now)
  expect(on('2026-11-29', 0)).toBe('on the stop Sun 29 Nov, 06:00–14:00')
  expect(on('2026-11-30', -1)).toContain('1 day before its day')
  expect(on('2026-11-27', 2)).toContain('2 days after its day')
  expect(on('2026-11-20', 9)).not.toContain('after')
  expect(landingWords({ due: '2026-11-29', landing: null }, telling, now)).toBe('ask for a stop')
  expect(waitWords('2026-11-24', now, telling)).toBe('3 days over')
  expect(waitWords('2026-11-28', now, telling)).toBe('tomorrow')
})
