import { fileURLToPath } from 'node:url'

/** The program with one route more, built beside it: a bare insert through the same server and pool. */
export default {
  nitro: { output: { dir: fileURLToPath(new URL('../../../.local/bench-output', import.meta.url)) } },
}
