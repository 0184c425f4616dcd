import { execFile } from 'node:child_process'
import { openSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { promisify } from 'node:util'
import knexModule from 'knex'
import { ROOT } from '../../scripts/local/paths.mjs'
import { startWeb } from '../../scripts/local/webServer.mjs'
import { DEMO_NAMES, DEMO_PIN, signIn } from '../../scripts/demo/signIn.mjs'
import { knexOptions } from '../../server/database/connection'

const run = promisify(execFile)

export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => resolve(port))
    })
  })

/** The database with the demo works that every other one of its cluster is a copy of. */
const SEEDED = 'seeded'

/** A new database holding the demo works: seeded once a cluster, copied from then on. */
const seededDatabase = async (urlOf: (name: string) => string, name: string) => {
  const admin = knexModule({ ...knexOptions(urlOf('postgres')), pool: { min: 1, max: 1 } })
  try {
    // Held by this connection: two workers don't seed at once, and nobody copies what is half written.
    await admin.raw('select pg_advisory_lock(1)')
    const there = await admin('pg_database').where({ datname: SEEDED }).first()
    if (!there) {
      await admin.raw(`create database seeding`)
      const env = { ...process.env, DATABASE_URL: urlOf('seeding') }
      await run(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], { cwd: ROOT, env })
      await admin.raw(`alter database seeding rename to ${SEEDED}`)
    }
    await admin.raw(`drop database if exists ${name} with (force)`)
    await admin.raw(`create database ${name} template ${SEEDED}`)
  } finally {
    await admin.destroy()
  }
}

/** The built program on a database, at a port of its own; its log goes to a file when one is named. */
export const programOn = async (databaseUrl: string, logFile?: string) => {
  const port = await freePort()
  const line = await freePort()
  const start = () =>
    startWeb({
      port,
      databaseUrl,
      env: { HC_LOG_LEVEL: logFile ? 'info' : 'error', HC_INSTRUMENTS: String(line) },
      stdio: ['ignore', logFile ? openSync(logFile, 'a') : 'inherit', 'inherit'] as const,
    })
  let web = await start()
  const url = `http://127.0.0.1:${port}`
  let cookie = ''
  const cookies = new Map<string, Promise<string>>()
  return {
    /** What the device of these tests holds. */
    cookie: () => cookie,
    /** Signs people in on the device of these tests; the last one is writing. */
    signIn: async (names: readonly string[], secret = DEMO_PIN) => {
      cookie = await signIn(url, names, secret, cookie)
    },
    /** What a device holds on which everybody of these tests has signed in, and this one is writing. */
    cookieOf: (name: string): Promise<string> => {
      const made = cookies.get(name) ?? signIn(url, [name], DEMO_PIN, cookie)
      cookies.set(name, made)
      return made
    },
    /** Makes the first lead of a works that nobody can sign in to. */
    firstLead: async (name: string) => {
      const answer = await fetch(`${url}/api/session/first`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id: randomUUID(), name, secret: DEMO_PIN }),
      })
      if (!answer.ok) throw new Error(await answer.text())
      cookie = answer.headers.getSetCookie()[0]?.split(';')[0] ?? ''
    },
    /** Gives somebody a PIN as a lead does, and signs them in as they do the first time. */
    letIn: async (id: string) => {
      const post = async (path: string, body: object) => {
        const answer = await fetch(url + path, {
          method: 'POST',
          headers: { 'content-type': 'application/json', cookie },
          body: JSON.stringify(body),
        })
        if (!answer.ok) throw new Error(await answer.text())
        return answer
      }
      const given = (await (await post(`/api/people/${id}/secret`, { secret: '9035' })).json()) as {
        name: string
      }
      const answer = await post('/api/session', { name: given.name, secret: '9035', chosen: DEMO_PIN })
      cookie = answer.headers.getSetCookie()[0]?.split(';')[0] ?? ''
    },
    /** Asks this program as whoever is signed in. */
    fetch: (path: string, init: RequestInit = {}) =>
      fetch(url + path, { ...init, headers: { cookie, ...(init.headers as Record<string, string>) } }),
    url,
    databaseUrl,
    /** The port at which instruments call. */
    line,
    /** Pulls the plug: no goodbye, no flushing. */
    kill: () => web.kill(),
    restart: async () => {
      web = await start()
    },
    stop: () => web.stop(),
  }
}

/** The built program on the demo works, in a database of its own; everybody has signed in, the lead is writing. */
export const startProgram = async (urlOf: (name: string) => string, name: string, logFile?: string) => {
  await seededDatabase(urlOf, name)
  const program = await programOn(urlOf(name), logFile)
  const { lead, ...others } = DEMO_NAMES
  await program.signIn([...Object.values(others), lead])
  return program
}

export type Program = Awaited<ReturnType<typeof startProgram>>
