import type { Carrier, Plunger, ReadingSign, Turning } from '../coupling/dialSet'
import type { Side } from '../plan/movePlan'
import type { UnitSystem } from '../units/unitSystem'

/** The stages of a coupled job in working order. */
export const STAGES = ['make-safe', 'set-up', 'as-found', 'plan', 'move', 're-measure', 'close'] as const
export type StageId = (typeof STAGES)[number]

/** Stages that may be passed over with a reason; making safe never is. */
export const SKIPPABLE: readonly StageId[] = ['plan', 'move', 're-measure']

export const SAFETY_POINTS = ['isolated', 'locked-tagged', 'energy-released', 'tried', 'guard-off'] as const
export type SafetyPoint = (typeof SAFETY_POINTS)[number]

export const JOB_REASONS = ['planned', 'vibration', 'new-machine', 'moved', 'wear', 'other'] as const
export type JobReason = (typeof JOB_REASONS)[number]

/** A reading as typed, in the unit of its entry. */
export interface TypedReading {
  readonly clock: number
  readonly value: number
  readonly group?: string
}

/** How the dials stand, in contract units of `units`. */
export interface SetUpPayload {
  readonly units: UnitSystem
  readonly method: 'rim-face'
  readonly turning: Turning
  readonly rim: {
    readonly carriedBy: Carrier
    readonly plane: number
    /** How far the dial end of the bar hangs; always the amplitude, however it was entered. */
    readonly sag: number
    readonly sagForm: 'hang' | 'pipe-at-6'
    readonly graduation: number
    readonly readingSign: ReadingSign
  }
  readonly face: {
    readonly plunger: Plunger
    readonly diameter: number
    readonly diameterForm: 'diameter' | 'radius'
    readonly sag: number
    readonly graduation: number
    readonly readingSign: ReadingSign
  }
  readonly feet: readonly { readonly id: string; readonly x: number }[]
  /** What the dials showed after one full turn back to the start. */
  readonly returned: { readonly rim: number; readonly face: number }
}

export interface FootChange {
  readonly pair: string
  readonly side: Side
  readonly takenOut: readonly number[]
  readonly putIn: readonly number[]
}

export interface SideChange {
  readonly pair: string
  /** Toward 3 positive. */
  readonly moved: number
}

export interface EntryPayloads {
  'job-opened': {
    readonly reason: JobReason
    readonly rpm: number
    readonly customer: string
    readonly note: string
  }
  'safety-confirmed': { readonly point: SafetyPoint; readonly permit: string }
  'power-restored': { readonly why: string }
  'set-up': SetUpPayload
  'readings-taken': {
    readonly units: UnitSystem
    readonly rim: readonly TypedReading[]
    readonly face: readonly TypedReading[]
    readonly returned: { readonly rim: number; readonly face: number } | null
  }
  'set-used-anyway': { readonly set: string; readonly why: string }
  'set-left-out': { readonly set: string; readonly why: string }
  'plan-chosen': {
    readonly units: UnitSystem
    readonly option: 'closest' | 'fewest-feet' | 'fewest-shims' | 'least-lift' | 'own'
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
  }
  'move-made': {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
    readonly remark: string
  }
  'stage-skipped': { readonly stage: StageId; readonly why: string }
  remark: { readonly text: string }
  'job-closed': { readonly signedBy: string; readonly remarks: string; readonly exception: string }
}

export type EntryKind = keyof EntryPayloads

export type EntryBody = {
  [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K] }
}[EntryKind]

export interface EntryEnvelope {
  /** Made by the client; posting it twice is harmless. */
  readonly id: string
  /** The person who writes. */
  readonly author: string
  /** ISO time at the client. */
  readonly madeAt: string
  /** ISO time at the server, null while it waits to be sent. */
  readonly receivedAt: string | null
  /** The entry this one corrects, and why. */
  readonly supersedes: { readonly entry: string; readonly reason: string } | null
}

/** One line of a job's logbook. Never edited, never deleted. */
export type LogEntry = EntryEnvelope & EntryBody

export type EntryOf<K extends EntryKind> = EntryEnvelope & {
  readonly kind: K
  readonly payload: EntryPayloads[K]
}

/** Narrows an entry to one kind. */
export const isKind = <K extends EntryKind>(entry: LogEntry, kind: K): entry is LogEntry & EntryOf<K> =>
  entry.kind === kind
