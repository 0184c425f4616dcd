import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import knexModule from 'knex'
import { describe, expect, it } from 'vitest'
import { startWeb } from '../../scripts/local/webServer.mjs'
import { knexOptions } from '../../server/database/connection'
import { draft, remark } from '../support/entries'
import { freePort } from '../support/program'
import { expectRefusal, useProgram } from './client'

const api = useProgram('crowd', { alone: true })
/** One key for all processes: a device that signed in at one is known at the others. */
const signed = () => ({ cookie: api.program().cookie() })
const entries = (job: string, text: string) => api.post(`/api/jobs/${job}/entries`, draft(remark(text)))
const timed = async <T>(work: () => Promise<T>): Promise<{ readonly answer: T; readonly ms: number }> => {
  const from = performance.now()
  const answer = await work()
  return { answer, ms: performance.now() - from }
}

describe('a job that somebody holds locked', () => {
  it('says it is busy, and nobody else waits for it', async () => {
    const [held, free] = [await api.openJob(), await api.openJob('KY-09')]
    const knex = knexModule(knexOptions(api.program().databaseUrl))
    const trx = await knex.transaction()
    try {
      await trx('jobs').where({ id: held }).forUpdate()
      // More writers than there are connections: they wait in memory.
      const writers = Promise.all(
        Array.from({ length: 30 }, (_, i) => timed(() => entries(held, `held ${i}`))),
      )
      await new Promise((resolve) => setTimeout(resolve, 300))
      for (const path of ['/api/today', '/api/machines', `/api/jobs/${held}`, `/api/jobs/${free}`]) {
        const { answer, ms } = await timed(() => api.ask(path))
        expect(answer.status, path).toBe(200)
        expect(ms, path).toBeLessThan(1000)
      }
      const other = await timed(() => entries(free, 'not held'))
      expect(other.answer.status).toBe(201)
      expect(other.ms).toBeLessThan(1000)
      expect((await api.ask('/api/health')).status).toBe(200)
      for (const { answer, ms } of await writers) {
        expectRefusal(answer, 503, 'busy')
        expect(ms).toBeLessThan(6000)
      }
    } finally {
      await trx.rollback()
      await knex.destroy()
    }
    expect((await entries(held, 'let go')).status).toBe(201)
  }, 60_000)
})

describe('twenty writers on one job', () => {
  it('all get through, in one order, each once', async () => {
    const job = await api.openJob()
    const drafts = Array.from({ length: 200 }, (_, i) => draft(remark(`entry ${i}`)))
    const queue = [...drafts]
    const statuses: number[] = []
    await Promise.all(
      Array.from({ length: 20 }, async () => {
        for (let next = queue.shift(); next; next = queue.shift())
          statuses.push((await api.post(`/api/jobs/${job}/entries`, next)).status)
      }),
    )
    expect(statuses.every((s) => s === 201)).toBe(true)
    const kept = (await api.ask(`/api/jobs/${job}`)).body.entries as { id: string }[]
    expect(kept).toHaveLength(201)
    expect(new Set(kept.map((e) => e.id)).size).toBe(201)
  }, 60_000)
})

describe('two server processes on one database', () => {
  const second = async () => {
    const port = await freePort()
    const web = await startWeb({
      port,
      databaseUrl: api.program().databaseUrl,
      env: { HC_LOG_LEVEL: 'error' },
    })
    return { web, url: `http://127.0.0.1:${port}` }
  }

  it('keep one order, and tell one another’s viewers', async () => {
    const job = await api.openJob()
    const { web, url } = await second()
    try {
      const abort = new AbortController()
      const stream = await fetch(`${url}/api/jobs/${job}/stream`, { signal: abort.signal, headers: signed() })
      const reader = (stream.body as ReadableStream<Uint8Array>).getReader()
      let heard = ''
      void (async () => {
        for (;;) {
          const { value, done } = await reader.read()
          if (done) return
          heard += new TextDecoder().decode(value)
        }
      })().catch(() => null)
      await new Promise((resolve) => setTimeout(resolve, 300))
      const drafts = Array.from({ length: 12 }, (_, i) => draft(remark(`from both ${i}`)))
      const answers = await Promise.all(
        drafts.map((entry, i) =>
          fetch(`${i % 2 ? url : api.program().url}/api/jobs/${job}/entries`, {
            method: 'POST',
            body: JSON.stringify(entry),
            headers: { 'content-type': 'application/json', ...signed() },
          }),
        ),
      )
      expect(answers.map((a) => a.status)).toEqual(drafts.map(() => 201))
      const until = Date.now() + 5000
      while (!drafts.every((d) => heard.includes(d.id)) && Date.now() < until)
        await new Promise((resolve) => setTimeout(resolve, 50))
      const told = drafts.map((d) => heard.split(d.id).length - 1)
      expect(told).toEqual(drafts.map(() => 1))
      const orders = await Promise.all(
        [url, api.program().url].map(
          async (at) =>
            (
              (await (await fetch(`${at}/api/jobs/${job}`, { headers: signed() })).json()) as {
                entries: { id: string }[]
              }
            ).entries,
        ),
      )
      expect(orders[0]?.map((e) => e.id)).toEqual(orders[1]?.map((e) => e.id))
      abort.abort()
    } finally {
      await web.stop()
    }
  }, 60_000)
})

describe('a database that hangs', () => {
  /** Stops or goes on with every process of the cluster: its sockets stay open, nothing answers. */
  const signal = (name: 'STOP' | 'CONT') => {
    const pid = readFileSync(join(api.cluster().data, 'postmaster.pid'), 'utf8').split('\n')[0] ?? ''
    const children = execFileSync('ps', ['-o', 'pid=', '--ppid', pid], { encoding: 'utf8' }).split(/\s+/)
    for (const one of [pid, ...children].filter(Boolean)) {
      try {
        process.kill(Number(one), `SIG${name}`)
      } catch {
        // It ended meanwhile.
      }
    }
  }

  it('is answered 503 within five seconds, and survived', async () => {
    const job = await api.openJob()
    signal('STOP')
    try {
      const asked = await Promise.all([
        timed(() => api.ask('/api/today')),
        timed(() => api.ask('/api/health')),
        timed(() => api.ask(`/api/jobs/${job}`)),
        timed(() => entries(job, 'while it hangs')),
        timed(() => api.post('/api/calc/judge', '{}')),
      ])
      expect(asked.slice(0, 4).map((a) => a.answer.status)).toEqual([503, 503, 503, 503])
      for (const { ms } of asked) expect(ms).toBeLessThan(5200)
      expect(asked[4]?.answer.status).toBe(422)
    } finally {
      signal('CONT')
    }
    const until = Date.now() + 10_000
    while ((await api.ask('/api/health')).status !== 200 && Date.now() < until)
      await new Promise((resolve) => setTimeout(resolve, 200))
    expect((await entries(job, 'after it')).status).toBe(201)
    expect((await api.ask('/api/today')).status).toBe(200)
  }, 60_000)
})
