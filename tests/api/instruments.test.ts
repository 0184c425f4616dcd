import { randomUUID } from 'node:crypto'
import { afterEach, describe, expect, it } from 'vitest'
import { WebSocket } from 'ws'
import type { InstrumentLink, LiveSample } from '../../shared/instruments/link'
import { AUTHOR } from '../support/entries'
import { SILENT_SECONDS } from '../../server/instruments/conversation'
import { headHello, LineTalker } from '../support/lineTalker'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('instruments')
const talkers: LineTalker[] = []
const call = async () => {
  const talker = await LineTalker.call(api.program().line)
  talkers.push(talker)
  return talker
}
afterEach(() => {
  for (const talker of talkers.splice(0)) talker.hangUp()
})

const codeAt = async (job: string, place: string): Promise<{ id: string; code: string }> => {
  const answer = await api.post(`/api/jobs/${job}/instruments`, { place, author: AUTHOR })
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return answer.body as { id: string; code: string }
}
const linksOf = async (job: string) =>
  (await api.ask(`/api/jobs/${job}/instruments`)).body.instruments as readonly InstrumentLink[]
let serials = 0
/** A head bound to a place of a job. */
const bound = async (job: string, place: string, more: object = {}) => {
  const { id, code } = await codeAt(job, place)
  const talker = await call()
  talker.say(headHello({ serial: `S-${(serials += 1)}`, code, ...more }))
  const welcome = await talker.hear((h) => 'welcome' in h || 'refused' in h)
  return { id, code, talker, welcome }
}
/** Looks at a job as its page does. */
const look = async (job: string) => {
  const stop = new AbortController()
  const answer = await api.program().fetch(`/api/jobs/${job}/stream`, { signal: stop.signal })
  const reader = answer.body!.getReader()
  const live: (LiveSample & { readonly seen: number })[] = []
  const links: InstrumentLink[][] = []
  let text = ''
  void (async () => {
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      text += new TextDecoder().decode(value)
      const parts = text.split('\n\n')
      text = parts.pop() ?? ''
      for (const part of parts) {
        const [, event = ''] = /^event: (.*)$/m.exec(part) ?? []
        const data: unknown = JSON.parse(/^data: (.*)$/m.exec(part)?.[1] || 'null')
        if (event === 'live')
          live.push(...(data as LiveSample[]).map((s) => ({ ...s, seen: performance.now() })))
        if (event === 'instruments') links.push(data as InstrumentLink[])
      }
    }
  })().catch(() => null)
  const until = async (true_: () => boolean, ms = 6000) => {
    const late = Date.now() + ms
    while (!true_() && Date.now() < late) await new Promise((r) => setTimeout(r, 10))
    expect(true_(), JSON.stringify({ live: live.slice(-5), links: links.at(-1) })).toBe(true)
  }
  await new Promise((r) => setTimeout(r, 150))
  return { live, links, until, leave: () => stop.abort() }
}

