import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { expectRefusal, useProgram } from './client'

const api = useProgram('second_screen')
const from = randomUUID()

/** Reads the stream of a job until `enough` says so; what was called by then. */
const hear = async (
  job: string,
  say: () => Promise<unknown>,
  enough: (said: readonly unknown[]) => boolean,
) => {
  const stop = new AbortController()
  const answer = await api.program().fetch(`/api/jobs/${job}/stream`, { signal: stop.signal })
  const reader = answer.body!.getReader()
  const calls: unknown[] = []
  let text = ''
  const said = say()
  const limit = setTimeout(() => stop.abort(), 8000)
  try {
    while (!enough(calls)) {
      const { value, done } = await reader.read()
      if (done) break
      text += new TextDecoder().decode(value)
      const parts = text.split('\n\n')
      text = parts.pop() ?? ''
      for (const part of parts)
        if (/^event: call$/m.test(part)) calls.push(JSON.parse(/^data: (.*)$/m.exec(part)?.[1] ?? 'null'))
    }
  } finally {
    clearTimeout(limit)
    stop.abort()
    await said
  }
  return calls
}

describe('the line to a second screen', () => {
  it('passes a word on to whoever looks, and what the board wants to whoever comes later', async () => {
    const job = await api.openJob('CP-11')
    const wants = {
      says: 'wants',
      from,
      wants: { circle: 'rim', clock: 90, at: 90, dial: 'rim', units: 'inch', left: 3 },
    }
    const first = await hear(
      job,
      async () => {
        await new Promise((r) => setTimeout(r, 300))
        expect((await api.post(`/api/jobs/${job}/call`, wants)).status).toBe(200)
        // Somebody who comes later hears it at once.
        const later = await hear(
          job,
          () => Promise.resolve(),
          (said) => said.length > 0,
        )
        expect(later).toEqual([wants])
        await api.post(`/api/jobs/${job}/call`, { says: 'here', from })
      },
      (said) => said.length > 1,
    )
    expect(first).toEqual([wants, { says: 'here', from }])
    const { body } = await api.ask(`/api/jobs/${job}`)
    expect((body as { entries: unknown[] }).entries).toHaveLength(1)
  })

  it('refuses nonsense, and a job that is none', async () => {
    const job = await api.openJob('CP-14')
    expectRefusal(await api.post(`/api/jobs/${job}/call`, { says: 'shouts', from }), 422, 'bad-input')
    expectRefusal(
      await api.post(`/api/jobs/${job}/call`, { says: 'there', from, circle: 'rim', clock: 1e9 }),
      422,
      'bad-input',
    )
    expectRefusal(await api.post(`/api/jobs/${randomUUID()}/call`, { says: 'here', from }), 404)
    expectRefusal(await api.post('/api/jobs/none/call', { says: 'here', from }), 404)
  })
})
