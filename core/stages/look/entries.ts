import type { MachineRole, Side } from '../../plan/pairNames'
import type { CouplingPart } from '../../register/couplingParts'
import type { GearPlace } from '../gearLook/entries'
import type { FlangePlace } from '../flangeLook/entries'
import type { UnitSystem } from '../../units/unitSystem'

/** Where one looks on any base. */
export const BASE_PLACES = ['feet', 'pads', 'bolts', 'base', 'jacking', 'pins', 'pipe'] as const
/** Where one looks on a motor that is trammed to a drum. */
export const DRUM_PLACES = ['feet', 'pads', 'bolts', 'base', 'jacking', 'pins', 'drum-face', 'brake'] as const
export type Place =
  (typeof BASE_PLACES)[number] | (typeof DRUM_PLACES)[number] | FlangePlace | GearPlace | CouplingPart

export const FOUND = ['fine', 'put-right', 'to-report'] as const
export type Found = (typeof FOUND)[number]

/** What was done with the locating pins. */
export const PINS = ['none', 'pulled', 'refitted', 'reamed'] as const
export type PinsDone = (typeof PINS)[number]

/** The four lines a level is laid along on a base: its two sides, and across its two ends. */
export const BASE_EDGES = ['left', 'right', 'coupling', 'far'] as const
export type BaseEdge = (typeof BASE_EDGES)[number]

/** One leaf as it was found, and how it was marked before it came out. */
export interface FoundLeaf {
  readonly thickness: number
  readonly mark: string
}

export interface LookEntries {
  /** One or more places looked at, cleaned, and what was found there. */
  'place-looked': {
    readonly places: readonly Place[]
    readonly found: Found
    readonly words: string
    /** Photographs kept with the job, by id. */
    readonly photographs: readonly string[]
  }
  /** Locating pins pulled before alignment, put back or reamed after. */
  'pins-handled': { readonly did: PinsDone; readonly words: string }
  /** A dial at the coupling while the pipe's or duct's bolts are loosened: up and toward 3 positive (mil or mm). */
  'pipe-read': {
    readonly units: UnitSystem
    readonly vertical: number | null
    readonly horizontal: number | null
    /** This machine's own limit; null takes the starting one. */
    readonly limit: number | null
    readonly words: string
  }
  /** What lies under the feet, bottom up, before it comes out (mil or mm). */
  'shims-found': {
    readonly units: UnitSystem
    readonly feet: readonly {
      readonly machine: MachineRole
      readonly pair: string
      readonly side: Side
      readonly leaves: readonly FoundLeaf[]
    }[]
    readonly words: string
  }
  /** A level laid along the four edges of the base, by feeler or by divisions. */
  'base-read': {
    readonly units: UnitSystem
    /** Between the corners that can be shimmed (in or mm): along the shafts, and across. */
    readonly length: number
    readonly width: number
    readonly by:
      | {
          readonly by: 'feeler'
          readonly supported: number
          /** Thickness under the low end (mil or mm); the low end is the far one, or the one toward 3, where `far`. */
          readonly edges: Readonly<Record<BaseEdge, { readonly feeler: number; readonly farLow: boolean }>>
        }
      | {
          readonly by: 'divisions'
          /** Slope a division (mil/in or mm/100 mm). */
          readonly sensitivity: number
          /** Toward the far end, or toward 3, positive; `reversed` with the level turned end for end. */
          readonly edges: Readonly<
            Record<BaseEdge, { readonly divisions: number; readonly reversed: number | null }>
          >
        }
    readonly words: string
  }
  /** Shims cut from sheet for one foot: thickness mil or mm, outline in or mm. */
  'sheet-shims-cut': {
    readonly units: UnitSystem
    readonly machine: MachineRole
    readonly pair: string
    readonly side: Side
    readonly thickness: number
    readonly count: number
    readonly outline: {
      readonly length: number
      readonly width: number
      readonly slot: number
      readonly toBolt: number
    }
    readonly words: string
  }
}
