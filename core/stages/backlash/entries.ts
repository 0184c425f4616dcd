import type { BacklashBy } from '../../gear/backlash'
import type { UnitSystem } from '../../units/unitSystem'

export interface BacklashEntries {
  /** Read at one or more places round the gear (mil or mm). */
  'backlash-read': {
    readonly units: UnitSystem
    readonly by: BacklashBy
    readonly readings: readonly number[]
    readonly words: string
  }
  /** Layers laid under each block, or taken out: in positive. */
  'layers-changed': { readonly layers: readonly number[]; readonly words: string }
}
