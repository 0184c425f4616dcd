import { describe, expect, it } from 'vitest'
import type { DueVisit } from '../../shared/api/answers'
import type { StandstillRecord } from '../../shared/comeBack/standstill'
import { calendarText } from './ics'

const stop: StandstillRecord = {
  id: 'a-stop',
  area: 'Press hall',
  startsAt: '2026-12-03T14:00:00.000Z',
  endsAt: '2026-12-03T22:00:00.000Z',
  note: 'Mould change',
  cancelled: false,
  version: 1,
}
const visit = (landing: DueVisit['landing']): DueVisit => ({
  job: {
    id: 'a-job',
    tag: 'PR-02',
    machineName: 'Press hydraulic power pack',
    verdict: 'in',
    closedAt: '2026-06-01T10:00:00.000Z',
    summary: { due: { what: 'other', words: 'Insert, 92 Shore; look at it\nagain' } },
  } as unknown as DueVisit['job'],
  area: 'Press hall',
  due: '2026-12-01',
  openJob: null,
  landing,
})
/** Lines as RFC 5545 unfolds them. */
const lines = (of: Parameters<typeof calendarText>[0]) =>
  calendarText(of)
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')

describe('a calendar to subscribe to', () => {
  it('has what lands on a stop at its hours, and the stops', () => {
    const told = lines({ name: 'Works', visits: [visit({ stop, late: 2 })], standstills: [stop] })
    expect(told).toContain('UID:return-a-job')
    expect(told).toContain('UID:standstill-a-stop')
    expect(told.filter((l) => l === 'DTSTART:20261203T140000Z')).toHaveLength(2)
    expect(told).toContain('LOCATION:Press hall')
    expect(told).toContain('SUMMARY:Press hall stands')
  })

  it('has what lands nowhere as a whole day that asks for a stop, whatever the time zone', () => {
    const told = lines({ name: 'Works', visits: [visit(null)], standstills: [] })
    expect(told).toContain('DTSTART;VALUE=DATE:20261201')
    const summary = told.find((l) => l.startsWith('SUMMARY:')) ?? ''
    // Commas, semicolons and line breaks are escaped.
    expect(summary).toContain('Insert\\, 92 Shore\\; look at it\\nagain (ask for a stop)')
    expect(told.some((l) => /^X-(?!WR|PUBLISHED)/.test(l))).toBe(false)
  })

  it('leaves out a stop that was called off', () => {
    const told = lines({ name: 'Works', visits: [], standstills: [{ ...stop, cancelled: true }] })
    expect(told).not.toContain('BEGIN:VEVENT')
    expect(told.at(0)).toBe('BEGIN:VCALENDAR')
    expect(told.at(-1)).toBe('END:VCALENDAR')
  })
})
