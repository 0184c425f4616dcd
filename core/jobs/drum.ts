import { ALIGNED, type Misalignment } from '../frame/planes'
import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import type { RimFaceSetUp } from '../methods/rimFace'
import { judgedAsRead, type DrumMachine } from '../register/drumMachine'
import { limitsOf, registeredLimits } from '../register/measuredMachine'
import { keepClosing, type Closing } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { checkDrum, keepDrum, NOT_TURNED, type DrumFacts, type DrumTrue } from '../stages/drumTrue/drumTrue'
import { drumTrueStage } from '../stages/drumTrue/stage'
import { checkFeet, keepFeet, NO_FEET_ROUNDS, type FeetRounds } from '../stages/feet/feetCheck'
import { feetStage } from '../stages/feet/stage'
import { checkLooks, keepLooks, NO_LOOKS, type LookFacts } from '../stages/look/looks'
import { packsAsFound } from '../stages/look/shimsFound'
import { lookStage } from '../stages/look/stage'
import { keepSafety, UNSAFE_LOADED, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import type { Measurement } from '../stages/measure/measurement'
import { keepRounds, NO_ROUNDS, type Round, type Rounds } from '../stages/measure/rounds'
import { asFound, reMeasure } from '../stages/measure/stage'
import { boltsOf, keepBolts, type BoltsEntry } from '../stages/move/bolts'
import { moveEvidence } from '../stages/move/evidence'
import { footworkOf, type FeetOf } from '../stages/move/footwork'
import type { MoveRecord } from '../stages/move/moves'
import { watchPush } from '../stages/move/push'
import { moveStage } from '../stages/move/stage'
import { keepKit, type Kit } from '../stages/open/kit'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { openStage } from '../stages/open/stage'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { recordPlan } from '../stages/plan/plans'
import { planStage } from '../stages/plan/stage'
import { checkProof } from '../stages/prove/checkProof'
import { keepProof, NO_PROOF, type ProofFacts } from '../stages/prove/proof'
import { proveStage } from '../stages/prove/stage'
import { keepSetUp, settleSetUp, type SetUp } from '../stages/setUp/setUp'
import { setUpStage } from '../stages/setUp/stage'
import { learnLevers, type Learned } from '../stages/tram/levers'
import { tramSteps, type Tram } from '../stages/tram/steps'
import { windowsAsRead } from '../stages/tram/windows'
import { exceptionsOfProof, outcomeOfRounds } from './coupledOutcome'
import { feetByRegister, lastUsable, tapedFeet, type FootedState } from './footed'
import { bumpFirst } from './bumpFirst'
import { kindOfJob } from './kindOfJob'
import { atStart, filledPacks, measureMadeUp, walkRounds } from './walkRounds'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly safety: Safety
  readonly lookFacts: LookFacts
  readonly feetRounds: FeetRounds
  readonly setUp: LogEntry<'set-up'> | null
  readonly bolts: BoltsEntry | null
  readonly drumFacts: DrumFacts
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
  safety: UNSAFE_LOADED,
  lookFacts: NO_LOOKS,
  feetRounds: NO_FEET_ROUNDS,
  setUp: null,
  bolts: null,
  drumFacts: NOT_TURNED,
  proof: NO_PROOF,
  rounds: NO_ROUNDS,
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
  const feetRounds = keepFeet(now.feetRounds, e)
  const setUp = keepSetUp(now.setUp, e)
  const bolts = keepBolts(now.bolts, e)
  const drumFacts = keepDrum(now.drumFacts, e)
  const madeUp = now.proof.madeUp !== null
  const proof = keepProof(now.proof, e, setUp, madeUp)
  const rounds = keepRounds(now.rounds, e, setUp, madeUp)
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
    setUp,
    bolts,
    drumFacts,
    proof,
    rounds,
    remarks,
    closing,
  }
})

/** How it is known where the feet stand. */
export type Levers =
  | { readonly from: 'taped' }
  /** Told by what the move of that number did. */
  | { readonly from: 'learned'; readonly move: number; readonly doubt: number }
  | { readonly from: 'unknown' }

/** Everything the logbook of a motor trammed to a drum says, derived. Core units throughout. */
export interface DrumState extends FootedState {
  readonly machine: DrumMachine
  /** Its limit is told on the readings as they are. */
  readonly asRead: boolean
  readonly tram: Tram
  readonly levers: Levers
  /** How the drum itself runs. */
  readonly drum: DrumTrue
}

/** Which pair comes first, and nothing else. */
const untaped = remember((machine: DrumMachine): FeetOf => ({
  movable: machine.feet.movable.map((f, i) => ({ id: f.id, x: i + 1 })),
  stationary: [],
  untaped: true,
}))
const learnedFeet = remember((learned: Learned): FeetOf => ({ movable: learned.feet, stationary: [] }))

/** What a move told of where the feet stand; worked out once. */
const toldBy = remember(
  (move: MoveRecord, before: Measurement, after: Measurement, setUp: SetUp): Learned | null => {
    const { how, coarsest } = setUp
    if (how.method !== 'rim-face' || !before.coupling || !after.coupling) return null
    const circle = how.given.faces[0].diameter
    return learnLevers(move.footwork, before.coupling, after.coupling, { circle, graduation: coarsest })
  },
)

