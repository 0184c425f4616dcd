import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lineSum } from '../frame/planes'
import { shiftOfMoves } from '../plan/movePlan'
import { normalFrom, seededRandom } from '../random/random'
import { dialShows, EXACT_DIAL } from './dialGauge'
import { faceTravel } from './bracketDial'
import { pairOnLine } from './dialReadings'
import { drawJob } from './jobPopulation'
import { standOn } from './machineOnFeet'
import { afterMove, takeSet, trueLine } from './simulatedCouple'

const sweep = (...plunger: number[]) => plunger.map((p, i) => ({ clock: i * 90, plunger: p }))
const still = () => 0

describe('a simulated dial', () => {
  it('lags by its lost motion when the plunger turns back', () => {
    const shown = dialShows(sweep(0, 1, 0.5, 1), { ...EXACT_DIAL, backlash: 0.2 }, still)
    expect(shown.map((r) => r.value)).toEqual([0, 0.9, 0.6, 0.9].map((x) => expect.closeTo(x, 12)))
  })

  it('keeps a slip once it has happened, and shows it on return', () => {
    const dial = { ...EXACT_DIAL, slip: { at: 100, by: 0.3 } }
    const positions = [...sweep(0, 0, 0, 0), { clock: 0, turned: 360, plunger: 0 }]
    expect(dialShows(positions, dial, still).map((r) => r.value)).toEqual([0, 0, 0.3, 0.3, 0.3])
  })

  it('counts the other way with the other sign, and shows whole graduations', () => {
    const shown = dialShows(sweep(0, 0.123, -0.04, 0), { ...EXACT_DIAL, sign: -1, graduation: 0.05 }, still)
    expect(shown.map((r) => r.value)).toEqual([0, -0.1, 0.05, 0].map((x) => expect.closeTo(x, 12)))
  })

  it('puts the error of its zero into every later reading', () => {
    const dial = { ...EXACT_DIAL, noise: 0.1 }
    const normal = normalFrom(seededRandom(5))
    const runs = Array.from({ length: 4000 }, () => dialShows(sweep(0, 0, 0, 0), dial, normal))
    expect(runs.every((r) => r[0]?.value === 0)).toBe(true)
    const spread = Math.sqrt(runs.reduce((s, r) => s + (r[2]?.value ?? 0) ** 2, 0) / runs.length)
    expect(spread).toBeCloseTo(0.1 * Math.SQRT2, 2)
  })
})

describe('simulated brackets', () => {
  it('read axial float on a face dial in full, whichever way the plunger points', () => {
    const pair = pairOnLine({ offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } })
    const at = (plunger: 'away' | 'back', float: number) =>
      faceTravel(
        pair,
        { carriedBy: 'movable', plunger, sag: 0, bothTurn: true, diameter: 150, faceX: 0, float },
        90,
      )
    expect(at('away', 0.1) - at('away', 0)).toBeCloseTo(0.1, 12)
    expect(at('back', 0.1) - at('back', 0)).toBeCloseTo(-0.1, 12)
  })
})

describe('a simulated machine', () => {
  it('moves as its shims and side moves say: the plan’s line is what the axis does', () => {
    const move = fc.double({ min: -0.8, max: 0.8, noNaN: true })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), move, move, move, move, (seed, a, b, ha, hb) => {
        const { couple } = drawJob(seededRandom(seed))
        const [inboard, , outboard] = couple.movable.feet
        const before = trueLine(couple)
        const after = trueLine(afterMove(couple, { lifts: [a, a, b, b], inboardSide: ha, outboardSide: hb }))
        const planned = lineSum(
          before,
          shiftOfMoves([
            { id: 'a', machine: 'movable', x: inboard.x, v: a, h: ha },
            { id: 'b', machine: 'movable', x: outboard.x, v: b, h: hb },
          ]),
        )
        for (const p of ['v', 'h'] as const) {
          expect(Math.abs((after.offset[p] ?? NaN) - (planned.offset[p] ?? NaN))).toBeLessThan(0.01)
          expect(Math.abs((after.slope[p] ?? NaN) - (planned.slope[p] ?? NaN))).toBeLessThan(3e-5)
        }
      }),
      { numRuns: 100 },
    )
  })

  it('lifted on one side only it leans, and its shaft goes sideways', () => {
    const { couple } = drawJob(seededRandom(3))
    const lifted = trueLine(afterMove(couple, { lifts: [0.3, 0, 0, 0.3], inboardSide: 0, outboardSide: 0 }))
    const lean = (0.3 / (2 * couple.movable.feet[1].h)) * couple.movable.shaftHeight
    expect((lifted.offset.h ?? 0) - (trueLine(couple).offset.h ?? 0)).toBeCloseTo(lean, 2)
  })

  it('sinks by what its springs give, and stands level on level pads', () => {
    const { couple } = drawJob(seededRandom(8))
    const { heights } = standOn(couple.movable)
    for (const h of heights) {
      expect(h).toBeLessThan(0)
      expect(h).toBeGreaterThan(-0.03)
    }
  })

  it('draws the same job from the same seed, and readings that return to zero when nothing slips', () => {
    expect(drawJob(seededRandom(12))).toEqual(drawJob(seededRandom(12)))
    const job = drawJob(seededRandom(12))
    const exact = { ...job.real, rimDial: EXACT_DIAL, faceDial: EXACT_DIAL, clockError: 0 }
    const set = takeSet(job.couple, exact, [0, 90, 180, 270], still)
    expect(set.returned).toEqual({ rim: 0, face: 0 })
    expect(set.rim[0]?.value).toBe(0)
  })
})
