import { compareAchieved, type AchievedPlane } from '../coupling/achieved'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import { settleTolerance, type SettledTolerance } from '../judge/tolerance'
import { toleranceToCore } from '../judge/toleranceUnits'
import { registeredPacks, type CoupledMachine, type PairPacks } from '../register/machine'
import { repeatLimit } from '../trust/repeat'
import { toCore, type Millimetres } from '../units/unitSystem'
import type { EntryOf, LogEntry, SafetyPoint, StageId } from './entry'
import { isKind, SAFETY_POINTS } from './entry'
import { doFootwork, type Footwork } from './footwork'
import { readSet } from './readingSet'
import { settleSetUp, type SetUp } from './setUp'
import { takeMeasurement, type Measurement } from './measurement'
import { standingEntries } from './standing'
import { stageStates, type StageState } from './stages'

export interface SafetyState {
  readonly confirmed: readonly { readonly point: SafetyPoint; readonly by: string; readonly at: string }[]
  readonly missing: readonly SafetyPoint[]
  readonly permit: string
  /** Why power came back, when it did after the last full confirmation. */
  readonly powerBack: string | null
}

/** A plan taken to the machine, or a move made, with the axis it leads to. */
export interface MoveRecord {
  readonly entry: EntryOf<'move-made'>
  readonly plan: ChosenPlan | null
  readonly footwork: Footwork
  /** Where the axis should stand after it; null when it was unknown before. */
  readonly predicted: Misalignment | null
  /** Filled once the next measurement is in. */
  readonly achieved: readonly AchievedPlane[] | null
}

export interface ChosenPlan {
  readonly entry: EntryOf<'plan-chosen'>
  readonly footwork: Footwork
  readonly predicted: Misalignment | null
  readonly judgement: Judgement | null
}

/** Everything a job's logbook says, derived. Core units throughout. */
export interface JobState {
  readonly opened: EntryOf<'job-opened'> | null
  readonly rpm: number
  readonly tolerance: SettledTolerance
  readonly target: Misalignment
  readonly safety: SafetyState
  readonly setUp: SetUp | null
  /** Index 0 is as found; index n is after the n-th move. */
  readonly measurements: readonly Measurement[]
  readonly latest: Measurement
  /** The plan that waits to be carried out. */
  readonly plan: ChosenPlan | null
  readonly moves: readonly MoveRecord[]
  readonly packs: readonly PairPacks[]
  readonly asFound: Measurement | null
  /** The last measurement that could be used; equals as found when nothing was moved. */
  readonly asLeft: Measurement | null
  readonly skipped: Readonly<Partial<Record<StageId, string>>>
  readonly remarks: readonly EntryOf<'remark'>[]
  readonly closed: EntryOf<'job-closed'> | null
  readonly stages: Readonly<Record<StageId, StageState>>
  /** The stage whose turn it is. */
  readonly current: StageId
}

/** Measuring alone may be off by this much at the feet before a move is called different. */
const achievedAllowance = (setUp: SetUp): Millimetres =>
  2 * repeatLimit(setUp.units, Math.max(setUp.graduation.rim, setUp.graduation.face))

const foldSafety = (entries: readonly LogEntry[]): SafetyState => {
  let confirmed: { point: SafetyPoint; by: string; at: string }[] = []
  let permit = ''
  let powerBack: string | null = null
  for (const e of entries) {
    if (isKind(e, 'power-restored')) {
      confirmed = []
      powerBack = e.payload.why
    }
    if (!isKind(e, 'safety-confirmed')) continue
    const point = e.payload.point
    confirmed = [...confirmed.filter((c) => c.point !== point), { point, by: e.author, at: e.madeAt }]
    if (e.payload.permit !== '') permit = e.payload.permit
  }
  const missing = SAFETY_POINTS.filter((p) => !confirmed.some((c) => c.point === p))
  return { confirmed, missing, permit, powerBack: missing.length === 0 ? null : powerBack }
}

