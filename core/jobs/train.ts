import { judge, worstVerdict } from '../judge/judge'
import type { LogEntry } from '../logbook/entry'
import { extended, takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import {
  defineStage,
  invalid,
  conflict,
  sheetOf,
  type Mark,
  type Objection,
  type Skips,
  type Stage,
} from '../logbook/stage'
import type { TrainMachine } from '../register/trainMachine'
import { keepClosing, type Closing, type ExceptionReason, type Outcome } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { feetStage } from '../stages/feet/stage'
import { isUnderWay } from '../stages/hotCheck/hotRun'
import { hotCheckStage } from '../stages/hotCheck/stage'
import { levelStage } from '../stages/level/stage'
import { lookStage } from '../stages/look/stage'
import { handsMayGo, keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import { isBelieved, isInBand } from '../stages/measure/measurement'
import { asFound, reMeasure } from '../stages/measure/stage'
import { moveStage } from '../stages/move/stage'
import { keepKit, type Kit } from '../stages/open/kit'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { openStage } from '../stages/open/stage'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { proveStage } from '../stages/prove/stage'
import { roughInStage } from '../stages/roughIn/stage'
import { setUpStage } from '../stages/setUp/stage'
import type { GrowthSet } from '../stages/trainGrowth/entries'
import { heldOf, keepFreed, NOBODY_FREED, type Freed, type Held } from '../stages/trainPlan/machines'
import {
  keepTrainPlan,
  machinesMoved,
  type TakenTrainPlan,
  type TrainPlanRecord,
} from '../stages/trainPlan/plans'
import { heardBy, joinedMove } from '../train/heard'
import { orderOfMoves } from '../train/orderOfMoves'
import { partsOf, type TrainPart } from '../train/parts'
import { coupledJob, type CoupledState } from './coupled'
import { kindOfJob } from './kindOfJob'

/** What one part of the train has heard so far. */
interface PartLog {
  readonly log: readonly LogEntry[]
  /** Its last move, while nothing was read behind it. */
  readonly open: LogEntry<'move-made'> | null
}

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly safety: Safety
  readonly growth: LogEntry<'growth-set'> | null
  readonly freed: Freed
  readonly plan: TakenTrainPlan | null
  /** Times that machines were moved with readings behind: what a round is to a train. */
  readonly rounds: number
  readonly roundOpen: boolean
  readonly parts: ReadonlyMap<string, PartLog>
  readonly remarks: Remarks
  readonly closing: Closing
}
const BLANK: Facts = {
  skips: NO_SKIPS,
  opening: null,
  kit: null,
  vibration: NO_VIBRATION,
  safety: UNSAFE,
  growth: null,
  freed: NOBODY_FREED,
  plan: null,
  rounds: 0,
  roundOpen: false,
  parts: new Map(),
  remarks: [],
  closing: null,
}
const NOTHING_HEARD: PartLog = { log: [], open: null }

const keepPart = (train: TrainMachine, part: TrainPart, now: PartLog, e: LogEntry): PartLog => {
  const heard = heardBy(train, part, e)
  if (!heard) return now
  if (heard.kind === 'move-made' && part.what === 'coupling') {
    const { open } = now
    if (!open) return { log: extended(now.log, heard), open: heard }
    const joined = joinedMove(open, heard)
    return { log: now.log.map((x) => (x === open ? joined : x)), open: joined }
  }
  return {
    log: extended(now.log, heard),
    open: heard.kind === 'readings-taken' ? null : now.open,
  }
}

const takeFor = (train: TrainMachine) =>
  remember((now: Facts, e: LogEntry): Facts => {
    const { couplings, machines } = partsOf(train)
    const ofAll = e.part === undefined
    const moved = e.kind === 'move-made'
    return {
      skips: ofAll || moved ? keepSkips(now.skips, e) : now.skips,
      opening: keepOpening(now.opening, e),
      kit: keepKit(now.kit, e),
      vibration: keepVibration(now.vibration, e),
      safety: keepSafety(now.safety, e),
      growth: e.kind === 'growth-set' ? e : now.growth,
      freed: keepFreed(now.freed, e),
      plan: keepTrainPlan(now.plan, e),
      rounds: moved && !now.roundOpen ? now.rounds + 1 : now.rounds,
      roundOpen: moved || (now.roundOpen && e.kind !== 'readings-taken'),
      parts: new Map(
        [...couplings, ...machines].map((p) => [
          p.id,
          keepPart(train, p, now.parts.get(p.id) ?? NOTHING_HEARD, e),
        ]),
      ),
      remarks: keepRemarks(now.remarks, e),
      closing: keepClosing(now.closing, e),
    }
  })
const factsOf = remember((train: TrainMachine) => takenForward(BLANK, takeFor(train)))

/** One coupling or machine of the train with all that its own logbook comes to. */
export interface PartState {
  readonly part: TrainPart
  readonly state: CoupledState
}

/** Everything the logbook of a train says, derived. Core units throughout. */
export interface TrainState {
  readonly machine: TrainMachine
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly rpm: number
  readonly safety: Safety
  /** Each coupling as it is measured, and each machine as it stands, from the first machine on. */
  readonly couplings: readonly PartState[]
  readonly machines: readonly (PartState & { readonly held: Held })[]
  /** How the machines grow: what this job says, else the register; null where nobody said. */
  readonly growth: { readonly set: GrowthSet; readonly from: 'job' | 'register' } | null
  readonly plan: TrainPlanRecord | null
  /** Times that it was moved. */
  readonly rounds: number
  readonly remarks: Remarks
  readonly closing: Closing
  readonly outcome: Outcome
}

const sameSets = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id))

