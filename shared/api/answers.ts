import type { StageId } from '../../core/jobs/jobs'
import type { Misalignment } from '../../core/frame/planes'
import type { Landing } from '../../core/comeBack/landing'
import type { JobHistory } from '../../core/history/jobHistory'
import type { SheaveReset } from '../../core/register/settings'
import type { JobFigure, JobSummaryFigures } from '../../core/jobs/summary'
import type { VerdictOrUnknown } from '../../core/judge/judge'
import type { LeafUse } from '../../core/tools/toolsToTake'
import type { JobReason } from '../../core/stages/open/entries'
import type { DriveLeft } from '../../core/stages/inspect/driveLeft'
import type { SetUpPayload } from '../../core/stages/setUp/entries'
import type { StandstillRecord } from '../comeBack/standstill'
import type { JobTable } from '../files/tableNames'
import type { WireEntry } from '../logbook/lifts'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { MachineRecord, MachineSnapshot } from '../register/machine'
import type { InstrumentRecord } from '../stores/instrument'
import type { LotRecord } from '../stores/lot'
import type { SpareBeltsRecord } from '../stores/spareBelts'

/** A job as lists show it: columns the server derived from its logbook. */
export interface JobSummary {
  readonly id: string
  readonly tag: string
  readonly machineName: string
  readonly openedAt: string
  readonly closedAt: string | null
  readonly updatedAt: string
  readonly lastAuthor: string
  readonly lastAuthorId: string
  readonly stage: StageId
  /** As left; the signed one once it is closed. */
  readonly verdict: VerdictOrUnknown
  readonly provisional: boolean
  readonly nextDue: string | null
  readonly summary: JobSummaryFigures
}

/** One page of a list, and where the next one goes on from; null on the last. */
export interface Page<T> {
  readonly rows: readonly T[]
  readonly next: string | null
}

export type MachineSummary = MachineRecord & {
  readonly openJob: string | null
  readonly lastClosed: JobSummary | null
}

export interface MachineAnswer {
  readonly machine: MachineRecord
  readonly jobs: Page<JobSummary>
}

/** A closed job as the machine's history tells it; who did what by name. */
export interface PastJob extends JobHistory {
  readonly id: string
  readonly openedAt: string
  readonly closedAt: string
  readonly verdict: VerdictOrUnknown
  readonly rounds: number
  readonly figures: readonly JobFigure[]
}

export interface HistoryAnswer {
  /** Newest first. */
  readonly jobs: readonly PastJob[]
}

/** A machine to come back to, until a later job on it closes. */
export interface DueVisit {
  /** The job that asked for it. */
  readonly job: JobSummary
  readonly area: string
  /** YYYY-MM-DD. */
  readonly due: string
  /** A job that is open there already. */
  readonly openJob: string | null
  /** The stop of its hall it lands on; null where one is to be asked for. */
  readonly landing: Landing<StandstillRecord> | null
}

export interface CalendarAnswer {
  /** Soonest first, overdue ones too. */
  readonly visits: readonly DueVisit[]
  /** From a month back on, those that were called off too. */
  readonly standstills: readonly StandstillRecord[]
}

/** A calendar to subscribe to, without its address. */
export interface FeedAnswer {
  readonly id: string
  /** Null for the whole works. */
  readonly person: string | null
  readonly personName: string | null
  readonly madeAt: string
  readonly readAt: string | null
  readonly revokedAt: string | null
}

export interface NewFeedAnswer extends FeedAnswer {
  /** Path with its secret; said this once. */
  readonly address: string
}

/** Shims of one lot as the stores stand. */
export type LotAnswer = LotRecord & {
  readonly now: number
  readonly reserved: number
  readonly free: number
  readonly isLow: boolean
  /** Null while nobody has counted since it was put in. */
  readonly lastCount: {
    readonly counted: number
    readonly expected: number
    readonly by: string
    readonly at: string
  } | null
}

/** Spare belts of one lot as the stores stand. */
export type SpareBeltsAnswer = SpareBeltsRecord & Pick<LotAnswer, 'now' | 'isLow' | 'lastCount'>

export interface StoresAnswer {
  readonly belts: readonly SpareBeltsAnswer[]
  readonly lots: readonly LotAnswer[]
  /** Plans that wait, with the leaves they want. */
  readonly wants: readonly {
    readonly job: string
    readonly tag: string
    readonly units: UnitSystem
    readonly taken: readonly number[]
  }[]
  /** With the jobs of the last year that each was taken to. */
  readonly instruments: readonly (InstrumentRecord & { readonly jobs: number })[]
}

