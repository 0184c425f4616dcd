import { openSteps } from './atClose'
import type { Meaning } from './meaning'
import { proveWords, atCloseWords } from './en'
import { timeWords } from './days'
import type { CoupledState } from '../../core/jobs/coupled'
import type { ProvedStrain } from '../../core/stages/prove/checkProof'
import { worthTelling } from '../../core/stages/target/target'
import { figure } from './figures'
import { goWords } from './directions'
import { type Telling, farEnd } from './telling'

/** A gap between hub faces: thousandths of an inch, hundredths of a millimetre. */
export const hubGap = (gap: number, { units }: Pick<Telling, 'units'>): string =>
  figure(gap, 'distance', units, { unit: true, extra: 1 })

/** The gap a register wants, in words; empty where it says nothing. */
export const gapWindow = (
  { least, most }: { readonly least: number | null; readonly most: number | null },
  telling: Telling,
): string => {
  const w = proveWords(telling.words)
  const d = (x: number) => hubGap(x, telling)
  if (least !== null && most !== null)
    return w.between(figure(least, 'distance', telling.units, { extra: 1 }), d(most))
  return least !== null ? w.least(d(least)) : most !== null ? w.most(d(most)) : ''
}

type Seen = Pick<CoupledState, 'proof' | 'closing' | 'tolerance'> & {
  /** None on a flange. */
  readonly feet?: Pick<CoupledState['feet'], 'movable'>
}

/** How far the made-up reading lies from the open one, in one clause. */
export const strainWords = (
  { difference }: ProvedStrain,
  { feet, tolerance }: Pick<Seen, 'feet' | 'tolerance'>,
  telling: Telling,
): string => goWords(worthTelling(difference, tolerance), farEnd(feet?.movable ?? [], telling), telling)

/** Each time the coupling was opened again, and what had been read by then. */
export const openedWords = (state: Seen, telling: Telling): readonly string[] =>
  state.proof.openedAgain.map(({ why, at, strain }) => {
    const w = proveWords(telling.words)
    const read = strain?.strained ? `${w.strainedThen(strainWords(strain, state, telling))} ` : ''
    return `${read}${w.opened(timeWords(at), why)}`
  })

/** What the proof says now, and what wants hands next. */
export const meaningOfProof = (state: Seen, telling: Telling): Meaning => {
  const { proof, closing } = state
  const w = proveWords(telling.words)
  const say = (mark: Meaning['mark'], headline: string, detail = ''): Meaning => ({ mark, headline, detail })
  if (proof.bumping) return say('stale', w.bumping, w.bumpingDetail)
  if (proof.facts.rotation?.payload.seen === 'wrong') return say('out', w.wrongWay, w.wrongWayDetail)
  const { gap, strain } = proof
  if (gap?.verdict === 'out')
    return say('out', w.gapOut(hubGap(gap.value, telling), gapWindow(gap, telling)), w.gapOutDetail)
  if (strain?.strained)
    return say('out', w.strained(strainWords(strain, state, telling)), `${w.strainedDetail} ${w.limit}`)
  if (proof.next === 'read-coupled' && proof.facts.sets.length > 0) return say('out', w.doubtful)
  if (proof.next === null)
    return say('done', w.whole, strain ? `${w.unstrained} ${w.wholeDetail}` : w.wholeDetail)
  return say(
    'todo',
    closing ? atCloseWords(telling.words).unproved(openSteps(proof, telling)) : w.next[proof.next],
  )
}
