import { describe, expect, it } from 'vitest'
import { ALIGNED, type Misalignment } from '../frame/planes'
import { normalFrom, seededRandom } from '../random/random'
import { EXACT_DIAL } from './dialGauge'
import { simulateFace, simulateRim } from './dialReadings'

const CLOCKS = [0, 90, 180, 270]
const SETTING = { carriedBy: 'movable', plane: -40, sag: 0.08 } as const
const LINE: Misalignment = { offset: { v: 0.2, h: -0.1 }, slope: { v: 0.0005, h: 0.0002 } }

describe('simulated dials', () => {
  it('read minus twice the sag at 6 on aligned shafts, zeroed at 12', () => {
    const [r12, r3, r6, r9] = simulateRim(ALIGNED, SETTING, CLOCKS).map((r) => r.value)
    expect(r12).toBe(0)
    expect(r6).toBeCloseTo(-0.16, 12)
    expect(r3).toBeCloseTo(-0.08, 12)
    expect(r9).toBeCloseTo(-0.08, 12)
  })

  it('count a rim against the carrier: turning the bracket round turns the reading over', () => {
    const at = (carriedBy: 'movable' | 'stationary') =>
      simulateRim(LINE, { ...SETTING, sag: 0, carriedBy }, CLOCKS)[2]?.value ?? NaN
    expect(at('movable')).toBeCloseTo(-at('stationary'), 3)
  })

  it('count a face against the way its plunger points', () => {
    const at = (plunger: 'away' | 'back') =>
      simulateFace(LINE, { plunger, diameter: 200, sag: 0 }, CLOCKS)[2]?.value ?? NaN
    expect(at('away')).toBeCloseTo(-0.1, 6)
    expect(at('back')).toBeCloseTo(0.1, 6)
  })

  it('show whole graduations and repeat with their seed', () => {
    const dial = { ...EXACT_DIAL, graduation: 0.01, noise: 0.02 }
    const shown = (seed: number) => simulateRim(LINE, SETTING, CLOCKS, dial, normalFrom(seededRandom(seed)))
    const first = shown(5)
    for (const r of first) expect(r.value / 0.01).toBeCloseTo(Math.round(r.value / 0.01), 9)
    expect(shown(5)).toEqual(first)
    expect(shown(6)).not.toEqual(first)
  })
})

describe('seeded chance', () => {
  it('is even over 0 to 1 and differs by seed', () => {
    const random = seededRandom(1)
    const draws = Array.from({ length: 20_000 }, random)
    const tenths = Array.from({ length: 10 }, (_, i) => draws.filter((d) => Math.floor(d * 10) === i).length)
    for (const count of tenths) expect(Math.abs(count - 2000)).toBeLessThan(200)
    expect(seededRandom(2)()).not.toBe(seededRandom(3)())
  })
})
