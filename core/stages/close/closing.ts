import type { VerdictOrUnknown } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'

/**
 * Counts up whenever the same logbook may fold to another verdict than before. A closed job keeps
 * the verdict that was signed; a later fold that differs says so and never overwrites it.
 */
export const FOLD_VERSION = 3

/** The entry that closed a job; null while it is open. */
export type Closing = LogEntry<'job-closed'> | null

export const keepClosing = (now: Closing, e: LogEntry): Closing => (e.kind === 'job-closed' ? e : now)

/** Why a job can only be closed with an exception; empty when it needs none. */
export type ExceptionReason =
  | 'unmeasured'
  | 'moved-since'
  | 'doubtful'
  | 'out'
  | 'edge'
  | 'unknown'
  | 'corrected-since'
  | 'strained'
  | 'turns-wrong'
  | 'drum-out'
  | 'drum-unread'
  | 'contact-unread'
  | 'backlash-unread'
  | 'gear-untightened'
  | 'pins-out'
  | 'untensioned'
  | 'untightened'
  | 'runs-badly'

/** What a job comes to when it is closed now. */
export interface Outcome {
  readonly verdict: VerdictOrUnknown
  readonly exceptions: readonly ExceptionReason[]
}

/** A later fold judges a closed job otherwise than it was signed: both verdicts. Null when they agree. */
export const signedOtherwise = (
  closing: Closing,
  outcome: Outcome,
): { readonly signed: VerdictOrUnknown; readonly now: VerdictOrUnknown } | null => {
  const signed = closing?.payload.signed?.verdict
  return signed && signed !== outcome.verdict ? { signed, now: outcome.verdict } : null
}
