/**
 * `npm run fuzz`: seeded requests over every route of the OpenAPI document, and seeded inputs to every
 * operation. `-- --count 2000 --seed 7` for fewer, or other ones. Nothing may be answered 500, go
 * unanswered, throw, hold a NaN, or take longer than two seconds.
 */
import { execFileSync } from 'node:child_process'
import { request } from 'node:http'
import { join } from 'node:path'
import { seededRandom, type Random } from '../../core/random/random'
import { inputSchema, OPERATIONS } from '../../shared/calculation/operations'
import { argument } from '../arguments'
import { buildProgram } from '../local/prepare.mjs'
import { ROOT } from '../local/paths.mjs'
import { startPostgres } from '../local/postgres.mjs'
import { run, say, timed } from '../local/say.mjs'
import { startWeb } from '../local/webServer.mjs'
import { signInAll } from '../demo/signIn.mjs'
import { demoId } from '../demo/works'
import { readExample } from '../docs/methodPages'
import { fromSchema, pick, type JsonSchema } from './fromSchema'
import { spoiled, tornText } from './spoil'

const COUNT = argument('count', 20_000)
const SEED = argument('seed', 1)
const PORT = argument('port', 4392)
const SLOWEST_MS = 2000
const AT_ONCE = 8

interface Found {
  readonly what: string
  readonly with: unknown
}

/** Part of an example, part of what the schema lets through, part of either spoiled. */
const inputFor = (schema: JsonSchema, example: unknown, random: Random): unknown => {
  const base = random() < 0.6 && example !== undefined ? structuredClone(example) : fromSchema(schema, random)
  return random() < 0.65 ? spoiled(base, random) : base
}

const holdsNaN = (value: unknown): boolean =>
  typeof value === 'number'
    ? !Number.isFinite(value)
    : typeof value === 'object' && value !== null && Object.values(value).some(holdsNaN)

const fuzzOperations = async (): Promise<readonly Found[]> => {
  const found: Found[] = []
  const random = seededRandom(SEED)
  const table = OPERATIONS.map((operation) => ({
    operation,
    schema: inputSchema(operation) as JsonSchema,
    example: readExample(operation.name).input,
  }))
  let slowest = { ms: 0, name: '' }
  let answered = 0
  // Loading and compiling is not the sum's own time.
  for (const { operation, example } of table) await operation.run(example)
  for (let n = 0; n < COUNT; n++) {
    const { operation, schema, example } = table[n % table.length] as (typeof table)[number]
    const input = inputFor(schema, example, random)
    const from = performance.now()
    try {
      const answer = await operation.run(input)
      if (answer.ok) answered++
      if (answer.ok && holdsNaN(answer.result))
        found.push({ what: `${operation.name}: no number`, with: input })
      if (!answer.ok && !/[.?]$/.test(answer.error.message))
        found.push({ what: `${operation.name}: no sentence: ${answer.error.message}`, with: input })
    } catch (failure) {
      found.push({ what: `${operation.name} threw: ${String(failure)}`, with: input })
    }
    const ms = performance.now() - from
    if (ms > slowest.ms) slowest = { ms, name: operation.name }
    if (ms > SLOWEST_MS) found.push({ what: `${operation.name} took ${Math.round(ms)} ms`, with: input })
  }
  say(
    `${COUNT} inputs to ${table.length} operations, seed ${SEED}: ${answered} worked out, the others refused; slowest ${Math.round(slowest.ms)} ms (${slowest.name}).`,
  )
  return found
}

interface Document {
  readonly paths: Readonly<
    Record<
      string,
      Readonly<
        Record<
          string,
          {
            readonly parameters?: readonly {
              readonly name: string
              readonly in: string
              readonly schema: JsonSchema
            }[]
            readonly requestBody?: {
              readonly content: Readonly<Record<string, { readonly schema?: JsonSchema }>>
            }
          }
        >
      >
    >
  >
}

interface Shot {
  readonly method: string
  readonly path: string
  readonly body: string | null
  readonly type: string
}

