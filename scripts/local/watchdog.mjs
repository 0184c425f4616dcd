/**
 * Run beside a start: stops what that start left behind, should it be killed. It is told what to stop on its
 * command line, and of a good end on its input; the input closing without a word means it was killed.
 */
import { spawn } from 'node:child_process'

const { program, args, owner } = JSON.parse(process.argv[2] ?? '{}')
let ended = false
process.stdin.on('data', () => {
  ended = true
})
process.stdin.on('end', () => {
  if (ended) process.exit(0)
  spawn(program, args, {
    cwd: '/',
    stdio: 'ignore',
    ...(owner ? { uid: owner.uid, gid: owner.gid } : {}),
  }).on('exit', () => process.exit(0))
})
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => {})
