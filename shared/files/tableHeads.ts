import { csvText } from './csv'
import type { JobTable } from './tableNames'

const OF_JOB = ['job', 'tag', 'machine'] as const
const OF_ENTRY = [
  ...OF_JOB,
  'entry',
  'made at',
  'by',
  'part',
  'corrects',
  'why corrected',
  'corrected',
  'units',
] as const

/** The columns of each table of jobs, out and in. */
export const HEADS = {
  jobs: [
    ...OF_JOB,
    'opened at',
    'closed at',
    'stage',
    'verdict',
    'provisional',
    'next due',
    'last written by',
    'reason',
    'rpm',
    'customer',
    'site',
    'note',
  ],
  readings: [...OF_ENTRY, 'circle', 'clock', 'degrees', 'value', 'group', 'returned', 'turned'],
  moves: [...OF_ENTRY, 'place', 'side', 'put in', 'taken out', 'moved', 'plane', 'remark'],
  belts: [
    ...OF_ENTRY,
    'age',
    'sheaves',
    'read as',
    'given',
    'belt',
    'value',
    'window from',
    'window to',
    'remark',
  ],
} as const satisfies Readonly<Record<JobTable, readonly string[]>>

export type Column<T extends JobTable = JobTable> = (typeof HEADS)[T][number]

/** A table without a row, to be filled in. */
export const blankTable = (table: JobTable): string => csvText(HEADS[table], [])
