import { defineStage } from '../../logbook/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Opening } from '../open/opening'
import { opensUp, type Slack } from '../slackOff/stage'
import type { SquareRead } from './square'

interface Sees {
  readonly safety: Safety
  readonly opening: Opening
  readonly slack: Slack
  readonly square: SquareRead | null
}

/** The motor square on its base, by two distances: what is skewed can't be cured at the sheave. */
export const squareStage = defineStage({
  id: 'square',
  writes: ['motor-squared'],
  skip: 'once',
  mark: ({ square }: Sees) => square?.verdict ?? 'todo',
  wants: (job) => opensUp(job) && (job.square === null || job.square.verdict === 'out'),
  objection: ({ safety }) => lockoutObjection(safety),
})
