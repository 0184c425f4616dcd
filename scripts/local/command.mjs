import { spawn } from 'node:child_process'
import { Stuck } from './say.mjs'

const running = new Set()

/** Counts a process among those that endCommands ends; answers how to take it out again. */
export const track = (child) => {
  running.add(child)
  return () => running.delete(child)
}

/** Ends every command under way, with all that it started. */
export const endCommands = () => {
  for (const child of running) {
    try {
      process.kill(-child.pid, 'SIGKILL')
    } catch {
      // It ended meanwhile.
    }
  }
}

/**
 * Runs a command to its end. `quiet` keeps its output back and shows the last lines only when it
 * fails. Rejects with a Stuck that carries `remedy` when it exits other than 0.
 * @param {string} program
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions & { quiet?: boolean, remedy?: string }} options
 */
export const command = (program, args, { quiet = false, remedy = '', ...options } = {}) =>
  new Promise((resolve, reject) => {
    // A group of its own: it is ended with all that it started.
    const child = spawn(program, args, {
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      detached: true,
      ...options,
    })
    running.add(child)
    let kept = ''
    const keep = (chunk) => (kept = (kept + chunk).slice(-8000))
    child.stdout?.on('data', keep)
    child.stderr?.on('data', keep)
    child.on('error', (error) =>
      reject(new Stuck(`${program} could not be started: ${error.message}. ${remedy}`.trim())),
    )
    child.on('close', (code, signal) => {
      running.delete(child)
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
