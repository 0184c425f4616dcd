import { describe, expect, it } from 'vitest'
import { arrangeTaken, headsSamples, rimFaceDials, spacerFacesDials } from '../methods/dials'
import type { DialArrangement } from '../coupling/dialCircle'
import { ALIGNED } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { Outcome } from '../outcome'
import { normalFrom, seededRandom } from '../random/random'
import { simulateFace, simulateRim } from '../simulate/dialReadings'
import { normalBetween, normalShare } from '../statistics/normal'
import { studentQuantile, studentShare } from '../statistics/studentT'
import { arrangementModel, type ArrangementModel } from './arrangementModel'
import { chanceInBand } from './chance'
import { dialLine } from './dialLine'
import { covarianceAfterMove, footMoveSd, lineCovariance } from './linear'
import { monteCarlo } from './monteCarlo'
import { NO_SPREAD, type Spread } from './spread'

const MIL = 0.0254
const QUARTERS = [0, 90, 180, 270]
const LINE = { offset: { v: -0.21, h: 0.13 }, slope: { v: -0.0004, h: 0.0007 } }
const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 850 },
] as const
const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.09, slope: 0.0005 }
const must = <T>(x: Outcome<T> | T | null): T => {
  if (x === null) throw new Error('no model')
  if (typeof x === 'object' && 'ok' in (x as object)) {
    const outcome = x as Outcome<T>
    if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
    return outcome.value
  }
  return x as T
}
/** Rim and face at these stops. */
const rimFaceAt = (rim: readonly number[], face: readonly number[]) =>
  must(
    arrangeTaken(
      rimFaceDials({
        rim: {
          carriedBy: 'movable',
          plane: -40,
          sag: 0.08,
          readings: simulateRim(LINE, { carriedBy: 'movable', plane: -40, sag: 0.08 }, rim),
        },
        faces: [
          {
            plunger: 'away',
            diameter: 170,
            readings: simulateFace(LINE, { plunger: 'away', diameter: 170, sag: 0 }, face),
          },
        ],
      }),
    ),
  ).arrangement
const rimFaceModel = rimFaceAt(QUARTERS, [0, 60, 150, 200, 300])
const headsModel = must(
  arrangeTaken(
    headsSamples({
      stationaryPlane: -80,
      movablePlane: 110,
      samples: [350, 20, 60, 100, 140, 190].map((clock) => ({
        clock,
        stationary:
          simulateRim(LINE, { carriedBy: 'movable', plane: -80, sag: 0 }, [0, clock])[1]?.value ?? 0,
        movable:
          simulateRim(LINE, { carriedBy: 'stationary', plane: 110, sag: 0 }, [0, clock])[1]?.value ?? 0,
      })),
    }),
  ),
).arrangement
const spacerModel = must(
  arrangeTaken(
    spacerFacesDials({
      spoolLength: 500,
      atStationary: {
        plunger: 'away',
        diameter: 150,
        sag: 0.01,
        readings: simulateFace(LINE, { plunger: 'away', diameter: 150, sag: 0.01 }, QUARTERS),
      },
      atMovable: {
        plunger: 'back',
        diameter: 160,
        readings: simulateFace(LINE, { plunger: 'back', diameter: 160, sag: 0 }, QUARTERS),
      },
    }),
  ),
).arrangement
const MODELS: readonly (readonly [string, DialArrangement])[] = [
  ['rim and face', rimFaceModel],
  ['heads on an arc', headsModel],
  ['faces across a spacer', spacerModel],
]
const SPREADS: readonly (readonly [string, Spread])[] = [
  ['readings', { ...NO_SPREAD, reading: 0.3 * MIL }],
  ['clock angles', { ...NO_SPREAD, clock: 1 }],
  ['distances', { ...NO_SPREAD, distance: 1.5 }],
  [
    'everything',
    {
      reading: 0.3 * MIL,
      clock: 0.7,
      distance: 1,
      sag: 0.2 * MIL,
      shim: 0.2 * MIL,
      side: 0.3 * MIL,
      settling: 0.1 * MIL,
      runout: 0,
    },
  ],
]
const run = (model: ArrangementModel, sd: Spread, draws = 40_000) =>
  monteCarlo({ model: dialLine(model), feet: FEET, tolerance: LIMITS, sd, draws, random: seededRandom(3) })

