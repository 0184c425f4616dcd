import type { LogEntry } from '../../logbook/entry'
import { defineStage } from '../../logbook/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Slack } from '../slackOff/stage'

/** What was laid on since the belts were last slackened; `newHere` once new ones came on in this job. */
export interface Fitted {
  readonly entry: LogEntry<'belts-fitted'> | null
  readonly newHere: boolean
}
export const NOT_FITTED: Fitted = { entry: null, newHere: false }

export const keepFitted = (now: Fitted, e: LogEntry): Fitted => {
  if (e.kind === 'belts-fitted') return { entry: e, newHere: now.newHere || e.payload.belts === 'new' }
  return e.kind === 'slacked-off' && now.entry ? { ...now, entry: null } : now
}

interface Sees {
  readonly safety: Safety
  readonly slack: Slack
  readonly fitted: Fitted
}

/** Belts on: the larger sheave first, the smaller rolled by hand. */
export const fitStage = defineStage({
  id: 'fit',
  writes: ['belts-fitted'],
  skip: 'once',
  mark: ({ fitted }: Sees) => (fitted.entry ? 'done' : 'todo'),
  wants: ({ slack, fitted }) => slack !== null && fitted.entry === null,
  objection: ({ safety }) => lockoutObjection(safety),
})
