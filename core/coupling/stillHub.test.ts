import { describe, expect, it } from 'vitest'
import type { Reading } from '../fit/harmonicFit'
import type { Misalignment } from '../frame/planes'
import { arrangeTaken, measureTaken, reverseRimDials, rimFaceDials } from '../methods/dials'
import type { Outcome } from '../outcome'
import { normalFrom, seededRandom } from '../random/random'
import { unmeasuredRunoutSd } from '../runout/runout'
import { faceTravel, rimTravel, type ShaftPair } from '../simulate/bracketDial'
import { pairOnLine } from '../simulate/dialReadings'
import { faceAt, radiusAt, type Hub } from '../simulate/hub'
import { arrangementModel } from '../uncertainty/arrangementModel'
import { lineCovariance } from '../uncertainty/linear'
import { NO_SPREAD, type Spread } from '../uncertainty/spread'
import type { Turning } from './dialSet'
import { stillHubUnder } from './stillHub'

const MIL = 0.0254
const LIMITS = { units: 'metric', graduation: 0.01, offsetLimit: null } as const
const LINE = { offset: { v: 0.2, h: -0.1 }, slope: { v: 0.0004, h: 0.0002 } }
const THREE = [0, 120, 240]
const QUARTERS = [0, 90, 180, 270]
const EIGHTHS = [0, 45, 90, 135, 180, 225, 270, 315]
const OVAL: Hub = {
  radius: 60,
  eccentric: { amount: 0.05, at: 40 },
  oval: { amount: 0.06, at: 15 },
  wobble: { slope: 0.0006, at: 200 },
}
const value = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
  return outcome.value
}
const pair: ShaftPair = { ...pairOnLine(LINE), stationaryHub: OVAL }
const zeroed = (readings: readonly Reading[]) =>
  readings.map((r) => ({ ...r, value: r.value - (readings[0]?.value ?? 0) }))
/** Only the motor turns, carrying both dials round a driven hub that stands still. */
const rimOf = (clocks: readonly number[]) =>
  zeroed(
    clocks.map((clock) => ({
      clock,
      value: rimTravel(pair, { carriedBy: 'movable', sag: 0, bothTurn: false, plane: -40 }, clock),
    })),
  )
const faceSetting = {
  carriedBy: 'movable',
  sag: 0,
  bothTurn: false,
  plunger: 'away',
  diameter: 150,
  faceX: 0,
  float: 0,
} as const
const faceOf = (clocks: readonly number[], turned = 0) =>
  zeroed(
    clocks.map((clock) => ({
      clock: (clock + turned) % 360,
      value: faceTravel(pair, faceSetting, clock + turned),
    })),
  )
/** That hub turned under a dial that stands: its own marks pass by. */
const rimRunout = (clocks: readonly number[]) =>
  zeroed(clocks.map((clock) => ({ clock, value: radiusAt(OVAL, clock) })))
const faceRunout = (clocks: readonly number[]) =>
  zeroed(clocks.map((clock) => ({ clock, value: faceAt(OVAL, clock, 75) })))

const taken = (
  rim: readonly Reading[],
  face: readonly Reading[],
  runout: { readonly rim?: readonly Reading[]; readonly face?: readonly Reading[] },
  turning: Turning = 'movable',
) =>
  rimFaceDials({
    rim: { carriedBy: 'movable', plane: -40, sag: 0, turning, readings: rim, runout: runout.rim },
    faces: [{ plunger: 'away', diameter: 150, readings: face, runout: runout.face }],
  })
const expectLine = (found: Misalignment) => {
  for (const p of ['v', 'h'] as const) {
    expect(Math.abs((found.offset[p] ?? NaN) - LINE.offset[p])).toBeLessThan(0.003)
    expect(Math.abs((found.slope[p] ?? NaN) - LINE.slope[p])).toBeLessThan(2e-5)
  }
}

