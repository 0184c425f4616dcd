import { spawn } from 'node:child_process'
import { Stuck } from './say.mjs'

/**
 * Runs a command to its end. `quiet` keeps its output back and shows the last lines only when it
 * fails. Rejects with a Stuck that carries `remedy` when it exits other than 0.
 */
export const command = (program, args, { quiet = false, remedy = '', ...options } = {}) =>
  new Promise((resolve, reject) => {
    const child = spawn(program, args, { stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit', ...options })
    let kept = ''
    const keep = (chunk) => (kept = (kept + chunk).slice(-8000))
    child.stdout?.on('data', keep)
    child.stderr?.on('data', keep)
    child.on('error', (error) =>
      reject(new Stuck(`${program} could not be started: ${error.message}. ${remedy}`.trim())),
    )
    child.on('close', (code, signal) => {
      if (code === 0) return resolve(kept)
      if (/ENOSPC|No space left on device/.test(kept))
        return reject(new Stuck('The disk is full. Make room and start again.'))
      const tail = kept.trim().split('\n').slice(-25).join('\n')
      reject(
        new Stuck(
          `${tail ? `${tail}\n\n` : ''}${program} ${args.join(' ')} ended with ${signal ?? code}. ${remedy}`.trim(),
        ),
      )
    })
  })