/** What the server already has, for requests that go deeper than a 404. */
interface Known {
  readonly jobs: readonly string[]
  readonly tags: readonly string[]
}

/** An id nobody has used, the same for the same seed. */
const fromUuid = (random: Random): string => {
  const hex = (n: number) => Array.from({ length: n }, () => Math.floor(random() * 16).toString(16)).join('')
  return `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`
}

const NAMES = ['%00', '%', '..', '%2e%2e', 'CP-99', '%F0%9F%98%80', 'a'.repeat(400), '%ff', "'", '*']

const shotFor = (document: Document, known: Known, random: Random): Shot => {
  const [path, methods] = pick(random, Object.entries(document.paths))
  const [method, route] = pick(random, Object.entries(methods))
  const name = (part: string) => {
    if (random() < 0.2) return pick(random, NAMES)
    if (part === 'photograph') return fromUuid(random)
    return part === 'id' ? pick(random, known.jobs) : part === 'tag' ? pick(random, known.tags) : 'judge'
  }
  const query = (route.parameters ?? [])
    .filter((p) => p.in === 'query' && random() < 0.5)
    .map((p) => {
      const value = random() < 0.6 ? fromSchema(p.schema, random) : pick(random, NAMES)
      return `${p.name}=${random() < 0.7 ? encodeURIComponent(String(value)) : String(value).replaceAll(/[\s#]/g, '')}`
    })
  // What is no address at all is turned away below us, by the server itself.
  const ascii = (text: string) => text.replaceAll(/[^!-~]/g, (c) => encodeURIComponent(c.toWellFormed()))
  const filled = path.replaceAll(/\{(\w+)\}/g, (_, part: string) => name(part))
  const operation = /^\/api\/calc\/([\w-]+)$/.exec(path)?.[1]
  const example =
    operation && OPERATIONS.some((o) => o.name === operation) ? readExample(operation).input : undefined
  const content = route.requestBody?.content ?? {}
  const schema = content['application/json']?.schema
  const [file] = Object.keys(content).filter((type) => type !== 'application/json')
  // A file of any bytes, now and then one that begins as a picture does.
  let body: string | null = file
    ? `${random() < 0.5 ? '\u0089PNG\r\n' : ''}${'x'.repeat(random() * 900)}`
    : null
  if (schema) {
    const value = inputFor(schema, example, random)
    // Somebody who works here, most of the time: the deeper checks come after that.
    if (typeof value === 'object' && value !== null && 'author' in value && random() < 0.8)
      (value as { author: unknown }).author = demoId('day')
    const text = JSON.stringify(value) ?? ''
    body = random() < 0.08 ? tornText(text, random) : text
  }
  const odd = random()
  return {
    method: odd < 0.03 ? pick(random, ['DELETE', 'PATCH', 'OPTIONS', 'HEAD']) : method.toUpperCase(),
    path: ascii(`${filled}${query.length ? `?${query.join('&')}` : ''}`),
    body,
    type: odd > 0.97 ? pick(random, ['text/plain', 'application/xml', '']) : (file ?? 'application/json'),
  }
}

/** A device on which everybody of the demo works has signed in; some shots sign out or give another PIN: then it is done again. */
const device = { cookie: '', signing: null as Promise<void> | null }
const signIn = (): Promise<void> =>
  (device.signing ??= signInAll(`http://127.0.0.1:${PORT}`)
    .then((cookie) => void (device.cookie = cookie))
    .finally(() => (device.signing = null)))

