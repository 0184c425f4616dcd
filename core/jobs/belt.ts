import { worstVerdict } from '../judge/judge'
import { kindOfJob } from './kindOfJob'
import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import type { BeltMachine } from '../register/beltMachine'
import { machineAsSet, setAlike, type Settings } from '../register/setSheaves'
import { lastRead } from '../logbook/rounds'
import { keepClosing, type Closing, type ExceptionReason, type Outcome } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { keepAlignment, NOT_LINED_UP, type Alignment } from '../stages/lineUp/alignment'
import { lineOfRound, type LineReading } from '../stages/lineUp/line'
import { lineUpStage } from '../stages/lineUp/stage'
import { keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { fitStage, keepFitted, NOT_FITTED, type Fitted } from '../stages/fit/stage'
import {
  checkInspection,
  keepInspection,
  NOT_INSPECTED,
  type InspectFacts,
  type Inspection,
} from '../stages/inspect/inspection'
import { inspectStage } from '../stages/inspect/stage'
import { checkRunning, keepRunning, type RunFacts, type Running } from '../stages/run/running'
import { runStage } from '../stages/run/stage'
import { keepSlack, slackOffStage, type Slack } from '../stages/slackOff/stage'
import { keepSquared, squareOf, type Squared, type SquareRead } from '../stages/square/square'
import { squareStage } from '../stages/square/stage'
import {
  keepFound,
  keepTension,
  UNTENSIONED,
  type TensionFound,
  type TensionRounds,
} from '../stages/tension/rounds'
import { tensionStage } from '../stages/tension/stage'
import { readTension, type TensionRead } from '../stages/tension/tension'
import { keepTightening, NOT_TIGHTENED, type Tightening } from '../stages/tighten/recheck'
import { recheckOf, tightenStage, type Recheck } from '../stages/tighten/stage'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly vibration: Vibration
  readonly safety: Safety
  readonly slack: Slack
  readonly inspected: InspectFacts
  readonly squared: Squared
  readonly alignment: Alignment
  readonly fitted: Fitted
  readonly rounds: TensionRounds
  readonly firstRead: TensionFound
  readonly tightening: Tightening
  readonly ran: RunFacts
  readonly remarks: Remarks
  readonly closing: Closing
}
const BLANK: Facts = {
  skips: NO_SKIPS,
  opening: null,
  vibration: NO_VIBRATION,
  safety: UNSAFE,
  slack: null,
  inspected: NOT_INSPECTED,
  squared: [],
  alignment: NOT_LINED_UP,
  fitted: NOT_FITTED,
  rounds: UNTENSIONED,
  firstRead: null,
  tightening: NOT_TIGHTENED,
  ran: [],
  remarks: [],
  closing: null,
}

/** What one entry changes. A line may use only what stands above it. */
const take = remember((now: Facts, e: LogEntry): Facts => ({
  skips: keepSkips(now.skips, e),
  opening: keepOpening(now.opening, e),
  vibration: keepVibration(now.vibration, e),
  safety: keepSafety(now.safety, e),
  slack: keepSlack(now.slack, e),
  inspected: keepInspection(now.inspected, e),
  squared: keepSquared(now.squared, e),
  alignment: keepAlignment(now.alignment, e, now.inspected.turns),
  fitted: keepFitted(now.fitted, e),
  rounds: keepTension(now.rounds, e, now.inspected.turns),
  firstRead: keepFound(now.firstRead, e, now.inspected.turns),
  // Set against what stood before this entry.
  tightening: keepTightening(now.tightening, e, now.alignment, now.rounds),
  ran: keepRunning(now.ran, e),
  remarks: keepRemarks(now.remarks, e),
  closing: keepClosing(now.closing, e),
}))

/** Everything a belt job's logbook says, derived. Core units throughout. */
export interface BeltState extends Facts {
  /** As its sheaves stand: set otherwise than the register says where that was read. */
  readonly machine: BeltMachine
  readonly rpm: number
  readonly inspection: Inspection
  /** A sheave stands otherwise than when the machine was lined up last: line, tension and current are stale. */
  readonly reset: boolean
  readonly square: SquareRead | null
  /** One a round of lining up, the last one under way; null where nothing was read. */
  readonly lines: readonly (LineReading | null)[]
  readonly asFound: LineReading | null
  readonly asLeft: LineReading | null
  /** One a round of tensioning, the last one under way; null where nothing was read. */
  readonly tensions: readonly (TensionRead | null)[]
  /** As it was found, before anything was slackened; null where nobody read it. */
  readonly tensionFound: TensionRead | null
  readonly tensionLeft: TensionRead | null
  readonly recheck: Recheck
  readonly running: Running
  readonly outcome: Outcome
}

