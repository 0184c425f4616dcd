import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { photographAnswer } from './photographs'

const URL_OF = (n: number) => `http://127.0.0.1/api/jobs/j/photographs/${n}`

/** A browser's caches, as much of them as is needed. */
const layCaches = () => {
  const kept = new Map<string, Response>()
  const cache = {
    put: async (request: Request, answer: Response) => void kept.set(request.url, answer),
    keys: async () => [...kept.keys()].map((url) => new Request(url)),
    delete: async (request: Request) => kept.delete(request.url),
  }
  vi.stubGlobal('caches', { open: async () => cache, match: async (r: Request) => kept.get(r.url)?.clone() })
  return kept
}

let kept: Map<string, Response>
beforeEach(() => {
  kept = layCaches()
})
afterEach(() => vi.unstubAllGlobals())

const ask = async (n: number) => {
  const behind: Promise<void>[] = []
  const answer = await photographAnswer(new Request(URL_OF(n)), (work) => void behind.push(work))
  await Promise.all(behind)
  return answer
}

describe('photographs on a device', () => {
  it('are the server’s while it can be reached, and what was seen when it can’t', async () => {
    vi.stubGlobal('fetch', async () => new Response('picture'))
    await ask(1)
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('gone')))
    expect(await (await ask(1)).text()).toBe('picture')
    await expect(ask(2)).rejects.toThrow('gone')
  })

  it('are not shown against the server’s word, nor is its no kept', async () => {
    vi.stubGlobal('fetch', async () => new Response('picture'))
    await ask(1)
    vi.stubGlobal('fetch', async () => new Response('no', { status: 403 }))
    expect((await ask(1)).status).toBe(403)
    expect(await kept.get(URL_OF(1))?.clone().text()).toBe('picture')
  })

  it('are two hundred at most, the oldest go first', async () => {
    vi.stubGlobal('fetch', async () => new Response('picture'))
    for (let n = 0; n < 203; n++) await ask(n)
    expect(kept.size).toBe(200)
    expect(kept.has(URL_OF(2))).toBe(false)
    expect(kept.has(URL_OF(202))).toBe(true)
  })

  it('are shown though there is no room to keep them', async () => {
    vi.stubGlobal('fetch', async () => new Response('picture'))
    vi.stubGlobal('caches', {
      open: async () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
    })
    expect(await (await ask(1)).text()).toBe('picture')
  })
})
