import type { Carrier, Plunger } from '../coupling/dialSet'
import { clockVector } from '../frame/clock'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { faceAt, radiusAt, type Hub } from './hub'
import { axisAt, radialAt, type ShaftAxis } from './shaftAxis'
import { add, dot, scale, subtract, type Vector } from './vector'

/** Two shafts with a hub each, as they lie in space. */
export interface ShaftPair {
  readonly stationary: ShaftAxis
  readonly movable: ShaftAxis
  readonly stationaryHub: Hub
  readonly movableHub: Hub
}

export interface BracketSetting {
  readonly carriedBy: Carrier
  /** How far the dial end of the bar hangs. */
  readonly sag: Millimetres
  /** False when the other shaft stands still while this one turns: its run-out enters. */
  readonly bothTurn: boolean
}

const shaftsOf = (pair: ShaftPair, carriedBy: Carrier) =>
  carriedBy === 'movable'
    ? { carrier: pair.movable, target: pair.stationary, hub: pair.stationaryHub }
    : { carrier: pair.stationary, target: pair.movable, hub: pair.movableHub }

/** Bar sag seen by a dial at this clock angle: the dial end hangs toward 6. */
const sagAt = (sag: Millimetres, clock: Degrees): Millimetres => sag * clockVector(clock)[0]

/**
 * Plunger travel of a rim dial in space: from the carrier's axis straight out in the direction the
 * bracket points, to the target hub's cylinder about its own axis. Larger means pushed in.
 */
export const rimTravel = (
  pair: ShaftPair,
  setting: BracketSetting & { readonly plane: Millimetres },
  clock: Degrees,
): Millimetres => {
  const { carrier, target, hub } = shaftsOf(pair, setting.carriedBy)
  const radius = radiusAt(hub, setting.bothTurn ? 0 : clock)
  const base = subtract(axisAt(carrier, setting.plane), target.point)
  const out = radialAt(carrier, clock)
  // Distance from the target's axis equals the hub radius: a quadratic in the plunger's length.
  const across = (a: Vector) => subtract(a, scale(target.direction, dot(a, target.direction)))
  const b = across(base)
  const w = across(out)
  const ww = dot(w, w)
  const bw = dot(b, w)
  const travel = (-bw + Math.sqrt(bw * bw - ww * (dot(b, b) - radius * radius))) / ww
  return travel + sagAt(setting.sag, clock)
}

/**
 * Plunger travel of a face dial in space: from a point on the bracket, along the carrier's axis, to
 * the target hub's face square to its own axis. `float` is how far the carrier crept toward the
 * target at this position. Larger means pushed in.
 */
export const faceTravel = (
  pair: ShaftPair,
  setting: BracketSetting & {
    readonly plunger: Plunger
    readonly diameter: Millimetres
    readonly faceX: Millimetres
    readonly float: Millimetres
  },
  clock: Degrees,
): Millimetres => {
  const { carrier, target, hub } = shaftsOf(pair, setting.carriedBy)
  const toTarget = setting.carriedBy === 'movable' ? -1 : 1
  const tip = add(axisAt(carrier, setting.faceX), scale(radialAt(carrier, clock), setting.diameter / 2))
  const crept = add(tip, scale(carrier.direction, toTarget * setting.float))
  const standsOut = faceAt(hub, setting.bothTurn ? 0 : clock, setting.diameter / 2)
  // The near face looks back at the carrier; the far one looks the other way.
  const outward = setting.plunger === 'away' ? -toTarget : toTarget
  const face = add(axisAt(target, setting.faceX), scale(target.direction, outward * standsOut))
  const along = dot(subtract(face, crept), target.direction) / dot(carrier.direction, target.direction)
  const away = toTarget * along
  return (setting.plunger === 'away' ? -away : away) + sagAt(setting.sag, clock)
}

/** Feeler gap between the faces at a clock position: from the stationary face straight to the other. */
export const faceGap = (
  pair: ShaftPair,
  nominal: Millimetres,
  diameter: Millimetres,
  clock: Degrees,
): Millimetres => {
  const start = add(
    axisAt(pair.stationary, -nominal / 2),
    scale(radialAt(pair.stationary, clock), diameter / 2),
  )
  const face = axisAt(pair.movable, nominal / 2)
  return (
    dot(subtract(face, start), pair.movable.direction) /
    dot(pair.stationary.direction, pair.movable.direction)
  )
}

/** Rim step under a straightedge at a clock position, positive when the movable rim is higher. */
export const rimStep = (pair: ShaftPair, clock: Degrees): Millimetres =>
  rimTravel(pair, { carriedBy: 'stationary', sag: 0, bothTurn: true, plane: 0 }, clock) -
  pair.stationaryHub.radius
