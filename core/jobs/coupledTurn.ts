import { isUnderWay } from '../stages/hotCheck/hotRun'
import { handsMayGo } from '../stages/makeSafe/safety'
import type { CoupledStageId, CoupledState } from './coupled'

/** A visit for the hot check alone, in which nothing was moved or read cold. */
export const isHotVisit = ({ opening, moves, latest }: Pick<CoupledState, 'opening' | 'moves' | 'latest'>) =>
  opening?.payload.reason === 'hot-check' && moves.length === 0 && latest.sets.length === 0

/**
 * Whose turn it is while the power is on, about a hot run, or in a visit that is for nothing else: it runs with the
 * lockout off, then hands want it back, then a bracket. Null where the sheet's own order holds.
 */
export const turnOutOfOrder = (state: CoupledState): CoupledStageId | null => {
  const { run, judgement } = state.hot
  if (state.closing || !state.opening) return null
  if (state.proof.bumping) return 'prove'
  if (isUnderWay(run)) {
    if (!run.ended) return 'hot-check'
    if (!handsMayGo(state.safety)) return 'make-safe'
    return state.setUp ? 'hot-check' : 'set-up'
  }
  if (!isHotVisit(state) || run.movedSince || state.skips.once.has('hot-check')) return null
  if (!run.answered) return 'hot-check'
  if (judgement?.verdict === 'out') return null
  if (state.proof.next === null || state.skips.once.has('prove')) return 'close'
  return handsMayGo(state.safety) ? 'prove' : 'make-safe'
}
