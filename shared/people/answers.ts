import type { Role } from '../../core/logbook/may'
import type { VerdictOrUnknown } from '../../core/judge/judge'
import type { Deed } from './deeds'

/** Somebody on this device, or of the works. */
export interface Somebody {
  readonly id: string
  readonly name: string
  readonly role: Role
}

/** How to sign in to a works that is there to be tried. */
export interface SignInNote {
  readonly people: readonly string[]
  readonly secret: string
  readonly customer: { readonly name: string; readonly secret: string } | null
}

/** Who this device knows, and who is writing. */
export interface SessionAnswer {
  readonly current: Somebody | null
  /** Everybody whose PIN was shown on this device. */
  readonly known: readonly Somebody[]
  /** Nobody can sign in yet: the first lead is asked for. */
  readonly first: boolean
  readonly note: SignInNote | null
}

/** Somebody as leads see them. */
export interface PersonInFull extends Somebody {
  readonly customer: string | null
  readonly retired: boolean
  /** No PIN yet, one that lets in once, or their own. */
  readonly signsIn: 'not' | 'once' | 'yes'
  readonly version: number
}

/** A line of who did what. */
export interface DeedLine {
  readonly id: string
  readonly at: string
  readonly person: string | null
  readonly name: string
  readonly second: string | null
  readonly deed: Deed
  readonly about: string
}

/** A job as a customer sees it. */
export interface OwnJob {
  readonly id: string
  readonly tag: string
  readonly machine: string
  readonly site: string
  readonly openedAt: string
  readonly closedAt: string | null
  readonly verdict: VerdictOrUnknown
  readonly nextDue: string | null
}

export interface OwnJobs {
  readonly customer: string
  readonly rows: readonly OwnJob[]
}
