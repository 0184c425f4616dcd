/** `npm test`: from a bare clone to every check passed, leaving nothing running. */
import { command } from './local/command.mjs'
import { requireChromium } from './local/chromium.mjs'
import { LOCAL, ROOT } from './local/paths.mjs'
import { requireWritable, startPostgres } from './local/postgres.mjs'
import { buildProgram, installPackages, requireNode } from './local/prepare.mjs'
import { run, say, timed } from './local/say.mjs'
import { lockStart } from './local/startLock.mjs'

/** Runs steps at the same time and waits for all of them, so that none is left running; then fails with the first that failed. */
const sideBySide = async (...steps) => {
  const ends = await Promise.allSettled(steps.map((step) => step()))
  const failed = ends.find((end) => end.status === 'rejected')
  if (failed) throw failed.reason
}

await run(async () => {
  requireNode()
  requireWritable(LOCAL)
  const from = Date.now()
  const unlock = lockStart('test')
  const npm = (script, ...more) => command('npm', ['run', '-s', script, ...more], { cwd: ROOT })
  try {
    await installPackages()
    await npm('nuxt:types')
    // Checking types keeps one core busy for two minutes; the other one does the rest meanwhile.
    await sideBySide(
      () => timed('Types', () => npm('typecheck:files')),
      async () => {
        await timed('Lint', () => npm('lint:files'))
        await timed('Unit tests', () => npm('test:unit'))
      },
    )
    await requireChromium()
    // Laid out and thrown away once, so that a machine without PostgreSQL is told before the long steps.
    await (await startPostgres('test', { port: 0, throwAway: true })).stop()
    await buildProgram()
    await timed('API tests', () => npm('test:api'))
    await timed('Fuzz, bounded', () => npm('fuzz', '--', '--count', '2000'))
    await timed('Crash, bounded', () => npm('crash', '--', '--kills', '4'))
    await timed('Browser tests', () => npm('test:browser'))
    say(`Everything passed in ${((Date.now() - from) / 60_000).toFixed(1)} minutes.`)
  } finally {
    unlock()
  }
})
