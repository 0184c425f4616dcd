import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Reading } from '../fit/harmonicFit'
import type { Misalignment } from '../frame/planes'
import { faceGap, faceTravel, rimStep, rimTravel } from '../simulate/bracketDial'
import { pairOnLine, simulateFace, simulateRim } from '../simulate/dialReadings'
import { axisOfLine, REFERENCE_AXIS } from '../simulate/shaftAxis'
import { trueHub } from '../simulate/hub'
import type { Outcome } from '../outcome'
import { feetFor } from '../coupling/feet'
import { lineOfFootValues } from '../coupling/footValues'
import { gapStraightedge } from '../coupling/gapStraightedge'
import { targetFromHotCheck } from '../coupling/hotCheck'
import { headsSamples, measureTaken, reverseRimDials, rimFaceDials, spacerFacesDials } from './dials'

const LIMITS = { units: 'metric', graduation: 0.01, offsetLimit: null } as const
const QUARTERS = [0, 90, 180, 270]
const lines = fc.record({
  offset: fc.record({
    v: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
    h: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  }),
  slope: fc.record({
    v: fc.double({ min: -0.0015, max: 0.0015, noNaN: true }),
    h: fc.double({ min: -0.0015, max: 0.0015, noNaN: true }),
  }),
})
const value = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
  return outcome.value
}
/**
 * Within two micrometres, and fifteen on a metre: what small angles leave beside exact space. On an
 * arc the hubs' roundness leaks into the fit a little more: `times` as much.
 */
const expectLine = (found: Misalignment, truth: Misalignment, times = 1) => {
  for (const p of ['v', 'h'] as const) {
    expect(Math.abs((found.offset[p] ?? NaN) - (truth.offset[p] ?? NaN))).toBeLessThan(times * 0.002)
    expect(Math.abs((found.slope[p] ?? NaN) - (truth.slope[p] ?? NaN))).toBeLessThan(times * 1.5e-5)
  }
}

describe('every method finds the exact machine’s line', () => {
  it('reverse rim, each dial with its own sag, carried either way', () => {
    fc.assert(
      fc.property(
        lines,
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.boolean(),
        (truth, sag, swapped) => {
          const near = { carriedBy: swapped ? 'stationary' : 'movable', plane: -80, sag } as const
          const far = { carriedBy: swapped ? 'movable' : 'stationary', plane: 90, sag: sag / 2 } as const
          const found = value(
            measureTaken(
              reverseRimDials({
                onStationary: { ...near, readings: simulateRim(truth, near, QUARTERS) },
                onMovable: { ...far, readings: simulateRim(truth, far, [10, 100, 160, 250, 330]) },
              }),
              LIMITS,
            ),
          )
          expectLine(found.coupling, truth)
          expect(found.trust.sets.map((s) => s.name)).toEqual(['onStationary', 'onMovable'])
        },
      ),
      { numRuns: 100 },
    )
  })

  it('heads, at positions and along an arc', () => {
    const arc = Array.from({ length: 20 }, (_, i) => 200 + i * 7)
    fc.assert(
      fc.property(lines, fc.constantFrom(QUARTERS, [20, 140, 260], arc), (truth, clocks) => {
        const at = (carriedBy: 'movable' | 'stationary', plane: number) =>
          simulateRim(truth, { carriedBy, plane, sag: 0 }, clocks)
        const one = at('movable', -95)
        const two = at('stationary', 110)
        const samples = clocks.map((clock, i) => ({
          clock,
          stationary: (one[i]?.value ?? 0) + 3,
          movable: (two[i]?.value ?? 0) - 1,
        }))
        expectLine(
          value(measureTaken(headsSamples({ stationaryPlane: -95, movablePlane: 110, samples }), LIMITS))
            .coupling,
          truth,
          4,
        )
      }),
      { numRuns: 100 },
    )
  })

  it('face and face across a spacer, through a spool that hangs between the two', () => {
    const spoolLength = 500
    fc.assert(
      fc.property(lines, (truth) => {
        const half = spoolLength / 2
        const position = (p: 'v' | 'h') => truth.offset[p] + truth.slope[p] * half
        const spool = {
          offset: { v: position('v') / 2, h: position('h') / 2 },
          slope: { v: position('v') / spoolLength, h: position('h') / spoolLength },
        }
        const hub = trueHub(60)
        const face = (from: Misalignment, to: Misalignment): readonly Reading[] =>
          QUARTERS.map((clock) => ({
            clock,
            value: faceTravel(
              { stationary: axisOfLine(from), movable: axisOfLine(to), stationaryHub: hub, movableHub: hub },
              {
                carriedBy: 'movable',
                plunger: 'away',
                sag: 0,
                bothTurn: true,
                diameter: 150,
                faceX: 0,
                float: 0,
              },
              clock,
            ),
          }))
        const still = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }
        const found = value(
          measureTaken(
            spacerFacesDials({
              spoolLength,
              atStationary: { plunger: 'away', diameter: 150, readings: face(still, spool) },
              atMovable: { plunger: 'away', diameter: 150, readings: face(spool, truth) },
            }),
            LIMITS,
          ),
        )
        expectLine(found.coupling, truth)
      }),
      { numRuns: 60 },
    )
  })

  it('feeler gaps and rim steps, hubs of unequal radius', () => {
    fc.assert(
      fc.property(lines, fc.double({ min: -0.5, max: 0.5, noNaN: true }), (truth, wider) => {
        const pair = { ...pairOnLine(truth, 60), movableHub: trueHub(60 + wider) }
        const gaps = QUARTERS.map((clock) => ({ clock, value: faceGap(pair, 4, 110, clock) }))
        const rises = QUARTERS.map((clock) => ({ clock, value: rimStep(pair, clock) }))
        const found = value(
          gapStraightedge(
            { gaps: { diameter: 110, readings: gaps }, rises: { radiusDifference: wider, readings: rises } },
            LIMITS,
          ),
        )
        expectLine(found.coupling, truth)
        expect(found.trust.flags).not.toContain('hub-radii')
        const two = value(
          gapStraightedge({ rises: { radiusDifference: wider, readings: rises.slice(0, 2) } }, LIMITS),
        )
        expect(two.coupling.offset.v).toBeCloseTo(truth.offset.v, 2)
        expect(two.coupling.slope).toEqual({ v: null, h: null })
      }),
      { numRuns: 60 },
    )
  })
})

