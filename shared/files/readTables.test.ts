import { describe, expect, it } from 'vitest'
import type { EntryBody, LogEntry } from '../../core/logbook/entry'
import type { JobSummary } from '../api/answers'
import { jobTable, TABLE_KINDS } from './jobTables'
import { MOST_THINGS, readTables } from './readTables'
import { blankTable } from './tableHeads'
import { JOB_TABLES, type JobTable } from './tableNames'

const JOB = '11111111-1111-4111-8111-111111111111'
const CORRECTED = '22222222-2222-4222-8222-222222222222'
const WHEN = '2026-03-01T07:00:00.000Z'
const summary = { id: JOB, tag: 'CP-11', machineName: 'Mill', openedAt: WHEN, closedAt: null } as JobSummary

const idOf = (i: number) => `33333333-3333-4333-8333-${String(i).padStart(12, '0')}`
const out = (table: JobTable, bodies: readonly EntryBody[], more: object = {}): string =>
  jobTable(table, {
    jobs: [summary],
    entries: new Map([
      [
        JOB,
        bodies.map(
          (body, i) =>
            ({ id: idOf(i), author: 'p1', madeAt: WHEN, supersedes: null, ...body, ...more }) as LogEntry,
        ),
      ],
    ]),
    nameOf: () => 'Day-shift millwright',
  })

const readings: EntryBody = {
  kind: 'readings-taken',
  payload: {
    units: 'inch',
    circles: {
      rim: [
        { clock: 0, value: 0 },
        { clock: 90, value: -2.5, group: 'a' },
        { clock: 123.4, value: 3 },
      ],
      face: [
        { clock: 0, value: 1 },
        { clock: 180, value: 2 },
      ],
    },
    returned: { rim: 0.5 },
    turned: 'against',
  },
}
const BODIES: Readonly<Record<Exclude<JobTable, 'jobs'>, readonly EntryBody[]>> = {
  readings: [
    readings,
    { ...readings, payload: { ...readings.payload, returned: null, turned: undefined } } as EntryBody,
  ],
  moves: [
    {
      kind: 'move-made',
      payload: {
        units: 'metric',
        changes: [
          { machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [0.5, 0.2] },
          { machine: 'movable', pair: 'outboard', side: 'right', takenOut: [1], putIn: [] },
        ],
        side: [{ machine: 'stationary', pair: 'far end', moved: -0.3 }],
        remark: '=stiff, "very"',
      },
    },
    {
      kind: 'flange-moved',
      payload: {
        units: 'inch',
        changes: [{ bolt: '3', takenOut: [2], putIn: [5] }],
        pushed: { v: 1, h: -2 },
        remark: '',
      },
    },
    {
      kind: 'flange-moved',
      payload: {
        units: 'inch',
        changes: [{ bolt: '12', takenOut: [], putIn: [5] }],
        pushed: null,
        remark: '',
      },
    },
  ],
  belts: (
    [
      { by: 'force', deflection: 9, forces: [31, 30] },
      { by: 'deflection', force: 20, deflections: [4, 5] },
      { by: 'frequency', hertz: [40, 41.5] },
      { by: 'marks', slack: 500, apart: [503, 504] },
      { by: 'hand', deflections: [8], window: [6, 10] },
      { by: 'hand', deflections: [8], window: null },
    ] as const
  ).map((read) => ({
    kind: 'tension-read',
    payload: { units: 'metric', age: 'new', sheaves: 'held', read, words: 'hot' },
  })),
}

/** A table with these cells, by their columns. */
const csv = (rows: readonly Readonly<Record<string, string | number>>[]): string => {
  const heads = [...new Set(rows.flatMap((r) => Object.keys(r)))]
  return [heads, ...rows.map((r) => heads.map((h) => r[h] ?? ''))].map((r) => r.join(',')).join('\n')
}
const reading = (more: object = {}) => ({
  tag: 'CP-11',
  units: 'inch',
  circle: 'rim',
  clock: '3:00',
  value: 1,
  ...more,
})
const pairOf = (more: object = {}) => [reading({ clock: '12:00', ...more }), reading(more)]
const faultsOf = (rows: readonly Readonly<Record<string, string | number>>[]) =>
  readTables([csv(rows)]).faults.map((f) => `${f.at}: ${f.message}`)

