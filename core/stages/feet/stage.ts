import { conflict, defineStage, invalid, type Objection } from '../../logbook/stage'
import { SIDES } from '../../plan/pairNames'
import type { FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import { doFootwork } from '../move/footwork'
import { MOST_LEAVES } from '../move/stage'
import type { FootRef } from './entries'
import { footKeyOf, type FeetCheck } from './feetCheck'

interface Sees {
  readonly machine: FootedMachine
  readonly safety: Safety
  readonly feetCheck: FeetCheck
  readonly packs: readonly PairPacks[]
  readonly measurements: readonly Measurement[]
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

/** Feet that this machine doesn't have, or one named twice. */
const footObjection = (
  machine: FootedMachine,
  list: readonly FootRef[],
  path: readonly string[],
): Objection | null => {
  const seen = new Set<string>()
  for (const [i, f] of list.entries()) {
    const known = machine.feet[f.machine].some((own) => own.id === f.pair)
    if (!known || seen.has(footKeyOf(f))) return invalid('no-such-feet', ...path, i, 'pair')
    seen.add(footKeyOf(f))
  }
  return null
}

/** All feet on the base, before anything is measured: gaps by feeler, rises one foot at a time, one foot filled. */
export const feetStage = defineStage({
  id: 'feet',
  writes: ['gaps-felt', 'rises-read', 'foot-filled'],
  skip: 'once',
  mark: ({ feetCheck }: Sees) => (feetCheck.stale ? 'stale' : (feetCheck.latest?.verdict ?? 'todo')),
  // Once shafts have been measured the feet were let be: what is read then is for whoever asks for it.
  wants: (job) =>
    job.measurements.length === 1 &&
    latest(job).sets.length === 0 &&
    (job.feetCheck.stale || (job.feetCheck.latest?.verdict ?? 'out') === 'out'),
  objection: (job, entry) => {
    const { machine, safety } = job
    switch (entry.kind) {
      case 'gaps-felt':
        return footObjection(machine, entry.payload.gaps, ['payload', 'gaps']) ?? lockoutObjection(safety)
      case 'rises-read': {
        const { rises } = entry.payload
        const wrong = footObjection(machine, rises, ['payload', 'rises'])
        if (wrong) return wrong
        const all = machine.feet.movable.flatMap((f) =>
          SIDES.map((side) => footKeyOf({ machine: 'movable', pair: f.id, side })),
        )
        const read = new Set(rises.map(footKeyOf))
        if (all.some((foot) => !read.has(foot))) return invalid('feet-unread', 'payload', 'rises')
        return lockoutObjection(safety)
      }
      case 'foot-filled': {
        const { change, units } = entry.payload
        const wrong = footObjection(machine, [change], ['payload', 'change'])
        if (wrong) return wrong
        if (change.putIn.length + change.takenOut.length === 0) return invalid('nothing-moved', 'payload')
        // What was read since the last move rests on the feet as they were.
        if (latest(job).sets.some((s) => s.leftOut === null)) return conflict('read-already')
        const { packs } = doFootwork(job.packs, { movable: [], stationary: [] }, units, [change], [])
        if (packs.some((p) => SIDES.some((s) => p.packs[s].length > MOST_LEAVES)))
          return invalid('too-many-leaves', 'payload', 'change')
        return lockoutObjection(safety)
      }
      default:
        return null
    }
  },
})
