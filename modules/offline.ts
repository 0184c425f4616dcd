import { readdir, writeFile } from 'node:fs/promises'
import { join, relative, sep } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { defineNuxtModule } from 'nuxt/kit'

const SOURCE = fileURLToPath(new URL('../offline/worker.ts', import.meta.url))

/** Not part of the program: what says which build is the last, the worker itself, and smaller copies of files. */
const LEFT_OUT = /^\/(sw\.js|_nuxt\/builds\/.*|.*\.(gz|br|map))$/

/** Paths of all files below a folder, as a browser asks for them. */
const filesBelow = async (folder: string): Promise<readonly string[]> =>
  (await readdir(folder, { recursive: true, withFileTypes: true }))
    .filter((entry) => entry.isFile())
    .map((entry) => `/${relative(folder, join(entry.parentPath, entry.name)).split(sep).join('/')}`)
    .filter((path) => !LEFT_OUT.test(path))
    .sort()

/** `/sw.js`: the worker that keeps this build on a device, so that it opens with no server. See docs/offline.md. */
export default defineNuxtModule({
  meta: { name: 'offline' },
  setup: (_, nuxt) => {
    if (nuxt.options.dev) return
    // All files of the pages lie there by then, and the server lists what it serves after it.
    nuxt.hook('nitro:build:public-assets', async (nitro) => {
      const folder = nitro.options.output.publicDir
      const { outputFiles } = await build({
        entryPoints: [SOURCE],
        bundle: true,
        write: false,
        minify: true,
        platform: 'browser',
        format: 'iife',
        target: 'es2022',
        logLevel: 'error',
        define: {
          'process.env.NODE_ENV': '"production"',
          BUILD: JSON.stringify(nuxt.options.buildId),
          FILES: JSON.stringify(await filesBelow(folder)),
        },
      })
      await writeFile(join(folder, 'sw.js'), outputFiles[0]?.contents ?? '')
    })
  },
})
