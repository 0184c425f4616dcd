import { execFile } from 'node:child_process'
import { openSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { promisify } from 'node:util'
import knexModule from 'knex'
import { ROOT } from '../../scripts/local/paths.mjs'
import { startWeb } from '../../scripts/local/webServer.mjs'
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
  return {
    url: `http://127.0.0.1:${port}`,
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

/** The built program on the demo works, in a database of its own. */
export const startProgram = async (urlOf: (name: string) => string, name: string, logFile?: string) => {
  await seededDatabase(urlOf, name)
  return programOn(urlOf(name), logFile)
}

export type Program = Awaited<ReturnType<typeof startProgram>>
