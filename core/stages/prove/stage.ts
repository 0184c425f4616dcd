import { conflict, defineStage, invalid } from '../../logbook/stage'
import type { Safety } from '../makeSafe/safety'
import { lockoutObjection } from '../makeSafe/stage'
import type { Proof } from './checkProof'
import { HANDS_IN } from './entries'

interface Sees {
  readonly safety: Safety
  readonly proof: Proof
}

/** Rotation, grease, the coupling made up and read once more, all tight, guard on. */
export const proveStage = defineStage({
  id: 'prove',
  writes: [
    'bump-begun',
    'rotation-seen',
    'coupling-made-up',
    'coupling-opened',
    'proof-confirmed',
    'readings-taken',
    'set-used-anyway',
    'set-left-out',
  ],
  skip: 'once',
  mark: ({ proof }: Sees) =>
    proof.rows.some((r) => r.stands === 'wrong') ? 'out' : proof.next === null ? 'done' : 'todo',
  wants: ({ proof }) => proof.next !== null,
  objection: ({ safety, proof }, entry) => {
    const { madeUp } = proof.facts
    switch (entry.kind) {
      case 'bump-begun':
        return madeUp ? conflict('bumped-coupled') : proof.bumping ? conflict('bumping-already') : null
      case 'rotation-seen':
        return entry.payload.seen !== 'not-needed' && !proof.bumping ? conflict('no-bump') : null
      case 'coupling-made-up':
        return madeUp ? conflict('made-up-already') : lockoutObjection(safety)
      case 'coupling-opened':
        return madeUp ? lockoutObjection(safety) : conflict('not-made-up')
      case 'proof-confirmed': {
        const { point, how } = entry.payload
        if (point === 'read-coupled' && how === 'done') return invalid('read-it', 'payload', 'how')
        return HANDS_IN.includes(point) ? lockoutObjection(safety) : null
      }
      default:
        return null
    }
  },
})
