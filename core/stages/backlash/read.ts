import {
  backlashReadBy,
  judgeBacklash,
  layersFor,
  type BacklashRead,
  type LayersAdvice,
} from '../../gear/backlash'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { backlashWindow, type GearMachine } from '../../register/gearMachine'
import { toCore } from '../../units/unitSystem'
import type { Layers } from '../gearLook/layersFound'
import { lastRead } from '../../logbook/rounds'
import type { GearRounds } from '../contact/rounds'

/** Backlash as it was read, judged against the window of the machine. */
export interface BacklashJudged extends BacklashRead {
  readonly entry: LogEntry<'backlash-read'>
}

/**
 * Judged as the window is meant: on the tooth by dial, or between the flanks by feeler. Read the other way, it is told
 * the machine's way first.
 */
export const readBacklash = remember(
  (machine: GearMachine, entry: LogEntry<'backlash-read'>): BacklashJudged => {
    const { gear } = machine
    const { readings, by, units } = entry.payload
    const own = readings.map((r) =>
      backlashReadBy(toCore(r, 'displacement', units), by, gear.backlash.by, gear.pressureAngle),
    )
    // Payloads have a reading at least.
    return { entry, ...(judgeBacklash(own, backlashWindow(machine)) as BacklashRead) }
  },
)

/** Whether it is out because the gears stand too far apart, by the reading that is worst. */
export const isWide = (read: Pick<BacklashRead, 'worst'>, machine: GearMachine): boolean => {
  const [, high] = backlashWindow(machine)
  return high !== null && read.worst > high
}

/** Where the worst reading is expected to end with the layers that cure it; null where nothing is to be changed. */
export const worstAfter = ({ now, cure }: Pick<Backlash, 'now' | 'cure'>, machine: GearMachine) =>
  now && cure && cure.layers !== 0 ? (isWide(now, machine) ? cure.after.most : cure.after.least) : null

/** What backlash says of a job. */
export interface Backlash {
  /** One a round, the last one under way; null where it was not read. */
  readonly reads: readonly (BacklashJudged | null)[]
  readonly now: BacklashJudged | null
  readonly left: BacklashJudged | null
  /** Layers that cure it; null while it is unread. */
  readonly cure: LayersAdvice | null
}

export const checkBacklash = (machine: GearMachine, rounds: GearRounds, layers: Layers): Backlash => {
  const reads = rounds.map(({ backlash }) => backlash && readBacklash(machine, backlash))
  const now = reads[reads.length - 1] ?? null
  const { gear } = machine
  return {
    reads,
    now,
    left: lastRead(reads),
    cure:
      now &&
      layersFor({
        read: now,
        by: gear.backlash.by,
        window: backlashWindow(machine),
        pressureAngle: gear.pressureAngle,
        layer: layers.thickness,
        under: layers.now,
        layersMove: gear.layers.move,
      }),
  }
}
