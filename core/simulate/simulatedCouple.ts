import type { Carrier, Plunger } from '../coupling/dialSet'
import type { Reading } from '../fit/harmonicFit'
import type { Misalignment } from '../frame/planes'
import type { Random } from '../random/random'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { faceTravel, rimTravel, type ShaftPair } from './bracketDial'
import { bentShafts, type CouplingGrip } from './couplingGrip'
import { dialShows, type DialNature } from './dialGauge'
import type { Hub } from './hub'
import { standOn, type FourFeet, type SimulatedMachine } from './machineOnFeet'
import { lineBetween, type ShaftAxis } from './shaftAxis'

/** A motor on its feet, coupled to a machine that stands still. */
export interface SimulatedCouple {
  readonly stationary: ShaftAxis
  readonly movable: SimulatedMachine
  readonly stationaryHub: Hub
  readonly movableHub: Hub
  readonly grip: CouplingGrip
}

/** The shafts as they lie, bent by the coupling when it is made up. */
export const shaftsNow = (couple: SimulatedCouple, coupled: boolean): ShaftPair => {
  const free = { stationary: couple.stationary, movable: standOn(couple.movable).axis }
  const bent = coupled ? bentShafts(free.stationary, free.movable, couple.grip) : free
  return { ...bent, stationaryHub: couple.stationaryHub, movableHub: couple.movableHub }
}

/** The true misalignment with the coupling open. */
export const trueLine = (couple: SimulatedCouple): Misalignment => {
  const { stationary, movable } = shaftsNow(couple, false)
  return lineBetween(movable, stationary)
}

/** What is really done at the feet: lifts of all four, side moves of both ends. */
export interface RealMove {
  readonly lifts: readonly [Millimetres, Millimetres, Millimetres, Millimetres]
  readonly inboardSide: Millimetres
  readonly outboardSide: Millimetres
}

/** The couple after shims and side moves. */
export const afterMove = (couple: SimulatedCouple, move: RealMove): SimulatedCouple => {
  const { movable } = couple
  const feet = movable.feet.map((f, i) => ({
    ...f,
    pad: f.pad + (move.lifts[i] as number),
  })) as unknown as FourFeet
  return {
    ...couple,
    movable: {
      ...movable,
      feet,
      side: {
        inboard: movable.side.inboard + move.inboardSide,
        outboard: movable.side.outboard + move.outboardSide,
      },
    },
  }
}

/** How a set is really taken: true distances, the bar's true sag, what goes wrong underway. */
export interface RealSetUp {
  readonly carriedBy: Carrier
  readonly plunger: Plunger
  readonly rimPlane: Millimetres
  readonly faceDiameter: Millimetres
  readonly rimSag: Millimetres
  readonly faceSag: Millimetres
  readonly bothTurn: boolean
  readonly coupled: boolean
  readonly rimDial: DialNature
  readonly faceDial: DialNature
  /** Standard deviation of the clock angle the shafts really stand at. */
  readonly clockError: Degrees
  /** Standard deviation of how far the shafts creep along the axis from position to position. */
  readonly float: Millimetres
}

export interface TakenSet {
  readonly rim: readonly Reading[]
  readonly face: readonly Reading[]
  /** What the dials show after one full turn back to the start. */
  readonly returned: { readonly rim: Millimetres; readonly face: Millimetres }
}

/** One set of rim and face readings at the given positions, and the return to the start. */
export const takeSet = (
  couple: SimulatedCouple,
  real: RealSetUp,
  clocks: readonly Degrees[],
  normal: Random,
): TakenSet => {
  const shafts = shaftsNow(couple, real.coupled)
  // The last position is the first again, a full turn on: that is where a slip shows.
  const start = (clocks[0] as number) + real.clockError * normal()
  const positions = [...clocks, clocks[0] as number].map((clock, i) => {
    const atStart = i === 0
    return {
      clock,
      turned: i === clocks.length ? 360 : clock - (clocks[0] as number),
      // Back at the start the marks are brought together again, not read off a clock.
      stood: i === 0 || i === clocks.length ? start : clock + real.clockError * normal(),
      float: atStart ? 0 : real.float * normal(),
    }
  })
  const rim = dialShows(
    positions.map((p) => ({
      clock: p.clock,
      turned: p.turned,
      plunger: rimTravel(
        shafts,
        { carriedBy: real.carriedBy, sag: real.rimSag, bothTurn: real.bothTurn, plane: real.rimPlane },
        p.stood,
      ),
    })),
    real.rimDial,
    normal,
  )
  const face = dialShows(
    positions.map((p) => ({
      clock: p.clock,
      turned: p.turned,
      plunger: faceTravel(
        shafts,
        {
          carriedBy: real.carriedBy,
          sag: real.faceSag,
          bothTurn: real.bothTurn,
          plunger: real.plunger,
          diameter: real.faceDiameter,
          faceX: real.rimPlane,
          float: p.float,
        },
        p.stood,
      ),
    })),
    real.faceDial,
    normal,
  )
  const last = clocks.length
  return {
    rim: rim.slice(0, last),
    face: face.slice(0, last),
    returned: { rim: rim[last]?.value ?? 0, face: face[last]?.value ?? 0 },
  }
}