const planOf = (
  taken: TakenTrainPlan,
  couplings: readonly PartState[],
  units: readonly string[],
): TrainPlanRecord => {
  const { sets } = taken.entry.payload
  const steps = orderOfMoves(units, machinesMoved(taken.entry))
  return {
    ...taken,
    couplings: couplings.map(({ part, state }) => {
      const moved = state.moves[state.moves.length - 1]
      const predicted =
        state.plan?.predicted ??
        (state.latest.sets.length === 0 ? moved?.predicted : null) ??
        state.latest.coupling
      return {
        id: part.id,
        predicted: predicted ?? null,
        judgement: predicted ? judge(predicted, state.tolerance, state.target) : null,
      }
    }),
    left: steps.map((s) => s.machine).filter((m) => !taken.moved.includes(m)),
    stale:
      taken.overtaken ||
      (taken.moved.length === 0 &&
        couplings.some(({ part, state }) => !sameSets(sets[part.id] ?? [], state.latest.used))),
  }
}

const outcomeOf = (couplings: readonly PartState[]): Outcome => ({
  verdict: worstVerdict(couplings.map((c) => c.state.outcome.verdict)),
  exceptions: [...new Set(couplings.flatMap((c): readonly ExceptionReason[] => c.state.outcome.exceptions))],
})

/** What follows from the facts. */
const workOut = (machine: TrainMachine, facts: Facts): TrainState => {
  const parts = partsOf(machine)
  const stateOf = (part: TrainPart): PartState => ({
    part,
    state: coupledJob(part.machine, (facts.parts.get(part.id) ?? NOTHING_HEARD).log).state,
  })
  const couplings = parts.couplings.map(stateOf)
  const machines = parts.machines.map((part) => ({
    ...stateOf(part),
    held: heldOf(machine, facts.freed, part.id),
  }))
  return {
    machine,
    skips: facts.skips,
    opening: facts.opening,
    kit: facts.kit,
    vibration: facts.vibration,
    rpm: facts.opening?.payload.rpm ?? machine.rpm,
    safety: facts.safety,
    couplings,
    machines,
    growth: facts.growth
      ? { set: facts.growth.payload, from: 'job' }
      : machine.growth
        ? { set: machine.growth, from: 'register' }
        : null,
    plan:
      facts.plan &&
      planOf(
        facts.plan,
        couplings,
        machine.machines.map((m) => m.id),
      ),
    rounds: facts.rounds,
    remarks: facts.remarks,
    closing: facts.closing,
    outcome: outcomeOf(couplings),
  }
}

/** Where a stage is done: at its couplings, or at the machines that may be moved. */
type Done = 'couplings' | 'machines'
const placesAt = (train: TrainState, done: Done): readonly PartState[] =>
  done === 'couplings' ? train.couplings : train.machines.filter((m) => !m.held.held)

/** What the parts come to together: what is not done yet before what is found. */
const TOGETHER: readonly Mark[] = ['stale', 'todo', 'out', 'edge', 'in', 'done', 'skipped']
const together = (marks: readonly Mark[]): Mark => TOGETHER.find((m) => marks.includes(m)) ?? 'todo'

