import { defineStage, invalid } from '../../logbook/stage'
import type { BeltMachine } from '../../register/beltMachine'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Opening } from '../open/opening'
import { opensUp, type Slack } from '../slackOff/stage'
import type { LineReading } from './line'

interface Sees {
  readonly machine: BeltMachine
  readonly safety: Safety
  readonly opening: Opening
  readonly slack: Slack
  /** One a round, the last one under way; null where nothing was read. */
  readonly lines: readonly (LineReading | null)[]
  /** A sheave was set otherwise since the machine was lined up last. */
  readonly reset: boolean
}

const now = (job: Sees): LineReading | null => job.lines[job.lines.length - 1] ?? null
/** What was read, here or at the last visit, holds no longer. */
const stale = (job: Sees): boolean => job.lines.length > 1 || job.reset

/** Both sheaves in one line, checked by an edge across their faces. */
export const lineUpStage = defineStage({
  id: 'line-up',
  writes: ['contacts-checked', 'sheaves-read', 'line-corrected'],
  skip: 'once',
  mark: (job: Sees) => now(job)?.verdict ?? (stale(job) ? 'stale' : 'todo'),
  wants: (job) => {
    const line = now(job)
    // On a planned visit the belts stay on; the line is read again once the base is tightened.
    return line === null ? opensUp(job) || stale(job) : line.verdict === 'out'
  },
  objection: ({ safety, machine }, entry) => {
    const grooves = entry.kind === 'sheaves-read' ? entry.payload.grooves : undefined
    for (const place of grooves ? (['motor', 'driven'] as const) : []) {
      const n = grooves?.[place] ?? 1
      const { grooves: most, groovePitch } = machine.sheaves[place]
      if (n > most || (n > 1 && groovePitch === undefined))
        return invalid('no-such-groove', 'payload', 'grooves', place)
    }
    return lockoutObjection(safety)
  },
})
