import type { Side } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'

/** What is done under one foot of one machine of the train. */
export interface TrainFootChange {
  readonly machine: string
  readonly pair: string
  /** As seen looking toward the first machine. */
  readonly side: Side
  readonly takenOut: readonly number[]
  readonly putIn: readonly number[]
}

/** How far a foot pair of the train is pushed sideways, toward 3 positive as seen looking toward the first machine. */
export interface TrainSideChange {
  readonly machine: string
  readonly pair: string
  readonly moved: number
}

/** Ways to move a train: as near as whole shims come, with the least work, or one machine alone. */
export const TRAIN_PLAN_KINDS = ['least-work', 'closest', 'one-machine'] as const
export type TrainOption = (typeof TRAIN_PLAN_KINDS)[number]

export interface TrainPlanEntries {
  /** A machine that the register holds is let go for this job, or one that it lets go is held; and why. */
  'machine-freed': { readonly machine: string; readonly may: boolean; readonly why: string }
  'train-plan-chosen': {
    readonly units: UnitSystem
    readonly option: TrainOption
    readonly changes: readonly TrainFootChange[]
    readonly side: readonly TrainSideChange[]
    /** The sets it was made from, by coupling. */
    readonly sets: Readonly<Record<string, readonly string[]>>
  }
}
