import type { Millimetres } from '../../units/unitSystem'

export const BASE_ENDS = ['sheaveEnd', 'farEnd'] as const
/** An end of the motor on its base: the one its sheave is at, and the other. */
export type BaseEnd = (typeof BASE_ENDS)[number]

/** What a pair of hands does to the belt drive on the bench. Core units. */
export type DriveAct =
  | { readonly act: 'lock'; readonly on: boolean }
  | { readonly act: 'guard'; readonly on: boolean }
  /** It runs for so long, then is stopped. */
  | { readonly act: 'run'; readonly minutes: number }
  | { readonly act: 'base'; readonly tight: boolean }
  /** A tensioning screw is turned: on, which drives that end of the motor away from the driven shaft, or back. */
  | { readonly act: 'screw'; readonly end: BaseEnd; readonly turns: number }
  /** The motor is bumped back against its screws. */
  | { readonly act: 'bump' }
  | { readonly act: 'belts'; readonly on: boolean }
  /** Another set of belts is taken for the one that is off. */
  | { readonly act: 'new-set' }
  /** A leaf under both feet of the far end is laid, or taken out where it is negative. */
  | { readonly act: 'far-feet'; readonly by: Millimetres }
  /** The motor's sheave is slid along its shaft, away from the motor positive. */
  | { readonly act: 'slide-sheave'; readonly by: Millimetres }
  /** Both sheaves are turned half a turn. */
  | { readonly act: 'half-turn' }
  /** A sheave with a groove that can be set is opened by so many turns. */
  | { readonly act: 'set-sheave'; readonly turns: number }
  /** A belt is pushed by the gauge. */
  | { readonly act: 'push-belt'; readonly belt: number }
  /** A belt is tapped, and the gauge held over it. */
  | { readonly act: 'tap-belt'; readonly belt: number }

/** Why hands can't do that to a belt drive now. */
export type DriveRefusal =
  | 'locked-out'
  | 'power-on'
  | 'guard-off'
  | 'guard-on'
  | 'base-tight'
  | 'base-loose'
  | 'belts-tight'
  | 'belts-on'
  | 'belts-off'
  | 'no-way-on'
  | 'no-such-leaf'
  | 'no-such-setting'
