import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../logbook/entry'
import { objectionTo } from './jobs'
import { figuresOf, summaryOf } from './summary'
import { TestTrain, testTrain, through } from './testTrain'
import { partsAt } from './train'

const LOW = { m2: through(0, [-0.5, 0], 1060, [0, 0]) }
const objection = (job: TestTrain, part: string | undefined, body: Parameters<TestTrain['at']>[1]) => {
  const entry = { ...job.at(part, body) } as LogEntry
  job.entries.pop()
  return objectionTo(job.machine, [...job.entries], entry)?.code ?? null
}
const lifted = (pair: string, putIn: readonly number[], side: 'left' | 'right' = 'left') => ({
  machine: 'movable' as const,
  pair,
  side,
  takenOut: [],
  putIn: [...putIn],
})
const move = (changes: ReturnType<typeof lifted>[], pushed: { pair: string; moved: number }[] = []) => ({
  kind: 'move-made' as const,
  payload: {
    units: 'metric' as const,
    changes,
    side: pushed.map((s) => ({ ...s, machine: 'movable' as const })),
    remark: '',
  },
})

describe('the sheet of a train', () => {
  it('does each stage at its parts, one after the other', () => {
    const job = new TestTrain()
    expect(job.fold().sheet.current).toBe('make-safe')
    job.open(1475).lockOut()
    const { sheet, state } = job.fold()
    expect(sheet.current).toBe('look')
    // The mill is locked: nobody is sent to its feet.
    expect(partsAt(state, 'feet').map((p) => p.part.id)).toEqual(['m2', 'm3'])
    expect(partsAt(state, 'set-up').map((p) => [p.part.id, p.wants])).toEqual([
      ['c1', true],
      ['c2', true],
    ])
    expect(partsAt(state, 'train-plan')).toEqual([])
  })

  it('waits at as found until every coupling is read, and says the worst of them', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure(['c1'])
    expect(job.mark('as-found')).toBe('todo')
    expect(job.fold().sheet.current).toBe('as-found')
    expect(partsAt(job.state, 'as-found').map((p) => [p.mark, p.wants])).toEqual([
      ['out', false],
      ['todo', true],
    ])
    job.measure(['c2'])
    expect(job.mark('as-found')).toBe('out')
    expect(job.fold().sheet.current).toBe('train-plan')
  })

  it('takes the speed of each coupling from what the driver was read to run at', () => {
    const job = new TestTrain()
    job.open(2950)
    expect(job.coupling('c1').rpm).toBeCloseTo(296, 6)
    expect(job.coupling('c2').rpm).toBe(2950)
    expect(job.state.rpm).toBe(2950)
  })

  it('passes a stage over for all of it, or for one part', () => {
    const job = new TestTrain()
    job.open(1475).lockOut()
    job.at('m2', { kind: 'stage-skipped', payload: { stage: 'feet', why: 'read last week' } })
    expect(partsAt(job.state, 'feet').map((p) => p.mark)).toEqual(['skipped', 'todo'])
    job.at(undefined, { kind: 'stage-skipped', payload: { stage: 'feet', why: 'new base' } })
    expect(job.mark('feet')).toBe('skipped')
  })
})

