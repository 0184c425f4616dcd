import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { footRises, type FourFeet, type SimulatedMachine } from '../simulate/machineOnFeet'
import { fitCorners } from './cornerGaps'
import { FOOT_NAMES, softFoot, type FootName, type FootRises } from './softFoot'
import { stepShim } from './stepShim'

const MIL = 0.0254
const LIMIT = 2 * MIL
const rises = (f1: number, f2: number, f3: number, f4: number): FootRises => ({
  f1: f1 * MIL,
  f2: f2 * MIL,
  f3: f3 * MIL,
  f4: f4 * MIL,
})

/** A motor frame on four pads, one of them lower by `low` mil. */
const frame = (pads: readonly number[]): SimulatedMachine => ({
  feet: [
    [250, -180],
    [250, 180],
    [700, 180],
    [700, -180],
  ].map(([x, h], i) => ({
    x,
    h,
    pad: (pads[i] ?? 0) * MIL,
    padStiffness: 2.5e6,
    bolt: 25_000,
  })) as unknown as FourFeet,
  shaftHeight: 250,
  weight: 6000,
  twistStiffness: 8e5,
  side: { inboard: 0, outboard: 0 },
  axisError: { inboard: 0, outboard: 0 },
})
const risesOf = (machine: SimulatedMachine): FootRises => {
  const [f1, f2, f3, f4] = footRises(machine)
  return { f1, f2, f3, f4 }
}

describe('soft foot', () => {
  it('is sound when nothing rises over the limit', () => {
    expect(softFoot({ rises: rises(1, 1.5, 0.5, 2), limit: LIMIT })).toMatchObject({
      diagnosis: 'ok',
      diagonal: null,
      fill: null,
      advice: ['none'],
    })
  })

  it('on a simulated frame shows at both feet of the low pad’s diagonal, whichever pad it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 }), fc.double({ min: 6, max: 18, noNaN: true }), (pad, low) => {
        const found = softFoot({
          rises: risesOf(frame([0, 1, 2, 3].map((i) => (i === pad ? -low : 0)))),
          limit: LIMIT,
        })
        expect(found.diagnosis).toBe('rocking')
        expect(found.diagonal).toBe(pad % 2 === 0 ? '1-3' : '2-4')
        expect(found.feet).toHaveLength(2)
      }),
      { numRuns: 60 },
    )
  })

  it('is cured by what it says to fill, at either foot of the diagonal', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 }), fc.double({ min: 6, max: 15, noNaN: true }), (pad, low) => {
        const pads = [0, 1, 2, 3].map((i) => (i === pad ? -low : 0))
        const found = softFoot({ rises: risesOf(frame(pads)), limit: LIMIT })
        const foot = FOOT_NAMES.indexOf(found.fill?.foot as FootName)
        const filled = pads.map((p, i) => (i === foot ? p + (found.fill?.thickness ?? 0) / MIL : p))
        expect(softFoot({ rises: risesOf(frame(filled)), limit: LIMIT }).diagnosis).toBe('ok')
      }),
      { numRuns: 40 },
    )
  })

  it('the full amount under both feet moves the fault to the other diagonal', () => {
    const found = softFoot({ rises: risesOf(frame([-12, 0, 0, 0])), limit: LIMIT })
    const fill = (found.fill?.thickness ?? 0) / MIL
    const both = softFoot({ rises: risesOf(frame([-12 + fill, 0, fill, 0])), limit: LIMIT })
    expect(both).toMatchObject({ diagnosis: 'rocking', diagonal: '2-4' })
  })

  it('is local when one foot alone rises, springy when all do alike', () => {
    expect(softFoot({ rises: rises(9, 0.5, 0.5, 0.5), limit: LIMIT })).toMatchObject({
      diagnosis: 'local',
      feet: ['f1'],
      advice: ['feel-corners'],
    })
    expect(softFoot({ rises: rises(5, 4.6, 4.8, 5.2), limit: LIMIT })).toMatchObject({
      diagnosis: 'springy',
      fill: null,
      advice: ['check-packs'],
    })
  })

  it('fills the foot whose gap shows, and three quarters where the foot springs back', () => {
    const gap = (g: number) => ({
      outboardOuter: g * MIL,
      outboardInner: g * MIL,
      inboardOuter: g * MIL,
      inboardInner: g * MIL,
    })
    const seen = softFoot({ rises: rises(8, 0.5, 7.5, 0.5), limit: LIMIT, corners: { f3: gap(7) } })
    expect(seen.fill?.foot).toBe('f3')
    expect((seen.fill?.thickness ?? 0) / MIL).toBeCloseTo(7.5, 9)
    const springs = softFoot({ rises: rises(8, 0.5, 7.5, 0.5), limit: LIMIT, corners: { f1: gap(3) } })
    expect(springs.advice).toContain('fill-three-quarters')
    expect((springs.fill?.thickness ?? 0) / MIL).toBeCloseTo(0.75 * 7.5, 9)
  })

  it('names bent feet and pipe strain', () => {
    const bent = softFoot({
      rises: rises(9, 0, 0, 0),
      limit: LIMIT,
      footSize: { along: 80, across: 100 },
      corners: { f1: { outboardOuter: 0.2, outboardInner: 0, inboardOuter: 0.2, inboardInner: 0 } },
    })
    expect(bent.bent).toEqual([{ foot: 'f1', slopeAlong: 0, slopeAcross: 0.002 }])
    const pulled = softFoot({ rises: rises(6, 1, 1, 1), limit: LIMIT, pipeLoosened: rises(1, 1, 1, 1) })
    expect(pulled.pipeStrain).toBe(true)
    expect(pulled.advice).toContain('free-the-pipe')
  })
})

describe('corner gaps', () => {
  it('fit a plane exactly, and call what is left warp', () => {
    const slope = { along: 0.001, across: -0.002 }
    const g = (x: number, y: number, warp = 0) =>
      1 + slope.along * x + slope.across * y + warp * Math.sign(x * y)
    const size = { along: 100, across: 80 }
    const corners = (warp: number) => ({
      outboardOuter: g(50, 40, warp),
      outboardInner: g(50, -40, warp),
      inboardOuter: g(-50, 40, warp),
      inboardInner: g(-50, -40, warp),
    })
    expect(fitCorners(corners(0), size)).toMatchObject({ mean: 1, warp: 0 })
    expect(fitCorners(corners(0.05), size).slopeAcross).toBeCloseTo(-0.002, 12)
    expect(fitCorners(corners(0.05), size).warp).toBeCloseTo(0.05, 12)
  })

  it('a step shim never leaves more than half a leaf between wedge and steps', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.double({ min: 0.05, max: 1, noNaN: true }), (n, gap) => {
        const recipe = stepShim(
          { outboardOuter: gap, outboardInner: 0, inboardOuter: gap, inboardInner: 0 },
          { along: 60, across: 100 },
          n,
        )
        expect(recipe.openEdge).toBe('outer')
        for (let y = 0.5; y < 100; y += 1) {
          const wedge = gap * (1 - y / 100)
          const steps = recipe.leaves.filter((l) => y <= l.depth).length * (recipe.leaves[0]?.thickness ?? 0)
          expect(Math.abs(wedge - steps)).toBeLessThanOrEqual(recipe.mismatch + gap * 0.006)
        }
      }),
    )
  })
})