describe('tables of jobs, read', () => {
  it.each(['readings', 'moves', 'belts'] as const)(
    '%s say what the entries say that they were made of',
    (table) => {
      const bodies = BODIES[table]
      expect(new Set(bodies.map((b) => b.kind))).toEqual(new Set(TABLE_KINDS[table]))
      const { entries, faults } = readTables([out(table, bodies)])
      expect(faults).toEqual([])
      expect(entries.map((e) => e.body)).toEqual(
        bodies.map((b) => JSON.parse(JSON.stringify(b)) as EntryBody),
      )
      expect(entries.map((e) => [e.entry, e.job, e.madeAt, e.by])).toEqual(
        bodies.map((_, i) => [idOf(i), JOB, WHEN, 'Day-shift millwright']),
      )
    },
  )

  it('a correction says what it corrects, a train which part of it', () => {
    const text = out('readings', [readings], {
      part: 'c2',
      supersedes: { entry: CORRECTED, reason: 'slipped' },
    })
    expect(readTables([text]).entries).toMatchObject([
      { part: 'c2', corrects: { entry: CORRECTED, reason: 'slipped' } },
    ])
  })

  it('jobs say what each was opened for', () => {
    const text = jobTable('jobs', {
      jobs: [summary, { ...summary, closedAt: WHEN }],
      entries: new Map([
        [
          JOB,
          [
            {
              kind: 'job-opened',
              payload: { reason: 'wear', rpm: 1480, customer: 'Kiln yard', site: 'North', note: '@dawn' },
            } as LogEntry,
          ],
        ],
      ]),
      nameOf: String,
    })
    const { openings, faults } = readTables([text])
    expect(faults).toEqual([])
    expect(openings).toMatchObject([
      { job: JOB, closed: false, openedAt: WHEN, reason: 'wear', rpm: 1480, note: '@dawn' },
      { closed: true, customer: 'Kiln yard', site: 'North' },
    ])
    expect(readTables(['tag\nCP-11']).openings).toMatchObject([
      { tag: 'CP-11', job: '', openedAt: null, reason: 'planned', rpm: null, closed: false },
    ])
  })

  it.each([
    ['2026-03-01T07:00:00.000Z', WHEN],
    ['2026-03-01 07:00', WHEN],
    ['2026-03-01T07:00z', WHEN],
    ['2026-03-01T08:00+01:00', WHEN],
    ['2026-03-01', '2026-03-01T00:00:00.000Z'],
    ['01/03/2026', null],
    ['2026-13-01', null],
    ['1926-03-01', null],
  ])('a time is read as it may be written: %s', (typed, madeAt) => {
    const { entries, faults } = readTables([csv(pairOf({ 'made at': typed }))])
    expect(entries.map((e) => e.madeAt)).toEqual(madeAt === null ? [] : [madeAt])
    expect(faults).toHaveLength(madeAt === null ? 1 : 0)
  })

  it('without names lines belong together that stand together and say one place and time', () => {
    const rows = [
      ...pairOf(),
      ...pairOf({ 'made at': '2026-03-01 07:00' }),
      ...pairOf({ tag: 'CP-12' }),
      ...pairOf(),
      ...pairOf({ entry: 'x' }),
      ...pairOf({ entry: 'y' }),
    ]
    const { entries, faults } = readTables([csv(rows)])
    expect(faults).toEqual([])
    expect(entries.map((e) => [e.tag, e.madeAt, e.entry, e.counted])).toEqual([
      ['CP-11', null, '', 2],
      ['CP-11', WHEN, '', 2],
      ['CP-12', null, '', 2],
      ['CP-11', null, '', 2],
      ['CP-11', null, 'x', 2],
      ['CP-11', null, 'y', 2],
    ])
  })

  it('several at once, each known by its columns', () => {
    const read = readTables([out('belts', BODIES.belts), 'tag\nCP-11', out('moves', BODIES.moves)])
    expect(read.faults).toEqual([])
    expect(read.entries).toHaveLength(BODIES.belts.length + BODIES.moves.length)
    expect(read.openings).toHaveLength(1)
  })

  it.each(JOB_TABLES)('%s to fill in have nothing wrong with them, and nothing in them', (table) => {
    expect(readTables([blankTable(table)])).toEqual({ openings: [], entries: [], faults: [] })
  })

  it('names what is wrong by its line and column, and leaves out what belongs to it', () => {
    expect(faultsOf(pairOf({ value: 'two' }))).toEqual([
      expect.stringMatching(/^readings, line 2, value: /),
      expect.stringMatching(/^readings, line 3, value: /),
    ])
    expect(faultsOf(pairOf({ clock: '13:00' }))[0]).toMatch(/line 2, clock: .*3:00/)
    expect(faultsOf(pairOf({ degrees: 180, clock: '3:00' }))[0]).toMatch(/degrees: .*different places/)
    expect(faultsOf(pairOf({ units: 'stone' }))[0]).toMatch(/^readings, line 2: Give the units as one of/)
    expect(faultsOf(pairOf({ 'made at': 'yesterday' }))[0]).toMatch(/made at: Give the time as/)
    expect(faultsOf(pairOf({ job: 'the one' }))[0]).toMatch(/job: .*id/)
    expect(
      faultsOf([reading({ entry: 'x' }), reading({ entry: 'x', units: 'metric', clock: '6:00' })]),
    ).toEqual([expect.stringMatching(/^readings, line 3, units: Line 2 belongs to the same entry/)])
    expect(faultsOf([reading()])[0]).toMatch(/^readings, line 2: /)
    const both = readTables([csv([...pairOf({ value: 'x', tag: 'CP-12' }), ...pairOf()])])
    expect(both.entries.map((e) => e.tag)).toEqual(['CP-11'])
  })

  it('says what is wrong with moves and belts', () => {
    const move = (more: Readonly<Record<string, string | number>>) =>
      faultsOf([{ tag: 'CP-11', units: 'inch', ...more }])[0]
    expect(move({ place: 'somewhere' })).toMatch(/place: Give the place/)
    expect(move({ place: 'movable inboard' })).toMatch(/side: /)
    expect(move({ place: 'movable inboard', side: 'up' })).toMatch(/left/)
    expect(move({ place: 'movable inboard', side: 'left', 'put in': '5 + x' })).toMatch(/put in: /)
    expect(move({ place: 'flange', moved: 1 })).toMatch(/plane: /)
    expect(move({ place: 'bolt 3', 'put in': Array(50).fill('1').join(' + ') })).toMatch(/twenty/)
    const mixed = ['bolt 1', 'movable inboard'].map((place) => ({
      tag: 'X',
      units: 'inch',
      place,
      entry: '1',
    }))
    expect(faultsOf(mixed).join()).toMatch(/line 3, place: One move/)
    const belt = (more: Readonly<Record<string, string | number>>) =>
      faultsOf([
        {
          tag: 'X',
          units: 'inch',
          age: 'new',
          'read as': 'force',
          given: 9,
          belt: 1,
          value: 3,
          ...more,
        },
      ])[0]
    expect(belt({ belt: 2 })).toMatch(/belt: Count the belts/)
    expect(belt({ given: '' })).toMatch(/deflection/)
    expect(belt({ 'read as': 'constructor' })).toMatch(/^belts, line 2: /)
    expect(belt({ 'read as': 'hand', 'window from': 3 })).toMatch(/^belts, line 2: /)
    expect(belt({})).toBeUndefined()
  })

  it('says what is wrong with a file as a whole', () => {
    const said = (...texts: string[]) => readTables(texts).faults.map((f) => f.message)
    expect(said('')).toEqual(['The file is empty.'])
    expect(said('a,b\n1,2')[0]).toMatch(/name the columns of one of the tables/)
    expect(said('tag,circle\nCP-11,rim')[0]).toMatch(/missing: units, value/)
    expect(said(`tag\n${'x\n'.repeat(10_001)}`)[0]).toMatch(/more than 10000 lines/)
    expect(said('tag,reason\nCP-11,wear,and tear')[0]).toMatch(/more cells than there are columns/)
    expect(said('tag,reason\n"CP-11,wear\n')[0]).toMatch(/^Line 2: a quotation mark/)
    expect(said(`tag\n${'x\n'.repeat(MOST_THINGS + 1)}`)[0]).toMatch(/more than 500 sets/)
  })

  it('never throws, whatever comes', () => {
    const odd = [
      '"',
      '\u0000',
      'tag\n"',
      'circle,__proto__\n1',
      `${'"'.repeat(9)}\n,`,
      'place\n'.repeat(3),
      '\ud800,tag\nx',
    ]
    for (const text of odd) expect(() => readTables([text])).not.toThrow()
    const strange = csv(pairOf({ circle: '__proto__' }))
    expect(() => readTables([strange])).not.toThrow()
  })
})
