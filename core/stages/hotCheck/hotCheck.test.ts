import { describe, expect, it } from 'vitest'
import { ALIGNED, lineDifference, type Misalignment } from '../../frame/planes'
import { foldJob, objectionTo } from '../../jobs/jobs'
import { TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { judge } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { handsMayGo } from '../makeSafe/safety'
import type { TargetPayload } from '../target/entries'
import { tryTarget } from '../target/target'
import type { FootTemperature, LeftCold } from './entries'
import { cooledSince } from './hotCheck'
import { coolingRate, settledSince, temperatureAt, warmingOf } from './temperatures'

const LOW: TargetPayload = {
  units: 'inch',
  given: { way: 'line', line: { offset: { v: -6, h: 0 }, slope: { v: 0, h: 0 } } },
  source: '',
  learned: null,
}
/** How high a line lies at the coupling, mil. */
const milHigh = (of: Misalignment) => (of.offset.v ?? NaN) / 0.0254
const at = (clock: string) => `2026-01-01T${clock}:00.000Z`
const line = (v: number, slope = 0) => ({ offset: { v, h: 0 }, slope: { v: slope, h: 0 } })
const warm = (inboard: number, outboard: number): FootTemperature[] => [
  { machine: 'movable', pair: 'inboard', value: inboard },
  { machine: 'movable', pair: 'outboard', value: outboard },
]
const logged = (clock: string, feet: FootTemperature[]): LogEntry<'temperatures-read'> =>
  ({
    ...new TestJob().add({ kind: 'temperatures-read', payload: { units: 'metric', at: at(clock), feet } }),
  }) as LogEntry<'temperatures-read'>

/** Left 6 mil low cold, with that as its target. */
const leftLow = () => {
  const job = new TestJob().ready()
  job.add({ kind: 'target-set', payload: LOW })
  job.read(line(-6))
  job.read(line(-6))
  return job
}
const run = (job: TestJob, left: LeftCold | null = null) => {
  job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left } })
  job.add({ kind: 'hot-run-ended', payload: { at: at('11:00') } })
  return job.lockOut()
}
const fold = (job: TestJob) => {
  const folded = foldJob(job.machine, [...job.entries])
  if (folded.kind !== 'coupled') throw new Error('coupled')
  return folded
}

describe('temperatures at the feet', () => {
  it('stand still once no foot has changed by more than a degree in a quarter of an hour', () => {
    const rising = [
      logged('09:00', warm(20, 20)),
      logged('10:00', warm(60, 52)),
      logged('10:20', warm(62, 54)),
    ]
    expect(settledSince(warmingOf(rising), null)).toBeNull()
    const still = [...rising, logged('10:30', warm(62.8, 54.4))]
    expect(settledSince(warmingOf(still), null)).toBeNull()
    const longer = [...still, logged('10:36', warm(63, 54.6))]
    expect(settledSince(warmingOf(longer), null)).toBe(Date.parse(at('10:20')))
    // Cooling behind the stop doesn't unsettle it.
    const cooled = [...longer, logged('11:10', warm(55, 50))]
    expect(settledSince(warmingOf(cooled), Date.parse(at('11:00')))).toBe(Date.parse(at('10:20')))
  })

  it('waits for the slowest foot', () => {
    const list = [
      logged('10:00', warm(60, 40)),
      logged('10:20', warm(60, 44)),
      logged('10:40', warm(60, 44.5)),
    ]
    expect(settledSince(warmingOf(list), null)).toBe(Date.parse(at('10:20')))
  })

  it('are read between the times they were logged at, in either unit', () => {
    const inch = new TestJob().add({
      kind: 'temperatures-read',
      payload: {
        units: 'inch',
        at: at('11:10'),
        feet: [{ machine: 'movable', pair: 'inboard', value: 122 }],
      },
    }) as LogEntry<'temperatures-read'>
    const [foot] = warmingOf([logged('11:00', warm(60, 50)), inch])
    expect(temperatureAt(foot!, Date.parse(at('11:05')))).toBeCloseTo(55, 9)
    expect(temperatureAt(foot!, Date.parse(at('12:00')))).toBeCloseTo(50, 9)
    expect(temperatureAt(foot!, Date.parse(at('08:00')))).toBeCloseTo(60, 9)
    expect(
      coolingRate(warmingOf([logged('11:00', warm(60, 50)), inch]), Date.parse(at('11:00'))),
    ).toBeCloseTo(1, 9)
    expect(coolingRate(warmingOf([logged('11:00', warm(60, 50))]), Date.parse(at('11:00')))).toBeNull()
  })
})

