import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { demoId } from '../../scripts/demo/works'
import type { JobAnswer, JobSummary, Page, TablesAnswer } from '../../shared/api/answers'
import { JOB_TABLES, type JobTable } from '../../shared/files/tableNames'
import { ALIGNED, AUTHOR, lockOut, LOW_MOTOR, setUp, WHOLE_MOVE } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('tables_in')
const other = useProgram('tables_in_other')

const tableOf = async (table: JobTable, query = '', from = api) => {
  const answer = await from.program().fetch(`/api/files/tables/${table}?${query}`)
  expect(answer.status).toBe(200)
  return answer.text()
}
const bring = async (tables: readonly string[], write: 'yes' | 'no', to = api, person = AUTHOR) => {
  const { status, body } = await to.post(`/api/files/tables?write=${write}`, { person, tables })
  expect(status, JSON.stringify(body)).toBe(200)
  return body as unknown as TablesAnswer
}
const jobIn = async (id: string, from = api) =>
  (await from.ask(`/api/jobs/${id}`)).body as unknown as JobAnswer
const openJobs = async (from = api) =>
  ((await from.ask('/api/jobs?open=yes&most=100')).body as unknown as Page<JobSummary>).rows
const messages = ({ faults }: TablesAnswer) => faults.map((f) => `${f.at}: ${f.message}`)
const minutesAgo = (n: number) => new Date(Date.now() - n * 60_000).toISOString()
/** A table of the rows of these entries alone. */
const only = (text: string, ...words: readonly string[]) => {
  const [head, ...lines] = text.split('\r\n')
  return [head, ...lines.filter((l) => words.some((word) => l.includes(word)))].join('\r\n')
}
/** A job on a machine that is locked out and set up. */
const readyJob = async (on = api, machine = 'CP-11') => {
  const job = await on.openJob(machine)
  for (const body of [...lockOut, setUp]) expect((await on.log(job, body)).status).toBe(201)
  return job
}
const SET = (more = '', job = '') =>
  [
    'job,tag,made at,by,units,circle,clock,value',
    ...['rim', 'face'].flatMap((circle) =>
      ['12', '3:00', '6:00', '9:00'].map((clock, i) => `${job},${more},inch,${circle},${clock},${i}`),
    ),
  ].join('\n')