describe('one shaft that stood still', () => {
  const line = { offset: { v: 0.2, h: -0.1 }, slope: { v: 0.0004, h: 0.0002 } }
  const pair = {
    ...pairOnLine(line),
    stationaryHub: { ...trueHub(60), eccentric: { amount: 0.08, at: 40 } },
  }
  const setting = { carriedBy: 'movable', sag: 0, bothTurn: false, plane: -40 } as const
  const rim = QUARTERS.map((clock) => ({ clock, value: rimTravel(pair, setting, clock) }))
  const face = simulateFace(line, { plunger: 'away', diameter: 150, sag: 0 }, QUARTERS)
  const read = (runout?: readonly Reading[], faceRunout?: readonly Reading[]) =>
    value(
      measureTaken(
        rimFaceDials({
          rim: { carriedBy: 'movable', plane: -40, sag: 0, turning: 'movable', readings: rim, runout },
          faces: [{ plunger: 'away', diameter: 150, readings: face, runout: faceRunout }],
        }),
        LIMITS,
      ),
    )

  it('leaves the still hub’s run-out in the readings, and says so', () => {
    expect(Math.abs((read().coupling.offset.v ?? 0) - 0.2)).toBeGreaterThan(0.05)
    expect(read().trust.flags).toContain('one-shaft-turned')
  })

  it('takes a measured run-out out again', () => {
    const turned = QUARTERS.map((clock) => ({
      clock,
      value: 0.08 * Math.cos(((clock - 40) * Math.PI) / 180),
    }))
    expectLine(read(turned).coupling, line)
    // The face of that hub was not measured yet.
    expect(read(turned).trust.flags).toContain('one-shaft-turned')
    const runsTrue = turned.map((r) => ({ ...r, value: 0 }))
    expect(read(turned, runsTrue).trust.flags).not.toContain('one-shaft-turned')
  })
})

