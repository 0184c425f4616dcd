import type { LeafUse } from '~~/core/tools/toolsToTake'
import type { DriveLeft } from '~~/core/stages/inspect/driveLeft'
import type { LogEntry } from '~~/core/logbook/entry'
import type { LeftBefore, PreviousSetUp } from '~~/shared/api/answers'
import type { Call } from '~~/shared/secondScreen/call'
import type { MachineSnapshot } from '~~/shared/register/machine'

/** A job as it comes through a door. */
export interface OpenedJob {
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
  readonly previous: PreviousSetUp | null
  readonly left: LeftBefore | null
  readonly drive: DriveLeft | null
  readonly leavesBefore: readonly LeafUse[]
}

/** Where a job comes from and goes to: the server, or a simulated one. */
export interface Door {
  /** Throws ApiFailure when it can't be had; a passing failure may be tried again. */
  readonly load: (job: string) => Promise<OpenedJob>
  /** The last copy kept on this device; null when there is none. */
  readonly recall: (job: string) => Promise<OpenedJob | null>
  readonly post: (job: string, entry: LogEntry) => void
  /** Hears entries of others, and calls; `lost` once the line was down and is up again. Answers how to stop. */
  readonly listen: (
    job: string,
    heard: (entry: LogEntry) => void,
    lost: () => void,
    called: (said: Call) => void,
  ) => () => void
  /** Says a word to whoever looks at the job; false when it did not get through. */
  readonly call: (job: string, said: Call) => Promise<boolean>
}
