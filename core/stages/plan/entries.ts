import type { MachineRole, Side } from '../../plan/pairNames'
import type { PlanKind } from '../../plan/movePlan'
import type { UnitSystem } from '../../units/unitSystem'

/** What is done under one foot. */
export interface FootChange {
  readonly machine: MachineRole
  readonly pair: string
  readonly side: Side
  readonly takenOut: readonly number[]
  readonly putIn: readonly number[]
}

/** How far a foot pair is pushed sideways. */
export interface SideChange {
  readonly machine: MachineRole
  readonly pair: string
  /** Toward 3 positive. */
  readonly moved: number
}

export interface PlanEntries {
  'plan-chosen': {
    readonly units: UnitSystem
    readonly option: PlanKind | 'own'
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
    /** The sets it was made from; null in plans older than that. */
    readonly sets: readonly string[] | null
  }
}