describe('partial knowledge', () => {
  it('faces alone give slope, rim steps alone give offset, neither gives nothing', () => {
    const gaps = {
      diameter: 100,
      readings: [
        { clock: 0, value: 3 },
        { clock: 180, value: 3.05 },
      ],
    }
    const only = value(gapStraightedge({ gaps }, LIMITS))
    expect(only.coupling.slope.v).toBeCloseTo(0.0005, 12)
    expect(only.coupling).toMatchObject({ offset: { v: null, h: null }, slope: { h: null } })
    expect(gapStraightedge({}, LIMITS)).toMatchObject({ ok: false, refusals: [{ code: 'nothing-measured' }] })
  })

  it('flags hubs that are not of the radii that were given', () => {
    const readings = QUARTERS.map((clock) => ({
      clock,
      value: 0.5 + 0.1 * Math.cos((clock * Math.PI) / 180),
    }))
    const found = value(gapStraightedge({ rises: { radiusDifference: 0, readings } }, LIMITS))
    expect(found.trust.flags).toContain('hub-radii')
    expect(found.coupling.offset.v).toBeCloseTo(0.1, 9)
  })

  it('turns blades that pass or stop into bounds', () => {
    const found = value(
      gapStraightedge(
        {
          gaps: {
            diameter: 100,
            readings: [
              { clock: 0, passes: 1 },
              { clock: 0, stops: 1.1 },
              { clock: 180, value: 1.2 },
            ],
          },
          rises: {
            radiusDifference: 0,
            readings: [
              { clock: 0, stops: 0.05 },
              { clock: 90, passes: 0.02 },
            ],
          },
        },
        LIMITS,
      ),
    )
    expect(found.bounds.slope.v[0]).toBeCloseTo(0.001, 12)
    expect(found.bounds.slope.v[1]).toBeCloseTo(0.002, 12)
    expect(found.bounds.offset).toEqual({ v: [-0.05, 0.05], h: [0.02, null] })
    expect(found.coupling.slope.v).toBeNull()
    expect(found.trust.flags).toContain('go-no-go')
  })

  it('refuses blades that contradict one another, and blades off the quarters', () => {
    const code = (readings: readonly { clock: number; passes?: number; stops?: number }[]) => {
      const outcome = gapStraightedge({ gaps: { diameter: 100, readings: readings as never } }, LIMITS)
      return outcome.ok ? null : outcome.refusals[0]?.code
    }
    expect(
      code([
        { clock: 0, passes: 2 },
        { clock: 0, stops: 1 },
      ]),
    ).toBe('bounds-empty')
    expect(code([{ clock: 45, passes: 2 }])).toBe('bounds-off-quarters')
  })
})

describe('typed values', () => {
  it('positions and corrections at the feet are the same line, turned over', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const feet = [
          { id: 'a', x: 200 },
          { id: 'b', x: 700 },
        ]
        const at = feetFor(line, feet)
        const positions = at.map((f) => ({ x: f.x, v: f.position.v ?? 0, h: f.position.h ?? 0 }))
        const corrections = at.map((f) => ({ x: f.x, v: f.move.v ?? 0, h: f.move.h ?? 0 }))
        for (const found of [
          lineOfFootValues(positions, 'position'),
          lineOfFootValues(corrections, 'correction'),
        ]) {
          expect(found.offset.v).toBeCloseTo(line.offset.v, 9)
          expect(found.slope.h).toBeCloseTo(line.slope.h, 9)
        }
      }),
    )
  })

  it('a hot check takes off the target what the machine does between cold and hot', () => {
    const cold = { offset: { v: -0.1, h: 0 }, slope: { v: 0, h: 0 } }
    const hot = { offset: { v: 0.05, h: null }, slope: { v: 0.0002, h: 0 } }
    const target = targetFromHotCheck(cold, hot)
    expect(target.offset.v).toBeCloseTo(-0.15, 12)
    expect(target.offset.h).toBeNull()
  })

  it('needs two planes', () => {
    const set = {
      carriedBy: 'movable',
      plane: 10,
      sag: 0,
      readings: simulateRim(
        { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } },
        { carriedBy: 'movable', plane: 10, sag: 0 },
        QUARTERS,
      ),
    } as const
    const onMovable = { ...set, carriedBy: 'stationary' } as const
    expect(measureTaken(reverseRimDials({ onStationary: set, onMovable }), LIMITS)).toMatchObject({
      refusals: [{ code: 'planes-at-one-place', path: ['onMovable', 'plane'] }],
    })
    expect(REFERENCE_AXIS.direction.x).toBe(1)
  })
})
