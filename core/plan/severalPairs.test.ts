import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lineOfMoves } from '../coupling/feet'
import { ALIGNED, lineDifference, lineSum, type Misalignment } from '../frame/planes'
import { judge } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import { planMoves, reachableLifts, type PlanFoot, type PlanInput } from './movePlan'
import { LINE_SLACK } from './machineLifts'
import { bestSideMoves, roundSideMoves, type SideFoot } from './sideMove'

const MIL = 0.0254
const PLANE: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 2 * MIL, slope: 0.0005 }
const VECTOR: SettledTolerance = { ...PLANE, mode: 'vector' }
const SPOOL: SettledTolerance = { form: 'flex-plane', mode: 'vector', slope: 0.0004, spoolLength: 400 }
const STOCK = [1, 2, 5, 10].map((t) => ({ thickness: t * MIL, count: 40 }))

const foot = (id: string, x: number, more: Partial<PlanFoot> = {}): PlanFoot => ({
  id,
  x,
  existing: { left: [10 * MIL], right: [10 * MIL] },
  maxPack: 40 * MIL,
  sidePlus: 20 * MIL,
  sideMinus: 20 * MIL,
  ...more,
})
const input = (
  coupling: Misalignment,
  feet: readonly PlanFoot[],
  more: Partial<PlanInput> = {},
): PlanInput => ({
  coupling,
  target: ALIGNED,
  tolerance: PLANE,
  feet,
  stock: STOCK,
  packLimit: 3,
  sideStep: 0,
  ...more,
})
const line = (ov: number, oh: number, sv: number, sh: number): Misalignment => ({
  offset: { v: ov * MIL, h: oh * MIL },
  slope: { v: sv / 1000, h: sh / 1000 },
})
/** Where the line comes to when every pair of the movable machine moves so: least squares over all of them. */
const after = (
  from: Misalignment,
  feet: readonly { readonly x: number }[],
  v: readonly number[],
  h: readonly number[],
) => lineSum(from, lineOfMoves(feet.map(({ x }, i) => ({ id: `${i}`, x, v: v[i] ?? 0, h: h[i] ?? 0 }))))

/** Worst share of a limit, straight from the judgement. */
const worst = (at: Misalignment, tolerance: SettledTolerance) =>
  Math.max(...judge(at, tolerance).quantities.map((q) => 1 - (q.margin ?? 1)))

const small = fc.double({ min: -12, max: 12, noNaN: true })
const tilt = fc.double({ min: -0.8, max: 0.8, noNaN: true })
const lines = fc.tuple(small, small, tilt, tilt).map(([a, b, c, d]) => line(a, b, c, d))
const room = fc.double({ min: 0, max: 12, noNaN: true }).map((x) => x * MIL)

describe('feasible, score and verdict', () => {
  it('a vector that is out is not feasible, though each plane alone would be in', () => {
    const locked = [254, 635].map((x, i) => foot(`${i}`, x, { locked: true }))
    const plan = planMoves(input(line(1.8, 1.8, 0, 0), locked, { tolerance: VECTOR }))
    expect(plan.plans[0]?.judgement.verdict).toBe('out')
    expect(plan.feasible).toBe(false)
  })

  it('say one thing of one predicted line, with any number of pairs and any tolerance', () => {
    fc.assert(
      fc.property(
        lines,
        fc.constantFrom(PLANE, VECTOR, SPOOL),
        fc.subarray([254, 380, 500, 635], { minLength: 2 }),
        fc.array(fc.tuple(room, room, fc.boolean()), { minLength: 4, maxLength: 4 }),
        (coupling, tolerance, at, rooms) => {
          const feet = at.map((x, i) => {
            const [sidePlus, sideMinus, locked] = rooms[i] as [number, number, boolean]
            return foot(`${i}`, x, { sidePlus, sideMinus, locked })
          })
          const result = planMoves(input(coupling, feet, { tolerance }))
          const closest = result.plans[0]
          expect(result.feasible).toBe(closest?.judgement.verdict !== 'out')
          for (const plan of result.plans) {
            const moves = plan.moves
            const predicted = after(
              coupling,
              moves,
              moves.map((m) => m.v),
              moves.map((m) => m.h),
            )
            for (const part of ['offset', 'slope'] as const)
              for (const p of ['v', 'h'] as const)
                expect(plan.predicted[part][p]).toBeCloseTo(predicted[part][p] ?? NaN, 9)
            expect(plan.judgement.verdict).toBe(judge(predicted, tolerance).verdict)
            if (tolerance.form === 'offset-slope' && tolerance.mode === 'plane')
              expect(Math.max(plan.score.v, plan.score.h)).toBeCloseTo(worst(predicted, tolerance), 9)
            // Where sideways room alone keeps it out, the other plans still bring the heights in.
            if (result.feasible) expect(plan.judgement.verdict).not.toBe('out')
          }
        },
      ),
      { numRuns: 120 },
    )
  })
})

