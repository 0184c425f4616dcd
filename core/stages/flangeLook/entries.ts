import type { SpigotFit } from '../../register/flangeMachine'
import type { UnitSystem } from '../../units/unitSystem'
import type { FoundLeaf } from '../look/entries'

/** Where one looks on a machine that stands on a flange. */
export const FLANGE_PLACES = ['flange-faces', 'spigot', 'flange-bolts', 'support', 'pins'] as const
export type FlangePlace = (typeof FLANGE_PLACES)[number]

export interface FlangeLookEntries {
  /** What lies under the bolts, bottom up, before it comes out (mil or mm). */
  'bolt-shims-found': {
    readonly units: UnitSystem
    readonly bolts: readonly { readonly bolt: string; readonly leaves: readonly FoundLeaf[] }[]
    readonly words: string
  }
  /** How the motor sits in its register: pushed by hand or bar against a dial, from stop to stop (mil or mm). */
  'spigot-felt': {
    readonly units: UnitSystem
    readonly fit: SpigotFit
    readonly play: number | null
    readonly words: string
  }
  /** Shims cut from sheet for one bolt: thickness mil or mm, outline in or mm. */
  'bolt-shims-cut': {
    readonly units: UnitSystem
    readonly bolt: string
    readonly count: number
    readonly thickness: number
    readonly outline: {
      readonly length: number
      readonly width: number
      readonly slot: number
      readonly toBolt: number
    }
    readonly words: string
  }
}
