import { toCore } from '../../units/unitSystem'
import type { BaseEnd, DriveAct, DriveRefusal } from './driveActs'
import { settable, type DriveBench } from './driveBench'
import { freshDrive, machineNow, tensionsNow, type DriveState } from './driveState'

/** Belts pulling more than this share of what they want are not to be levered over a rim. */
const HANGS_LOOSE = 0.2
const MINUTES_A_DAY = 24 * 60

const mean = (list: readonly number[]) => list.reduce((s, x) => s + x, 0) / Math.max(1, list.length)

const pullsStill = (bench: DriveBench, state: DriveState): boolean =>
  mean(tensionsNow(bench, state)) > HANGS_LOOSE * bench.band['run-in'][0]

/** What lies under the far feet as they are found; millimetres. */
const PACK_FOUND = 5

/** How far the base lets an end come in, and go out. */
const WAY = { in: -40, out: 60 }

/** Why hands can't do that to the drive as it stands; null when they can. */
export const driveRefusal = (bench: DriveBench, state: DriveState, act: DriveAct): DriveRefusal | null => {
  switch (act.act) {
    case 'lock':
      return null
    case 'guard':
      return state.locked ? null : 'power-on'
    case 'run':
      if (state.locked) return 'locked-out'
      if (!state.guarded) return 'guard-off'
      if (!state.beltsOn) return 'belts-off'
      return state.tight ? null : 'base-loose'
    default:
  }
  if (!state.locked) return 'power-on'
  if (state.guarded) return 'guard-on'
  switch (act.act) {
    case 'screw': {
      if (state.tight) return 'base-tight'
      const tip = state.screws[act.end] + act.turns * bench.geometry.screwPitch
      return tip < WAY.in || tip > WAY.out ? 'no-way-on' : null
    }
    case 'bump':
    case 'far-feet':
      if (state.tight) return 'base-tight'
      return act.act === 'far-feet' && state.farFeet + act.by < -PACK_FOUND ? 'no-such-leaf' : null
    case 'belts':
      // Off or on, they go over the rims slack.
      return pullsStill(bench, { ...state, beltsOn: true }) ? 'belts-tight' : null
    case 'new-set':
    case 'slide-sheave':
      return state.beltsOn ? 'belts-on' : null
    case 'set-sheave': {
      const machine = machineNow(bench, state)
      const place = settable(machine)
      const build = place && machine.sheaves[place].build
      if (build?.kind !== 'variable') return 'no-such-setting'
      if (state.beltsOn && pullsStill(bench, state)) return 'belts-tight'
      const turns = build.turnsOpen + act.turns
      return turns < 0 || turns > build.turnsMost ? 'no-such-setting' : null
    }
    case 'push-belt':
    case 'tap-belt':
      return state.beltsOn ? null : 'belts-off'
    default:
      return null
  }
}

/** An end goes with its screw; one that sticks stays where it was driven to until it is bumped. */
const follows = (bench: DriveBench, end: number, tip: number): number =>
  bench.sticks ? Math.max(end, tip) : tip

/** The drive after hands have done one thing; unchanged where they can't. */
export const afterDriveAct = (bench: DriveBench, state: DriveState, act: DriveAct): DriveState => {
  if (driveRefusal(bench, state, act)) return state
  // Whatever is done takes the gauge off the belt it was on.
  const now = state.gauged === null ? state : { ...state, gauged: null }
  switch (act.act) {
    case 'lock':
      return { ...now, locked: act.on }
    case 'guard':
      return { ...now, guarded: act.on }
    case 'run':
      return { ...now, days: now.days + act.minutes / MINUTES_A_DAY }
    case 'base':
      return { ...now, tight: act.tight, tightened: now.tightened + (act.tight && !now.tight ? 1 : 0) }
    case 'screw': {
      const tip = now.screws[act.end] + act.turns * bench.geometry.screwPitch
      return {
        ...now,
        screws: { ...now.screws, [act.end]: tip },
        ends: { ...now.ends, [act.end]: follows(bench, now.ends[act.end], tip) },
      }
    }
    case 'bump':
      return { ...now, ends: now.screws }
    case 'belts':
      return { ...now, beltsOn: act.on }
    case 'new-set':
      return { ...now, set: now.set + 1, days: 0 }
    case 'far-feet':
      return { ...now, farFeet: now.farFeet + act.by }
    case 'slide-sheave':
      return { ...now, slid: now.slid + act.by }
    case 'half-turn':
      return { ...now, half: !now.half }
    case 'set-sheave': {
      const place = settable(bench.setting.machine)
      const build = place && machineNow(bench, now).sheaves[place].build
      if (!place || build?.kind !== 'variable') return now
      return { ...now, settings: { ...now.settings, [place]: build.turnsOpen + act.turns } }
    }
    case 'push-belt':
      return { ...now, pushes: now.pushes + 1, gauged: { belt: act.belt, by: 'push' } }
    case 'tap-belt':
      return { ...now, pushes: now.pushes + 1, gauged: { belt: act.belt, by: 'tap' } }
  }
}

/** Whether an end of the motor stands off its screw: it sticks. */
export const standsOff = (state: DriveState): readonly BaseEnd[] =>
  (['sheaveEnd', 'farEnd'] as const).filter((end) => state.ends[end] - state.screws[end] > 1e-6)

/** The drive after a list of acts. */
export const driveAfter = (bench: DriveBench, acts: readonly DriveAct[]): DriveState =>
  acts.reduce((state, act) => afterDriveAct(bench, state, act), freshDrive(bench))

/** Leaves that lie ready for the far feet, thin ones first; millimetres. */
export const leavesReady = (bench: DriveBench): readonly number[] => {
  const { stock, units } = bench.setting.machine
  const own = stock.map((s) => toCore(s.thickness, 'displacement', units))
  return own.length > 0 ? [...new Set(own)].sort((a, b) => a - b) : [0.1, 0.25, 0.5, 1]
}
