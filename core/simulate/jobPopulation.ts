import type { Carrier, Plunger } from '../coupling/dialSet'
import { normalFrom, type Random } from '../random/random'
import type { Millimetres } from '../units/unitSystem'
import { ORDINARY_HANDS } from '../uncertainty/ordinaryHands'
import { NO_SPREAD, type Spread } from '../uncertainty/spread'
import { OPEN_COUPLING } from './couplingGrip'
import { EXACT_DIAL, type DialNature } from './dialGauge'
import { trueHub } from './hub'
import type { FourFeet, SimulatedFoot } from './machineOnFeet'
import { axisOfLine } from './shaftAxis'
import { trueLine, type RealSetUp, type SimulatedCouple } from './simulatedCouple'

const MIL: Millimetres = 0.0254

/** A job as it could lie on any floor: the couple, how it is measured, and what the sheet says of it. */
export interface SimulatedJob {
  readonly couple: SimulatedCouple
  readonly rpm: number
  readonly real: RealSetUp
  /** What the millwright wrote down: distances by tape, sag by test pipe. */
  readonly told: {
    readonly carriedBy: Carrier
    readonly plunger: Plunger
    readonly rimPlane: Millimetres
    readonly faceDiameter: Millimetres
    readonly rimSag: Millimetres
    readonly faceSag: Millimetres
    readonly feet: readonly [Millimetres, Millimetres]
  }
  /** What the register says of the same distances. */
  readonly register: {
    readonly rimPlane: Millimetres
    readonly faceDiameter: Millimetres
    readonly feet: readonly [Millimetres, Millimetres]
  }
  readonly graduation: Millimetres
  /** How good this pair of hands is; the program is told the same. */
  readonly spread: Spread
}

const between = (random: Random, low: number, high: number) => low + (high - low) * random()
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T

/**
 * A job drawn from a seeded generator: honest, with the errors of `hands` and nothing worse.
 * Readings are rounded to half a mil or 0.01 mm dials on top of them.
 */
export const drawJob = (random: Random, hands: Spread = ORDINARY_HANDS): SimulatedJob => {
  const normal = normalFrom(random)
  const inboardX = between(random, 200, 400)
  const outboardX = inboardX + between(random, 300, 750)
  const width = between(random, 120, 260)
  const shaftHeight = between(random, 150, 400)
  const foot = (x: number, h: number): SimulatedFoot => ({ x, h, pad: 0, padStiffness: 2.5e6, bolt: 25_000 })
  const feet: FourFeet = [
    foot(inboardX, -width),
    foot(inboardX, width),
    foot(outboardX, width),
    foot(outboardX, -width),
  ]
  // As rough-in leaves it: within 15 mil at the coupling.
  const offset = { v: between(random, -0.4, 0.4), h: between(random, -0.4, 0.4) }
  const slope = { v: between(random, -0.0015, 0.0015), h: between(random, -0.0015, 0.0015) }
  const bend = {
    offset: { v: 0, h: 0 },
    slope: { v: between(random, -0.003, 0.003), h: between(random, -0.003, 0.003) },
  }
  const start: SimulatedCouple = {
    stationary: axisOfLine(bend),
    movable: {
      feet,
      shaftHeight,
      weight: between(random, 2000, 12_000),
      twistStiffness: between(random, 4e5, 1.2e6),
      side: { inboard: 0, outboard: 0 },
      axisError: { inboard: 0, outboard: 0 },
    },
    stationaryHub: trueHub(between(random, 50, 120)),
    movableHub: trueHub(between(random, 50, 120)),
    grip: OPEN_COUPLING,
  }
  // Bolts and weight settle the frame a little: set the ends so that the wanted line comes out.
  const settled = trueLine(start)
  const wanted = (x: number, p: 'v' | 'h') =>
    offset[p] + slope[p] * x - ((settled.offset[p] ?? 0) + (settled.slope[p] ?? 0) * x)
  const couple: SimulatedCouple = {
    ...start,
    movable: {
      ...start.movable,
      side: { inboard: wanted(inboardX, 'h'), outboard: wanted(outboardX, 'h') },
      axisError: { inboard: wanted(inboardX, 'v'), outboard: wanted(outboardX, 'v') },
    },
  }
  const inch = random() < 0.5
  const graduation = inch ? 0.5 * MIL : 0.01
  const dial: DialNature = { ...EXACT_DIAL, graduation, noise: hands.reading, backlash: 0.1 * MIL }
  const rimPlane = between(random, -70, -25)
  const faceDiameter = between(random, 110, 240)
  const rimSag = between(random, 1, 9) * MIL
  // The face dial hangs on the same bar: it leans a little as the bar does.
  const faceSag = between(random, -0.2, 0.2) * rimSag
  const carriedBy = pick(random, ['movable', 'movable', 'stationary'] as const)
  const plunger = pick(random, ['away', 'back'] as const)
  return {
    couple,
    rpm: pick(random, [990, 1480, 1480, 2960]),
    graduation,
    spread: {
      ...NO_SPREAD,
      ...hands,
      // Rounding spreads evenly over a graduation; the zero is rounded too.
      reading: Math.hypot(hands.reading, graduation / Math.sqrt(12)),
    },
    real: {
      carriedBy,
      plunger,
      rimPlane,
      faceDiameter,
      rimSag,
      faceSag,
      bothTurn: true,
      coupled: false,
      rimDial: dial,
      faceDial: dial,
      clockError: hands.clock,
      float: 0,
    },
    told: {
      carriedBy,
      plunger,
      rimPlane: rimPlane + hands.distance * normal(),
      faceDiameter: faceDiameter + hands.distance * normal(),
      rimSag: Math.max(0, rimSag + hands.sag * normal()),
      faceSag: faceSag + hands.sag * normal(),
      feet: [inboardX + hands.distance * normal(), outboardX + hands.distance * normal()],
    },
    register: { rimPlane, faceDiameter, feet: [inboardX, outboardX] },
  }
}
