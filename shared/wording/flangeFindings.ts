import { pushWords } from './flange'
import { findingsWords, flangeWords } from './en'
import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'
import { findingOfSetUp, measurementFinding } from './measuredFindings'
import { findingOfLooks, findingOfOpening, findingOfProof } from './stageFindings'
import { capital } from './capital'
import type { Telling } from './telling'
import type { FlangeStageId, FlangeState } from '../../core/jobs/flange'
import type { Job } from '../../core/jobs/jobs'

const planFinding = ({ plan, need }: FlangeState, telling: Telling): string => {
  const w = flangeWords(telling.words)
  if (!plan) return need.asks === 'frame' || need.asks === 'beyond' ? w.finding[need.asks] : ''
  const { does, changes } = plan.entry.payload
  if (does === 'push') return plan.work.push ? w.finding.push(pushWords(plan.work.push, telling)) : ''
  return w.finding.school(w.school[does], w.finding.shims(changes.filter((c) => c.putIn.length > 0).length))
}

/** What each stage of a job on a flange found. */
const FOUND: { readonly [S in FlangeStageId]: (state: FlangeState, telling: Telling) => string } = {
  open: findingOfOpening,
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  look: (s, t) =>
    [
      findingOfLooks(s.looks, t),
      s.spigot.from === 'job' ? flangeWords(t.words).spigot.finding[s.spigot.fit] : '',
    ]
      .filter(Boolean)
      .join(', '),
  'set-up': findingOfSetUp,
  'as-found': (s, t) => measurementFinding(s.measurements[0], t),
  plan: planFinding,
  move: ({ moves }, { words }) => (moves.length === 0 ? '' : findingsWords(words).moves(moves.length)),
  're-measure': (s, t) => measurementFinding(s.moves.length > 0 ? s.latest : undefined, t),
  prove: findingOfProof,
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** What each stage of a job on a flange found, for its run sheet. */
export const flangeFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'flange'
    ? findingsOfRows(job, (id) => capital(FOUND[id as FlangeStageId](job.state, telling)), telling)
    : {}