const shoot = (
  shot: Shot,
): Promise<{ readonly status: number; readonly text: string; readonly ms: number }> =>
  new Promise((resolve, reject) => {
    const from = performance.now()
    const late = setTimeout(() => reject(new Error('no answer in 20 s')), 20_000)
    const req = request(
      {
        host: '127.0.0.1',
        port: PORT,
        path: shot.path,
        method: shot.method,
        headers:
          shot.body === null
            ? { cookie: device.cookie }
            : {
                'content-type': shot.type,
                'content-length': Buffer.byteLength(shot.body),
                cookie: device.cookie,
              },
      },
      (answer) => {
        let text = ''
        answer.setEncoding('utf8')
        answer.on('data', (chunk: string) => {
          text += chunk
          // A stream has no end: its beginning is its answer.
          if (answer.headers['content-type']?.startsWith('text/event-stream')) {
            clearTimeout(late)
            req.destroy()
            resolve({ status: answer.statusCode ?? 0, text: '', ms: performance.now() - from })
          }
        })
        answer.on('end', () => {
          clearTimeout(late)
          resolve({ status: answer.statusCode ?? 0, text, ms: performance.now() - from })
        })
      },
    )
    req.on('error', (failure) => {
      clearTimeout(late)
      reject(failure)
    })
    req.end(shot.body ?? undefined)
  })

const known = async (): Promise<Known> => {
  const ask = async (path: string) =>
    (
      await fetch(`http://127.0.0.1:${PORT}${path}`, { headers: { cookie: device.cookie } })
    ).json() as Promise<unknown>
  const jobs = (await ask('/api/jobs?most=200')) as { rows: { id: string }[] }
  const machines = (await ask('/api/machines')) as { tag: string }[]
  return { jobs: jobs.rows.map((j) => j.id), tags: machines.map((m) => m.tag) }
}

const fuzzServer = async (): Promise<readonly Found[]> => {
  const random = seededRandom(SEED + 1)
  const found: Found[] = []
  const document = (await (await fetch(`http://127.0.0.1:${PORT}/api/openapi.json`)).json()) as Document
  await signIn()
  const have = await known()
  const counts = new Map<number, number>()
  let left = COUNT
  let slowest = { ms: 0, path: '' }
  const one = async () => {
    while (left-- > 0) {
      const shot = shotFor(document, have, random)
      try {
        const { status, text, ms } = await shoot(shot)
        // Not a wrong guess at the door, but a device that was forgotten.
        if (status === 401 && text.includes('"sign-in')) await signIn().catch(() => null)
        counts.set(status, (counts.get(status) ?? 0) + 1)
        const tooMany = status === 503 && text.includes('"busy"')
        if (status >= 500 && !tooMany) found.push({ what: `${status} ${text.slice(0, 200)}`, with: shot })
        if (status >= 400 && shot.method !== 'HEAD' && !/"message":"[A-Z]/.test(text))
          found.push({ what: `${status} without a sentence: ${text.slice(0, 200)}`, with: shot })
        if (ms > slowest.ms) slowest = { ms, path: `${shot.method} ${shot.path.slice(0, 60)}` }
      } catch (failure) {
        found.push({ what: `unanswered: ${String(failure)}`, with: shot })
      }
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, one))
  const table = [...counts].sort(([a], [b]) => a - b).map(([status, n]) => `${status}: ${n}`)
  say(
    `${COUNT} requests over ${Object.keys(document.paths).length} paths, seed ${SEED}: ${table.join(', ')}; slowest ${Math.round(slowest.ms)} ms (${slowest.path}).`,
  )
  return found
}

await run(async () => {
  const found = [...(await timed('Operations', fuzzOperations))]
  await buildProgram()
  const postgres = await startPostgres('fuzz', { port: 0, throwAway: true })
  try {
    const databaseUrl = postgres.url('postgres')
    execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: databaseUrl },
    })
    const web = await startWeb({ port: PORT, databaseUrl, env: { HC_LOG_LEVEL: 'error' } })
    try {
      found.push(...(await timed('Routes', fuzzServer)))
    } finally {
      await web.stop()
    }
  } finally {
    await postgres.stop()
  }
  for (const { what, with: input } of found.slice(0, 20))
    say(`\n${what}\n  ${(JSON.stringify(input) ?? '').slice(0, 1500)}`)
  say(found.length === 0 ? 'Nothing found.' : `${found.length} found.`)
  return found.length === 0 ? 0 : 1
})
