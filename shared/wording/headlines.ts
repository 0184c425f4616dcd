import {
  beltsWords,
  closingWords,
  measuringWords,
  movesWords,
  plansWords,
  safetyWords,
  setUpWords,
} from './en'
import type { BeltStageId, BeltState } from '../../core/jobs/belt'
import type { CoupledStageId, CoupledState } from '../../core/jobs/coupled'
import type { Job } from '../../core/jobs/jobs'
import type { Closing, Outcome } from '../../core/stages/close/closing'
import { handsMayGo, type Safety } from '../../core/stages/makeSafe/safety'
import type { Measurement } from '../../core/stages/measure/measurement'
import { diagnosisOf } from '../../core/stages/lineUp/line'
import { meaningOfLine } from './lines'
import { meaningOfPlan } from './plans'
import { meaningOfProof } from './prove'
import { farEnd, meaningOfReadings, type Meaning } from './readings'
import { meaningOfHot, powerWhy } from './hotCheck'
import { meaningOfLevelStage } from './level'
import { meaningOfLooks } from './look'
import { meaningOfOpening } from './open'
import { meaningOfRoughIn } from './roughIn'
import { meaningOfFeet } from './softFoot'
import { meaningOfTarget } from './targets'
import type { Telling } from './telling'

const plain = (mark: Meaning['mark'], headline: string, detail = ''): Meaning => ({ mark, headline, detail })

/** What the lockout means on its own stage. */
export const meaningOfSafety = (safety: Safety, closed: boolean, { words }: Telling): Meaning => {
  const w = safetyWords(words)
  if (closed) return plain('done', w.closed)
  if (safety.lost) return plain('stale', w.lost, powerWhy(safety.lost, { words }))
  if (safety.missing.length === 0) return plain('done', w.whole)
  if (safety.waived) return plain('todo', w.waived, safety.waived.payload.why)
  const next = safety.missing[0]
  return plain(
    'todo',
    !next || next === 'isolated' ? w.nothingSafe : w.next(w.points[next].name.toLowerCase()),
  )
}

/** What every other stage says of the lockout; null while hands may go to the machine or the job is closed. */
export const lockoutWarning = (safety: Safety, closed: boolean, { words }: Telling): string | null =>
  closed || handsMayGo(safety)
    ? null
    : safety.lost
      ? safetyWords(words).lostHere
      : safetyWords(words).missingHere

/** What closing now would mean. */
export const meaningOfClosing = (closing: Closing, outcome: Outcome, { words }: Telling): Meaning => {
  const w = closingWords(words)
  if (closing) return plain('done', w.closedBy(closing.payload.signedBy))
  const [reason] = outcome.exceptions
  const mark = outcome.verdict === 'unknown' ? 'todo' : outcome.verdict
  if (reason === 'edge') return plain('edge', w.needs[reason])
  if (reason) return plain(mark === 'in' || mark === 'edge' ? 'todo' : mark, w.needs[reason])
  return plain(mark, outcome.verdict === 'edge' ? w.edge : w.inBand)
}

/** What the move stage says before anything is typed. */
export const meaningOfMove = (state: CoupledState, { words }: Telling): Meaning => {
  const w = movesWords(words).headlines
  if (state.closing) return plain('done', movesWords(words).count(state.moves.length))
  if (!state.setUp) return plain('todo', w.setUpFirst)
  if (state.plan?.stale) return plain('stale', w.planStale)
  if (state.plan) return plain('todo', state.plan.footwork.planes.v ? w.shimsPlanned : w.sidePlanned)
  return state.moves.length > 0 && state.latest.sets.length === 0
    ? plain('done', w.logged)
    : plain('todo', w.free)
}

export const movableName = (state: CoupledState): string =>
  'movableName' in state.machine && typeof state.machine.movableName === 'string'
    ? state.machine.movableName.toLowerCase()
    : 'motor'

/** What both machines are called in a sentence. */
export const machineNames = (
  state: CoupledState,
): { readonly movable: string; readonly stationary: string } => ({
  movable: movableName(state),
  stationary:
    'stationaryName' in state.machine && typeof state.machine.stationaryName === 'string'
      ? state.machine.stationaryName.toLowerCase()
      : 'driven machine',
})

/** Stages that have readings typed into them. */
export type MeasuringStage = 'as-found' | 're-measure' | 'prove' | 'hot-check'

