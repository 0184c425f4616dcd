import knexModule, { type Knex } from 'knex'
import { closeDatabase, knexOptions } from '../server/database/connection'
import { BadEnvironment, environment } from '../server/environment'
import { databaseFailure } from '../server/http/databaseFailure'
import { ArchiveTrouble } from './archive'

/** Runs a step on the database at DATABASE_URL; says plainly when there is none, and lets go of it after. */
export const withDatabase = async (step: (knex: Knex) => Promise<void>): Promise<void> => {
  let knex: Knex | undefined
  try {
    knex = knexModule(knexOptions(environment().DATABASE_URL))
    await step(knex)
  } catch (trouble) {
    const sentence =
      trouble instanceof BadEnvironment || trouble instanceof ArchiveTrouble
        ? trouble.message
        : databaseFailure(trouble)?.status === 503
          ? 'The database at DATABASE_URL does not answer. Check that it runs and that the address is right.'
          : null
    process.stderr.write(`${sentence ?? (trouble instanceof Error ? trouble.stack : String(trouble))}\n`)
    process.exitCode = 1
  } finally {
    await knex?.destroy()
    // A step may have used what the server uses; an idle pool would keep this process for half a minute.
    await closeDatabase()
  }
}
