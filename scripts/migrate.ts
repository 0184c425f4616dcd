/** `npm run migrate`: brings the database at DATABASE_URL up to date; `-- --down` takes all back. */
import { migrateDown, migrateUp } from '../server/database/migrate'
import { withDatabase } from './withDatabase'

const down = process.argv.includes('--down')
await withDatabase(async (knex) => {
  const names = await (down ? migrateDown(knex) : migrateUp(knex))
  process.stdout.write(
    names.length === 0
      ? 'The database is as it should be; nothing to do.\n'
      : `${down ? 'Taken back' : 'Migrated'}: ${names.join(', ')}\n`,
  )
})