describe('cooling since the stop', () => {
  const grows: TargetPayload = {
    ...LOW,
    units: 'metric',
    given: {
      way: 'growth',
      machines: [
        {
          machine: 'movable',
          feet: (['inboard', 'outboard'] as const).map((pair, i) => ({
            pair,
            x: i === 0 ? 304.8 : 876.3,
            heat: { material: 'cast-iron', alpha: null, height: 400, cold: 20, running: 60 },
            rise: null,
            side: 0,
          })),
        },
      ],
    },
  }
  const temperatures = [logged('11:00', warm(60, 60)), logged('11:10', warm(50, 50))]

  it('is what the feet shrank by: alpha times height times degrees, downward for the motor', () => {
    const back = cooledSince(
      warmingOf(temperatures),
      tryTarget(grows),
      Date.parse(at('11:00')),
      Date.parse(at('11:05')),
    )
    // Ten degrees in ten minutes: five by the time it was read.
    expect(back?.offset.v).toBeCloseTo(-10.6e-6 * 400 * 5, 9)
    expect(back?.slope.v).toBeCloseTo(0, 12)
  })

  it('is unknown where nobody logged behind the stop, or growth was only typed', () => {
    const stop = Date.parse(at('11:00'))
    const only = warmingOf(temperatures.slice(0, 1))
    expect(cooledSince(only, tryTarget(grows), stop, stop + 300_000)).toBeNull()
    expect(cooledSince(warmingOf(temperatures), tryTarget(LOW), stop, stop + 300_000)).toBeNull()
  })
})