describe('an instrument', () => {
  it('is bound to a place by the code that the job shows, and its figures reach whoever looks', async () => {
    const job = await api.openJob('CP-14')
    const page = await look(job)
    const { talker, welcome, id } = await bound(job, 'circle:movable', { unit: 'mil', graduation: 0.1 })
    expect(welcome).toMatchObject({ welcome: 1, place: 'circle:movable', every: 2 })
    talker.say({ t: 1, v: 10, clock: 90, battery: 77 })
    talker.say({ t: 1.05, v: null, quality: 'none' })
    await page.until(() => page.live.length === 2)
    expect(page.live[0]).toMatchObject({ place: 'circle:movable', t: 1, clock: 90, poor: false })
    expect(page.live[0]?.v).toBeCloseTo(0.254, 12)
    expect(page.live[1]?.v).toBe(null)
    expect(await linksOf(job)).toMatchObject([
      {
        id,
        place: 'circle:movable',
        state: 'speaking',
        code: null,
        instrument: { kind: 'head' },
        battery: 77,
      },
    ])
    // Nothing of it is kept: the logbook has its opening alone.
    expect(((await api.ask(`/api/jobs/${job}`)).body as { entries: unknown[] }).entries).toHaveLength(1)
    page.leave()
  })

  it('speaks over a WebSocket as over TCP, and a page of any site does not', async () => {
    const job = await api.openJob('CP-14')
    const page = await look(job)
    const { code } = await codeAt(job, 'circle:stationary')
    const web = new WebSocket(`ws://127.0.0.1:${api.program().line}/`)
    const heard: Record<string, unknown>[] = []
    web.on('message', (m: Buffer) => heard.push(JSON.parse(m.toString()) as Record<string, unknown>))
    await new Promise((open) => web.once('open', open))
    // As it is typed: small letters, a hyphen.
    web.send(
      JSON.stringify(
        headHello({ serial: 'W-1', code: `${code.slice(0, 3)}-${code.slice(3)}`.toLowerCase() }),
      ),
    )
    await page.until(() => heard.some((h) => h.welcome === 1))
    web.send(JSON.stringify({ t: 3, v: 0.5, clock: 12 }))
    await page.until(() => page.live.some((s) => s.v === 0.5))
    web.terminate()
    const strange = new WebSocket(`ws://127.0.0.1:${api.program().line}/`, {
      origin: 'http://elsewhere.test',
    })
    const refused = await new Promise((done) => {
      strange.once('unexpected-response', (_, answer) => done(answer.statusCode))
      strange.once('open', () => done('open'))
      strange.once('error', () => done('error'))
    })
    expect(refused).toBe(403)
    page.leave()
  })

  it('comes back by its key after its line was cut, and is said to be gone meanwhile', async () => {
    const job = await api.openJob('CP-14')
    const page = await look(job)
    const { talker, welcome } = await bound(job, 'circle:movable', { serial: 'BACK-1' })
    await page.until(() => page.links.at(-1)?.[0]?.state === 'speaking')
    talker.hangUp()
    await page.until(() => page.links.at(-1)?.[0]?.state === 'gone', 1000)
    const again = await call()
    again.say(headHello({ serial: 'BACK-1', key: welcome.key }))
    await again.hear((h) => h.welcome === 1 && h.place === 'circle:movable')
    await page.until(() => page.links.at(-1)?.[0]?.state === 'speaking')
    // The key is that instrument's alone.
    const thief = await call()
    thief.say(headHello({ serial: 'OTHER', key: welcome.key }))
    expect(await thief.hear((h) => 'refused' in h)).toMatchObject({ refused: 'unknown-key' })
    page.leave()
  })

  it('is said to be silent once nothing is heard, and to speak again', async () => {
    const job = await api.openJob('CP-14')
    const page = await look(job)
    const { talker } = await bound(job, 'circle:movable')
    talker.say({ t: 1, v: 1, clock: 0 })
    await page.until(() => page.links.at(-1)?.[0]?.state === 'silent', 5000)
    talker.say({ alive: 1 })
    await page.until(() => page.links.at(-1)?.[0]?.state === 'speaking', 1000)
    page.leave()
  })

  it('hears what it is told to do, changes places, and is released', async () => {
    const job = await api.openJob('CP-14')
    const a = await bound(job, 'circle:movable')
    const b = await bound(job, 'circle:stationary')
    const path = `/api/jobs/${job}/instruments`
    expect((await api.post(`${path}/${a.id}/do`, { do: 'beep' })).status).toBe(200)
    await a.talker.hear((h) => h.do === 'beep')
    expect((await api.post(`${path}/swap`, { places: ['circle:movable', 'circle:stationary'] })).status).toBe(
      200,
    )
    const page = await look(job)
    a.talker.say({ t: 1, v: 0.125, clock: 0 })
    await page.until(() => page.live.some((s) => s.v === 0.125 && s.place === 'circle:stationary'))
    expect((await api.post(`${path}/${b.id}/release`, {})).status).toBe(200)
    expect(await b.talker.hear((h) => 'refused' in h)).toMatchObject({ refused: 'released' })
    await b.talker.end()
    expect(await linksOf(job)).toHaveLength(1)
    expectRefusal(await api.post(`${path}/${b.id}/do`, { do: 'beep' }), 404)
    expectRefusal(await api.post(`${path}/${b.id}/release`, {}), 404)
    expectRefusal(await api.post(`${path}/swap`, { places: ['circle:movable', 'circle:stationary'] }), 409)
    page.leave()
  })

  it('leaves where it stood when it is paired elsewhere, and makes room for another at its place', async () => {
    const first = await api.openJob('CP-14')
    const second = await api.openJob('CP-11')
    await bound(first, 'circle:movable', { serial: 'ROAM-1' })
    await bound(second, 'circle:rim', { serial: 'ROAM-1' })
    expect(await linksOf(first)).toEqual([])
    await bound(second, 'circle:rim', { serial: 'ROAM-2' })
    expect((await linksOf(second)).map((l) => l.instrument?.serial)).toEqual(['ROAM-2'])
  })
})

