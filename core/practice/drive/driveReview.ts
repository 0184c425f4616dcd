import type { BeltState } from '../../jobs/belt'
import type { LogEntry } from '../../logbook/entry'
import { standingEntries } from '../../logbook/standing'
import type { SheaveErrors } from '../../belt/sheaveLine'
import { DRIVE_FAULTS, type DriveFault } from '../faults'
import type { Habit, HabitSeen } from '../habits'
import { minutesOf, MomentKeeper, type Looked, type MomentOf } from '../looked'
import { hintsOf, type PracticeStep } from '../steps'
import { seenFrom, type DriveBench } from './driveBench'
import { afterDriveAct } from './doDrive'
import type { DriveAct } from './driveActs'
import {
  driveDoubts,
  driveFaultBehind,
  driveStateOf,
  edgeDoubts,
  gaugeDoubts,
  type DriveDoubt,
  type DriveDoubtCode,
} from './driveDoubts'
import { fewestOnDrive, type DriveFewest } from './driveFewest'
import { driveMovesMade } from './driveMoves'
import { freshDrive, RUN_IN_DAYS, type DriveState } from './driveState'
import { truthNow, type DriveTruth } from './driveTruth'

type DriveMoment = MomentOf<DriveDoubt, DriveTruth, SheaveErrors>

/** A try on a belt drive as it is looked back on. */
export interface DriveReview extends Looked {
  readonly kind: 'belt'
  readonly moments: readonly DriveMoment[]
  readonly best: DriveFewest
  readonly truth: DriveTruth
}

/** What goes past a doubt: something done that rests on it. */
const PASSES: Readonly<Record<DriveDoubtCode, readonly LogEntry['kind'][]>> = {
  'gap-misread': ['line-corrected', 'belts-fitted', 'job-closed'],
  'edge-rocked': ['line-corrected', 'belts-fitted', 'job-closed'],
  'numbers-unread': ['line-corrected', 'belts-fitted', 'job-closed'],
  'tilt-unread': ['belts-fitted', 'tension-read', 'job-closed'],
  'wobble-unread': ['line-corrected', 'belts-fitted', 'job-closed'],
  'line-out': ['belts-fitted', 'tension-read', 'job-closed'],
  'setting-untold': ['line-corrected', 'tension-adjusted', 'job-closed'],
  'base-stayed': ['line-corrected', 'belts-fitted', 'tension-adjusted', 'base-tightened', 'job-closed'],
  'set-unmatched': ['tension-adjusted', 'base-tightened', 'job-closed'],
  'tension-out': ['base-tightened', 'job-closed'],
  'age-mistold': ['tension-adjusted', 'base-tightened', 'job-closed'],
  'force-misread': ['tension-adjusted', 'base-tightened', 'job-closed'],
  'slackened-since': ['job-closed'],
  'unread-since': ['job-closed'],
}

/** Whether a fault was cured, or found in time to be taken into account: by what stands at the end of a try. */
const isCured = (
  fault: DriveFault,
  bench: DriveBench,
  now: DriveState,
  state: BeltState,
  doubts: readonly DriveDoubt[],
): boolean => {
  const tells = (...codes: readonly DriveDoubtCode[]) => doubts.some((d) => codes.includes(d.code))
  const truth = truthNow(bench, now)
  const lined = truth.lineVerdict !== 'out' && state.asLeft !== null
  switch (fault) {
    case 'turned-motor':
    case 'unequal-rims':
      return lined
    case 'tilted-motor':
      return lined && !tells('tilt-unread')
    case 'wobbling-sheave':
      return state.asLeft !== null && !tells('wobble-unread')
    case 'mismatched-belt':
      return now.set > 0
    case 'bedding-belts':
      return now.days >= RUN_IN_DAYS && truth.tensionVerdict !== null && truth.tensionVerdict !== 'out'
    case 'sticking-base':
      return !tells('base-stayed') && (state.lines.length > 1 || state.tensions.some(Boolean))
    case 'changed-sheave':
      return state.inspection.settings.some((s) => s.entry !== null) && !tells('setting-untold')
  }
}

const isDriveFault = (fault: string): fault is DriveFault => DRIVE_FAULTS.some((f) => f === fault)

