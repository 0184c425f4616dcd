import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../logbook/entry'
import { isBelieved } from '../stages/measure/measurement'
import type { FootChange } from '../stages/plan/entries'
import { planChanges, plansFor } from '../stages/plan/planning'
import { fromCore } from '../units/unitSystem'
import { inMil, lift, REVERSE_SET_UP, SET_UP, TEST_MACHINE, TestJob } from './testJob'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const mil = (mm: number | null | undefined) => fromCore(mm ?? NaN, 'displacement', 'inch')
const move = (
  changes: readonly FootChange[],
  side: readonly { pair: string; moved: number }[] = [],
): EntryBody => ({
  kind: 'move-made',
  payload: {
    units: 'inch',
    changes,
    side: side.map((s) => ({ machine: 'movable' as const, ...s })),
    remark: '',
  },
})
const measured = (truth = LOW) => {
  const job = new TestJob().ready()
  job.read(truth)
  job.read(truth)
  return job
}
const planOf = (job: TestJob, sets: readonly string[] | null = [...job.state.latest.used]): EntryBody => {
  const plan = plansFor(job.state)?.plans[0]
  if (!plan) throw new Error('no plan')
  return {
    kind: 'plan-chosen',
    payload: { units: 'inch', option: plan.kind, ...planChanges(plan, 'inch'), sets },
  }
}
/** The line a fold predicts, as mil and mil/in, to read off a machine that did as it was told. */
const asTruth = (line: ReturnType<typeof inMil> | null | undefined) =>
  inMil(mil(line?.offset.v), mil(line?.offset.h), (line?.slope.v ?? 0) * 1000, (line?.slope.h ?? 0) * 1000)

describe('where a job stands', () => {
  it('walks from lockout to close, one stage after another', () => {
    const job = new TestJob()
    expect(job.fold().sheet.current).toBe('make-safe')
    job.open()
    for (const point of ['isolated', 'locked-tagged', 'energy-released', 'tried'] as const)
      job.add({ kind: 'safety-confirmed', payload: { point, permit: 'W-1' } })
    expect(job.state.safety).toMatchObject({ missing: ['guard-off'], permit: 'W-1' })
    job.add({ kind: 'safety-confirmed', payload: { point: 'guard-off', permit: '' } })
    expect(job.fold().sheet.current).toBe('look')
    job.look()
    expect(job.fold().sheet.current).toBe('feet')
    job.rises()
    expect(job.fold().sheet.current).toBe('rough-in')
    job.feelHubs()
    expect(job.fold().sheet.current).toBe('set-up')
    job.add({ kind: 'set-up', payload: SET_UP })
    expect(job.fold().sheet.current).toBe('as-found')
    job.read(LOW)
    expect(job.fold()).toMatchObject({ sheet: { current: 'as-found' }, state: { latest: { trust: 'once' } } })
    job.read(LOW)
    expect(job.fold()).toMatchObject({ sheet: { current: 'plan' }, state: { latest: { trust: 'agreed' } } })

    const plan = planOf(job)
    job.add(plan)
    expect(job.fold().sheet.current).toBe('move')
    expect(job.mark('plan')?.mark).toBe('in')
    if (plan.kind !== 'plan-chosen') throw new Error(plan.kind)
    job.add({ kind: 'move-made', payload: { ...plan.payload, remark: '' } })
    expect(job.fold().sheet.current).toBe('re-measure')

    const truth = asTruth(job.state.moves[0]?.predicted)
    job.read(truth)
    job.read(truth)
    expect(job.fold().sheet.current).toBe('prove')
    job.prove()
    expect(job.fold().sheet.current).toBe('close')
    expect(job.state.moves[0]?.achieved?.map((a) => a.cause)).toEqual(['as-planned', 'as-planned'])
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    job.add({
      kind: 'job-closed',
      payload: { signedBy: 'me', remarks: '', exception: '', signed: { verdict: 'in', foldVersion: 3 } },
    })
    const { state } = job.fold()
    expect(state.closing?.payload.signedBy).toBe('me')
    expect(state.asFound?.judgement?.verdict).toBe('out')
    expect(state.asLeft?.judgement?.verdict).toBe('in')
  })

  it('needs no plan when it is found in band', () => {
    const job = measured(inMil(1, 0, 0.1, 0))
    expect(job.fold().sheet.current).toBe('prove')
    expect(job.state.asLeft).toBe(job.state.asFound)
  })

  it('plans again when the re-measure is still out', () => {
    const job = measured()
    job.add(move(lift('inboard', [1])))
    job.read(LOW)
    job.read(LOW)
    expect(job.fold().sheet.current).toBe('plan')
    expect(job.mark('re-measure')?.mark).toBe('out')
  })

  it('passes over a stage with its reason', () => {
    const job = measured()
    job.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by eye' } })
    expect(job.fold().sheet.current).toBe('move')
    expect(job.mark('plan')).toEqual({ id: 'plan', mark: 'skipped', skipped: 'by eye' })
  })

  it('a stage passed over in one round is asked for again in the next', () => {
    const job = measured()
    job.add(move(lift('inboard', [5])))
    job.add({ kind: 'stage-skipped', payload: { stage: 're-measure', why: 'shift ends' } })
    expect(job.fold().sheet.current).toBe('prove')
    job.add(move(lift('outboard', [5])))
    expect(job.fold().sheet.current).toBe('re-measure')
    expect(job.mark('re-measure')).toMatchObject({ mark: 'todo', skipped: null })
  })

  it('judges by the speed that was read off, not the one in the register', () => {
    const job = new TestJob({
      ...TEST_MACHINE,
      tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
    }).open(1800)
    const { tolerance, rpm } = job.state
    expect(rpm).toBe(1800)
    expect(tolerance.form === 'offset-slope' && mil(tolerance.offset)).toBeCloseTo(3, 9)
  })

  it('keeps one tolerance for a whole job, so that a digit works out one set and not all of them', () => {
    const job = measured()
    const before = job.state
    job.read(LOW)
    const after = job.state
    expect(after.tolerance).toBe(before.tolerance)
    expect(after.latest.sets[0]?.set).toBe(before.latest.sets[0]?.set)
    expect(after.latest.sets[1]?.set).toBe(before.latest.sets[1]?.set)
  })
})

