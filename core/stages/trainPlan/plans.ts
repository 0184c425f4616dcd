import type { Misalignment } from '../../frame/planes'
import type { Judgement } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { isMove } from '../../logbook/moves'

/** The plan of a train while it is carried out, machine by machine. */
export interface TakenTrainPlan {
  readonly entry: LogEntry<'train-plan-chosen'>
  /** Machines that were moved since. */
  readonly moved: readonly string[]
  /** Something was read, or growth or a held machine told otherwise, after it: choose again. */
  readonly overtaken: boolean
}

/** Machines that a plan moves. */
export const machinesMoved = ({
  payload: { changes, side },
}: LogEntry<'train-plan-chosen'>): ReadonlySet<string> =>
  new Set([
    ...changes.filter((c) => c.takenOut.length + c.putIn.length > 0).map((c) => c.machine),
    ...side.filter((c) => c.moved !== 0).map((c) => c.machine),
  ])

/** The plan that waits; null before one, and once every machine of it was moved. */
export const keepTrainPlan = (now: TakenTrainPlan | null, e: LogEntry): TakenTrainPlan | null => {
  if (e.kind === 'train-plan-chosen') return { entry: e, moved: [], overtaken: false }
  if (!now) return null
  if (isMove(e) && e.part !== undefined) {
    const moved = [...now.moved, e.part]
    return [...machinesMoved(now.entry)].every((m) => moved.includes(m)) ? null : { ...now, moved }
  }
  switch (e.kind) {
    case 'growth-set':
    case 'hot-answered':
    case 'machine-freed':
    case 'foot-filled':
    case 'machine-levelled':
    case 'hubs-roughed':
      return { ...now, overtaken: true }
    case 'readings-taken':
    case 'set-left-out':
    case 'set-used-anyway':
      // Before the first move the sets themselves tell whether it still rests on them.
      return now.moved.length > 0 ? { ...now, overtaken: true } : now
    default:
      return now
  }
}

/** What a plan makes of one coupling. */
export interface PlannedCoupling {
  readonly id: string
  readonly predicted: Misalignment | null
  readonly judgement: Judgement | null
}

/** The plan in force with what it makes of the line. */
export interface TrainPlanRecord extends TakenTrainPlan {
  readonly couplings: readonly PlannedCoupling[]
  /** What is to be moved yet, in an order that never undoes the last. */
  readonly left: readonly string[]
  readonly stale: boolean
}
