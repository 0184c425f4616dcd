import type { LogEntry } from '../logbook/entry'
import type { BenchAct } from './acts'
import type { DriveAct } from './drive/driveActs'

/** How far somebody was helped: told to look once more, which check failed, what it is. */
export const HINT_STEPS = ['look', 'check', 'answer'] as const
export type HintStep = (typeof HINT_STEPS)[number]

/** One thing in a try, in the order it happened: done with hands, written in the logbook, or asked for. */
export type PracticeStep = { readonly at: string } & (
  { readonly act: BenchAct | DriveAct } | { readonly entry: LogEntry } | { readonly hint: HintStep }
)

export const entriesOf = (steps: readonly PracticeStep[]): readonly LogEntry[] =>
  steps.flatMap((s) => ('entry' in s ? [s.entry] : []))

/** Hints that were asked for; each step counts once for each time. */
export const hintsOf = (steps: readonly PracticeStep[]): readonly HintStep[] =>
  steps.flatMap((s) => ('hint' in s ? [s.hint] : []))
