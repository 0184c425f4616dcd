import { request } from 'node:http'
import { describe, expect, it } from 'vitest'
import { draft, OPENING } from '../support/entries'
import { expectRefusal, useProgram, type Answer } from './client'

const api = useProgram('strangers')

/** Asks with headers that a browser's page can't set by itself. */
const ask = (method: string, path: string, headers: Record<string, string>, body = '') =>
  new Promise<Answer & { readonly headers: Record<string, unknown> }>((resolve, reject) => {
    const url = new URL(api.program().url + path)
    const req = request(
      {
        host: url.hostname,
        port: url.port,
        path: url.pathname,
        method,
        headers: { cookie: api.program().cookie(), ...headers },
      },
      (answer) => {
        let text = ''
        answer.setEncoding('utf8')
        answer.on('data', (chunk: string) => (text += chunk))
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            headers: answer.headers,
            body: JSON.parse(text === '' ? '{}' : text) as Record<string, unknown>,
          }),
        )
      },
    )
    req.on('error', reject)
    req.end(method === 'GET' ? '' : body)
  })
const JSON_TYPE = { 'content-type': 'application/json' }
const opening = () => JSON.stringify({ id: crypto.randomUUID(), machine: 'CP-11', opening: draft(OPENING) })

describe('a page of another site', () => {
  it('can’t write, whatever it sends, and nothing of it is kept', async () => {
    const before = await api.ask('/api/jobs')
    const strange = { ...JSON_TYPE, origin: 'http://elsewhere.test' }
    expectRefusal(await ask('POST', '/api/jobs', strange, opening()), 403, 'wrong-origin')
    const hidden = { ...JSON_TYPE, 'sec-fetch-site': 'cross-site' }
    expectRefusal(await ask('POST', '/api/jobs', hidden, opening()), 403, 'wrong-origin')
    expectRefusal(
      await ask('POST', '/api/jobs', { 'content-type': 'text/plain' }, opening()),
      415,
      'not-json',
    )
    expect((await api.ask('/api/jobs')).body).toEqual(before.body)
  })

  it('can’t read or write under a name of its own that points here', async () => {
    for (const [method, path] of [
      ['GET', '/api/today'],
      ['POST', '/api/jobs'],
    ] as const)
      expectRefusal(
        await ask(method, path, { ...JSON_TYPE, host: 'elsewhere.test' }, opening()),
        403,
        'wrong-host',
      )
  })

  it('is not in the way of our own pages and of programs', async () => {
    const { host } = new URL(api.program().url)
    const own = { ...JSON_TYPE, host, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' }
    expect((await ask('POST', '/api/jobs', own, opening())).status).toBe(201)
    expect((await ask('POST', '/api/jobs', JSON_TYPE, opening())).status).toBe(201)
  })
})

describe('methods', () => {
  it('that an address does not have are told which it has', async () => {
    const answer = await ask('DELETE', '/api/machines', JSON_TYPE)
    expectRefusal(answer, 405, 'method-not-allowed')
    expect(answer.headers.allow).toBe('GET, POST')
    expectRefusal(await ask('OPTIONS', '/api/jobs', {}), 405)
    expectRefusal(await ask('PUT', '/api/nowhere', JSON_TYPE, '{}'), 404)
  })
})

describe('a heavy sum', () => {
  const foot = (id: string, x: number) => ({
    id,
    x,
    existing: [20, 10, 5],
    maxPack: 250,
    sidePlus: 40,
    sideMinus: 40,
  })
  const shelf = Array.from({ length: 30 }, (_, i) => ({
    thickness: Number((1.03 + i * 1.377 + (i % 7) * 0.0137).toFixed(4)),
    count: 40,
    kind: 'plain',
  }))
  const worst = {
    units: 'inch',
    coupling: { offset: { v: -8.43, h: 5.1 }, slope: { v: -0.361, h: 0.22 } },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'fine' },
    rpm: 1480,
    movable: 'both',
    machines: {
      movable: { feet: [foot('a', 12), foot('b', 34.5)] },
      stationary: { feet: [foot('c', -10), foot('d', -30)] },
    },
    packLimit: 6,
    stock: [...shelf, { thickness: 62, count: 9, kind: 'laminated', layer: 2 }],
  }

  it('keeps nobody else waiting, and answers', async () => {
    await api.ask('/api/today')
    const sums = [1, 2].map(() => api.post('/api/calc/move-plan', worst))
    let slowest = 0
    let done = false
    void Promise.all(sums).then(() => (done = true))
    while (!done) {
      const from = performance.now()
      expect((await api.ask('/api/health')).status).toBe(200)
      slowest = Math.max(slowest, performance.now() - from)
      await new Promise((resolve) => setTimeout(resolve, 20))
    }
    for (const answer of await Promise.all(sums)) {
      expect(answer.status, JSON.stringify(answer.body).slice(0, 300)).toBe(200)
      expect(answer.body.plans).not.toHaveLength(0)
    }
    // Two threads at full work beside it on two cores: a sum in its own thread would hold it up for seconds.
    expect(slowest).toBeLessThan(500)
  }, 60_000)

  it('that is broken is refused as anywhere else', async () => {
    const answer = await api.post('/api/calc/move-plan', { ...worst, packLimit: 99 })
    expectRefusal(answer, 422, 'bad-input')
  })
})

