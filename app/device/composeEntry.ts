import type { Job } from '~~/core/jobs/jobs'
import type { KindOfJob } from '~~/core/jobs/kindOfJob'
import type { EntryBody, LogEntry } from '~~/core/logbook/entry'
import { MAY, type Role } from '~~/core/logbook/may'
import { door, kinds, objections } from '~~/shared/wording/en'
import { newId } from './newId'

/** An entry as somebody would write it now, having seen this logbook. */
export const composeEntry = (
  body: EntryBody,
  logbook: readonly LogEntry[],
  author: string,
  supersedes: LogEntry['supersedes'] = null,
): LogEntry => ({
  id: newId(),
  author,
  madeAt: new Date().toISOString(),
  receivedAt: null,
  after: logbook[logbook.length - 1]?.id ?? null,
  before: null,
  supersedes,
  ...body,
})

/** Why an entry can't be logged by this role next in this logbook, in words; empty when it can. */
export const refusalToLog = (
  kind: KindOfJob,
  folded: Job,
  logbook: readonly LogEntry[],
  entry: LogEntry,
  role: Role | undefined,
): string => {
  if (role && !MAY[role].includes(entry.kind)) return door.notForRole(kinds[entry.kind], role)
  const objection = kind.objection(folded, logbook, entry)
  return objection ? objections[objection.code] : ''
}
