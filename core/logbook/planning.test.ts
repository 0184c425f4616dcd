import { describe, expect, it } from 'vitest'
import { doFootwork } from './footwork'
import { planChanges, planInputFor, plansFor } from './planning'
import { inMil, TEST_MACHINE, TestJob } from './testJob'

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
    expect(planInputFor(TEST_MACHINE, job.fold())).toBeNull()
    const pair = [
      { clock: 0, value: 0 },
      { clock: 180, value: -8 },
    ]
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', rim: pair, face: pair, returned: { rim: 0, face: 0 } },
    })
    expect(plansFor(TEST_MACHINE, job.fold())).toBeNull()
  })

  it('takes distances from the set-up, packs from what lies there now', () => {
    const job = measured()
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: (['left', 'right'] as const).map((side) => ({
          pair: 'inboard',
          side,
          takenOut: [10],
          putIn: [20],
        })),
        side: [],
        remark: '',
      },
    })
    job.read(LOW)
    const input = planInputFor(TEST_MACHINE, job.fold())
    expect(input?.feet[0]?.x).toBeCloseTo(12 * 25.4, 9)
    expect(input?.feet[0]?.existing.left.map((t) => Math.round(t / 0.0254))).toEqual([25, 20])
    expect(input?.sideStep).toBeCloseTo(0.5 * 0.0254, 12)
  })

  it('a plan carried out foot by foot moves the axis as it predicted', () => {
    const state = measured().fold()
    const result = plansFor(TEST_MACHINE, state)
    for (const plan of result?.plans ?? []) {
      const { changes, side } = planChanges(plan, 'inch')
      const done = doFootwork(state.packs, state.setUp?.feet ?? [], 'inch', changes, side)
      expect(done.unknownShims).toEqual([])
      expect(done.uneven).toEqual([])
      for (const p of ['v', 'h'] as const) {
        const after = (state.latest.coupling?.offset[p] ?? NaN) + (done.change.offset[p] ?? NaN)
        expect(after).toBeCloseTo(plan.predicted.offset[p] ?? NaN, 9)
      }
    }
    expect(result?.plans.length).toBeGreaterThan(0)
  })

  it('names shims by their stamped thickness, without the dust of conversion', () => {
    const plan = plansFor(TEST_MACHINE, measured().fold())?.plans[0]
    if (!plan) throw new Error('no plan')
    for (const c of planChanges(plan, 'inch').changes)
      for (const t of [...c.takenOut, ...c.putIn]) expect([1, 2, 3, 5, 10, 20, 25]).toContain(t)
    for (const s of planChanges(plan, 'inch').side) expect(s.moved * 2).toBe(Math.round(s.moved * 2))
  })

  it('leaves out feet that stay as they are', () => {
    const job = new TestJob().ready()
    job.read(inMil(0, 0, 0, 0))
    job.read(inMil(0, 0, 0, 0))
    const plan = plansFor(TEST_MACHINE, job.fold())?.plans[0]
    expect(plan && planChanges(plan, 'inch')).toEqual({ changes: [], side: [] })
  })
})
