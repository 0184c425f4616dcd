import { describe, expect, it } from 'vitest'
import { useProgram } from './client'

const api = useProgram('metrics')
const told = async () => {
  const answer = await api.program().fetch(`/api/metrics`)
  expect(answer.status).toBe(200)
  expect(answer.headers.get('content-type')).toContain('text/plain')
  return answer.text()
}
const figure = (text: string, line: string) =>
  Number(
    text
      .split('\n')
      .find((l) => l.startsWith(line))
      ?.slice(line.length) ?? Number.NaN,
  )

describe('what a process counts', () => {
  it('is every answer by route, method and how it ended, and how long it took', async () => {
    for (let i = 0; i < 3; i++) await api.ask('/api/machines/CP-11')
    await api.ask('/api/machines/NONE')
    const text = await told()
    const count = (status: number) =>
      figure(text, `hc_request_seconds_count{method="GET",route="/api/machines/{tag}",status="${status}"} `)
    expect(count(200)).toBe(3)
    expect(count(404)).toBe(1)
    const within = 'hc_request_seconds_bucket{le="5",method="GET",route="/api/machines/{tag}",status="200"} '
    expect(figure(text, within)).toBe(3)
  })

  it('grows by no names that a stranger makes up', async () => {
    for (const path of ['/api/a', '/api/b?x="}', '/c/d']) await api.program().fetch(path)
    await api.program().fetch(`/api/today`, { method: 'PURGE' })
    const routes = new Set([...(await told()).matchAll(/route="([^"]*)"/g)].map((m) => m[1]))
    expect([...routes].filter((r) => !/^\/api\/[a-z/{}.-]+$/.test(r ?? ''))).toEqual(['none'])
    expect(await told()).not.toContain('PURGE')
  })

  it('is who looks on, and the connections to the database', async () => {
    const job = await api.openJob('CP-14')
    const hangUp = new AbortController()
    const stream = await api.program().fetch(`/api/jobs/${job}/stream`, { signal: hangUp.signal })
    await stream.body?.getReader().read()
    const text = await told()
    expect(figure(text, 'hc_viewers ')).toBe(1)
    expect(figure(text, 'hc_instrument_lines ')).toBe(0)
    expect(figure(text, 'hc_database_connections{pool="read",state="used"} ')).toBeGreaterThanOrEqual(0)
    hangUp.abort()
    await expect.poll(async () => figure(await told(), 'hc_viewers ')).toBe(0)
    // A stream that lasted is no slow answer.
    expect(await told()).not.toContain('/stream"')
  })
})