describe('heights over three and four pairs', () => {
  it('the closest is the best of every setting whose inner pairs follow the outer two', () => {
    fc.assert(
      fc.property(
        lines,
        fc.constantFrom(PLANE, VECTOR),
        fc.boolean(),
        fc.constantFrom([254, 450, 635], [254, 380, 500, 635]),
        (coupling, tolerance, locked, at) => {
          const stock = [2, 7, 10].map((t) => ({ thickness: t * MIL, count: 40 }))
          const feet = at.map((x, i) => foot(`${i}`, x, { locked: locked && i === 1 }))
          const given = input(coupling, feet, { tolerance, stock })
          const plan = planMoves(given).plans[0]
          const h = feet.map((f) => plan?.moves.find((m) => m.id === f.id)?.h ?? 0)
          const lifts = feet.map((f) => reachableLifts(f, stock, 3).map((l) => l.v))
          const last = at.length - 1
          // Where two inner packs follow the line alike either may be taken: the answer lies between both.
          let least = Infinity
          let most = Infinity
          for (const a of lifts[0] ?? [])
            for (const b of lifts[last] ?? []) {
              const inner = at.slice(1, -1).map((x, i) => {
                const on = a + ((b - a) * (x - (at[0] ?? 0))) / ((at[last] ?? 0) - (at[0] ?? 0))
                const off = (l: number) => Math.abs(l - on)
                const nearest = Math.min(...(lifts[i + 1] ?? []).map(off))
                return nearest <= LINE_SLACK
                  ? (lifts[i + 1] ?? []).filter((l) => off(l) < nearest + 1e-9)
                  : []
              })
              const combinations = inner.reduce<readonly (readonly number[])[]>(
                (all, ways) => all.flatMap((c) => ways.map((w) => [...c, w])),
                [[]],
              )
              const shares = combinations.map((c) => {
                const to = after(coupling, feet, [a, ...c, b], h)
                return tolerance === VECTOR
                  ? worst(to, VECTOR)
                  : worst({ offset: { ...to.offset, h: 0 }, slope: { ...to.slope, h: 0 } }, PLANE)
              })
              if (shares.length === 0) continue
              least = Math.min(least, ...shares)
              most = Math.min(most, Math.max(...shares))
            }
          const reached = plan ? (tolerance === VECTOR ? worst(plan.predicted, VECTOR) : plan.score.v) : NaN
          expect(reached).toBeGreaterThanOrEqual(least - 1e-6)
          expect(reached).toBeLessThanOrEqual(most + 1e-6)
        },
      ),
      { numRuns: 60 },
    )
  })
})

const SIDES: readonly SideFoot[] = [
  { id: 'near', x: 254, sidePlus: 0, sideMinus: 0 },
  { id: 'middle', x: 450, sidePlus: 0, sideMinus: 0 },
  { id: 'far', x: 635, sidePlus: 0, sideMinus: 0 },
]
const withRooms = (rooms: readonly (readonly [number, number])[]): readonly SideFoot[] =>
  SIDES.map((f, i) => ({ ...f, sidePlus: rooms[i]?.[0] ?? 0, sideMinus: rooms[i]?.[1] ?? 0 }))
const sideShare = (coupling: Misalignment, feet: readonly SideFoot[], h: readonly number[]) =>
  worst(
    (({ offset, slope }) => ({ offset: { v: 0, h: offset.h }, slope: { v: 0, h: slope.h } }))(
      after(coupling, feet, [], h),
    ),
    PLANE,
  )

