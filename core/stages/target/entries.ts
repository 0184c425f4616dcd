import type { Material } from '../../growth/materials'
import type { MachineRole } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'

/** How one foot pair rises from cold to running: by its heat, or as typed. In the payload's units. */
export interface FootRise {
  readonly pair: string
  /** From the coupling centre, positive on the movable machine's side (in or mm). */
  readonly x: number
  /** Null where the rise is typed. Own expansion per degree Celsius where the material isn't one of the table. */
  readonly heat: {
    readonly material: Material | null
    readonly alpha: number | null
    /** From the base to the shaft's centre (in or mm). */
    readonly height: number
    readonly cold: number
    readonly running: number
  } | null
  /** Typed rise (mil or mm); null where it is worked out. */
  readonly rise: number | null
  /** Growth sideways, toward 3 positive (mil or mm). */
  readonly side: number
}

/** Where a cold target comes from. */
export type TargetGiven =
  /** Set straight: whatever grows, grows alike. */
  | { readonly way: 'none' }
  | {
      readonly way: 'growth'
      readonly machines: readonly { readonly machine: MachineRole; readonly feet: readonly FootRise[] }[]
    }
  /** The line itself, at the coupling: off a sheet, or out of a hot check. */
  | {
      readonly way: 'line'
      readonly line: {
        readonly offset: { readonly v: number; readonly h: number }
        readonly slope: { readonly v: number; readonly h: number }
      }
    }

/** A cold target as it was given, with where it comes from. */
export interface TargetPayload {
  readonly units: UnitSystem
  readonly given: TargetGiven
  /** Sheet, survey or person it comes from; empty where its figures say all. */
  readonly source: string
  /** The hot check it was learned from; null for any other. */
  readonly learned: { readonly job: string; readonly on: string } | null
}

export interface TargetEntries {
  /** Where the movable axis is to lie cold, so that it runs straight. */
  'target-set': TargetPayload
}
