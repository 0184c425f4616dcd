/**
 * Starts the calculation command from one bundled file, made anew whenever a source changed: that
 * keeps its start well under a second. The command itself is calc.ts.
 */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Path, size and time of every source below a folder. */
const stamps = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((item) => {
    const path = join(folder, item.name)
    if (item.isDirectory()) return stamps(path)
    if (!item.name.endsWith('.ts') || item.name.endsWith('.test.ts')) return []
    const { size, mtimeMs } = statSync(path)
    return [`${path} ${size} ${mtimeMs}`]
  })

const sources = [
  ...stamps(join(root, 'core')),
  ...stamps(join(root, 'shared')),
  `${statSync(join(root, 'scripts/calc.ts')).mtimeMs} ${statSync(join(root, 'package-lock.json')).mtimeMs}`,
]
const key = createHash('sha256').update(sources.join('\n')).digest('hex').slice(0, 16)
const folder = join(root, 'node_modules/.cache/hushed-caliper')
const bundle = join(folder, `calc-${key}.mjs`)

if (!existsSync(bundle)) {
  const { build } = await import('esbuild')
  mkdirSync(folder, { recursive: true })
  const draft = `${bundle}.${process.pid}`
  await build({
    entryPoints: [join(root, 'scripts/calc.ts')],
    outfile: draft,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: ['highs'],
    logLevel: 'error',
  })
  // Renamed in one step, so that two starts at once never read half a file.
  renameSync(draft, bundle)
}
await import(pathToFileURL(bundle).href)