describe('a hub that stood still, eccentric and oval', () => {
  it.each([
    ['three clocks, run-out read there', THREE, THREE],
    ['four clocks, run-out read there', QUARTERS, QUARTERS],
    ['three clocks, run-out read at eighths', THREE, EIGHTHS],
    ['odd clocks, run-out read at eighths', [10, 100, 190, 300], EIGHTHS],
    ['eighths, run-out read every 60 degrees', EIGHTHS, [0, 60, 120, 180, 240, 300]],
  ])('leaves the exact line: %s', (_, clocks, marks) => {
    const measured = value(
      measureTaken(
        taken(rimOf(clocks), faceOf(clocks), { rim: rimRunout(marks), face: faceRunout(marks) }),
        LIMITS,
      ),
    )
    expectLine(measured.coupling)
    expect(measured.trust.flags).not.toContain('one-shaft-turned')
  })

  it('closes at four clocks once its oval is out, and not before', () => {
    const sets = (runout: Parameters<typeof taken>[2]) =>
      value(measureTaken(taken(rimOf(QUARTERS), faceOf(QUARTERS), runout), LIMITS)).trust
    const clean = sets({ rim: rimRunout(QUARTERS), face: faceRunout(QUARTERS) })
    expect(Math.abs(clean.sets[0]?.closure ?? NaN)).toBeLessThan(1e-3)
    expect(clean.flags).not.toContain('closure')
    expect(sets({}).flags).toContain('closure')
  })

  it('is taken out of two opposed faces too', () => {
    const measured = value(
      measureTaken(
        rimFaceDials({
          rim: {
            carriedBy: 'movable',
            plane: -40,
            sag: 0,
            turning: 'movable',
            readings: rimOf(QUARTERS),
            runout: rimRunout(QUARTERS),
          },
          faces: [
            { plunger: 'away', diameter: 150, readings: faceOf(QUARTERS), runout: faceRunout(QUARTERS) },
            { plunger: 'away', diameter: 150, readings: faceOf(QUARTERS, 180), runout: faceRunout(QUARTERS) },
          ],
        }),
        LIMITS,
      ),
    )
    expectLine(measured.coupling)
  })

  it('counts a run-out read in two zero groups on one zero', () => {
    const groups = rimRunout(EIGHTHS).map((r, i) => ({
      clock: r.clock,
      value: r.value + (i < 4 ? 0 : 0.3),
      group: i < 4 ? 'first' : 'second',
    }))
    const hub = value(stillHubUnder(groups, QUARTERS))
    const found = hub.heights.map((x) => x - (hub.heights[0] ?? 0))
    QUARTERS.forEach((mark, i) => expect(found[i]).toBeCloseTo(radiusAt(OVAL, mark) - radiusAt(OVAL, 0), 9))
  })

  it('takes a crowded run-out as round: five places within a quarter tell no oval', () => {
    const marks = [0, 20, 45, 70, 90]
    const hub = value(stillHubUnder(rimRunout(marks), [180]))
    expect(Math.max(...(hub.weights[0] ?? []).map(Math.abs))).toBeLessThan(6)
  })

  it('refuses a run-out that can’t carry the fit it needs, at its place', () => {
    const outcome = measureTaken(
      taken(rimOf(THREE), faceOf(THREE), { rim: rimRunout([0, 10, 20]), face: faceRunout(THREE) }),
      LIMITS,
    )
    expect(outcome).toMatchObject({ ok: false, refusals: [{ path: ['rim', 'runout'] }] })
  })
})

describe('a dial that never travels', () => {
  it('is refused where the shaft that carries it stood still', () => {
    const outcome = measureTaken(taken(rimOf(QUARTERS), faceOf(QUARTERS), {}, 'stationary'), LIMITS)
    expect(outcome).toMatchObject({
      ok: false,
      refusals: [{ code: 'dial-never-travels', path: ['rim', 'turning'] }],
    })
  })

  it('is refused in reverse rim: one of two when one shaft turns, and both on one machine', () => {
    const mount = { sag: 0, readings: rimOf(QUARTERS) }
    const sets = (a: 'movable' | 'stationary', b: 'movable' | 'stationary', turning: Turning) =>
      measureTaken(
        reverseRimDials({
          onStationary: { ...mount, carriedBy: a, plane: -60, turning },
          onMovable: { ...mount, carriedBy: b, plane: 60, turning },
        }),
        LIMITS,
      )
    expect(sets('movable', 'stationary', 'both').ok).toBe(true)
    expect(sets('movable', 'stationary', 'movable')).toMatchObject({
      ok: false,
      refusals: [{ code: 'dial-never-travels', path: ['onMovable', 'turning'] }],
    })
    expect(sets('movable', 'movable', 'both')).toMatchObject({
      ok: false,
      refusals: [{ code: 'dial-on-its-own-hub', path: ['onMovable', 'carriedBy'] }],
    })
    expect(sets('stationary', 'stationary', 'both')).toMatchObject({
      ok: false,
      refusals: [{ code: 'dial-on-its-own-hub', path: ['onStationary', 'carriedBy'] }],
    })
  })
})

