import { readsHot, type HotRun } from '../hotCheck/hotRun'
import type { ProofFacts } from '../prove/proof'

/** Which stage readings taken now belong to when it is none of the rounds: the warm machine's, or the proof's; null otherwise. */
export const besideTheRounds = (run: HotRun, proof: ProofFacts): 'hot-check' | 'prove' | null =>
  readsHot(run) ? 'hot-check' : proof.madeUp ? 'prove' : null
