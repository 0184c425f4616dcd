import { clockDistance } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import { done, refused, type Outcome } from '../outcome'
import type { TrustFlag } from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import { stillHubOf, withPlungerInPositive, type DialCircle } from './dialCircle'
import { faceFactor, rimFactor, type DialSet, type FaceSet } from './dialSet'

type Path = readonly (string | number)[]

/** A rim dial as a circle that reads a position at its plane. */
export const rimCircle = (name: string, set: DialSet, path: Path): Outcome<DialCircle> => {
  const stillHub = stillHubOf(set.runout, [...path, 'runout'])
  if (!stillHub.ok) return stillHub
  return done({
    name,
    readings: withPlungerInPositive(set.readings, set.readingSign),
    sag: set.sag,
    hasBar: true,
    reads: 'position',
    lever: rimFactor(set.carriedBy),
    plane: set.plane,
    stillHub: stillHub.value,
    path: [...path, 'readings'],
  })
}

/** A face dial as a circle that reads a slope. */
export const faceCircle = (name: string, set: FaceSet, path: Path): Outcome<DialCircle> => {
  const stillHub = stillHubOf(set.runout, [...path, 'runout'])
  if (!stillHub.ok) return stillHub
  return done({
    name,
    readings: withPlungerInPositive(set.readings, set.readingSign),
    sag: set.sag ?? 0,
    hasBar: set.sag !== undefined,
    reads: 'slope',
    lever: (faceFactor(set.plunger) * set.diameter) / 2,
    plane: 0,
    stillHub: stillHub.value,
    path: [...path, 'readings'],
  })
}

/**
 * Two face dials half a turn apart as one circle: half their difference reads slope alone, half
 * their sum is how far the shafts crept along the axis.
 */
export const opposedFaceCircle = (
  name: string,
  [a, b]: readonly [FaceSet, FaceSet],
  [pathA, pathB]: readonly [Path, Path],
): Outcome<{ readonly circle: DialCircle; readonly axialFloat: Millimetres }> => {
  if (a.plunger !== b.plunger) return refused('plungers-differ', [...pathB, 'plunger'])
  const readingsA = withPlungerInPositive(a.readings, a.readingSign)
  const readingsB = withPlungerInPositive(b.readings, b.readingSign)
  const halves: Reading[] = []
  const sums: number[] = []
  for (const [i, ra] of readingsA.entries()) {
    const rb = readingsB.find((r) => Math.abs(clockDistance(r.clock, ra.clock) - 180) <= 1)
    if (!rb) return refused('faces-not-opposite', [...pathA, 'readings', i], { clock: ra.clock })
    halves.push({ ...ra, value: (ra.value - rb.value) / 2 })
    sums.push((ra.value + rb.value) / 2)
  }
  return done({
    circle: {
      name,
      readings: halves,
      sag: ((a.sag ?? 0) + (b.sag ?? 0)) / 2,
      reads: 'slope',
      lever: (faceFactor(a.plunger) * (a.diameter + b.diameter)) / 4,
      plane: 0,
      path: [...pathA, 'readings'],
    },
    axialFloat: Math.max(...sums) - Math.min(...sums),
  })
}

/** What a rim dial's set-up leaves open: sag nobody entered, a hub that stood still unmeasured. */
export const setUpFlags = (sets: readonly Omit<DialSet, 'readings'>[]): readonly TrustFlag[] => {
  const flags: TrustFlag[] = []
  if (sets.some((s) => s.sag === 0)) flags.push('no-sag')
  if (sets.some((s) => (s.turning ?? 'both') !== 'both' && !s.runout)) flags.push('one-shaft-turned')
  return flags
}
