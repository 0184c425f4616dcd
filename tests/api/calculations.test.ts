import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { caseOperations, expectMatches, readCases } from '../command/cases'
import { expectRefusal, useProgram } from './client'

const api = useProgram('calculations')

describe('the calculation route', () => {
  it.each(caseOperations())('answers the worked cases of %s', async (operation) => {
    for (const c of readCases(operation)) {
      const answer = await api.post(`/api/calc/${operation}`, c.input)
      expect(answer.status).toBe(200)
      expectMatches(answer.body, c.expect, c.tolerance)
    }
  })

  it('lists its operations with their schemas', async () => {
    const list = (await api.ask('/api/calc')).body as unknown as { name: string; input: object }[]
    expect(list.map((o) => o.name)).toContain('rim-face')
    expect(list[0]?.input).toHaveProperty('properties')
  })

  it('refuses with 422 and the same body as the command, 404 for an unknown operation', async () => {
    expectRefusal(await api.post('/api/calc/level', { units: 'inch' }), 422, 'bad-input')
    expectRefusal(
      await api.post('/api/calc/fit-readings', {
        units: 'inch',
        readings: [
          { clock: 0, value: 0 },
          { clock: 90, value: 0 },
        ],
      }),
      422,
      'refused',
    )
    expectRefusal(await api.post('/api/calc/guess', {}), 404, 'unknown-operation')
  })
})

describe('requests that are not what they should be', () => {
  it('broken JSON, no body, other text', async () => {
    for (const body of ['{', '', 'null,', '<xml/>', '{"a":1}}'])
      expectRefusal(await api.post('/api/calc/level', body), 400)
    const broken = new Uint8Array([0x7b, 0x22, 0xff, 0xfe, 0x22, 0x7d])
    const headers = { 'content-type': 'application/json' }
    expectRefusal(
      await api.ask('/api/calc/level', { method: 'POST', body: broken, headers }),
      400,
      'not-json',
    )
    for (const body of ['null', '7', '[]', '"level"', 'true'])
      expectRefusal(await api.post('/api/calc/level', body), 422)
  })

  it('ten megabytes, told beforehand or streamed', async () => {
    expectRefusal(await api.post('/api/calc/level', `{"x":"${'y'.repeat(10_000_000)}"}`), 413, 'too-large')
    const chunks = new ReadableStream({
      start(controller) {
        for (let i = 0; i < 40; i++) controller.enqueue(new TextEncoder().encode('z'.repeat(50_000)))
        controller.close()
      },
    })
    const headers = { 'content-type': 'application/json' }
    const streamed = { method: 'POST', body: chunks, duplex: 'half', headers } as RequestInit
    expectRefusal(await api.ask('/api/calc/level', streamed), 413, 'too-large')
  })

  it('ten thousand levels of brackets', async () => {
    const deep = '['.repeat(10_000) + ']'.repeat(10_000)
    expectRefusal(await api.post('/api/calc/level', deep), 422)
  })

  it('addresses that do not exist', async () => {
    for (const path of ['/api', '/api/', '/api/nothing', '/api/machines/CP-11/nothing'])
      expectRefusal(await api.ask(path), 404)
    expectRefusal(await api.post('/api/today', {}), 405)
  })
})

describe('about the program', () => {
  it('tells its health and the state of its database', async () => {
    expect((await api.ask('/api/health')).body).toEqual({
      status: 'ok',
      database: 'up',
      migration: '0020-search-words',
    })
  })

  it('describes every route from the schemas it parses by', async () => {
    const { paths, openapi } = (await api.ask('/api/openapi.json')).body as {
      openapi: string
      paths: Record<string, Record<string, { requestBody?: object }>>
    }
    expect(openapi).toBe('3.1.0')
    expect(paths['/api/jobs/{id}/entries']?.post?.requestBody).toBeDefined()
    expect(paths['/api/calc/rim-face']?.post?.requestBody).toBeDefined()
    const files = readFileSync('shared/api/routes.ts', 'utf8').match(/path: '[^']+'/g) ?? []
    expect(Object.keys(paths).length).toBeGreaterThanOrEqual(new Set(files).size)
  })

  it('sends the page with a policy that lets nothing in from outside', async () => {
    const page = await fetch(api.program().url)
    expect(page.status).toBe(200)
    const policy = page.headers.get('content-security-policy') ?? ''
    expect(policy).toContain("default-src 'self'")
    expect(policy).not.toMatch(/https?:/)
    expect(page.headers.get('access-control-allow-origin')).toBeNull()
  })
})
