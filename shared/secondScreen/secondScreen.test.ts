import { describe, expect, it } from 'vitest'
import { TestJob } from '../../core/jobs/testJob'
import { call } from './call'
import { TestBelt } from '../../core/jobs/testBelt'
import { TestDrum } from '../../core/jobs/testDrum'
import { TestFlange } from '../../core/jobs/testFlange'
import { ALIGNED } from '../../core/frame/planes'
import { OWN_END } from '../wording/words'
import { beltSays, commandFor, dialSays, readingSays, thereAt } from './command'

const MIL = 0.0254
const wanted = {
  circle: 'rim',
  clock: 90,
  at: 90,
  dial: 'rim',
  units: 'inch' as const,
  left: 3,
}
/** Locked out, with a push of both ends toward 9 that waits. */
const pushing = () => {
  const job = new TestJob().ready()
  job.add({
    kind: 'plan-chosen',
    payload: {
      units: 'inch',
      option: 'own',
      changes: [],
      side: [
        { machine: 'movable', pair: 'inboard', moved: -6 },
        { machine: 'movable', pair: 'outboard', moved: -10 },
      ],
      sets: null,
    },
  })
  return job
}
const told = (job: TestJob, side: '9' | '3' = '3', wants: typeof wanted | null = null) =>
  commandFor(job.fold(), wants, side)
const bite = (job: TestJob, side: '9' | '3' = '3') => {
  const c = told(job, side)
  if (c.does !== 'push' && c.does !== 'slacken') throw new Error(c.does)
  return c
}

describe('what the mate is told', () => {
  it('hands off while the lockout is not whole, whatever else is wanted', () => {
    const job = new TestJob().open()
    expect(told(job, '3', wanted).does).toBe('hands-off')
    job.lockOut()
    expect(told(job, '3', wanted)).toEqual({ does: 'turn', wanted })
    job.add({ kind: 'power-restored', payload: { why: 'someone else' } })
    expect(told(job).does).toBe('hands-off')
  })

  it('to push from the side it comes from, away; to slacken at the other, toward', () => {
    const job = pushing()
    expect(bite(job, '3')).toMatchObject({ does: 'push', toward: false, end: { id: 'outboard' } })
    expect(bite(job, '9')).toMatchObject({ does: 'slacken', toward: true })
    expect(bite(job).left / MIL).toBeCloseTo(10, 9)
    expect(bite(job).stopAt / MIL).toBeCloseTo(5, 9)
  })

  it('a tap says that the bite was taken, and the next one is told', () => {
    const job = pushing()
    job.add({ kind: 'counts-read', payload: thereAt(bite(job), 'inch') })
    expect(job.state.push.ends.map((e) => Math.round(e.toGo / MIL))).toEqual([-6, -5])
    expect(bite(job).end.id).toBe('inboard')
    expect(job.state.push.slip).toBeNull()
  })

  it('a dial is typed as it stands; with a minus it went past; nonsense is told', () => {
    const c = bite(pushing())
    expect(dialSays(c, '4.5', 'inch', OWN_END).payload?.counts[0]?.toGo).toBe(-4.5)
    expect(dialSays(c, '-1', 'inch', OWN_END).payload?.counts[0]?.toGo).toBe(1)
    expect(dialSays(c, 'x', 'inch', OWN_END)).toMatchObject({
      payload: null,
      fault: expect.stringContaining('number') as string,
    })
    expect(dialSays(c, '', 'inch', OWN_END)).toEqual({ payload: null, fault: '' })
  })

  it('a reading is sent as it was typed once it is a figure', () => {
    expect(readingSays(' −2.5 ', 'inch', OWN_END).value).toBe('−2.5')
    expect(readingSays('', 'inch', OWN_END)).toEqual({ fault: '', value: null })
    expect(readingSays('2.5.1', 'inch', OWN_END).value).toBeNull()
  })

  it('the way that is left is all of it, then less, and nothing past the end', () => {
    const job = pushing()
    const at = (pair: string, toGo: number) => {
      const counts = [{ machine: 'movable' as const, pair, toGo }]
      job.add({ kind: 'counts-read', payload: { units: 'inch', when: 'pushing', counts } })
      return bite(job)
    }
    expect(bite(job).share).toBe(1)
    expect(at('outboard', -5)).toMatchObject({ end: { id: 'inboard' }, share: 1 })
    expect(at('inboard', 0)).toMatchObject({ end: { id: 'outboard' }, share: 0.5 })
    expect(at('outboard', 4)).toMatchObject({ end: { id: 'outboard' }, share: 0 })
  })

  it('to tighten once both ends are there, to wait with the board’s next step, and that it is over', () => {
    const job = pushing()
    for (let i = 0; i < 20 && told(job).does !== 'tighten'; i++)
      job.add({ kind: 'counts-read', payload: thereAt(bite(job), 'inch') })
    expect(told(job).does).toBe('tighten')
    expect(told(new TestJob().open().lockOut())).toMatchObject({ does: 'wait', stage: 'look' })
    job.add({
      kind: 'job-closed',
      payload: { signedBy: 'x', remarks: '', exception: 'y', signed: null },
    })
    expect(told(job).does).toBe('closed')
  })
})

