import { conflict, defineStage, invalid } from '../../logbook/stage'
import { SIDES } from '../../plan/movePlan'
import type { CoupledMachine } from '../../register/machine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import { doFootwork } from '../move/footwork'
import { MOST_LEAVES } from '../move/stage'
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
    const { machine, safety, rpm } = job
    switch (entry.kind) {
      case 'level-read':
        return lockoutObjection(safety)
      case 'runout-read':
        return readRunout(entry, rpm).ok
          ? lockoutObjection(safety)
          : invalid('runout-positions', 'payload', 'readings')
      case 'machine-levelled': {
        const { changes, units } = entry.payload
        const strange = changes.findIndex((c) => !machine.feet[c.machine].some((own) => own.id === c.pair))
        if (strange >= 0) return invalid('no-such-feet', 'payload', 'changes', strange, 'pair')
        if (!changes.some((c) => c.putIn.length + c.takenOut.length > 0))
          return invalid('nothing-moved', 'payload')
        if (job.measurements[job.measurements.length - 1]?.sets.some((s) => s.leftOut === null))
          return conflict('read-already')
        const { packs } = doFootwork(job.packs, { movable: [], stationary: [] }, units, changes, [])
        if (packs.some((p) => SIDES.some((s) => p.packs[s].length > MOST_LEAVES)))
          return invalid('too-many-leaves', 'payload', 'changes')
        return lockoutObjection(safety)
      }
      default:
        return null
    }
  },
})