describe('a stranger', () => {
  const refused = async (line: unknown) => {
    const talker = await call()
    talker.say(line)
    const heard = await talker.hear((h) => 'refused' in h)
    expect(heard.say).toMatch(/^[A-Z].*\.$/)
    await talker.end()
    return heard.refused
  }

  it('is sent away with a sentence', async () => {
    expect(await refused('GET_ME_IN')).toBe('bad-hello')
    expect(await refused('POST / HTTP/1.1')).toBe('bad-hello')
    expect(await refused({ t: 1, v: 2 })).toBe('bad-hello')
    expect(await refused(headHello({}))).toBe('bad-hello')
    expect(await refused(headHello({ hello: 2, code: 'AAAAAA' }))).toBe('bad-hello')
    expect(await refused(headHello({ unit: 'degC', code: 'AAAAAA' }))).toBe('bad-hello')
    expect(await refused(headHello({ code: 'AAAAAA' }))).toBe('unknown-code')
    expect(await refused('x'.repeat(5000))).toBe('bad-hello')
    const job = await api.openJob('CP-14')
    const { code } = await codeAt(job, 'warmth:movable:inboard')
    expect(await refused(headHello({ code }))).toBe('wrong-kind')
  })

  it('gets a 4xx and a sentence at the routes', async () => {
    const job = await api.openJob('CP-14')
    const path = `/api/jobs/${job}/instruments`
    for (const place of ['', 'circle:', 'circle:a:b', 'nowhere', 'side:motor:x', 'belt:1', 4, null]) {
      const answer = await api.post(path, { place, author: AUTHOR })
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toEqual(['place'])
    }
    expectRefusal(await api.post(path, { place: 'belt', author: randomUUID() }), 422, 'bad-input')
    expectRefusal(
      await api.post(`/api/jobs/${randomUUID()}/instruments`, { place: 'belt', author: AUTHOR }),
      404,
    )
    expectRefusal(await api.ask('/api/jobs/none/instruments'), 404)
    expectRefusal(await api.post(`${path}/${randomUUID()}/do`, { do: 'explode' }), 422)
  })
})

