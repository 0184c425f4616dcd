import { describe, expect, it } from 'vitest'
import { objectionTo } from '../jobs/jobs'
import { BELT_MACHINE, TestBelt } from '../jobs/testBelt'
import { inMil, lift, REVERSE_SET_UP, SET_UP, TEST_MACHINE, TestJob } from '../jobs/testJob'
import type { EntryBody, LogEntry } from './entry'

const REMARK: EntryBody = { kind: 'remark', payload: { text: 'x' } }
const closing = (exception = '', verdict: 'in' | 'out' = 'in'): EntryBody => ({
  kind: 'job-closed',
  payload: { signedBy: 'x', remarks: '', exception, signed: { verdict, foldVersion: 3 } },
})
const LOW = inMil(-8.4, 5.1, -0.36, 0.22)

/** Offers one more entry to a logbook without adding it. */
const offer = (job: TestJob, body: EntryBody, more: Parameters<TestJob['add']>[1] = {}) => {
  const logbook = [...job.entries]
  const entry = job.add(body, more)
  job.entries.pop()
  return objectionTo(TEST_MACHINE, logbook, entry)
}
const move = (pair: string, machine: 'movable' | 'stationary' = 'movable'): EntryBody => ({
  kind: 'move-made',
  payload: {
    units: 'inch',
    changes: [{ machine, pair, side: 'left', takenOut: [], putIn: [5] }],
    side: [],
    remark: '',
  },
})
const readings = (job: TestJob): EntryBody => ({ kind: 'readings-taken', payload: job.readingsOf(LOW) })