const outcomeOf = ({
  skips,
  lines,
  asLeft,
  tensions,
  tensionLeft,
  recheck,
  running,
}: Omit<BeltState, 'outcome'>): Outcome => {
  const exceptions: ExceptionReason[] = []
  if (!asLeft && !tensionLeft) exceptions.push('unmeasured')
  else {
    const lineOpen = lines.length > 1 && lines[lines.length - 1] === null
    const tensionOpen = tensions.length > 1 && tensions[tensions.length - 1] === null
    if (lineOpen || tensionOpen) exceptions.push('corrected-since')
    if (!tensionLeft && !skips.once.has('tension')) exceptions.push('untensioned')
    const tight = recheck.facts.entry !== null && recheck.missing.length === 0
    if (recheck.loosened && !tight && !skips.once.has('tighten')) exceptions.push('untightened')
  }
  const verdict = worstVerdict([asLeft, tensionLeft].flatMap((r) => (r ? [r.verdict] : [])))
  if (verdict === 'out') exceptions.push('out')
  if (verdict === 'unknown' && (asLeft ?? tensionLeft)) exceptions.push('unknown')
  if (running.bad.length > 0) exceptions.push('runs-badly')
  return { verdict, exceptions }
}

const BLANK_ROUND = { contacts: null, reading: null, correction: null, turns: {} }
/** Whether a sheave was set otherwise after the last round was read: what was read then holds no longer. */
const setSince = (
  registered: BeltMachine,
  rounds: readonly { readonly turns: Settings }[],
  now: BeltMachine,
): boolean => {
  const last = rounds[rounds.length - 1]
  return last !== undefined && !setAlike(machineAsSet(registered, last.turns), now)
}

/** Rounds whose last reading holds no longer are followed by one that is still to be read. */
const thenStale = <T>(rounds: readonly (T | null)[], stale: boolean): readonly (T | null)[] =>
  stale && rounds[rounds.length - 1] !== null ? [...rounds, null] : rounds

/** What was read since tightening, less what a sheave set otherwise has made stale. */
const standing = (
  { line, tension }: Recheck['since'],
  lines: readonly (LineReading | null)[],
  tensions: readonly (TensionRead | null)[],
): Recheck['since'] => ({
  line: lines[lines.length - 1] ? line : null,
  tension: tensions[tensions.length - 1] ? tension : null,
})

const foundRead = (registered: BeltMachine, first: TensionFound): TensionRead | null =>
  first === null || first === 'slackened' || !first.reading
    ? null
    : readTension(first.reading, machineAsSet(registered, first.turns))

/** What follows from the facts. */
const workOut = (registered: BeltMachine, facts: Facts): BeltState => {
  const machine = machineAsSet(registered, facts.inspected.turns)
  const lines = thenStale(
    facts.alignment.map((round) => lineOfRound(round, machineAsSet(registered, round.turns))),
    setSince(registered, facts.alignment, machine),
  )
  const asLeft = lastRead(lines)
  const tensions = thenStale(
    facts.rounds.map((r) => r.reading && readTension(r.reading, machineAsSet(registered, r.turns))),
    setSince(registered, facts.rounds, machine),
  )
  const lineOf = (e: Tightening['since']['line']) =>
    e &&
    lineOfRound(
      e.kind === 'sheaves-read' ? { ...BLANK_ROUND, reading: e } : { ...BLANK_ROUND, contacts: e },
      machine,
    )
  const told = ({ line, tension }: Tightening['since']): Recheck['since'] => ({
    line: lineOf(line),
    tension: tension && readTension(tension, machine),
  })
  const { tightening, squared } = facts
  const inspection = checkInspection(registered, facts.inspected)
  const lastSquare = squared[squared.length - 1]
  const state = {
    ...facts,
    machine,
    rpm: facts.opening?.payload.rpm ?? machine.rpm,
    inspection,
    reset: inspection.settings.some((s) => s.opened),
    square: lastSquare ? squareOf(lastSquare, machine) : null,
    lines,
    asFound: lines[0] ?? null,
    asLeft,
    tensions,
    tensionFound: foundRead(registered, facts.firstRead),
    tensionLeft: lastRead(tensions),
    recheck: recheckOf(
      tightening,
      facts.slack !== null || facts.rounds.length > 1 || lines.length > 1,
      told(tightening.before),
      standing(told(tightening.since), lines, tensions),
    ),
    running: checkRunning(machine, facts.ran),
  }
  return { ...state, outcome: outcomeOf(state) }
}

/** The run sheet of a belt job, in working order. */
export const BELT_STAGES = [
  makeSafe,
  slackOffStage,
  inspectStage,
  squareStage,
  lineUpStage,
  fitStage,
  tensionStage,
  tightenStage,
  runStage,
  closeStage,
] as const
export type BeltStageId = (typeof BELT_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds a belt job. Entries in logbook order. */
export const beltJob = (machine: BeltMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  return { kind: 'belt' as const, state, sheet: sheetOf<BeltStageId, BeltState>(BELT_STAGES, state) }
}

export const BELT = kindOfJob(beltJob, BELT_STAGES)