/** Eight machines in a row on a shelf where nothing fits anything: seconds of work. */
const trainOfEight = (seed: number) => ({
  units: 'metric',
  machines: Array.from({ length: 8 }, (_, i) => ({
    id: `m${i}`,
    feet: ['near', 'far'].map((id, k) => ({
      id,
      x: 1500 * i + 300 + 900 * k,
      existing: [0.635, 0.254],
      maxPack: 12,
      sidePlus: 1.5,
      sideMinus: 1.5,
    })),
  })),
  couplings: Array.from({ length: 7 }, (_, i) => ({
    id: `c${i}`,
    x: 1500 * (i + 1),
    left: `m${i}`,
    right: `m${i + 1}`,
    stationary: 'left',
    coupling: {
      offset: { v: 0.2 * Math.sin(3 * i + seed), h: 0.2 * Math.cos(2 * i) },
      slope: { v: 0.4 * Math.cos(i), h: -0.3 * Math.sin(i) },
    },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
    rpm: 1480,
  })),
  stock: Array.from({ length: 24 }, (_, i) => ({
    thickness: Number((0.026 + i * 0.0971 + (i % 7) * 0.0043).toFixed(4)),
    count: 40,
    kind: 'plain',
  })),
  packLimit: 6,
})

describe('a report', () => {
  it('asked for by several at once is the same for all, and keeps nobody waiting', async () => {
    const job = await api.openJob()
    const path = `/api/jobs/${job}/report.pdf`
    const [reports, health] = await Promise.all([
      Promise.all(
        [1, 2, 3].map(async () => Buffer.from(await (await api.program().fetch(path)).arrayBuffer())),
      ),
      api.ask('/api/health'),
    ])
    expect(health.status).toBe(200)
    for (const pdf of reports) {
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
      expect(pdf.equals(reports[0] as Buffer)).toBe(true)
    }
  }, 60_000)

  it('doesn’t wait behind sums that others have asked for', async () => {
    const job = await api.openJob()
    const sums = Array.from({ length: 8 }, (_, i) =>
      api.post('/api/calc/train-plan', trainOfEight(i)).then((answer) => {
        // Those whose turn hasn't come in twelve seconds are told so, not that they were too much.
        if (answer.status !== 200) expectRefusal(answer, 503, 'busy')
        return performance.now()
      }),
    )
    const report = await api.program().fetch(`/api/jobs/${job}/report.pdf`)
    expect(report.status).toBe(200)
    const printed = performance.now()
    // Most of the sums are still to come.
    expect((await Promise.all(sums)).filter((done) => done > printed).length).toBeGreaterThan(4)
  }, 120_000)
})