describe('the lockout', () => {
  it('is asked for again whole when power came back, with why, and all of it is kept', () => {
    const job = new TestJob().ready()
    job.add({ kind: 'power-restored', payload: { why: 'bump test' } })
    expect(job.fold().sheet.current).toBe('make-safe')
    expect(job.state.safety).toMatchObject({ lost: { payload: { why: 'bump test' } } })
    expect(job.state.safety.missing).toHaveLength(5)
    expect(job.mark('make-safe')?.mark).toBe('stale')
    job.lockOut()
    expect(job.state.safety.lost).toBeNull()
    expect(job.state.safety.history).toHaveLength(11)
    expect(job.state.safety.history.map((e) => e.kind)).toContain('power-restored')
  })

  it('can be waived with a reason until power comes back or it is made whole', () => {
    const job = new TestJob().open()
    job.add({ kind: 'lockout-waived', payload: { why: 'motor not wired yet' } })
    expect(job.fold().sheet.current).toBe('look')
    job.add({ kind: 'power-restored', payload: { why: 'wired now' } })
    expect(job.fold().sheet.current).toBe('make-safe')
    expect(job.state.safety.waived).toBeNull()
  })
})

describe('what sets of readings say together', () => {
  it('combines sets that repeat, by either method', () => {
    for (const setUp of [SET_UP, REVERSE_SET_UP]) {
      const job = new TestJob().ready(setUp)
      job.read(LOW)
      job.read(LOW)
      const { latest } = job.state
      expect(latest.used).toHaveLength(2)
      expect(mil(latest.coupling?.offset.v)).toBeCloseTo(-8.4, 5)
      expect((latest.coupling?.slope.h ?? 0) * 1000).toBeCloseTo(0.22, 5)
    }
  })

  it('compares sets of two methods by what they say, since their positions are not the same dials', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.add({ kind: 'set-up', payload: REVERSE_SET_UP })
    job.read(LOW)
    const { latest } = job.state
    expect(latest.repeat?.rows.every((r) => r.what === 'quantity')).toBe(true)
    expect(latest.trust).toBe('agreed')
    expect(latest.sets.map((s) => s.set.setUp.how.method)).toEqual(['rim-face', 'reverse-rim'])
  })

  it('a corrected set-up goes for the sets that were read with it; a new one for later sets alone', () => {
    const job = new TestJob().ready()
    const setUp = job.entries.find((e) => e.kind === 'set-up')
    if (setUp?.kind !== 'set-up' || setUp.payload.how.method !== 'rim-face') throw new Error('no set-up')
    job.read(LOW)
    job.read(LOW)
    const twice = {
      ...setUp.payload,
      how: {
        ...setUp.payload.how,
        given: { ...setUp.payload.how.given, faces: [{ plunger: 'away', diameter: 16, sag: 0 }] as const },
      },
    } as const
    const before = job.state.latest.coupling?.slope.v ?? NaN
    job.add({ kind: 'set-up', payload: twice })
    expect(job.state.latest.coupling?.slope.v).toBeCloseTo(before, 12)
    job.entries.pop()
    job.add(
      { kind: 'set-up', payload: twice },
      { supersedes: { entry: setUp.id, reason: 'it was the radius' } },
    )
    expect(job.state.latest.coupling?.slope.v).toBeCloseTo(before / 2, 12)
  })

  it('names the reading that does not repeat, and does not use that set', () => {
    const job = new TestJob().ready()
    const good = job.read(LOW)
    const bad = job.read(LOW, { clock: 270, by: 3 })
    const { latest } = job.state
    expect(latest.trust).toBe('doubtful')
    expect(latest.suspects).toEqual([{ set: bad.id, circle: 'face', clock: 270 }])
    expect(latest.used).toEqual([good.id])
    expect(latest.repeat?.agrees).toBe(false)
  })

  it('a third set that agrees with the first settles it', () => {
    const job = new TestJob().ready()
    const first = job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    const third = job.read(LOW)
    expect(job.state.latest).toMatchObject({ trust: 'agreed', used: [first.id, third.id] })
  })

  it('two balanced sets that differ are doubted, whichever is right, and both are named', () => {
    const job = new TestJob().ready()
    const a = job.read(LOW)
    const b = job.read(inMil(-8.4, 5.1, -1.6, 0.22))
    expect(job.fold().sheet.current).toBe('as-found')
    expect(job.state.latest).toMatchObject({
      trust: 'doubtful',
      disputed: { first: a.id, second: b.id, mirrored: false },
    })
    job.add({ kind: 'set-used-anyway', payload: { set: a.id, why: 'b was read in a hurry' } })
    expect(job.state.latest).toMatchObject({ trust: 'overridden', used: [a.id] })
  })

  it('tells when 3 and 9 swapped in one set would explain it', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(inMil(-8.4, -5.1, -0.36, -0.22))
    expect(job.state.latest.disputed?.mirrored).toBe(true)
  })

  it('a failed set is used when someone says why, and left out when someone says why', () => {
    const job = new TestJob().ready()
    const bad = job.read(LOW, { clock: 90, by: 4 })
    expect(job.state.latest.coupling).toBeNull()
    job.add({ kind: 'set-used-anyway', payload: { set: bad.id, why: 'guard in the way' } })
    expect(job.fold().sheet.current).toBe('plan')
    expect(job.state.latest).toMatchObject({ trust: 'overridden', used: [bad.id] })
    job.add({ kind: 'set-left-out', payload: { set: bad.id, why: 'bracket slipped' } })
    expect(job.state.latest).toMatchObject({
      used: [],
      sets: [{ leftOut: 'bracket slipped', usedAnyway: null }],
    })
  })

  it('a dial that did not come back to zero spoils its set', () => {
    const job = new TestJob().ready()
    const set = job.read(LOW)
    job.add(
      { kind: 'readings-taken', payload: { ...set.payload, returned: { rim: 1, face: 0 } } },
      { supersedes: { entry: set.id, reason: 'typed wrong' } },
    )
    const { latest } = job.state
    expect(latest.sets).toHaveLength(1)
    expect(latest.sets[0]?.set).toMatchObject({ sound: false })
    expect(latest.sets[0]?.set.flags).toContain('return-to-zero')
  })

  it('a correction stands in the place of what it corrects, and a correction of it in turn', () => {
    const job = new TestJob().ready()
    const wrong = job.read(LOW, { clock: 90, by: 9 })
    const second = job.read(LOW)
    const better = job.read(LOW, { clock: 90, by: 5 }, { entry: wrong.id, reason: 'misread' })
    const right = job.read(LOW, undefined, { entry: better.id, reason: 'misread again' })
    const { latest } = job.state
    expect(latest.sets.map((s) => s.set.entry.id)).toEqual([right.id, second.id])
    expect(latest.trust).toBe('agreed')
  })

  it('three positions stay unproven', () => {
    const job = new TestJob().ready()
    const three = [0, 120, 240].map((clock) => ({ clock, value: 0 }))
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', circles: { rim: three, face: three }, returned: { rim: 0, face: 0 } },
    })
    expect(job.fold().sheet.current).toBe('as-found')
    expect(job.state.latest.trust).toBe('unproven')
    expect(isBelieved(job.state.latest)).toBe(false)
  })

  it('readings that can’t be calculated are kept with their reason', () => {
    const job = new TestJob().ready()
    const close = [0, 10, 20].map((clock) => ({ clock, value: 0 }))
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', circles: { rim: close, face: close }, returned: null },
    })
    expect(job.state.latest.sets[0]?.set).toMatchObject({
      measured: null,
      refusals: [{ code: 'arc-too-short', path: ['rim', 'readings'] }],
    })
  })

  it('a set typed in millimetres is the same set', () => {
    const inch = new TestJob().ready()
    const set = inch.read(LOW)
    const metric = new TestJob().ready()
    const converted = Object.fromEntries(
      Object.entries(set.payload.circles).map(([c, list]) => [
        c,
        list.map((r) => ({ ...r, value: r.value * 0.0254 })),
      ]),
    )
    metric.add({
      kind: 'readings-taken',
      payload: { units: 'metric', circles: converted, returned: { rim: 0, face: 0 } },
    })
    expect(metric.state.latest.coupling?.offset.v).toBeCloseTo(
      inch.state.latest.coupling?.offset.v ?? NaN,
      12,
    )
  })
})

