import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { LOCAL } from './paths.mjs'
import { Stuck } from './say.mjs'

/** Keeps a second start out while one runs; answers how to let go. */
export const lockStart = (name) => {
  const file = join(LOCAL, `${name}.lock`)
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' })
      return () => rmSync(file, { force: true })
    } catch {
      const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0
      if (pid > 0 && existsSync(`/proc/${pid}`))
        throw new Stuck(
          `This is already running here (process ${pid}). Use that one, or stop it with Ctrl-C first.`,
        )
      rmSync(file, { force: true })
    }
  }
  throw new Stuck(`The lock ${file} can’t be taken. Remove it and start again.`)
}
