import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { planMoves, type PlanInput } from '../../../core/plan/movePlan'
import { planChanges, planInputFor, worthwhilePlan } from '../../../core/stages/plan/planning'
import {
  choiceOf,
  doNothing,
  firstChoice,
  movesHorizontally,
  movesVertically,
  nearestMove,
  packedMoves,
  predictedLine,
  shimLifts,
  steppedMove,
  withMove,
} from './choice'

const MIL = 0.0254
const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const measured = (truth = LOW) => {
  const job = new TestJob().ready()
  job.read(truth)
  job.read(truth)
  return job
}
const inputOf = (job: TestJob): PlanInput => {
  const input = planInputFor(job.state)
  if (!input) throw new Error('not measured')
  return input
}
const INPUT = inputOf(measured())
const LIFTS = shimLifts(INPUT)
const PLANS = planMoves(INPUT).plans
const BEST = worthwhilePlan(PLANS)
if (!BEST) throw new Error('no plan')
const lock = (input: PlanInput): PlanInput => ({
  ...input,
  feet: input.feet.map((f) => ({ ...f, locked: true })),
})

describe('what the board opens with', () => {
  const given = { taken: null, inBand: false, worthwhile: BEST }

  it('is the plan worth doing', () => {
    expect(firstChoice(INPUT, given)).toEqual(choiceOf(BEST))
  })

  it('is nothing when in band, or when there is no plan', () => {
    expect(firstChoice(INPUT, { ...given, inBand: true })).toEqual(doNothing(INPUT))
    expect(firstChoice(INPUT, { ...given, worthwhile: null }).option).toBe('nothing')
  })

  it('is the plan that was taken, even in band, until it is stale', () => {
    const job = measured()
    const [, second] = PLANS
    const plan = second ?? BEST
    const sets = [...job.state.latest.used]
    const body = { units: 'inch', option: plan.kind, ...planChanges(plan, 'inch'), sets } as const
    job.add({ kind: 'plan-chosen', payload: body })
    const { plan: taken } = job.state
    const opened = firstChoice(INPUT, { taken, inBand: true, worthwhile: BEST })
    expect(opened.option).toBe(plan.kind)
    for (const f of plan.moves) {
      const shown = opened.feet.find((x) => x.id === f.id)
      expect(shown?.v).toBeCloseTo(f.v, 9)
      expect(shown?.h).toBeCloseTo(f.h, 9)
    }
    const stale = taken && { ...taken, stale: true }
    expect(firstChoice(INPUT, { ...given, taken: stale })).toEqual(choiceOf(BEST))
  })
})

describe('a foot that is dragged', () => {
  it('stops where real shims stop it', () => {
    const lifts = (LIFTS.get('outboard') ?? []).map((l) => l.v)
    for (const wanted of [0, 0.3 * MIL, 7.7 * MIL, -4.2 * MIL, 1000]) {
      const v = nearestMove(INPUT, LIFTS, 'outboard', 'v', wanted)
      expect([0, ...lifts].some((l) => l === v)).toBe(true)
      for (const l of lifts) expect(Math.abs(v - wanted)).toBeLessThanOrEqual(Math.abs(l - wanted) + 1e-12)
    }
  })

  it('goes sideways by what the dial shows', () => {
    const h = nearestMove(INPUT, LIFTS, 'inboard', 'h', 3.3 * MIL)
    expect(h / INPUT.sideStep).toBeCloseTo(Math.round(h / INPUT.sideStep), 9)
    expect(Math.abs(h - 3.3 * MIL)).toBeLessThanOrEqual(INPUT.sideStep / 2 + 1e-12)
  })

  it('never leaves the room in its holes, not by half a graduation either', () => {
    const room = 60 * MIL
    expect(nearestMove(INPUT, LIFTS, 'inboard', 'h', 10)).toBeCloseTo(room, 9)
    expect(nearestMove(INPUT, LIFTS, 'inboard', 'h', -10)).toBeCloseTo(-room, 9)
    const tight = { ...INPUT, feet: INPUT.feet.map((f) => ({ ...f, sidePlus: 1.3 * INPUT.sideStep })) }
    expect(nearestMove(tight, LIFTS, 'inboard', 'h', 1)).toBeCloseTo(INPUT.sideStep, 12)
  })

  it('stays where it is when it is locked or unknown', () => {
    expect(nearestMove(lock(INPUT), LIFTS, 'inboard', 'h', 1)).toBe(0)
    expect(nearestMove(INPUT, LIFTS, 'no such foot', 'v', 0.4)).toBe(0.4)
    expect(Object.is(nearestMove(INPUT, LIFTS, 'inboard', 'h', -1e-9), -0)).toBe(false)
  })

  it('makes the plan the millwright’s own and leaves the other feet', () => {
    const choice = choiceOf(BEST)
    const dragged = withMove(choice, 'inboard', 'h', 2 * MIL)
    expect(dragged.option).toBe('own')
    expect(dragged.feet[0]).toMatchObject({ id: 'inboard', h: 2 * MIL, v: choice.feet[0]?.v })
    expect(dragged.feet[1]).toEqual(choice.feet[1])
  })
})

