import type { AchievedCause } from '../../../core/coupling/achieved'
import type { Drive } from '../../../core/register/drive'
import type { Facet } from '../../search/search'
import { said } from '../words'

/** The logbook of the works: looking for jobs. */
const logbookSearch = {
  title: 'Logbook',
  search: 'Look for jobs',
  hint: 'Words, a tag, a place, a name, a customer',
  facets: {
    state: 'State',
    verdict: 'Ended',
    area: 'Place',
    machine: 'Machine',
    kind: 'Joined by',
    reason: 'Why',
    customer: 'Customer',
    person: 'Who wrote',
    cause: 'Why a move missed',
    exception: 'Closed with an exception',
  } satisfies Record<Facet, string>,
  tables: {
    out: 'Take out what was found, as CSV:',
    names: { jobs: 'jobs', readings: 'readings', moves: 'moves', belts: 'belts' },
    notes: {
      jobs: 'A row a job.',
      readings: 'A row a reading of a dial, as it was typed.',
      moves: 'A row a shim change or a push.',
      belts: 'A row a belt of each tension reading.',
    },
  },
  states: { open: 'open', closed: 'closed' },
  kinds: {
    coupled: 'a coupling',
    train: 'a line',
    flange: 'a flange',
    drum: 'a drum',
    gear: 'a gearset',
    belt: 'belts',
  } satisfies Record<Drive, string>,
  causes: {
    'as-planned': 'as made',
    'came-along': 'came along',
    'nothing-happened': 'nothing moved',
    'sign-swapped': 'sign swapped',
    'sides-swapped': '3 and 9 swapped',
    'feet-swapped': 'ends swapped',
    'part-only': 'only part arrived',
    'shift-on-tightening': 'shifted on tightening',
    'soft-foot': 'soft foot',
    'coupling-strain': 'coupling strain',
    differs: 'otherwise',
  } satisfies Record<AchievedCause, string>,
  yes: 'yes',
  narrow: (facet: string, value: string, count: number) =>
    `${facet}: ${value}, ${String(count)} ${count === 1 ? 'job' : 'jobs'}`,
  widen: (facet: string, value: string) => `${facet}: ${value}. Take it away`,
  from: 'From',
  to: 'To',
  counted: (n: number, most: number) =>
    n >= most
      ? `counted over the newest ${String(most)} found`
      : `${String(n)} ${n === 1 ? 'job' : 'jobs'} found`,
  none: 'No job holds all of that. Take a word or a choice away.',
  noneYet: 'No job has been opened yet.',
  clear: 'Start anew',
  more: 'Older ones',
  views: 'Kept searches',
  keep: 'Keep this search',
  name: 'Its name',
  keepIt: 'Keep it',
  dropSign: '×',
  drop: (name: string) => `Drop the search ${name}`,
  open: (name: string) => `Search ${name}`,
  wrongDays: 'The first day lies after the last. Change one of them.',
}

export const logbookSearchWords = said(logbookSearch)
