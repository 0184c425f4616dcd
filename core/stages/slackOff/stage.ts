import type { LogEntry } from '../../logbook/entry'
import { defineStage } from '../../logbook/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Opening } from '../open/opening'

/** The last time the belts were slackened in this job. */
export type Slack = LogEntry<'slacked-off'> | null

export const keepSlack = (now: Slack, e: LogEntry): Slack => (e.kind === 'slacked-off' ? e : now)

/**
 * Whether the drive is to be opened up: on a planned visit the belts stay on and are read first, until
 * somebody slackens them all the same.
 */
export const opensUp = ({ opening, slack }: { readonly opening: Opening; readonly slack: Slack }): boolean =>
  slack !== null || (opening !== null && opening.payload.reason !== 'planned')

interface Sees {
  readonly safety: Safety
  readonly opening: Opening
  readonly slack: Slack
}

/** The motor in, evenly, until the belts lift off by hand. */
export const slackOffStage = defineStage({
  id: 'slack-off',
  writes: ['slacked-off'],
  skip: 'once',
  mark: ({ slack }: Sees) => (slack ? 'done' : 'todo'),
  wants: (job) => opensUp(job) && job.slack === null,
  objection: ({ safety }) => lockoutObjection(safety),
})
