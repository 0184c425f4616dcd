import { pitchLengthAt } from '../../belt/geometry'
import type { BeltAge } from '../../belt/tension'
import type { SheaveErrors } from '../../belt/sheaveLine'
import type { Settings } from '../../register/setSheaves'
import { machineAsSet } from '../../register/setSheaves'
import { driveOf } from '../../stages/lineUp/line'
import { add, scale, subtract, unit, vector, type Vector } from '../../simulate/vector'
import type { SheaveFace } from '../../simulate/edgeOnSheaves'
import type { BeltMachine, SheavePlace } from '../../register/beltMachine'
import { toCore, type Millimetres, type Newtons } from '../../units/unitSystem'
import { normalFor } from '../chance'
import { BASE_ENDS, type BaseEnd } from './driveActs'
import { BEDDING_DAYS, settable, type DriveBench } from './driveBench'

/** How the drive on the bench stands now. Lengths in millimetres. */
export interface DriveState {
  readonly locked: boolean
  readonly guarded: boolean
  /** Base bolts drawn down. */
  readonly tight: boolean
  /** How often they were drawn down: where each end settles goes by it. */
  readonly tightened: number
  /** Where each screw's tip stands, and where each end of the motor does, away from the driven shaft since it was found. */
  readonly screws: Readonly<Record<BaseEnd, Millimetres>>
  readonly ends: Readonly<Record<BaseEnd, Millimetres>>
  /** Leaves laid under both far feet. */
  readonly farFeet: Millimetres
  /** The motor's sheave slid on its shaft, away from the motor positive. */
  readonly slid: Millimetres
  readonly settings: Settings
  /** Turned half a turn. */
  readonly half: boolean
  readonly beltsOn: boolean
  /** Which set is on, or lies ready. */
  readonly set: number
  /** Days it has run. */
  readonly days: number
  /** How often a belt was pushed or tapped: chance goes by it. */
  readonly pushes: number
  /** The belt that a gauge is at. */
  readonly gauged: { readonly belt: number; readonly by: 'push' | 'tap' } | null
}

/** The drive before anybody touched it: locked out, guard off, bolted down. */
export const freshDrive = (bench: DriveBench): DriveState => ({
  locked: true,
  guarded: false,
  tight: true,
  tightened: 0,
  screws: { sheaveEnd: 0, farEnd: 0 },
  ends: { sheaveEnd: 0, farEnd: 0 },
  farFeet: 0,
  slid: 0,
  settings: bench.settings,
  half: false,
  beltsOn: (bench.setting.belts ?? 'run-in') !== 'off',
  set: 0,
  days: 0,
  pushes: 0,
  gauged: null,
})

/** The machine with its sheaves as they stand. */
export const machineNow = (bench: DriveBench, state: DriveState): BeltMachine =>
  machineAsSet(bench.setting.machine, state.settings)

/** The motor's shaft and the groove centre of its sheave in space; the driven groove centre is the origin. */
interface MotorStands {
  /** Along the shaft, away from the motor. */
  readonly axis: Vector
  readonly groove: Vector
}

/**
 * Stands a motor on its feet: a rigid body whose sheave-end feet keep their height and stand where the slide has them,
 * with the far end turned and lifted about them. `slide` puts the sheave on its shaft.
 */
const standOnFeet = (
  bench: DriveBench,
  ends: Readonly<Record<BaseEnd, Millimetres>>,
  farLift: Millimetres,
  slide: Millimetres,
): MotorStands => {
  const { footSpacing: spacing, sheaveToFeet, shaftHeight, centre } = bench.geometry
  const [h, v] = [ends.sheaveEnd - ends.farEnd, -farLift]
  const axis = unit(vector(Math.sqrt(Math.max(1, spacing ** 2 - h ** 2 - v ** 2)), v, h))
  const feet = vector(-sheaveToFeet, -shaftHeight, centre + ends.sheaveEnd)
  const up = unit(subtract(vector(0, 1, 0), scale(axis, axis.v)))
  const overFeet = add(feet, scale(up, shaftHeight))
  return { axis, groove: add(overFeet, scale(axis, sheaveToFeet + slide)) }
}

/** How the base lay as the drive was found: what of it makes the found line. */
const asFound = (bench: DriveBench) => {
  const { found, geometry } = bench
  const { footSpacing: spacing } = geometry
  const farLift = -spacing * Math.sin(found.tilt)
  const far = -spacing * Math.cos(found.tilt) * Math.sin(found.turn)
  const ends = { sheaveEnd: 0, farEnd: far }
  const bare = standOnFeet(bench, ends, farLift, 0)
  return { far, farLift, slide: (-found.offset - bare.groove.x) / bare.axis.x }
}

