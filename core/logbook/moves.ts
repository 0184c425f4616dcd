import type { EntryKind, LogEntry } from './entry'

/** Kinds that move a machine: what was read before one no longer says where it stands. */
export const MOVE_KINDS = ['move-made', 'flange-moved'] as const satisfies readonly EntryKind[]

export const isMove = (e: LogEntry): e is LogEntry<(typeof MOVE_KINDS)[number]> =>
  (MOVE_KINDS as readonly EntryKind[]).includes(e.kind)
