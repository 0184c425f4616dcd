import { describe, expect, it } from 'vitest'
import { objectionTo } from './admit'
import type { EntryBody, LogEntry } from './entry'
import { standingEntries } from './standing'
import { inMil, SET_UP, TEST_MACHINE, TestJob } from './testJob'

const OPENING: EntryBody = {
  kind: 'job-opened',
  payload: { reason: 'planned', rpm: 990, customer: '', note: '' },
}
const REMARK: EntryBody = { kind: 'remark', payload: { text: 'x' } }
const CLOSING: EntryBody = { kind: 'job-closed', payload: { signedBy: 'x', remarks: '', exception: '' } }

/** Offers one more entry to a logbook without adding it. */
const offer = (job: TestJob, body: EntryBody, supersedes: LogEntry['supersedes'] = null) => {
  const logbook = [...job.entries]
  const entry = job.add(body, supersedes)
  job.entries.pop()
  return objectionTo(TEST_MACHINE, logbook, entry)
}

describe('what a logbook takes', () => {
  it('begins with its opening, once', () => {
    const job = new TestJob()
    expect(offer(job, REMARK)).toMatchObject({ code: 'not-open', sort: 'conflict' })
    expect(offer(job, OPENING)).toBeNull()
    job.add(OPENING)
    expect(offer(job, OPENING)).toMatchObject({ code: 'already-open' })
  })

  it('takes nothing but remarks once it is closed', () => {
    const job = new TestJob().ready()
    job.add(CLOSING)
    expect(offer(job, CLOSING)).toMatchObject({ code: 'job-closed', sort: 'conflict' })
    expect(offer(job, { kind: 'set-up', payload: SET_UP })).toMatchObject({ code: 'job-closed' })
    expect(offer(job, REMARK)).toBeNull()
  })

  it('wants a set-up before readings', () => {
    const job = new TestJob()
    job.add(OPENING)
    const three = [0, 120, 240].map((clock) => ({ clock, value: 0 }))
    expect(
      offer(job, {
        kind: 'readings-taken',
        payload: { units: 'inch', rim: three, face: three, returned: null },
      }),
    ).toMatchObject({
      code: 'no-set-up',
    })
  })

  it('knows its own sets and feet', () => {
    const job = new TestJob().ready()
    expect(offer(job, { kind: 'set-left-out', payload: { set: 'nowhere', why: 'x' } })).toMatchObject({
      code: 'no-such-set',
      path: ['payload', 'set'],
    })
    const feet = [
      { id: 'inboard', x: 12 },
      { id: 'middle', x: 20 },
    ]
    expect(offer(job, { kind: 'set-up', payload: { ...SET_UP, feet } })).toMatchObject({
      code: 'no-such-feet',
      path: ['payload', 'feet', 1, 'id'],
    })
    expect(offer(job, { kind: 'set-up', payload: { ...SET_UP, feet: feet.slice(0, 1) } })).toMatchObject({
      code: 'feet-missing',
    })
    const move = (pair: string) => ({
      kind: 'move-made' as const,
      payload: {
        units: 'inch' as const,
        changes: [{ pair, side: 'left' as const, takenOut: [], putIn: [5] }],
        side: [],
        remark: '',
      },
    })
    expect(offer(job, move('inboard'))).toBeNull()
    expect(offer(job, move('tail'))).toMatchObject({
      code: 'no-such-feet',
      path: ['payload', 'changes', 0, 'pair'],
    })
  })

  it('logs no move that moved nothing', () => {
    const idle = { units: 'inch' as const, changes: [], side: [{ pair: 'inboard', moved: 0 }], remark: '' }
    expect(offer(new TestJob().ready(), { kind: 'move-made', payload: idle })).toMatchObject({
      code: 'nothing-moved',
      sort: 'invalid',
    })
  })

  it('lets no one pass over the lockout', () => {
    const job = new TestJob().ready()
    expect(
      offer(job, { kind: 'stage-skipped', payload: { stage: 'make-safe', why: 'hurry' } }),
    ).toMatchObject({ code: 'not-skippable' })
    expect(offer(job, { kind: 'stage-skipped', payload: { stage: 'plan', why: 'by eye' } })).toBeNull()
  })

  it('corrects an entry once, by one of its own kind, where that kind can be corrected', () => {
    const job = new TestJob().ready()
    const set = job.read(inMil(1, 1, 0, 0))
    const again = { kind: set.kind, payload: set.payload } as EntryBody
    expect(offer(job, again, { entry: set.id, reason: 'x' })).toBeNull()
    expect(offer(job, again, { entry: 'nowhere', reason: 'x' })).toMatchObject({ code: 'no-such-entry' })
    expect(offer(job, REMARK, { entry: set.id, reason: 'x' })).toMatchObject({ code: 'other-kind' })
    const confirmed = job.entries.find((e) => e.kind === 'safety-confirmed') as LogEntry
    const confirmAgain = { kind: confirmed.kind, payload: confirmed.payload } as EntryBody
    expect(offer(job, confirmAgain, { entry: confirmed.id, reason: 'x' })).toMatchObject({
      code: 'not-correctable',
    })
    job.add(again, { entry: set.id, reason: 'x' })
    expect(offer(job, again, { entry: set.id, reason: 'late' })).toMatchObject({
      code: 'already-corrected',
      sort: 'conflict',
    })
  })
})

describe('entries that stand', () => {
  it('keep the order of what they correct', () => {
    const job = new TestJob()
    const a = job.add(REMARK)
    const b = job.add(REMARK)
    const c = job.add(REMARK, { entry: a.id, reason: 'typo' })
    expect(standingEntries(job.entries).map((e) => e.id)).toEqual([c.id, b.id])
  })

  it('treat a correction of something unknown as an entry of its own', () => {
    const job = new TestJob()
    const a = job.add(REMARK, { entry: 'not here', reason: 'typo' })
    expect(standingEntries(job.entries)).toEqual([a])
  })
})
