import type { Knex } from 'knex'
import { jobTable, TABLE_KINDS } from '../../shared/files/jobTables'
import type { JobTable } from '../../shared/files/tableNames'
import type { SearchQuery } from '../../shared/search/search'
import { pages } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from '../http/refusal'
import { entriesOfJobs } from '../jobs/entries.repository'
import { jobsByIds } from '../jobs/jobs.repository'
import { peopleById } from '../jobs/people'
import { idsFound } from '../search/search'

/** Most jobs in one file: a spreadsheet takes their readings. */
const MOST = 2000

/** The jobs that a search finds as a table; 422 where they are too many for one file. */
export const tableOfJobs = async (knex: Knex, table: JobTable, query: SearchQuery): Promise<string> => {
  const ids = await idsFound(knex, query, MOST + 1)
  if (ids.length > MOST) throw new Refused(422, 'too-many', answerWords.tooManyJobs(MOST))
  const kinds = TABLE_KINDS[table]
  const people = await peopleById(knex)
  return jobTable(table, {
    jobs: await jobsByIds(knex, ids),
    entries: kinds.length > 0 ? await entriesOfJobs(knex, ids, kinds) : new Map(),
    nameOf: (id) => people.get(id)?.name ?? pages.machine.someone,
  })
}
