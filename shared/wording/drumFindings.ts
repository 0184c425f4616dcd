import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'
import { offsetWords } from './directions'
import { findingOfDrum } from './drumTrue'
import { drumWords, findingsWords } from './en'
import { findingOfSetUp, measurementFinding } from './measuredFindings'
import { findingOfFeet, findingOfLooks, findingOfOpening, findingOfProof } from './stageFindings'
import { capital } from './capital'
import type { Telling } from './telling'
import type { DrumStageId, DrumState } from '../../core/jobs/drum'
import type { Job } from '../../core/jobs/jobs'

/** `Side done, height 3.0 low`: how far the steps have come. */
const tramFinding = ({ tram, latest }: DrumState, telling: Telling): string => {
  const { steps, stands } = drumWords(telling.words)
  const line = latest.coupling
  if (!line || tram.turn === 'drum-runout') return ''
  const plane = tram.turn === 'height' ? 'v' : 'h'
  return `${steps[tram.turn].name}: ${tram.rows.some((r) => r.step === tram.turn && r.stands === 'out') ? offsetWords(line.offset[plane], plane, telling) : stands.waits}`
}

const FOUND: { readonly [S in DrumStageId]: (state: DrumState, telling: Telling) => string } = {
  open: findingOfOpening,
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  look: (s, t) => findingOfLooks(s.looks, t),
  feet: (s, t) => findingOfFeet(s.feetCheck, s.machine, t),
  'set-up': findingOfSetUp,
  'as-found': (s, t) => measurementFinding(s.measurements[0], t),
  plan: tramFinding,
  move: ({ moves }, { words }) => (moves.length === 0 ? '' : findingsWords(words).moves(moves.length)),
  're-measure': (s, t) => measurementFinding(s.moves.length > 0 ? s.latest : undefined, t),
  'drum-runout': (s, t) => findingOfDrum(s.drum, t),
  prove: findingOfProof,
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** What each stage of a job at a drum found, for its run sheet. */
export const drumFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'drum'
    ? findingsOfRows(job, (id) => capital(FOUND[id as DrumStageId](job.state, telling)), telling)
    : {}