describe('a hot check', () => {
  it('takes the lockout off while it runs, and wants it back before anybody reads', () => {
    const job = leftLow()
    job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    expect(handsMayGo(fold(job).state.safety)).toBe(false)
    expect(fold(job).sheet.current).toBe('hot-check')
    job.add({ kind: 'hot-run-ended', payload: { at: at('11:00') } })
    expect(fold(job).sheet.current).toBe('make-safe')
    const reading = new TestJob().ready().read(line(0))
    expect(objectionTo(TEST_MACHINE, [...job.entries], { ...reading, id: 'x', after: null })?.code).toBe(
      'not-safe',
    )
    job.lockOut()
    expect(fold(job).sheet.current).toBe('hot-check')
  })

  it('keeps its sets beside the cold ones, and asks for cold less hot', () => {
    const job = run(leftLow())
    job.read(line(4, 0.2))
    const { hot, latest, asLeft } = fold(job).state
    expect(latest.sets).toHaveLength(2)
    expect(hot.measurement.sets).toHaveLength(1)
    expect(milHigh(asLeft!.coupling!)).toBeCloseTo(-6, 6)
    expect(milHigh(hot.hot!)).toBeCloseTo(4, 6)
    expect(milHigh(hot.target!)).toBeCloseTo(-10, 6)
    expect(hot.target?.slope.v).toBeCloseTo(-hot.hot!.slope.v!, 12)
    expect(milHigh(hot.planned!)).toBeCloseTo(0, 6)
    expect(hot.judgement?.verdict).toBe('edge')
    // Set to the new target, what lies hot is what is judged.
    expect(judge(hot.cold!, fold(job).state.tolerance, hot.target!).verdict).toBe(
      judge(hot.hot!, fold(job).state.tolerance, ALIGNED).verdict,
    )
  })

  it('once answered gives the job its target, and readings go to the rounds again', () => {
    const job = run(leftLow())
    job.read(line(9))
    const learned = { job: '11111111-1111-4111-8111-111111111111', on: at('12:00') }
    const target: TargetPayload = {
      units: 'inch',
      given: { way: 'line', line: line(-15) },
      source: '',
      learned,
    }
    expect(fold(job).state.expected).not.toBeNull()
    job.add({ kind: 'hot-answered', payload: { take: 'new', target, why: '' } })
    const after = fold(job)
    expect(milHigh(after.state.target)).toBeCloseTo(-15, 6)
    expect(after.state.expected).toBeNull()
    // 9 mil of 5: out, as found hot; the plan stage has the turn.
    expect(after.state.outcome.verdict).toBe('out')
    expect(after.sheet.current).toBe('plan')
    job.read(line(-6))
    expect(fold(job).state.latest.sets).toHaveLength(3)
  })

  it('keeps the cold line that it began with, whatever is moved and measured after it', () => {
    const job = run(leftLow())
    job.read(line(9))
    const target = { ...LOW, learned: { job: '11111111-1111-4111-8111-111111111111', on: at('12:00') } }
    job.add({ kind: 'hot-answered', payload: { take: 'old', target, why: 'To be moved now.' } })
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: 2 }],
        remark: '',
      },
    })
    job.read(line(-15))
    const { hot, asLeft } = fold(job).state
    expect(milHigh(asLeft!.coupling!)).toBeCloseTo(-15, 6)
    expect(milHigh(hot.cold!)).toBeCloseTo(-6, 6)
    // Run again, it starts from what was measured behind the move.
    run(job).read(line(1))
    expect(milHigh(fold(job).state.hot.cold!)).toBeCloseTo(-15, 6)
    expect(milHigh(fold(job).state.hot.target!)).toBeCloseTo(-16, 6)
  })

  it('bears out the target it answered, not another that is typed after it', () => {
    const job = run(leftLow())
    job.read(line(1))
    const target = { ...LOW, learned: { job: '11111111-1111-4111-8111-111111111111', on: at('12:00') } }
    job.add({ kind: 'hot-answered', payload: { take: 'old', target, why: '' } })
    expect(fold(job).state.expected).toBeNull()
    job.add({
      kind: 'target-set',
      payload: { ...LOW, given: { way: 'line', line: line(-9) } },
    })
    expect(milHigh(fold(job).state.expected!)).toBeCloseTo(9, 6)
  })

  it('passed over leaves the sheet its own order', () => {
    const job = new TestJob({ ...TEST_MACHINE, target: LOW })
    job.add({ kind: 'job-opened', payload: { reason: 'hot-check', rpm: 990, customer: '', note: '' } })
    job.add({ kind: 'stage-skipped', payload: { stage: 'hot-check', why: 'not warm enough today' } })
    expect(fold(job).sheet.current).toBe('make-safe')
  })

  it('is over when something is moved before it was answered', () => {
    const job = run(leftLow())
    job.read(line(9))
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: 2 }],
        remark: '',
      },
    } as Parameters<TestJob['add']>[0])
    job.read(line(-6))
    const { hot, latest } = fold(job).state
    expect(hot.run.movedSince).toBe(true)
    expect(latest.sets).toHaveLength(1)
    const answer = { kind: 'hot-answered', payload: { take: 'old', target: LOW, why: '' } } as const
    const entry = new TestJob().open().add(answer)
    expect(objectionTo(TEST_MACHINE, [...job.entries], { ...entry, id: 'y', after: null })?.code).toBe(
      'hot-unmeasured',
    )
  })

  it('out of band keeps the old target with a word only', () => {
    const job = run(leftLow())
    job.read(line(9))
    const target = { ...LOW, learned: { job: '11111111-1111-4111-8111-111111111111', on: at('12:00') } }
    const says = (take: 'new' | 'old', why: string) => {
      const entry = new TestJob().open().add({ kind: 'hot-answered', payload: { take, target, why } })
      return objectionTo(TEST_MACHINE, [...job.entries], { ...entry, id: 'w', after: null })?.code
    }
    expect(says('old', ' ')).toBe('keeping-needs-why')
    expect(says('old', 'Stands until May.')).toBeUndefined()
    expect(says('new', '')).toBeUndefined()
  })

  it('refuses a second run, a stop without one, and a stop before the start', () => {
    const job = leftLow()
    const says = (body: Parameters<TestJob['add']>[0]) => {
      const entry = new TestJob().open().add(body)
      return objectionTo(TEST_MACHINE, [...job.entries], { ...entry, id: 'z', after: null })?.code
    }
    expect(says({ kind: 'hot-run-ended', payload: { at: at('11:00') } })).toBe('no-hot-run')
    job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    expect(says({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })).toBe('hot-run-on')
    expect(says({ kind: 'hot-run-ended', payload: { at: at('08:00') } })).toBe('ended-before-begun')
  })

  it('says nothing of a machine that is judged by its own cold window', () => {
    const window = {
      ...TEST_MACHINE,
      tolerance: {
        form: 'window' as const,
        offset: { v: [-8, -4] as [number, number], h: [-2, 2] as [number, number] },
        slope: { v: [null, null] as [null, null], h: [null, null] as [null, null] },
      },
    }
    const job = new TestJob(window).ready()
    job.read(line(-6))
    job.read(line(-6))
    run(job).read(line(0))
    expect(fold(job).state.hot.judgement).toBeNull()
    expect(fold(job).state.hot.target).not.toBeNull()
  })
})

