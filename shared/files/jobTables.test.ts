import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../core/logbook/entry'
import type { JobSummary } from '../api/answers'
import { jobTable, TABLE_KINDS } from './jobTables'
import { JOB_TABLES, type JobTable } from './tableNames'

const job = {
  id: 'j1',
  tag: 'CP-11',
  machineName: '=Mill, "clay"',
  openedAt: '2026-03-01T06:00:00.000Z',
  closedAt: null,
  stage: 'measure',
  verdict: 'out',
  provisional: false,
  nextDue: null,
  lastAuthor: 'Day-shift millwright',
} as unknown as JobSummary

const entry = (id: string, kind: string, payload: object, more: object = {}) =>
  ({
    id,
    kind,
    payload,
    author: 'p1',
    madeAt: '2026-03-01T07:00:00.000Z',
    supersedes: null,
    ...more,
  }) as unknown as LogEntry
const entries = [
  entry('r1', 'readings-taken', {
    units: 'inch',
    circles: {
      rim: [
        { clock: 0, value: 0 },
        { clock: 90, value: -2.5, group: 'a' },
      ],
      face: [{ clock: 0, value: 1 }],
    },
    returned: { rim: 0.5 },
  }),
  entry(
    'r2',
    'readings-taken',
    { units: 'inch', circles: { rim: [{ clock: 0, value: 7 }] }, returned: null },
    { supersedes: { entry: 'r1', reason: 'slip' }, part: 'c2' },
  ),
  entry('m1', 'move-made', {
    units: 'metric',
    changes: [{ machine: 'movable', pair: 'inboard', side: 'left', putIn: [0.5, 0.2], takenOut: [] }],
    side: [{ machine: 'movable', pair: 'outboard', moved: -0.3 }],
    remark: 'stiff',
  }),
  entry('f1', 'flange-moved', {
    units: 'inch',
    changes: [{ bolt: '3', putIn: [5], takenOut: [2] }],
    pushed: { v: 1, h: -2 },
    remark: '',
  }),
  entry('b1', 'tension-read', {
    units: 'metric',
    age: 'new',
    sheaves: 'held',
    read: { by: 'force', deflection: 9, forces: [31, 30] },
    words: '',
  }),
]
const rows = (table: JobTable) => {
  const kinds = TABLE_KINDS[table]
  const text = jobTable(table, {
    jobs: [job],
    entries: new Map([['j1', entries.filter((e) => kinds.includes(e.kind))]]),
    nameOf: () => 'Day-shift millwright',
  })
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true })
  expect(errors).toEqual([])
  return data
}

describe('jobs as CSV', () => {
  it('are a row each, and never a formula', () => {
    expect(rows('jobs')).toMatchObject([
      { tag: 'CP-11', machine: `'=Mill, "clay"`, verdict: 'out', 'closed at': '' },
    ])
  })

  it('readings: a row a place, in the units they were typed in; corrected ones stay and say so', () => {
    const read = rows('readings')
    expect(read.map((r) => [r.circle, r.clock, r.degrees, r.value, r.group, r.returned])).toEqual([
      ['rim', '12:00', '0', '0', '', '0.5'],
      ['rim', '3:00', '90', '-2.5', 'a', '0.5'],
      ['face', '12:00', '0', '1', '', ''],
      ['rim', '12:00', '0', '7', '', ''],
    ])
    expect(read.map((r) => [r.corrects, r.corrected, r.part])).toEqual([
      ['', 'yes', ''],
      ['', 'yes', ''],
      ['', 'yes', ''],
      ['r1', 'no', 'c2'],
    ])
    expect(read.at(-1)?.['why corrected']).toBe('slip')
  })

  it('moves: leaves foot by foot or bolt by bolt, pushes end by end', () => {
    expect(
      rows('moves').map((r) => [r.place, r.side, r['put in'], r['taken out'], r.moved, r.plane]),
    ).toEqual([
      ['movable inboard', 'left', '0.5 + 0.2', '', '', 'vertical'],
      ['movable outboard', '', '', '', '-0.3', 'horizontal'],
      ['bolt 3', '', '5', '2', '', 'vertical'],
      ['flange', '', '', '', '1', 'vertical'],
      ['flange', '', '', '', '-2', 'horizontal'],
    ])
  })

  it('belts: each of a reading, with what it was read by', () => {
    expect(rows('belts').map((r) => [r.belt, r.value, r['read as'], r.given])).toEqual([
      ['1', '31', 'force', '9'],
      ['2', '30', 'force', '9'],
    ])
  })

  it('of nothing found are their heads', () => {
    for (const table of JOB_TABLES)
      expect(jobTable(table, { jobs: [], entries: new Map(), nameOf: String })).toMatch(
        /^job,tag,machine,.+\r\n$/,
      )
  })
})