const setNotes = (entries: readonly LogEntry[], set: string) => {
  let usedAnyway: string | null = null
  let leftOut: string | null = null
  for (const e of entries) {
    if (isKind(e, 'set-used-anyway') && e.payload.set === set) [usedAnyway, leftOut] = [e.payload.why, null]
    if (isKind(e, 'set-left-out') && e.payload.set === set) [usedAnyway, leftOut] = [null, e.payload.why]
  }
  return { usedAnyway, leftOut }
}

/**
 * Derives the whole state of a coupled job from its machine and its logbook. Pure: the browser
 * folds with an unsaved entry appended, the server folds to write its columns, the report folds
 * to print. Entries must be in logbook order.
 */
export const foldJob = (machine: CoupledMachine, logbook: readonly LogEntry[]): JobState => {
  const entries = standingEntries(logbook)
  const opened = entries.find((e) => isKind(e, 'job-opened')) as EntryOf<'job-opened'> | undefined
  const rpm = opened?.payload.rpm ?? machine.rpm
  const tolerance = settleTolerance(toleranceToCore(machine.tolerance, machine.units), rpm)
  const target = ALIGNED

  let setUp: SetUp | null = null
  let packs = registeredPacks(machine)
  let plan: ChosenPlan | null = null
  let sets: ReturnType<typeof readSet>[] = []
  const measurements: Measurement[] = []
  const moves: MoveRecord[] = []
  const remarks: EntryOf<'remark'>[] = []
  const skipped: Partial<Record<StageId, string>> = {}
  let closed: EntryOf<'job-closed'> | null = null

  const measured = () => takeMeasurement(sets, tolerance, target)
  const lastKnown = (): Measurement | null => {
    const now = measured()
    return now.coupling ? now : ([...measurements].reverse().find((m) => m.coupling) ?? null)
  }
  const feet = () =>
    setUp?.feet ?? machine.feet.map((f) => ({ id: f.id, x: toCore(f.x, 'distance', machine.units) }))

  for (const e of entries) {
    if (isKind(e, 'set-up')) setUp = settleSetUp(e)
    else if (isKind(e, 'readings-taken') && setUp) {
      sets.push(readSet(e, setUp, tolerance, setNotes(entries, e.id)))
      plan = null
    } else if (isKind(e, 'plan-chosen')) {
      const footwork = doFootwork(packs, feet(), e.payload.units, e.payload.changes, e.payload.side)
      const from = lastKnown()?.coupling
      const predicted = from ? lineSum(from, footwork.change) : null
      plan = { entry: e, footwork, predicted, judgement: predicted && judge(predicted, tolerance, target) }
    } else if (isKind(e, 'move-made')) {
      const footwork = doFootwork(packs, feet(), e.payload.units, e.payload.changes, e.payload.side)
      const from = measured().coupling ?? (moves.length > 0 ? moves[moves.length - 1]?.predicted : null)
      moves.push({
        entry: e,
        plan,
        footwork,
        predicted: from ? lineSum(from, footwork.change) : null,
        achieved: null,
      })
      packs = footwork.packs
      measurements.push(measured())
      sets = []
      plan = null
    } else if (isKind(e, 'stage-skipped')) skipped[e.payload.stage] = e.payload.why
    else if (isKind(e, 'remark')) remarks.push(e)
    else if (isKind(e, 'job-closed')) closed = e
  }
  const latest = measured()
  measurements.push(latest)

  const settledSetUp = setUp
  const compared = moves.map((move, i): MoveRecord => {
    const before = measurements[i]?.coupling
    const after = measurements[i + 1]?.coupling
    if (!before || !after || !settledSetUp) return move
    const planned = move.plan?.footwork.change ?? move.footwork.change
    return {
      ...move,
      achieved: compareAchieved(before, after, planned, feet(), {
        allowance: achievedAllowance(settledSetUp),
      }),
    }
  })
  const usable = measurements.filter((m) => m.coupling !== null)
  const state = {
    opened: opened ?? null,
    rpm,
    tolerance,
    target,
    safety: foldSafety(entries),
    setUp,
    measurements,
    latest,
    plan,
    moves: compared,
    packs,
    asFound: measurements[0]?.coupling ? measurements[0] : null,
    asLeft: usable[usable.length - 1] ?? null,
    skipped,
    remarks,
    closed,
  }
  return { ...state, ...stageStates(state) }
}
