import { randomUUID } from 'node:crypto'
import { connect } from 'node:net'
import { describe, expect, it } from 'vitest'
import { AUTHOR, draft, OPENING, remark, SET_UP } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('edge')
const entries = (job: string, body: unknown) => api.post(`/api/jobs/${job}/entries`, body)

describe('an honest entry sent again', () => {
  it.each([
    ['its id in capitals', (e: { id: string }) => ({ ...e, id: e.id.toUpperCase() })],
    ['its writer in capitals', (e: object) => ({ ...e, author: AUTHOR.toUpperCase() })],
    ['its time from another zone', (e: object) => ({ ...e, madeAt: '2026-11-20T09:30:00.123+01:30' })],
    [
      'its time with more digits than are kept',
      (e: object) => ({ ...e, madeAt: '2026-11-20T08:00:00.1239999Z' }),
    ],
    ['its keys in another order', (e: object) => Object.fromEntries(Object.entries(e).reverse())],
  ])('is the same one: %s', async (_, again) => {
    const job = await api.openJob()
    const first = draft(remark('as it was'), { madeAt: '2026-11-20T08:00:00.123Z' })
    expect((await entries(job, first)).status).toBe(201)
    const answer = await entries(job, again(first))
    expect(answer.status, JSON.stringify(answer.body)).toBe(200)
    expect(answer.body).toMatchObject({ added: false, entry: { id: first.id } })
  })

  it('is the same one with a minus before its zeros, also after a restart', async () => {
    const job = await api.openJob()
    const setUp = draft({ kind: 'set-up', payload: SET_UP })
    const minus = JSON.stringify(setUp).replaceAll(/:0([,}\]])/g, ':-0$1')
    expect(minus).toContain(':-0')
    const skip = draft({ kind: 'lockout-waived', payload: { why: 'a trial on the stand' } })
    expect((await entries(job, skip)).status).toBe(201)
    expect((await entries(job, minus)).status).toBe(201)
    await api.program().kill()
    await api.program().restart()
    for (const again of [minus, JSON.stringify(setUp)]) {
      const answer = await entries(job, again)
      expect(answer.status, JSON.stringify(answer.body)).toBe(200)
    }
  }, 60_000)

  it('is taken at the far ends of the clock', async () => {
    const job = await api.openJob()
    for (const madeAt of ['2026-11-20T08:00:00+20:00', '2026-11-20T08:00:00-23:59']) {
      const one = draft(remark('from far away'), { madeAt })
      expect((await entries(job, one)).status).toBe(201)
      expect((await entries(job, one)).status).toBe(200)
    }
  })

  it('finds its job by capitals too', async () => {
    const job = await api.openJob()
    expect((await entries(job.toUpperCase(), draft(remark('here')))).status).toBe(201)
    expect((await api.ask(`/api/jobs/${job.toUpperCase()}`)).status).toBe(200)
  })
})

describe('what can’t be kept', () => {
  it.each([
    ['a null character', 'a\\u0000b'],
    ['half a character pair', 'a\\ud800b'],
    ['the other half', 'a\\udc00b'],
  ])('is refused at its place: %s', async (_, text) => {
    const job = await api.openJob()
    const whole = JSON.stringify(draft(remark('TEXT')))
    const answer = await entries(job, whole.replace('TEXT', text))
    expectRefusal(answer, 422, 'bad-input')
    expect(issuePaths(answer)).toEqual(['payload.text'])
    const inKey = await entries(job, whole.replace('"text":', `"${text}":1,"text":`))
    expectRefusal(inKey, 422, 'bad-input')
    const calc = await api.post('/api/calc/judge', `{"units":"inch","source":"${text}"}`)
    expectRefusal(calc, 422)
  })

  it('is nothing that is here, in an address', async () => {
    for (const path of [
      '/api/machines/%00',
      '/api/machines/CP%0011',
      '/api/jobs/%00',
      '/api/jobs/%00/report.pdf',
      '/api/machines/%ud800',
      '/api/machines/%',
      '/api/machines/%E0%A4',
    ])
      expectRefusal(await api.ask(path), 404)
    expectRefusal(await api.ask('/api/jobs?machine=%00'), 422)
    expectRefusal(await api.ask('/api/jobs?after=%00'), 422)
  })

  it('is refused where it is beyond all bounds', async () => {
    const job = await api.openJob()
    const whole = JSON.stringify(draft({ kind: 'set-up', payload: SET_UP }))
    expectRefusal(await entries(job, whole.replace(/"plane":-?[\d.]+/, '"plane":1e400')), 422, 'bad-input')
    const deep = `${'{"a":['.repeat(2000)}${']}'.repeat(2000)}`
    expectRefusal(await entries(job, deep), 422, 'bad-input')
    expectRefusal(await api.post('/api/calc/judge', deep), 422, 'bad-input')
  })
})

