import { z } from 'zod'
import { oneOf } from '../calculation/fields'
import { issue } from '../issue'
import { text, uuid, words } from '../text'
import type { JobSummary, Page } from '../api/answers'
import { paging } from '../api/paging'
import { ACHIEVED_CAUSES } from '../../core/coupling/achieved'
import { DRIVES } from '../../core/register/drive'
import { JOB_REASONS } from '../../core/stages/open/entries'

export const SEARCHED_VERDICTS = ['in', 'edge', 'out', 'unknown'] as const

/** What jobs can be narrowed down by, in the order they are offered. */
export const FACETS = [
  'state',
  'verdict',
  'area',
  'machine',
  'kind',
  'reason',
  'customer',
  'person',
  'cause',
  'exception',
] as const
export type Facet = (typeof FACETS)[number]

const day = (what: 'from-day' | 'to-day') => z.iso.date({ error: issue('day', what) })

/** What the logbook is asked for; days are those on which a job was opened, both included. */
export const searchQuery = z.object({
  words: text('search-words', 200).default(''),
  state: oneOf('state-of-job', ['open', 'closed']).optional(),
  verdict: oneOf('verdict', SEARCHED_VERDICTS).optional(),
  area: words('area', 80).optional(),
  machine: words('which-machine-by-its-tag', 20).optional(),
  kind: oneOf('kind-of-job', DRIVES).optional(),
  reason: oneOf('reason', JOB_REASONS).optional(),
  customer: words('customer', 120).optional(),
  person: uuid('who-is-writing').optional(),
  cause: oneOf('cause', ACHIEVED_CAUSES).optional(),
  exception: oneOf('exception', ['yes']).optional(),
  from: day('from-day').optional(),
  to: day('to-day').optional(),
  ...paging(30),
})
export type SearchQuery = z.output<typeof searchQuery>

/** A value that jobs found can be narrowed down to, and how many of those counted have it. */
export interface FacetCount {
  readonly value: string
  readonly count: number
}

/** The counts beside a search are of the newest so many jobs that it found. */
export const COUNTED = 300

/** A page of what was found, newest first; on the first page with what it can be narrowed down by. */
export interface SearchAnswer extends Page<JobSummary> {
  readonly facets: Readonly<Record<Facet, readonly FacetCount[]>> | null
  /** How many jobs the counts are of. */
  readonly counted: number
}

/** A search kept under a name. */
export const savedView = z.object({
  id: uuid('view-id'),
  person: uuid('who-is-writing'),
  name: words('name-of-view', 60),
  /** As the address of the page has it. */
  query: text('search', 1000),
})
export type SavedView = z.output<typeof savedView>
export const droppedView = z.object({ by: uuid('who-is-writing') })
export const viewsQuery = z.object({ person: uuid('who-is-writing') })
