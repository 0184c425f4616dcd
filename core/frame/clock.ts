import type { Degrees } from '../units/unitSystem'

/** Two angles nearer than this are the same position. */
export const DISTINCT_DEGREES = 3
/** How far two positions may miss being opposite, or an axis, and still count as it. */
export const AXIS_DEGREES = 1

/** An angle brought into 0 (included) to 360 (excluded). */
export const normalClock = (clock: Degrees): Degrees => {
  const turned = clock % 360
  const positive = turned < 0 ? turned + 360 : turned
  return positive === 360 ? 0 : positive
}

/** The smaller angle between two clock positions, 0 to 180. */
export const clockDistance = (a: Degrees, b: Degrees): Degrees => {
  const d = Math.abs(normalClock(a) - normalClock(b))
  return d > 180 ? 360 - d : d
}

const EXACT: Readonly<Record<number, readonly [number, number]>> = {
  0: [1, 0],
  90: [0, 1],
  180: [-1, 0],
  270: [0, -1],
}

/** Cosine (up) and sine (toward 3) of a clock angle; exact at 12, 3, 6 and 9. */
export const clockVector = (clock: Degrees): readonly [cos: number, sin: number] => {
  const angle = normalClock(clock)
  const exact = EXACT[angle]
  if (exact) return exact
  const radians = (angle * Math.PI) / 180
  return [Math.cos(radians), Math.sin(radians)]
}

/** 360 less the largest gap between neighbouring positions, degrees. */
export const coveredArc = (clocks: readonly Degrees[]): Degrees => {
  const sorted = clocks.map(normalClock).sort((a, b) => a - b)
  let largest = 0
  for (let i = 0; i < sorted.length; i++) {
    const here = sorted[i] as number
    const next = i + 1 < sorted.length ? (sorted[i + 1] as number) : (sorted[0] as number) + 360
    largest = Math.max(largest, next - here)
  }
  return 360 - largest
}

/** Positions that stand at least DISTINCT_DEGREES apart, modulo a full turn. */
export const distinctClocks = (clocks: readonly Degrees[]): readonly Degrees[] => {
  const sorted = clocks.map(normalClock).sort((a, b) => a - b)
  const kept: Degrees[] = []
  for (const clock of sorted) {
    const last = kept[kept.length - 1]
    const first = kept[0]
    if (last !== undefined && clock - last < DISTINCT_DEGREES) continue
    if (first !== undefined && kept.length > 0 && first + 360 - clock < DISTINCT_DEGREES) continue
    kept.push(clock)
  }
  return kept
}

/** The clock angle of a mark this far along a rim from the 12 mark. Arc and diameter in one unit. */
export const clockOfArc = (arc: number, diameter: number): Degrees => ((arc / (diameter / 2)) * 180) / Math.PI

/**
 * The most a reading on this circle shifts when the shaft stands this far off its mark: the chord of the swing.
 * Amplitude as fitted; its unit out.
 */
export const clockErrorCost = (amplitude: number, error: Degrees): number =>
  2 * amplitude * Math.sin((Math.abs(error) * Math.PI) / 360)
