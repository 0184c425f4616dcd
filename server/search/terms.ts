import type { LogEntry } from '../../core/logbook/entry'
import type { Job } from '../../core/jobs/jobs'
import type { AchievedCause, AchievedPlane } from '../../core/coupling/achieved'
import type { MachineSnapshot } from '../../shared/register/machine'
import type { Known } from './known'

/** Keys of payloads under which people write words. */
const WORDS = new Set([
  'text',
  'note',
  'words',
  'remark',
  'remarks',
  'why',
  'exception',
  'customer',
  'site',
  'permit',
  'signedBy',
])

/** What people wrote into an entry, one after the other; empty where they wrote nothing. */
export const writtenIn = (entry: Pick<LogEntry, 'payload' | 'supersedes'>): string => {
  const said: string[] = entry.supersedes ? [entry.supersedes.reason] : []
  const look = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return
    for (const [key, own] of Object.entries(value)) {
      if (typeof own === 'string' && WORDS.has(key) && own.trim() !== '') said.push(own)
      else look(own)
    }
  }
  look(entry.payload)
  return said.join(' ')
}

/** Words as they are kept and asked for: small letters and figures, `CP-11` as two of them. */
export const plainWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** What a machine is found by in any of its jobs. */
export const wordsOfMachine = ({ tag, name, area }: Pick<MachineSnapshot, 'tag' | 'name' | 'area'>): string =>
  `${tag} ${name} ${area}`

/** One term a job is found by. */
export const term = (facet: string, value: string): string => `${facet}:${value.trim().toLowerCase()}`

const AS_MADE: readonly AchievedCause[] = ['as-planned', 'came-along']

/** A move of any kind of job that is held against what it should have done. */
interface Move {
  readonly achieved: readonly AchievedPlane[] | null
}
const missed = new WeakMap<Move, readonly AchievedCause[]>()
/** Why a move missed. One that stays the very object is looked at once: a long job has hundreds, and each entry asks. */
const causesOf = (move: Move): readonly AchievedCause[] => {
  let causes = missed.get(move)
  if (!causes) {
    causes = (move.achieved ?? []).flatMap((p) => (AS_MADE.includes(p.cause) ? [] : p.causes))
    missed.set(move, causes)
  }
  return causes
}
const movesIn = (job: Job): readonly (readonly Move[])[] => {
  if (job.kind === 'coupled' || job.kind === 'drum') return [job.state.moves]
  return job.kind === 'train' ? job.state.couplings.map(({ state }) => state.moves) : []
}
const causesIn = (job: Job): ReadonlySet<AchievedCause> => {
  const causes = new Set<AchievedCause>()
  for (const moves of movesIn(job))
    for (const move of moves) for (const cause of causesOf(move)) causes.add(cause)
  return causes
}

/** Terms a job is found by, each once: of what kind, how it ended, where, for whom, who wrote, why moves missed. */
export const termsOf = (
  machine: Pick<MachineSnapshot, 'tag' | 'area'>,
  job: Job,
  { opening, people }: Pick<Known, 'opening' | 'people'>,
): readonly string[] => {
  const { customer = '', reason } = opening?.payload ?? {}
  const closing = job.state.closing?.payload
  return [
    ...new Set([
      term('kind', job.kind),
      term('verdict', closing?.signed?.verdict ?? job.state.outcome.verdict),
      term('machine', machine.tag),
      term('area', machine.area),
      term('state', closing ? 'closed' : 'open'),
      ...(reason ? [term('reason', reason)] : []),
      ...(customer.trim() ? [term('customer', customer)] : []),
      ...(closing?.exception ? [term('exception', 'yes')] : []),
      ...[...causesIn(job)].map((c) => term('cause', c)),
      ...people.map((p) => term('person', p)),
    ]),
  ]
}
