import type { UnitSystem } from '../../units/unitSystem'

export interface FitEntries {
  /** Belts laid on: the same ones, or new ones, always a whole set. */
  'belts-fitted': {
    readonly belts: 'same' | 'new'
    readonly units: UnitSystem
    /** Their pitch length, in or mm; null where nobody read it. */
    readonly length: number | null
    /** Whether the maker calls them a matched set; null where it isn't said. */
    readonly matched: boolean | null
    /** The lot of the stores they came from, and how many pieces of it. */
    readonly spares?: { readonly lot: string; readonly pieces: number }
    readonly words: string
  }
}
