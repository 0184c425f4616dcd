import type { LogEntry } from '../../core/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import { database } from '../database/connection'
import { hearOthers, othersInReach, tellOthers, whenLinked } from '../database/otherProcesses'
import { releaseJob } from '../instruments/pairing'
import { listEntries } from './entries.repository'
import type { Call } from '../../shared/secondScreen/call'
import { tellCall } from './calls'
import { toldSoFar, tellViewers, viewedJobs } from './viewers'

const CHANNEL = 'hushed_caliper_logbooks'
const CALLS = 'hushed_caliper_calls'
/** Milliseconds in which entries of several jobs are announced together. */
const GATHER = 20
/** Jobs named in one announcement; PostgreSQL carries 8000 bytes. */
const MOST_NAMED = 200

const unannounced = new Set<string>()
let gathering: NodeJS.Timeout | null = null

/** Tells this process' viewers what stands in a logbook beyond what they were told. */
export const catchUp = async (jobId: string): Promise<void> => {
  const from = toldSoFar(jobId)
  if (from === null) return
  const entries = await listEntries(database('read'), jobId, from)
  entries.forEach((entry, i) => tellViewers(jobId, toWire(entry), from + i + 1))
}

const announceAll = (): void => {
  gathering = null
  if (!othersInReach()) return
  const jobs = [...unannounced].slice(0, MOST_NAMED)
  for (const job of jobs) unannounced.delete(job)
  void tellOthers(CHANNEL, jobs.join(',')).then((told) => {
    if (!told) for (const job of jobs) unannounced.add(job)
  })
  if (unannounced.size > 0) gathering = setTimeout(announceAll, 0)
}

/**
 * Announces to the other server processes that a logbook has grown. Outside of the entry's own
 * transaction: a notification inside would make all commits wait for one another.
 */
const announce = (jobId: string): void => {
  unannounced.add(jobId)
  gathering ??= setTimeout(announceAll, GATHER)
}

/** Tells everyone who looks at this job, here and at other server processes, what was added behind `before` entries. */
export const tellNews = (jobId: string, before: number, news: readonly LogEntry[]): void => {
  announce(jobId)
  if (news.some((entry) => entry.kind === 'job-closed'))
    void releaseJob(database('write'), jobId).catch(() => null)
  const told = toldSoFar(jobId)
  if (told === null) return
  if (told === before) news.forEach((entry, i) => tellViewers(jobId, toWire(entry), before + i + 1))
  else void catchUp(jobId).catch(() => null)
}

/** Passes a call on to everyone who looks at this job, here and at other server processes. */
export const passOn = (jobId: string, said: Call): void => {
  tellCall(jobId, said)
  void tellOthers(CALLS, JSON.stringify([jobId, said]))
}

/** What is heard from the other server processes: logbooks that grew, and calls. */
export const hearNews = (): void => {
  hearOthers(CHANNEL, (jobs) => {
    for (const jobId of jobs.split(',')) void catchUp(jobId).catch(() => null)
  })
  hearOthers(CALLS, (payload) => {
    const [jobId, said] = JSON.parse(payload) as [string, Call]
    tellCall(jobId, said)
  })
  whenLinked(() => {
    // What was written while nobody listened.
    for (const jobId of viewedJobs()) void catchUp(jobId).catch(() => null)
    if (unannounced.size > 0) gathering ??= setTimeout(announceAll, GATHER)
  })
}