describe('side moves over three pairs', () => {
  it('pivot about a locked inner pair where that brings it in band', () => {
    const feet = withRooms([
      [1, 1],
      [0, 0],
      [1, 1],
    ])
    // Turned about the middle pair by 0.8 mm/m: only turning back about it helps.
    const turned: Misalignment = { offset: { v: 0, h: -0.0008 * 450 }, slope: { v: 0, h: 0.0008 } }
    const moves = bestSideMoves(turned, PLANE, ALIGNED, feet)
    expect(moves[1]).toBe(0)
    expect(sideShare(turned, feet, moves)).toBeLessThan(1e-9)
  })

  it('are the best that every room allows: no line through them does better', () => {
    fc.assert(
      fc.property(
        lines,
        fc.array(fc.tuple(room, room), { minLength: 3, maxLength: 3 }),
        (coupling, rooms) => {
          const feet = withRooms(rooms)
          const moves = bestSideMoves(coupling, PLANE, ALIGNED, feet)
          feet.forEach((f, i) => {
            expect(moves[i]).toBeLessThanOrEqual(f.sidePlus + 1e-9)
            expect(moves[i]).toBeGreaterThanOrEqual(-f.sideMinus - 1e-9)
          })
          const share = sideShare(coupling, feet, moves)
          const [near, middle, far] = feet as [SideFoot, SideFoot, SideFoot]
          const N = 60
          for (let i = 0; i <= N; i++)
            for (let j = 0; j <= N; j++) {
              const a = -near.sideMinus + (i / N) * (near.sidePlus + near.sideMinus)
              const b = -far.sideMinus + (j / N) * (far.sidePlus + far.sideMinus)
              const m = a + ((b - a) * (middle.x - near.x)) / (far.x - near.x)
              if (m > middle.sidePlus || m < -middle.sideMinus) continue
              expect(sideShare(coupling, feet, [a, m, b])).toBeGreaterThanOrEqual(share - 1e-9)
            }
        },
      ),
      { numRuns: 25 },
    )
  })
})

describe('side moves in whole steps of the dial', () => {
  it('are the best of the steps about the exact ones', () => {
    const step = 1 * MIL
    fc.assert(
      fc.property(lines, fc.tuple(room, room, room, room), (coupling, [a, b, c, d]) => {
        const feet: readonly SideFoot[] = [
          { id: 'near', x: 254, sidePlus: a, sideMinus: b },
          { id: 'far', x: 635, sidePlus: c, sideMinus: d },
        ]
        const exact = bestSideMoves(coupling, PLANE, ALIGNED, feet)
        const rounded = roundSideMoves(exact, step, coupling, PLANE, ALIGNED, feet)
        const share = sideShare(coupling, feet, rounded)
        for (let i = -2; i <= 2; i++)
          for (let j = -2; j <= 2; j++) {
            const tried = [
              (Math.round((exact[0] ?? 0) / step) + i) * step,
              (Math.round((exact[1] ?? 0) / step) + j) * step,
            ] as const
            const inside = tried.every(
              (m, n) => m <= (feet[n]?.sidePlus ?? 0) && m >= -(feet[n]?.sideMinus ?? 0),
            )
            if (inside) expect(sideShare(coupling, feet, tried)).toBeGreaterThanOrEqual(share - 1e-9)
          }
        rounded.forEach((m, i) => {
          const f = feet[i] as SideFoot
          const holdsAStep = Math.floor(f.sidePlus / step + 1e-9) >= -Math.floor(f.sideMinus / step + 1e-9)
          if (holdsAStep) expect(Math.abs(m / step - Math.round(m / step))).toBeLessThan(1e-6)
        })
      }),
      { numRuns: 200 },
    )
  })

  it('leave an aligned machine where it stands', () => {
    expect(lineDifference(ALIGNED, ALIGNED)).toEqual(ALIGNED)
    const feet = withRooms([
      [1, 1],
      [1, 1],
      [1, 1],
    ])
    expect(roundSideMoves([0, 0, 0], MIL, ALIGNED, PLANE, ALIGNED, feet)).toEqual([0, 0, 0])
  })
})
