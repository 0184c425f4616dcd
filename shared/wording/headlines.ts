import { meaningOfClosing } from './closing'
import { type Meaning, plainMeaning } from './meaning'
import { meaningOfMeasuring } from './measuring'
import { meaningOfMove } from './moves'
import { meaningOfSafety } from './makeSafe'
import { machineNames, movableName } from './machineNames'
import { plansWords, setUpWords } from './en'
import type { BeltStageId, BeltState } from '../../core/jobs/belt'
import type { CoupledStageId, CoupledState } from '../../core/jobs/coupled'
import type { DrumStageId, DrumState } from '../../core/jobs/drum'
import type { FlangeStageId, FlangeState } from '../../core/jobs/flange'
import type { GearStageId, GearState } from '../../core/jobs/gear'
import { partsAt, type TrainStageId, type TrainState } from '../../core/jobs/train'
import type { Job } from '../../core/jobs/jobs'
import { meaningOfDrum } from './drumTrue'
import { meaningOfTram } from './drum'
import { meaningOfFlangeMove, meaningOfFlangePlan } from './flange'
import {
  meaningOfFit,
  meaningOfInspection,
  meaningOfRecheck,
  meaningOfRun,
  meaningOfSlack,
  meaningOfSquare,
} from './drive'
import { meaningOfAlignment } from './lines'
import { meaningOfBacklash } from './backlash'
import { meaningOfContact } from './gearContact'
import { meaningOfGearTighten, meaningOfPattern, meaningOfRefit } from './gearPrepare'
import { meaningOfTension } from './tension'
import { meaningOfPlan } from './plans'
import { meaningOfProof } from './prove'
import { meaningOfHot } from './hotCheck'
import { meaningOfLevelStage } from './level'
import { meaningOfLooks } from './look'
import { meaningOfOpening } from './open'
import { meaningOfRoughIn } from './roughIn'
import { meaningOfFeet } from './softFoot'
import { meaningOfGrowth, meaningOfTrainPlan } from './train'
import { meaningOfTarget } from './targets'
import { type Telling, farEnd } from './telling'

/** What the set-up in force means. */
export const meaningOfSetUp = (state: Pick<CoupledState, 'setUp'>, { words }: Telling): Meaning => {
  const { setUp } = state
  if (!setUp) return plainMeaning('todo', setUpWords(words).tapeAsked)
  return setUp.holdsZero
    ? plainMeaning('done', setUpWords(words).complete)
    : plainMeaning('out', setUpWords(words).slipped, setUp.entry.payload.why)
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
      return plainMeaning('todo', plansWords(t.words).noneChosen)
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

const FLANGE: {
  readonly [S in FlangeStageId]: (state: FlangeState, telling: Telling) => Meaning
} = {
  open: meaningOfOpening,
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  look: (s, t) => meaningOfLooks(s.looks, t),
  'set-up': meaningOfSetUp,
  'as-found': (s, t) => meaningOfMeasuring(s, 'as-found', t),
  plan: (s, t) => meaningOfFlangePlan(s, s.plan?.entry.payload.changes.length ?? 0, t),
  move: meaningOfFlangeMove,
  're-measure': (s, t) => meaningOfMeasuring(s, 're-measure', t),
  prove: meaningOfProof,
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

const DRUM: { readonly [S in DrumStageId]: (state: DrumState, telling: Telling) => Meaning } = {
  open: meaningOfOpening,
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  look: (s, t) => meaningOfLooks(s.looks, t),
  feet: (s, t) => meaningOfFeet(s.feetCheck, s.machine, movableName(s), t),
  'set-up': meaningOfSetUp,
  'as-found': (s, t) => meaningOfMeasuring(s, 'as-found', t),
  plan: meaningOfTram,
  move: meaningOfMove,
  're-measure': (s, t) => meaningOfMeasuring(s, 're-measure', t),
  'drum-runout': (s, t) => meaningOfDrum(s.drum, t),
  prove: meaningOfProof,
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

const GEAR: { readonly [S in GearStageId]: (state: GearState, telling: Telling) => Meaning } = {
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  look: (s, t) => meaningOfLooks(s.looks, t),
  pattern: meaningOfPattern,
  refit: meaningOfRefit,
  contact: meaningOfContact,
  backlash: meaningOfBacklash,
  tighten: meaningOfGearTighten,
  run: (s, t) => meaningOfRun(s.running, t, true),
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

const BELT: { readonly [S in BeltStageId]: (state: BeltState, telling: Telling) => Meaning } = {
  'make-safe': (s, t) => meaningOfSafety(s.safety, s.closing !== null, t),
  'slack-off': meaningOfSlack,
  inspect: (s, t) => meaningOfInspection(s.inspection, t),
  square: (s, t) => meaningOfSquare(s.square, false, t),
  'line-up': meaningOfAlignment,
  fit: meaningOfFit,
  tension: meaningOfTension,
  tighten: (s, t) => meaningOfRecheck(s.recheck, s.tensionLeft !== null, t),
  run: (s, t) => meaningOfRun(s.running, t),
  close: (s, t) => meaningOfClosing(s.closing, s.outcome, t),
}

/** What a stage says of the part whose turn it is, by its name; of the first where none wants. */
const atPart = (
  state: TrainState,
  id: Exclude<CoupledStageId, 'target' | 'plan'>,
  telling: Telling,
): string => {
  const rows = partsAt(state, id)
  const row = rows.find((r) => r.wants) ?? rows[0]
  const own = row && [...state.couplings, ...state.machines].find((p) => p.part.id === row.part.id)
  return own ? `${own.part.name}: ${COUPLED[id](own.state, telling.of(own.part.machine)).headline}` : ''
}

const trainHeadline = (state: TrainState, id: TrainStageId, telling: Telling): string => {
  switch (id) {
    case 'make-safe':
      return meaningOfSafety(state.safety, state.closing !== null, telling).headline
    case 'growth':
      return meaningOfGrowth(state, telling).headline
    case 'train-plan':
      return meaningOfTrainPlan(state, { plan: null, figures: [], searching: false }, telling).headline
    case 'close':
      return meaningOfClosing(state.closing, state.outcome, telling).headline
    default:
      return atPart(state, id, telling)
  }
}

const headlines = (job: Job, telling: Telling): readonly (readonly [string, string])[] => {
  switch (job.kind) {
    case 'coupled':
      return job.sheet.rows.map((r) => [r.id, COUPLED[r.id](job.state, telling).headline])
    case 'train':
      return job.sheet.rows.map((r) => [r.id, trainHeadline(job.state, r.id, telling)])
    case 'flange':
      return job.sheet.rows.map((r) => [r.id, FLANGE[r.id](job.state, telling).headline])
    case 'drum':
      return job.sheet.rows.map((r) => [r.id, DRUM[r.id](job.state, telling).headline])
    case 'gear':
      return job.sheet.rows.map((r) => [r.id, GEAR[r.id](job.state, telling).headline])
    case 'belt':
      return job.sheet.rows.map((r) => [r.id, BELT[r.id](job.state, telling).headline])
  }
}

/** The headline of each stage's ledger as the logbook stands. */
export const headlinesOf = (job: Job, telling: Telling): Readonly<Record<string, string>> =>
  Object.fromEntries(headlines(job, telling))