const isPassed = (stage: Pick<Stage<string, never>, 'id' | 'skip'>, { skips }: CoupledState): boolean =>
  stage.skip !== 'never' && (stage.skip === 'once' ? skips.once : skips.thisRound).has(stage.id)

const markAt = (stage: Stage<string, CoupledState>, { state }: PartState): Mark => {
  const mark = stage.mark(state)
  return mark === 'todo' && isPassed(stage, state) ? 'skipped' : mark
}

const partNamed = (parts: readonly PartState[], entry: LogEntry): PartState | null =>
  parts.find((p) => p.part.id === entry.part) ?? null

/** A stage that is done at one part of the train after the other. */
interface PartStage<Id extends string> extends Stage<Id, TrainState> {
  readonly at: (train: TrainState) => readonly PartState[]
  readonly each: Stage<Id, CoupledState>
  readonly wantsAt: (train: TrainState, part: PartState) => boolean
}

const atEach = <Id extends string>(
  each: Stage<Id, CoupledState>,
  done: Done,
  also: {
    readonly among?: (part: PartState) => boolean
    readonly wants?: (train: TrainState, part: PartState) => boolean
    readonly mark?: (train: TrainState) => Mark
    readonly objection?: (train: TrainState, part: PartState, entry: LogEntry) => Objection | null
  } = {},
): PartStage<Id> => {
  const at = (train: TrainState) => placesAt(train, done).filter(also.among ?? (() => true))
  const wantsAt = (train: TrainState, part: PartState): boolean =>
    !isPassed(each, part.state) && (also.wants ?? ((_, p) => each.wants(p.state)))(train, part)
  return {
    id: each.id,
    writes: each.writes,
    skip: each.skip,
    at,
    each,
    wantsAt,
    mark: also.mark ?? ((train) => together(at(train).map((p) => markAt(each, p)))),
    wants: (train) => at(train).some((p) => wantsAt(train, p)),
    objection: (train, entry) => {
      const part = partNamed(train[done], entry)
      if (!part) return invalid('no-such-part', 'part')
      if (!partNamed(placesAt(train, done), entry)) return conflict('machine-locked')
      return also.objection?.(train, part, entry) ?? each.objection?.(part.state, entry) ?? null
    },
  }
}

/** Whether shafts were measured since the last move: feet that are filled then say nothing of it. */
const readBeside = (train: TrainState, { part }: PartState): boolean =>
  train.couplings.some(
    (c) =>
      Object.values(c.part.roles).includes(part.id) && c.state.latest.sets.some((s) => s.leftOut === null),
  )
const unread = (train: TrainState): boolean =>
  train.couplings.every((c) => c.state.measurements.length === 1 && c.state.latest.sets.length === 0)

const look = atEach(lookStage, 'machines', {
  wants: (train, p) => unread(train) && lookStage.wants(p.state),
})
const feet = atEach(feetStage, 'machines', {
  wants: (train, p) => unread(train) && feetStage.wants(p.state),
  objection: (train, p, e) =>
    e.kind === 'foot-filled' && readBeside(train, p) ? conflict('read-already') : null,
})

/** What the growth of the machines makes of every coupling. It never calls for hands. */
const growthStage = defineStage({
  id: 'growth',
  writes: ['growth-set'],
  skip: 'once',
  mark: ({ growth }: TrainState) => (growth ? 'done' : 'todo'),
  wants: () => false,
  objection: ({ machine }, entry) => {
    if (entry.kind !== 'growth-set') return null
    for (const [i, m] of entry.payload.machines.entries()) {
      const unit = machine.machines.find((u) => u.id === m.machine)
      if (!unit) return invalid('no-such-part', 'payload', 'machines', i, 'machine')
      if (m.feet.length !== unit.feet.length || m.feet.some((f) => !unit.feet.some((p) => p.id === f.pair)))
        return invalid('no-such-feet', 'payload', 'machines', i, 'feet')
    }
    return null
  },
})

const allBelieved = (train: TrainState) => train.couplings.every((c) => isBelieved(c.state.latest))
const allInBand = (train: TrainState) => train.couplings.every((c) => isInBand(c.state.latest))

