import { describe, expect, it } from 'vitest'
import { lineSum, positionAt } from '../../frame/planes'
import { inMil, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { planMoves } from '../../plan/movePlan'
import { lineDoubt, chanceAfter } from './odds'
import { drivenMoves, planChanges, planInputFor, type WhichMoves } from './planning'

const MIL = 0.0254
/** The test machine with a driven machine on shims of its own. */
const pair = (id: string, x: number, locked = false) => ({
  id,
  x,
  existing: { left: [20, 10], right: [20, 10] },
  maxPack: 80,
  sidePlus: 40,
  sideMinus: 40,
  locked,
})
const BOTH = {
  ...TEST_MACHINE,
  feet: { ...TEST_MACHINE.feet, stationary: [pair('inboard', -13), pair('outboard', -30)] },
}
const HIGH = inMil(9, 6, 0.2, 0.15)
const measured = (machine: typeof BOTH = BOTH) => {
  const job = new TestJob(machine).ready()
  job.read(HIGH)
  job.read(HIGH)
  return job
}
const bestOf = (job: TestJob, which: WhichMoves) => {
  const input = planInputFor(job.state, which)!
  return { input, plan: planMoves(input).plans[0]! }
}

describe('either machine, or both', () => {
  it('may be moved where it has two pairs that are not all locked', () => {
    const locked = [pair('inboard', -13, true), pair('outboard', -30, true)]
    expect(drivenMoves(BOTH)).toBe(true)
    expect(drivenMoves(TEST_MACHINE)).toBe(false)
    expect(drivenMoves({ ...BOTH, feet: { ...BOTH.feet, stationary: locked } })).toBe(false)
    expect(drivenMoves({ ...BOTH, feet: { ...BOTH.feet, stationary: [pair('one', -13)] } })).toBe(false)
  })

  it.each(['movable', 'stationary', 'both'] as const)(
    'a plan that moves %s, carried out, stands where it predicted',
    (which) => {
      const job = measured()
      const { plan } = bestOf(job, which)
      expect(new Set(plan.moves.map((m) => m.machine)).size).toBe(which === 'both' ? 2 : 1)
      const { changes, side } = planChanges(plan, 'inch')
      job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: '' } })
      const [move] = job.state.moves
      expect(move?.footwork.unknownShims).toEqual([])
      for (const p of ['v', 'h'] as const)
        for (const x of [0, 500])
          expect(positionAt(move!.predicted!, x)[p]).toBeCloseTo(positionAt(plan.predicted, x)[p] ?? NaN, 9)
      expect(job.state.packs.filter((p) => p.machine === 'stationary')).toHaveLength(2)
    },
  )

  it('raising the driven machine lowers the motor against it, and its packs change', () => {
    const job = measured()
    const { plan } = bestOf(job, 'stationary')
    // The motor lies high: the driven machine goes up to it.
    expect(plan.moves.every((m) => m.v > 0)).toBe(true)
    const { changes, side } = planChanges(plan, 'inch')
    job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: '' } })
    const before = 2 * 30 * MIL
    const under = job.state.packs.find((p) => p.machine === 'stationary' && p.id === 'inboard')!.packs
    const sum = [...under.left, ...under.right].reduce((a, t) => a + t, 0)
    expect(sum - before).toBeCloseTo(2 * (plan.moves[0]?.v ?? 0), 9)
  })

  it('measured as predicted, a move of the driven machine is as planned and no slip', () => {
    const job = measured()
    const { plan } = bestOf(job, 'stationary')
    const { changes, side } = planChanges(plan, 'inch')
    job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: '' } })
    const { offset, slope } = job.state.moves[0]!.predicted!
    const truth = inMil(
      (offset.v ?? 0) / MIL,
      (offset.h ?? 0) / MIL,
      (slope.v ?? 0) * 1000,
      (slope.h ?? 0) * 1000,
    )
    job.read(truth)
    job.read(truth)
    expect(job.state.moves[0]?.achieved?.map((a) => a.cause)).toEqual(['as-planned', 'as-planned'])
  })

  it('leaves as much room in its holes as its pushes have used', () => {
    const job = measured()
    const push = { machine: 'stationary', pair: 'outboard', moved: 15 } as const
    job.add({ kind: 'move-made', payload: { units: 'inch', changes: [], side: [push], remark: '' } })
    job.read(HIGH)
    const foot = planInputFor(job.state, 'stationary')!.feet.find((f) => f.id === 'outboard')
    expect([foot?.sidePlus, foot?.sideMinus].map((x) => Math.round((x ?? 0) / MIL))).toEqual([25, 55])
  })

  it('counts the doubt that either machine’s move adds, and both more than one', () => {
    const job = measured()
    const { state } = job
    const { input } = bestOf(job, 'both')
    const { covariance } = lineDoubt(state.latest, state.setUp!)
    const feetOf = (machine: 'movable' | 'stationary') =>
      state.feet[machine].map((f) => ({ ...f, machine, v: 10 * MIL, h: 10 * MIL }))
    const chance = (feet: ReturnType<typeof feetOf>) =>
      chanceAfter(lineSum(state.target, inMil(0, 0, 0, 0)), feet, covariance, input.tolerance, input.target)
    const one = chance(feetOf('stationary'))
    expect(one).toBeLessThan(chance([]))
    expect(chance([...feetOf('movable'), ...feetOf('stationary')])).toBeLessThan(one)
  })
})

describe('a push of both machines', () => {
  const planned = () => {
    const job = measured()
    const side = [
      { machine: 'movable', pair: 'inboard', moved: -6 },
      { machine: 'movable', pair: 'outboard', moved: -4 },
      { machine: 'stationary', pair: 'inboard', moved: 5 },
      { machine: 'stationary', pair: 'outboard', moved: 8 },
    ] as const
    job.add({ kind: 'plan-chosen', payload: { units: 'inch', option: 'own', changes: [], side, sets: null } })
    return job
  }
  const count = (job: TestJob, machine: 'movable' | 'stationary', pair: string, toGo: number) =>
    job.add({
      kind: 'counts-read',
      payload: { units: 'inch', when: 'pushing', counts: [{ machine, pair, toGo }] },
    })

  it('watches four ends, the driven machine first, like-named pairs apart', () => {
    const job = planned()
    expect(job.state.push.ends).toHaveLength(4)
    expect(job.state.push.next).toMatchObject({ machine: 'stationary', pair: 'outboard' })
    count(job, 'stationary', 'outboard', 0)
    expect(job.state.push.next).toMatchObject({ machine: 'stationary', pair: 'inboard' })
    count(job, 'stationary', 'inboard', 0)
    expect(job.state.push.next).toMatchObject({ machine: 'movable', pair: 'inboard' })
    expect(job.state.push.ends.map((e) => Math.round(e.toGo / MIL))).toEqual([-6, -4, 0, 0])
  })

  it('leaves the driven ends out where nothing is done there', () => {
    const job = measured()
    const side = [{ machine: 'movable', pair: 'inboard', moved: -6 }] as const
    job.add({ kind: 'plan-chosen', payload: { units: 'inch', option: 'own', changes: [], side, sets: null } })
    expect(job.state.push.ends.map((e) => e.machine)).toEqual(['movable', 'movable'])
  })
})