describe('a step by key', () => {
  const step = (now: number, plane: 'v' | 'h', by: 1 | -1) =>
    steppedMove(INPUT, LIFTS, now, 'outboard', plane, by)

  it('goes to the next real shim, up and back down', () => {
    const up = step(0, 'v', 1)
    expect(up).toBeGreaterThan(0)
    expect(step(up, 'v', -1)).toBeCloseTo(0, 9)
    const between = (LIFTS.get('outboard') ?? []).filter((l) => l.v > 1e-9 && l.v < up - 1e-9)
    expect(between).toEqual([])
  })

  it('stays at the last one', () => {
    const list = LIFTS.get('outboard') ?? []
    const [lowest, highest] = [list[0]?.v ?? NaN, list[list.length - 1]?.v ?? NaN]
    expect(step(highest, 'v', 1)).toBe(highest)
    expect(step(lowest, 'v', -1)).toBe(lowest)
  })

  it('goes sideways by one graduation, and no further than the room', () => {
    expect(step(0, 'h', 1)).toBeCloseTo(INPUT.sideStep, 12)
    expect(step(0, 'h', -1)).toBeCloseTo(-INPUT.sideStep, 12)
    expect(step(60 * MIL, 'h', 1)).toBeCloseTo(60 * MIL, 9)
  })

  it('goes by a hundredth where no graduation is known', () => {
    expect(steppedMove({ ...INPUT, sideStep: 0 }, LIFTS, 0, 'inboard', 'h', 1)).toBeCloseTo(0.01, 12)
  })
})

describe('where a plan leads', () => {
  it('doing nothing leaves what was found', () => {
    expect(predictedLine(INPUT, doNothing(INPUT))).toEqual(INPUT.coupling)
    expect(movesVertically(doNothing(INPUT)) || movesHorizontally(doNothing(INPUT))).toBe(false)
  })

  it('is what the plan itself promised', () => {
    for (const plan of PLANS) {
      const line = predictedLine(INPUT, choiceOf(plan))
      for (const plane of ['v', 'h'] as const) {
        expect(line.offset[plane]).toBeCloseTo(plan.predicted.offset[plane] ?? NaN, 9)
        expect(line.slope[plane]).toBeCloseTo(plan.predicted.slope[plane] ?? NaN, 9)
      }
    }
  })

  it('has shims for each foot, or says that it has none', () => {
    const packed = packedMoves(choiceOf(BEST), LIFTS)
    expect(packed?.map((m) => m.id)).toEqual(TEST_MACHINE.feet.movable.map((f) => f.id))
    for (const move of packed ?? []) {
      const { takeOut, putIn } = move.packs.left
      const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
      expect(sum(putIn) - sum(takeOut)).toBeCloseTo(move.v, 9)
    }
    expect(packedMoves(withMove(choiceOf(BEST), 'inboard', 'v', 0.1234567), LIFTS)).toBeNull()
  })
})
