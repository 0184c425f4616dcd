/** `npm run restore -- file`: brings a works back into the empty database at DATABASE_URL, and up to today's version. */
import { environment } from '../server/environment'
import { ArchiveTrouble, holdsOf, restore } from './archive'
import { withDatabase } from './withDatabase'

const [, , file] = process.argv
await withDatabase(async (knex) => {
  if (!file)
    throw new ArchiveTrouble('Say which file: npm run restore -- hushed-caliper-2026-03-01-0600.dump')
  const ran = await restore(knex, environment().DATABASE_URL, file)
  const { machines, jobs, entries, photographs } = await holdsOf(knex)
  process.stdout.write(
    `Brought back from ${file}: ${machines} machines, ${jobs} jobs, ${entries} entries, ${photographs} photographs.\n`,
  )
  if (ran.length > 0)
    process.stdout.write(
      `It was of an older version and has been migrated: ${ran.join(', ')}. Run npm run refold next.\n`,
    )
})
