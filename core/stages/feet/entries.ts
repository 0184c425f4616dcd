import type { CornerGaps } from '../../feet/cornerGaps'
import type { MachineRole, Side } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'
import type { FootChange } from '../plan/entries'

/** One foot of a machine. */
export interface FootRef {
  readonly machine: MachineRole
  readonly pair: string
  readonly side: Side
}

export interface FeetEntries {
  /** All bolts loose: what a feeler finds under the corners of each foot that has a gap (mil or mm). */
  'gaps-felt': {
    readonly units: UnitSystem
    readonly gaps: readonly (FootRef & {
      readonly corners: CornerGaps
      /** Along the shaft and across it (in or mm), where it was taped. */
      readonly size: { readonly along: number; readonly across: number } | null
    })[]
  }
  /** All bolts tight, one loosened at a time: how far each foot rises (mil or mm). */
  'rises-read': {
    readonly units: UnitSystem
    readonly rises: readonly (FootRef & { readonly rise: number })[]
    /** Whether the pipe or duct flanges were bolted up or slack meanwhile. */
    readonly pipe: 'bolted' | 'slack'
    readonly remark: string
  }
  /** Leaves laid under one foot, or taken out from under it, to cure it. */
  'foot-filled': {
    readonly units: UnitSystem
    readonly change: FootChange
    /** Why this foot or this thickness, where something else was advised. */
    readonly why: string
  }
}
