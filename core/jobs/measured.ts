import { besideTheRounds } from '../stages/measure/beside'
import type { CoupledState } from './coupled'
import type { DrumState } from './drum'
import type { FlangeState } from './flange'

/** What is derived of any job whose shaft is measured at a coupling. */
export type MeasuredState = CoupledState | DrumState | FlangeState

/** Which stage readings taken now belong to when it is none of the rounds; null otherwise. */
export const besideOf = (state: MeasuredState): 'hot-check' | 'prove' | null =>
  'hot' in state
    ? besideTheRounds(state.hot.run, state.proof.facts)
    : state.proof.facts.madeUp
      ? 'prove'
      : null
