import type { UnitSystem } from '../../units/unitSystem'

/** Where one looks on an opened gearset. */
export const GEAR_PLACES = [
  'gear-teeth',
  'gear-bearings',
  'gear-housing',
  'gear-seals',
  'gear-oil',
  'gear-pins',
] as const
export type GearPlace = (typeof GEAR_PLACES)[number]

export interface GearLookEntries {
  /** Before anything comes out: the layers under each block, and how they and the pins were marked. */
  'layers-marked': {
    readonly units: UnitSystem
    /** Of one layer (mil or mm). */
    readonly layer: number
    /** Under each block, in the register's order. */
    readonly under: readonly number[]
    readonly pins: 'marked' | 'none'
    readonly marks: string
    /** Photographs kept with the job, by id. */
    readonly photographs: readonly string[]
    readonly words: string
  }
}
