import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { track } from './command.mjs'
import { ROOT } from './paths.mjs'
import { Stuck } from './say.mjs'

/** Says which port is taken and what to do, before anything else is started. */
export const requirePort = (port) =>
  new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', () =>
      reject(
        new Stuck(
          `Port ${port} is taken by another program. Stop that one, or start this one elsewhere: HC_PORT=${port + 1} npm run demo`,
        ),
      ),
    )
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve()))
  })

/**
 * Starts the web server, built or in development, and waits until its health route answers.
 * @param {{ port: number, databaseUrl: string, dev?: boolean, program?: string, env?: Record<string, string>, stdio?: import('node:child_process').StdioOptions }} wanted
 */
export const startWeb = async ({
  port,
  databaseUrl,
  dev = false,
  program: built = join(ROOT, '.output', 'server', 'index.mjs'),
  env = {},
  stdio = ['ignore', 'inherit', 'inherit'],
}) => {
  const [program, args] = dev
    ? [join(ROOT, 'node_modules', '.bin', 'nuxt'), ['dev', '--port', String(port), '--host', '127.0.0.1']]
    : [process.execPath, [built]]
  const child = spawn(program, args, {
    cwd: ROOT,
    stdio: dev ? 'inherit' : stdio,
    // A group of its own: Ctrl-C reaches this script alone, which then stops things in order.
    detached: true,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      NITRO_SHUTDOWN_DISABLED: 'true',
      // Whoever started it is killed: then it ends by itself.
      HC_ENDS_WITH_PARENT: dev ? '' : 'yes',
      NODE_ENV: dev ? 'development' : 'production',
      NUXT_TELEMETRY_DISABLED: '1',
      // Several of these may stand side by side: whoever wants instruments says where they call.
      HC_INSTRUMENTS: 'off',
      ...env,
    },
  })
  const started = track(child)
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve(signal ?? code)))
  let gone = false
  void ended.then(() => (gone = true))
  const signal = (name) => {
    try {
      process.kill(-child.pid, name)
    } catch {
      // Already gone.
    }
  }
  const deadline = Date.now() + (dev ? 120_000 : 30_000)
  for (;;) {
    if (gone) throw new Stuck('The web server stopped while starting. The lines above say why.')
    try {
      const answer = await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(2000) })
      if (answer.ok) {
        started()
        break
      }
    } catch {
      // Not yet.
    }
    if (Date.now() > deadline) {
      signal('SIGKILL')
      throw new Stuck(
        'The web server did not answer in time. Start again; if it stays so, look at the lines above.',
      )
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return {
    pid: child.pid,
    ended,
    kill: async () => {
      signal('SIGKILL')
      await ended
    },
    stop: async () => {
      signal('SIGTERM')
      const late = setTimeout(() => signal('SIGKILL'), 2000)
      await ended
      clearTimeout(late)
    },
  }
}
