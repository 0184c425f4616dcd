import type { HealthAnswer } from '../../shared/api/answers'
import { database } from '../database/connection'
import { currentMigration } from '../database/migrate'

/** Whether the database answers and how far it has been migrated. */
export const health = async (): Promise<HealthAnswer> => {
  try {
    return { status: 'ok', database: 'up', migration: await currentMigration(database('health')) }
  } catch {
    return { status: 'degraded', database: 'down', migration: null }
  }
}
