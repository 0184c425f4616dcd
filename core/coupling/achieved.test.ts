import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { normalFrom, seededRandom } from '../random/random'
import { doubtOfCovariance, doubtOfSd, typicalSd, type ChangeDoubt } from '../uncertainty/changeDoubt'
import { compareAchieved, type AchievedEvidence } from './achieved'
import { lineOfMoves } from './feet'

const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 900 },
]
const moves = (inboard: number, outboard: number, side: readonly [number, number] = [0, 0]): Misalignment =>
  lineOfMoves([
    { id: 'inboard', x: 300, v: inboard, h: side[0] },
    { id: 'outboard', x: 900, v: outboard, h: side[1] },
  ])
const SD: Misalignment = { offset: { v: 0.01, h: 0.01 }, slope: { v: 2e-5, h: 2e-5 } }
const compare = (
  planned: Misalignment,
  done: Misalignment,
  evidence: Partial<AchievedEvidence> = {},
  feet = FEET,
) => compareAchieved(ALIGNED, lineSum(ALIGNED, done), planned, feet, { doubt: doubtOfSd(SD), ...evidence })
const causes = (planned: Misalignment, done: Misalignment, evidence: Partial<AchievedEvidence> = {}) =>
  compare(planned, done, evidence).find((p) => p.plane === 'v')?.causes

describe('what a move did against its plan', () => {
  it.each([
    ['as-planned', moves(0.3, 0.5), moves(0.31, 0.49)],
    ['nothing-happened', moves(0.3, 0.5), moves(0.01, -0.02)],
    ['sign-swapped', moves(0.3, 0.5), moves(-0.31, -0.5)],
    ['feet-swapped', moves(0.2, 0.6), moves(0.6, 0.21)],
    ['part-only', moves(0.4, 0.8), moves(0.2, 0.41)],
    ['differs', moves(0.3, 0.5), moves(0.3, 0.1)],
    ['came-along', moves(0, 0), moves(0.3, 0.1)],
    ['as-planned', moves(0, 0), moves(0.01, -0.01)],
  ] as const)('%s', (expected, planned, done) => {
    expect(causes(planned, done)).toEqual([expected])
  })

  it('says nothing of a plane that was not measured', () => {
    const half: Misalignment = { offset: { v: 0, h: null }, slope: { v: 0, h: null } }
    expect(
      compareAchieved(half, half, moves(0.1, 0.1), FEET, { doubt: doubtOfSd(SD) }).map((p) => p.plane),
    ).toEqual(['v'])
  })

  it('a plan of opposite moves names swapped feet beside a swapped sign: both explain it', () => {
    expect(causes(moves(0.5, -0.5), moves(-0.5, 0.5))).toEqual(['sign-swapped', 'feet-swapped'])
    const [, side] = compare(moves(0, 0, [0.5, -0.5]), moves(0, 0, [-0.5, 0.5]))
    expect(side?.causes).toEqual(['sides-swapped', 'sign-swapped', 'feet-swapped'])
  })

  it('takes pairs by their place, in whatever order they were typed', () => {
    const three = [
      { id: 'middle', x: 600 },
      { id: 'outboard', x: 900 },
      { id: 'inboard', x: 300 },
    ]
    const planned = moves(0.2, 0.6)
    const swapped = moves(0.6, 0.2)
    expect(compare(planned, swapped, {}, three)[0]?.cause).toBe('feet-swapped')
    expect(compare(planned, swapped, {}, [...FEET].reverse())[0]?.cause).toBe('feet-swapped')
  })

  it('adds what else is known to a gap that no swap explains', () => {
    const known = { drifted: true, softFoot: true, strained: true }
    expect(causes(moves(0.3, 0.5), moves(0.3, 0.1), known)).toEqual([
      'shift-on-tightening',
      'soft-foot',
      'coupling-strain',
      'differs',
    ])
    expect(causes(moves(0.3, 0.5), moves(0.3, 0.5), known)).toEqual(['as-planned'])
  })

  it('sees a miss far beyond the stated spread however large the plan is', () => {
    for (const size of [0.5, 5, 50])
      expect(causes(moves(size, size), moves(size + 0.2, size - 0.2))).not.toContain('as-planned')
  })
})

/** Share of planes in which an honest move is doubted when both measurements scatter like this. */
const doubted = (doubt: ChangeDoubt, scatter: (normal: () => number) => readonly [number, number]) => {
  const normal = normalFrom(seededRandom(7))
  const planned = moves(0.4, 0.9)
  let alarms = 0
  const runs = 6000
  for (let i = 0; i < runs; i++) {
    const [o1, s1] = scatter(normal)
    const [o2, s2] = scatter(normal)
    const before: Misalignment = { offset: { v: o1, h: null }, slope: { v: s1, h: null } }
    const after: Misalignment = {
      offset: { v: (planned.offset.v ?? 0) + o2, h: null },
      slope: { v: (planned.slope.v ?? 0) + s2, h: null },
    }
    const [plane] = compareAchieved(before, after, planned, FEET, { doubt })
    if (plane?.cause !== 'as-planned') alarms++
  }
  return alarms / runs
}

describe('how often an honest move is doubted', () => {
  const [o, s] = [0.01, 2e-5]
  const correlated = (rho: number) => (normal: () => number) => {
    const z = normal()
    return [o * z, s * (rho * z + Math.sqrt(1 - rho * rho) * normal())] as const
  }

  it.each([0, 0.6, -0.9, 1])('in no more than 5 %% with stated deviations, correlation %s', (rho) => {
    expect(doubted(doubtOfSd(SD), correlated(rho))).toBeLessThan(0.058)
  })

  it('in 5 % when the covariance is stated', () => {
    const rho = -0.8
    const cov = new Float64Array(16)
    cov[0] = o * o
    cov[10] = s * s
    cov[2] = cov[8] = rho * o * s
    const share = doubted(doubtOfCovariance(cov), correlated(rho))
    expect(share).toBeGreaterThan(0.04)
    expect(share).toBeLessThan(0.06)
  })

  it('in no more than 5 % when nothing is stated and hands are ordinary', () => {
    const sd = typicalSd(null)
    const scatter = (normal: () => number) =>
      [(sd.offset.v ?? 0) * normal(), (sd.slope.v ?? 0) * normal()] as const
    expect(doubted(doubtOfSd(sd), scatter)).toBeLessThan(0.055)
  })

  it('a repeat that lies further apart widens what is typical, one that is closer narrows it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (apart) => {
        const line: Misalignment = { offset: { v: apart, h: null }, slope: { v: 0, h: null } }
        const [usual, seen] = [typicalSd(null), typicalSd(line)]
        const wider = apart / Math.SQRT2 > (usual.offset.v ?? 0)
        expect((seen.offset.v ?? 0) > (usual.offset.v ?? 0)).toBe(wider)
        expect(seen.offset.h).toBe(usual.offset.h)
      }),
    )
  })
})
