import type { UnitSystem } from '../../units/unitSystem'
import type { BoltChange, PushTold } from '../flangePlan/entries'

export interface FlangeMoveEntries {
  /** What was done under the bolts, or how far the flange was pushed (mil or mm). */
  'flange-moved': {
    readonly units: UnitSystem
    readonly changes: readonly BoltChange[]
    readonly pushed: PushTold | null
    readonly remark: string
  }
  /** What the dials at the flange have still to go, one in each plane; toward 12 and toward 3 positive (mil or mm). */
  'flange-counts-read': {
    readonly units: UnitSystem
    /** Behind a push, or behind the last pass of tightening. */
    readonly when: 'pushing' | 'tightened'
    readonly toGo: PushTold
  }
}