describe('what a logbook takes', () => {
  it('begins with its opening, once', () => {
    const job = new TestJob()
    expect(offer(job, REMARK)).toMatchObject({ code: 'not-open', sort: 'conflict' })
    job.open()
    const [opening] = job.entries
    expect(offer(job, opening as EntryBody)).toMatchObject({ code: 'already-open' })
  })

  it('lets its opening be corrected, and follows the speed that was really on the plate', () => {
    const job = new TestJob()
    const nowhere = { supersedes: { entry: 'nowhere', reason: 'x' } }
    job.open(990)
    const opening = job.entries[0] as LogEntry<'job-opened'>
    const plate = { kind: 'job-opened', payload: { ...opening.payload, rpm: 2970 } } as const
    const corrected = { supersedes: { entry: opening.id, reason: 'read off the plate' } }
    expect(offer(new TestJob(), plate, nowhere)).toMatchObject({ code: 'not-open' })
    expect(offer(job, plate, nowhere)).toMatchObject({ code: 'no-such-entry' })
    expect(offer(job, plate, corrected)).toBeNull()
    job.add(plate, corrected)
    expect(job.state.rpm).toBe(2970)
    expect(offer(job, plate, corrected)).toMatchObject({ code: 'already-corrected' })
  })

  it('takes nothing but remarks once it is closed', () => {
    const job = new TestJob().ready()
    job.add(closing('late'))
    expect(offer(job, closing('late'))).toMatchObject({ code: 'job-closed', sort: 'conflict' })
    expect(offer(job, { kind: 'set-up', payload: SET_UP })).toMatchObject({ code: 'job-closed' })
    expect(offer(job, REMARK)).toBeNull()
  })

  it('wants a set-up before readings, and the circles of that set-up', () => {
    const job = new TestJob().ready(REVERSE_SET_UP)
    const reverse = readings(job)
    expect(offer(job, reverse)).toBeNull()
    expect(offer(new TestJob().open().lockOut(), reverse)).toMatchObject({ code: 'no-set-up' })
    expect(offer(new TestJob().ready(), reverse)).toMatchObject({
      code: 'other-circles',
      path: ['payload', 'circles'],
    })
  })

  it('knows its own sets and feet', () => {
    const job = new TestJob().ready()
    expect(offer(job, { kind: 'set-left-out', payload: { set: 'nowhere', why: 'x' } })).toMatchObject({
      code: 'no-such-set',
      path: ['payload', 'set'],
    })
    const feet = [
      { machine: 'movable', pair: 'inboard', x: 12 },
      { machine: 'movable', pair: 'middle', x: 20 },
    ] as const
    expect(offer(job, { kind: 'set-up', payload: { ...SET_UP, feet } })).toMatchObject({
      code: 'no-such-feet',
      path: ['payload', 'feet', 1, 'pair'],
    })
    expect(offer(job, { kind: 'set-up', payload: { ...SET_UP, feet: feet.slice(0, 1) } })).toMatchObject({
      code: 'feet-missing',
    })
    expect(offer(job, move('inboard'))).toBeNull()
    expect(offer(job, move('inboard', 'stationary'))).toMatchObject({ code: 'no-such-feet' })
    expect(offer(job, move('tail'))).toMatchObject({
      code: 'no-such-feet',
      path: ['payload', 'changes', 0, 'pair'],
    })
  })

  it('logs no move that moved nothing', () => {
    const side = [{ machine: 'movable', pair: 'inboard', moved: 0 }] as const
    expect(
      offer(new TestJob().ready(), {
        kind: 'move-made',
        payload: { units: 'inch', changes: [], side, remark: '' },
      }),
    ).toMatchObject({ code: 'nothing-moved', sort: 'invalid' })
  })

  it('lets no one pass over the lockout, nor a stage of another kind of job', () => {
    const job = new TestJob().ready()
    const skip = (stage: string): EntryBody => ({ kind: 'stage-skipped', payload: { stage, why: 'hurry' } })
    expect(offer(job, skip('make-safe'))).toMatchObject({ code: 'not-skippable' })
    expect(offer(job, skip('line-up'))).toMatchObject({ code: 'not-skippable' })
    expect(offer(job, skip('plan'))).toBeNull()
  })

  it('takes no entry of another kind of job', () => {
    const belt = new TestBelt().ready()
    const job = new TestJob().ready()
    const [gaps] = [belt.gaps(0, 0)]
    expect(offer(job, gaps as EntryBody)).toMatchObject({ code: 'not-this-job' })
    belt.entries.pop()
    const set = { ...readings(job), id: 'a', author: 'b', madeAt: '', receivedAt: null, after: null }
    expect(
      objectionTo(BELT_MACHINE, [...belt.entries], { ...set, before: null, supersedes: null } as LogEntry),
    ).toMatchObject({ code: 'not-this-job' })
  })

  it('corrects an entry once, by one of its own kind, where that kind can be corrected', () => {
    const job = new TestJob().ready()
    const set = job.read(inMil(1, 1, 0, 0))
    const again: EntryBody = { kind: set.kind, payload: set.payload }
    const correcting = (id: string) => ({ supersedes: { entry: id, reason: 'x' } })
    expect(offer(job, again, correcting(set.id))).toBeNull()
    expect(offer(job, again, correcting('nowhere'))).toMatchObject({ code: 'no-such-entry' })
    expect(offer(job, REMARK, correcting(set.id))).toMatchObject({ code: 'other-kind' })
    const confirmed = job.entries.find((e) => e.kind === 'safety-confirmed')
    if (!confirmed) throw new Error('not locked out')
    expect(offer(job, confirmed as EntryBody, correcting(confirmed.id))).toMatchObject({
      code: 'not-correctable',
    })
    job.add(again, correcting(set.id))
    expect(offer(job, again, correcting(set.id))).toMatchObject({
      code: 'already-corrected',
      sort: 'conflict',
    })
  })
})

