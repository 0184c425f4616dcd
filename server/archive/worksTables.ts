/** One table of a works as its archive holds it. */
export interface ArchivedTable {
  readonly name: string
  /** What its rows are told by, in this order: the same works gives the same text. */
  readonly by: readonly string[]
  /** Columns that stay behind: secrets, and what is worked out from others. */
  readonly without?: readonly string[]
}

/**
 * Every table that is a record, each after those it points at. Left out: who has which PIN, the works' own key, and how
 * instruments are paired; a works that is brought in asks for its first lead.
 */
export const WORKS_TABLES: readonly ArchivedTable[] = [
  { name: 'works', by: ['id'] },
  { name: 'customers', by: ['id'] },
  { name: 'sites', by: ['id'] },
  { name: 'people', by: ['id'], without: ['secret', 'secret_once', 'epoch', 'wrong', 'wait_until'] },
  { name: 'machines', by: ['id'] },
  { name: 'limit_sets', by: ['id'] },
  { name: 'belt_limits', by: ['id'] },
  { name: 'belt_sections', by: ['id'] },
  { name: 'instruments', by: ['id'] },
  { name: 'shim_lots', by: ['id'] },
  { name: 'shim_counts', by: ['id'] },
  { name: 'spare_belts', by: ['id'] },
  { name: 'spare_belt_counts', by: ['id'] },
  { name: 'standstills', by: ['id'] },
  { name: 'feeds', by: ['id'] },
  { name: 'search_views', by: ['id'] },
  { name: 'practice_tasks', by: ['id'] },
  { name: 'practice_results', by: ['id'] },
  { name: 'jobs', by: ['id'] },
  { name: 'entries', by: ['job_id', 'seq'] },
  { name: 'job_figures', by: ['job_id', 'moment', 'name'] },
  { name: 'job_search', by: ['job_id'] },
  { name: 'belt_forecasts', by: ['machine_id'] },
  { name: 'seconds', by: ['act'] },
  { name: 'deeds', by: ['at', 'id'], without: ['words'] },
]

/** Tables that no archive holds, with why. */
export const LEFT_OUT: Readonly<Record<string, string>> = {
  keys: 'the works’ own key to its cookies',
  instrument_links: 'how instruments are paired; which of them spoke is an entry',
  photographs: 'a picture each, beside the tables',
  search_words: 'every word of job_search once: the database keeps it by itself',
  knex_migrations: 'said in works.json',
  knex_migrations_lock: 'said in works.json',
}
