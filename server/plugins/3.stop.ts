import { closeDatabase } from '../database/connection'
import { environment } from '../environment'
import { closePools } from '../heavy/pool'
import { log } from '../log'

/** Ends once the process that started this one is gone, so that a killed start leaves nothing running. */
const endWithParent = (): void => {
  const parent = process.ppid
  setInterval(() => {
    if (process.ppid === parent) return
    log.info('whoever started this is gone; stopping')
    process.kill(process.pid, 'SIGTERM')
  }, 1000).unref()
}

/** On a stop signal: end the database connections and go, so that open streams can't hold the process. */
export default defineNitroPlugin(() => {
  if (environment().HC_ENDS_WITH_PARENT) endWithParent()
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      log.info({ signal }, 'stopping')
      void Promise.all([closeDatabase(), closePools()]).finally(() => process.exit(0))
      setTimeout(() => process.exit(0), 2000).unref()
    })
})
