import { worstVerdict, type VerdictOrUnknown } from '../../judge/judge'
import { conflict, defineStage } from '../../logbook/stage'
import type { LineReading } from '../lineUp/line'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { TensionRead } from '../tension/tension'
import type { Tightening } from './recheck'

/** What tightening did: both readings of both, null where one was not taken. */
export interface Recheck {
  readonly facts: Tightening
  readonly before: { readonly line: LineReading | null; readonly tension: TensionRead | null }
  readonly since: { readonly line: LineReading | null; readonly tension: TensionRead | null }
  /** The motor was loose on its base in this job: it must be drawn down and both read again. */
  readonly loosened: boolean
  /** Which are still to be read after tightening. */
  readonly missing: readonly ('line' | 'tension')[]
  readonly verdict: VerdictOrUnknown
}

/** Sets what stands now against what stood before the bolts were drawn down. */
export const recheckOf = (
  facts: Tightening,
  loosened: boolean,
  before: Recheck['before'],
  since: Recheck['since'],
): Recheck => ({
  facts,
  loosened,
  before,
  since,
  missing: facts.entry ? (['line', 'tension'] as const).filter((w) => since[w] === null) : [],
  verdict: worstVerdict([since.line?.verdict ?? 'unknown', since.tension?.verdict ?? 'unknown']),
})

interface Sees {
  readonly safety: Safety
  readonly recheck: Recheck
  /** Something was read that tightening may have changed. */
  readonly tensions: readonly (TensionRead | null)[]
}

/** The base drawn down, then line and tension both read once more. */
export const tightenStage = defineStage({
  id: 'tighten',
  writes: ['base-tightened'],
  skip: 'once',
  mark: ({ recheck }: Sees) => {
    if (!recheck.facts.entry) return 'todo'
    if (recheck.missing.length > 0) return 'stale'
    return recheck.verdict === 'unknown' ? 'done' : recheck.verdict
  },
  wants: ({ recheck }) => (recheck.facts.entry ? recheck.missing.length > 0 : recheck.loosened),
  objection: ({ safety, tensions }) =>
    tensions[tensions.length - 1] ? lockoutObjection(safety) : conflict('tension-unread'),
})