/** How far a sheave that was set otherwise since it was found carries its groove, away from the motor positive. */
const carried = (bench: DriveBench, state: DriveState): Millimetres => {
  const { machine } = bench.setting
  const place = settable(machine)
  const build = place && machine.sheaves[place].build
  if (!place || build?.kind !== 'variable' || build.moves === 'both') return 0
  const turns = (of: Settings) => of[place] ?? build.turnsOpen
  const opened = toCore(
    (turns(state.settings) - turns(bench.settings)) * build.threadPitch,
    'distance',
    machine.units,
  )
  const outward = (build.moves === 'outer' ? 1 : -1) * (opened / 2)
  return place === 'motor' ? outward : -outward
}

const settledEnd = (bench: DriveBench, state: DriveState, end: BaseEnd): Millimetres =>
  state.tight && state.tightened > 0
    ? bench.spread.settling *
      normalFor(bench.setting.seed, 'base settling', state.tightened * 2 + BASE_ENDS.indexOf(end))
    : 0

/** The motor's shaft and groove as they stand now. */
const motorNow = (bench: DriveBench, state: DriveState): MotorStands => {
  const found = asFound(bench)
  const at = (end: BaseEnd) => state.ends[end] + settledEnd(bench, state, end)
  return standOnFeet(
    bench,
    { sheaveEnd: at('sheaveEnd'), farEnd: at('farEnd') + found.far },
    state.farFeet + found.farLift,
    found.slide + state.slid + carried(bench, state),
  )
}

/** How far the far end stands out against the sheave end, as a rule from one common edge shows it. */
export const endsFromEdge = (
  bench: DriveBench,
  state: DriveState,
): Readonly<Record<BaseEnd, Millimetres>> => {
  const at = (end: BaseEnd) => EDGE_TO_MOTOR + state.ends[end] + settledEnd(bench, state, end)
  return { sheaveEnd: at('sheaveEnd'), farEnd: at('farEnd') + asFound(bench).far }
}
/** From the edge of the base to the motor as it was found. */
const EDGE_TO_MOTOR: Millimetres = 64

/** The truth: how the motor's groove stands to the driven one, seen from the faces turned away from the motor. */
export const lineNow = (bench: DriveBench, state: DriveState): SheaveErrors & { readonly tilt: number } => {
  const { axis, groove } = motorNow(bench, state)
  return { offset: -groove.x, turn: Math.atan2(axis.h, axis.x), tilt: Math.asin(axis.v) }
}

export const centreNow = (bench: DriveBench, state: DriveState): Millimetres => {
  const { groove } = motorNow(bench, state)
  return Math.hypot(groove.h, groove.v)
}

/** A sheave's face on one side as it stands, wobble included. */
export const faceNow = (
  bench: DriveBench,
  state: DriveState,
  place: SheavePlace,
  side: 'outer' | 'inner',
): SheaveFace => {
  const s = side === 'outer' ? 1 : -1
  const { sheaves, units } = machineNow(bench, state)
  const own = side === 'outer' ? sheaves[place].depthOuter : sheaves[place].depthInner
  const depth = toCore(own, 'distance', units)
  const radius = bench.geometry.radius[place]
  // Depths from either face are to the groove nearest that face.
  const { grooves, groovePitch } = bench.geometry
  const across = side === 'outer' ? 0 : -(grooves - 1) * groovePitch
  if (place === 'driven') return { hub: vector(s * depth + across, 0, 0), normal: vector(1, 0, 0), radius }
  const { axis, groove } = motorNow(bench, state)
  const turned = ((bench.wobble.at + (state.half ? 180 : 0)) * Math.PI) / 180
  const lean = vector(0, bench.wobble.by * Math.cos(turned), bench.wobble.by * Math.sin(turned))
  return {
    hub: add(groove, scale(axis, s * depth + across)),
    normal: unit(add(axis, lean)),
    radius,
  }
}

/** How old the belts are that are on: new until they have run most of a day. */
export const RUN_IN_DAYS = 0.8
export const ageNow = (bench: DriveBench, state: DriveState): BeltAge =>
  bench.set(state.set).runIn || state.days >= RUN_IN_DAYS ? 'run-in' : 'new'

/** Tension of each belt from the motor side out, newtons; nothing where they hang loose. */
export const tensionsNow = (bench: DriveBench, state: DriveState): readonly Newtons[] => {
  const set = bench.set(state.set)
  const { axis } = motorNow(bench, state)
  const machine = machineNow(bench, state)
  const drive = driveOf(machine)
  if (!drive) return set.lengths.map(() => 0)
  const grown = set.runIn ? 0 : set.beds * (1 - Math.exp(-state.days / BEDDING_DAYS))
  const centre = centreNow(bench, state)
  const { groovePitch, grooves } = bench.geometry
  // The first belt is the one on the motor's side: a turned motor draws one side further.
  return set.lengths.map((length, i) => {
    const inward = (grooves - 1 - i) * groovePitch
    const own = centre - axis.h * inward
    const slack = length * (1 + grown)
    return Math.max(0, bench.stiffness * (pitchLengthAt(drive.small, drive.large, own) / slack - 1))
  })
}
