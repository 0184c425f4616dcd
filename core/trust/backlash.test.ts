import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Misalignment } from '../frame/planes'
import { arrangeTaken, measureTaken, rimFaceDials } from '../methods/dials'
import { simulateFace, simulateRim } from '../simulate/dialReadings'
import { backlash } from './backlash'

const LIMITS = { units: 'metric', graduation: 0.01, offsetLimit: null } as const
const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 850 },
]
const EIGHTHS = [0, 45, 90, 135, 180, 225, 270, 315]
/** The exact machine read at stops that lie `off` degrees round from where they are written down. */
const read = (line: Misalignment, rimOff: number, faceOff: number) => {
  const written = (readings: readonly { clock: number; value: number }[]) =>
    readings.map((r, i) => ({ ...r, clock: EIGHTHS[i] as number }))
  const at = (off: number) => EIGHTHS.map((clock) => (clock + off + 360) % 360)
  const dials = rimFaceDials({
    rim: {
      carriedBy: 'movable',
      plane: -40,
      sag: 0,
      readings: written(simulateRim(line, { carriedBy: 'movable', plane: -40, sag: 0 }, at(rimOff))),
    },
    faces: [
      {
        plunger: 'away',
        diameter: 160,
        readings: written(simulateFace(line, { plunger: 'away', diameter: 160, sag: 0 }, at(faceOff))),
      },
    ],
  })
  const arranged = arrangeTaken(dials)
  const measured = measureTaken(dials, LIMITS)
  if (!arranged.ok || !measured.ok) throw new Error('refused')
  return { arrangement: arranged.value.arrangement, coupling: measured.value.coupling }
}
const LINE = { offset: { v: 0.3, h: -0.2 }, slope: { v: 0.001, h: 0.0006 } }

it('finds the angle that the stops lie apart, and the true line half-way, on the exact machine', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 6, noNaN: true }), (play) => {
      const found = backlash(read(LINE, play / 2, play / 2), read(LINE, -play / 2, -play / 2), {
        limit: 0.02,
        feet: FEET,
      })
      for (const dial of found.dials) expect(dial.lag).toBeCloseTo(-play, 1)
      expect(found.middle.offset.v).toBeCloseTo(LINE.offset.v, 2)
      expect(found.middle.slope.h).toBeCloseTo(LINE.slope.h, 5)
      // What the feet are told apart is the difference of both lines there.
      for (const { id, move } of found.feet) {
        const x = FEET.find((f) => f.id === id)?.x ?? NaN
        expect(move.v).toBeCloseTo(-((found.change.offset.v ?? NaN) + (found.change.slope.v ?? NaN) * x), 9)
      }
    }),
    { numRuns: 40 },
  )
})

it('names the dial whose own bracket gives, and the position', () => {
  const one = read(LINE, 0, 0)
  const found = backlash(one, read(LINE, 0, 25), { limit: 0.02, feet: FEET })
  expect(found).toMatchObject({ dial: 'face', over: true })
  expect(found.dials.map((d) => d.over)).toEqual([false, true])
  const face = found.dials[1]
  expect(Math.abs(face?.worst?.difference ?? 0)).toBe(
    Math.max(...(face?.positions ?? []).map((p) => Math.abs(p.difference))),
  )
})

it('is silent when both ways agree, and tells no lag from a dial that hardly travels', () => {
  const still = { offset: { v: 0.001, h: 0 }, slope: { v: 0, h: 0 } }
  const found = backlash(read(still, 1, 1), read(still, -1, -1), { limit: 0.02, feet: FEET })
  expect(found.over).toBe(false)
  expect(found.dials.map((d) => d.lag)).toEqual([null, null])
})