describe('what a part hears of the others', () => {
  it('both couplings of a machine hear its move, each in its own frame', () => {
    const job = new TestTrain(testTrain('right'), LOW).ready().measure()
    job.at(
      'm2',
      move([lifted('first', [0.2]), lifted('first', [0.2], 'right')], [{ pair: 'second', moved: 0.3 }]),
    )
    const [c1, c2] = [job.coupling('c1'), job.coupling('c2')]
    expect(c1.moves[0]?.footwork.moves.find((m) => m.id === 'first')).toMatchObject({
      machine: 'movable',
      v: 0.2,
    })
    expect(c1.moves[0]?.footwork.moves.find((m) => m.id === 'second')).toMatchObject({ h: 0.3 })
    // The motor's coupling is read from the motor's side of it: the gear unit stands still there, 3 and 9 change places.
    expect(c2.machine.feet.movable.map((f) => f.id)).toEqual(['second', 'first'])
    expect(c2.moves[0]?.footwork.moves.find((m) => m.id === 'second')).toMatchObject({
      machine: 'movable',
      h: -0.3,
    })
    expect(job.unit('m2').packs.find((p) => p.id === 'first')?.packs.left).toEqual([1, 0.5, 0.2, 0.2])
    expect(job.unit('m3').moves).toHaveLength(0)
    expect(job.state.rounds).toBe(1)
  })

  it('a coupling beside no moved machine keeps what was read there', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure()
    job.at('m3', move([lifted('first', [0.05]), lifted('first', [0.05], 'right')]))
    expect(job.coupling('c1').measurements).toHaveLength(1)
    expect(partsAt(job.state, 're-measure').map((p) => p.part.id)).toEqual(['c2'])
    expect(job.fold().sheet.current).toBe('re-measure')
  })

  it('shims that were found under a machine lie there for both of its couplings, sides changed where one looks the other way', () => {
    const job = new TestTrain(testTrain('right'))
    job.open(1475).lockOut()
    job.at('m2', {
      kind: 'shims-found',
      payload: {
        units: 'metric',
        feet: [{ machine: 'movable', pair: 'first', side: 'left', leaves: [{ thickness: 2, mark: '' }] }],
        words: '',
      },
    })
    const pack = (of: ReturnType<TestTrain['coupling']>) => of.packs.find((p) => p.id === 'first')?.packs
    expect(pack(job.coupling('c1'))).toMatchObject({ left: [2] })
    expect(pack(job.coupling('c2'))).toMatchObject({ right: [2] })
    expect(pack(job.unit('m2'))).toMatchObject({ left: [2] })
  })

  it('grows along the train: what the gear unit does is in the target of both its couplings', () => {
    const job = new TestTrain()
    job.open(1475).lockOut()
    const rise = (pair: string, mm: number) => ({ pair, heat: null, rise: mm, side: 0.1 })
    job.at(undefined, {
      kind: 'growth-set',
      payload: {
        units: 'metric',
        machines: [{ machine: 'm2', feet: [rise('first', 0.3), rise('second', 0.3)] }],
        source: '',
      },
    })
    expect(job.coupling('c1').target.offset).toEqual({
      v: expect.closeTo(-0.3) as number,
      h: expect.closeTo(-0.1) as number,
    })
    expect(job.coupling('c2').target.offset).toEqual({
      v: expect.closeTo(0.3) as number,
      h: expect.closeTo(0.1) as number,
    })
    expect(job.mark('growth')).toBe('done')
    const from = new TestTrain({ ...testTrain('right'), growth: job.state.growth!.set })
    from.open(1475)
    expect(from.state.growth?.from).toBe('register')
    expect(from.coupling('c2').target.offset).toEqual({
      v: expect.closeTo(-0.3) as number,
      h: expect.closeTo(0.1) as number,
    })
  })

  it('power that comes back is back everywhere', () => {
    const job = new TestTrain().ready()
    job.at('c1', { kind: 'power-restored', payload: { why: 'crane' } })
    expect(job.coupling('c2').safety.lost).not.toBeNull()
    expect(job.state.safety.missing).toHaveLength(5)
  })
})

