import type { UnitSystem } from '../../units/unitSystem'

export interface SquareEntries {
  /** From one common edge to the motor at its sheave end and its far end, in or mm. */
  'motor-squared': {
    readonly units: UnitSystem
    readonly sheaveEnd: number
    readonly farEnd: number
    /** The edge measured from lies on the side of the driven machine, or on the other. */
    readonly edge: 'driven-side' | 'far-side'
    readonly words: string
  }
}
