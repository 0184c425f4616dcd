import { defineStage, invalid } from '../../logbook/stage'
import type { BeltMachine } from '../../register/beltMachine'
import { readingsOf } from '../../register/readingsOf'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { valuesOf, type TensionRead } from './tension'

interface Sees {
  readonly machine: BeltMachine
  readonly safety: Safety
  /** One a round, the last one under way; null where nothing was read. */
  readonly tensions: readonly (TensionRead | null)[]
  /** A sheave was set otherwise since the belts were tensioned last. */
  readonly reset: boolean
}

const now = (job: Sees): TensionRead | null => job.tensions[job.tensions.length - 1] ?? null

/** Every belt of the set read by one school, turned to its band. */
export const tensionStage = defineStage({
  id: 'tension',
  writes: ['tension-read', 'tension-adjusted'],
  skip: 'once',
  mark: (job: Sees) => {
    const read = now(job)
    if (read) return read.verdict === 'unknown' ? 'done' : read.verdict
    return job.tensions.length > 1 || job.reset ? 'stale' : 'todo'
  },
  wants: (job) => {
    const read = now(job)
    return read === null || read.verdict === 'out'
  },
  objection: ({ machine, safety }, entry) => {
    if (entry.kind === 'tension-read') {
      if (valuesOf(entry.payload.read).length !== readingsOf(machine))
        return invalid('belts-missing', 'payload', 'read')
    }
    return lockoutObjection(safety)
  },
})
