import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { positionAt, type Misalignment } from '../frame/planes'
import { simulateFace, simulateRim } from '../simulate/dialReadings'
import type { TrustLimits } from '../trust/trustReport'
import type { Carrier, DialSet, FaceSet, Plunger } from '../coupling/dialSet'
import { feetFor, lineOfMoves } from '../coupling/feet'
import { measureTaken, rimFaceDials } from './dials'

const rimFace = (dials: Parameters<typeof rimFaceDials>[0], limits: TrustLimits) =>
  measureTaken(rimFaceDials(dials), limits)

const LIMITS = { units: 'inch', graduation: 0.0127, offsetLimit: null } as const
const CLOCKS = [0, 90, 180, 270]

const small = fc.double({ min: -0.6, max: 0.6, noNaN: true })
const slope = fc.double({ min: -0.002, max: 0.002, noNaN: true })
const line = fc.record({
  offset: fc.record({ v: small, h: small }),
  slope: fc.record({ v: slope, h: slope }),
})
const setting = fc.record({
  carriedBy: fc.constantFrom<Carrier>('movable', 'stationary'),
  plunger: fc.constantFrom<Plunger>('away', 'back'),
  plane: fc.double({ min: -80, max: 80, noNaN: true }),
  diameter: fc.double({ min: 60, max: 400, noNaN: true }),
  sag: fc.double({ min: 0, max: 0.2, noNaN: true }),
})
type Setting = typeof setting extends fc.Arbitrary<infer S> ? S : never

const readOff = (
  truth: Misalignment,
  s: Setting,
  clocks: readonly number[] = CLOCKS,
): { rim: DialSet; face: FaceSet } => ({
  rim: { carriedBy: s.carriedBy, plane: s.plane, sag: s.sag, readings: simulateRim(truth, s, clocks) },
  face: { plunger: s.plunger, diameter: s.diameter, readings: simulateFace(truth, { ...s, sag: 0 }, clocks) },
})
const measure = (rim: DialSet, face: FaceSet) => {
  const outcome = rimFace({ rim, faces: [face] }, LIMITS)
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
  return outcome.value
}
const near = (a: Misalignment, b: Misalignment, digits = 5) => {
  for (const p of ['v', 'h'] as const) {
    expect(a.offset[p]).toBeCloseTo(b.offset[p] ?? NaN, digits)
    expect(a.slope[p]).toBeCloseTo(b.slope[p] ?? NaN, digits)
  }
}