describe('a motor on a flange', () => {
  /** Two dials to zero: so far to go toward 12 and toward 3, mil. */
  const loose = () => {
    const job = new TestFlange().ready().readTwice({ ...ALIGNED, offset: { v: 3, h: -4 } })
    job.add({
      kind: 'flange-plan-chosen',
      payload: {
        units: 'inch',
        does: 'push',
        changes: [],
        push: { v: -3, h: 4 },
        why: '',
        sets: job.state.latest.used,
      },
    })
    return job
  }
  const reads = (job: TestFlange, v: number, h: number) => {
    job.add({ kind: 'flange-counts-read', payload: { units: 'inch', when: 'pushing', toGo: { v, h } } })
    return commandFor(job.fold(), null, '3')
  }

  it('is pushed by what is left both ways, then drawn down', () => {
    const job = loose()
    const first = commandFor(job.fold(), null, '3')
    if (first.does !== 'push-flange') throw new Error(first.does)
    expect(first.toGo.v / MIL).toBeCloseTo(-3, 9)
    expect(first.toGo.h / MIL).toBeCloseTo(4, 9)
    const then = reads(job, -1, 2)
    if (then.does !== 'push-flange') throw new Error(then.does)
    expect(then.toGo.h / MIL).toBeCloseTo(2, 9)
    expect(reads(job, 0, 0).does).toBe('tighten')
  })

  it('keeps hands off once power came back', () => {
    const job = loose()
    job.add({ kind: 'power-restored', payload: { why: 'someone else' } })
    expect(commandFor(job.fold(), null, '3').does).toBe('hands-off')
  })
})

describe('a call at the door', () => {
  const from = '5f3c2a10-9d0e-4b6e-8f43-2a1d7c9b0e11'
  it.each([
    [{ says: 'here', from }],
    [{ says: 'wants', from, wants: wanted }],
    [{ says: 'wants', from, wants: null }],
    [{ says: 'presses', from, press: null }],
    [
      {
        says: 'presses',
        from,
        press: { belt: 3, of: 5, by: 'force', to: '12.5 mm', units: 'metric', left: 2 },
      },
    ],
    [{ says: 'pressed', from, belt: 3, by: 'force', units: 'metric', value: '31' }],
    [{ says: 'there', from, circle: 'rim', clock: 90 }],
    [{ says: 'reads', from, circle: 'rim', clock: 90, units: 'metric', value: '−0.05' }],
  ])('is taken: %j', (said) => {
    expect(call.safeParse(said).success).toBe(true)
  })

  it.each([
    [{ says: 'shouts', from }],
    [{ says: 'here', from: 'me' }],
    [{ says: 'there', from, circle: 'rim', clock: 400 }],
    [{ says: 'reads', from, circle: 'rim', clock: 90, units: 'inch', value: 'x'.repeat(21) }],
    [{ says: 'wants', from, wants: { ...wanted, left: -1 } }],
    [{ says: 'pressed', from, belt: 0, by: 'force', units: 'metric', value: '31' }],
    [{ says: 'pressed', from, belt: 3, by: 'teeth', units: 'metric', value: '31' }],
  ])('is refused: %j', (said) => {
    expect(call.safeParse(said).success).toBe(false)
  })
})

describe('a belt to be pressed', () => {
  const press = { belt: 3, of: 5, by: 'force', to: '12.5 mm', units: 'metric', left: 3 } as const
  it('is told once hands may go to the drive, and not in a job that is closed', () => {
    const belt = new TestBelt()
    belt.add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1465, customer: '', note: '' } })
    expect(commandFor(belt.fold(), null, '9', press).does).toBe('hands-off')
    const ready = new TestBelt().ready()
    expect(commandFor(ready.fold(), null, '9', press)).toEqual({ does: 'press', press })
    expect(commandFor(ready.fold(), null, '9').does).toBe('wait')
  })

  it('is read in the measure of its school, and never below zero', () => {
    expect(beltSays('31', 'force', 'metric', OWN_END)).toEqual({ fault: '', value: '31' })
    expect(beltSays('7 lbf', 'force', 'metric', OWN_END).value).toBe('7 lbf')
    expect(beltSays('-3', 'deflection', 'metric', OWN_END).fault).toContain('below zero')
    expect(beltSays('hard', 'hand', 'metric', OWN_END).fault).toContain('not a number')
    expect(beltSays('', 'frequency', 'metric', OWN_END)).toEqual({ fault: '', value: null })
  })
})

describe('a motor at a drum', () => {
  it('is pushed from the second screen as any on feet, and its readings are asked for', () => {
    const job = new TestDrum().ready()
    job.add({
      kind: 'plan-chosen',
      payload: {
        units: 'inch',
        option: 'own',
        changes: [],
        side: ['inboard', 'outboard'].map((pair) => ({ machine: 'movable', pair, moved: -4 })),
        sets: null,
      },
    })
    expect(commandFor(job.fold(), wanted, '3')).toEqual({ does: 'turn', wanted })
    expect(commandFor(job.fold(), null, '3')).toMatchObject({ does: 'push', toward: false })
    expect(commandFor(job.fold(), null, '9')).toMatchObject({ does: 'slacken', toward: true })
    expect(commandFor(new TestDrum().open().fold(), wanted, '3').does).toBe('hands-off')
  })
})