describe('linear propagation and Monte Carlo agree', () => {
  it.each(MODELS.flatMap(([name, a]) => SPREADS.map(([what, sd]) => [name, what, a, sd] as const)))(
    '%s, errors of %s',
    (_, __, arrangement, sd) => {
      const model = must(arrangementModel(arrangement))
      const covariance = lineCovariance(model, sd)
      const drawn = run(model, sd)
      const root = (i: number) => Math.sqrt(covariance[5 * i] as number)
      const pairs = [
        [root(0), drawn.coupling.offset.v?.sd],
        [root(1), drawn.coupling.offset.h?.sd],
        [root(2), drawn.coupling.slope.v?.sd],
        [root(3), drawn.coupling.slope.h?.sd],
      ]
      const mean = (vh: typeof drawn.coupling.slope) => ({ v: vh.v?.mean ?? NaN, h: vh.h?.mean ?? NaN })
      const line = { offset: mean(drawn.coupling.offset), slope: mean(drawn.coupling.slope) }
      const feet = footMoveSd(covariance, line, ALIGNED, FEET, sd)
      feet.forEach((f, i) => {
        pairs.push([f.v, drawn.feet[i]?.move.v?.sd], [f.h, drawn.feet[i]?.move.h?.sd])
      })
      for (const [linear, mc] of pairs)
        expect(Math.abs((mc ?? NaN) - (linear ?? NaN))).toBeLessThan(0.04 * (linear ?? 0) + 2e-7)
    },
  )

  it('in the chance to end in band', () => {
    const model = must(arrangementModel(rimFaceModel))
    for (const times of [1, 3, 6, 10]) {
      const sd: Spread = {
        ...NO_SPREAD,
        reading: 0.3 * times * MIL,
        shim: 0.2 * times * MIL,
        side: 0.3 * times * MIL,
      }
      const [a, b] = FEET
      const still = { v: 0, h: 0 }
      const after = covarianceAfterMove(lineCovariance(model, sd), [a, b], [still, still], sd)
      const linear = chanceInBand(ALIGNED, after, LIMITS, ALIGNED)
      expect(Math.abs(linear - (run(model, sd).chanceInBand ?? NaN))).toBeLessThan(0.012)
    }
  })

  it('in vector mode too', () => {
    const model = must(arrangementModel(rimFaceModel))
    const sd: Spread = { ...NO_SPREAD, reading: 2 * MIL }
    const vector: SettledTolerance = { ...LIMITS, mode: 'vector' } as SettledTolerance
    const drawn = monteCarlo({
      model: dialLine(model),
      feet: FEET,
      tolerance: vector,
      sd,
      draws: 40_000,
      random: seededRandom(9),
    })
    const linear = chanceInBand(ALIGNED, lineCovariance(model, sd), vector, ALIGNED)
    expect(Math.abs(linear - (drawn.chanceInBand ?? NaN))).toBeLessThan(0.03)
  })
})

describe('the advice', () => {
  const model = must(arrangementModel(rimFaceModel))
  it('is to move while the readings are good, to measure again when a band is narrower than its spread', () => {
    expect(run(model, { ...NO_SPREAD, reading: 0.3 * MIL }, 4000)).toMatchObject({ advice: 'move', wide: [] })
    const poor = run(model, { ...NO_SPREAD, reading: 4 * MIL }, 4000)
    expect(poor.advice).toBe('measure-again')
    expect(poor.wide).toContain('slope.v')
  })

  it('repeats with its seed and is certain without errors', () => {
    const sd = { ...NO_SPREAD, reading: MIL, clock: 1 }
    expect(run(model, sd, 2000)).toEqual(run(model, sd, 2000))
    expect(run(model, NO_SPREAD, 1000)).toMatchObject({ chanceInBand: 1, advice: 'move' })
  })

  it('says nothing of a plane that was not read', () => {
    const onlyV: DialArrangement = {
      ...rimFaceModel,
      circles: [
        {
          ...rimFaceModel.circles[0],
          readings: rimFaceModel.circles[0].readings.filter((r) => r.clock % 180 === 0),
        },
        rimFaceModel.circles[1],
      ],
    }
    const half = run(must(arrangementModel(onlyV)), { ...NO_SPREAD, reading: MIL }, 1000)
    expect(half.coupling.offset.h).toBeNull()
    expect(half).toMatchObject({ chanceInBand: null, advice: 'measure-again' })
  })
})

describe('distributions', () => {
  it('normal: known shares', () => {
    for (const [x, share] of [
      [0, 0.5],
      [1, 0.841344746068543],
      [1.959963984540054, 0.975],
      [-3, 0.00134989803163],
      [4.5, 0.999996602326875],
    ] as const)
      expect(normalShare(x)).toBeCloseTo(share, 11)
    expect(normalBetween(-Infinity, Infinity)).toBe(1)
    expect(normalBetween(1, -1)).toBe(0)
  })

  it('Student’s t: known quantiles, and shares that undo them', () => {
    for (const [freedom, t] of [
      [1, 12.706204736432],
      [2, 4.302652729911],
      [5, 2.570581835636],
      [30, 2.042272456301],
    ] as const) {
      expect(studentQuantile(0.975, freedom)).toBeCloseTo(t, 8)
      expect(studentShare(studentQuantile(0.9, freedom), freedom)).toBeCloseTo(0.9, 11)
    }
  })

  it('normal draws have mean 0 and deviation 1', () => {
    const normal = normalFrom(seededRandom(4))
    const draws = Array.from({ length: 50_000 }, normal)
    const mean = draws.reduce((s, x) => s + x, 0) / draws.length
    const variance = draws.reduce((s, x) => s + (x - mean) ** 2, 0) / draws.length
    expect(Math.abs(mean)).toBeLessThan(0.02)
    expect(Math.abs(variance - 1)).toBeLessThan(0.03)
  })
})

