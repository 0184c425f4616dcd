import type { CouplingMeasurement, DialArrangement, DialCircle } from '../../coupling/dialCircle'
import { feetFor, type FootResult } from '../../coupling/feet'
import type { Misalignment } from '../../frame/planes'
import { judge, type Judgement } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import { remember } from '../../logbook/remember'
import { measureArranged } from '../../methods/method'
import { closureLimit } from '../../trust/closure'
import { fitHarmonic } from '../../fit/harmonicFit'
import { suspectReadings } from '../../trust/suspects'
import type { Degrees } from '../../units/unitSystem'
import { playBetween, wayTurned, type Play } from './play'
import { compareSets, trustLimits, type ReadingSet, type RepeatReport } from './readingSet'

/**
 * How far a measurement may be believed. agreed: two sets repeat. once: one set that balances.
 * unproven: nothing spare to expose a bad reading. doubtful: it fails a check. overridden: used
 * against a failed check, with a reason. none: nothing typed.
 */
export type TrustLevel = 'none' | 'doubtful' | 'unproven' | 'once' | 'agreed' | 'overridden'

/** A set with what people said of it since. */
export interface NotedSet {
  readonly set: ReadingSet
  readonly usedAnyway: string | null
  readonly leftOut: string | null
}

export interface SuspectReading {
  readonly set: string
  readonly circle: string
  readonly clock: Degrees
}

/** What all sets between two moves say together. */
export interface Measurement {
  readonly sets: readonly NotedSet[]
  readonly used: readonly string[]
  readonly repeat: RepeatReport | null
  /** Two sound sets that don't agree, when that is why the measurement is doubted. */
  readonly disputed: RepeatReport | null
  readonly suspects: readonly SuspectReading[]
  readonly trust: TrustLevel
  /** From the sets used; null while none can be. */
  readonly combined: CouplingMeasurement | null
  readonly coupling: Misalignment | null
  readonly judgement: Judgement | null
  readonly feet: readonly FootResult[]
  /** Between the last set and the last one turned the other way; null where none was. */
  readonly play: Play | null
}

const MOST_COMPARED = 6

/** Largest group of sets that repeat one another; the later group when two are as large. */
const agreeingSets = (sets: readonly NotedSet[], tolerance: SettledTolerance): readonly NotedSet[] => {
  const compared = sets.slice(-MOST_COMPARED)
  const repeats = compared.map((a, i) =>
    compared.map((b, j) => (i < j ? compareSets(a.set, b.set, tolerance).agrees : false)),
  )
  let best: readonly number[] = []
  for (let mask = 1; mask < 1 << compared.length; mask++) {
    const members = compared.map((_, i) => i).filter((i) => mask & (1 << i))
    if (members.length < best.length) continue
    if (members.every((i, n) => members.slice(n + 1).every((j) => repeats[i]?.[j]))) best = members
  }
  return best.map((i) => compared[i] as NotedSet)
}

/** One circle of several sets as one, each set with constants of its own. */
const poolCircle = (arrangements: readonly DialArrangement[], which: 0 | 1): DialCircle => {
  const last = (arrangements[arrangements.length - 1] as DialArrangement).circles[which]
  return {
    ...last,
    readings: arrangements.flatMap((a, i) =>
      a.circles[which].readings.map((r) => ({ ...r, group: `${i}:${r.group ?? ''}` })),
    ),
  }
}

