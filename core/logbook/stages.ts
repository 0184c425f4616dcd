import type { Verdict } from '../judge/judge'
import { STAGES, type StageId } from './entry'
import type { JobState } from './foldJob'

/** todo, done and skipped are plain; a verdict stands where a stage has one. */
export type StageMark = 'todo' | 'done' | 'skipped' | Verdict

export interface StageState {
  readonly mark: StageMark
}

type Unstaged = Omit<JobState, 'stages' | 'current'>

const believable = (m: Unstaged['latest']): boolean => m.trust === 'agreed' || m.trust === 'overridden'

const markOfMeasurement = (m: Unstaged['latest'] | undefined): StageMark => {
  if (!m || m.sets.length === 0) return 'todo'
  const verdict = m.judgement?.verdict
  return verdict && verdict !== 'unknown' && m.trust !== 'doubtful' ? verdict : 'out'
}

/** Where the job stands: a mark for each stage, and the stage whose turn it is. */
export const stageStates = (state: Unstaged): Pick<JobState, 'stages' | 'current'> => {
  const { latest, moves, measurements } = state
  const asFound = measurements[0]
  const round = moves.length
  const inBand = latest.judgement?.verdict === 'in' || latest.judgement?.verdict === 'edge'
  const planned = state.plan !== null
  const marks: Record<StageId, StageMark> = {
    'make-safe': state.safety.missing.length === 0 ? 'done' : 'todo',
    'set-up': state.setUp ? (state.setUp.holdsZero ? 'done' : 'out') : 'todo',
    'as-found': markOfMeasurement(asFound),
    plan: planned
      ? (verdictMark(state.plan?.judgement?.verdict) ?? 'done')
      : round > 0 && (inBand || latest.sets.length === 0)
        ? 'done'
        : 'todo',
    move: round > 0 && !planned ? 'done' : 'todo',
    're-measure': round > 0 ? markOfMeasurement(latest) : 'todo',
    close: state.closed ? 'done' : 'todo',
  }
  for (const stage of STAGES)
    if (state.skipped[stage] !== undefined && marks[stage] === 'todo') marks[stage] = 'skipped'

  const current = ((): StageId => {
    if (state.closed) return 'close'
    if (state.safety.missing.length > 0) return 'make-safe'
    if (!state.setUp) return 'set-up'
    if (planned) return 'move'
    if (!believable(latest)) {
      if (round === 0) return 'as-found'
      return marks['re-measure'] === 'skipped' ? 'close' : 're-measure'
    }
    if (inBand) return 'close'
    return state.skipped.plan === undefined ? 'plan' : state.skipped.move === undefined ? 'move' : 'close'
  })()
  const stages = Object.fromEntries(STAGES.map((s) => [s, { mark: marks[s] }])) as Record<StageId, StageState>
  return { stages, current }
}

const verdictMark = (verdict: string | undefined): Verdict | null =>
  verdict === 'in' || verdict === 'edge' || verdict === 'out' ? verdict : null
