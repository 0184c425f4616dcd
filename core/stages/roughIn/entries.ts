import type { Degrees, UnitSystem } from '../../units/unitSystem'
import type { FootChange, SideChange } from '../plan/entries'

/** What a feeler found at one clock position: how thick it was, or only whether one blade went in (mil or mm). */
export type FeltPlace =
  | { readonly clock: Degrees; readonly value: number }
  | { readonly clock: Degrees; readonly passes: number }
  | { readonly clock: Degrees; readonly stops: number }

export interface RoughInEntries {
  /** A straightedge across the hubs, a feeler under it and between the faces. */
  'hubs-felt': {
    readonly units: UnitSystem
    /** Rim steps, positive where the movable rim is the higher one. */
    readonly steps: readonly FeltPlace[]
    /** Gaps between the faces. */
    readonly gaps: readonly FeltPlace[]
    /** Circle the gaps were felt on (in or mm); null where none were. */
    readonly diameter: number | null
    /** Diameters of the hubs where they differ (in or mm); null takes them as equal. */
    readonly hubs: { readonly stationary: number; readonly movable: number } | null
    /** Whether the coupling was made up meanwhile. */
    readonly coupled: boolean
    /** Where the blade drags under the straightedge at 12: at the faces or behind; null where nobody felt. */
    readonly drag: 'front' | 'back' | 'even' | null
    /** Whether a floating shaft was pushed to where it runs; null where none floats. */
    readonly pushed: boolean | null
    readonly remark: string
  }
  /** What was done about it before the next look: shims under the feet, or a push. */
  'hubs-roughed': {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
    readonly remark: string
  }
}