describe('what is uncertain about it', () => {
  const sdOf = (dials: Parameters<typeof arrangeTaken>[0], sd: Spread) => {
    const model = arrangementModel(value(arrangeTaken(dials)).arrangement)
    if (!model) throw new Error('no model')
    const covariance = lineCovariance(model, sd)
    return [0, 1, 2, 3].map((i) => Math.sqrt(covariance[5 * i] as number))
  }
  /** Standard deviations of the line when the whole measurement is taken again and again. */
  const again = (draw: (normal: () => number) => Misalignment, seed: number, times = 4000) => {
    const normal = normalFrom(seededRandom(seed))
    const lines = Array.from({ length: times }, () => draw(normal))
    const of = (pick: (m: Misalignment) => number | null) => {
      const list = lines.map((l) => pick(l) ?? NaN)
      const mean = list.reduce((s, x) => s + x, 0) / times
      return Math.sqrt(list.reduce((s, x) => s + (x - mean) ** 2, 0) / (times - 1))
    }
    return [of((m) => m.offset.v), of((m) => m.offset.h), of((m) => m.slope.v), of((m) => m.slope.h)]
  }
  const noisy = (readings: readonly Reading[], sd: number, normal: () => number) =>
    readings.map((r) => ({ ...r, value: r.value + sd * normal() }))
  const close = (said: readonly number[], found: readonly number[]) =>
    said.forEach((x, i) => expect(x / (found[i] as number) - 1).toBeCloseTo(0, 1))

  it.each([
    ['read at the same places', QUARTERS, QUARTERS],
    ['fitted in between', [10, 100, 200, 300], EIGHTHS],
  ])('carries the run-out’s own reading errors, %s', (_, clocks, marks) => {
    const sd = 0.3 * MIL
    const dials = (normal: () => number) =>
      taken(noisy(rimOf(clocks), sd, normal), noisy(faceOf(clocks), sd, normal), {
        rim: noisy(rimRunout(marks), sd, normal),
        face: noisy(faceRunout(marks), sd, normal),
      })
    const found = again((normal) => value(measureTaken(dials(normal), LIMITS)).coupling, 5)
    close(
      sdOf(
        dials(() => 0),
        { ...NO_SPREAD, reading: sd },
      ),
      found,
    )
  })

  it('is as wide as hubs run when nobody measured it', () => {
    const rpm = 1480
    const reach = (Math.SQRT2 * unmeasuredRunoutSd(rpm)) as number
    const random = seededRandom(9)
    const found = again(() => {
      // A hub that just passes the starter limit, its high spots anywhere.
      const [rimHigh, faceHigh] = [2 * Math.PI * random(), 2 * Math.PI * random()]
      const wave = (clock: number, high: number) => reach * Math.cos((clock * Math.PI) / 180 - high)
      return value(
        measureTaken(
          taken(
            QUARTERS.map((clock) => ({ clock, value: wave(clock, rimHigh) })),
            QUARTERS.map((clock) => ({ clock, value: wave(clock, faceHigh) })),
            {},
          ),
          LIMITS,
        ),
      ).coupling
    }, 6)
    close(
      sdOf(taken(rimOf(QUARTERS), faceOf(QUARTERS), {}), { ...NO_SPREAD, runout: unmeasuredRunoutSd(rpm) }),
      found,
    )
    const both = taken(rimOf(QUARTERS), faceOf(QUARTERS), {}, 'both')
    expect(sdOf(both, { ...NO_SPREAD, runout: 1 })).toEqual([0, 0, 0, 0])
  })

  it('is that of two dials for two faces: readings, both sags, both diameters', () => {
    const sd = { ...NO_SPREAD, reading: 0.3 * MIL, sag: 0.4 * MIL, distance: 2 }
    const dials = (normal: () => number) => {
      const sags = [normal(), normal(), normal()].map((z) => sd.sag * z) as [number, number, number]
      const face = (turned: number, sag: number) => ({
        plunger: 'away' as const,
        diameter: 150 + sd.distance * normal(),
        sag: 0.02 + sag,
        readings: noisy(faceOf(QUARTERS, turned), sd.reading, normal),
      })
      return rimFaceDials({
        rim: {
          carriedBy: 'movable',
          plane: -40 + sd.distance * normal(),
          sag: 0.05 + sags[0],
          readings: noisy(rimOf(QUARTERS), sd.reading, normal),
        },
        faces: [face(0, sags[1]), face(180, sags[2])],
      })
    }
    close(
      sdOf(
        dials(() => 0),
        sd,
      ),
      again((normal) => value(measureTaken(dials(normal), LIMITS)).coupling, 7),
    )
  })
})
