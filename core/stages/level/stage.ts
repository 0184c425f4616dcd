import { defineStage, invalid } from '../../logbook/stage'
import type { CoupledMachine } from '../../register/machine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import { shimObjection } from '../move/shimObjection'
import type { Levels } from './levels'
import { readRunout, type Runouts } from './runouts'

interface Sees {
  readonly machine: CoupledMachine
  readonly rpm: number
  readonly safety: Safety
  readonly levels: Levels
  readonly runouts: Runouts
  readonly packs: readonly PairPacks[]
  readonly measurements: readonly Measurement[]
}

/** Both machines compared by a level, hubs turned under a dial. Optional: it never calls for hands by itself. */
export const levelStage = defineStage({
  id: 'level',
  writes: ['level-read', 'machine-levelled', 'runout-read'],
  skip: 'once',
  mark: ({ levels, runouts }: Sees) => {
    if (runouts.verdict === 'out') return 'out'
    switch (levels.says) {
      case 'again':
        return 'stale'
      case 'shim':
        return 'out'
      case 'leave':
        return 'done'
      case 'level':
        return runouts.verdict === 'edge' ? 'edge' : 'in'
      case 'nothing':
        return runouts.verdict ?? 'todo'
      default:
        return 'todo'
    }
  },
  wants: () => false,
  objection: (job, entry) => {
    const { safety, rpm } = job
    switch (entry.kind) {
      case 'level-read':
        return lockoutObjection(safety)
      case 'runout-read':
        return readRunout(entry, rpm).ok
          ? lockoutObjection(safety)
          : invalid('runout-positions', 'payload', 'readings')
      case 'machine-levelled':
        return shimObjection(job, { ...entry.payload, side: [] })
      default:
        return null
    }
  },
})
