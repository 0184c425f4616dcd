import { bumpFirst } from './bumpFirst'
import { kindOfJob } from './kindOfJob'
import { ALIGNED, type Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import {
  boltsAround,
  registeredFlange,
  type BoltLeaves,
  type FlangeMachine,
  type FlangeShape,
} from '../register/flangeMachine'
import { limitsOf, registeredLimits } from '../register/measuredMachine'
import { keepClosing, type Closing, type Outcome } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import {
  boltsFound,
  keepFlangeFound,
  leavesAsFound,
  NOTHING_FOUND,
  spigotOf,
  type BoltFound,
  type FlangeFound,
  type Spigot,
} from '../stages/flangeLook/flangeFound'
import { flangeLook } from '../stages/flangeLook/stage'
import { boltWorkOf } from '../stages/flangeMove/boltWork'
import {
  afterFlangeMove,
  flangeAtStart,
  type FlangeMoveRecord,
  type FlangeWalked,
} from '../stages/flangeMove/moves'
import { watchFlangePush, type FlangePushWatch } from '../stages/flangeMove/push'
import {
  keepFlangeRounds,
  NO_FLANGE_ROUNDS,
  type FlangeRound,
  type FlangeRounds,
} from '../stages/flangeMove/rounds'
import { flangeMove } from '../stages/flangeMove/stage'
import { flangeNeed, type FlangeNeed } from '../stages/flangePlan/need'
import { recordFlangePlan, type FlangePlanRecord } from '../stages/flangePlan/plans'
import { flangePlan } from '../stages/flangePlan/stage'
import { checkLooks, keepLooks, NO_LOOKS, type LookFacts, type Looks } from '../stages/look/looks'
import { keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import type { Measurement } from '../stages/measure/measurement'
import { asFound, reMeasure } from '../stages/measure/stage'
import { boltsOf, keepBolts, type Bolts, type BoltsEntry } from '../stages/move/bolts'
import { keepKit, type Kit } from '../stages/open/kit'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { openStage } from '../stages/open/stage'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { checkProof, type Proof } from '../stages/prove/checkProof'
import { keepProof, NO_PROOF, type ProofFacts } from '../stages/prove/proof'
import { proveStage } from '../stages/prove/stage'
import { keepSetUp, settleSetUp, type SetUp } from '../stages/setUp/setUp'
import { setUpStage } from '../stages/setUp/stage'
import { exceptionsOfProof, outcomeOfRounds } from './coupledOutcome'
import { measureMadeUp, measureTaken } from './walkRounds'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly safety: Safety
  readonly lookFacts: LookFacts
  readonly found: FlangeFound
  readonly setUp: LogEntry<'set-up'> | null
  readonly bolts: BoltsEntry | null
  readonly proof: ProofFacts
  readonly rounds: FlangeRounds
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
  found: NOTHING_FOUND,
  setUp: null,
  bolts: null,
  proof: NO_PROOF,
  rounds: NO_FLANGE_ROUNDS,
  remarks: [],
  closing: null,
}

/** What one entry changes. A line may use only what stands above it. */
const take = remember((now: Facts, e: LogEntry): Facts => {
  const skips = keepSkips(now.skips, e)
  const opening = keepOpening(now.opening, e)
  const kit = keepKit(now.kit, e)
  const vibration = keepVibration(now.vibration, e)
  const safety = keepSafety(now.safety, e)
  const lookFacts = keepLooks(now.lookFacts, e)
  const found = keepFlangeFound(now.found, e)
  const setUp = keepSetUp(now.setUp, e)
  const bolts = keepBolts(now.bolts, e)
  const madeUp = now.proof.madeUp !== null
  const proof = keepProof(now.proof, e, setUp, madeUp)
  const rounds = keepFlangeRounds(now.rounds, e, setUp, madeUp)
  const remarks = keepRemarks(now.remarks, e)
  const closing = keepClosing(now.closing, e)
  return {
    skips,
    opening,
    kit,
    vibration,
    safety,
    lookFacts,
    found,
    setUp,
    bolts,
    proof,
    rounds,
    remarks,
    closing,
  }
})

/** Everything the logbook of a flange-mounted motor says, derived. Core units throughout. */
export interface FlangeState {
  readonly machine: FlangeMachine
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly rpm: number
  readonly tolerance: SettledTolerance
  /** Where every verdict is taken from: in line. */
  readonly target: Misalignment
  readonly safety: Safety
  readonly looks: Looks
  readonly boltsFound: readonly BoltFound[]
  readonly found: FlangeFound
  readonly spigot: Spigot
  readonly setUp: SetUp | null
  /** Its bolts and where it lies: by tape, else by the register. */
  readonly shape: FlangeShape
  /** Index 0 is as found; index n is after the n-th move. */
  readonly measurements: readonly Measurement[]
  readonly latest: Measurement
  /** What it asks for as it was measured last. */
  readonly need: FlangeNeed
  readonly plan: FlangePlanRecord | null
  /** The push under way; null where none is planned. */
  readonly push: FlangePushWatch | null
  readonly bolts: Bolts | null
  readonly moves: readonly FlangeMoveRecord[]
  readonly leaves: BoltLeaves
  readonly leavesBefore: BoltLeaves
  readonly shimmed: boolean
  readonly asFound: Measurement | null
  /** The last measurement that could be used; equals as found when nothing was moved. */
  readonly asLeft: Measurement | null
  readonly proof: Proof
  readonly remarks: Remarks
  readonly closing: Closing
  readonly outcome: Outcome
}

const shapeOf = remember((setUp: SetUp, machine: FlangeMachine): FlangeShape =>
  setUp.flange
    ? { bolts: boltsAround(machine.flange.bolts, setUp.flange.across), plane: setUp.flange.plane }
    : registeredFlange(machine),
)

/** What follows from the facts. */
const workOut = (machine: FlangeMachine, facts: Facts): FlangeState => {
  const { opening, rounds } = facts
  const tolerance = opening ? limitsOf(machine, opening) : registeredLimits(machine)
  const setUp = facts.setUp && settleSetUp(facts.setUp)
  const shape = setUp ? shapeOf(setUp, machine) : registeredFlange(machine)
  const spigot = spigotOf(machine, facts.found)
  const measurements = rounds.map((r) => measureTaken(r, tolerance, ALIGNED))
  const start = flangeAtStart(leavesAsFound(machine, facts.found.shims))
  const walked: FlangeWalked[] = []
  for (let i = 0; i < rounds.length - 1; i++)
    walked.push(
      afterFlangeMove(
        walked[i - 1] ?? start,
        rounds[i] as FlangeRound,
        measurements[i] as Measurement,
        measurements[i + 1] as Measurement,
        shape,
      ),
    )
  const latest = measurements[measurements.length - 1] as Measurement
  const current = rounds[rounds.length - 1] as FlangeRound
  const { leaves } = walked[walked.length - 1] ?? start
  const plan =
    current.plan &&
    recordFlangePlan(current.plan, boltWorkOf(current.plan, leaves, shape), latest, tolerance, ALIGNED)
  const moves = walked.flatMap((w) => (w.record ? [w.record] : []))
  const asLeft = [...measurements].reverse().find((m) => m.coupling !== null) ?? null
  const proof = checkProof({
    machine,
    facts: facts.proof,
    measure: (sets) => measureMadeUp(sets, tolerance, ALIGNED),
    uncoupled: asLeft,
    feet: [],
    tolerance,
    target: ALIGNED,
    guardOnly: false,
    byReading: true,
  })
  const { verdict, exceptions } = outcomeOfRounds({ moves, latest, asLeft })
  return {
    machine,
    skips: facts.skips,
    opening,
    kit: facts.kit,
    vibration: facts.vibration,
    rpm: opening?.payload.rpm ?? machine.rpm,
    tolerance,
    target: ALIGNED,
    safety: facts.safety,
    looks: checkLooks(machine, facts.lookFacts),
    boltsFound: boltsFound(machine, facts.found.shims),
    found: facts.found,
    spigot,
    setUp,
    shape,
    measurements,
    latest,
    need: flangeNeed(latest, shape, spigot, tolerance, ALIGNED),
    plan,
    push: watchFlangePush(plan && !plan.stale ? plan.work.push : null, current.counts),
    bolts: boltsOf(machine, machine.flange.bolts, facts.bolts),
    moves,
    leaves,
    leavesBefore: walked[walked.length - 2]?.leaves ?? start.leaves,
    shimmed: moves.some((m) => m.work.shimsHandled > 0),
    asFound: measurements[0]?.coupling ? measurements[0] : null,
    asLeft,
    proof,
    remarks: facts.remarks,
    closing: facts.closing,
    outcome: { verdict, exceptions: [...exceptions, ...exceptionsOfProof(proof)] },
  }
}

/** The run sheet of a job on a flange-mounted motor, in working order. */
export const FLANGE_STAGES = [
  openStage,
  makeSafe,
  flangeLook,
  setUpStage,
  asFound,
  flangePlan,
  flangeMove,
  reMeasure,
  proveStage,
  closeStage,
] as const
export type FlangeStageId = (typeof FLANGE_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds a job on a flange-mounted motor. Entries in logbook order. */
export const flangeJob = (machine: FlangeMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  const sheet = sheetOf<FlangeStageId, FlangeState>(FLANGE_STAGES, state)
  return {
    kind: 'flange' as const,
    state,
    sheet: bumpFirst(sheet, state),
  }
}

export const FLANGE = kindOfJob(flangeJob, FLANGE_STAGES)
