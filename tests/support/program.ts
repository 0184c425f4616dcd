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

const emptyDatabase = async (urlOf: (name: string) => string, name: string) => {
  const admin = knexModule(knexOptions(urlOf('postgres')))
  await admin.raw(`drop database if exists ${name} with (force)`)
  await admin.raw(`create database ${name}`)
  await admin.destroy()
}

/** The built program on the demo works, with a database and a port of its own; its log goes to a file when one is named. */
export const startProgram = async (urlOf: (name: string) => string, name: string, logFile?: string) => {
  await emptyDatabase(urlOf, name)
  const databaseUrl = urlOf(name)
  const env = { ...process.env, DATABASE_URL: databaseUrl }
  await run(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], { cwd: ROOT, env })
  const port = await freePort()
  const start = () =>
    startWeb({
      port,
      databaseUrl,
      env: { HC_LOG_LEVEL: logFile ? 'info' : 'error' },
      stdio: ['ignore', logFile ? openSync(logFile, 'a') : 'inherit', 'inherit'] as const,
    })
  let web = await start()
  return {
    url: `http://127.0.0.1:${port}`,
    databaseUrl,
    /** Pulls the plug: no goodbye, no flushing. */
    kill: () => web.kill(),
    restart: async () => {
      web = await start()
    },
    stop: () => web.stop(),
  }
}

export type Program = Awaited<ReturnType<typeof startProgram>>
