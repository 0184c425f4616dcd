import type { Speaker } from '../../instruments/places'
import type { OnlyFor } from '../../register/drive'
import type { UnitSystem } from '../../units/unitSystem'
import type { ToolId } from '../../tools/toolsToTake'

export const JOB_REASONS = [
  'planned',
  'vibration',
  'new-machine',
  'moved',
  'wear',
  'hot-check',
  'sheave-set',
  'other',
] as const
/** Reasons that only some kinds of drive give. */
export const REASONS_ONLY_FOR: OnlyFor<JobReason> = { 'hot-check': ['coupled'], 'sheave-set': ['belt'] }
export type JobReason = (typeof JOB_REASONS)[number]

export interface OpeningEntries {
  'job-opened': {
    readonly reason: JobReason
    /** As read off the nameplate. */
    readonly rpm: number
    readonly customer: string
    /** Where it stands, where the customer has several. */
    readonly site?: string | undefined
    readonly note: string
  }
  /** What goes along to the machine. */
  'tools-taken': {
    readonly tools: readonly ToolId[]
    /** As the stores had them when they were taken. */
    readonly instruments: readonly TakenInstrument[]
    readonly words: string
  }
  /** An instrument that speaks for itself, as it introduced itself, once figures of it are taken. */
  'instrument-spoke': SpokenInstrument
  /** Vibration before or after the work: a hint, judged by nobody. Velocity, in/s or mm/s. */
  'vibration-noted': {
    readonly units: UnitSystem
    readonly moment: 'before' | 'after'
    readonly points: readonly {
      readonly at: VibrationPlace
      readonly way: VibrationWay
      readonly value: number
    }[]
    readonly words: string
  }
}

/** Which instrument spoke, at which place of the job (core/instruments/places.ts). */
export interface SpokenInstrument {
  readonly place: string
  readonly kind: Speaker
  readonly serial: string
  /** The last day its calibration holds, YYYY-MM-DD; null where it has none. */
  readonly calibrated: string | null
}

/** Where vibration is noted: at the bearings, from the movable machine's outboard end on. */
export const VIBRATION_PLACES = ['movable-far', 'movable-near', 'stationary-near', 'stationary-far'] as const
export type VibrationPlace = (typeof VIBRATION_PLACES)[number]
/** Up, across, along the shaft. */
export const VIBRATION_WAYS = ['vertical', 'horizontal', 'axial'] as const
export type VibrationWay = (typeof VIBRATION_WAYS)[number]

/** An instrument as the stores had it when it was taken. */
export interface TakenInstrument {
  readonly id: string
  readonly name: string
  /** The last day its calibration holds, YYYY-MM-DD; null where it has none. */
  readonly due: string | null
}
