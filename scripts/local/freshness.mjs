import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { LOCAL, ROOT } from './paths.mjs'

const filesBelow = (path) => {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)))
}

/** A fingerprint of what lies in these files and folders, by content. */
export const fingerprint = (...names) => {
  const hash = createHash('sha256')
  for (const file of names.flatMap((name) => filesBelow(join(ROOT, name)))) {
    hash.update(file.slice(ROOT.length))
    hash.update(readFileSync(file))
  }
  return hash.digest('hex')
}

const stampFile = (step) => join(LOCAL, `${step}.stamp`)

/** Whether a step was last done for this fingerprint. */
export const isFresh = (step, print) =>
  existsSync(stampFile(step)) && readFileSync(stampFile(step), 'utf8') === print

/** Notes that a step was done for this fingerprint. */
export const markFresh = (step, print) => {
  mkdirSync(LOCAL, { recursive: true })
  writeFileSync(stampFile(step), print)
}
