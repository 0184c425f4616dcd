import { closeDatabase } from '../database/connection'
import { closePool } from '../heavy/pool'
import { log } from '../log'

/** On a stop signal: end the database connections and go, so that open streams can't hold the process. */
export default defineNitroPlugin(() => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      log.info({ signal }, 'stopping')
      void Promise.all([closeDatabase(), closePool()]).finally(() => process.exit(0))
      setTimeout(() => process.exit(0), 2000).unref()
    })
})
