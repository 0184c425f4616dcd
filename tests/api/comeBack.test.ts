import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { addDays, dayOf } from '../../core/comeBack/days'
import { demoId } from '../../scripts/demo/works'
import type { CalendarAnswer, FeedAnswer, NewFeedAnswer, TodayAnswer } from '../../shared/api/answers'
import type { StandstillRecord } from '../../shared/comeBack/standstill'
import type { Works } from '../../shared/register/works'
import { lockOut } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('come_back')
const calendar = async () => (await api.ask('/api/calendar')).body as unknown as CalendarAnswer
const HOUR = 3_600_000
const inHours = (h: number) => new Date(Date.now() + h * HOUR).toISOString()
const stop = (more: object = {}) => ({
  id: randomUUID(),
  area: 'Kiln yard',
  startsAt: inHours(20),
  endsAt: inHours(28),
  note: '',
  cancelled: false,
  ...more,
})
const kiln = async () => (await calendar()).visits.find((v) => v.job.tag === 'KY-05')

describe('planned stops', () => {
  it('take up what is due in their hall, and give it back when they are called off', async () => {
    expect((await kiln())?.landing).toBeNull()
    const planned = stop()
    const added = await api.post('/api/standstills', planned)
    expect(added.status).toBe(201)
    expect((await kiln())?.landing?.stop.id).toBe(planned.id)
    // Another hall's work does not land there.
    const { visits } = await calendar()
    expect(visits.filter((v) => v.landing?.stop.id === planned.id).every((v) => v.area === 'Kiln yard')).toBe(
      true,
    )
    const { id, ...fields } = planned
    const off = await api.send('PUT', `/api/standstills/${id}`, { ...fields, cancelled: true, version: 1 })
    expect(off).toMatchObject({ status: 200, body: { cancelled: true, version: 2 } })
    expect((await kiln())?.landing).toBeNull()
    expectRefusal(await api.send('PUT', `/api/standstills/${id}`, { ...fields, version: 1 }), 409, 'stale')
    expectRefusal(await api.post('/api/standstills', planned), 409, 'id-taken')
    expect((await calendar()).standstills.find((s: StandstillRecord) => s.id === id)?.cancelled).toBe(true)
  })

  it('refuse hours that run backward, months of standing, and no hall', async () => {
    const backward = await api.post('/api/standstills', stop({ endsAt: inHours(19) }))
    expectRefusal(backward, 422)
    expect(issuePaths(backward)).toEqual(['endsAt'])
    expectRefusal(await api.post('/api/standstills', stop({ endsAt: inHours(2000) })), 422)
    expectRefusal(await api.post('/api/standstills', stop({ area: '  ' })), 422)
    expectRefusal(await api.post('/api/standstills', stop({ startsAt: 'tomorrow' })), 422)
    expectRefusal(await api.send('PUT', '/api/standstills/none', { ...stop(), version: 1 }), 404)
    expectRefusal(await api.send('PUT', `/api/standstills/${randomUUID()}`, { ...stop(), version: 1 }), 404)
  })
})

describe('today', () => {
  it('puts what is latest against its own interval first, with its reason and whether a job is open', async () => {
    const { due } = (await api.ask('/api/today')).body as unknown as TodayAnswer
    const [first] = due
    // A fortnight's hot check ten days late before a quarter's check three days late.
    expect(first).toMatchObject({ job: { tag: 'CP-40M', summary: { due: { what: 'hot-check' } } } })
    expect(first?.openJob).toMatch(/-/)
    expect(due.find((v) => v.job.tag === 'KY-05')).toMatchObject({ openJob: null, area: 'Kiln yard' })
  })
})

describe('belts on today', () => {
  it('are listed where their band is left before long, by what was read since they were tensioned', async () => {
    const { leaving } = (await api.ask('/api/today')).body as unknown as TodayAnswer
    expect(leaving.map((l) => l.tag)).toEqual(['KY-05'])
    const [kilnBelt] = leaving
    expect(kilnBelt?.due).toMatch(/^\d{4}-\d{2}-\d{2}$/)
    const at = Date.parse(kilnBelt?.leavesAt ?? '')
    expect(at).toBeGreaterThan(Date.now())
    expect(at).toBeLessThan(Date.now() + 30 * 86_400_000)
    expect(Date.parse(kilnBelt?.earliest ?? '')).toBeLessThanOrEqual(at)
  })
})