const toleranceOf = (machine: DrumMachine, opening: Opening, setUp: SetUp | null) => {
  const given: RimFaceSetUp | null = setUp?.how.method === 'rim-face' ? setUp.how.given : null
  const limit = opening ? limitsOf(machine, opening) : registeredLimits(machine)
  return given ? windowsAsRead(machine, given, limit) : limit
}

/** What follows from the facts. */
const workOut = (machine: DrumMachine, facts: Facts): DrumState => {
  const { opening, rounds } = facts
  const setUp = facts.setUp && settleSetUp(facts.setUp)
  const tolerance = toleranceOf(machine, opening, setUp)
  const target: Misalignment = ALIGNED
  const rpm = opening?.payload.rpm ?? machine.rpm
  const looks = checkLooks(machine, facts.lookFacts)
  const feetCheck = checkFeet(machine, facts.feetRounds)
  const start = atStart(packsAsFound(machine, facts.lookFacts.shims))
  const evidence = moveEvidence(feetCheck, looks)
  const walk = (feet: FeetOf) => walkRounds(machine, rounds, tolerance, target, feet, setUp, start, evidence)

  const taped = setUp ? tapedFeet(setUp, machine) : feetByRegister(machine)
  const isTaped = taped.movable.length === machine.feet.movable.length
  let feet = isTaped ? taped : untaped(machine)
  let walked = walk(feet)
  let levers: Levers = { from: isTaped ? 'taped' : 'unknown' }
  if (!isTaped && setUp)
    for (let i = walked.moves.length - 1; i >= 0; i--) {
      const [move, before, after] = [walked.moves[i], walked.measurements[i], walked.measurements[i + 1]]
      const learned = move && before && after ? toldBy(move, before, after, setUp) : null
      if (!learned) continue
      feet = learnedFeet(learned)
      walked = walk(feet)
      levers = { from: 'learned', move: i + 1, doubt: learned.doubt }
      break
    }
  const { measurements, moves } = walked
  const latest = measurements[measurements.length - 1] as Measurement
  const current = rounds[rounds.length - 1] as Round
  const packs = filledPacks(walked.walked[walked.walked.length - 1] ?? start, current)
  const before = rounds[rounds.length - 2]
  const packsBefore = before ? filledPacks(walked.walked[walked.walked.length - 2] ?? start, before) : packs
  const waiting = current.plan
  const plan =
    waiting && recordPlan(waiting, footworkOf(waiting.entry, packs, feet), latest, tolerance, target)
  const asLeft = lastUsable(measurements)
  const drum = checkDrum(machine, facts.drumFacts, rpm)
  const proof = checkProof({
    machine,
    facts: facts.proof,
    measure: (sets) => measureMadeUp(sets, tolerance, ALIGNED),
    uncoupled: asLeft,
    feet: feet.untaped ? [] : feet.movable,
    tolerance,
    target,
    guardOnly: false,
    // The rods come off before the bolts go in: there is nothing left to read it by.
    byReading: false,
  })
  const { verdict, exceptions } = outcomeOfRounds({ moves, latest, asLeft })
  return {
    machine,
    skips: facts.skips,
    opening,
    kit: facts.kit,
    vibration: facts.vibration,
    rpm,
    tolerance,
    asRead: judgedAsRead(machine.drum.windows),
    target,
    safety: facts.safety,
    looks,
    feetCheck,
    setUp,
    feet,
    levers,
    measurements,
    latest,
    tram: tramSteps({
      measurements,
      shimmed: moves.map((m) => m.footwork.planes.v),
      tolerance,
      drum: drum.verdict,
    }),
    plan,
    push: watchPush(plan && !plan.stale ? plan.footwork : null, feet, current.counts),
    bolts: boltsOf(machine, 2 * machine.feet.movable.length, facts.bolts),
    moves,
    packs,
    packsBefore,
    shimmed: rounds.length > 1 || current.filled.length > 0,
    asFound: measurements[0]?.coupling ? measurements[0] : null,
    asLeft,
    drum,
    proof,
    remarks: facts.remarks,
    closing: facts.closing,
    outcome: {
      verdict,
      exceptions: [
        ...exceptions,
        ...(drum.verdict === 'out' ? (['drum-out'] as const) : []),
        ...(asLeft && drum.verdict === null && !facts.skips.thisRound.has('drum-runout')
          ? (['drum-unread'] as const)
          : []),
        ...exceptionsOfProof(proof),
      ],
    },
  }
}

/** The run sheet of a job on a motor trammed to a drum, in working order. */
export const DRUM_STAGES = [
  openStage,
  makeSafe,
  lookStage,
  feetStage,
  setUpStage,
  asFound,
  planStage,
  moveStage,
  reMeasure,
  drumTrueStage,
  proveStage,
  closeStage,
] as const
export type DrumStageId = (typeof DRUM_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds a job on a motor trammed to a drum. Entries in logbook order. */
export const drumJob = (machine: DrumMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  const sheet = sheetOf<DrumStageId, DrumState>(DRUM_STAGES, state)
  return {
    kind: 'drum' as const,
    state,
    sheet: bumpFirst(sheet, state),
  }
}

export const DRUM = kindOfJob(drumJob, DRUM_STAGES)