describe('two at the same moment', () => {
  it('open one job once', async () => {
    for (let n = 0; n < 5; n++) {
      const opening = { id: randomUUID(), machine: 'CP-11', opening: draft(OPENING) }
      const answers = await Promise.all([1, 2, 3].map(() => api.post('/api/jobs', opening)))
      expect(answers.map((a) => a.status).sort()).toEqual([200, 200, 201])
      expect((await api.ask(`/api/jobs/${opening.id}`)).body.entries).toHaveLength(1)
    }
  })

  it('post one entry once', async () => {
    const job = await api.openJob()
    const one = draft(remark('once'))
    const answers = await Promise.all([1, 2, 3, 4].map(() => entries(job, one)))
    expect(answers.map((a) => a.status).sort()).toEqual([200, 200, 200, 201])
  })

  it('give one tag to two machines: one gets it', async () => {
    const machine = async (tag: string) =>
      (await api.ask(`/api/machines/${tag}`)).body.machine as Record<string, unknown> & { version: number }
    for (let n = 0; n < 5; n++) {
      const tags = [`RN-${n}A`, `RN-${n}B`]
      const cp = await machine('CP-11')
      for (const tag of tags) await api.post('/api/machines', { ...cp, tag, id: randomUUID() })
      const answers = await Promise.all(
        tags.map(async (tag) => {
          const { id: _, ...fields } = await machine(tag)
          return api.send('PUT', `/api/machines/${tag}`, { ...fields, tag: `RN-${n}` })
        }),
      )
      expect(answers.map((a) => a.status).sort()).toEqual([200, 409])
      const refused = answers.find((a) => a.status === 409)
      expect(refused && issuePaths(refused)).toEqual(['tag'])
    }
  })

  it('use one id in two jobs: one keeps it', async () => {
    const [a, b] = [await api.openJob(), await api.openJob('KY-09')]
    for (let n = 0; n < 5; n++) {
      const one = draft(remark('mine'))
      const other = [draft(remark('before')), one, draft(remark('behind'))]
      const answers = await Promise.all([entries(a, one), ...other.map((e) => entries(b, e))])
      const statuses = answers.map((x) => x.status)
      expect([statuses[0], statuses[2]].sort()).toEqual([201, 409])
      // Those that waited beside it are not drawn into it.
      expect([statuses[1], statuses[3]]).toEqual([201, 201])
    }
  })
})

describe('a body without end', () => {
  const told = (cookie: string) =>
    new Promise<string>((resolve, reject) => {
      const { port, hostname } = new URL(api.program().url)
      const socket = connect(Number(port), hostname)
      let text = ''
      const chunk = `4000\r\n${'x'.repeat(0x4000)}\r\n`
      const send = () => {
        while (socket.writable && socket.write(chunk));
      }
      socket.on('connect', () => {
        socket.write(
          `POST /api/jobs HTTP/1.1\r\nHost: ${hostname}:${port}\r\nCookie: ${cookie}\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n`,
        )
        send()
      })
      socket.on('drain', send)
      socket.on('data', (data) => (text += data.toString()))
      socket.on('close', () => resolve(text))
      socket.on('error', () => resolve(text))
      setTimeout(() => reject(new Error('still open')), 15_000).unref()
    })

  it('is cut off, once it was told why', async () => {
    const heard = await told(api.program().cookie())
    expect(heard).toContain('413')
    expect(heard).toContain('too-large')
  }, 30_000)

  it('of nobody who has signed in is not even read', async () => {
    expect(await told('none=1')).toContain('401')
  }, 30_000)
})

describe('every answer', () => {
  it('carries its id and keeps itself from other sites', async () => {
    const ids = new Set<string>()
    for (const path of ['/api/today', '/api/nothing', '/api/machines/XX-99', '/', '/mark.svg', '/machines']) {
      const response = await api.program().fetch(path)
      await response.arrayBuffer()
      expect(response.headers.get('cross-origin-resource-policy'), path).toBe('same-origin')
      expect(response.headers.get('content-security-policy'), path).toMatch(/default-src/)
      expect(response.headers.get('x-content-type-options'), path).toBe('nosniff')
      ids.add(response.headers.get('x-request-id') ?? '')
    }
    expect(ids.size).toBe(6)
    const page = await api.program().fetch(`/`)
    expect(page.headers.get('content-security-policy')).toMatch(/nonce-/)
  })
})
