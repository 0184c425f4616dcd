import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { addTemplate, addTypeTemplate, defineNuxtModule } from 'nuxt/kit'

const SOURCE = fileURLToPath(new URL('../shared/quick/shapes.ts', import.meta.url))

/** Bundles the contract and asks it for its shapes. */
const written = async (): Promise<string> => {
  const { outputFiles } = await build({
    entryPoints: [SOURCE],
    bundle: true,
    write: false,
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
  })
  const code = Buffer.from(outputFiles[0]?.contents ?? []).toString('base64')
  const { sumShapes } = (await import(`data:text/javascript;base64,${code}`)) as {
    sumShapes: () => unknown
  }
  return `export default ${JSON.stringify(sumShapes())}\n`
}

/** `#build/sumShapes`: forms and results of all quick sums as data, so that their page loads no schemas. */
export default defineNuxtModule({
  meta: { name: 'sum-shapes' },
  setup: (_, nuxt) => {
    addTemplate({ filename: 'sumShapes.mjs', getContents: written, write: true })
    addTypeTemplate({
      filename: 'types/sumShapes.d.ts',
      getContents: () =>
        `declare module '#build/sumShapes' {
  const shapes: Readonly<Record<string, import(${JSON.stringify(SOURCE.replace(/\.ts$/, ''))}).SumShape>>
  export default shapes
}
`,
    })
    nuxt.options.watch.push(SOURCE)
  },
})
