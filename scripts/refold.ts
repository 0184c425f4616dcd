/** `npm run refold`: rewrites what lists and trends are read from, for every job, from its logbook. */
import { jobIdsAfter } from '../server/jobs/jobs.repository'
import { refoldJob } from '../server/jobs/logbook'
import { withDatabase } from './withDatabase'

await withDatabase(async (knex) => {
  let done = 0
  for (let after: string | null = null; ;) {
    const ids: readonly string[] = await jobIdsAfter(knex, after, 200)
    for (const id of ids) await refoldJob(knex, id)
    done += ids.length
    const last = ids[ids.length - 1]
    if (!last) break
    after = last
    process.stdout.write(`${done} jobs folded anew\n`)
  }
})