describe('tables of jobs', () => {
  it('taken out and brought in again do nothing, whatever the kinds of their jobs', async () => {
    const tables = await Promise.all(JOB_TABLES.map((table) => tableOf(table)))
    const would = await bring(tables, 'no')
    expect(would.faults).toEqual([])
    expect(new Set(would.rows.map((r) => r.is))).toEqual(new Set(['same']))
    expect(new Set(would.rows.map((r) => r.table))).toEqual(new Set(JOB_TABLES))
    expect(would.rows.length).toBeGreaterThan(60)
    expect(await bring(tables, 'yes')).toMatchObject({ taken: 0, faults: [], done: true, machine: '' })
  })

  it('bring into another works a job, then what was read and moved in it, in the order it was made in', async () => {
    const job = await readyJob()
    const made = (n: number) => ({ madeAt: minutesAgo(n) })
    const work: readonly [EntryBody, object][] = [
      [LOW_MOTOR, made(40)],
      [WHOLE_MOVE, made(30)],
      [ALIGNED, made(20)],
    ]
    for (const [body, more] of work) expect((await api.log(job, body, more)).status).toBe(201)
    const jobs = only(await tableOf('jobs', 'machine=cp-11'), job)
    // A machine has one job in hand: it gets no other from a list.
    expect((await bring([jobs], 'yes', other)).rows).toMatchObject([{ is: 'open', tag: 'CP-11' }])
    const there = await readyJob(other)

    const moved = async (table: JobTable) =>
      only(await tableOf(table, 'machine=cp-11'), job).replaceAll(job, there)
    const [reads, moves] = [await moved('readings'), await moved('moves')]
    // Whichever of them is chosen first.
    const would = await bring([moves, reads], 'no', other)
    expect(would.faults).toEqual([])
    expect(would.rows.map((r) => [r.table, r.counted, r.is])).toEqual([
      ['readings', 8, 'new'],
      ['moves', 6, 'new'],
      ['readings', 8, 'new'],
    ])
    expect((await jobIn(there, other)).entries).toHaveLength(2 + lockOut.length)
    expect(await bring([moves, reads], 'yes', other)).toMatchObject({
      taken: 3,
      faults: [],
      machine: 'CP-11',
    })

    const [mine, theirs] = [await jobIn(job), await jobIn(there, other)]
    const told = ({ entries }: JobAnswer) =>
      entries
        .filter((e) => ['readings-taken', 'move-made'].includes(e.kind))
        .map((e) => [e.id, e.kind, e.payload, e.madeAt, e.author])
    expect(told(theirs)).toEqual(told(mine))
    const remark = theirs.entries.at(-1)
    expect(remark?.kind).toBe('remark')
    expect(JSON.stringify(remark?.payload)).toMatch(
      /Out of a CSV file: readings of 20\S+ \S+ UTC by Day-shift millwright; a move of .*; readings of/,
    )
    const summary = (await openJobs(other)).find((j) => j.id === there)?.summary
    expect(summary).toEqual((await openJobs()).find((j) => j.id === job)?.summary)
    expect((await bring([moves, reads], 'yes', other)).taken).toBe(0)
    expect((await jobIn(there, other)).entries).toHaveLength(theirs.entries.length)
  })

  it('open jobs from a list, and a list read again opens none', async () => {
    const busy = new Set((await openJobs()).map((j) => j.tag))
    const machines = (await api.ask('/api/machines')).body as unknown as {
      tag: string
      rpm: number
      retired?: boolean
    }[]
    const rows = Array.isArray(machines) ? machines : (machines as unknown as { rows: typeof machines }).rows
    const [first, second] = rows.filter((m) => !busy.has(m.tag) && !m.retired)
    const [taken] = busy
    const list = [
      'tag,reason,note,opened at',
      `${first!.tag},wear,Belts squeal.,2026-11-20`,
      `${second!.tag.toLowerCase()},,,`,
      `${second!.tag},,,`,
      `${taken},,,`,
      `NO-99,,,`,
      `${first!.tag},because,,2026-11-21`,
    ].join('\n')
    const would = await bring([list], 'no')
    expect(would.rows.map((r) => [r.tag, r.is, r.reason])).toEqual([
      [first!.tag, 'new', 'wear'],
      [second!.tag, 'new', 'planned'],
      [second!.tag, 'open', null],
      [taken, 'open', null],
    ])
    expect(messages(would)).toEqual([
      'jobs, line 6: There is no machine NO-99 in the register.',
      expect.stringMatching(/^jobs, line 7: /),
    ])
    expect((await bring([list], 'yes')).taken).toBe(2)
    const opened = (await openJobs()).find((j) => j.tag === first!.tag)
    const [opening] = (await jobIn(opened!.id)).entries
    expect(opening).toMatchObject({
      author: AUTHOR,
      madeAt: '2026-11-20T00:00:00.000Z',
      payload: { reason: 'wear', rpm: first!.rpm, note: 'Belts squeal.' },
    })
    const again = await bring([list], 'yes')
    expect([again.taken, ...again.rows.map((r) => r.is)]).toEqual([0, 'same', 'open', 'open', 'open'])
  })

  it('of jobs that are closed are no record: such a job comes in as its file', async () => {
    const text = (await tableOf('jobs', 'state=closed')).replaceAll(/^[0-9a-f-]{36}/gm, () => randomUUID())
    const would = await bring([text], 'no')
    expect(would.rows).toEqual([])
    expect(new Set(would.faults.map((f) => f.message))).toEqual(
      new Set([expect.stringMatching(/^A closed job is a signed record and comes in whole/)]),
    )
  })
})

