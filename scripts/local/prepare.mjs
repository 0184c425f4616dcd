import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { command } from './command.mjs'
import { fingerprint, isFresh, markFresh } from './freshness.mjs'
import { LOCAL, ROOT } from './paths.mjs'
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

const SOURCES = ['app', 'core', 'server', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json']

/** A layer of Nuxt's that is built onto the program, and where what comes of it lies. */
const buildWith = async ({ stamp, built, layer, says }) => {
  const print = fingerprint(...SOURCES, ...(layer ? [layer] : []))
  if (existsSync(built) && isFresh(stamp, print)) return
  await timed(says, () =>
    command('npx', ['nuxt', 'build', ...(layer ? ['--extends', `./${layer}`] : [])], {
      cwd: ROOT,
      quiet: true,
      remedy: 'The build failed; the lines above say where.',
      env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
    }),
  )
  markFresh(stamp, print)
}

/** Builds the program when its sources changed since the last build. */
export const buildProgram = () =>
  buildWith({
    stamp: 'build',
    built: join(ROOT, '.output', 'server', 'index.mjs'),
    says: 'Building the program (about a minute)',
  })

/** The program with a bare insert route beside its own, for `npm run bench:server`; answers where it starts. */
export const buildWithBareRoute = async () => {
  const built = join(LOCAL, 'bench-output', 'server', 'index.mjs')
  await buildWith({
    stamp: 'bench-build',
    built,
    layer: join('scripts', 'bench', 'layer'),
    says: 'Building the program with the bare route (about a minute)',
  })
  return built
}
