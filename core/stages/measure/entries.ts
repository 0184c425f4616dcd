import type { UnitSystem } from '../../units/unitSystem'

/** A reading as typed, in the unit of its entry. */
export interface TypedReading {
  readonly clock: number
  readonly value: number
  /** Readings zeroed together share a group. */
  readonly group?: string
}

export interface ReadingEntries {
  'readings-taken': {
    readonly units: UnitSystem
    /** By the circle names of the set-up they were read with. */
    readonly circles: Readonly<Record<string, readonly TypedReading[]>>
    /** What each dial showed after the full turn, by circle; null when it wasn't read. */
    readonly returned: Readonly<Record<string, number>> | null
    /** Turned to the marks the other way than the other sets, to find play. */
    readonly turned?: 'with' | 'against' | undefined
  }
  'set-used-anyway': { readonly set: string; readonly why: string }
  'set-left-out': { readonly set: string; readonly why: string }
}
