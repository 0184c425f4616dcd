import { BadEnvironment, environment } from '../environment'
import { startPools } from '../heavy/pool'
import { log } from '../log'

/** Checks the settings before anything is served, and says what is missing and stops; then starts the threads. */
export default defineNitroPlugin(() => {
  try {
    log.level = environment().HC_LOG_LEVEL
  } catch (fault) {
    if (!(fault instanceof BadEnvironment)) throw fault
    process.stderr.write(`${fault.message}\n`)
    process.exit(1)
  }
  startPools()
})