/** A machine whose sheave stands otherwise than its last close left it: what was proved there is stale. */
export interface ResetAnswer {
  readonly tag: string
  readonly machineName: string
  readonly reset: SheaveReset
  /** The close it was left by. */
  readonly closedAt: string | null
  /** A job that is open there already. */
  readonly openJob: string | null
}

/** A machine whose belts will have left their band before long, by what was read since they were tensioned. */
export interface LeavingAnswer {
  readonly tag: string
  readonly machineName: string
  readonly earliest: string
  readonly leavesAt: string
}

export interface TodayAnswer {
  /** Belts that leave their band within the next weeks, the soonest first. */
  readonly leaving: readonly (LeavingAnswer & {
    /** The day that is signed for, where one is. */
    readonly due: string | null
    readonly openJob: string | null
  })[]
  /** Machines whose sheave was set otherwise since they were lined up. */
  readonly reset: readonly ResetAnswer[]
  readonly open: Page<JobSummary>
  /** Machines whose last closed job left them out of band or on the edge. */
  readonly outOfBand: readonly JobSummary[]
  /** Machines to look at again, the latest against its own interval first; those of the next fortnight too. */
  readonly due: readonly DueVisit[]
  /** When halls stand from now on, soonest first. */
  readonly standstills: readonly StandstillRecord[]
  /** Machines whose last closed job aimed at a cold target that no hot check has borne out, longest waiting first. */
  readonly provisional: readonly JobSummary[]
  readonly recentlyClosed: readonly JobSummary[]
}

/** How this machine was set up in its last job before this one: what a new set-up is held against. */
export interface PreviousSetUp {
  readonly closedAt: string
  readonly setUp: SetUpPayload | null
  /** Of a train, by coupling. */
  readonly parts?: Readonly<Record<string, SetUpPayload>>
}

/** Where the job before left this machine cold, core units. */
export interface LeftBefore {
  readonly job: string
  readonly closedAt: string
  readonly coupling: Misalignment
}

/** How the job before left a belt drive, its entries as they go over the wire. */
export type WireDriveLeft = Omit<DriveLeft, 'line' | 'tension'> & {
  readonly line: WireEntry | null
  readonly tension: WireEntry | null
}

export interface JobAnswer {
  readonly id: string
  /** Version of the machine record's schema; see shared/register/lifts.ts. */
  readonly machineSchema: number
  readonly machine: MachineSnapshot
  readonly entries: readonly WireEntry[]
  /** What earlier jobs on this machine put under its feet. */
  readonly leavesBefore: readonly LeafUse[]
  readonly previous: PreviousSetUp | null
  readonly left: LeftBefore | null
  readonly drive: WireDriveLeft | null
}

export interface EntryAnswer {
  readonly entry: WireEntry
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

/** A photograph as it is kept. */
export interface PhotographAnswer {
  readonly id: string
  readonly width: number
  readonly height: number
  readonly added: boolean
}

/** What bringing a job in from its file would do, or has done. */
export interface JobFileAnswer {
  readonly job: string
  /** The works it comes from. */
  readonly works: string
  readonly tag: string
  readonly is: 'new' | 'more' | 'same'
  /** Entries that are new here. */
  readonly entries: number
  readonly machine: 'here' | 'new'
  /** Names that would be added to the people of this works. */
  readonly people: readonly string[]
  /** Photographs that are new here. */
  readonly photographs: number
  /** Entries that today's rules would not let in, kept as they were written. */
  readonly otherwise: number
  readonly done: boolean
}

/** One job or entry that a table asks for, and what would become of it. */
export interface TableRow {
  readonly table: JobTable
  /** Where its first line stands. */
  readonly at: string
  /** Lines that it is made of. */
  readonly counted: number
  readonly tag: string
  /** Null where the job is not here yet. */
  readonly job: string | null
  /** When it was made, as the file says it; null where it says nothing. */
  readonly madeAt: string | null
  readonly by: string
  /** What a job is opened for. */
  readonly reason: JobReason | null
  /** When the move was made that it goes before; null where it goes behind all. */
  readonly before: string | null
  /** `open`: the machine has a job in hand already, and gets no other. */
  readonly is: 'new' | 'same' | 'open'
}

/** What bringing tables in would do, or has done. */
export interface TablesAnswer {
  /** Tags of the machines that something new is for. */
  readonly machine: string
  readonly rows: readonly TableRow[]
  readonly faults: readonly { readonly at: string; readonly message: string }[]
  /** Jobs and entries that came in. */
  readonly taken: number
  readonly done: boolean
}
