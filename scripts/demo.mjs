/** `npm run demo`: from a bare clone to the demo works in the browser. */
import { statSync } from 'node:fs'
import { join } from 'node:path'
import { command, endCommands } from './local/command.mjs'
import { DEMO_NAMES, DEMO_PIN } from './demo/signIn.mjs'
import { fingerprint, isFresh, markFresh } from './local/freshness.mjs'
import { startDevices } from './local/devices.mjs'
import { guard } from './local/guard.mjs'
import { LOCAL, ROOT } from './local/paths.mjs'
import { haltPostgres, requireWritable, startPostgres } from './local/postgres.mjs'
import { buildProgram, installPackages, requireNode } from './local/prepare.mjs'
import { run, say } from './local/say.mjs'
import { lockStart } from './local/startLock.mjs'
import { requirePort, startWeb } from './local/webServer.mjs'

const dev = process.argv.includes('--dev')
const port = Number(process.env.HC_PORT ?? 4310)
/** Where instruments call, and where the simulated ones have their page. */
const [linePort, devicesPort] = [port + 2, port + 3]

await run(async () => {
  requireNode()
  requireWritable(LOCAL)
  const unlock = lockStart('demo')
  let postgres
  let starting
  let unguard
  let web
  let devices
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    say('\nStopping ...')
    endCommands()
    devices?.stop()
    await web?.stop()
    // A database that is still putting itself right is not waited for.
    const late = new Promise((resolve) => setTimeout(resolve, 1000))
    if (starting) await Promise.race([starting.catch(() => null), late])
    await (postgres ? postgres.stop() : haltPostgres('demo'))
    unguard?.()
    unlock()
    say('Stopped.')
  }
  const stopped = new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop().then(resolve))
  })
  try {
    await requirePort(port)
    await installPackages()
    if (!dev) await buildProgram()
    if (stopping) return await stopped
    starting = startPostgres('demo', { port: 54310 }).then((started) => (postgres = started))
    await starting
    unguard = guard(postgres.stopCommand)
    if (stopping) return await stopped
    const databaseUrl = postgres.url('postgres')
    // The same cluster under the same migrations was seeded before: nothing to ask it.
    const seeded = `${fingerprint('server/database')} ${statSync(join(postgres.data, 'PG_VERSION')).ctimeMs}`
    if (!isFresh('seed', seeded)) {
      await command(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts'), '--if-empty'], {
        cwd: ROOT,
        quiet: true,
        env: { ...process.env, DATABASE_URL: databaseUrl },
        remedy: 'The demo works could not be written; the lines above say why.',
      })
      markFresh('seed', seeded)
    }
    web = await startWeb({
      port,
      databaseUrl,
      dev,
      env: { HC_LOG_LEVEL: process.env.HC_LOG_LEVEL ?? 'warn', HC_INSTRUMENTS: String(linePort) },
    })
    devices = startDevices({
      program: `http://127.0.0.1:${port}`,
      line: linePort,
      port: devicesPort,
      signIn: `${DEMO_NAMES.day}:${DEMO_PIN}`,
    })
    say(
      `Hushed Caliper is at http://127.0.0.1:${port}, simulated instruments at http://127.0.0.1:${devicesPort} (Ctrl-C stops both)`,
    )
    say(`Sign in as ${DEMO_NAMES.day} with the PIN ${DEMO_PIN}; the page names the others.`)
    const why = await Promise.race([stopped.then(() => null), web.ended])
    if (why !== null && !stopping) {
      devices?.stop()
      await postgres.stop()
      unguard()
      unlock()
      say(`The web server ended by itself (${why}).`)
      return 1
    }
    await stopped
  } catch (trouble) {
    if (!stopping) {
      devices?.stop()
      await web?.stop()
      await postgres?.stop()
      unguard?.()
      unlock()
      throw trouble
    }
    await stopped
  }
})
