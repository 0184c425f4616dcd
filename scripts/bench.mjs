/** `npm run bench`: bundles the bench as the program itself is bundled, and runs it. */
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import { ROOT } from './local/paths.mjs'

const outfile = join(ROOT, '.local', 'bench.mjs')
await build({
  entryPoints: [join(ROOT, 'scripts', 'bench', 'bench.ts')],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: ['ml-matrix', 'highs'],
  logLevel: 'error',
})
await import(pathToFileURL(outfile).href)
