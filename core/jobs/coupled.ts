import { kindOfJob } from './kindOfJob'
import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import type { CoupledMachine } from '../register/coupledMachine'
import { limitsOf, registeredLimits } from '../register/measuredMachine'
import { checkFeet, keepFeet, NO_FEET_ROUNDS, type FeetRounds } from '../stages/feet/feetCheck'
import { feetStage } from '../stages/feet/stage'
import { checkLooks, keepLooks, NO_LOOKS, type LookFacts } from '../stages/look/looks'
import { packsAsFound } from '../stages/look/shimsFound'
import { lookStage } from '../stages/look/stage'
import { keepRoughIn, NO_ROUGH_ROUNDS, type RoughRounds } from '../stages/roughIn/rounds'
import { checkRoughIn, type RoughIn } from '../stages/roughIn/roughIn'
import { roughInStage } from '../stages/roughIn/stage'
import { keepClosing, type Closing } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { checkLevels, keepLevels, NO_LEVELS, type LevelFacts, type Levels } from '../stages/level/levels'
import {
  checkRunouts,
  keepRunouts,
  NO_RUNOUTS,
  type RunoutFacts,
  type Runouts,
} from '../stages/level/runouts'
import { checkHot, expectedToGo, measureHot, UNKNOWN, type HotCheck } from '../stages/hotCheck/hotCheck'
import { keepHotRun, NO_HOT_RUN, type HotRun } from '../stages/hotCheck/hotRun'
import { hotCheckStage } from '../stages/hotCheck/stage'
import { levelStage } from '../stages/level/stage'
import { makeSafe } from '../stages/makeSafe/stage'
import { besideTheRounds } from '../stages/measure/beside'
import type { Measurement } from '../stages/measure/measurement'
import { keepRounds, NO_ROUNDS, type Round, type Rounds } from '../stages/measure/rounds'
import { asFound, reMeasure } from '../stages/measure/stage'
import { boltsOf, keepBolts, type BoltsEntry } from '../stages/move/bolts'
import { moveEvidence } from '../stages/move/evidence'
import { footworkOf } from '../stages/move/footwork'
import { watchPush } from '../stages/move/push'
import { moveStage } from '../stages/move/stage'
import { keepKit, type Kit } from '../stages/open/kit'
import { openStage } from '../stages/open/stage'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { recordPlan } from '../stages/plan/plans'
import { planStage } from '../stages/plan/stage'
import { checkProof } from '../stages/prove/checkProof'
import { keepProof, NO_PROOF, type ProofFacts } from '../stages/prove/proof'
import { proveStage } from '../stages/prove/stage'
import { keepSetUp, settleSetUp } from '../stages/setUp/setUp'
import { setUpStage } from '../stages/setUp/stage'
import { coldTarget, keepTarget, type ColdTarget, type TargetEntry } from '../stages/target/target'
import { targetStage } from '../stages/target/stage'
import { outcomeOf } from './coupledOutcome'
import { feetByRegister, lastUsable, tapedFeet, type FootedState } from './footed'
import { isHotVisit, turnOutOfOrder } from './coupledTurn'
import { atStart, filledPacks, measureMadeUp, takenNote, walkRounds } from './walkRounds'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly safety: Safety
  readonly lookFacts: LookFacts
  readonly feetRounds: FeetRounds
  readonly levelFacts: LevelFacts
  readonly runoutFacts: RunoutFacts
  readonly roughRounds: RoughRounds
  readonly setUp: LogEntry<'set-up'> | null
  readonly target: TargetEntry | null
  readonly bolts: BoltsEntry | null
  readonly hotRun: HotRun
  readonly proof: ProofFacts
  readonly rounds: Rounds
  readonly remarks: Remarks
  readonly closing: Closing
}
const BLANK: Facts = {
  skips: NO_SKIPS,
  opening: null,
  kit: null,
  vibration: NO_VIBRATION,
  safety: UNSAFE,
  lookFacts: NO_LOOKS,
  feetRounds: NO_FEET_ROUNDS,
  levelFacts: NO_LEVELS,
  runoutFacts: NO_RUNOUTS,
  roughRounds: NO_ROUGH_ROUNDS,
  setUp: null,
  target: null,
  bolts: null,
  hotRun: NO_HOT_RUN,
  proof: NO_PROOF,
  rounds: NO_ROUNDS,
  remarks: [],
  closing: null,
}

/**
 * What one entry changes. A line may use only what stands above it. Remembered, so that a digit typed
 * into a long job takes one entry, and every round before it is the very object it was.
 */
const take = remember((now: Facts, e: LogEntry): Facts => {
  const skips = keepSkips(now.skips, e)
  const opening = keepOpening(now.opening, e)
  const kit = keepKit(now.kit, e)
  const vibration = keepVibration(now.vibration, e)
  const safety = keepSafety(now.safety, e)
  const lookFacts = keepLooks(now.lookFacts, e)
  const feetRounds = keepFeet(now.feetRounds, e)
  const levelFacts = keepLevels(now.levelFacts, e)
  const runoutFacts = keepRunouts(now.runoutFacts, e)
  const roughRounds = keepRoughIn(now.roughRounds, e)
  const setUp = keepSetUp(now.setUp, e)
  const target = keepTarget(now.target, e)
  const bolts = keepBolts(now.bolts, e)
  const hotRun = keepHotRun(now.hotRun, e, setUp, now.rounds.length - 1)
  const beside = besideTheRounds(now.hotRun, now.proof)
  const proof = keepProof(now.proof, e, setUp, beside === 'prove')
  const rounds = keepRounds(now.rounds, e, setUp, beside !== null)
  const remarks = keepRemarks(now.remarks, e)
  const closing = keepClosing(now.closing, e)
  return {
    skips,
    opening,
    kit,
    vibration,
    safety,
    lookFacts,
    feetRounds,
    levelFacts,
    runoutFacts,
    roughRounds,
    setUp,
    target,
    bolts,
    hotRun,
    proof,
    rounds,
    remarks,
    closing,
  }
})

