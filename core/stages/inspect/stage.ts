import { defineStage, invalid } from '../../logbook/stage'
import type { BeltMachine } from '../../register/beltMachine'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Opening } from '../open/opening'
import { opensUp, type Slack } from '../slackOff/stage'
import type { Inspection } from './inspection'

interface Sees {
  readonly machine: BeltMachine
  readonly safety: Safety
  readonly opening: Opening
  readonly slack: Slack
  readonly inspection: Inspection
}

const unread = ({ settings }: Inspection): boolean => settings.some((s) => s.entry === null)

/** Grooves, bushings, belts, shafts and base looked over while the belts are loose. */
export const inspectStage = defineStage({
  id: 'inspect',
  writes: ['drive-looked', 'setting-read'],
  skip: 'once',
  mark: ({ inspection }: Sees) =>
    inspection.counts['to-report'] > 0 || inspection.settings.some((s) => s.opened)
      ? 'edge'
      : inspection.unseen.length === 0 && !unread(inspection)
        ? 'done'
        : 'todo',
  // How a sheave stands is read on every visit: whoever balances the system may have set it otherwise.
  wants: (job) => unread(job.inspection) || (opensUp(job) && job.inspection.unseen.length > 0),
  objection: ({ machine, safety }, entry) => {
    if (entry.kind === 'setting-read') {
      const { place, turns } = entry.payload
      const { build } = machine.sheaves[place]
      if (build?.kind !== 'variable') return invalid('not-variable', 'payload', 'place')
      if (turns > build.turnsMost) return invalid('opened-too-far', 'payload', 'turns')
    }
    return lockoutObjection(safety)
  },
})
