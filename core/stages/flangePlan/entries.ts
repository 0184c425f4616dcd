import type { FlangeSchool } from '../../flange/flangeShims'
import type { UnitSystem } from '../../units/unitSystem'

/** What is done under one bolt (mil or mm). */
export interface BoltChange {
  readonly bolt: string
  readonly takenOut: readonly number[]
  readonly putIn: readonly number[]
}

/** How far the flange is pushed: toward 12 and toward 3 positive (mil or mm). */
export interface PushTold {
  readonly v: number
  readonly h: number
}

export interface FlangePlanEntries {
  'flange-plan-chosen': {
    readonly units: UnitSystem
    /** Shims of a school, or a push sideways. */
    readonly does: FlangeSchool | 'push'
    readonly changes: readonly BoltChange[]
    readonly push: PushTold | null
    /** Why shims that rock the flange are taken all the same; empty where they don’t. */
    readonly why: string
    /** The sets it was made from. */
    readonly sets: readonly string[]
  }
}
