import type { UnitSystem } from '../../units/unitSystem'
import type { FootRise } from '../target/entries'

/** A foot pair of a train and how it rises; where it stands the register says. */
export type TrainRise = Omit<FootRise, 'x'>

/** How the machines of a train grow from cold to running. In its own units. */
export interface GrowthSet {
  readonly units: UnitSystem
  /** Machines that are not named do not grow. */
  readonly machines: readonly { readonly machine: string; readonly feet: readonly TrainRise[] }[]
  /** Sheet, survey or person it comes from; empty where its figures say all. */
  readonly source: string
}

export interface TrainGrowthEntries {
  /** What each machine of the train does as it warms: every coupling's cold target follows from it. */
  'growth-set': GrowthSet
}
