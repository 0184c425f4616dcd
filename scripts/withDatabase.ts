import type { Knex } from 'knex'
import { closeDatabase, database } from '../server/database/connection'
import { BadEnvironment } from '../server/environment'
import { databaseDown } from '../server/http/databaseDown'

/** Runs a step on the database at DATABASE_URL; says plainly when there is none, and lets go of it after. */
export const withDatabase = async (step: (knex: Knex) => Promise<void>): Promise<void> => {
  try {
    await step(database())
  } catch (trouble) {
    const sentence =
      trouble instanceof BadEnvironment
        ? trouble.message
        : databaseDown(trouble)
          ? 'The database at DATABASE_URL does not answer. Check that it runs and that the address is right.'
          : null
    process.stderr.write(`${sentence ?? (trouble instanceof Error ? trouble.stack : String(trouble))}\n`)
    process.exitCode = 1
  } finally {
    await closeDatabase()
  }
}
