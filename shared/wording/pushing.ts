import { feetWords, pushingWords } from './en'
import { DRIFT_LIMIT, type Bite, type PushWatch } from '../../core/stages/move/push'
import { hourOf } from './directions'
import { figure } from './figures'
import { capital } from './capital'
import { pairName, type Telling } from './telling'

const d = (x: number, { units }: Telling) => figure(Math.abs(x), 'displacement', units, { unit: true })

const endOf = ({ machine, pair }: Pick<Bite, 'machine' | 'pair'>) => ({ machine, id: pair })

/** What to do now in a push, line by line; nothing where nothing is to be pushed. */
export const biteWords = (
  watched: PushWatch,
  telling: Telling,
  /** Instruments speak: their counts are taken, not typed. */
  live = false,
): readonly string[] => {
  const { words } = telling
  const { bites, arrived, setDials, jacksOff } = pushingWords(words)
  const { next } = watched
  if (!watched.wanted && !watched.counted) return []
  if (!next) return [arrived, jacksOff]
  const hour = hourOf(next.by, telling)
  const { sides } = feetWords(words)
  // Toward 3 is to the right of whoever stands behind the movable machine: pushed from its left.
  const [from, to] = next.by > 0 ? [sides.left, sides.right] : [sides.right, sides.left]
  const foot = (side: string) => `${pairName(telling, endOf(next))} ${side}`
  return [
    ...(watched.counted || live ? [] : [setDials]),
    bites.slacken(foot(to)),
    bites.push(foot(from), d(next.by, telling), hour),
    live ? bites.thenLive : bites.then,
  ]
}

/** What a count says went wrong with the bite before it; empty where nothing did. */
export const slipWords = ({ slip }: PushWatch, telling: Telling): string =>
  slip ? pushingWords(telling.words).slips[slip.what](capital(pairName(telling, endOf(slip)))) : ''

/** The ledger's sentence of a push; null where none is under way. */
export const headlineOfPush = (watched: PushWatch, telling: Telling): string | null => {
  const { headlines } = pushingWords(telling.words)
  const { next, drift } = watched
  if (drift) return drift.over ? headlines.drifted(d(drift.worst, telling)) : headlines.held
  if (next) {
    const worst = Math.max(...watched.ends.map((e) => Math.abs(e.toGo)))
    const push = headlines.pushTo(pairName(telling, endOf(next)), hourOf(next.by, telling))
    return `${push} ${headlines.bitesLeft(d(worst, telling))}`
  }
  return watched.wanted ? headlines.tighten : null
}

/** Less than the finest dial shows. Millimetres. */
const NOTHING = 5e-4

/** What tightening shifted at each end, and whether that is within its limit; null until it was read. */
export const driftWords = (
  { ends, drift }: PushWatch,
  telling: Telling,
): { readonly feet: string; readonly said: string } | null => {
  const w = pushingWords(telling.words).drift
  if (!drift) return null
  const feet = ends.flatMap((e) => {
    if (e.drift === null) return []
    const name = capital(pairName(telling, e))
    return [
      Math.abs(e.drift) < NOTHING ? w.still(name) : w.of(name, d(e.drift, telling), hourOf(e.drift, telling)),
    ]
  })
  const limit = d(DRIFT_LIMIT, telling)
  return { feet: feet.join(', '), said: drift.over ? w.over(limit) : w.in(limit) }
}
