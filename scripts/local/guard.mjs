import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

/** Has a process of its own stop this should we be killed; answers how to tell it that all went well. */
export const guard = (stopCommand) => {
  const dog = spawn(
    process.execPath,
    [join(ROOT, 'scripts', 'local', 'watchdog.mjs'), JSON.stringify(stopCommand)],
    { stdio: ['pipe', 'ignore', 'ignore'], detached: true },
  )
  dog.unref()
  dog.stdin.on('error', () => {})
  return () => dog.stdin.end('ended\n')
}
