import { fileURLToPath } from 'node:url'
import type { NuxtConfig } from 'nuxt/schema'

/** The program with one route more, built beside it: a bare insert through the same server and pool. */
const config: NuxtConfig = {
  nitro: { output: { dir: fileURLToPath(new URL('../../../.local/bench-output', import.meta.url)) } },
}
export default config
