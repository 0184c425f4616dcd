import type { Meaning } from './meaning'
import { directionsWords, feetWords, plansWords } from './en'
import type { Judgement } from '../../core/judge/judge'
import { MACHINE_ROLES } from '../../core/plan/pairNames'
import type { BlockedFoot, MovePlan } from '../../core/plan/movePlan'
import { adviceWords, percentOf } from './planOdds'
import type { MoveAdvice } from '../../core/stages/plan/odds'
import { shimWords, hourOf } from './directions'
import { figure } from './figures'
import { namedQuantities } from './quantities'
import { capital } from './capital'
import { pairName, type Telling } from './telling'

/** `add 12.0 / add 18.0`: what happens under each pair, nearest the coupling first; the driven machine’s behind. */
export const liftWords = (plan: Pick<MovePlan, 'moves'>, telling: Telling): string =>
  MACHINE_ROLES.flatMap((role) => {
    const own = plan.moves.filter((m) => m.machine === role)
    const lifts = own.map((m) => shimWords(m.v, telling).replace(/ as it is$/, '')).join(' / ')
    return own.length === 0 ? [] : [role === 'stationary' ? feetWords(telling.words).driven(lifts) : lifts]
  }).join(', ')

/** `both pairs, 6 shims`. */
export const handlingWords = (
  plan: Pick<MovePlan, 'pairsOpened' | 'shimsHandled' | 'moves'>,
  telling: Telling,
): string => {
  const { words } = telling
  const w = plansWords(words)
  if (plan.pairsOpened === 0) return w.noShims
  const opened = plan.moves.filter((m) => m.packs.left.changes + m.packs.right.changes > 0)
  const pairs =
    plan.pairsOpened === plan.moves.length
      ? w.allPairs(plan.pairsOpened)
      : opened.length === 1 && opened[0]
        ? w.onlyPair(pairName(telling, opened[0]))
        : w.somePairs(plan.pairsOpened)
  return `${pairs}, ${w.shims(plan.shimsHandled)}`
}

/** A foot that can't do what is asked of it. */
export const blockedWords = (b: BlockedFoot, telling: Telling): string => {
  const { words, units } = telling
  const d = (x: number) => figure(Math.abs(x), 'displacement', units, { unit: true })
  const w = plansWords(words)
  const way =
    b.plane === 'v' ? (b.need > 0 ? w.up : w.down) : directionsWords(words).toward(hourOf(b.need, telling))
  const feet = capital(feetWords(words).feet(pairName(telling, b)))
  return w.blockedFoot(feet, d(b.need), way, d(b.room), w.blocked[b.reason])
}

/** What the plan in hand means. `stale`: one was taken that the readings have overtaken since. */
export const meaningOfPlan = (
  given: {
    readonly now: Judgement | null
    readonly after: Judgement | null
    readonly moves: boolean
    readonly stale: boolean
    readonly far: string
    /** What the readings leave open; null while that is not worked out. */
    readonly advice?: MoveAdvice | null
  },
  telling: Telling,
): Meaning => {
  const w = plansWords(telling.words)
  const { now, after } = given
  if (!now || !after) return { mark: 'todo', headline: w.nothingYet, detail: w.nothingYetDetail }
  if (given.stale) return { mark: 'stale', headline: w.stale, detail: w.staleDetail }
  const advice = given.advice ? adviceWords(given.advice, telling) : null
  // A reading too coarse to tell is said before any plan that rests on it.
  if (advice && given.advice?.says === 'measure-again') return { mark: 'todo', ...advice }
  const inBandWith = given.advice ? w.inBandWith(percentOf(given.advice.now)) : ''
  if (!given.moves)
    return now.verdict === 'in'
      ? {
          mark: 'in',
          headline: w.inBandAlready,
          detail: [inBandWith, w.nothingIsAPlan].filter(Boolean).join(' '),
        }
      : advice
        ? { mark: now.verdict === 'unknown' ? 'todo' : now.verdict, ...advice }
        : {
            mark: after.verdict === 'unknown' ? 'todo' : after.verdict,
            headline: w.movesNothing,
            detail: w.movesNothingDetail,
          }
  if (after.verdict === 'in') return { mark: 'in', headline: w.bringsIn, detail: '' }
  if (after.verdict === 'edge')
    return { mark: 'edge', headline: w.bringsToEdge, detail: w.bringsToEdgeDetail }
  return {
    mark: 'out',
    headline: w.leavesOut(namedQuantities(after, 'out', given.far, telling)),
    detail: '',
  }
}
