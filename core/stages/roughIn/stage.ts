import { conflict, defineStage, invalid } from '../../logbook/stage'
import type { CoupledMachine } from '../../register/machine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import { doFootwork } from '../move/footwork'
import { MOST_LEAVES } from '../move/stage'
import { SIDES } from '../../plan/movePlan'
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
      case 'hubs-roughed': {
        const { changes, side, units } = entry.payload
        const known = (f: { readonly machine: 'movable' | 'stationary'; readonly pair: string }) =>
          machine.feet[f.machine].some((own) => own.id === f.pair)
        const strange = changes.findIndex((c) => !known(c))
        if (strange >= 0) return invalid('no-such-feet', 'payload', 'changes', strange, 'pair')
        const off = side.findIndex((s) => !known(s))
        if (off >= 0) return invalid('no-such-feet', 'payload', 'side', off, 'pair')
        if (!changes.some((c) => c.putIn.length + c.takenOut.length > 0) && !side.some((s) => s.moved !== 0))
          return invalid('nothing-moved', 'payload')
        if (latest(job).sets.some((s) => s.leftOut === null)) return conflict('read-already')
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