/** Everything a coupled job's logbook says, derived. Core units throughout. */
export interface CoupledState extends FootedState {
  readonly machine: CoupledMachine
  readonly coldTarget: ColdTarget
  readonly levels: Levels
  readonly runouts: Runouts
  readonly roughIn: RoughIn
  readonly hot: HotCheck
  /** How it is expected to go as it warms: closed now it is provisional. Null where that is borne out. */
  readonly expected: Misalignment | null
}

const measureWarm = remember((run: HotRun, tolerance: SettledTolerance) =>
  measureHot(
    run.sets.map((s) => takenNote(s, tolerance)),
    tolerance,
  ),
)
/** What follows from the facts. */
const workOut = (machine: CoupledMachine, facts: Facts): CoupledState => {
  const { opening, rounds } = facts
  const tolerance = opening ? limitsOf(machine, opening) : registeredLimits(machine)
  const aim = coldTarget(machine, facts.target)
  const target = aim.line
  const setUp = facts.setUp && settleSetUp(facts.setUp)
  const feet = setUp ? tapedFeet(setUp, machine) : feetByRegister(machine)
  const start = atStart(packsAsFound(machine, facts.lookFacts.shims))
  const looks = checkLooks(machine, facts.lookFacts)
  const feetCheck = checkFeet(machine, facts.feetRounds)
  const { measurements, walked, moves } = walkRounds(
    machine,
    rounds,
    tolerance,
    target,
    feet,
    setUp,
    start,
    moveEvidence(feetCheck, looks),
  )
  const latest = measurements[measurements.length - 1] as Measurement
  const current = rounds[rounds.length - 1] as Round
  const packs = filledPacks(walked[walked.length - 1] ?? start, current)
  const before = rounds[rounds.length - 2]
  const packsBefore = before ? filledPacks(walked[walked.length - 2] ?? start, before) : packs
  const roughIn = checkRoughIn(machine, facts.roughRounds)
  const waiting = current.plan
  const plan =
    waiting && recordPlan(waiting, footworkOf(waiting.entry, packs, feet), latest, tolerance, target)
  const asLeft = lastUsable(measurements)
  const hot = checkHot(
    facts.hotRun,
    measureWarm(facts.hotRun, tolerance),
    aim,
    tolerance,
    lastUsable(measurements.slice(0, facts.hotRun.moves + 1))?.coupling ?? UNKNOWN,
  )
  const proof = checkProof({
    machine,
    facts: facts.proof,
    measure: (sets) => measureMadeUp(sets, tolerance, target),
    uncoupled: asLeft,
    feet: feet.movable,
    tolerance,
    target,
    guardOnly: isHotVisit({ opening, moves, latest }),
    byReading: asLeft !== null || !roughIn.proves,
  })
  return {
    machine,
    skips: facts.skips,
    opening,
    kit: facts.kit,
    vibration: facts.vibration,
    rpm: opening?.payload.rpm ?? machine.rpm,
    tolerance,
    coldTarget: aim,
    target,
    safety: facts.safety,
    looks,
    feetCheck,
    levels: checkLevels(facts.levelFacts),
    runouts: checkRunouts(facts.runoutFacts, opening?.payload.rpm ?? machine.rpm),
    roughIn,
    setUp,
    feet,
    measurements,
    latest,
    plan,
    push: watchPush(plan && !plan.stale ? plan.footwork : null, feet, current.counts),
    bolts: boltsOf(machine, 2 * machine.feet.movable.length, facts.bolts),
    moves,
    packs,
    packsBefore,
    shimmed: rounds.length > 1 || current.filled.length > 0,
    asFound: measurements[0]?.coupling ? measurements[0] : null,
    asLeft,
    proof,
    hot,
    expected: expectedToGo(aim, tolerance),
    remarks: facts.remarks,
    closing: facts.closing,
    outcome: outcomeOf({ moves, latest, asLeft, roughIn, hot, proof }),
  }
}

/** The run sheet of a coupled job, in working order. */
export const COUPLED_STAGES = [
  openStage,
  makeSafe,
  lookStage,
  feetStage,
  levelStage,
  roughInStage,
  setUpStage,
  asFound,
  targetStage,
  planStage,
  moveStage,
  reMeasure,
  proveStage,
  hotCheckStage,
  closeStage,
] as const
export type CoupledStageId = (typeof COUPLED_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds a coupled job. Entries in logbook order. */
export const coupledJob = (machine: CoupledMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  const sheet = sheetOf<CoupledStageId, CoupledState>(COUPLED_STAGES, state)
  return {
    kind: 'coupled' as const,
    state,
    sheet: { ...sheet, current: turnOutOfOrder(state) ?? sheet.current },
  }
}

export const COUPLED = kindOfJob(coupledJob, COUPLED_STAGES)
