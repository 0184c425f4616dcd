import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, type Misalignment } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { planMoves, type PlanFoot } from '../../core/plan/movePlan'
import type { Train, TrainCoupling } from '../../core/train/train'
import { turnToTrain } from '../../core/train/train'
import { planTrain } from '../../core/train/trainPlan'
import { highsWithin, lpText } from './highs'

const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.0006 }
const foot = (id: string, x: number, more: Partial<PlanFoot> = {}): PlanFoot => ({
  id,
  x,
  existing: { left: [1, 0.5], right: [1, 0.5] },
  maxPack: 6,
  sidePlus: 3,
  sideMinus: 3,
  ...more,
})
const locked = { locked: true, existing: { left: [], right: [] }, maxPack: 0, sidePlus: 0, sideMinus: 0 }
const STOCK = [0.05, 0.1, 0.2, 0.5].map((thickness) => ({ thickness, count: 40 }))
const line = (ov: number, oh: number, sv: number, sh: number): Misalignment => ({
  offset: { v: ov, h: oh },
  slope: { v: sv, h: sh },
})
const coupling = (
  id: string,
  x: number,
  left: string,
  right: string,
  found: Misalignment,
  stationary: 'left' | 'right' = 'left',
): TrainCoupling => ({
  id,
  x,
  left,
  right,
  stationary,
  coupling: found,
  target: ALIGNED,
  tolerance: LIMITS,
})

describe('linear programs', () => {
  it('are solved, integers too; what can’t be is null', async () => {
    const solved = await highsWithin(10).solve({
      variables: [
        { name: 'x', low: 0, high: 10, cost: -1 },
        { name: 'b', low: 0, high: 1, cost: -0.5, binary: true },
      ],
      constraints: [
        {
          terms: [
            { name: 'x', factor: 2 },
            { name: 'b', factor: 1 },
          ],
          low: -Infinity,
          high: 5.5,
        },
      ],
    })
    expect(solved?.x).toBeCloseTo(2.75, 6)
    expect(solved?.b).toBeCloseTo(0, 6)
    expect(
      await highsWithin(10).solve({
        variables: [{ name: 'x', low: 0, high: 1, cost: 1 }],
        constraints: [{ terms: [{ name: 'x', factor: 1 }], low: 2, high: 3 }],
      }),
    ).toBeNull()
    expect(lpText({ variables: [{ name: 'x', low: 0, high: 1, cost: 0 }], constraints: [] })).toContain(
      'Minimize',
    )
  })
})

describe('a train', () => {
  const train = (first: Misalignment, second: Misalignment): Train => ({
    machines: [
      { id: 'motor', feet: [foot('near', 0), foot('far', 600)] },
      { id: 'gear', feet: [foot('near', 1000), foot('far', 1500)] },
      { id: 'mill', feet: [foot('near', 1900, locked), foot('far', 2700, locked)] },
    ],
    couplings: [coupling('one', 800, 'motor', 'gear', first), coupling('two', 1700, 'gear', 'mill', second)],
  })

  it('is brought in band at every coupling at once, locked feet left alone', async () => {
    const plans = await planTrain(
      train(line(0.5, -0.3, 0.0008, 0.0002), line(-0.4, 0.2, 0.0003, -0.0004)),
      STOCK,
      4,
      highsWithin(10).solve,
    )
    expect(plans.map((p) => p.kind)).toEqual(['closest', 'least-work'])
    for (const plan of plans) {
      expect(plan.feasible).toBe(true)
      expect(plan.moves.filter((m) => m.machine === 'mill').every((m) => m.v === 0 && m.h === 0)).toBe(true)
    }
    const [closest, work] = plans
    const worst = (plan: typeof closest) =>
      Math.max(...(plan?.couplings ?? []).map((c) => Math.max(c.score.v, c.score.h)))
    expect(worst(closest)).toBeLessThanOrEqual(worst(work) + 1e-9)
    expect(work?.shimsHandled).toBeLessThanOrEqual(closest?.shimsHandled ?? 0)
  })

  it('that needs nothing is left alone by the least work', async () => {
    const plans = await planTrain(
      train(line(0.02, 0, 0, 0), line(0, 0.01, 0, 0)),
      STOCK,
      4,
      highsWithin(10).solve,
    )
    const work = plans.find((p) => p.kind === 'least-work')
    expect(work?.shimsHandled).toBe(0)
    expect(work?.moves.every((m) => m.v === 0 && m.h === 0)).toBe(true)
  })

  it('of two machines says what the plan of one coupling says', async () => {
    const tenth = (most: number) => fc.integer({ min: -most, max: most }).map((n) => n / 10)
    await fc.assert(
      fc.asyncProperty(tenth(6), tenth(6), tenth(8), async (ov, oh, sv) => {
        const found = line(ov, oh, sv / 1000, 0)
        const two: Train = {
          machines: [
            { id: 'fan', feet: [foot('near', -700, locked), foot('far', -200, locked)] },
            { id: 'motor', feet: [foot('near', 250), foot('far', 700)] },
          ],
          couplings: [coupling('only', 0, 'fan', 'motor', found)],
        }
        const closest = (await planTrain(two, STOCK, 4, highsWithin(10).solve))[0]
        const single = planMoves({
          coupling: found,
          target: ALIGNED,
          tolerance: LIMITS,
          feet: [foot('near', 250), foot('far', 700)],
          stock: STOCK,
          packLimit: 4,
          sideStep: 0,
        })
        expect(closest?.couplings[0]?.score.v).toBeCloseTo(single.score.v, 4)
        expect(closest?.couplings[0]?.score.h).toBeCloseTo(single.score.h, 4)
      }),
      { numRuns: 12 },
    )
  })

  it('is the same train when a coupling is read from its other side', async () => {
    const first = line(0.5, -0.3, 0.0008, 0.0002)
    const second = line(-0.4, 0.2, 0.0003, -0.0004)
    const turned = train(first, second)
    const other: Train = {
      ...turned,
      couplings: [
        coupling('one', 800, 'motor', 'gear', turnToTrain(first, 'right'), 'right'),
        turned.couplings[1] as TrainCoupling,
      ],
    }
    const [a] = await planTrain(turned, STOCK, 4, highsWithin(10).solve)
    const [b] = await planTrain(other, STOCK, 4, highsWithin(10).solve)
    expect(b?.moves.map((m) => m.v)).toEqual(a?.moves.map((m) => m.v))
    b?.moves.forEach((m, i) => expect(m.h).toBeCloseTo(a?.moves[i]?.h ?? NaN, 6))
    expect(turnToTrain(turnToTrain(first, 'right'), 'right')).toEqual(first)
  })
})
