import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fromCore } from '../units/unitSystem'
import type { FootChange } from './entry'
import { planChanges, plansFor } from './planning'
import { inMil, SET_UP, TEST_MACHINE, TestJob } from './testJob'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const mil = (mm: number | null | undefined) => fromCore(mm ?? NaN, 'displacement', 'inch')
const lift = (pair: string, amount: number): FootChange[] =>
  (['left', 'right'] as const).map((side) => ({ pair, side, takenOut: [], putIn: [amount] }))

describe('where a job stands', () => {
  it('walks from lockout to close, one stage after another', () => {
    const job = new TestJob()
    expect(job.fold().current).toBe('make-safe')
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    expect(job.fold().current).toBe('make-safe')
    for (const point of ['isolated', 'locked-tagged', 'energy-released', 'tried'] as const)
      job.add({ kind: 'safety-confirmed', payload: { point, permit: 'W-1' } })
    expect(job.fold().safety).toMatchObject({ missing: ['guard-off'], permit: 'W-1' })
    job.add({ kind: 'safety-confirmed', payload: { point: 'guard-off', permit: '' } })
    expect(job.fold().current).toBe('set-up')
    job.add({ kind: 'set-up', payload: SET_UP })
    expect(job.fold().current).toBe('as-found')
    job.read(LOW)
    expect(job.fold()).toMatchObject({ current: 'as-found', latest: { trust: 'once' } })
    job.read(LOW)
    expect(job.fold()).toMatchObject({ current: 'plan', latest: { trust: 'agreed' } })

    const plan = plansFor(TEST_MACHINE, job.fold())?.plans[0]
    if (!plan) throw new Error('no plan')
    const { changes, side } = planChanges(plan, 'inch')
    job.add({ kind: 'plan-chosen', payload: { units: 'inch', option: plan.kind, changes, side } })
    expect(job.fold()).toMatchObject({ current: 'move', stages: { plan: { mark: 'in' } } })
    job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: '' } })
    expect(job.fold().current).toBe('re-measure')

    const after = job.fold().moves[0]?.predicted
    const truth = inMil(
      mil(after?.offset.v),
      mil(after?.offset.h),
      (after?.slope.v ?? 0) * 1000,
      (after?.slope.h ?? 0) * 1000,
    )
    job.read(truth)
    job.read(truth)
    const measured = job.fold()
    expect(measured.current).toBe('close')
    expect(measured.moves[0]?.achieved?.map((a) => a.cause)).toEqual(['as-planned', 'as-planned'])
    job.add({ kind: 'job-closed', payload: { signedBy: 'me', remarks: '', exception: '' } })
    const closed = job.fold()
    expect(closed.closed?.payload.signedBy).toBe('me')
    expect(closed.asFound?.judgement?.verdict).toBe('out')
    expect(closed.asLeft?.judgement?.verdict).toBe('in')
  })

  it('asks for the whole lockout again when power came back', () => {
    const job = new TestJob().ready()
    job.add({ kind: 'power-restored', payload: { why: 'bump test' } })
    expect(job.fold()).toMatchObject({ current: 'make-safe', safety: { powerBack: 'bump test' } })
    expect(job.fold().safety.missing).toHaveLength(5)
  })

  it('needs no plan when it is found in band', () => {
    const job = new TestJob().ready()
    job.read(inMil(1, 0, 0.1, 0))
    job.read(inMil(1, 0, 0.1, 0))
    const state = job.fold()
    expect(state.current).toBe('close')
    expect(state.asLeft).toBe(state.asFound)
  })

  it('plans again when the re-measure is still out', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('inboard', 1), side: [], remark: '' },
    })
    job.read(LOW)
    job.read(LOW)
    expect(job.fold()).toMatchObject({ current: 'plan', stages: { 're-measure': { mark: 'out' } } })
  })

  it('passes over a stage with its reason', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    job.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by eye' } })
    expect(job.fold()).toMatchObject({
      current: 'move',
      skipped: { plan: 'by eye' },
      stages: { plan: { mark: 'skipped' } },
    })
  })

  it('judges by the speed that was read off, not the one in the register', () => {
    const job = new TestJob({
      ...TEST_MACHINE,
      tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
    })
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 1800, customer: '', note: '' } })
    const { tolerance, rpm } = job.fold()
    expect(rpm).toBe(1800)
    expect(tolerance.form === 'offset-slope' && mil(tolerance.offset)).toBeCloseTo(3, 9)
  })

  it('is the same whether folded at once or entry by entry', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    const whole = job.fold()
    const prefix = new TestJob()
    for (const e of job.entries) {
      prefix.entries.push(e)
      prefix.fold()
    }
    expect(prefix.fold()).toEqual(whole)
  })
})

