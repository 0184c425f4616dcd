import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import icons from 'unplugin-icons/vite'

/** Packages that the heavy tasks load as they are, with the files that lie beside them. */
const HEAVY_PACKAGES = ['highs', 'pdfmake']

/**
 * Files that do nothing by being loaded, so that a view takes what it uses of them and leaves the rest: the set of
 * icons, and the framework's own way of asking a server (here `app/composables/useApi.ts` does).
 */
const IDLE = /^~icons\/|\/app\/kit\/icons\.ts$|\/nuxt\/dist\/app\/composables\/(asyncData|fetch)\.js$/
const leftAlone = {
  name: 'left-alone',
  transform: (_code: string, id: string) => (IDLE.test(id) ? { moduleSideEffects: false } : null),
}

/** A schema is told as JSON Schema by the server alone: a view takes the checks and leaves the telling. */
const noJsonSchema = {
  name: 'no-json-schema',
  load: (id: string) => {
    if (!/\/zod\/v4\/core\/(to-json-schema|json-schema-processors)\.js$/.test(id)) return null
    const names = [...readFileSync(id, 'utf8').matchAll(/^export (?:const|function) (\w+)/gm)].map(
      (m) => m[1],
    )
    const none = "const none = () => () => { throw new Error('JSON Schema is told by the server.') }"
    return [none, ...names.map((name) => `export const ${name} = none`)].join('\n')
  },
}

const nuxtDirectory = dirname(fileURLToPath(import.meta.resolve('nuxt/package.json')))

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  telemetry: false,
  // The working views live from state on the device; nothing would be gained by drawing them twice.
  ssr: false,
  modules: ['@pinia/nuxt', '@vueuse/nuxt', '@element-plus/nuxt', '@nuxt/eslint', 'nuxt-security'],
  css: [
    '@fontsource/atkinson-hyperlegible-next/latin-400.css',
    '@fontsource/atkinson-hyperlegible-next/latin-600.css',
    '@fontsource/atkinson-hyperlegible-next/latin-700.css',
    '@fontsource/atkinson-hyperlegible-mono/latin-400.css',
    '@fontsource/atkinson-hyperlegible-mono/latin-600.css',
    '~/assets/tokens.css',
    '~/assets/base.css',
  ],
  components: [
    { path: '~/components', pathPrefix: false },
    { path: '~/boards', pathPrefix: false },
  ],
  // Nothing is drawn on the server, so no payload has to be revived.
  experimental: { renderJsonPayloads: false },
  vite: {
    // Neither this program nor its kit uses options components.
    vue: { features: { optionsAPI: false } },
    plugins: [icons({ compiler: 'vue3', autoInstall: false, scale: 1 }), leftAlone, noJsonSchema],
    resolve: {
      alias: {
        '@ctrl/tinycolor': fileURLToPath(new URL('./app/kit/noTints.ts', import.meta.url)),
        'async-validator': fileURLToPath(new URL('./app/kit/noRules.ts', import.meta.url)),
        '@element-plus/icons-vue': fileURLToPath(new URL('./app/kit/icons.ts', import.meta.url)),
      },
    },
    // Every chunk names all that it needs at its head, so a list of what to fetch beside it would say it twice; its styles stand nowhere else.
    $client: {
      build: {
        // A thirtieth smaller than the usual one makes it, where every view counts its bytes.
        minify: 'terser',
        modulePreload: { resolveDependencies: (_, needed) => needed.filter((file) => file.endsWith('.css')) },
      },
    },
    // A worker may load more when it needs it, as the solver of trains.
    worker: {
      format: 'es',
      // What a worker and a page both need is one file to both.
      rollupOptions: { output: { assetFileNames: '_nuxt/[name].[hash][extname]' } },
    },
  },
  // Drawn by the browser alone, the development server still asks where a server would begin.
  $development: {
    vite: {
      $client: {
        build: { rollupOptions: { input: { server: join(nuxtDirectory, 'dist/app/entry-spa.js') } } },
      },
    },
  },
  spaLoadingTemplate: 'loading.html',
  app: {
    head: {
      title: 'Hushed Caliper',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'theme-color', content: '#1F2358' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        { rel: 'apple-touch-icon', href: '/icons/mark-touch-180.png' },
        { rel: 'manifest', href: '/app.webmanifest' },
      ],
    },
  },
  elementPlus: { importStyle: 'css', icon: false, themes: [] },
  hooks: {
    // Heavy tasks run in threads of their own: a bundle of theirs, beside the server's entry.
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        await build({
          entryPoints: [fileURLToPath(new URL('./server/heavy/tasks.ts', import.meta.url))],
          outfile: join(nitro.options.output.serverDir, 'tasks.mjs'),
          bundle: true,
          platform: 'node',
          format: 'esm',
          target: 'node20',
          // What is written as modules can be bundled; what stands beside it for older loaders may not.
          mainFields: ['module', 'main'],
          external: HEAVY_PACKAGES,
          logLevel: 'error',
        })
      })
    },
  },
  nitro: {
    preset: 'node-server',
    externals: { traceInclude: HEAVY_PACKAGES.map((name) => fileURLToPath(import.meta.resolve(name))) },
    compressPublicAssets: { gzip: true },
    serverAssets: ['next', 'mono'].map((face) => ({
      baseName: `fonts-${face}`,
      dir: fileURLToPath(
        new URL(`./node_modules/@fontsource/atkinson-hyperlegible-${face}/files`, import.meta.url),
      ),
      pattern: '*-latin-{400,700}-normal.woff',
    })),
  },
  security: {
    corsHandler: false,
    rateLimiter: false,
    requestSizeLimiter: false,
    xssValidator: false,
    nonce: true,
    headers: {
      crossOriginEmbedderPolicy: false,
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        'default-src': ["'self'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'", "'strict-dynamic'", "'wasm-unsafe-eval'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'", 'data:'],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'frame-ancestors': ["'none'"],
        'object-src': ["'none'"],
        'upgrade-insecure-requests': false,
      },
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { types: ['unplugin-icons/types/vue'] } } },
  eslint: { config: { stylistic: false } },
})