describe('readings out of a table', () => {
  it('of a logger, by the tag and the clock alone, are read by the set-up of the job in hand, once', async () => {
    const job = await readyJob(other)
    const set = SET(',,', job)
    expect((await bring([set], 'yes', other)).taken).toBe(1)
    expect((await bring([set, set], 'yes', other)).taken).toBe(0)
    // A repeat is told by its time.
    const at = minutesAgo(1)
    expect((await bring([set.replaceAll(`${job},,,`, `${job},,${at},`)], 'yes', other)).taken).toBe(1)
    const sets = (await jobIn(job, other)).entries.filter((e) => e.kind === 'readings-taken')
    expect(sets).toHaveLength(2)
    expect(sets[0]?.payload).toMatchObject({
      circles: { rim: [0, 90, 180, 270].map((clock, value) => ({ clock, value })) },
    })
  })

  it('that were taken before a move stand before it; a move that came before what is there is refused', async () => {
    const job = await readyJob()
    for (const [body, n] of [
      [LOW_MOTOR, 50],
      [WHOLE_MOVE, 30],
    ] as const)
      await api.log(job, body, { madeAt: minutesAgo(n) })
    const early = SET(`,${minutesAgo(40)},Night shift`, job)
    const would = await bring([early], 'no')
    expect(would.faults).toEqual([])
    const move = (await jobIn(job)).entries.find((e) => e.kind === 'move-made')
    expect(would.rows).toMatchObject([{ is: 'new', before: move?.madeAt, by: 'Night shift' }])
    expect((await bring([early], 'yes')).taken).toBe(1)
    expect((await jobIn(job)).entries.findLast((e) => e.kind === 'readings-taken')).toMatchObject({
      before: move?.id,
    })
    const late = `job,made at,units,place,moved\n${job},${minutesAgo(45)},inch,movable inboard,3`
    expect(messages(await bring([late], 'no'))).toEqual([
      expect.stringMatching(/^moves, line 2: The job holds the move of .* UTC, which came later/),
    ])
  })

  it('that can’t be taken are told with where they stand, and the others come in', async () => {
    const job = await readyJob()
    const ready = SET(',,', job)
    const bare = await api.openJob()
    const lost = randomUUID()
    const cases: readonly [string, RegExp][] = [
      [SET(',,', bare), /set up|lock/i],
      [SET(',,', lost), /^readings, line 2: That job is not here/],
      [SET('NO-99,,', ''), /no machine NO-99/],
      [SET(',,', ''), /Say which job/],
      [SET('CP-14,,', job), /That job is on CP-11/],
      [SET(`,${new Date(Date.now() + 3_600_000).toISOString()},`, job), /still to come/],
      [ready.replaceAll('rim', 'brim'), /Under circle they are called: rim, face\.$/],
    ]
    for (const [text, message] of cases) {
      const would = await bring([text], 'no')
      expect(would.rows, text).toEqual([])
      expect(messages(would)[0]).toMatch(message)
    }
    const done = await bring([...cases.slice(0, 6).map(([text]) => text), ready], 'yes')
    expect([done.taken, done.faults.length]).toEqual([1, 6])
    const several = SET('CP-11,,', '')
    expect(messages(await bring([several], 'no'))[0]).toMatch(/Several jobs are open on CP-11/)
  })

  it('never write over what is here, nor say what stands in another job', async () => {
    const job = await readyJob()
    await api.log(job, LOW_MOTOR)
    const text = only(await tableOf('readings', 'machine=cp-11'), job)
    const [head, ...lines] = text.trimEnd().split('\r\n')
    const changed = [head, ...lines.map((l) => l.replace(',-20.5,', ',-20,'))].join('\n')
    expect(messages(await bring([changed], 'yes'))).toEqual([
      expect.stringMatching(/^readings, line 2: This entry is here and says something else/),
    ])
    const elsewhere = await readyJob()
    expect(messages(await bring([text.replaceAll(job, elsewhere)], 'yes'))).toEqual([
      expect.stringMatching(/in another job/),
    ])
    expect((await jobIn(elsewhere)).entries.some((e) => e.kind === 'readings-taken')).toBe(false)
    // As a correction it may say something else.
    const [id] = /[0-9a-f-]{36}(?=,20)/.exec(lines[0] ?? '') ?? []
    const corrected = changed.replaceAll(`,${id},`, ',,').replaceAll(',,,no,', `,${id},Misread.,no,`)
    expect((await bring([corrected], 'yes')).taken).toBe(1)
    expect((await jobIn(job)).entries.findLast((e) => e.kind === 'readings-taken')).toMatchObject({
      supersedes: { entry: id, reason: 'Misread.' },
    })
  })
})

describe('whoever brings tables in', () => {
  it('answers for them: a planner opens jobs and writes no readings', async () => {
    const job = await readyJob()
    const told = messages(await bring([SET(',,', job)], 'yes', api, demoId('planner')))
    expect(told).toEqual([expect.stringMatching(/planner/i)])
  })

  it('has signed in, and says what they bring', async () => {
    const tables = ['tag\nCP-11']
    expectRefusal(await api.post('/api/files/tables', { person: randomUUID(), tables }), 422)
    for (const body of [
      {},
      { person: AUTHOR },
      { person: AUTHOR, tables: [] },
      { person: AUTHOR, tables: [7] },
    ]) {
      const answer = await api.post('/api/files/tables', body)
      expectRefusal(answer, 422, 'bad-input')
      expect(issuePaths(answer).join()).toMatch(/person|tables/)
    }
    const many = Array.from({ length: 9 }, () => 'tag\n')
    expectRefusal(await api.post('/api/files/tables', { person: AUTHOR, tables: many }), 422)
    expectRefusal(
      await api.post('/api/files/tables', { person: AUTHOR, tables: ['x'.repeat(1_100_000)] }),
      413,
    )
  })

  it('and the register of who did what has a line of it, but not of a look', async () => {
    const deeds = async () => {
      const { rows } = (await api.ask('/api/deeds?deed=bringTables')).body as unknown as {
        rows: { about: string }[]
      }
      return rows
    }
    const before = await deeds()
    const job = await readyJob()
    await bring([SET(',,', job)], 'no')
    expect(await deeds()).toHaveLength(before.length)
    await bring([SET(',,', job)], 'yes')
    const after = await deeds()
    expect(after).toHaveLength(before.length + 1)
    expect(after[0]?.about).toBe('CP-11')
  })
})
