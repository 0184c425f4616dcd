import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { command } from './command.mjs'
import { fingerprint, isFresh, markFresh } from './freshness.mjs'
import { ROOT } from './paths.mjs'
import { Stuck, timed } from './say.mjs'

/** Refuses a Node that the packages don't run on. */
export const requireNode = () => {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stuck(
      `This needs Node.js 20.19 or newer; here is ${process.versions.node}. Install a newer one.`,
    )
}

/** Installs the node packages when they are missing or the lock file changed. */
export const installPackages = async () => {
  const print = fingerprint('package-lock.json')
  if (existsSync(join(ROOT, 'node_modules', '.package-lock.json')) && isFresh('packages', print)) return
  await timed('Installing node packages (a minute or two the first time)', () =>
    command('npm', ['ci', '--no-audit', '--no-fund'], {
      cwd: ROOT,
      quiet: true,
      remedy: 'Check that the npm registry can be reached, then start again.',
    }),
  )
  markFresh('packages', print)
}

/** What a build is made from. */
export const SOURCES = ['app', 'core', 'server', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json']

/** Builds the program when its sources changed since the last build. */
export const buildProgram = async () => {
  const print = fingerprint(...SOURCES)
  if (existsSync(join(ROOT, '.output', 'server', 'index.mjs')) && isFresh('build', print)) return
  await timed('Building the program (about a minute)', () =>
    command('npm', ['run', '-s', 'build'], {
      cwd: ROOT,
      quiet: true,
      remedy: 'The build failed; the lines above say where.',
      env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
    }),
  )
  markFresh('build', print)
}