describe('rim and face', () => {
  it('finds the misalignment that made the readings, whatever carries the dials', () => {
    fc.assert(
      fc.property(line, setting, (truth, s) => {
        const { rim, face } = readOff(truth, s)
        near(measure(rim, face).coupling, truth)
      }),
    )
  })

  it('a low motor with its outboard end low reads as low and low', () => {
    // Zeroed at 12, dial on the motor, no sag: a low motor makes the dial at 6 read plus on the other rim.
    const { coupling } = measure(
      {
        carriedBy: 'movable',
        plane: 0,
        sag: 0,
        readings: [0, 5, 10, 5].map((value, i) => ({ clock: i * 90, value: value * 0.0254 })),
      },
      {
        plunger: 'away',
        diameter: 200,
        readings: [0, 1, 2, 1].map((value, i) => ({ clock: i * 90, value: value * 0.0254 })),
      },
    )
    expect(coupling.offset.v).toBeGreaterThan(0)
    expect(coupling.slope.v).toBeLessThan(0)
  })

  it('forgotten sag shows as offset of exactly the sag, in height only', () => {
    fc.assert(
      fc.property(line, setting, (truth, s) => {
        const { rim, face } = readOff(truth, s)
        const forgotten = measure({ ...rim, sag: 0 }, face).coupling
        const error = (forgotten.offset.v ?? 0) - (truth.offset.v ?? 0)
        expect(error).toBeCloseTo(s.carriedBy === 'movable' ? -s.sag : s.sag, 5)
        expect(forgotten.offset.h).toBeCloseTo(truth.offset.h ?? NaN, 5)
      }),
    )
  })

  it('a gauge that counts the other way gives the same result through its reading sign', () => {
    fc.assert(
      fc.property(line, setting, (truth, s) => {
        const { rim, face } = readOff(truth, s)
        const turned = <T extends DialSet | FaceSet>(set: T): T => ({
          ...set,
          readingSign: -1,
          readings: set.readings.map((r) => ({ ...r, value: -r.value })),
        })
        near(measure(turned(rim), turned(face)).coupling, truth)
      }),
    )
  })

  it('seen from the other side, only the side plane turns over', () => {
    fc.assert(
      fc.property(line, setting, (truth, s) => {
        const { rim, face } = readOff(truth, s, [0, 70, 150, 260])
        const mirror = <T extends DialSet | FaceSet>(set: T): T => ({
          ...set,
          readings: set.readings.map((r) => ({ ...r, clock: 360 - r.clock })),
        })
        const { coupling } = measure(mirror(rim), mirror(face))
        expect(coupling.offset.v).toBeCloseTo(truth.offset.v ?? NaN, 2)
        expect(coupling.offset.h).toBeCloseTo(-(truth.offset.h ?? NaN), 2)
        expect(coupling.slope.h).toBeCloseTo(-(truth.slope.h ?? NaN), 2)
      }),
    )
  })

  it('doubling every reading doubles the result', () => {
    fc.assert(
      fc.property(line, setting, (truth, s) => {
        const { rim, face } = readOff(truth, { ...s, sag: 0 })
        const twice = <T extends DialSet | FaceSet>(set: T): T => ({
          ...set,
          readings: set.readings.map((r) => ({ ...r, value: 2 * r.value })),
        })
        const one = measure(rim, face).coupling
        const two = measure(twice(rim), twice(face)).coupling
        expect(two.offset.h).toBeCloseTo(2 * (one.offset.h ?? NaN), 5)
        expect(two.slope.v).toBeCloseTo(2 * (one.slope.v ?? NaN), 5)
      }),
    )
  })

  it('two opposite face dials cancel axial float and report it', () => {
    const truth = { offset: { v: 0.1, h: -0.2 }, slope: { v: 0.0004, h: -0.0003 } }
    const s = { carriedBy: 'movable', plane: -20, sag: 0, plunger: 'away', diameter: 200 } as const
    const { rim, face } = readOff(truth, s)
    const float = [0, 0.05, 0.1, 0.02]
    const drifting = (shift: number): FaceSet => ({
      ...face,
      readings: CLOCKS.map((clock, i) => {
        const own = simulateFace(truth, { ...s, sag: 0 }, [0, (clock + shift) % 360])[1]?.value ?? 0
        return { clock: (clock + shift) % 360, value: own + (float[i] ?? 0) }
      }),
    })
    const alone = rimFace({ rim, faces: [drifting(0)] }, LIMITS)
    const both = rimFace({ rim, faces: [drifting(0), drifting(180)] }, LIMITS)
    if (!alone.ok || !both.ok) throw new Error('refused')
    near(both.value.coupling, truth)
    expect(Math.abs((alone.value.coupling.slope.v ?? 0) - truth.slope.v)).toBeGreaterThan(1e-4)
    expect(both.value.axialFloat).toBeCloseTo(0.1, 9)
    expect(both.value.trust.flags).toContain('axial-float')
  })

  it('leaves a plane that was not read unknown, down to the feet', () => {
    const pair = (a: number, b: number) => [
      { clock: 0, value: a },
      { clock: 180, value: b },
    ]
    const { coupling, trust } = measure(
      { carriedBy: 'movable', plane: -20, sag: 0, readings: pair(0, 0.2) },
      { plunger: 'away', diameter: 200, readings: pair(0, 0.1) },
    )
    expect(coupling.offset.h).toBeNull()
    expect(feetFor(coupling, [{ id: 'inboard', x: 300 }])[0]?.move.h).toBeNull()
    expect(trust.flags).toContain('single-plane')
  })

  it('says where a refusal lies', () => {
    const good = CLOCKS.map((clock) => ({ clock, value: 0 }))
    const bad = [0, 10, 20].map((clock) => ({ clock, value: 0 }))
    const outcome = rimFace(
      {
        rim: { carriedBy: 'movable', plane: 0, sag: 0, readings: good },
        faces: [{ plunger: 'away', diameter: 100, readings: bad }],
      },
      LIMITS,
    )
    expect(outcome).toMatchObject({
      ok: false,
      refusals: [{ code: 'arc-too-short', path: ['face', 'readings'] }],
    })
  })
})

describe('feet and moves', () => {
  it('the moves asked for bring the shaft onto the target', () => {
    fc.assert(
      fc.property(line, line, (found, target) => {
        const feet = [
          { id: 'inboard', x: 300 },
          { id: 'outboard', x: 900 },
        ]
        const asked = feetFor(found, feet, target)
        const moved = lineOfMoves(
          asked.map((f) => ({ id: f.id, x: f.x, v: f.move.v ?? 0, h: f.move.h ?? 0 })),
        )
        for (const f of asked)
          for (const p of ['v', 'h'] as const)
            expect((positionAt(found, f.x)[p] ?? 0) + (positionAt(moved, f.x)[p] ?? 0)).toBeCloseTo(
              positionAt(target, f.x)[p] ?? NaN,
              9,
            )
      }),
    )
  })
})
