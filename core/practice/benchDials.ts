import { normalClock } from '../frame/clock'
import { circlesOf, type MethodGiven } from '../methods/methods'
import { faceTravel, rimTravel, type ShaftPair } from '../simulate/bracketDial'
import { toCore, type Degrees, type Millimetres } from '../units/unitSystem'
import type { Bench } from './bench'
import { normalFor } from './chance'
import { shaftsOnBench, type BenchState } from './benchState'

/** How a bracket and its dial really stand. */
type Mounted =
  | {
      readonly kind: 'rim'
      readonly carriedBy: 'movable' | 'stationary'
      readonly plane: Millimetres
      readonly bothTurn: boolean
      /** A head has no bar that hangs. */
      readonly sagless?: boolean
    }
  | {
      readonly kind: 'face'
      readonly carriedBy: 'movable' | 'stationary'
      readonly plunger: 'away' | 'back'
      readonly diameter: Millimetres
      readonly plane: Millimetres
      readonly bothTurn: boolean
    }

/** A dial of a set-up as it stands: where the register says a dial runs, it does, whatever was typed. */
const mountedAt = (bench: Bench, how: MethodGiven, circle: string): Mounted | null => {
  const { usual, units } = bench.setting.machine
  const far = (d: number) => toCore(d, 'distance', units)
  const taped = (d: Millimetres, what: string) =>
    d + bench.spread.distance * normalFor(bench.setting.seed, `tape ${what}`)
  switch (how.method) {
    case 'rim-face': {
      const { rim, faces } = how.given
      const registered = usual.method === 'rim-face' && usual.carriedBy === rim.carriedBy ? usual : null
      const plane = taped(registered ? far(registered.rimPlane) : rim.plane, 'rim')
      const bothTurn = (rim.turning ?? 'both') === 'both'
      if (circle === 'rim') return { kind: 'rim', carriedBy: rim.carriedBy, plane, bothTurn }
      const face = faces[circle === 'face2' ? 1 : 0]
      if (!face) return null
      const diameter = taped(registered ? far(registered.faceDiameter) : face.diameter, 'face')
      return { kind: 'face', carriedBy: rim.carriedBy, plunger: face.plunger, diameter, plane, bothTurn }
    }
    case 'reverse-rim': {
      const own = circle === 'onStationary' ? how.given.onStationary : how.given.onMovable
      const registered = usual.method === 'reverse-rim' ? usual : null
      const at =
        registered === null
          ? own.plane
          : circle === 'onStationary'
            ? -Math.abs(far(registered.onStationary))
            : Math.abs(far(registered.onMovable))
      return {
        kind: 'rim',
        carriedBy: own.carriedBy,
        plane: taped(at, circle),
        bothTurn: (own.turning ?? 'both') === 'both',
      }
    }
    case 'heads': {
      // Each feels where the other shaft's axis lies in its own plane; no bar hangs.
      const onDriven = circle === 'stationary'
      const at = onDriven ? how.given.stationaryPlane : how.given.movablePlane
      return {
        kind: 'rim',
        carriedBy: onDriven ? 'movable' : 'stationary',
        plane: taped(at, `head ${circle}`),
        bothTurn: true,
        sagless: true,
      }
    }
    default:
      return null
  }
}

const ON_BENCH: readonly MethodGiven['method'][] = ['rim-face', 'reverse-rim', 'heads']

/** Dials or heads a set-up puts on the bench, in the order they are read. */
export const dialsOn = (state: Pick<BenchState, 'mount'>): readonly string[] =>
  state.mount && ON_BENCH.includes(state.mount.method) ? circlesOf(state.mount) : []

/** How far a plunger is pushed in at an angle, its bracket whole. */
const plungerAt = (
  bench: Bench,
  shafts: ShaftPair,
  mounted: Mounted,
  turned: Degrees,
  float: Millimetres,
): Millimetres => {
  const clock = normalClock(turned)
  const { carriedBy, bothTurn } = mounted
  return mounted.kind === 'rim'
    ? rimTravel(
        shafts,
        { carriedBy, bothTurn, sag: mounted.sagless ? 0 : bench.hang.rim, plane: mounted.plane },
        clock,
      )
    : faceTravel(
        shafts,
        {
          carriedBy,
          bothTurn,
          sag: bench.hang.face,
          plunger: mounted.plunger,
          diameter: mounted.diameter,
          faceX: mounted.plane,
          float,
        },
        clock,
      )
}

