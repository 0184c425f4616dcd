import { describe, expect, it } from 'vitest'
import { lineOfMoves } from '../../coupling/feet'
import { lineSum } from '../../frame/planes'
import { TestJob } from '../../jobs/testJob'
import { planMoves } from '../../plan/movePlan'
import { pricesOf } from '../../plan/price'
import { handlingOf, usualMinutes } from '../../plan/usualTime'
import { normalFrom, seededRandom } from '../../random/random'
import { choleskyRoot } from '../../uncertainty/chance'
import { judge } from '../../judge/judge'
import { ORDINARY_HANDS } from '../../uncertainty/ordinaryHands'
import { adviseMove, chanceAfter, halfWidthAt, lineDoubt } from './odds'
import { planInputFor } from './planning'

const MIL = 0.0254
const measured = (v: number, slope = 0, sets = 2) => {
  const job = new TestJob().ready()
  for (let i = 0; i < sets; i++) job.read({ offset: { v, h: 0 }, slope: { v: slope, h: 0 } })
  return job
}
const doubtOf = (job: TestJob) => lineDoubt(job.state.latest, job.state.setUp!)

describe('the doubt of a measurement', () => {
  it('is told by its readings, and shrinks with a second set, but not below what sag and tape leave', () => {
    const one = doubtOf(measured(-8, 0.3, 1))
    const two = doubtOf(measured(-8, 0.3, 2))
    expect([one.sets, two.sets]).toEqual([1, 2])
    expect(one.reading).toBeGreaterThan(0)
    const at = (d: typeof one) => halfWidthAt(d, 'v', 0)
    expect(at(two)).toBeLessThan(at(one))
    expect(at(two)).toBeGreaterThan(at(one) / Math.sqrt(2))
  })

  it('widens along the shaft: far feet are known worse than the coupling', () => {
    const doubt = doubtOf(measured(-8, 0.3))
    const [here, far] = [halfWidthAt(doubt, 'h', 0), halfWidthAt(doubt, 'h', 34.5 * 25.4)]
    expect(far).toBeGreaterThan(2 * here)
  })

  it('is that of ordinary hands where no readings are in use', () => {
    const doubt = doubtOf(new TestJob().ready())
    expect(doubt.reading).toBeNull()
    expect(halfWidthAt(doubt, 'v', 0)).toBeCloseTo(1.96 * 0.4 * MIL, 3)
  })
})

describe('the chance of a plan', () => {
  const job = measured(-8, 0.3)
  const input = planInputFor(job.state)!
  const { plans } = planMoves(input)

  it('is what a thousand honest tries come to', () => {
    const plan = plans[0]!
    const doubt = doubtOf(job)
    const said = chanceAfter(plan.predicted, plan.moves, doubt.covariance, input.tolerance, input.target)
    const normal = normalFrom(seededRandom(7))
    const root = choleskyRoot(doubt.covariance)
    const tries = 4000
    let inside = 0
    for (let n = 0; n < tries; n++) {
      const z = [normal(), normal(), normal(), normal()]
      const e = [0, 1, 2, 3].map((i) =>
        z.slice(0, i + 1).reduce((sum, x, j) => sum + (root[4 * i + j] as number) * x, 0),
      )
      const truth = {
        offset: { v: input.coupling.offset.v! + e[0]!, h: input.coupling.offset.h! + e[1]! },
        slope: { v: input.coupling.slope.v! + e[2]!, h: input.coupling.slope.h! + e[3]! },
      }
      const made = plan.moves.map((m) => ({
        id: m.id,
        x: m.x + ORDINARY_HANDS.distance * normal(),
        v: m.v + Math.hypot(ORDINARY_HANDS.shim, ORDINARY_HANDS.settling) * normal(),
        h: m.h + (plan.moves.some((f) => f.h !== 0) ? ORDINARY_HANDS.side : 0) * normal(),
      }))
      if (judge(lineSum(truth, lineOfMoves(made)), input.tolerance, input.target).verdict !== 'out') inside++
    }
    expect(Math.abs(inside / tries - said)).toBeLessThan(0.025)
  })

  it('does not charge a plane that nothing is done in with the scatter of a move', () => {
    const doubt = doubtOf(job)
    const still = input.feet.map(({ id, x }) => ({ id, x, v: 0, h: 0 }))
    const nearTheLimit = { offset: { v: 4.4 * MIL, h: 0 }, slope: { v: 0, h: 0 } }
    const chance = (feet: typeof still) =>
      chanceAfter(nearTheLimit, feet, doubt.covariance, input.tolerance, input.target)
    const lifted = still.map((f) => ({ ...f, v: 0.1 }))
    expect(chance(lifted)).toBeLessThan(chance(still))
  })
})

