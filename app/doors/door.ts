import type { LeafUse } from '~~/core/tools/toolsToTake'
import type { DriveLeft } from '~~/core/stages/inspect/driveLeft'
import type { LogEntry } from '~~/core/logbook/entry'
import type { LeftBefore, PreviousSetUp } from '~~/shared/api/answers'
import type { InstrumentLink, LiveSample } from '~~/shared/instruments/link'
import type { Command } from '~~/shared/instruments/protocol'
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

/** What comes to a job by itself. */
export interface Hears {
  /** An entry of somebody's. */
  readonly entry: (entry: LogEntry) => void
  /** The line was down and is up again. */
  readonly lost: () => void
  /** A word between the board and the second screen. */
  readonly call: (said: Call) => void
  /** Instruments of the job, and how their lines stand. */
  readonly instruments: (links: readonly InstrumentLink[]) => void
  /** What instruments show. */
  readonly live: (samples: readonly LiveSample[]) => void
}

/** Where a job comes from and goes to: the server, or a simulated one. */
export interface Door {
  /** Throws ApiFailure when it can't be had; a passing failure may be tried again. */
  readonly load: (job: string) => Promise<OpenedJob>
  /** The last copy kept on this device; null when there is none. */
  readonly recall: (job: string) => Promise<OpenedJob | null>
  readonly post: (job: string, entry: LogEntry) => void
  /** Hears what comes to the job by itself. Answers how to stop. */
  readonly listen: (job: string, hears: Hears) => () => void
  /** Says a word to whoever looks at the job; false when it did not get through. */
  readonly call: (job: string, said: Call) => Promise<boolean>
  /** Instruments that speak: awaited at a place, told a word, let go. Throws ApiFailure; null where there are none to be had. */
  readonly instruments: InstrumentDoor | null
}

/** What is asked about the instruments of a job. */
export interface InstrumentDoor {
  readonly wait: (job: string, place: string, author: string) => Promise<void>
  readonly release: (job: string, link: string) => Promise<void>
  readonly tell: (job: string, link: string, command: Command) => Promise<void>
  readonly swap: (job: string, places: readonly [string, string]) => Promise<void>
}
