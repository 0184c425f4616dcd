import { clockDistance } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import { done, refused, refusedBelow, type Outcome } from '../outcome'
import type { TrustFlag } from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import { withPlungerInPositive, type DialCircle } from './dialCircle'
import {
  faceFactor,
  rimFactor,
  travels,
  type DialSet,
  type FaceSet,
  type ReadingSign,
  type Turning,
} from './dialSet'
import { stillHubUnder, withoutHub, type StillHub } from './stillHub'

type Path = readonly (string | number)[]

/** What a dial read, its own sign and a still hub's surface taken care of. */
interface DialRead {
  readonly readings: readonly Reading[]
  readonly stillHub: DialCircle['stillHub']
}

/** One gauge read both the hub's run-out and the set, so its sign goes for both. */
const readOf = (
  set: {
    readonly readings: readonly Reading[]
    readonly readingSign?: ReadingSign
    readonly runout?: readonly Reading[]
  },
  turning: Turning,
  path: Path,
): Outcome<DialRead> => {
  const readings = withPlungerInPositive(set.readings, set.readingSign)
  if (!set.runout) return done({ readings, stillHub: turning === 'both' ? undefined : 'unknown' })
  const runout = withPlungerInPositive(set.runout, set.readingSign)
  const hub = stillHubUnder(
    runout,
    readings.map((r) => r.clock),
  )
  if (!hub.ok) return refusedBelow([...path, 'runout'], hub.refusals)
  return done({ readings: withoutHub(readings, hub.value), stillHub: hub.value })
}

/**
 * A rim dial as a circle that reads a position at its plane. Refused when the shaft that carries it stood
 * still: such a dial stays in one place and reads only how the other hub runs.
 */
export const rimCircle = (name: string, set: DialSet, path: Path): Outcome<DialCircle> => {
  if (!travels(set)) return refused('dial-never-travels', [...path, 'turning'])
  const read = readOf(set, set.turning ?? 'both', path)
  if (!read.ok) return read
  return done({
    name,
    ...read.value,
    sag: set.sag,
    bars: 1,
    reads: 'position',
    lever: rimFactor(set.carriedBy),
    plane: set.plane,
    path: [...path, 'readings'],
  })
}

/** A face dial as a circle that reads a slope; `turning` is its bracket's, the rim dial's beside it. */
export const faceCircle = (
  name: string,
  set: FaceSet,
  path: Path,
  turning: Turning = 'both',
): Outcome<DialCircle> => {
  const read = readOf(set, turning, path)
  if (!read.ok) return read
  return done({
    name,
    ...read.value,
    sag: set.sag ?? 0,
    bars: set.sag === undefined ? 0 : 1,
    reads: 'slope',
    lever: (faceFactor(set.plunger) * set.diameter) / 2,
    plane: 0,
    path: [...path, 'readings'],
  })
}

/** Half of what two dials half a turn apart took from still hubs, in the order of the first one's readings. */
const halvedHub = (
  a: DialCircle['stillHub'],
  b: DialCircle['stillHub'],
  partner: readonly number[],
): DialCircle['stillHub'] => {
  if (a === 'unknown' || b === 'unknown') return 'unknown'
  if (!a && !b) return undefined
  const none: StillHub = { heights: [], weights: [] }
  const [of, other] = [a ?? none, b ?? none]
  const width = (hub: StillHub) => hub.weights[0]?.length ?? 0
  const row = (hub: StillHub, i: number, half: number) =>
    hub.weights[i]?.map((w) => half * w) ?? new Array<number>(width(hub)).fill(0)
  return {
    heights: partner.map((j, i) => ((of.heights[i] ?? 0) - (other.heights[j] ?? 0)) / 2),
    weights: partner.map((j, i) => [...row(of, i, 0.5), ...row(other, j, -0.5)]),
  }
}

/**
 * Two face dials half a turn apart as one circle: half their difference reads slope alone, half
 * their sum is how far the shafts crept along the axis.
 */
export const opposedFaceCircle = (
  name: string,
  [a, b]: readonly [FaceSet, FaceSet],
  [pathA, pathB]: readonly [Path, Path],
  turning: Turning = 'both',
): Outcome<{ readonly circle: DialCircle; readonly axialFloat: Millimetres }> => {
  if (a.plunger !== b.plunger) return refused('plungers-differ', [...pathB, 'plunger'])
  const readA = readOf(a, turning, pathA)
  if (!readA.ok) return readA
  const readB = readOf(b, turning, pathB)
  if (!readB.ok) return readB
  const halves: Reading[] = []
  const sums: number[] = []
  const partner: number[] = []
  for (const [i, ra] of readA.value.readings.entries()) {
    const j = readB.value.readings.findIndex((r) => Math.abs(clockDistance(r.clock, ra.clock) - 180) <= 1)
    const rb = readB.value.readings[j]
    if (!rb) return refused('faces-not-opposite', [...pathA, 'readings', i], { clock: ra.clock })
    halves.push({ ...ra, value: (ra.value - rb.value) / 2 })
    sums.push((ra.value + rb.value) / 2)
    partner.push(j)
  }
  return done({
    circle: {
      name,
      readings: halves,
      sag: ((a.sag ?? 0) + (b.sag ?? 0)) / 2,
      bars:
        a.sag === undefined && b.sag === undefined ? 0 : a.sag === undefined || b.sag === undefined ? 1 : 2,
      dials: 2,
      reads: 'slope',
      lever: (faceFactor(a.plunger) * (a.diameter + b.diameter)) / 4,
      plane: 0,
      stillHub: halvedHub(readA.value.stillHub, readB.value.stillHub, partner),
      path: [...pathA, 'readings'],
    },
    axialFloat: Math.max(...sums) - Math.min(...sums),
  })
}

/** What a set-up leaves open: sag nobody entered, a hub that stood still unmeasured. */
export const setUpFlags = (
  sets: readonly Pick<DialSet, 'sag'>[],
  circles: readonly DialCircle[],
): readonly TrustFlag[] => {
  const flags: TrustFlag[] = []
  if (sets.some((s) => s.sag === 0)) flags.push('no-sag')
  if (circles.some((c) => c.stillHub === 'unknown')) flags.push('one-shaft-turned')
  return flags
}
