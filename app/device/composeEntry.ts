import type { Job } from '~~/core/jobs/jobs'
import type { KindOfJob } from '~~/core/jobs/kindOfJob'
import type { EntryBody, EntryKind, LogEntry } from '~~/core/logbook/entry'
import { leaveToWrite, type Role } from '~~/core/logbook/may'
import type { ObjectionCode } from '~~/core/logbook/stage'
import { newId } from './newId'

/** An entry as somebody would write it now, having seen this logbook. */
export const composeEntry = (
  body: EntryBody,
  logbook: readonly LogEntry[],
  author: string,
  supersedes: LogEntry['supersedes'] = null,
  part: string | null = null,
): LogEntry => ({
  id: newId(),
  author,
  madeAt: new Date().toISOString(),
  receivedAt: null,
  after: logbook[logbook.length - 1]?.id ?? null,
  before: null,
  supersedes,
  ...(part === null ? {} : { part }),
  ...body,
})

/** Why an entry can't be logged: this role may not write it, or the job can't take it now. */
export type Refused =
  | { readonly why: 'role'; readonly kind: EntryKind; readonly role: Role }
  /** It can, once a second person has shown their PIN for it. */
  | { readonly why: 'second'; readonly kind: EntryKind; readonly role: Role }
  | { readonly why: 'objection'; readonly code: ObjectionCode }

/** Why an entry can't be logged by this role next in this logbook; null when it can. Its words are in refusedWords.ts. */
export const refusedToLog = (
  kind: KindOfJob,
  folded: Job,
  logbook: readonly LogEntry[],
  entry: LogEntry,
  role: Role | undefined,
): Refused | null => {
  const leave = role ? leaveToWrite(role, entry.kind) : 'alone'
  if (role && leave === 'no') return { why: 'role', kind: entry.kind, role }
  const objection = kind.objection(folded, logbook, entry)
  if (objection) return { why: 'objection', code: objection.code }
  return role && leave === 'with-second' && entry.second === undefined
    ? { why: 'second', kind: entry.kind, role }
    : null
}
