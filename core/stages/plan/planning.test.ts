import { describe, expect, it } from 'vitest'
import { doFootwork } from '../move/footwork'
import { inMil, lift, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { feetBeforeLastMove, planChanges, planFeet, planInputFor, plansFor, worthwhilePlan } from './planning'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const measured = (machine = TEST_MACHINE) => {
  const job = new TestJob(machine).ready()
  job.read(LOW)
  job.read(LOW)
  return job
}

describe('planning from a job', () => {
  it('waits for a measurement in both planes', () => {
    const job = new TestJob().ready()
    expect(planInputFor(job.state)).toBeNull()
    const pair = [
      { clock: 0, value: 0 },
      { clock: 180, value: -8 },
    ]
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', circles: { rim: pair, face: pair }, returned: { rim: 0, face: 0 } },
    })
    expect(plansFor(job.state)).toBeNull()
  })

  it('takes distances from the set-up, packs from what lies there now', () => {
    const job = measured()
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: lift('inboard', [20], [10]),
        side: [],
        remark: '',
      },
    })
    job.read(LOW)
    const input = planInputFor(job.state)
    expect(input?.feet[0]?.x).toBeCloseTo(12 * 25.4, 9)
    expect(input?.feet[0]?.existing.left.map((t) => Math.round(t / 0.0254))).toEqual([25, 20])
    expect(input?.sideStep).toBeCloseTo(0.5 * 0.0254, 12)
  })

  it('a plan carried out foot by foot moves the axis as it predicted', () => {
    const { state } = measured()
    const result = plansFor(state)
    for (const plan of result?.plans ?? []) {
      const { changes, side } = planChanges(plan, 'inch')
      const done = doFootwork(state.packs, state.feet, 'inch', changes, side)
      expect(done.unknownShims).toEqual([])
      expect(done.uneven).toEqual([])
      for (const p of ['v', 'h'] as const) {
        const after = (state.latest.coupling?.offset[p] ?? NaN) + (done.change!.offset[p] ?? NaN)
        expect(after).toBeCloseTo(plan.predicted.offset[p] ?? NaN, 9)
      }
    }
    expect(result?.plans.length).toBeGreaterThan(0)
  })

  it('names shims by their stamped thickness, without the dust of conversion', () => {
    const plan = plansFor(measured().state)?.plans[0]
    if (!plan) throw new Error('no plan')
    for (const c of planChanges(plan, 'inch').changes)
      for (const t of [...c.takenOut, ...c.putIn]) expect([1, 2, 3, 5, 10, 20, 25]).toContain(t)
    for (const s of planChanges(plan, 'inch').side) expect(s.moved * 2).toBe(Math.round(s.moved * 2))
  })

  it('leaves out feet that stay as they are', () => {
    const job = new TestJob().ready()
    job.read(inMil(0, 0, 0, 0))
    job.read(inMil(0, 0, 0, 0))
    const plan = plansFor(job.state)?.plans[0]
    expect(plan && planChanges(plan, 'inch')).toEqual({ changes: [], side: [] })
  })

  it('suggests what is worth doing, not what is a hundredth closer', () => {
    const result = plansFor(measured().state)
    const plans = result?.plans ?? []
    const suggested = worthwhilePlan(plans)
    expect(Math.max(suggested?.score.v ?? 9, suggested?.score.h ?? 9)).toBeLessThanOrEqual(0.5)
    for (const p of plans)
      if (Math.max(p.score.v, p.score.h) <= 0.5)
        expect(suggested?.shimsHandled).toBeLessThanOrEqual(p.shimsHandled)
    expect(worthwhilePlan([])).toBeNull()
  })

  it('suggests the closest when nothing stays within the limits', () => {
    const locked = {
      ...TEST_MACHINE,
      feet: { ...TEST_MACHINE.feet, movable: TEST_MACHINE.feet.movable.map((f) => ({ ...f, locked: true })) },
    }
    const plans = plansFor(measured(locked).state)?.plans ?? []
    expect(plans.length).toBeGreaterThan(0)
    expect(worthwhilePlan(plans)).toBe(plans[0])
  })
})

describe('the feet before the last move', () => {
  it('are what a correction of it starts from: packs and room as they were', () => {
    const job = new TestJob().ready()
    const before = planFeet(job.state)
    const payload = {
      units: 'inch',
      changes: lift('inboard', [20]),
      side: [{ machine: 'movable', pair: 'outboard', moved: 3 }],
      remark: '',
    } as const
    job.add({ kind: 'move-made', payload })
    expect(feetBeforeLastMove(job.state)).toEqual(before)
    const between = planFeet(job.state)
    expect(between[0]?.existing.left).toHaveLength(3)
    expect(between[1]?.sidePlus).toBeCloseTo(57 * 0.0254)
    job.add({ kind: 'move-made', payload })
    expect(feetBeforeLastMove(job.state)).toEqual(between)
  })
})