describe('rules for coming back', () => {
  const worksNow = async () => (await api.ask('/api/works')).body as unknown as Works
  const rules = {
    hotCheckDays: 7,
    firstWeeksDays: null,
    regularMonths: 3,
    regularHours: 4000,
    hoursPerWeek: 100,
  }

  it('of the works are changed against the version they were read at', async () => {
    const before = await worksNow()
    const changed = await api.send('PUT', '/api/works/come-back', { ...rules, version: before.version })
    expect(changed).toMatchObject({ status: 200, body: { comeBack: rules, version: before.version + 1 } })
    expectRefusal(
      await api.send('PUT', '/api/works/come-back', { ...rules, version: before.version }),
      409,
      'stale',
    )
    expect(await worksNow()).toMatchObject({ comeBack: rules })
  })

  it('refuse what no calendar has', async () => {
    const { version } = await worksNow()
    const put = (more: object) => api.send('PUT', '/api/works/come-back', { ...rules, ...more, version })
    for (const more of [
      { hotCheckDays: 0 },
      { regularMonths: 1.5 },
      { hoursPerWeek: 169 },
      { regularHours: 'many' },
    ])
      expect(issuePaths(await put(more))).toEqual(Object.keys(more))
  })

  it('of a machine stand in its register and go into its jobs', async () => {
    const { machine } = (await api.ask('/api/machines/KY-05')).body as { machine: { id: string } }
    const { id: _, ...record } = machine
    const own = { ...rules, regularMonths: 1 }
    expect((await api.send('PUT', '/api/machines/KY-05', { ...record, comeBack: own })).status).toBe(200)
    const job = await api.openJob('KY-05')
    const { body } = await api.ask(`/api/jobs/${job}`)
    expect(body.machine).toMatchObject({ comeBack: own })
    const due = { on: addDays(dayOf(new Date()), 30), what: 'regular', words: '' } as const
    const close = { signedBy: 'x', remarks: '', exception: 'Not read.', signed: null, due } as const
    expect((await api.log(job, { kind: 'job-closed', payload: close })).status).toBe(201)
    // A later closing takes the place of what was due.
    expect((await kiln())?.due).toBe(due.on)
  })
})

describe('calendars to subscribe to', () => {
  const make = async (person: string | null) =>
    (await api.post('/api/feeds', { id: randomUUID(), person })).body as unknown as NewFeedAnswer
  const read = (path: string) => api.program().fetch(path)

  it('are read at a secret address that is said once, until they are ended', async () => {
    const feed = await make(null)
    const answer = await read(feed.address)
    expect(answer.headers.get('content-type')).toContain('text/calendar')
    const text = await answer.text()
    expect(text).toMatch(/^BEGIN:VCALENDAR/)
    expect(text).toContain('CP-40M')
    expect(text).toContain('SUMMARY:Glaze house stands')
    const list = (await api.ask('/api/feeds')).body as unknown as FeedAnswer[]
    const secret = feed.address.split('/')[3] ?? ''
    expect(secret.length).toBeGreaterThanOrEqual(32)
    expect(JSON.stringify(list)).not.toContain(secret)
    expect(list.find((f) => f.id === feed.id)?.readAt).not.toBeNull()
    expect((await api.send('PUT', `/api/feeds/${feed.id}`, { revoked: true })).status).toBe(200)
    expect((await read(feed.address)).status).toBe(404)
    const again = (await api.ask('/api/feeds')).body as unknown as FeedAnswer[]
    expect(again.find((f) => f.id === feed.id)?.revokedAt).not.toBeNull()
  })

  it('of a person hold what that person is to come back to, and no stops', async () => {
    const lead = await (await read((await make(demoId('lead'))).address)).text()
    expect(lead).toContain('CP-40M')
    expect(lead).not.toContain('CP-11')
    expect(lead).not.toContain('stands')
  })

  it('are nobody’s who is not there, and are not found by guessing', async () => {
    expectRefusal(await api.post('/api/feeds', { id: randomUUID(), person: randomUUID() }), 422)
    expectRefusal(await api.ask('/api/feeds/aaaa/calendar.ics'), 404)
    expectRefusal(await api.send('PUT', `/api/feeds/${randomUUID()}`, { revoked: true }), 404)
    expectRefusal(await api.send('PUT', `/api/feeds/${randomUUID()}`, { revoked: false }), 422)
    const twice = { id: randomUUID(), person: null }
    expect((await api.post('/api/feeds', twice)).status).toBe(201)
    expectRefusal(await api.post('/api/feeds', twice), 409, 'id-taken')
  })
})

describe('belts that were changed', () => {
  it('a close with new belts begins their course anew: nothing is known of them yet', async () => {
    const job = await api.openJob('KY-05')
    for (const body of lockOut) expect((await api.log(job, body)).status).toBe(201)
    const fresh = { belts: 'new', units: 'metric', length: null, matched: null, words: '' } as const
    const read = {
      units: 'metric',
      age: 'new',
      sheaves: 'free',
      read: { by: 'force', deflection: 10, forces: [47] },
      words: '',
    } as const
    const close = { signedBy: 'x', remarks: '', exception: 'belt only', due: null, signed: null }
    expect((await api.log(job, { kind: 'belts-fitted', payload: fresh })).status).toBe(201)
    expect((await api.log(job, { kind: 'tension-read', payload: read })).status).toBe(201)
    expect((await api.log(job, { kind: 'job-closed', payload: close })).status).toBe(201)
    const { leaving } = (await api.ask('/api/today')).body as unknown as TodayAnswer
    expect(leaving).toEqual([])
  })
})