describe('while the lockout is missing or broken', () => {
  it('no set-up, no readings and no move are taken; a plan is desk work', () => {
    const open = new TestJob().open()
    expect(offer(open, { kind: 'set-up', payload: SET_UP })).toMatchObject({
      code: 'not-safe',
      sort: 'conflict',
    })
    const job = new TestJob().ready()
    job.read(LOW)
    job.add({ kind: 'power-restored', payload: { why: 'bump test' } })
    expect(offer(job, readings(job))).toMatchObject({ code: 'not-safe' })
    expect(offer(job, move('inboard'))).toMatchObject({ code: 'not-safe' })
    const plan = { units: 'inch', option: 'own', changes: lift('inboard', [5]), side: [], sets: [] } as const
    expect(offer(job, { kind: 'plan-chosen', payload: plan })).toBeNull()
    job.add({ kind: 'lockout-waived', payload: { why: 'cable is disconnected' } })
    expect(offer(job, readings(job))).toBeNull()
  })

  it('the sheaves of a belt drive are not touched either', () => {
    const belt = new TestBelt()
    belt.add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1465, customer: '', note: '' } })
    const entry = belt.gaps(0, 0.6)
    expect(objectionTo(BELT_MACHINE, belt.entries.slice(0, -1), entry)).toMatchObject({ code: 'not-safe' })
  })
})

describe('a set-up that missed zero', () => {
  it('is logged only with why', () => {
    const job = new TestJob().open().lockOut()
    const missed = { ...SET_UP, returned: { rim: 3, face: 0 } }
    expect(offer(job, { kind: 'set-up', payload: missed })).toMatchObject({
      code: 'missed-zero',
      path: ['payload', 'why'],
    })
    expect(offer(job, { kind: 'set-up', payload: { ...missed, why: 'bearing play, known' } })).toBeNull()
  })
})

describe('closing', () => {
  const inBand = () => {
    const job = new TestJob().ready()
    job.read(inMil(1, 0, 0.1, 0))
    job.read(inMil(1, 0, 0.1, 0))
    return job
  }

  it('out of band or with nothing measured needs an exception, wherever it is posted from', () => {
    expect(offer(new TestJob().ready(), closing())).toMatchObject({
      code: 'exception-needed',
      path: ['payload', 'exception'],
    })
    const out = new TestJob().ready()
    out.read(LOW)
    out.read(LOW)
    expect(offer(out, closing('  ', 'out'))).toMatchObject({ code: 'exception-needed' })
    expect(offer(out, closing('spare part is late', 'out'))).toBeNull()
    expect(offer(inBand(), closing())).toBeNull()
  })

  it('is refused when the logbook no longer says what was signed', () => {
    expect(offer(inBand(), closing('', 'out'))).toMatchObject({ code: 'signed-otherwise', sort: 'conflict' })
  })

  it('works for belts by the same rule', () => {
    const belt = new TestBelt().ready()
    const close = belt.add(closing())
    belt.entries.pop()
    expect(objectionTo(BELT_MACHINE, [...belt.entries], close)).toMatchObject({ code: 'exception-needed' })
    belt.push([31, 31, 31, 31, 31])
    expect(objectionTo(BELT_MACHINE, [...belt.entries], close)).toBeNull()
  })
})

describe('a reading or a plan from before somebody else’s move', () => {
  const moved = () => {
    const job = new TestJob().ready()
    const seen = job.read(LOW)
    const by = job.add(move('inboard'), { author: 'mate' })
    return { job, seen, by }
  }

  it('is held until a person says where it belongs', () => {
    const { job, seen, by } = moved()
    expect(offer(job, readings(job), { after: seen.id })).toMatchObject({
      code: 'moved-meanwhile',
      sort: 'conflict',
    })
    expect(offer(job, readings(job), { after: by.id })).toBeNull()
    expect(offer(job, readings(job), { after: seen.id, before: by.id })).toBeNull()
    expect(offer(job, readings(job), { after: seen.id, before: seen.id })).toMatchObject({
      code: 'no-such-move',
    })
    expect(offer(job, REMARK, { after: seen.id })).toBeNull()
  })

  it('placed before the move it counts in that round', () => {
    const { job, seen, by } = moved()
    job.add(readings(job), { after: seen.id, before: by.id })
    const { measurements } = job.state
    expect(measurements.map((m) => m.sets.length)).toEqual([2, 0])
    expect(measurements[0]?.trust).toBe('agreed')
  })
})
