import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { DEMO_CUSTOMER, DEMO_NAMES, DEMO_PIN, signIn } from '../../scripts/demo/signIn.mjs'
import { demoId } from '../../scripts/demo/works'
import type { DeedLine, OwnJobs, PersonInFull, SessionAnswer } from '../../shared/people/answers'
import type { Customer } from '../../shared/people/customer'
import { draft, OPENING, remark } from '../support/entries'
import { expectRefusal, issuePaths, useProgram, type Answer } from './client'

const api = useProgram('people')

/** A device of its own, with what its cookie holds. */
class Device {
  cookie = ''
  constructor(private readonly headers: Record<string, string> = {}) {}

  async ask(path: string, body?: unknown, method = body === undefined ? 'GET' : 'POST'): Promise<Answer> {
    const answer = await fetch(api.program().url + path, {
      method,
      headers: { 'content-type': 'application/json', cookie: this.cookie, ...this.headers },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const [set] = answer.headers.getSetCookie()
    if (set !== undefined) {
      this.cookie = set.split(';')[0] ?? ''
      this.set = set
    }
    const text = await answer.text()
    return {
      status: answer.status,
      body: (text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : { text }) as Answer['body'],
    }
  }
  /** The cookie as it was set last. */
  set = ''

  signIn(name: string, secret = DEMO_PIN, chosen?: string) {
    return this.ask('/api/session', { name, secret, ...(chosen === undefined ? {} : { chosen }) })
  }
  static async of(...names: readonly string[]): Promise<Device> {
    const device = new Device()
    device.cookie = await signIn(api.program().url, names)
    return device
  }
}

/** Somebody new, who has chosen a PIN of their own; this lead added them. */
const somebody = async (role: string, more: object = {}) => {
  const person = { id: randomUUID(), name: `P-${randomUUID().slice(0, 8)}`, role, secret: '604713', ...more }
  const added = await api.post('/api/people', person)
  expect(added.status, JSON.stringify(added.body)).toBe(201)
  const own = role === 'customer' ? 'tile after tile' : '7305'
  const device = new Device()
  expect((await device.signIn(person.name, person.secret, own)).status).toBe(200)
  return { ...person, secret: own, device }
}
const session = async (device: Device) => (await device.ask('/api/session')).body as unknown as SessionAnswer
const opening = (author: string) => ({
  id: randomUUID(),
  machine: 'CP-11',
  opening: draft(OPENING, { author }),
})

describe('signing in', () => {
  it('lets nobody read or write who has not', async () => {
    const stranger = new Device()
    for (const path of ['/api/today', '/api/machines/CP-11', '/api/people', '/api/metrics', '/api/jobs'])
      expectRefusal(await stranger.ask(path), 401, 'sign-in')
    expectRefusal(await stranger.ask('/api/jobs', opening(demoId('day'))), 401, 'sign-in')
    stranger.cookie = 'hc.session=Fe26.2**nonsense'
    expectRefusal(await stranger.ask('/api/today'), 401, 'sign-in')
    expect((await stranger.ask('/api/health')).status).toBe(200)
    expect((await session(stranger)).note).toMatchObject({ secret: DEMO_PIN })
  })

  it('takes a name however it is written, and its PIN; and keeps both a secret otherwise', async () => {
    const device = new Device()
    const answer = await device.signIn(' day-shift  MILLWRIGHT ')
    expect(answer.status).toBe(200)
    expect(answer.body).toMatchObject({ current: { name: DEMO_NAMES.day, role: 'millwright' }, note: null })
    expect((await device.ask('/api/today')).status).toBe(200)
    const guesses = [
      await new Device().signIn(DEMO_NAMES.night, '9999'),
      await new Device().signIn('Nobody here', '9999'),
    ]
    for (const guess of guesses) expectRefusal(guess, 401, 'wrong')
    expect(guesses[0]?.body).toEqual(guesses[1]?.body)
    expectRefusal(await device.ask('/api/session', { name: '', secret: '' }), 422)
  })

  it('keeps its cookie from scripts and other sites, and to https where it came by that', async () => {
    const plain = new Device()
    await plain.signIn(DEMO_NAMES.day)
    expect(plain.set).toMatch(/HttpOnly/)
    expect(plain.set).toMatch(/SameSite=Lax/)
    expect(plain.set).not.toMatch(/Secure/)
    const secure = new Device({ 'x-forwarded-proto': 'https' })
    await secure.signIn(DEMO_NAMES.day)
    expect(secure.set).toMatch(/Secure/)
    expect(secure.set).not.toContain('day')
  })

  it('slows guesses down, also those made side by side', async () => {
    const { name } = await somebody('millwright')
    const guesses = await Promise.all(
      Array.from({ length: 9 }, (_, i) => new Device().signIn(name, `90${i}4`)),
    )
    const statuses = guesses.map((g) => g.status).sort()
    expect(statuses.filter((s) => s === 401)).toHaveLength(5)
    expect(statuses.filter((s) => s === 429)).toHaveLength(4)
    const right = await new Device().signIn(name, '7305')
    expectRefusal(right, 429, 'wait')
    expect(JSON.stringify(right.body)).toMatch(/\d+ seconds/)
    // A lead who gives a new PIN ends the wait.
    const person = ((await api.ask('/api/people/in-full')).body as unknown as PersonInFull[]).find(
      (p) => p.name === name,
    )
    expect((await api.post(`/api/people/${person?.id}/secret`, { secret: '481516' })).status).toBe(200)
    expect((await new Device().signIn(name, '481516', '7306')).status).toBe(200)
  })
})

describe('one device and several hands', () => {
  it('passes on by a PIN, and takes what each of them wrote on it', async () => {
    const device = await Device.of(DEMO_NAMES.night, DEMO_NAMES.day)
    expect((await session(device)).known.map((p) => p.name)).toEqual([DEMO_NAMES.night, DEMO_NAMES.day])
    const job = opening(demoId('day'))
    expect((await device.ask('/api/jobs', job)).status).toBe(201)
    const path = `/api/jobs/${job.id}/entries`
    expect((await device.ask(path, draft(remark('mine')))).status).toBe(201)
    const theirs = draft(remark('theirs'), { author: demoId('night') })
    expect((await device.ask(path, theirs)).status).toBe(201)
    const stranger = draft(remark('not theirs'), { author: demoId('apprentice') })
    expectRefusal(await device.ask(path, stranger), 401, 'sign-in-as')
    expectRefusal(await device.ask(path, draft(remark('nobody'), { author: randomUUID() })), 422)
  })

  it('locked it reads nothing, and still sends what its hands wrote', async () => {
    const device = await Device.of(DEMO_NAMES.day)
    const job = opening(demoId('day'))
    await device.ask('/api/jobs', job)
    const locked = await device.ask('/api/session/lock', {})
    expect(locked.body).toMatchObject({ current: null, known: [{ name: DEMO_NAMES.day }] })
    expectRefusal(await device.ask(`/api/jobs/${job.id}`), 401, 'sign-in')
    expectRefusal(await device.ask('/api/machines', {}), 401, 'sign-in')
    const path = `/api/jobs/${job.id}/entries`
    expect((await device.ask(path, draft(remark('written before')))).status).toBe(201)
    expectRefusal(
      await device.ask(path, draft(remark('not theirs'), { author: demoId('night') })),
      401,
      'sign-in-as',
    )
    expect((await device.signIn(DEMO_NAMES.day)).status).toBe(200)
    expect((await device.ask(`/api/jobs/${job.id}`)).status).toBe(200)
  })

  it('keeps what is somebody’s own from the next hand, but not from a lead', async () => {
    const device = await Device.of(DEMO_NAMES.lead, DEMO_NAMES.apprentice)
    const own = `/api/practice?person=${demoId('apprentice')}`
    const theirs = `/api/practice?person=${demoId('lead')}`
    expect((await device.ask(own)).status).toBe(200)
    expectRefusal(await device.ask(theirs), 401, 'sign-in-as')
    expectRefusal(await device.ask(`/api/logbook/views?person=${demoId('lead')}`), 401, 'sign-in-as')
    await device.signIn(DEMO_NAMES.lead)
    expect((await device.ask(own)).status).toBe(200)
    expect((await device.ask(theirs)).status).toBe(200)
  })

  it('forgets who signs out: here, or on every device', async () => {
    const { name, secret, device } = await somebody('millwright')
    const other = new Device()
    await other.signIn(DEMO_NAMES.day)
    await other.signIn(name, secret)
    expect((await session(other)).known).toHaveLength(2)
    await other.ask('/api/session/out', {})
    expect((await session(other)).known.map((p) => p.name)).toEqual([DEMO_NAMES.day])
    expectRefusal(await other.ask('/api/today'), 401)
    await other.signIn(name, secret)
    expect((await device.ask('/api/today')).status).toBe(200)
    await other.ask('/api/session/out', { everywhere: true })
    expectRefusal(await device.ask('/api/today'), 401, 'sign-in')
    expect((await session(device)).known).toEqual([])
  })
})

describe('PINs', () => {
  it('that a lead gives let in once: a better one is chosen then', async () => {
    const person = { id: randomUUID(), name: 'New hand', role: 'apprentice', secret: '604713' }
    expect((await api.post('/api/people', person)).status).toBe(201)
    const device = new Device()
    const asked = await device.signIn(person.name, person.secret)
    expectRefusal(asked, 422, 'choose-own')
    expect(issuePaths(asked)).toEqual(['chosen'])
    for (const chosen of ['123', '1111', '4567', '604713', 'short'])
      expect(issuePaths(await device.signIn(person.name, person.secret, chosen))).toEqual(['chosen'])
    expect((await device.signIn(person.name, person.secret, '8264')).status).toBe(200)
    expectRefusal(await new Device().signIn(person.name, person.secret, '8265'), 401)
    expect((await new Device().signIn(person.name, '8264')).status).toBe(200)
  })

  it('are changed by whose they are; every other device forgets them', async () => {
    const { name, secret, device } = await somebody('planner')
    const other = new Device()
    await other.signIn(name, secret)
    expectRefusal(await device.ask('/api/session/secret', { secret: '0000', chosen: '9713' }), 401)
    const plain = await device.ask('/api/session/secret', { secret, chosen: '2345' })
    expect(issuePaths(plain)).toEqual(['chosen'])
    expect((await device.ask('/api/session/secret', { secret, chosen: 'a whole sentence' })).status).toBe(200)
    expect((await device.ask('/api/today')).status).toBe(200)
    expectRefusal(await other.ask('/api/today'), 401)
    expect((await other.signIn(name, 'a whole sentence')).status).toBe(200)
  })
})

describe('people', () => {
  const inFull = async () => (await api.ask('/api/people/in-full')).body as unknown as PersonInFull[]

  it('are added and changed by a lead, each at its field', async () => {
    const person = { id: randomUUID(), name: 'Second lead', role: 'lead', secret: '604713' }
    expect((await api.post('/api/people', person)).status).toBe(201)
    expectRefusal(await api.post('/api/people', { ...person, name: 'Another' }), 409, 'id-taken')
    const taken = await api.post('/api/people', { ...person, id: randomUUID(), name: 'second LEAD' })
    expectRefusal(taken, 409, 'name-taken')
    expect(issuePaths(taken)).toEqual(['name'])
    const odd = await api.post('/api/people', { ...person, id: 'x', name: ' ', role: 'king', secret: '1' })
    expect(issuePaths(odd)).toEqual(expect.arrayContaining(['id', 'name', 'role']))
    expect(issuePaths(await api.post('/api/people', { ...person, id: randomUUID(), secret: '12' }))).toEqual([
      'secret',
    ])
    const viewer = await api.post('/api/people', { ...person, id: randomUUID(), name: 'V', role: 'customer' })
    expect(issuePaths(viewer)).toContain('customer')
    const change = { name: 'Second lead', role: 'millwright', customer: null, retired: false, version: 1 }
    const changed = await api.send('PUT', `/api/people/${person.id}`, change)
    expect(changed.body).toMatchObject({ role: 'millwright', version: 2, signsIn: 'once' })
    expectRefusal(await api.send('PUT', `/api/people/${person.id}`, change), 409, 'stale')
    expectRefusal(await api.send('PUT', `/api/people/${randomUUID()}`, change), 404)
  })

  it('who are let in no more are gone at once, and what they wrote keeps their name', async () => {
    const { id, name, secret, device } = await somebody('millwright')
    const job = opening(id)
    expect((await device.ask('/api/jobs', job)).status).toBe(201)
    const change = { name, role: 'millwright', customer: null, retired: true, version: 1 }
    expect((await api.send('PUT', `/api/people/${id}`, change)).status).toBe(200)
    expectRefusal(await device.ask('/api/today'), 401)
    expectRefusal(await new Device().signIn(name, secret), 401)
    expect((await api.ask('/api/people')).body).toContainEqual(
      expect.objectContaining({ id, name, retired: true }),
    )
    // The name is free again.
    expect((await somebody('millwright', { name })).name).toBe(name)
  })

  it('always leave somebody who leads', async () => {
    const lead = (await inFull()).find((p) => p.name === DEMO_NAMES.lead)
    const change = { name: DEMO_NAMES.lead, customer: null, version: lead?.version }
    for (const more of [
      { role: 'millwright', retired: false },
      { role: 'lead', retired: true },
    ])
      expectRefusal(
        await api.send('PUT', `/api/people/${lead?.id}`, { ...change, ...more }),
        409,
        'last-lead',
      )
  })
})

describe('a second person', () => {
  const limits = () => ({
    id: randomUUID(),
    name: `L-${randomUUID().slice(0, 6)}`,
    level: 'works',
    coupling: '',
    source: 'the works',
    revision: 'A',
    units: 'metric',
    inForce: false,
    rows: [
      {
        upTo: null,
        fine: { offset: 0.05, slope: null, flexSlope: null },
        standard: { offset: 0.1, slope: null, flexSlope: null },
      },
    ],
  })

  it('stands by what an apprentice closes, with a PIN shown for that entry', async () => {
    const device = await Device.of(DEMO_NAMES.apprentice)
    const author = demoId('apprentice')
    const job = opening(author)
    await device.ask('/api/jobs', job)
    const path = `/api/jobs/${job.id}/entries`
    const waived = draft({ kind: 'lockout-waived', payload: { why: 'Belts are off.' } }, { author })
    expectRefusal(await device.ask(path, waived), 403, 'needs-second')
    const stood = { ...waived, second: demoId('day') }
    expectRefusal(await device.ask(path, stood), 403, 'needs-second')
    const shown = { act: waived.id, what: 'lockout-waived', name: DEMO_NAMES.day, secret: DEMO_PIN }
    expectRefusal(await device.ask('/api/session/second', { ...shown, secret: '9999' }), 401, 'wrong')
    expectRefusal(await device.ask('/api/session/second', { ...shown, name: DEMO_NAMES.apprentice }), 422)
    expectRefusal(await device.ask('/api/session/second', { ...shown, name: DEMO_NAMES.planner }), 403)
    expect((await device.ask('/api/session/second', shown)).body).toMatchObject({ id: demoId('day') })
    expectRefusal(
      await device.ask(path, { ...waived, id: randomUUID(), second: demoId('day') }),
      403,
      'needs-second',
    )
    expect((await device.ask(path, stood)).status).toBe(201)
    const { entries } = (await device.ask(`/api/jobs/${job.id}`)).body as { entries: object[] }
    expect(entries.at(-1)).toMatchObject({ author, second: demoId('day') })
    // The device is still the apprentice's.
    expect((await session(device)).known.map((p) => p.role)).toEqual(['apprentice'])
  })

  it('stands by one change of limits, once', async () => {
    const device = await Device.of(DEMO_NAMES.day)
    const wanted = await device.ask('/api/limits', limits())
    expectRefusal(wanted, 403, 'needs-second')
    expect(wanted.body).toMatchObject({ error: { current: { what: 'addLimits' } } })
    const act = randomUUID()
    const second = { act, what: 'addLimits', name: DEMO_NAMES.lead, secret: DEMO_PIN }
    expectRefusal(await device.ask('/api/session/second', { ...second, name: DEMO_NAMES.night }), 403)
    expect((await device.ask('/api/session/second', second)).status).toBe(200)
    const with_ = async () => {
      const answer = await fetch(`${api.program().url}/api/limits`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie: device.cookie, 'x-second': act },
        body: JSON.stringify(limits()),
      })
      return { status: answer.status, body: (await answer.json()) as Answer['body'] }
    }
    const first = await with_()
    expect(first.status, JSON.stringify(first.body)).toBe(201)
    expectRefusal(await with_(), 403, 'needs-second')
    const { rows } = (await api.ask('/api/deeds?deed=addLimits')).body as unknown as { rows: DeedLine[] }
    expect(rows[0]).toMatchObject({ name: DEMO_NAMES.day, second: DEMO_NAMES.lead })
  })
})