describe('advice before a move', () => {
  const adviceOf = (job: TestJob, change: Partial<NonNullable<ReturnType<typeof planInputFor>>> = {}) => {
    const input = { ...planInputFor(job.state)!, ...change }
    const now = judge(input.coupling, input.tolerance, input.target)
    return adviseMove(input, now, planMoves(input).plans, doubtOf(job))
  }

  it('is to move what stands out and can be brought in', () => {
    const advice = adviceOf(measured(-14, 0.3))
    expect(advice).toMatchObject({ says: 'move', wide: [] })
    expect(advice.now).toBeLessThan(0.01)
    expect(advice.best).toBeGreaterThan(0.9)
  })

  it('is to leave what stands in band as surely as a move would make it', () => {
    const advice = adviceOf(measured(0.4))
    expect(advice.says).toBe('leave')
    expect(advice.now).toBeGreaterThan(0.95)
  })

  it('is to measure again where a band is narrower than what the readings leave open', () => {
    const advice = adviceOf(measured(-3), {
      tolerance: { form: 'offset-slope', mode: 'plane', offset: 0.2 * MIL, slope: 0.001 },
    })
    expect(advice.says).toBe('measure-again')
    const [wide] = advice.wide
    expect(wide!.name).toBe('offset.v')
    expect(wide!.known).toBeGreaterThan(wide!.band)
  })

  it('asks the same of bands seen as one vector', () => {
    const advice = adviceOf(measured(-3), {
      tolerance: { form: 'offset-slope', mode: 'vector', offset: 0.2 * MIL, slope: 0.001 },
    })
    expect(advice.wide.map((q) => q.name)).toContain('offset')
  })
})

describe('the price of what can’t be done', () => {
  const short = (more: object) => ({
    id: 'outboard',
    machine: 'movable' as const,
    plane: 'v' as const,
    need: -8,
    room: -2,
    reason: 'no-shim' as const,
    ...more,
  })

  it('is the other machine raised by what the shortest foot lacks', () => {
    expect(pricesOf([short({}), short({ id: 'inboard', need: -3, room: 0 })])).toEqual([
      { plane: 'v', machine: 'movable', shift: 6, pair: 'outboard', reason: 'no-shim' },
    ])
  })

  it('really frees the feet: with that shift the same plan asks no more than there is', () => {
    const job = measured(12)
    const input = planInputFor(job.state)!
    const bare = { ...input, feet: input.feet.map((f) => ({ ...f, existing: { left: [], right: [] } })) }
    const [price] = pricesOf(planMoves(bare).blocked)
    expect(price).toMatchObject({ plane: 'v', reason: 'no-shim' })
    const raised = {
      ...bare,
      coupling: lineSum(bare.coupling, { offset: { v: -price!.shift, h: 0 }, slope: { v: 0, h: 0 } }),
    }
    expect(planMoves(raised).blocked.filter((b) => b.plane === 'v')).toEqual([])
  })

  it('pushes it the other way where bolts are bound, each plane by itself', () => {
    const bound = short({ plane: 'h', need: 10, room: 4, reason: 'bolt-bound' })
    expect(pricesOf([short({}), bound]).map((p) => [p.plane, p.shift])).toEqual([
      ['v', 6],
      ['h', -6],
    ])
  })

  it.each([
    ['locked feet', [short({ reason: 'locked', room: 0 })]],
    ['feet that are short both ways', [short({}), short({ id: 'inboard', need: 9, room: 3 })]],
  ])('is not named for %s', (_, blocked) => {
    expect(pricesOf(blocked)).toEqual([])
  })
})

describe('the time a plan usually takes', () => {
  const move = (h: number) => ({ id: 'a', h }) as never
  it('counts feet, shims, pushes and the next readings, to five minutes', () => {
    const minutes = (plan: { pairsOpened: number; shimsHandled: number; moves: never[] }, factor?: number) =>
      usualMinutes(handlingOf(plan), factor)
    const shims = { pairsOpened: 2, shimsHandled: 5, moves: [move(0), move(0)] }
    expect(minutes(shims)).toBe(50)
    expect(minutes(shims, 1.4)).toBe(70)
    expect(minutes(shims, 0.5)).toBe(25)
    expect(minutes({ pairsOpened: 0, shimsHandled: 0, moves: [move(0.2), move(0.2)] })).toBe(35)
    expect(minutes({ pairsOpened: 0, shimsHandled: 0, moves: [move(0)] }, 3)).toBe(0)
  })
})
