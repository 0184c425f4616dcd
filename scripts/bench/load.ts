import { Agent, request } from 'node:http'

/** Sorted milliseconds of each answer, and how many came a second. */
export interface Load {
  readonly ms: Float64Array
  readonly perSecond: number
}

const post = (agent: Agent, url: URL, body: string, cookie: string): Promise<number> =>
  new Promise((resolve, reject) => {
    const req = request(
      url,
      {
        method: 'POST',
        agent,
        headers: {
          'content-type': 'application/json',
          'content-length': Buffer.byteLength(body),
          cookie,
        },
      },
      (answer) => {
        answer.resume()
        answer.on('end', () => resolve(answer.statusCode ?? 0))
      },
    )
    req.on('error', reject)
    req.end(body)
  })

/** Posts everything over so many connections at once; each must be answered 201. */
export const load = async (
  connections: number,
  posts: readonly { readonly url: string; readonly body: unknown }[],
  cookie = '',
): Promise<Load> => {
  const agent = new Agent({ keepAlive: true, maxSockets: connections })
  const queue = posts.map(({ url, body }) => ({ url: new URL(url), body: JSON.stringify(body) }))
  const ms: number[] = []
  const from = performance.now()
  await Promise.all(
    Array.from({ length: connections }, async () => {
      for (let next = queue.pop(); next; next = queue.pop()) {
        const begun = performance.now()
        const status = await post(agent, next.url, next.body, cookie)
        if (status !== 201) throw new Error(`${next.url.pathname} answered ${status}`)
        ms.push(performance.now() - begun)
      }
    }),
  )
  const seconds = (performance.now() - from) / 1000
  agent.destroy()
  return { ms: Float64Array.from(ms).sort(), perSecond: posts.length / seconds }
}

/** The value below which this share of a load's answers lie. */
export const at = ({ ms }: Load, share: number): number =>
  ms[Math.min(ms.length - 1, Math.floor(share * ms.length))] as number
