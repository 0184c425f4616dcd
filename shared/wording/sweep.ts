import { ARC_REFUSED } from '../../core/fit/harmonicFit'
import type { Swept } from '../../core/instruments/sweep'
import { LEAST_ARC, type JudgedSweep } from '../../core/instruments/sweepDoubt'
import type { Degrees } from '../../core/units/unitSystem'
import { clockFace } from './clockFace'
import { instrumentWords } from './en/instruments'
import { figure, UNIT_NAMES } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import { quantityName } from './quantities'
import type { Telling } from './telling'

/** Less than this is not worth telling to turn on by. */
const LEAST_MORE: Degrees = 5

/** What a sweep says by now: how far to turn on while a limit lies within its doubt, else what it finds. */
export const meaningOfSweep = (
  { judged, doubts, aim, settles }: JudgedSweep,
  arc: Degrees,
  telling: Telling,
): Meaning => {
  const w = instrumentWords(telling.words).sweep
  if (!judged) return plainMeaning('todo', w.asks, w.tooShort(ARC_REFUSED))
  const open = doubts.find((d) => d.straddles)
  const quantity = judged.quantities.find((q) => q.name === open?.name)
  if (open && quantity) {
    const name = quantityName(open.name, telling)
    const more = Math.max(LEAST_MORE, (aim ?? 360) - Math.round(arc))
    return plainMeaning(
      quantity.verdict === 'unknown' ? 'todo' : quantity.verdict,
      settles ? w.headline(name, w.looks[quantity.verdict], more) : w.headlineNever(name),
      w.straddles(name, figure(open.known, quantity.kind, telling.units, { unit: true })),
    )
  }
  const { verdict, worst } = judged
  if (verdict === 'unknown') return plainMeaning('todo', w.asks)
  const found =
    verdict === 'in' ? w.allIn : w.clearly(worst ? quantityName(worst, telling) : '', w.looks[verdict])
  return plainMeaning(verdict, arc < LEAST_ARC ? w.asks : found, w.settled)
}

/** Each judged quantity as a sweep knows it, with half of its 95 % interval. */
export const sweepRows = ({ judged, doubts }: JudgedSweep, telling: Telling) =>
  doubts.flatMap(({ name, known, straddles }) => {
    const q = judged?.quantities.find((one) => one.name === name)
    if (!q) return []
    return [
      {
        name: quantityName(name, telling),
        verdict: straddles ? ('edge' as const) : q.verdict,
        value: figure(q.value, q.kind, telling.units, { sign: true }),
        known: `±${figure(known, q.kind, telling.units)}`,
        unit: UNIT_NAMES[telling.units][q.kind],
      },
    ]
  })

/** Gaps that are told one by one. */
const MOST_GAPS = 3

/** Where a sweep has nothing; `seen` gives a clock angle as it is seen from where the reader stands. */
export const gapWords = (
  { gaps }: Pick<Swept, 'gaps'>,
  nameOf: (circle: string) => string,
  seen: (clock: Degrees) => Degrees,
  telling: Telling,
): string => {
  const w = instrumentWords(telling.words).sweep
  if (gaps.length === 0) return w.noGaps
  const told = gaps
    .slice(0, MOST_GAPS)
    .map((g) => w.gapAt(nameOf(g.circle), clockFace(seen(g.from)), clockFace(seen(g.to))))
  return [...told, ...(gaps.length > MOST_GAPS ? [w.moreGaps(gaps.length - MOST_GAPS)] : [])].join('; ')
}
