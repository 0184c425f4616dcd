/** `npm run backup [-- file]`: saves the works at DATABASE_URL in one file, while it goes on working. */
import dayjs from 'dayjs'
import { environment } from '../server/environment'
import { backUp, holdsOf } from './archive'
import { withDatabase } from './withDatabase'

const file = process.argv[2] ?? `hushed-caliper-${dayjs().format('YYYY-MM-DD-HHmm')}.dump`
await withDatabase(async (knex) => {
  const { machines, jobs, entries, photographs } = await holdsOf(knex)
  await backUp(environment().DATABASE_URL, file)
  process.stdout.write(
    `Saved in ${file}: ${machines} machines, ${jobs} jobs, ${entries} entries, ${photographs} photographs.\n`,
  )
})
