import { rimFactor, faceFactor, type Carrier, type Plunger } from '../coupling/dialSet'
import { clockVector } from '../frame/clock'
import { positionAt, type Misalignment } from '../frame/planes'
import type { Reading } from '../fit/harmonicFit'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** Anything that yields numbers evenly spread over 0 to 1; passed in so that runs repeat. */
export type Random = () => number

/** A small seeded generator (32-bit mix); the same seed gives the same numbers everywhere. */
export const seededRandom = (seed: number): Random => {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export interface DialNature {
  /** Readings are rounded to this; 0 leaves them exact. */
  readonly graduation: Millimetres
  /** Half-width of evenly spread reading error. */
  readonly noise: Millimetres
  readonly random: Random
}

const EXACT_DIAL: DialNature = { graduation: 0, noise: 0, random: () => 0.5 }

const zeroedFirst = (
  clocks: readonly Degrees[],
  at: (clock: Degrees) => number,
  dial: DialNature,
): readonly Reading[] => {
  const zero = at(clocks[0] ?? 0)
  return clocks.map((clock, i) => {
    const raw = at(clock) - zero + (i === 0 ? 0 : (2 * dial.random() - 1) * dial.noise)
    const value = dial.graduation > 0 ? Math.round(raw / dial.graduation) * dial.graduation : raw
    return { clock, value: value === 0 ? 0 : value }
  })
}

/** What a rim dial shows round the clock, zeroed at the first position. Millimetres. */
export const simulateRim = (
  line: Misalignment,
  setting: { readonly carriedBy: Carrier; readonly plane: Millimetres; readonly sag: Millimetres },
  clocks: readonly Degrees[],
  dial: DialNature = EXACT_DIAL,
): readonly Reading[] => {
  const at = positionAt(line, setting.plane)
  const k = rimFactor(setting.carriedBy)
  return zeroedFirst(
    clocks,
    (clock) => {
      const [c, s] = clockVector(clock)
      return k * ((at.v ?? 0) * c + (at.h ?? 0) * s) + setting.sag * c
    },
    dial,
  )
}

/** What a face dial shows round the clock, zeroed at the first position. Millimetres. */
export const simulateFace = (
  line: Misalignment,
  setting: { readonly plunger: Plunger; readonly diameter: Millimetres; readonly sag: Millimetres },
  clocks: readonly Degrees[],
  dial: DialNature = EXACT_DIAL,
): readonly Reading[] => {
  const lever = (faceFactor(setting.plunger) * setting.diameter) / 2
  return zeroedFirst(
    clocks,
    (clock) => {
      const [c, s] = clockVector(clock)
      return lever * ((line.slope.v ?? 0) * c + (line.slope.h ?? 0) * s) + setting.sag * c
    },
    dial,
  )
}
