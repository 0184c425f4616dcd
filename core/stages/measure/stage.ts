import type { LogEntry } from '../../logbook/entry'
import { conflict, defineStage, invalid, type Mark, type Objection } from '../../logbook/stage'
import type { Safety } from '../makeSafe/safety'
import { lockoutObjection } from '../makeSafe/stage'
import type { RoughIn } from '../roughIn/roughIn'
import type { SetUp } from '../setUp/setUp'
import { isBelieved, type Measurement } from './measurement'

interface Sees {
  readonly safety: Safety
  readonly setUp: SetUp | null
  /** Only where hubs are felt before an instrument goes on. */
  readonly roughIn?: Pick<RoughIn, 'proves'>
  /** Index 0 is as found; index n is after the n-th move. Never empty. */
  readonly measurements: readonly Measurement[]
  /** Sets that were read on the warm machine, and with the coupling made up, stand beside the rounds. */
  readonly hot?: { readonly measurement: Measurement }
  readonly proof: { readonly measurement: Measurement }
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement
const beside = (job: Sees): readonly Measurement[] => [
  ...(job.hot ? [job.hot.measurement] : []),
  job.proof.measurement,
]
const round = (job: Sees): number => job.measurements.length - 1

const markOf = (m: Measurement | undefined): Mark => {
  if (!m || m.sets.length === 0) return 'todo'
  const verdict = m.judgement?.verdict
  return verdict && verdict !== 'unknown' && m.trust !== 'doubtful' ? verdict : 'out'
}

/** The set-up in force, or the one that the corrected set was read with. */
const setUpFor = (job: Sees, entry: LogEntry): SetUp | null => {
  if (!entry.supersedes) return job.setUp
  const corrected = entry.supersedes.entry
  const set = [...job.measurements, ...beside(job)]
    .flatMap((m) => m.sets)
    .find((s) => s.set.entry.id === corrected)
  return set?.set.setUp ?? job.setUp
}

const objection = (job: Sees, entry: LogEntry): Objection | null => {
  switch (entry.kind) {
    case 'readings-taken': {
      const setUp = setUpFor(job, entry)
      if (!setUp) return conflict('no-set-up')
      const names = Object.keys(entry.payload.circles)
      const { circles } = setUp
      if (names.length !== circles.length || names.some((n) => !circles.includes(n)))
        return invalid('other-circles', 'payload', 'circles')
      return lockoutObjection(job.safety)
    }
    case 'set-used-anyway':
    case 'set-left-out':
      return [latest(job), ...beside(job)].some((m) =>
        m.sets.some((s) => s.set.entry.id === entry.payload.set),
      )
        ? null
        : invalid('no-such-set', 'payload', 'set')
    default:
      return null
  }
}

const writes = ['readings-taken', 'set-used-anyway', 'set-left-out'] as const

/** Readings before anything was moved, repeated until they can be believed. */
export const asFound = defineStage({
  id: 'as-found',
  writes,
  skip: 'never',
  mark: (job: Sees) => markOf(job.measurements[0]),
  // Where straightedge and feelers proved it, an instrument is for whoever asks for one.
  wants: (job) =>
    round(job) === 0 && !isBelieved(latest(job)) && !(job.roughIn?.proves && latest(job).sets.length === 0),
  objection,
})

/** Readings after the last move. */
export const reMeasure = defineStage({
  id: 're-measure',
  writes,
  skip: 'each-round',
  mark: (job: Sees) => (round(job) > 0 ? markOf(latest(job)) : 'todo'),
  wants: (job) => round(job) > 0 && !isBelieved(latest(job)),
  objection,
})