/** Several sets of one set-up as one least-squares problem. */
const combine = (sets: readonly ReadingSet[], tolerance: SettledTolerance): CouplingMeasurement | null => {
  const last = sets[sets.length - 1]
  if (!last?.arranged) return null
  const alike = sets.filter((s) => s.setUp === last.setUp)
  if (alike.length === 1) return last.measured
  const arrangements = alike.flatMap((s) => s.arranged?.arrangement ?? [])
  const floats = alike.flatMap((s) => s.arranged?.axialFloat ?? [])
  const outcome = measureArranged(
    {
      flags: last.arranged.flags,
      axialFloat: floats.length > 0 ? Math.max(...floats) : null,
      arrangement: {
        join: last.arranged.arrangement.join,
        circles: [poolCircle(arrangements, 0), poolCircle(arrangements, 1)],
      },
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
  const alike = sets.filter((s) => s.setUp === last.setUp)
  const limits = trustLimits(last.setUp, tolerance)
  const limit = closureLimit(limits.units, limits.graduation, limits.offsetLimit)
  return last.setUp.circles.flatMap((circle) => {
    const origin: SuspectReading[] = []
    const pooled = alike.flatMap((s, i) =>
      (s.read[circle] ?? []).map((r) => {
        origin.push({ set: s.entry.id, circle, clock: r.clock })
        return { ...r, group: `${i}:${r.group ?? ''}` }
      }),
    )
    const whole = fitHarmonic(pooled)
    return whole.ok ? suspectReadings(pooled, whole.value, limit).map((i) => origin[i] as SuspectReading) : []
  })
}

/**
 * Takes the sets between two moves together: which are used, how far to trust them, what they say.
 * Sets that were set aside by name give way to one used anyway by name. Worked out once a group.
 */
export const measureRound = remember(
  (tolerance: SettledTolerance, target: Misalignment, ...sets: readonly NotedSet[]): Measurement => {
    const whole = sets.filter((s) => s.set.measured !== null && s.leftOut === null)
    // Play would make sets turned opposite ways disagree: the first one's way counts, the others show the play.
    const way = whole[0] && wayTurned(whole[0].set)
    const offered = whole.filter((s) => wayTurned(s.set) === way)
    const other = whole.filter((s) => wayTurned(s.set) !== way).pop()
    const admitted = offered.filter((s) => s.set.sound || s.usedAnyway !== null)
    const chosen = admitted.filter((s) => s.usedAnyway !== null)
    const agreeing = agreeingSets(admitted, tolerance)
    const disagree = admitted.length > 1 && agreeing.length < 2
    const used = disagree && chosen.length > 0 ? chosen.slice(-1) : agreeing
    const combined = combine(
      used.map((s) => s.set),
      tolerance,
    )
    const [before, latest] = offered.slice(-2)
    const repeat = before && latest ? compareSets(before.set, latest.set, tolerance) : null
    const trust = ((): TrustLevel => {
      if (sets.length === 0) return 'none'
      if (used.some((s) => s.usedAnyway !== null)) return 'overridden'
      if (used.length > 1) return 'agreed'
      const newest = offered[offered.length - 1]
      const newestFails = newest !== undefined && !admitted.includes(newest)
      if (disagree || newestFails || admitted.length === 0) return 'doubtful'
      return used.some((s) => s.set.flags.includes('unproven')) ? 'unproven' : 'once'
    })()
    const [a, b] = admitted.slice(-2)
    const coupling = combined?.coupling ?? null
    const setUp = used[used.length - 1]?.set.setUp
    const same = offered.filter((s) => s.set.setUp === other?.set.setUp).pop()
    return {
      sets,
      used: used.map((s) => s.set.entry.id),
      repeat,
      disputed: trust === 'doubtful' && disagree && a && b ? compareSets(a.set, b.set, tolerance) : null,
      suspects:
        trust === 'doubtful'
          ? findSuspects(
              offered.map((s) => s.set),
              tolerance,
            )
          : [],
      trust,
      combined,
      coupling,
      judgement: coupling && judge(coupling, tolerance, target),
      feet: coupling && setUp ? feetFor(coupling, setUp.feet, target) : [],
      play: other && same ? playBetween(same.set, other.set, same.set.setUp.feet) : null,
    }
  },
)

/** Whether a measurement may be acted on. */
export const isBelieved = (m: Measurement): boolean => m.trust === 'agreed' || m.trust === 'overridden'

/** Whether a believed measurement lies inside its limits. */
export const isInBand = (m: Measurement): boolean =>
  isBelieved(m) && (m.judgement?.verdict === 'in' || m.judgement?.verdict === 'edge')
