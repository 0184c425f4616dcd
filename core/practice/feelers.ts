import { clockVector } from '../frame/clock'
import { faceGap, rimStep } from '../simulate/bracketDial'
import { standOn } from '../simulate/machineOnFeet'
import type { Degrees, Millimetres } from '../units/unitSystem'
import type { Bench, BenchFoot } from './bench'
import { footHeight, movableNow, shaftsOnBench, type BenchState } from './benchState'

/** Mean gap between the faces of the hubs on the bench. */
export const FACES_APART: Millimetres = 3.2

/** The corners of a foot: outboard and inboard edge, each on its outer and its inner side. */
export const FOOT_CORNERS = ['outboardOuter', 'outboardInner', 'inboardOuter', 'inboardInner'] as const
export type FootCorner = (typeof FOOT_CORNERS)[number]

/** What a feeler finds under a straightedge across the rims: how much the movable rim is higher, millimetres. */
export const rimStepNow = (bench: Bench, state: BenchState, clock: Degrees): Millimetres =>
  rimStep(shaftsOnBench(bench, state), clock)

/** What a feeler finds between the faces at a clock position, on a circle, millimetres. */
export const faceGapNow = (
  bench: Bench,
  state: BenchState,
  clock: Degrees,
  diameter: Millimetres,
): Millimetres => Math.max(0, faceGap(shaftsOnBench(bench, state), FACES_APART, diameter, clock))

/** What a feeler finds at each corner of a foot, millimetres: nothing while its bolt holds it down. */
export const cornerGaps = (
  bench: Bench,
  state: BenchState,
  foot: BenchFoot,
): Readonly<Record<FootCorner, Millimetres>> => {
  const machine = movableNow(bench, state)
  const hangs = state.loose.has(foot)
    ? Math.max(0, (standOn(machine).heights[foot - 1] ?? 0) - (machine.feet[foot - 1]?.pad ?? 0))
    : 0
  const bent = bench.bent?.foot === foot && state.loose.has(foot) ? bench.bent.open : 0
  return {
    outboardOuter: hangs + bent,
    outboardInner: hangs + bent,
    inboardOuter: hangs,
    inboardInner: hangs,
  }
}

/** What a dial on a foot shows since it was put there, millimetres; null where none stands on one. */
export const footDialNow = (bench: Bench, state: BenchState): Millimetres | null =>
  state.footDial && footHeight(bench, state, state.footDial.foot) - state.footDial.zero

/** What dials beside both ends show since they were zeroed, toward 3 positive, millimetres; null where none stand there. */
export const sideDialsNow = (state: BenchState): readonly [Millimetres, Millimetres] | null => {
  const [inboard, outboard] = state.pushed.movable
  return state.sideZeros && [inboard - state.sideZeros[0], outboard - state.sideZeros[1]]
}

/** What a dial shows on its bar hung on a stiff pipe, zeroed at 12, turned to a clock angle; millimetres. */
export const barOnPipe = (bench: Bench, circle: string, clock: Degrees): Millimetres => {
  const hang = circle.startsWith('face') ? bench.hang.face : bench.hang.rim
  return bench.dial(circle).sign * hang * (clockVector(clock)[0] - 1)
}
