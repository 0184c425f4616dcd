import { defineStage } from '../../logbook/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Refit } from './refit'

interface Sees {
  readonly safety: Safety
  readonly refit: Refit
  /** The gearset is, or is to be, taken apart in this job. */
  readonly opensUp: boolean
}

/** Bearings, gears and blocks back in, on their own marked layers; the pins left out until the contact is right. */
export const refitStage = defineStage({
  id: 'refit',
  writes: ['gear-refitted'],
  skip: 'once',
  mark: ({ refit }: Sees) => (refit ? 'done' : 'todo'),
  wants: ({ refit, opensUp }) => opensUp && refit === null,
  objection: ({ safety }) => lockoutObjection(safety),
})