describe('customers', () => {
  it('see the jobs on their machines and those reports, nothing else', async () => {
    const device = new Device()
    expect((await device.signIn(DEMO_CUSTOMER.name, DEMO_CUSTOMER.secret)).status).toBe(200)
    const own = (await device.ask('/api/customer/jobs')).body as unknown as OwnJobs
    expect(new Set(own.rows.map((j) => j.tag))).toEqual(new Set(['KY-05', 'KY-09']))
    const closed = own.rows.find((j) => j.closedAt !== null)
    const report = await fetch(`${api.program().url}/api/customer/jobs/${closed?.id}/report.pdf`, {
      headers: { cookie: device.cookie },
    })
    expect(report.headers.get('content-type')).toBe('application/pdf')
    for (const path of ['/api/today', '/api/people', '/api/works', `/api/jobs/${closed?.id}`])
      expectRefusal(await device.ask(path), 403, 'not-allowed')
    const { rows } = (await api.ask('/api/jobs?machine=CP-11')).body as { rows: { id: string }[] }
    expectRefusal(await device.ask(`/api/customer/jobs/${rows[0]?.id}/report.pdf`), 404)
    expectRefusal(await api.ask('/api/customer/jobs'), 403)
  }, 30_000)

  it('have sites where machines stand, each at one', async () => {
    const site = (machines: string[]) => ({ id: randomUUID(), name: 'Hall', machines })
    const customer = {
      id: randomUUID(),
      name: 'Glaze house tenant',
      namesLeftOut: false,
      retired: false,
      sites: [site(['GL-03'])],
    }
    expect((await api.post('/api/customers', customer)).status).toBe(201)
    const twice = { ...customer, id: randomUUID(), name: 'X', sites: [site(['GL-03']), site(['gl-03'])] }
    expect(issuePaths(await api.post('/api/customers', twice))).toEqual(['sites.1.machines.0'])
    const unknown = { ...customer, id: randomUUID(), name: 'Y', sites: [site(['GL-03', 'ZZ-99'])] }
    expect(issuePaths(await api.post('/api/customers', unknown))).toEqual(['sites.0.machines.1'])
    expectRefusal(await api.post('/api/customers', { ...customer, id: randomUUID() }), 409, 'name-taken')
    const { id: _, ...fields } = customer
    const path = `/api/customers/${customer.id}`
    const moved = { ...fields, sites: [site(['GL-07'])], version: 1 }
    expect((await api.send('PUT', path, moved)).body).toMatchObject({ version: 2 })
    expectRefusal(await api.send('PUT', path, moved), 409, 'stale')
    const listed = (await api.ask('/api/customers')).body as unknown as Customer[]
    expect(listed.find((c) => c.id === customer.id)?.sites.map((s) => s.machines)).toEqual([['GL-07']])
    const viewer = await somebody('customer', { customer: customer.id, secret: 'tile after' })
    const seen = async () => (await viewer.device.ask('/api/customer/jobs')).body as unknown as OwnJobs
    expect(new Set((await seen()).rows.map((j) => j.tag))).toEqual(new Set(['GL-07']))
    await api.send('PUT', path, { ...moved, retired: true, version: 2 })
    expectRefusal(await viewer.device.ask('/api/customer/jobs'), 403)
  })
})

