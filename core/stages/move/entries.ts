import type { BoltSizeName } from '../../bolts/sizes'
import type { BoltClass, Lubrication } from '../../bolts/tightening'
import type { MachineRole } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'
import type { FootChange, SideChange } from '../plan/entries'

/** What one end has still to go sideways, as its dial says; plus is toward 3. */
export interface Count {
  readonly machine: MachineRole
  readonly pair: string
  readonly toGo: number
}

/** The hold-down bolts of the movable machine. */
export interface BoltsPayload {
  readonly units: UnitSystem
  readonly size: BoltSizeName
  readonly boltClass: BoltClass
  readonly lubrication: Lubrication
  /** It rules where the maker gives one. */
  readonly makerTorque: number | null
}

export interface MoveEntries {
  'move-made': {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
    readonly remark: string
  }
  'counts-read': {
    readonly units: UnitSystem
    /** Behind a bite, or behind the last pass of tightening. */
    readonly when: 'pushing' | 'tightened'
    readonly counts: readonly Count[]
  }
  'bolts-named': BoltsPayload
}
