import type { CouplingMeasurement } from '../coupling/dialCircle'
import { feetFor, type FootResult } from '../coupling/feet'
import { rimFace } from '../coupling/rimFace'
import type { Misalignment } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import { closureLimit } from '../trust/closure'
import { suspectReadings } from '../trust/suspects'
import type { Degrees } from '../units/unitSystem'
import { compareSets, trustLimits, type ReadingSet, type RepeatReport } from './readingSet'
import { DIALS, type Dial } from './setUp'

/**
 * How far a measurement may be believed. agreed: two sets repeat. once: one set that balances.
 * unproven: nothing spare to expose a bad reading. doubtful: it fails a check. overridden: used
 * against a failed check, with a reason. none: nothing typed.
 */
export type TrustLevel = 'none' | 'doubtful' | 'unproven' | 'once' | 'agreed' | 'overridden'

export interface SuspectReading {
  readonly set: string
  readonly dial: Dial
  readonly clock: Degrees
}

/** What all sets between two moves say together. */
export interface Measurement {
  readonly sets: readonly ReadingSet[]
  readonly used: readonly string[]
  readonly repeat: RepeatReport | null
  readonly suspects: readonly SuspectReading[]
  readonly trust: TrustLevel
  /** From the sets used; null while none can be. */
  readonly combined: CouplingMeasurement | null
  readonly coupling: Misalignment | null
  readonly judgement: Judgement | null
  readonly feet: readonly FootResult[]
}

const MOST_COMPARED = 6

/** Largest group of sets that repeat one another; the later group when two are as large. */
const agreeingSets = (sets: readonly ReadingSet[], tolerance: SettledTolerance): readonly ReadingSet[] => {
  const compared = sets.slice(-MOST_COMPARED)
  const repeats = compared.map((a, i) =>
    compared.map((b, j) => (i < j ? compareSets(a, b, tolerance).agrees : false)),
  )
  let best: readonly number[] = []
  for (let mask = 1; mask < 1 << compared.length; mask++) {
    const members = compared.map((_, i) => i).filter((i) => mask & (1 << i))
    if (members.length < best.length) continue
    if (members.every((i, n) => members.slice(n + 1).every((j) => repeats[i]?.[j]))) best = members
  }
  return best.map((i) => compared[i] as ReadingSet)
}

/** Several sets of one set-up as one least-squares problem, each with constants of its own. */
const combine = (sets: readonly ReadingSet[], tolerance: SettledTolerance): CouplingMeasurement | null => {
  const last = sets[sets.length - 1]
  if (!last) return null
  const alike = sets.filter((s) => s.setUp.entryId === last.setUp.entryId)
  if (alike.length === 1) return last.measured
  const pooled = (dial: Dial) =>
    alike.flatMap((s, i) => s.readings[dial].map((r) => ({ ...r, group: `${i}:${r.group ?? ''}` })))
  const outcome = rimFace(
    {
      rim: { ...last.setUp.rim, readings: pooled('rim') },
      faces: [{ ...last.setUp.face, readings: pooled('face') }],
    },
    trustLimits(last.setUp, tolerance),
  )
  return outcome.ok ? outcome.value : last.measured
}

const findSuspects = (
  sets: readonly ReadingSet[],
  tolerance: SettledTolerance,
): readonly SuspectReading[] => {
  const last = sets[sets.length - 1]
  if (!last) return []
  const alike = sets.filter((s) => s.setUp.entryId === last.setUp.entryId)
  const limits = trustLimits(last.setUp, tolerance)
  const limit = closureLimit(limits.units, limits.graduation, limits.offsetLimit)
  return DIALS.flatMap((dial) => {
    const origin: SuspectReading[] = []
    const pooled = alike.flatMap((s, i) =>
      s.readings[dial].map((r) => {
        origin.push({ set: s.entry.id, dial, clock: r.clock })
        return { ...r, group: `${i}:${r.group ?? ''}` }
      }),
    )
    const indexes = suspectReadings(pooled, limit)
    return indexes.map((i) => origin[i] as SuspectReading)
  })
}

/** Takes the sets between two moves together: which are used, how far to trust them, what they say. */
export const takeMeasurement = (
  sets: readonly ReadingSet[],
  tolerance: SettledTolerance,
  target: Misalignment,
): Measurement => {
  const offered = sets.filter((s) => s.measured !== null && s.leftOut === null)
  const admitted = offered.filter((s) => s.sound || s.usedAnyway !== null)
  const agreeing = agreeingSets(admitted, tolerance)
  const lastAdmitted = admitted[admitted.length - 1]
  const disagree = admitted.length > 1 && agreeing.length < 2
  const used = disagree && lastAdmitted?.usedAnyway != null ? [lastAdmitted] : agreeing
  const combined = combine(used, tolerance)
  const pair = offered.slice(-2)
  const [before, latest] = pair
  const repeat = before && latest ? compareSets(before, latest, tolerance) : null
  const trust = ((): TrustLevel => {
    if (sets.length === 0) return 'none'
    if (used.some((s) => s.usedAnyway !== null)) return 'overridden'
    if (used.length > 1) return 'agreed'
    const newest = offered[offered.length - 1]
    const newestFails = newest !== undefined && !admitted.includes(newest)
    if (disagree || newestFails || admitted.length === 0) return 'doubtful'
    return used.some((s) => s.flags.includes('unproven')) ? 'unproven' : 'once'
  })()
  const coupling = combined?.coupling ?? null
  const setUp = used[used.length - 1]?.setUp
  return {
    sets,
    used: used.map((s) => s.entry.id),
    repeat,
    suspects: trust === 'doubtful' ? findSuspects(offered, tolerance) : [],
    trust,
    combined,
    coupling,
    judgement: coupling && judge(coupling, tolerance, target),
    feet: coupling && setUp ? feetFor(coupling, setUp.feet, target) : [],
  }
}