describe('an instrument that misbehaves hurts nobody else', () => {
  /** A head that speaks twenty times a second; how late each figure was seen, in milliseconds. */
  const steadily = async (job: string, place: string, page: Awaited<ReturnType<typeof look>>) => {
    const { talker } = await bound(job, place)
    const sent = new Map<number, number>()
    let t = 0
    const timer = setInterval(() => {
      t += 1
      sent.set(t, performance.now())
      talker.say({ t, v: t / 1000, clock: t % 360 })
    }, 50)
    return {
      stop: () => clearInterval(timer),
      sent: () => sent.size,
      late: () => page.live.filter((s) => s.place === place).map((s) => s.seen - (sent.get(s.t) ?? Infinity)),
    }
  }

  it('floods, sends garbage and lies while another is heard in time', { timeout: 30_000 }, async () => {
    const job = await api.openJob('CP-14')
    const page = await look(job)
    const good = await steadily(job, 'circle:stationary', page)
    const bad = await bound(job, 'circle:movable', { serial: 'FLOOD-1' })
    // Five times what is passed on: what is too much is left out, and said.
    let t = 0
    for (let until = Date.now() + 3500; Date.now() < until; await new Promise((r) => setTimeout(r, 20)))
      for (let i = 0; i < 6; i++) bad.talker.say({ t: (t += 1), v: 1, clock: 1 })
    await bad.talker.hear((h) => h.wrong === 'too-fast')
    await page.until(() => page.links.at(-1)?.some((l) => l.trouble === 'flood') ?? false)
    // Far too many: its line is closed.
    for (let i = 0; i < 5000 && !bad.talker.ended; i++) bad.talker.say({ t: (t += 1), v: 1, clock: 1 })
    expect(await bad.talker.hear((h) => 'refused' in h)).toMatchObject({ refused: 'flood' })
    // It stays away for a while.
    const again = await call()
    again.say(headHello({ serial: 'FLOOD-1', key: bad.welcome.key }))
    expect(await again.hear((h) => 'refused' in h)).toMatchObject({ refused: 'flood' })
    // Not more of it was passed on than of any other.
    expect(page.live.filter((s) => s.place === 'circle:movable').length).toBeLessThan(4 * 60 + 130)

    const liar = await bound(job, 'circle:movable', { serial: 'LIAR-1' })
    const before = page.live.filter((s) => s.place === 'circle:movable').length
    liar.talker.say({ t: 5, v: 1e300 })
    liar.talker.say({ t: 5, v: 0, clock: 400 })
    liar.talker.say('{"t": 5, "v": NaN}')
    liar.talker.say({ t: 5, v: 0.25 })
    liar.talker.say({ t: 4, v: 99 })
    await page.until(() => page.live.some((s) => s.place === 'circle:movable' && s.v === 0.25))
    await liar.talker.hear((h) => h.wrong === 'time')
    expect(liar.talker.heard.filter((h) => 'wrong' in h)).toHaveLength(4)
    expect(page.live.filter((s) => s.place === 'circle:movable').length).toBe(before + 1)
    await page.until(() => page.links.at(-1)?.some((l) => l.trouble === 'garbage') ?? false)
    for (let i = 0; i < 30; i++) liar.talker.say('}{')
    expect(await liar.talker.hear((h) => 'refused' in h)).toMatchObject({ refused: 'garbage' })
    // A line without end fills nothing.
    const endless = await call()
    for (let i = 0; i < 50; i++) endless.raw('y'.repeat(10_000))
    await endless.end()

    good.stop()
    await new Promise((r) => setTimeout(r, 200))
    const late = good.late().sort((a, b) => a - b)
    expect(late.length).toBeGreaterThan(good.sent() * 0.95)
    // Never so late that it would have been called silent. How quick it is with the machine to itself is measured by
    // the speed test; here other files run beside it.
    expect(late[Math.floor(late.length * 0.95)]).toBeLessThan(SILENT_SECONDS * 1000)
    page.leave()
  })

  it('has nothing to say in a closed job', async () => {
    const job = await api.openJob('CP-14')
    const { talker } = await bound(job, 'circle:movable')
    const closed = await api.log(job, {
      kind: 'job-closed',
      payload: { signedBy: 'Lead', remarks: '', exception: 'Left as it is', customer: null, signed: null },
    } as never)
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    expect(await talker.hear((h) => 'refused' in h)).toMatchObject({ refused: 'released' })
    expectRefusal(
      await api.post(`/api/jobs/${job}/instruments`, { place: 'belt', author: AUTHOR }),
      409,
      'job-closed',
    )
  })
})

describe('somebody who guesses', () => {
  it('can not use a code twice, nor guess on', async () => {
    const job = await api.openJob('CP-14')
    const { code, welcome } = await bound(job, 'circle:movable', { serial: 'KNOWN' })
    const talker = await call()
    talker.say(headHello({ serial: 'TWICE', code }))
    expect(await talker.hear((h) => 'refused' in h)).toMatchObject({ refused: 'unknown-code' })
    const heard: unknown[] = []
    for (let i = 0; i < 25; i++) {
      const guess = await call()
      guess.say(headHello({ serial: `G-${i}`, code: `AAAA${i + 10}` }))
      heard.push((await guess.hear((h) => 'refused' in h)).refused)
    }
    expect(heard.at(-1)).toBe('too-many')
    // Whoever is bound already comes back all the same.
    const again = await call()
    again.say(headHello({ serial: 'KNOWN', key: welcome.key }))
    await again.hear((h) => h.welcome === 1)
  })
})
