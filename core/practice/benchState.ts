import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { lineOfMoves } from '../coupling/feet'
import type { MethodGiven } from '../methods/methods'
import type { MachineRole, Side } from '../plan/pairNames'
import { bentShafts } from '../simulate/couplingGrip'
import type { ShaftPair } from '../simulate/bracketDial'
import { standOn, type FourFeet, type SimulatedFoot, type SimulatedMachine } from '../simulate/machineOnFeet'
import { axisOfLine, lineBetween, type ShaftAxis } from '../simulate/shaftAxis'
import { toCore, type Degrees, type Millimetres } from '../units/unitSystem'
import { BENCH_FEET, type Bench, type BenchFoot, type Leaf } from './bench'
import { normalFor } from './chance'

/** How the machine on the bench stands now, and what its instruments have been through. */
export interface BenchState {
  readonly mount: MethodGiven | null
  /** Turned since the start, clockwise; the dials started at 12. */
  readonly turned: Degrees
  /** How often the shafts were turned: chance at a stop goes by it. */
  readonly stops: number
  /** Where each needle points, before its zero: lost motion and sticking included. */
  readonly needles: Readonly<Record<string, Millimetres>>
  readonly zeros: Readonly<Record<string, Millimetres>>
  /** How far each bracket has slipped. */
  readonly slipped: Readonly<Record<string, Millimetres>>
  readonly clamped: boolean
  readonly loose: ReadonlySet<BenchFoot>
  readonly packs: Readonly<Record<BenchFoot, readonly Leaf[]>>
  readonly drivenPacks: Readonly<Record<string, Readonly<Record<Side, readonly Leaf[]>>>>
  /** Pushed since the start, by machine and pair. */
  readonly pushed: Readonly<Record<MachineRole, readonly [Millimetres, Millimetres]>>
  /** How often the feet were tightened down: settling goes by it. */
  readonly tightened: number
  readonly footDial: { readonly foot: BenchFoot; readonly zero: Millimetres } | null
  readonly sideZeros: readonly [Millimetres, Millimetres] | null
  readonly made: boolean
  readonly pipeSlack: boolean
  readonly guarded: boolean
  readonly locked: boolean
  /** 0 cold to 1 as warm as it gets. */
  readonly warm: number
}

const stack = (leaves: readonly Leaf[]) => leaves.reduce((s, l) => s + l.real, 0)

/** The bench before anybody touched it: locked out, guard off, bolted down, coupling open. */
export const freshBench = (bench: Bench): BenchState => ({
  mount: null,
  turned: 0,
  stops: 0,
  needles: {},
  zeros: {},
  slipped: {},
  clamped: false,
  loose: new Set(),
  packs: bench.packs,
  drivenPacks: bench.drivenPacks,
  pushed: { movable: [0, 0], stationary: [0, 0] },
  tightened: 0,
  footDial: null,
  sideZeros: null,
  made: false,
  pipeSlack: false,
  guarded: false,
  locked: true,
  warm: 0,
})

/** The movable machine with its packs under it and its bolts as they are. */
export const movableNow = (bench: Bench, state: BenchState): SimulatedMachine => {
  const { frame, spread, setting } = bench
  const feet = BENCH_FEET.map((foot, i) => {
    const settling =
      state.tightened > 0 ? spread.settling * normalFor(setting.seed, 'settling', state.tightened * 4 + i) : 0
    const own = frame.feet[i] as SimulatedFoot
    return {
      ...own,
      pad: own.pad + stack(state.packs[foot]) + settling,
      bolt: state.loose.has(foot) ? 0 : own.bolt,
    }
  }) as unknown as FourFeet
  const [inboard, outboard] = state.pushed.movable
  return {
    ...frame,
    feet,
    side: { inboard: frame.side.inboard + inboard, outboard: frame.side.outboard + outboard },
  }
}

/** How far lifts and pushes have carried the driven machine. */
const drivenShift = (bench: Bench, state: BenchState): Misalignment => {
  const pairs = bench.feet.stationary
  if (!pairs) return ALIGNED
  return lineOfMoves(
    pairs.map((pair, i) => {
      const [now, was] = [state.drivenPacks[pair.id], bench.drivenPacks[pair.id]]
      const raised = (side: Side) => stack(now?.[side] ?? []) - stack(was?.[side] ?? [])
      return {
        ...pair,
        v: (raised('left') + raised('right')) / 2,
        h: state.pushed.stationary[i as 0 | 1],
      }
    }),
  )
}

const scaled = ({ offset, slope }: Misalignment, by: number): Misalignment => ({
  offset: { v: (offset.v ?? 0) * by, h: (offset.h ?? 0) * by },
  slope: { v: (slope.v ?? 0) * by, h: (slope.h ?? 0) * by },
})

/** The driven shaft's axis as it lies, pulled by its pipes. */
const drivenAxisNow = (bench: Bench, state: BenchState): ShaftAxis => {
  const pulled = bench.pipe && !state.pipeSlack ? bench.pipe.shift : ALIGNED
  return axisOfLine(lineSum(lineSum(bench.drivenAxis, drivenShift(bench, state)), pulled))
}

const movableAxisNow = (bench: Bench, state: BenchState): ShaftAxis => {
  const { axis } = standOn(movableNow(bench, state))
  if (state.warm === 0) return axis
  const cold = lineBetween(axis, axisOfLine(ALIGNED))
  return axisOfLine(lineSum(cold, scaled(bench.growth, state.warm)))
}

/** Both shafts as they lie, bent by the coupling while it is made up. */
export const shaftsOnBench = (bench: Bench, state: BenchState): ShaftPair => {
  const free = { stationary: drivenAxisNow(bench, state), movable: movableAxisNow(bench, state) }
  const lie = state.made ? bentShafts(free.stationary, free.movable, bench.grip) : free
  return { ...lie, stationaryHub: bench.hubs.stationary, movableHub: bench.hubs.movable }
}

/** The truth: how the shafts lie to one another with the coupling open. */
export const lineOnBench = (bench: Bench, state: BenchState): Misalignment => {
  const { movable, stationary } = shaftsOnBench(bench, { ...state, made: false })
  return lineBetween(movable, stationary)
}

/** Where a foot stands now, as a dial on it feels it. */
export const footHeight = (bench: Bench, state: BenchState, foot: BenchFoot): Millimetres => {
  const own = standOn(movableNow(bench, state)).heights[foot - 1] ?? 0
  const pull = bench.pipe
  return pull && !state.pipeSlack && pull.foot === foot && state.loose.has(foot) ? own + pull.rise : own
}

/** Room left in the bolt holes of a pair toward 3 and toward 9. */
export const roomAt = (
  bench: Bench,
  state: BenchState,
  machine: MachineRole,
  pair: 0 | 1,
): { readonly plus: Millimetres; readonly minus: Millimetres } => {
  const { setting } = bench
  const list = setting.machine.feet[machine]
  const registered = list[pair === 0 ? 0 : list.length - 1]
  const own = (t: number) => toCore(t, 'displacement', setting.machine.units)
  const gone = state.pushed[machine][pair]
  return { plus: own(registered?.sidePlus ?? 0) - gone, minus: own(registered?.sideMinus ?? 0) + gone }
}
