import { upAndDown } from '../../belt/facePlaces'
import { gaugeDeflectionOf } from '../../belt/beltLimits'
import { gaugeSet } from '../../belt/gaugeSetting'
import { driveAtCentre, type BeltDrive } from '../../belt/geometry'
import { deflectionForce, spanFrequency } from '../../belt/tension'
import { edgeOn, type EdgeShows } from '../../simulate/edgeOnSheaves'
import { driveOf } from '../../stages/lineUp/line'
import { massOf, pushedTogether } from '../../stages/tension/band'
import { otherSheave, type SheavePlace } from '../../register/beltMachine'
import { toCore, type Millimetres, type Newtons } from '../../units/unitSystem'
import { normalFor } from '../chance'
import type { DriveBench } from './driveBench'
import { centreNow, faceNow, machineNow, tensionsNow, type DriveState } from './driveState'

/** Where an edge is laid. */
export interface EdgeLaid {
  readonly edgeOn: SheavePlace
  readonly edgeSide: 'outer' | 'inner'
}

/** How far apart the edge's upper and lower place are for tilt: to three digits as a tape has it. */
export const tiltMarks = (bench: DriveBench): Millimetres =>
  Number(upAndDown(bench.setting.machine).toPrecision(3))

/** What an edge shows, laid level with the shafts or shifted by half the marks up or down. */
export const edgeNow = (
  bench: DriveBench,
  state: DriveState,
  laid: EdgeLaid,
  shift: 'level' | 'up' | 'down' = 'level',
): EdgeShows => {
  const face = (place: SheavePlace) => faceNow(bench, state, place, laid.edgeSide)
  const height = shift === 'level' ? 0 : ((shift === 'up' ? 1 : -1) * tiltMarks(bench)) / 2
  return edgeOn(face(laid.edgeOn), face(otherSheave(laid.edgeOn)), laid.edgeSide === 'outer' ? 1 : -1, height)
}

/** The drive as it stands now: its span goes by where the motor is. */
export const driveNow = (bench: DriveBench, state: DriveState): BeltDrive | null => {
  const registered = driveOf(machineNow(bench, state))
  if (!registered) return null
  const drive = driveAtCentre(registered.small, registered.large, centreNow(bench, state))
  return drive.ok ? drive.value : null
}

/** How far the gauge is pushed: by the registered span, set as a job sets it. */
export const gaugeDeflection = (bench: DriveBench): Millimetres => {
  const drive = driveOf(bench.setting.machine)
  const { machine } = bench.setting
  return drive ? gaugeSet(gaugeDeflectionOf(machine, drive).value, machine.units) : 0
}

/** What the gauge shows at a belt pushed to that deflection, newtons; the unsteadiness of this push included. */
export const gaugeNow = (bench: DriveBench, state: DriveState, belt: number): Newtons => {
  const drive = driveNow(bench, state)
  const tension = tensionsNow(bench, state)[belt] ?? 0
  if (!drive) return 0
  const together = pushedTogether(bench.setting.machine)
  const force =
    together *
    deflectionForce(drive, { stiffness: bench.stiffness, sheaves: 'free' }, tension, gaugeDeflection(bench))
  return (
    force * (1 + bench.spread.force * normalFor(bench.setting.seed, `push ${String(belt)}`, state.pushes))
  )
}

/** What a tapped belt rings at, hertz; the unsteadiness of this tap included. Null where nobody knows what its belts weigh. */
export const ringsNow = (bench: DriveBench, state: DriveState, belt: number): number | null => {
  const drive = driveNow(bench, state)
  const mass = massOf(bench.setting.machine)
  if (mass === null) return null
  const tension = tensionsNow(bench, state)[belt] ?? 0
  if (!drive || tension <= 0) return 0
  // A frequency goes by the root: half the share.
  const unsteady =
    (bench.spread.force / 2) * normalFor(bench.setting.seed, `tap ${String(belt)}`, state.pushes)
  return spanFrequency(drive, tension, mass) * (1 + unsteady)
}

/** The most a gauge must show of belts that are tapped, hertz; null where nobody knows what they weigh. */
export const ringsMost = (bench: DriveBench): number | null => {
  const drive = driveOf(bench.setting.machine)
  const mass = massOf(bench.setting.machine)
  return drive && mass !== null ? 1.2 * spanFrequency(drive, bench.band.new[1], mass) : null
}

/** How far the motor's shaft stands out of its sheave's hub, as a rule shows it. */
export const shaftEndNow = (bench: DriveBench, state: DriveState): Millimetres => {
  const { base, units } = bench.setting.machine
  return toCore(base.hubToShaftEnd ?? (units === 'inch' ? 0.6 : 16), 'distance', units) - state.slid
}

/** The most a gauge must show for belts of this drive, newtons: a third over what new belts want. */
export const gaugeMost = (bench: DriveBench): Newtons => {
  const drive = driveOf(bench.setting.machine)
  if (!drive) return 1
  const spring = { stiffness: bench.stiffness, sheaves: 'free' } as const
  const force = deflectionForce(drive, spring, bench.band.new[1], gaugeDeflection(bench))
  return 1.35 * pushedTogether(bench.setting.machine) * force
}