const planMark = (train: TrainState): Mark => {
  const { plan } = train
  if (!plan) return train.rounds > 0 && (allInBand(train) || !allBelieved(train)) ? 'done' : 'todo'
  if (plan.stale) return 'stale'
  const verdict = worstVerdict(plan.couplings.map((c) => c.judgement?.verdict ?? 'unknown'))
  return verdict === 'unknown' ? 'done' : verdict
}

/** One plan over the whole train; desk work, which needs no lockout. */
const trainPlanStage = defineStage({
  id: 'train-plan',
  writes: ['train-plan-chosen', 'machine-freed'],
  skip: 'each-round',
  mark: planMark,
  wants: (train: TrainState) => (train.plan ? train.plan.stale : allBelieved(train) && !allInBand(train)),
  objection: (train, entry) => {
    const { machine } = train
    if (entry.kind === 'machine-freed')
      return machine.machines.some((m) => m.id === entry.payload.machine)
        ? null
        : invalid('no-such-part', 'payload', 'machine')
    if (entry.kind !== 'train-plan-chosen') return null
    for (const list of ['changes', 'side'] as const)
      for (const [i, c] of entry.payload[list].entries()) {
        const unit = train.machines.find((m) => m.part.id === c.machine)
        if (!unit) return invalid('no-such-part', 'payload', list, i, 'machine')
        if (!unit.part.machine.feet.movable.some((f) => f.id === c.pair))
          return invalid('no-such-feet', 'payload', list, i, 'pair')
        if (unit.held.held) return conflict('machine-locked')
      }
    return allBelieved(train) ? null : conflict('train-unread')
  },
})

const move = atEach(moveStage, 'machines', {
  // In the order that never undoes the last: the first of those that are left has the turn.
  wants: ({ plan }, { part }) => plan !== null && !plan.stale && plan.left[0] === part.id,
  mark: ({ plan, rounds }) => (rounds > 0 && (!plan || plan.stale) ? 'done' : 'todo'),
})

/** The run sheet of a train, in working order. */
export const TRAIN_STAGES = [
  atEach(openStage, 'couplings'),
  makeSafe,
  look,
  feet,
  atEach(levelStage, 'couplings'),
  atEach(roughInStage, 'couplings'),
  atEach(setUpStage, 'couplings'),
  atEach(asFound, 'couplings'),
  growthStage,
  trainPlanStage,
  move,
  atEach(reMeasure, 'couplings', { among: ({ state }) => state.measurements.length > 1 }),
  atEach(proveStage, 'couplings'),
  atEach(hotCheckStage, 'couplings'),
  closeStage,
] as const
export type TrainStageId = (typeof TRAIN_STAGES)[number]['id']

/** How one part of the train stands at a stage. */
export interface PartRow {
  readonly part: TrainPart
  readonly mark: Mark
  readonly wants: boolean
}

/** The parts that a stage is done at, in order; empty where it is about the whole train. */
export const partsAt = (train: TrainState, stage: string): readonly PartRow[] => {
  const found = TRAIN_STAGES.find((s) => s.id === stage)
  if (!found || !('at' in found)) return []
  const own = found as PartStage<string>
  return own.at(train).map((p) => ({
    part: p.part,
    mark: own.id === 'move' ? moveMark(train, p) : markAt(own.each, p),
    wants: own.wantsAt(train, p),
  }))
}

const moveMark = ({ plan }: TrainState, { part, state }: PartState): Mark => {
  if (plan && !plan.stale && plan.left.includes(part.id)) return 'todo'
  return state.moves.length > 0 ? 'done' : 'skipped'
}

/** Whose turn it is while the power is on for a bump or a hot run. */
const turnOutOfOrder = (state: TrainState): TrainStageId | null => {
  if (state.closing || !state.opening) return null
  if (state.couplings.some((c) => c.state.proof.bumping)) return 'prove'
  const run = state.couplings.find((c) => isUnderWay(c.state.hot.run))?.state.hot.run
  if (!run) return null
  if (!run.ended) return 'hot-check'
  if (!handsMayGo(state.safety)) return 'make-safe'
  return 'hot-check'
}

/** Folds a job on a train. Entries in logbook order. */
export const trainJob = (machine: TrainMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(machine)(logbook))
  const sheet = sheetOf<TrainStageId, TrainState>(TRAIN_STAGES, state)
  return {
    kind: 'train' as const,
    state,
    sheet: { ...sheet, current: turnOutOfOrder(state) ?? sheet.current },
  }
}

export const TRAIN = kindOfJob(trainJob, TRAIN_STAGES)
