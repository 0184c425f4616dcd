import type { LogEntry } from '../../logbook/entry'
import { standingEntries } from '../../logbook/standing'
import type { Settings } from '../../register/setSheaves'

/** How the job before left a belt drive: what it read last, and how its sheaves stood then. */
export interface DriveLeft {
  readonly job: string
  readonly closedAt: string
  readonly turns: Settings
  readonly line: LogEntry<'sheaves-read'> | null
  readonly tension: LogEntry<'tension-read'> | null
  /** What the motor drew; null where nobody read it. */
  readonly amperes: number | null
}

/** Kinds of entry that it is told from. */
export const LEFT_BY = [
  'sheaves-read',
  'tension-read',
  'run-confirmed',
] as const satisfies readonly LogEntry['kind'][]

/** What a job left behind, from those of its entries that are of a kind in LEFT_BY. */
export const driveLeft = (
  job: string,
  closedAt: string,
  turns: Settings,
  entries: readonly LogEntry[],
): DriveLeft => {
  let line: DriveLeft['line'] = null
  let tension: DriveLeft['tension'] = null
  let amperes: DriveLeft['amperes'] = null
  for (const e of standingEntries(entries))
    if (e.kind === 'sheaves-read') line = e
    else if (e.kind === 'tension-read') tension = e
    else if (e.kind === 'run-confirmed') amperes = e.payload.current ?? amperes
  return { job, closedAt, turns, line, tension, amperes }
}
