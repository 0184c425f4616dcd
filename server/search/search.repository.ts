import type { Knex } from 'knex'
import type { SavedView } from '../../shared/search/search'
import { readCursor } from '../http/cursor'

/** What a job is found by. */
export interface FoundBy {
  readonly jobId: string
  readonly openedAt: string
  /** Plain: small letters and figures between spaces. */
  readonly words: string
  readonly terms: readonly string[]
}

/** Writes what a job is found by, whatever was there before. */
export const findAnew = async (knex: Knex, { jobId, openedAt, words, terms }: FoundBy): Promise<void> => {
  await knex.raw(
    `insert into job_search (job_id, opened_at, words, terms)
     values (?, ?, strip(to_tsvector('simple', ?::text)), ?::text[])
     on conflict (job_id) do update set
       opened_at = excluded.opened_at, words = excluded.words, terms = excluded.terms`,
    [jobId, openedAt, words, terms as unknown as string],
  )
}

/** What is looked for; every word the beginning of one that is there. */
export interface Sought {
  /** Plain words. */
  readonly words: readonly string[]
  readonly terms: readonly string[]
  /** Opened on these days or between them, YYYY-MM-DD. */
  readonly from?: string | undefined
  readonly to?: string | undefined
}

/** A job that was found: the moment it is ordered by, and all it is found by. */
export interface FoundJob {
  readonly id: string
  readonly at: string
  readonly terms: readonly string[]
}

/** Words that one typed word may begin: where it begins more, it is looked for as a beginning. */
const MOST_BEGUN = 60
/** Behind every letter and figure. */
const LAST = String.fromCodePoint(0x10ffff)

/**
 * What is looked for as PostgreSQL asks it: typed words as the words they begin, which an index finds by reading the
 * rarest of them. Null where one of them begins nothing that anybody wrote.
 */
const askedFor = async (knex: Knex, words: readonly string[]): Promise<string | null> => {
  const { rows } = (await knex.raw(
    `select t.n::int as n, s.word from unnest(?::text[]) with ordinality as t(typed, n)
     cross join lateral (
       select word from search_words
       where word >= t.typed collate "C" and word < (t.typed || ?) collate "C" order by word limit ?) s`,
    [words as unknown as string, LAST, MOST_BEGUN + 1],
  )) as { rows: { n: number; word: string }[] }
  const begun = words.map((_, i) =>
    rows.filter((r) => r.n === i + 1).map((r) => `'${r.word.replaceAll(/['\\]/g, '$&$&')}'`),
  )
  if (begun.some((list) => list.length === 0)) return null
  return begun
    .map((list, i) => (list.length > MOST_BEGUN ? `${words[i] ?? ''}:*` : `(${list.join(' | ')})`))
    .join(' & ')
}

/** The newest jobs that hold all of it, from where a page ended on; at most so many. */
export const findJobs = async (
  knex: Knex,
  { words, terms, from, to }: Sought,
  most: number,
  after?: string,
): Promise<readonly FoundJob[]> => {
  const asked = words.length > 0 ? await askedFor(knex, words) : ''
  if (asked === null) return []
  const query = knex('job_search')
    .orderBy([
      { column: 'opened_at', order: 'desc' },
      { column: 'job_id', order: 'desc' },
    ])
    .limit(most)
    .select('job_id', 'opened_at', 'terms')
  if (asked !== '') query.whereRaw(`words @@ to_tsquery('simple', ?)`, [asked])
  if (terms.length > 0) query.whereRaw('terms @> ?::text[]', [terms as unknown as string])
  if (from) query.where('opened_at', '>=', from)
  if (to) query.whereRaw(`opened_at < ?::date + interval '1 day'`, [to])
  if (after) {
    const { at, id } = readCursor(after)
    query.whereRaw('(opened_at, job_id) < (?, ?)', [at, id])
  }
  const rows = (await query) as { job_id: string; opened_at: Date; terms: string[] }[]
  return rows.map((r) => ({ id: r.job_id, at: r.opened_at.toISOString(), terms: r.terms }))
}

/** Searches that somebody keeps, by name. */
export const viewsOf = async (knex: Knex, person: string): Promise<readonly SavedView[]> =>
  (await knex('search_views')
    .where({ person })
    .orderBy('name')
    .limit(100)
    .select('id', 'person', 'name', 'query')) as SavedView[]

/** Keeps a search; one of the same name of the same person gives way. */
export const insertView = async (knex: Knex, view: SavedView): Promise<SavedView> => {
  const [kept] = (await knex('search_views')
    .insert(view)
    .onConflict(['person', 'name'])
    .merge(['query'])
    .returning(['id', 'person', 'name', 'query'])) as SavedView[]
  return kept ?? view
}

/** Drops a search of somebody's; false where they have none by that id. */
export const deleteView = async (knex: Knex, id: string, person: string): Promise<boolean> =>
  (await knex('search_views').where({ id, person }).delete()) > 0
