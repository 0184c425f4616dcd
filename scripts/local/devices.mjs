import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

/**
 * Starts the simulated instruments beside a program. They end with whoever started them, and hold up nothing.
 * @param {{ program: string, line: number, port: number, signIn?: string, stdio?: import('node:child_process').StdioOptions }} wanted
 */
export const startDevices = ({
  program,
  line,
  port,
  signIn = '',
  stdio = ['ignore', 'ignore', 'inherit'],
}) => {
  const child = spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      join('scripts', 'instruments.ts'),
      '--program',
      program,
      '--line',
      `127.0.0.1:${line}`,
      '--port',
      String(port),
    ],
    {
      cwd: ROOT,
      stdio,
      detached: true,
      env: { ...process.env, HC_ENDS_WITH_PARENT: 'yes', ...(signIn ? { HC_SIGN_IN: signIn } : {}) },
    },
  )
  child.on('error', () => null)
  return { child, stop: () => void child.kill('SIGTERM') }
}