const quartersModel = must(arrangementModel(rimFaceAt(QUARTERS, QUARTERS)))

describe('dials on one bracket', () => {
  const clockOnly: Spread = { ...NO_SPREAD, clock: 4 }
  const drawn = (sd: Spread) =>
    monteCarlo({
      model: dialLine(quartersModel),
      feet: FEET,
      tolerance: LIMITS,
      sd,
      draws: 120_000,
      random: seededRandom(11),
    })

  it('stop together: linear propagation and the draws agree on every covariance', () => {
    const sd: Spread = { ...clockOnly, reading: 0.004, distance: 1, sag: 0.003 }
    const linear = lineCovariance(quartersModel, sd)
    const { covariance } = drawn(sd)
    for (let j = 0; j < 4; j++)
      for (let k = 0; k < 4; k++) {
        const size = Math.sqrt((linear[5 * j] as number) * (linear[5 * k] as number))
        expect((covariance[4 * j + k] as number) / size).toBeCloseTo((linear[4 * j + k] as number) / size, 1)
      }
  })

  it('so that a stop off its mark is off for both: the errors hang together', () => {
    const c = lineCovariance(quartersModel, clockOnly)
    const correlation = (c[2] as number) / Math.sqrt((c[0] as number) * (c[10] as number))
    // Worked by hand: one turn error e at each stop moves both amplitudes alike, by the same stops.
    const by = QUARTERS.map((clock) => {
      const model = must(
        arrangementModel({
          ...quartersModel.arrangement,
          circles: quartersModel.arrangement.circles.map((circle) => {
            const turned = (4 * Math.PI) / 180 / 1000
            const fit = (x: number) => {
              const read = circle.readings
              const mean = read.reduce((s, r) => s + r.value, 0) / read.length
              const a =
                read.reduce((s, r) => s + (r.value - mean) * Math.cos((r.clock * Math.PI) / 180), 0) / 2
              const b =
                read.reduce((s, r) => s + (r.value - mean) * Math.sin((r.clock * Math.PI) / 180), 0) / 2
              return a * Math.cos(x) + b * Math.sin(x)
            }
            return {
              ...circle,
              readings: circle.readings.map((r) => {
                const at = (r.clock * Math.PI) / 180
                return r.clock === clock ? { ...r, value: r.value + fit(at + turned) - fit(at) } : r
              }),
            }
          }) as unknown as DialArrangement['circles'],
        }),
      )
      const solve = (m: ArrangementModel) => {
        const [rim, face] = m.circles
        const slope = face.cos / face.lever
        return { offset: (rim.cos - rim.sag) / rim.lever - slope * rim.plane, slope }
      }
      const [was, now] = [solve(quartersModel), solve(model)]
      return { o: now.offset - was.offset, s: now.slope - was.slope }
    })
    const sum = (f: (x: { o: number; s: number }) => number) => by.reduce((t, x) => t + f(x), 0)
    const wanted = sum((x) => x.o * x.s) / Math.sqrt(sum((x) => x.o ** 2) * sum((x) => x.s ** 2))
    expect(correlation).toBeCloseTo(wanted, 2)
    expect(Math.abs(correlation)).toBeGreaterThan(0.05)
  })
})

describe('whether to measure again', () => {
  const open = [null, null] as const
  const oneSided: SettledTolerance = {
    form: 'window',
    offset: { v: [0, null], h: open },
    slope: { v: open, h: open },
  }
  const advice = (sd: Partial<Spread>, tolerance: SettledTolerance = oneSided) =>
    monteCarlo({
      model: dialLine(quartersModel),
      feet: FEET,
      tolerance,
      sd: { ...NO_SPREAD, ...sd },
      draws: 20_000,
      random: seededRandom(5),
      target: { offset: { v: 0.02, h: 0 }, slope: { v: 0, h: 0 } },
    })

  it('yes, when only the measuring leaves it to worse than even odds, one-sided bands too', () => {
    const narrow: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.02, slope: 0.00005 }
    const unsure = advice({ reading: 0.02, sag: 0.02 }, narrow)
    expect(unsure.chanceInBand).toBeLessThan(0.5)
    expect(unsure.advice).toBe('measure-again')
    const sided = advice({ reading: 0.05, sag: 0.1, distance: 2 })
    expect(sided.chanceInBand).toBeGreaterThan(0.5)
    expect(sided.advice).toBe('move')
  })

  it('no, when it is the move that is unsure', () => {
    const narrow: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.05, slope: 0.0003 }
    const clumsy = advice({ shim: 0.2, side: 0.2, reading: 0.0005 }, narrow)
    expect(clumsy.chanceInBand).toBeLessThan(0.5)
    expect(clumsy.advice).toBe('move')
  })
})
