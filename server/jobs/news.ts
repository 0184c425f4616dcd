import pg from 'pg'
import type { LogEntry } from '../../core/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import { database } from '../database/connection'
import { environment } from '../environment'
import { log } from '../log'
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
const TRY_AGAIN = 2000

let line: pg.Client | null = null
let closed = false
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
  if (!line) return
  const jobs = [...unannounced].slice(0, MOST_NAMED)
  for (const job of jobs) unannounced.delete(job)
  line.query('select pg_notify($1, $2)', [CHANNEL, jobs.join(',')]).catch(() => {
    for (const job of jobs) unannounced.add(job)
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
  const told = toldSoFar(jobId)
  if (told === null) return
  if (told === before) news.forEach((entry, i) => tellViewers(jobId, toWire(entry), before + i + 1))
  else void catchUp(jobId).catch(() => null)
}

/** Passes a call on to everyone who looks at this job, here and at other server processes. */
export const passOn = (jobId: string, said: Call): void => {
  tellCall(jobId, said)
  line?.query('select pg_notify($1, $2)', [CALLS, JSON.stringify([jobId, said])]).catch(() => null)
}

const hearCall = (payload: string): void => {
  const [jobId, said] = JSON.parse(payload) as [string, Call]
  tellCall(jobId, said)
}

/** Listens to the other server processes; comes back by itself after the database was away. */
export const listenToNews = (): void => {
  if (closed) return
  const client = new pg.Client({
    connectionString: environment().DATABASE_URL,
    keepAlive: true,
    connectionTimeoutMillis: 4000,
    application_name: 'hushed-caliper news',
  })
  let over = false
  const again = () => {
    if (over) return
    over = true
    if (line === client) line = null
    client.end().catch(() => null)
    if (!closed) setTimeout(listenToNews, TRY_AGAIN).unref()
  }
  client.on('error', again)
  client.on('end', again)
  client.on('notification', (message) => {
    if (message.processId === (client as unknown as { processID: number }).processID) return
    if (message.channel === CALLS) return hearCall(message.payload ?? '')
    for (const jobId of (message.payload ?? '').split(',')) void catchUp(jobId).catch(() => null)
  })
  client
    .connect()
    .then(() => client.query(`listen ${CHANNEL}; listen ${CALLS}`))
    .then(() => {
      line = client
      // What was written while nobody listened.
      for (const jobId of viewedJobs()) void catchUp(jobId).catch(() => null)
      if (unannounced.size > 0) gathering ??= setTimeout(announceAll, GATHER)
    })
    .catch((failure: unknown) => {
      log.debug({ err: failure }, 'no line to the other processes yet')
      again()
    })
}

/** Stops listening. */
export const closeNews = async (): Promise<void> => {
  closed = true
  const open = line
  line = null
  await open?.end().catch(() => null)
}