/** The shafts stand a little beside the mark at a stop, and creep along themselves. */
const stopError = (bench: Bench, stops: number) =>
  stops === 0 ? 0 : bench.spread.clock * normalFor(bench.setting.seed, 'clock', stops)
const creep = (bench: Bench, stops: number) =>
  stops === 0 || bench.float === 0 ? 0 : bench.float * Math.sin(1.7 * stops + bench.setting.seed)

/** The needle follows a plunger: behind its lost motion, and not before it is pulled loose. */
const follow = (
  needle: Millimetres | undefined,
  pushed: Millimetres,
  { backlash, sticks }: { readonly backlash: Millimetres; readonly sticks: Millimetres },
): Millimetres => {
  if (needle === undefined) return pushed
  const half = backlash / 2
  const led = Math.min(pushed + half, Math.max(pushed - half, needle))
  return Math.abs(led - needle) < sticks ? needle : led
}

/** Degrees between two looks at a needle on its way round. */
const STEP: Degrees = 6

/** The shafts turned on by so much, every needle with them; `settled` when they stop there. */
export const turnShafts = (bench: Bench, state: BenchState, by: Degrees, settled: boolean): BenchState => {
  const { mount } = state
  const stops = settled ? state.stops + 1 : state.stops
  const turned = state.turned + by
  if (!mount) return { ...state, turned, stops }
  const shafts = shaftsOnBench(bench, state)
  const needles: Record<string, Millimetres> = { ...state.needles }
  const slipped: Record<string, Millimetres> = { ...state.slipped }
  const parts = Math.max(1, Math.ceil(Math.abs(by) / STEP))
  for (const circle of dialsOn(state)) {
    const mounted = mountedAt(bench, mount, circle)
    if (!mounted) continue
    const dial = bench.dial(circle)
    for (let i = 1; i <= parts; i++) {
      const [from, to] = [state.turned + (by * (i - 1)) / parts, state.turned + (by * i) / parts]
      if (dial.slip && !state.clamped && by > 0) {
        // Each time it is carried past the place where it hangs heaviest.
        const passes = Math.floor((to - dial.slip.at) / 360) - Math.floor((from - dial.slip.at) / 360)
        slipped[circle] = (slipped[circle] ?? 0) + passes * dial.slip.by
      }
      const last = i === parts
      const pushed =
        plungerAt(
          bench,
          shafts,
          mounted,
          to + (last && settled ? stopError(bench, stops) : 0),
          last && settled ? creep(bench, stops) : creep(bench, state.stops),
        ) + (slipped[circle] ?? 0)
      needles[circle] = follow(needles[circle], pushed, dial)
    }
  }
  return { ...state, turned, stops, needles, slipped }
}

/** Needles as they come to rest where the shafts stand: after something was moved under them. */
export const rested = (bench: Bench, state: BenchState): BenchState => turnShafts(bench, state, 0, false)

/** Instruments mounted as a set-up says, at 12, zeroed. */
export const mountOn = (bench: Bench, state: BenchState, how: MethodGiven): BenchState => {
  const bare = { ...state, mount: how, turned: 0, needles: {}, zeros: {}, slipped: {}, clamped: false }
  const stood = rested(bench, bare)
  return { ...stood, zeros: stood.needles }
}

/** Where the shaft really stands: what a head tells by itself, and a mark is missed by. */
export const standsAt = (bench: Bench, state: BenchState): Degrees =>
  normalClock(state.turned + stopError(bench, state.stops))

/** Where a needle points before its zero, the unsteadiness of this stop included. */
export const needleOf = (bench: Bench, state: BenchState, circle: string): Millimetres =>
  (state.needles[circle] ?? 0) +
  bench.spread.reading * normalFor(bench.setting.seed, `needle ${circle}`, state.stops)

/** What a dial on the bench shows since it was zeroed; its own way of counting included. */
export const dialNow = (bench: Bench, state: BenchState, circle: string): Millimetres =>
  bench.dial(circle).sign * (needleOf(bench, state, circle) - (state.zeros[circle] ?? 0))
