/** `npm run migrate`: brings the database at DATABASE_URL up to date; `-- --down` takes all back. */
import { closeDatabase, database } from '../server/database/connection'
import { migrateDown, migrateUp } from '../server/database/migrate'

const down = process.argv.includes('--down')
const names = await (down ? migrateDown(database()) : migrateUp(database()))
process.stdout.write(
  names.length === 0
    ? 'The database is as it should be; nothing to do.\n'
    : `${down ? 'Taken back' : 'Migrated'}: ${names.join(', ')}\n`,
)
await closeDatabase()