describe('who did what', () => {
  it('is kept line by line, found by word, person, deed and day, and never changed', async () => {
    const tag = `D-${randomUUID().slice(0, 6)}`
    const machine = (await api.ask('/api/machines/CP-11')).body.machine as Record<string, unknown>
    const { version: _, ...fields } = machine
    expect((await api.post('/api/machines', { ...fields, id: randomUUID(), tag })).status).toBe(201)
    const found = async (query: string) =>
      ((await api.ask(`/api/deeds?${query}`)).body as unknown as { rows: DeedLine[] }).rows
    const [line] = await found(`words=${tag.toLowerCase()}`)
    expect(line).toMatchObject({ deed: 'addMachine', about: tag, name: DEMO_NAMES.lead })
    const today = new Date().toISOString().slice(0, 10)
    expect(
      await found(`words=${tag}&deed=addMachine&person=${line?.person}&from=${today}&to=${today}`),
    ).toEqual([line])
    expect(await found(`words=${tag}&to=2020-01-01`)).toEqual([])
    expect((await found('deed=signInWrong')).length).toBeGreaterThan(0)
    const first = (await api.ask('/api/deeds?most=2')).body as { rows: DeedLine[]; next: string }
    const second = (await api.ask(`/api/deeds?most=2&after=${first.next}`)).body as { rows: DeedLine[] }
    expect(new Set([...first.rows, ...second.rows].map((r) => r.id)).size).toBe(4)
    expectRefusal(await api.ask('/api/deeds?deed=none'), 422)
    expectRefusal(await api.ask('/api/deeds?after=none'), 422)
  })
})

describe('the first lead', () => {
  it('is asked for only while there is none', async () => {
    const stranger = new Device()
    expect((await session(stranger)).first).toBe(false)
    const lead = { id: randomUUID(), name: 'Intruder', secret: '8264' }
    expectRefusal(await stranger.ask('/api/session/first', lead), 409, 'lead-there')
    expect(issuePaths(await stranger.ask('/api/session/first', { ...lead, secret: '1111' }))).toEqual([
      'secret',
    ])
  })
})
