import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measureArranged } from '../methods/method'
import { arrangeBy, methodToCore, type MethodGiven } from '../methods/methods'
import { readByMethod } from './methodReadings'

const LIMITS = { units: 'metric', graduation: 0.01, offsetLimit: null } as const
const rim = { carriedBy: 'movable', plane: -60, sag: 0.08, turning: 'both', readingSign: 1 } as const
const face = { plunger: 'away', diameter: 180, sag: 0.02, readingSign: -1 } as const
/** Each method as a job may be set up by it, millimetres. */
const SET_UPS: readonly MethodGiven[] = [
  { method: 'rim-face', given: { rim, faces: [face] } },
  { method: 'rim-face', given: { rim: { ...rim, readingSign: -1 }, faces: [face, face] } },
  {
    method: 'reverse-rim',
    given: { onStationary: rim, onMovable: { ...rim, carriedBy: 'stationary', plane: 90, sag: 0.05 } },
  },
  {
    method: 'spacer-faces',
    given: { spoolLength: 420, atStationary: face, atMovable: { ...face, plunger: 'back', readingSign: 1 } },
  },
  { method: 'heads', given: { stationaryPlane: -120, movablePlane: 95 } },
  { method: 'gaps', given: { diameter: 150 } },
  { method: 'values', given: { per: 100, signs: { high: 1, toward3: 1, endHigh: 1, endToward3: 1 } } },
  { method: 'values', given: { per: 25.4, signs: { high: -1, toward3: 1, endHigh: -1, endToward3: -1 } } },
  { method: 'foot-values', given: { near: 300, far: 800, signs: { high: 1, toward3: -1 } } },
]
const coordinate = (most: number) => fc.double({ min: -most, max: most, noNaN: true })
const lines = fc.record({
  offset: fc.record({ v: coordinate(0.5), h: coordinate(0.5) }),
  slope: fc.record({ v: coordinate(0.001), h: coordinate(0.001) }),
})

describe('what a method reads off an exact machine gives that machine back', () => {
  it.each(SET_UPS.map((how) => [`${how.method} ${JSON.stringify(how.given).slice(0, 60)}`, how] as const))(
    '%s',
    (_, how) => {
      fc.assert(
        fc.property(lines, (truth) => {
          const arranged = arrangeBy(how, readByMethod(how, truth, [0, 90, 180, 270]))
          if (!arranged.ok) throw new Error(arranged.refusals[0]?.code)
          const measured = measureArranged(arranged.value, LIMITS)
          if (!measured.ok) throw new Error(measured.refusals[0]?.code)
          const { offset, slope } = measured.value.coupling
          for (const p of ['v', 'h'] as const) {
            expect(Math.abs((offset[p] ?? NaN) - truth.offset[p])).toBeLessThan(0.002)
            expect(Math.abs((slope[p] ?? NaN) - truth.slope[p])).toBeLessThan(1.5e-5)
          }
        }),
        { numRuns: 40 },
      )
    },
  )

  it('a set-up in inches is the same set-up in millimetres', () => {
    const inch: MethodGiven<'foot-values'> = {
      method: 'foot-values',
      given: { near: 12, far: 34.5, signs: { high: 1, toward3: 1 } },
    }
    const { near, far } = methodToCore(inch, 'inch')
    expect(near).toBeCloseTo(304.8, 9)
    expect(far).toBeCloseTo(876.3, 9)
    const values: MethodGiven<'values'> = {
      method: 'values',
      given: { per: 1, signs: { high: 1, toward3: 1, endHigh: 1, endToward3: 1 } },
    }
    expect(methodToCore(values, 'inch')).toMatchObject({ per: 25.4 })
  })

  it('typed values say that nothing could expose a wrong one; one plane alone leaves the other unknown', () => {
    const how = SET_UPS[6] as MethodGiven
    const arranged = arrangeBy(how, {
      offset: [{ clock: 0, value: 0.1 }],
      angle: [{ clock: 0, value: 0.05 }],
    })
    if (!arranged.ok) throw new Error('refused')
    const measured = measureArranged(arranged.value, LIMITS)
    if (!measured.ok) throw new Error(measured.refusals[0]?.code)
    expect(measured.value.trust.flags).toContain('unproven')
    expect(measured.value.trust.flags).toContain('single-plane')
    expect(measured.value.coupling.offset.v).toBeCloseTo(0.1, 9)
    expect(measured.value.coupling.slope.v).toBeCloseTo(0.0005, 9)
    expect(measured.value.coupling.offset.h).toBeNull()
  })
})
