import { fileURLToPath } from 'node:url'
import { join } from 'node:path'

/** The project's own folder. */
export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '')
/** Everything a start leaves on this machine that is not the project's. */
export const LOCAL = join(ROOT, '.local')
