import type { LogEntry, StageId } from '../../core/logbook/entry'
import type { Misalignment } from '../../core/frame/planes'
import type { VerdictOrUnknown } from '../../core/judge/judge'
import type { MachineRecord, MachineSnapshot } from '../register/machine'

/** A job as lists show it: columns the server derived from its logbook. */
export interface JobSummary {
  readonly id: string
  readonly tag: string
  readonly machineName: string
  readonly openedAt: string
  readonly closedAt: string | null
  readonly updatedAt: string
  readonly lastAuthor: string
  readonly stage: StageId
  readonly verdict: VerdictOrUnknown
  readonly rounds: number
  readonly asFound: CouplingSummary | null
  readonly asLeft: CouplingSummary | null
}

/** Offset and slope in core units with their verdict. */
export interface CouplingSummary {
  readonly coupling: Misalignment
  readonly verdict: VerdictOrUnknown
}

export interface MachineSummary extends MachineRecord {
  readonly openJob: string | null
  readonly lastClosed: JobSummary | null
}

export interface MachineAnswer {
  readonly machine: MachineRecord
  readonly jobs: readonly JobSummary[]
}

export interface TodayAnswer {
  readonly open: readonly JobSummary[]
  /** Machines whose last closed job left them out of band or on the edge. */
  readonly outOfBand: readonly JobSummary[]
  readonly recentlyClosed: readonly JobSummary[]
}

export interface JobAnswer {
  readonly id: string
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
}

export interface EntryAnswer {
  readonly entry: LogEntry
  /** False when this UUID was already in the logbook. */
  readonly added: boolean
}

export interface ErrorAnswer {
  readonly error: {
    readonly code: string
    readonly message: string
    readonly issues?: readonly { readonly path: string; readonly message: string }[]
    /** The row as it stands now, after a stale write. */
    readonly current?: unknown
  }
}

export interface HealthAnswer {
  readonly status: 'ok' | 'degraded'
  readonly database: 'up' | 'down'
  readonly migration: string | null
}
