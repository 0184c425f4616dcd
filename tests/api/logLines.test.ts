import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { z } from 'zod'
import { useProgram } from './client'

const folder = mkdtempSync(join(tmpdir(), 'log-lines-'))
const file = join(folder, 'program.log')
const { program } = useProgram('log_lines', { log: file })
afterAll(() => rmSync(folder, { recursive: true }))

const Line = z.object({
  level: z.number(),
  time: z.iso.datetime(),
  id: z.uuid().optional(),
  method: z.string().optional(),
  route: z.string().nullable().optional(),
  path: z.string().optional(),
  status: z.number().optional(),
  ms: z.number().optional(),
  msg: z.string(),
})

describe('the log', () => {
  it('has one line of JSON a request, with its id, its route, how it ended and how long it took', async () => {
    const asked = [
      { method: 'GET', path: '/api/today', route: '/api/today', status: 200 },
      { method: 'GET', path: '/api/machines/CP-11', route: '/api/machines/{tag}', status: 200 },
      { method: 'GET', path: '/api/machines/%00', route: '/api/machines/{tag}', status: 404 },
      { method: 'GET', path: '/api/nowhere?text=%0A{"level":60}', route: null, status: 404 },
      { method: 'POST', path: '/api/jobs', route: '/api/jobs', status: 400, body: '{"id":' },
    ]
    const ids: (string | null)[] = []
    for (const { method, path, status, body } of asked) {
      const answer = await program().fetch(path, {
        method,
        ...(body === undefined ? {} : { body, headers: { 'content-type': 'application/json' } }),
      })
      expect(answer.status, path).toBe(status)
      expect(await answer.text()).not.toMatch(/at .+:\d+:\d+/)
      ids.push(answer.headers.get('x-request-id'))
    }
    await expect
      .poll(() => readFileSync(file, 'utf8').includes(ids.at(-1) as string), { timeout: 5000 })
      .toBe(true)
    const written = readFileSync(file, 'utf8').trim().split('\n')
    const lines = written.filter((l) => l.startsWith('{')).map((l) => Line.parse(JSON.parse(l)))
    // Nothing but the server's own first words stands between them.
    expect(written.filter((l) => !l.startsWith('{')).join('\n')).toMatch(/^(Listening on \S+)?$/)
    asked.forEach(({ method, route, status }, i) => {
      const own = lines.filter((l) => l.id === ids[i])
      expect(own).toHaveLength(1)
      expect(own[0]).toMatchObject({ method, route, status })
      expect(own[0]?.ms).toBeGreaterThanOrEqual(0)
    })
  })
})
