import type { Found } from '../look/entries'

/** Where one looks on a belt drive with its belts loose or off, in working order. */
export const DRIVE_PLACES = [
  'belts',
  'motor-grooves',
  'driven-grooves',
  'motor-bushing',
  'driven-bushing',
  'run-out',
  'shafts',
  'base',
] as const
export type DrivePlace = (typeof DRIVE_PLACES)[number]

export interface InspectEntries {
  /** One or more places of the drive looked at, and what was found there. */
  'drive-looked': {
    readonly places: readonly DrivePlace[]
    readonly found: Found
    readonly words: string
    /** Photographs kept with the job, by id. */
    readonly photographs: readonly string[]
  }
  /** How far a sheave with a groove that can be set stands open, turns from closed. */
  'setting-read': { readonly place: 'motor' | 'driven'; readonly turns: number; readonly words: string }
}