describe('what a train refuses', () => {
  it('readings of no coupling, feet of a machine that is locked, a plan before all is read', () => {
    const job = new TestTrain(testTrain(), LOW).ready()
    const { kind, payload } = job.readAt('c1') as LogEntry<'readings-taken'>
    const readings = { kind, payload }
    job.entries.pop()
    expect(objection(job, undefined, readings)).toBe('no-such-part')
    expect(objection(job, 'c9', readings)).toBe('no-such-part')
    expect(objection(job, 'm2', readings)).toBe('no-such-part')
    expect(objection(job, 'c1', readings)).toBeNull()
    expect(objection(job, 'm1', move([lifted('first', [0.2])]))).toBe('machine-locked')
    expect(objection(job, 'm2', move([lifted('third', [0.2])]))).toBe('no-such-feet')
    const plan = {
      kind: 'train-plan-chosen' as const,
      payload: {
        units: 'metric' as const,
        option: 'closest' as const,
        changes: [{ machine: 'm2', pair: 'first', side: 'left' as const, takenOut: [], putIn: [0.2] }],
        side: [],
        sets: {},
      },
    }
    expect(objection(job, undefined, plan)).toBe('train-unread')
    job.measure()
    expect(objection(job, undefined, plan)).toBeNull()
    const other = (machine: string, pair = 'first') => ({
      ...plan,
      payload: { ...plan.payload, changes: plan.payload.changes.map((c) => ({ ...c, machine, pair })) },
    })
    expect(objection(job, undefined, other('m9'))).toBe('no-such-part')
    expect(objection(job, undefined, other('m2', 'third'))).toBe('no-such-feet')
    expect(objection(job, undefined, other('m1'))).toBe('machine-locked')
  })

  it('a foot filled behind readings of a coupling beside it', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure(['c1'])
    const fill = {
      kind: 'foot-filled' as const,
      payload: { units: 'metric' as const, change: lifted('first', [0.1]), why: '' },
    }
    expect(objection(job, 'm2', fill)).toBe('read-already')
    expect(objection(job, 'm3', fill)).toBeNull()
  })
})

describe('a machine freed or held in a job', () => {
  it('says who holds it, and the plan that was made before is stale', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure()
    expect(job.state.machines.map((m) => [m.held.held, m.held.by])).toEqual([
      [true, 'register'],
      [false, null],
      [false, null],
    ])
    job.at(undefined, {
      kind: 'train-plan-chosen',
      payload: {
        units: 'metric',
        option: 'closest',
        changes: [{ machine: 'm3', pair: 'first', side: 'left', takenOut: [], putIn: [0.2] }],
        side: [],
        sets: Object.fromEntries(['c1', 'c2'].map((c) => [c, job.coupling(c).latest.used])),
      },
    })
    expect(job.state.plan?.stale).toBe(false)
    job.at(undefined, { kind: 'machine-freed', payload: { machine: 'm3', may: false, why: 'grouted' } })
    expect(job.state.plan?.stale).toBe(true)
    expect(job.state.machines[2]?.held).toEqual({ held: true, by: 'job', why: 'grouted' })
    job.at(undefined, { kind: 'machine-freed', payload: { machine: 'm1', may: true, why: 'new grout' } })
    expect(job.state.machines[0]?.held.held).toBe(false)
  })
})

describe('what a train comes to', () => {
  it('is its worst coupling, with every figure under its coupling', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure()
    const fold = job.fold()
    expect(fold.state.outcome.verdict).toBe('out')
    expect(summaryOf(fold)).toMatchObject({
      kind: 'train',
      rounds: 0,
      couplings: [
        { id: 'c1', asFound: { verdict: 'out' } },
        { id: 'c2', name: 'Motor coupling' },
      ],
    })
    const names = new Set(figuresOf(fold).map((f) => f.name))
    expect(names).toContain('c1:offset.v')
    expect(names).toContain('c2:slope.h')
  })

  it('unread couplings are an exception', () => {
    const job = new TestTrain(testTrain(), LOW).ready().measure(['c1'])
    expect(job.state.outcome.exceptions).toContain('unmeasured')
  })

  it('the same however it was folded: entry by entry or at once', () => {
    const job = new TestTrain(testTrain('right'), LOW).ready().measure()
    job.at('m2', move([lifted('first', [0.2]), lifted('first', [0.2], 'right')]))
    job.measure()
    for (let n = 0; n <= job.entries.length; n++) {
      const part = new TestTrain(job.machine)
      part.entries.push(...job.entries.slice(0, n))
      const fresh = new TestTrain(JSON.parse(JSON.stringify(job.machine)) as typeof job.machine)
      fresh.entries.push(...job.entries.slice(0, n))
      expect(part.fold().sheet).toEqual(fresh.fold().sheet)
      expect(part.state.outcome).toEqual(fresh.state.outcome)
    }
  })
})
