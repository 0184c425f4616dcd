import type { Reading } from '../../fit/harmonicFit'
import type { MachineRole } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'
import type { FootChange } from '../plan/entries'

/** How a shaft's slope was read off a precision level lying on it. */
export type LevelReading =
  | {
      readonly by: 'feeler'
      /** Slid under the low end until the bubble stood in the middle (mil or mm). */
      readonly feeler: number
      /** From the feeler's edge to the level's other end (in or mm). */
      readonly supported: number
      /** The end the feeler lies under: toward the coupling or away from it. */
      readonly low: 'coupling' | 'far'
    }
  | {
      readonly by: 'divisions'
      /** Divisions the bubble stands off the middle, toward the machine's far end positive. */
      readonly divisions: number
      /** The same with the level turned end for end; its own error drops out. Null where it wasn't turned. */
      readonly reversed: number | null
      /** Slope a division (mil/in or mm/100 mm). */
      readonly sensitivity: number
    }

export type RunoutSurface = 'rim' | 'face' | 'shaft'

export interface LevelEntries {
  /** A precision level on a clean shaft at 12 o'clock. */
  'level-read': {
    readonly units: UnitSystem
    readonly machine: MachineRole
    readonly reading: LevelReading
    readonly remark: string
  }
  /** Shims under both feet of the end that was low. */
  'machine-levelled': {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly remark: string
  }
  /** One turn of one shaft under a fixed dial. */
  'runout-read': {
    readonly units: UnitSystem
    readonly machine: MachineRole
    readonly surface: RunoutSurface
    /** Diameter the dial runs on (in or mm); null where it wasn't taped. */
    readonly diameter: number | null
    /** The clock mark under the dial, and what it read (mil or mm). */
    readonly readings: readonly Reading[]
    /** This hub's own limit (mil or mm); null takes the starting rule for its speed. */
    readonly limit: number | null
    readonly remark: string
  }
}