describe('what sets of readings say together', () => {
  it('combines sets that repeat', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    const { latest } = job.fold()
    expect(latest.used).toHaveLength(2)
    expect(mil(latest.coupling?.offset.v)).toBeCloseTo(-8.4, 5)
    expect((latest.coupling?.slope.h ?? 0) * 1000).toBeCloseTo(0.22, 5)
  })

  it('names the reading that does not repeat, and does not use that set', () => {
    const job = new TestJob().ready()
    const good = job.read(LOW)
    const bad = job.read(LOW, { clock: 270, by: 3 })
    const { latest } = job.fold()
    expect(latest.trust).toBe('doubtful')
    expect(latest.suspects).toEqual([{ set: bad.id, dial: 'face', clock: 270 }])
    expect(latest.used).toEqual([good.id])
    expect(latest.repeat?.agrees).toBe(false)
  })

  it('a third set that agrees with the first settles it', () => {
    const job = new TestJob().ready()
    const first = job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    const third = job.read(LOW)
    expect(job.fold().latest).toMatchObject({ trust: 'agreed', used: [first.id, third.id] })
  })

  it('two balanced sets that differ are doubted, whichever is right', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(inMil(-8.4, 5.1, -1.6, 0.22))
    expect(job.fold()).toMatchObject({ current: 'as-found', latest: { trust: 'doubtful' } })
  })

  it('a failed set is used when someone says why, and left out when someone says why', () => {
    const job = new TestJob().ready()
    const bad = job.read(LOW, { clock: 90, by: 4 })
    expect(job.fold().latest.coupling).toBeNull()
    job.add({ kind: 'set-used-anyway', payload: { set: bad.id, why: 'guard in the way' } })
    expect(job.fold()).toMatchObject({ current: 'plan', latest: { trust: 'overridden', used: [bad.id] } })
    job.add({ kind: 'set-left-out', payload: { set: bad.id, why: 'bracket slipped' } })
    expect(job.fold().latest).toMatchObject({
      used: [],
      sets: [{ leftOut: 'bracket slipped', usedAnyway: null }],
    })
  })

  it('a dial that did not come back to zero spoils its set', () => {
    const job = new TestJob().ready()
    const set = job.read(LOW)
    if (set.kind !== 'readings-taken') throw new Error(set.kind)
    job.add(
      { kind: 'readings-taken', payload: { ...set.payload, returned: { rim: 1, face: 0 } } },
      { entry: set.id, reason: 'typed wrong' },
    )
    const { latest } = job.fold()
    expect(latest.sets).toHaveLength(1)
    expect(latest.sets[0]).toMatchObject({ sound: false })
    expect(latest.sets[0]?.flags).toContain('return-to-zero')
  })

  it('a correction stands in the place of what it corrects, and a correction of it in turn', () => {
    const job = new TestJob().ready()
    const wrong = job.read(LOW, { clock: 90, by: 9 })
    const second = job.read(LOW)
    const better = job.read(LOW, { clock: 90, by: 5 }, { entry: wrong.id, reason: 'misread' })
    const right = job.read(LOW, undefined, { entry: better.id, reason: 'misread again' })
    const { latest } = job.fold()
    expect(latest.sets.map((s) => s.entry.id)).toEqual([right.id, second.id])
    expect(latest.trust).toBe('agreed')
  })

  it('three positions stay unproven', () => {
    const job = new TestJob().ready()
    const three = [0, 120, 240].map((clock) => ({ clock, value: 0 }))
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', rim: three, face: three, returned: { rim: 0, face: 0 } },
    })
    expect(job.fold()).toMatchObject({ current: 'as-found', latest: { trust: 'unproven' } })
  })

  it('readings that can’t be calculated are kept with their reason', () => {
    const job = new TestJob().ready()
    const close = [0, 10, 20].map((clock) => ({ clock, value: 0 }))
    job.add({ kind: 'readings-taken', payload: { units: 'inch', rim: close, face: close, returned: null } })
    expect(job.fold().latest.sets[0]).toMatchObject({ measured: null, refusals: [{ code: 'arc-too-short' }] })
  })

  it('a set typed in millimetres is the same set', () => {
    const inch = new TestJob().ready()
    const set = inch.read(LOW)
    if (set.kind !== 'readings-taken') throw new Error(set.kind)
    const metric = new TestJob().ready()
    const converted = (list: typeof set.payload.rim) => list.map((r) => ({ ...r, value: r.value * 0.0254 }))
    metric.add({
      kind: 'readings-taken',
      payload: {
        units: 'metric',
        rim: converted(set.payload.rim),
        face: converted(set.payload.face),
        returned: { rim: 0, face: 0 },
      },
    })
    expect(metric.fold().latest.coupling?.offset.v).toBeCloseTo(
      inch.fold().latest.coupling?.offset.v ?? NaN,
      12,
    )
  })
})

