import type { Knex } from 'knex'
import type { InstrumentLink, LiveSample } from '../../shared/instruments/link'
import type { Command, Refusal } from '../../shared/instruments/protocol'
import { database } from '../database/connection'
import { hearOthers, tellOthers } from '../database/otherProcesses'
import { log } from '../log'
import { listLinks } from './links.repository'

/** Milliseconds in which samples of a job are gathered for its viewers. */
const GATHER = 20
const CHANNEL = 'hushed_caliper_instruments'
/** Viewers at another process are asked after this often, and believed for a while longer. */
const ASK_EVERY = 20_000
const BELIEVED_FOR = 50_000

/** How the line of an instrument stands at the process that holds it. */
export interface LineState {
  readonly state: 'speaking' | 'silent'
  readonly battery: number | null
  readonly trouble: InstrumentLink['trouble']
}

/** The process' end of a line to an instrument that is bound. */
export interface HeldLine {
  readonly linkId: string
  readonly jobId: string
  readonly standing: () => LineState
  readonly tell: (what: Command) => void
  readonly moved: (place: string) => void
  readonly dismiss: (why: Refusal) => void
}

/** Who looks at the instruments of a job. */
export interface LiveViewer {
  readonly links: (links: readonly InstrumentLink[]) => void
  readonly live: (samples: readonly LiveSample[]) => void
}

type Passed =
  | { readonly job: string; readonly links: readonly InstrumentLink[] }
  | { readonly job: string; readonly live: readonly LiveSample[] }
  | { readonly job: string; readonly tell: string; readonly command: Command }
  | { readonly job: string; readonly looks: true }

const held = new Map<string, HeldLine>()
const viewers = new Map<string, Set<LiveViewer>>()
/** As another process told it last, by link. */
const elsewhere = new Map<string, InstrumentLink>()
const lookedAtElsewhere = new Map<string, number>()
const pending = new Map<string, { samples: LiveSample[]; timer: NodeJS.Timeout | null; flushed: number }>()

const passOn = (message: Passed) => void tellOthers(CHANNEL, JSON.stringify(message))
const heldAt = (jobId: string) => [...held.values()].filter((l) => l.jobId === jobId)

/** The instruments of a job as they stand, and those it awaits. */
export const linksOf = async (knex: Knex, jobId: string): Promise<readonly InstrumentLink[]> =>
  (await listLinks(knex, jobId)).map((row) => {
    const here = held.get(row.id)?.standing()
    const there = elsewhere.get(row.id)
    return {
      id: row.id,
      place: row.place,
      state: row.instrument === null ? 'awaited' : (here?.state ?? there?.state ?? 'gone'),
      code: row.code,
      codeUntil: row.codeUntil,
      instrument: row.instrument,
      battery: here?.battery ?? there?.battery ?? null,
      trouble: here?.trouble ?? there?.trouble ?? null,
    }
  })

const tellLinks = (jobId: string, links: readonly InstrumentLink[]) => {
  for (const line of heldAt(jobId)) {
    const own = links.find((l) => l.id === line.linkId)
    if (own) line.moved(own.place)
    else line.dismiss('released')
  }
  for (const viewer of viewers.get(jobId) ?? []) viewer.links(links)
}

const refresh = async (jobId: string): Promise<readonly InstrumentLink[]> => {
  const links = await linksOf(database('read'), jobId)
  tellLinks(jobId, links)
  return links
}

/** Something about the instruments of a job has changed: everybody who looks is told, here and at other processes. */
export const instrumentsChanged = async (jobId: string): Promise<void> => {
  try {
    passOn({ job: jobId, links: await refresh(jobId) })
  } catch (failure) {
    log.debug({ err: failure }, 'instruments could not be listed')
  }
}

/** A line is held by this process from now on; another of the same instrument ends. */
export const holdLine = (line: HeldLine): void => {
  held.get(line.linkId)?.dismiss('elsewhere')
  elsewhere.delete(line.linkId)
  held.set(line.linkId, line)
  void instrumentsChanged(line.jobId)
}

/** A line is no longer held, unless another took its place. */
export const letGo = (line: HeldLine): void => {
  if (held.get(line.linkId) !== line) return
  held.delete(line.linkId)
  void instrumentsChanged(line.jobId)
}

/** How many lines this process holds. */
export const linesHeld = (): number => held.size

/** Tells an instrument what to do, wherever its line is held. */
export const tellInstrument = (jobId: string, linkId: string, command: Command): void => {
  const line = held.get(linkId)
  if (line) line.tell(command)
  else passOn({ job: jobId, tell: linkId, command })
}

const flush = (jobId: string) => {
  const gathered = pending.get(jobId)
  if (!gathered || gathered.samples.length === 0) return
  const { samples } = gathered
  pending.set(jobId, { samples: [], timer: null, flushed: performance.now() })
  for (const viewer of viewers.get(jobId) ?? []) viewer.live(samples)
  if ((lookedAtElsewhere.get(jobId) ?? 0) > Date.now()) passOn({ job: jobId, live: samples })
}

/** A sample on its way to the needles: at once, or gathered with others for a few milliseconds. */
export const passSample = (jobId: string, sample: LiveSample): void => {
  if (!viewers.has(jobId) && (lookedAtElsewhere.get(jobId) ?? 0) < Date.now()) return
  const gathered = pending.get(jobId) ?? { samples: [], timer: null, flushed: -Infinity }
  gathered.samples.push(sample)
  pending.set(jobId, gathered)
  if (gathered.timer) return
  const wait = gathered.flushed + GATHER - performance.now()
  if (wait <= 0) flush(jobId)
  else gathered.timer = setTimeout(() => flush(jobId), wait)
}

/** Joins those who look at the instruments of a job; the answer leaves them again. */
export const watchInstruments = (jobId: string, viewer: LiveViewer): (() => void) => {
  const all = viewers.get(jobId) ?? new Set()
  all.add(viewer)
  viewers.set(jobId, all)
  passOn({ job: jobId, looks: true })
  void linksOf(database('read'), jobId)
    .then((links) => viewer.links(links))
    .catch(() => null)
  return () => {
    all.delete(viewer)
    if (all.size === 0) {
      viewers.delete(jobId)
      pending.delete(jobId)
    }
  }
}

const hear = (message: Passed) => {
  const { job } = message
  if ('links' in message) {
    for (const link of message.links) if (!held.has(link.id)) elsewhere.set(link.id, link)
    // Listed there before a line was bound here: then it is listed anew, and no line given up for it.
    const known = new Set(message.links.map((l) => l.id))
    if (heldAt(job).every((l) => known.has(l.linkId))) tellLinks(job, message.links)
    else void refresh(job).catch(() => null)
  } else if ('live' in message) for (const viewer of viewers.get(job) ?? []) viewer.live(message.live)
  else if ('tell' in message) held.get(message.tell)?.tell(message.command)
  else {
    lookedAtElsewhere.set(job, Date.now() + BELIEVED_FOR)
    if (heldAt(job).length > 0) void instrumentsChanged(job)
  }
}

/** What is heard of instruments from the other server processes. */
export const listenForInstruments = (): void => {
  hearOthers(CHANNEL, (payload) => hear(JSON.parse(payload) as Passed))
  setInterval(() => {
    for (const job of viewers.keys()) passOn({ job, looks: true })
    for (const [job, until] of lookedAtElsewhere) if (until < Date.now()) lookedAtElsewhere.delete(job)
  }, ASK_EVERY).unref()
}
