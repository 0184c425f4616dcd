import type { ComeBackRules } from '../comeBack/rules'
import type { LimitSet } from '../judge/limitSets'
import type { Tolerance } from '../judge/tolerance'
import type { UsualPlaces } from '../methods/methods'
import type { BoltsPayload } from '../stages/move/entries'
import type { GrowthSet } from '../stages/trainGrowth/entries'
import type { UnitSystem } from '../units/unitSystem'
import type { CouplingType } from './couplingParts'
import type { RegisteredHubs } from './hubs'
import type { TapedPair } from './pair'
import type { StockLeaf } from './shelf'

/** One machine of a train, in the record's own units. */
export interface TrainUnit {
  readonly id: string
  readonly name: string
  /** The bolts that hold it. */
  readonly bolts?: BoltsPayload | undefined
  /** Its two foot pairs; x runs along the whole train, left and right as seen looking toward the first machine. */
  readonly feet: readonly TapedPair[]
}

/** The coupling between a machine of a train and the next one, in the record's own units. */
export interface TrainJoint {
  readonly id: string
  readonly name: string
  /** Coupling centre along the train (in or mm). */
  readonly x: number
  /** Which of its neighbours the readings call stationary, the one the observer looks at: at lower x, or at higher. */
  readonly stationary: 'left' | 'right'
  readonly rpm: number
  readonly couplingKind: string
  readonly couplingType?: CouplingType | undefined
  readonly usual: UsualPlaces
  readonly hubs?: RegisteredHubs | undefined
  readonly tolerance: Tolerance
}

/** Fewest and most machines that make a train: two to seven couplings. */
export const FEWEST_UNITS = 3
export const MOST_UNITS = 8

/** Three machines or more on one line, from the driven end to the driver; coupling i joins machines i and i + 1. */
export interface TrainMachine {
  readonly drive: 'train'
  readonly units: UnitSystem
  /** Speed of the driver, as on its nameplate. */
  readonly rpm: number
  readonly machines: readonly TrainUnit[]
  readonly couplings: readonly TrainJoint[]
  readonly comeBack?: ComeBackRules
  /** How the machines grow, as the last job left it. */
  readonly growth?: GrowthSet | undefined
  readonly shimSize?: string | undefined
  readonly stock: readonly StockLeaf[]
  readonly packLimit: number
  readonly limitSets?: readonly LimitSet[]
}

/** A machine none of whose feet may be moved. */
export const staysPut = ({ feet }: TrainUnit): boolean => feet.every((f) => f.locked)
