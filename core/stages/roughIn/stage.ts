import { defineStage, invalid } from '../../logbook/stage'
import type { CoupledMachine } from '../../register/machine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import { shimObjection } from '../move/shimObjection'
import { readFeelers, type RoughIn } from './roughIn'

interface Sees {
  readonly machine: CoupledMachine
  readonly safety: Safety
  readonly roughIn: RoughIn
  readonly packs: readonly PairPacks[]
  readonly measurements: readonly Measurement[]
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

/** Hubs near enough by straightedge and feeler before an instrument goes on; for a small coupling, all of the alignment. */
export const roughInStage = defineStage({
  id: 'rough-in',
  writes: ['hubs-felt', 'hubs-roughed'],
  skip: 'once',
  mark: ({ roughIn }: Sees) => (roughIn.stale ? 'stale' : (roughIn.latest?.verdict ?? 'todo')),
  // Once shafts have been measured the instrument says more than a feeler could.
  wants: (job) =>
    job.measurements.length === 1 &&
    latest(job).sets.length === 0 &&
    (job.roughIn.stale || job.roughIn.latest === null || job.roughIn.latest.next !== 'done'),
  objection: (job, entry) => {
    const { machine, safety } = job
    switch (entry.kind) {
      case 'hubs-felt': {
        const { gaps, diameter } = entry.payload
        if (gaps.length > 0 && diameter === null) return invalid('face-circle-missing', 'payload', 'diameter')
        const felt = readFeelers(machine, entry)
        if (!felt.ok)
          return felt.refusals.some((r) => r.code === 'bounds-empty')
            ? invalid('feelers-contradict', 'payload')
            : invalid('feeler-places', 'payload')
        return lockoutObjection(safety)
      }
      case 'hubs-roughed':
        return shimObjection(job, entry.payload)
      default:
        return null
    }
  },
})