/** What was read at one of them; undefined after a move that was not made. */
export const measurementAt = (state: CoupledState, stage: MeasuringStage): Measurement | undefined => {
  switch (stage) {
    case 'as-found':
      return state.measurements[0]
    case 're-measure':
      return state.moves.length > 0 ? state.latest : undefined
    case 'prove':
      return state.proof.measurement
    case 'hot-check':
      return state.hot.measurement
  }
}

/** What a stage of measuring says: as found, or after the last move. */
export const meaningOfMeasuring = (
  state: CoupledState,
  stage: MeasuringStage,
  telling: Telling,
  now = Date.now(),
): Meaning => {
  const w = measuringWords(telling.words)
  const m = measurementAt(state, stage)
  if (stage === 'hot-check' && m?.sets.length === 0)
    return meaningOfHot(state, movableName(state), telling, now)
  if (!state.setUp) return plain('todo', w.setUpFirst, w.setUpFirstDetail)
  if (!m) return plain('todo', w.nothingMoved, w.nothingMovedDetail)
  return meaningOfReadings(m, movableName(state), state.setUp, telling)
}

/** What the set-up in force means. */
export const meaningOfSetUp = (state: CoupledState, { words }: Telling): Meaning => {
  const { setUp } = state
  if (!setUp) return plain('todo', setUpWords(words).tapeAsked)
  return setUp.holdsZero
    ? plain('done', setUpWords(words).complete)
    : plain('out', setUpWords(words).slipped, setUp.entry.payload.why)
}

/** What lining up means now. */
export const meaningOfAlignment = (state: BeltState, telling: Telling): Meaning => {
  const w = beltsWords(telling.words)
  const round = state.alignment[state.alignment.length - 1]
  const line = state.lines[state.lines.length - 1] ?? null
  if (line) return meaningOfLine(line, round?.reading === null, telling)
  if (round?.contacts) return plain('out', w.diagnoses[diagnosisOf(round.contacts)], w.askNumbers)
  return state.lines.length > 1 ? plain('stale', w.again) : plain('todo', w.begin, w.beginDetail)
}

const COUPLED: {
  readonly [S in CoupledStageId]: (state: CoupledState, telling: Telling) => Meaning
} = {
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  open: meaningOfOpening,
  look: (s, t) => meaningOfLooks(s.looks, t),
  feet: (s, t) => meaningOfFeet(s.feetCheck, s.machine, movableName(s), t),
  level: (s, t) => meaningOfLevelStage(s.levels, s.runouts, machineNames(s), t),
  'rough-in': (s, t) => meaningOfRoughIn(s.roughIn, movableName(s), t),
  'set-up': meaningOfSetUp,
  'as-found': (s, t) => meaningOfMeasuring(s, 'as-found', t),
  target: (s, t) => meaningOfTarget(s.coldTarget, s.tolerance, movableName(s), farEnd(s.feet.movable, t), t),
  plan: (s, t) => {
    const verdict = s.latest.judgement?.verdict
    if (s.plan === null && (verdict === 'out' || verdict === 'edge'))
      return plain('todo', plansWords(t.words).noneChosen)
    return meaningOfPlan(
      {
        now: s.latest.judgement,
        after: s.plan?.judgement ?? s.latest.judgement,
        moves: s.plan !== null,
        stale: s.plan?.stale ?? false,
        far: farEnd(s.feet.movable, t),
      },
      t,
    )
  },
  move: meaningOfMove,
  're-measure': (s, t) => meaningOfMeasuring(s, 're-measure', t),
  prove: meaningOfProof,
  'hot-check': (s, t) => meaningOfHot(s, movableName(s), t),
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

const BELT: { readonly [S in BeltStageId]: (state: BeltState, telling: Telling) => Meaning } = {
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  'line-up': meaningOfAlignment,
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

/** The headline of each stage's ledger as the logbook stands. */
export const headlinesOf = (job: Job, telling: Telling): Readonly<Record<string, string>> =>
  Object.fromEntries(
    job.kind === 'coupled'
      ? job.sheet.rows.map((r) => [r.id, COUPLED[r.id](job.state, telling).headline])
      : job.sheet.rows.map((r) => [r.id, BELT[r.id](job.state, telling).headline]),
  ) as Record<string, string>