describe('a visit for the hot check alone', () => {
  const left: LeftCold = {
    units: 'inch',
    line: line(-6),
    job: '11111111-1111-4111-8111-111111111111',
    on: '2025-12-01T08:00:00.000Z',
  }
  const visit = () => {
    const job = new TestJob({ ...TEST_MACHINE, target: LOW })
    job.add({ kind: 'job-opened', payload: { reason: 'hot-check', rpm: 990, customer: '', note: '' } })
    return job
  }

  it('runs first, then wants the lockout, then a bracket, and starts from what was left', () => {
    const job = visit()
    expect(fold(job).sheet.current).toBe('hot-check')
    run(job, left)
    expect(fold(job).sheet.current).toBe('set-up')
    job.ready().read(line(1))
    const { state, sheet } = fold(job)
    expect(sheet.current).toBe('hot-check')
    expect(state.latest.sets).toHaveLength(0)
    expect(milHigh(lineDifference(state.hot.cold!, state.hot.target!))).toBeCloseTo(1, 6)
  })

  it('is proved by what was read hot: no exception for a cold measurement that nobody made', () => {
    const job = visit()
    run(job, left).ready().read(line(1))
    const learned = { job: left.job, on: at('12:00') }
    job.add({ kind: 'hot-answered', payload: { take: 'old', target: { ...LOW, learned }, why: '' } })
    const { state, sheet } = fold(job)
    expect(state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    // Nothing was opened or moved: the guard alone goes back on.
    expect(sheet.current).toBe('prove')
    expect(state.proof.rows.map((r) => r.step)).toEqual(['guard-on'])
    job.add({ kind: 'proof-confirmed', payload: { point: 'guard-on', how: 'done', words: '' } })
    expect(fold(job).sheet.current).toBe('close')
    expect(state.expected).toBeNull()
  })

  it('closes out of band with a word only', () => {
    const job = visit()
    run(job, left).ready().read(line(9))
    const learned = { job: left.job, on: at('12:00') }
    job.add({
      kind: 'hot-answered',
      payload: { take: 'old', target: { ...LOW, learned }, why: 'Stands until May.' },
    })
    expect(fold(job).state.outcome).toEqual({ verdict: 'out', exceptions: ['out'] })
  })
})
