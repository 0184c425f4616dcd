import type { Knex } from 'knex'
import {
  COUNTED,
  FACETS,
  type Facet,
  type FacetCount,
  type SavedView,
  type SearchAnswer,
  type SearchQuery,
} from '../../shared/search/search'
import { answerWords } from '../../shared/wording/viewWords'
import { cursorOf } from '../http/cursor'
import { notFound, Refused } from '../http/refusal'
import { jobsByIds } from '../jobs/jobs.repository'
import { findPerson } from '../works/works.repository'
import { deleteView, findJobs, insertView, viewsOf, type FoundJob, type Sought } from './search.repository'
import { plainWords, term } from './terms'

/** Words that are looked for at most; who types more means these. */
const MOST_WORDS = 12
/** Values of one facet that are offered. */
const OFFERED = 12

const soughtBy = (query: SearchQuery): Sought => ({
  words: plainWords(query.words).split(' ').filter(Boolean).slice(0, MOST_WORDS),
  terms: FACETS.flatMap((f) => {
    const value = query[f]
    return value === undefined ? [] : [term(f, value)]
  }),
  from: query.from,
  to: query.to,
})

/** What jobs found can be narrowed down by, and how many of them have it; the most frequent first. */
const facetsOf = (found: readonly FoundJob[]): Record<Facet, readonly FacetCount[]> => {
  const counts = new Map<string, number>()
  for (const { terms } of found) for (const t of terms) counts.set(t, (counts.get(t) ?? 0) + 1)
  const of = (facet: Facet): readonly FacetCount[] =>
    [...counts]
      .filter(([t]) => t.startsWith(`${facet}:`))
      .map(([t, count]) => ({ value: t.slice(facet.length + 1), count }))
      .sort((a, b) => b.count - a.count || a.value.localeCompare(b.value))
      .slice(0, OFFERED)
  return Object.fromEntries(FACETS.map((f) => [f, of(f)])) as Record<Facet, readonly FacetCount[]>
}

/** The newest jobs that hold what is looked for, by their ids; at most so many. */
export const idsFound = async (knex: Knex, query: SearchQuery, most: number): Promise<readonly string[]> =>
  (await findJobs(knex, soughtBy(query), most)).map((found) => found.id)

/** A page of the jobs that hold what is looked for; the first one says what they can be narrowed down by. */
export const searchJobs = async (knex: Knex, query: SearchQuery): Promise<SearchAnswer> => {
  const first = query.after === undefined
  const found = await findJobs(
    knex,
    soughtBy(query),
    first ? Math.max(COUNTED, query.most + 1) : query.most + 1,
    query.after,
  )
  const page = found.slice(0, query.most)
  const last = page[page.length - 1]
  const counted = first ? found.slice(0, COUNTED) : []
  return {
    rows: await jobsByIds(
      knex,
      page.map((f) => f.id),
    ),
    next: found.length > query.most && last ? cursorOf(last.at, last.id) : null,
    facets: first ? facetsOf(counted) : null,
    counted: counted.length,
  }
}

/** Most searches that one person keeps. */
const MOST_VIEWS = 50

/** Keeps a search under a name. 404 for an unknown person, 409 once they keep too many. */
export const keepView = async (knex: Knex, view: SavedView): Promise<SavedView> => {
  if (!(await findPerson(knex, view.person))) throw notFound(answerWords.noSuchPerson)
  const kept = await viewsOf(knex, view.person)
  if (kept.length >= MOST_VIEWS && !kept.some((v) => v.name === view.name))
    throw new Refused(409, 'too-many', answerWords.tooManyViews(MOST_VIEWS))
  if (kept.some((v) => v.id === view.id && v.name !== view.name))
    throw new Refused(409, 'id-taken', answerWords.viewIdTaken)
  return insertView(knex, view)
}

/** Drops a search; only whose it is can. */
export const dropView = async (knex: Knex, id: string, by: string): Promise<{ readonly id: string }> => {
  if (!(await deleteView(knex, id, by))) throw notFound(answerWords.noView)
  return { id }
}
