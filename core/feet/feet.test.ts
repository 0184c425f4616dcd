import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { footRises, type SimulatedMachine } from '../simulate/machineOnFeet'
import { fitCorners } from './cornerGaps'
import { FOOT_NAMES, softFoot, type FootName, type FootRises } from './softFoot'
import { stepShim } from './stepShim'
import { frameOn } from './testFrame'

const MIL = 0.0254
const LIMIT = 2 * MIL
const rises = (f1: number, f2: number, f3: number, f4: number): FootRises => ({
  f1: f1 * MIL,
  f2: f2 * MIL,
  f3: f3 * MIL,
  f4: f4 * MIL,
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
          rises: risesOf(frameOn([0, 1, 2, 3].map((i) => (i === pad ? -low : 0)))),
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
        const found = softFoot({ rises: risesOf(frameOn(pads)), limit: LIMIT })
        const foot = FOOT_NAMES.indexOf(found.fill?.foot as FootName)
        const filled = pads.map((p, i) => (i === foot ? p + (found.fill?.thickness ?? 0) / MIL : p))
        expect(softFoot({ rises: risesOf(frameOn(filled)), limit: LIMIT }).diagnosis).toBe('ok')
      }),
      { numRuns: 40 },
    )
  })

  it('the full amount under both feet moves the fault to the other diagonal', () => {
    const found = softFoot({ rises: risesOf(frameOn([-12, 0, 0, 0])), limit: LIMIT })
    const fill = (found.fill?.thickness ?? 0) / MIL
    const both = softFoot({ rises: risesOf(frameOn([-12 + fill, 0, fill, 0])), limit: LIMIT })
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

  it('a step shim keeps the mismatch it promises everywhere under the foot, whatever the corners', () => {
    const gap = fc.double({ min: 0, max: 1, noNaN: true })
    const size = { along: 60, across: 100 }
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), gap, gap, gap, gap, (n, oo, oi, io, ii) => {
        const recipe = stepShim(
          { outboardOuter: oo, outboardInner: oi, inboardOuter: io, inboardInner: ii },
          size,
          n,
        )
        for (let i = 0; i <= 40; i++)
          for (let j = 0; j <= 40; j++) {
            // How far toward outboard and toward the outer edge; the gap is ruled between its corners.
            const [a, b] = [i / 40, j / 40]
            const wedge = a * (b * oo + (1 - b) * oi) + (1 - a) * (b * io + (1 - b) * ii)
            const inward = {
              outboard: (1 - a) * size.along,
              inboard: a * size.along,
              outer: (1 - b) * size.across,
              inner: b * size.across,
            }[recipe.openEdge]
            // Right at the end of a leaf it counts either way.
            const filled = (slack: number) =>
              recipe.leaves.reduce((s, l) => s + (inward <= l.depth + slack ? l.thickness : 0), 0)
            const miss = Math.min(Math.abs(wedge - filled(1e-9)), Math.abs(wedge - filled(-1e-9)))
            expect(miss).toBeLessThanOrEqual(recipe.mismatch + 1e-9)
          }
      }),
      { numRuns: 60 },
    )
  })

  it('a step shim begins with one whole leaf of the smallest gap', () => {
    const size = { along: 60, across: 100 }
    const wedge = stepShim(
      { outboardOuter: 0.8, outboardInner: 0.2, inboardOuter: 0.8, inboardInner: 0.2 },
      size,
      3,
    )
    expect(wedge.leaves.map((l) => [Number(l.thickness.toFixed(9)), Number(l.depth.toFixed(6))])).toEqual([
      [0.2, 100],
      [0.2, 83.333333],
      [0.2, 50],
      [0.2, 16.666667],
    ])
    expect(wedge.mismatch).toBeCloseTo(0.1, 12)
    expect(wedge.diagonal).toBe(false)
    const flat = { outboardOuter: 0.3, outboardInner: 0.3, inboardOuter: 0.3, inboardInner: 0.3 }
    expect(stepShim(flat, size, 4).leaves).toEqual([{ thickness: 0.3, depth: 60 }])
  })

  it('says that a gap open at one corner is no wedge', () => {
    const corner = { outboardOuter: 0.8, outboardInner: 0.1, inboardOuter: 0.1, inboardInner: 0 }
    const { diagonal, mismatch } = stepShim(corner, { along: 60, across: 100 }, 4)
    expect(diagonal).toBe(true)
    expect(mismatch).toBeGreaterThan(0.3)
  })
})
