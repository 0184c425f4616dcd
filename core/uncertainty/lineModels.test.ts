import { describe, expect, it } from 'vitest'
import { gapStraightedge, type GapStraightedgeInput } from '../coupling/gapStraightedge'
import { lineOfFootValues } from '../coupling/footValues'
import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import { normalFrom, seededRandom } from '../random/random'
import { feelerLine } from './feelerLine'
import type { LineModel } from './lineModel'
import { monteCarlo } from './monteCarlo'
import { NO_SPREAD, type Spread } from './spread'
import { footValuesLine, typedLine } from './typedLine'

const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 850 },
]
const TOLERANCE: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.0006 }
const LIMITS = { units: 'metric', graduation: null, offsetLimit: null } as const
const QUARTERS = [0, 90, 180, 270]
const DRAWS = 40_000

const drawn = (model: LineModel, sd: Spread) =>
  monteCarlo({ model, feet: FEET, tolerance: TOLERANCE, sd, draws: DRAWS, random: seededRandom(2) })
/** Standard deviations when everything typed is drawn anew and the method worked again. */
const again = (work: (normal: () => number) => Misalignment) => {
  const normal = normalFrom(seededRandom(8))
  const lines = Array.from({ length: 6000 }, () => work(normal))
  const sd = (pick: (m: Misalignment) => number | null) => {
    const list = lines.map((l) => pick(l) ?? NaN)
    const mean = list.reduce((s, x) => s + x, 0) / list.length
    return Math.sqrt(list.reduce((s, x) => s + (x - mean) ** 2, 0) / (list.length - 1))
  }
  return [sd((m) => m.offset.v), sd((m) => m.offset.h), sd((m) => m.slope.v), sd((m) => m.slope.h)]
}
/** Draws and linear propagation against that; `null` where nothing is known. */
const expectSpread = (model: LineModel, sd: Spread, wanted: readonly (number | null)[]) => {
  const { coupling } = drawn(model, sd)
  const covariance = model.covariance(sd)
  const parts = [coupling.offset.v, coupling.offset.h, coupling.slope.v, coupling.slope.h]
  wanted.forEach((w, i) => {
    if (w === null || Number.isNaN(w)) return expect(parts[i]).toBeNull()
    expect((parts[i]?.sd ?? NaN) / w).toBeGreaterThan(0.95)
    expect((parts[i]?.sd ?? NaN) / w).toBeLessThan(1.05)
    expect(Math.sqrt(covariance[5 * i] as number) / w).toBeGreaterThan(0.95)
    expect(Math.sqrt(covariance[5 * i] as number) / w).toBeLessThan(1.05)
  })
}

describe('feelers and straightedge', () => {
  const SD: Spread = { ...NO_SPREAD, reading: 0.02, clock: 2, distance: 0.4 }
  const gap = (clock: number) => 3 + 0.04 * Math.cos((clock * Math.PI) / 180 - 0.6)
  const step = (clock: number) => 0.3 * Math.cos((clock * Math.PI) / 180 + 0.9)
  const input = (
    clocks: { readonly gaps: readonly number[]; readonly rises: readonly number[] },
    normal: () => number,
    sd: Spread,
  ): GapStraightedgeInput => {
    const read = (list: readonly number[], at: (clock: number) => number) =>
      list.map((clock) => ({ clock, value: at(clock + sd.clock * normal()) + sd.reading * normal() }))
    return {
      gaps: clocks.gaps.length
        ? { diameter: 160 + sd.distance * normal(), readings: read(clocks.gaps, gap) }
        : undefined,
      rises: clocks.rises.length
        ? {
            radiusDifference: 0.1 + sd.distance * (normal() - normal()),
            readings: read(clocks.rises, (c) => step(c) + 0.1),
          }
        : undefined,
    }
  }
  const line = (given: GapStraightedgeInput): Misalignment => {
    const found = gapStraightedge(given, LIMITS)
    if (!found.ok) throw new Error(found.refusals[0]?.code)
    return found.value.coupling
  }
  it.each([
    ['gaps and steps all round', { gaps: QUARTERS, rises: QUARTERS }],
    ['gaps alone', { gaps: [10, 130, 250], rises: [] }],
    ['steps alone', { gaps: [], rises: [20, 100, 200, 290] }],
    ['two steps, radii taped', { gaps: QUARTERS, rises: [0, 90] }],
    ['one step at 12', { gaps: [0, 180], rises: [0] }],
  ])('%s: as when the whole is read again and again', (_, clocks) => {
    const exact = input(clocks, () => 0, NO_SPREAD)
    const model = feelerLine(exact)
    if (!model.ok) throw new Error(model.refusals[0]?.code)
    const known = line(exact)
    const wanted = again((normal) => line(input(clocks, normal, SD)))
    const parts = [known.offset.v, known.offset.h, known.slope.v, known.slope.h]
    expectSpread(
      model.value,
      SD,
      wanted.map((w, i) => (parts[i] === null ? null : w)),
    )
  })

  it('says nothing of a plan while half of the line is unknown', () => {
    const model = feelerLine(input({ gaps: QUARTERS, rises: [] }, () => 0, NO_SPREAD))
    if (!model.ok) throw new Error('refused')
    expect(drawn(model.value, SD)).toMatchObject({
      chanceInBand: null,
      feet: [{ move: { v: null, h: null } }, {}],
    })
  })

  it('refuses blades that only passed or stopped', () => {
    const gaps = { diameter: 100, readings: [{ clock: 0, passes: 1 }] }
    expect(feelerLine({ gaps })).toMatchObject({ ok: false, refusals: [{ code: 'only-bounds' }] })
  })
})

describe('typed values', () => {
  it('at the feet: each value and each distance errs, three feet by least squares', () => {
    const sd: Spread = { ...NO_SPREAD, reading: 0.03, distance: 8 }
    const values = [
      { x: 300, v: 0.4, h: -0.2 },
      { x: 520, v: 0.35, h: 0.1 },
      { x: 850, v: 0.9, h: 0.3 },
    ]
    for (const kind of ['position', 'correction'] as const) {
      const wanted = again((normal) =>
        lineOfFootValues(
          values.map((f) => ({
            x: f.x + sd.distance * normal(),
            v: f.v + sd.reading * normal(),
            h: f.h + sd.reading * normal(),
          })),
          kind,
        ),
      )
      expectSpread(footValuesLine(values, kind), sd, wanted)
    }
  })

  it('at the coupling: as they are, unknown ones unknown', () => {
    const line = { offset: { v: 0.2, h: 0.1 }, slope: { v: 0.0005, h: null } }
    const sd: Spread = { ...NO_SPREAD, reading: 0.02 }
    expectSpread(typedLine(line, 0.0001), sd, [0.02, 0.02, 0.0001, null])
  })
})