describe('a plan that waits', () => {
  it('goes stale when the sets it came from are no longer those in use', () => {
    const job = measured()
    job.add(planOf(job))
    expect(job.state.plan?.stale).toBe(false)
    for (const id of [...job.state.latest.used])
      job.add({ kind: 'set-left-out', payload: { set: id, why: 'bracket was loose' } })
    expect(job.state.plan).toMatchObject({ stale: true, predicted: null, judgement: null })
    expect(job.mark('plan')?.mark).toBe('stale')
    expect(job.fold().sheet.current).toBe('as-found')
    job.read(LOW)
    job.read(LOW)
    expect(job.fold().sheet.current).toBe('plan')
  })

  it('older plans, which kept no sets, go stale with the next reading', () => {
    const job = measured()
    job.add(planOf(job, null))
    expect(job.state.plan?.stale).toBe(false)
    job.read(LOW)
    expect(job.state.plan?.stale).toBe(true)
  })
})

describe('what moves do', () => {
  it('follow the shims under each foot', () => {
    const job = measured()
    job.add(move([{ machine: 'movable', pair: 'inboard', side: 'left', takenOut: [10], putIn: [20, 2] }]))
    const { state } = job.fold()
    expect(state.packs[0]?.packs.left.map((t) => Math.round(mil(t)))).toEqual([25, 20, 2])
    expect(state.packs[0]?.packs.right.map((t) => Math.round(mil(t)))).toEqual([25, 10])
    expect(state.moves[0]?.footwork.uneven).toMatchObject([{ machine: 'movable', pair: 'inboard' }])
  })

  it('keep what they say even when the register knew nothing of that shim', () => {
    const job = measured()
    job.add(move([{ machine: 'movable', pair: 'outboard', side: 'right', takenOut: [50], putIn: [] }]))
    expect(job.state.moves[0]?.footwork.unknownShims).toMatchObject([{ pair: 'outboard', side: 'right' }])
  })

  it('predict what the next measurement should read', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 25 }),
        fc.integer({ min: 0, max: 25 }),
        fc.integer({ min: -20, max: 20 }),
        (a, b, h) => {
          const job = measured()
          job.add(move([...lift('inboard', [a]), ...lift('outboard', [b])], [{ pair: 'outboard', moved: h }]))
          const predicted = job.state.moves[0]?.predicted
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

  it('of the stationary machine shift the axis the other way', () => {
    const stationary = TEST_MACHINE.feet.movable.map((f) => ({ ...f, x: -f.x }))
    const job = new TestJob({ ...TEST_MACHINE, feet: { ...TEST_MACHINE.feet, stationary } }).ready()
    job.read(LOW)
    job.read(LOW)
    const up = (['inboard', 'outboard'] as const).flatMap((id) =>
      lift(id, [5]).map((c): FootChange => ({ ...c, machine: 'stationary' })),
    )
    job.add(move(up))
    expect(mil(job.state.moves[0]?.predicted?.offset.v)).toBeCloseTo(-13.4, 5)
    expect(job.state.packs.find((p) => p.machine === 'stationary')?.packs.left).toHaveLength(3)
  })

  it('three pairs of feet are a list like two', () => {
    const [near, far] = TEST_MACHINE.feet.movable
    if (!near || !far) throw new Error('two pairs')
    const middle = { ...near, id: 'middle', x: 23 }
    const machine = { ...TEST_MACHINE, feet: { movable: [near, middle, far], stationary: [] } }
    const feet = machine.feet.movable.map((f) => ({ machine: 'movable' as const, pair: f.id, x: f.x }))
    const job = new TestJob(machine).ready({ ...SET_UP, feet })
    job.read(LOW)
    job.read(LOW)
    expect(job.state.latest.feet.map((f) => f.id)).toEqual(['inboard', 'middle', 'outboard'])
    job.add(move(['inboard', 'middle', 'outboard'].flatMap((id) => lift(id, [10]))))
    expect(mil(job.state.moves[0]?.predicted?.offset.v)).toBeCloseTo(1.6, 5)
  })

  it('are compared with what was made: shims first is not blamed for the side that comes later', () => {
    const job = measured()
    const plan = planOf(job)
    if (plan.kind !== 'plan-chosen') throw new Error(plan.kind)
    expect(plan.payload.side.length).toBeGreaterThan(0)
    job.add(plan)
    job.add(move(plan.payload.changes))
    const truth = asTruth(job.state.moves[0]?.predicted)
    job.read(truth)
    job.read(truth)
    expect(job.state.moves[0]?.achieved).toMatchObject([{ plane: 'v', cause: 'as-planned' }])
    expect(job.state.moves[0]?.carriedAlong).toMatchObject([{ plane: 'h' }])
    expect(job.state.moves[0]?.strayed).toEqual([])
  })

  it('say when something other than the plan was made, and judge what was made', () => {
    const job = measured()
    job.add(planOf(job))
    job.add(move(lift('inboard', [20, 3])))
    const truth = asTruth(job.state.moves[0]?.predicted)
    job.read(truth)
    job.read(truth)
    expect(job.state.moves[0]?.strayed).toEqual(['v'])
    expect(job.state.moves[0]?.achieved).toMatchObject([{ plane: 'v', cause: 'as-planned' }])
  })

  it('can be corrected: packs and prediction follow the correction', () => {
    const job = measured()
    const wrong = job.add(move(lift('inboard', [20])))
    job.add(move(lift('inboard', [10])), { supersedes: { entry: wrong.id, reason: 'ten, not twenty' } })
    expect(job.state.moves).toHaveLength(1)
    expect(job.state.packs[0]?.packs.left.map((t) => Math.round(mil(t)))).toEqual([25, 10, 10])
  })

  it('use up room in the bolt holes for the next plan', () => {
    const job = new TestJob({
      ...TEST_MACHINE,
      feet: {
        ...TEST_MACHINE.feet,
        movable: TEST_MACHINE.feet.movable.map((f) => ({ ...f, sideMinus: 10 })),
      },
    }).ready()
    const side = inMil(0, 60, 0, 0)
    job.read(side)
    job.read(side)
    job.add(
      move(
        [],
        [
          { pair: 'inboard', moved: -10 },
          { pair: 'outboard', moved: -10 },
        ],
      ),
    )
    job.read(inMil(0, 50, 0, 0))
    job.read(inMil(0, 50, 0, 0))
    const plans = plansFor(job.state)
    expect(plans?.feasible).toBe(false)
    expect(plans?.blocked.every((b) => b.reason === 'bolt-bound' && Math.abs(b.room) < 1e-9)).toBe(true)
  })
})

describe('what a job comes to when it closes', () => {
  it('needs an exception unmeasured, moved since, doubtful or out', () => {
    expect(new TestJob().ready().state.outcome).toEqual({ verdict: 'unknown', exceptions: ['unmeasured'] })
    const out = measured()
    expect(out.state.outcome).toEqual({ verdict: 'out', exceptions: ['out'] })
    out.add(move(lift('inboard', [10])))
    expect(out.state.outcome.exceptions).toEqual(['moved-since', 'out'])
    const doubtful = new TestJob().ready()
    doubtful.read(inMil(0, 0, 0, 0))
    doubtful.read(inMil(0, 0, 0, 0), { clock: 270, by: 4 })
    expect(doubtful.state.outcome.exceptions).toContain('doubtful')
  })
})
