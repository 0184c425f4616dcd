import type { UnitSystem } from '../../units/unitSystem'
import type { FootChange, SideChange } from '../plan/entries'

export interface MoveEntries {
  'move-made': {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
    readonly remark: string
  }
}