/** Looks back on a try at a belt drive. `opened` is how many steps were there before the hands came in. */
export const driveReviewOf = (
  bench: DriveBench,
  steps: readonly PracticeStep[],
  opened: number,
): DriveReview => {
  const { machine } = bench.setting
  let now = freshDrive(bench)
  const entries: LogEntry[] = []
  const habits: HabitSeen[] = []
  const keeper = new MomentKeeper<DriveDoubt, DriveTruth, SheaveErrors>()
  /** Told by the bench, not by the logbook: what was typed otherwise than it showed. */
  const aside = new Map<string, readonly DriveDoubt[]>()
  const see = (habit: Habit, well: boolean) => void habits.push({ habit, well })

  const inForce = () => {
    const state = driveStateOf(machine, [...entries])
    const round = state.alignment[state.alignment.length - 1]
    const last = state.tensions[state.tensions.length - 1]
    const used = new Set([round?.reading?.id, round?.reading ? null : round?.contacts?.id, last?.entry.id])
    const typed = [...aside.entries()].flatMap(([id, list]) => (used.has(id) ? list : []))
    return { state, doubts: [...driveDoubts(bench, state, now), ...typed] }
  }
  const told = (state: BeltState): SheaveErrors | null => {
    const round = state.alignment[state.alignment.length - 1]
    const read = round?.reading ?? round?.contacts
    const line = state.lines[state.lines.length - 1]
    return read && line
      ? seenFrom(line.errors, read.payload.edgeOn, read.payload.edgeSide, bench.geometry.centre)
      : null
  }

  const look = (step: number) => {
    const { state, doubts } = inForce()
    keeper.now(doubts, step)
    for (const doubt of doubts)
      keeper.begin(doubt, {
        fault: driveFaultBehind(bench, doubt),
        from: step,
        truth: truthNow(bench, now),
        told: told(state),
      })
  }

  steps.forEach((step, i) => {
    if ('act' in step) {
      now = afterDriveAct(bench, now, step.act as DriveAct)
      // What ran has bedded in: that could be read from then on.
      if (i >= opened && step.act.act === 'run') look(i)
      return
    }
    if (!('entry' in step)) return
    const { entry } = step
    if (i >= opened) {
      const past = inForce()
      keeper.passed(
        past.doubts.filter((d) => PASSES[d.code].includes(entry.kind)),
        i,
      )
      habitsAt(entry, past.state, past.doubts, see)
    }
    entries.push(entry)
    if (entry.kind === 'sheaves-read' || entry.kind === 'contacts-checked') {
      const typed = edgeDoubts(bench, now, entry)
      aside.set(entry.id, typed)
      if (i >= opened) see('reads-what-is-there', typed.length === 0)
    }
    if (entry.kind === 'tension-read') {
      const typed = gaugeDoubts(bench, now, entry)
      aside.set(entry.id, typed)
      if (i >= opened) {
        see('reads-what-is-there', !typed.some((d) => d.code === 'force-misread'))
        see('tells-belts-age', !typed.some((d) => d.code === 'age-mistold'))
      }
    }
    if (i >= opened) look(i)
  })
  const { state, doubts } = inForce()
  const truth = truthNow(bench, now)
  const best = fewestOnDrive(bench)
  const standing = standingEntries(entries).slice(steps.slice(0, opened).filter((s) => 'entry' in s).length)
  return {
    kind: 'belt',
    moments: keeper.ended(steps.length),
    habits,
    moves: driveMovesMade(standing),
    fewest: best.moves.length,
    best,
    truth,
    verdict: truth.verdict,
    hints: hintsOf(steps.slice(opened)),
    minutes: minutesOf(steps, opened),
    faults: bench.setting.faults.flatMap((fault) =>
      isDriveFault(fault) ? [{ fault, cured: isCured(fault, bench, now, state, doubts) }] : [],
    ),
  }
}

const habitsAt = (
  entry: LogEntry,
  state: BeltState,
  doubts: readonly DriveDoubt[],
  see: (habit: Habit, well: boolean) => void,
) => {
  const round = state.alignment[state.alignment.length - 1]
  if (entry.kind === 'line-corrected') see('numbers-before-moving', round?.reading != null)
  if (entry.kind === 'job-closed' && state.recheck.facts.entry)
    see('reads-after-tightening', !doubts.some((d) => d.code === 'unread-since'))
}