describe('what moves do', () => {
  const ready = () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    return job
  }

  it('follow the shims under each foot', () => {
    const job = ready()
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [{ pair: 'inboard', side: 'left', takenOut: [10], putIn: [20, 2] }],
        side: [],
        remark: '',
      },
    })
    const state = job.fold()
    expect(state.packs[0]?.packs.left.map((t) => Math.round(mil(t)))).toEqual([25, 20, 2])
    expect(state.packs[0]?.packs.right.map((t) => Math.round(mil(t)))).toEqual([25, 10])
    expect(state.moves[0]?.footwork.uneven).toMatchObject([{ pair: 'inboard' }])
  })

  it('keep what they say even when the register knew nothing of that shim', () => {
    const job = ready()
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [{ pair: 'outboard', side: 'right', takenOut: [50], putIn: [] }],
        side: [],
        remark: '',
      },
    })
    expect(job.fold().moves[0]?.footwork.unknownShims).toMatchObject([{ pair: 'outboard', side: 'right' }])
  })

  it('predict what the next measurement should read', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 25 }),
        fc.integer({ min: 0, max: 25 }),
        fc.integer({ min: -20, max: 20 }),
        (a, b, h) => {
          const job = ready()
          job.add({
            kind: 'move-made',
            payload: {
              units: 'inch',
              changes: [...lift('inboard', a), ...lift('outboard', b)],
              side: [{ pair: 'outboard', moved: h }],
              remark: '',
            },
          })
          const predicted = job.fold().moves[0]?.predicted
          const at = (plane: 'v' | 'h', x: number) =>
            mil((predicted?.offset[plane] ?? 0) + (predicted?.slope[plane] ?? 0) * x * 25.4)
          expect(at('v', 12)).toBeCloseTo(-8.4 - 0.36 * 12 + a, 4)
          expect(at('v', 34.5)).toBeCloseTo(-8.4 - 0.36 * 34.5 + b, 4)
          expect(at('h', 34.5)).toBeCloseTo(5.1 + 0.22 * 34.5 + h, 4)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('use up room in the bolt holes for the next plan', () => {
    const job = new TestJob({
      ...TEST_MACHINE,
      feet: TEST_MACHINE.feet.map((f) => ({ ...f, sideMinus: 10 })),
    }).ready()
    const side = inMil(0, 60, 0, 0)
    job.read(side)
    job.read(side)
    const move = [
      { pair: 'inboard', moved: -10 },
      { pair: 'outboard', moved: -10 },
    ]
    job.add({ kind: 'move-made', payload: { units: 'inch', changes: [], side: move, remark: '' } })
    job.read(inMil(0, 50, 0, 0))
    job.read(inMil(0, 50, 0, 0))
    const plans = plansFor(job.machine, job.fold())
    expect(plans?.feasible).toBe(false)
    expect(plans?.blocked.every((b) => b.reason === 'bolt-bound' && Math.abs(b.room) < 1e-9)).toBe(true)
  })
})
