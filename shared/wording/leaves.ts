import { feetWords, roughInWords, softFootWords } from './en'
import type { FootLeaves } from '../../core/shims/packsForLifts'
import type { FootChange } from '../../core/stages/plan/entries'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import { pack, UNIT_NAMES } from './figures'
import { capital } from './capital'
import type { Telling } from './telling'

const shims = (list: readonly number[], { units }: Telling) =>
  `${pack(list, units)} ${UNIT_NAMES[units].displacement}`

/** `20+18 mil in, 5 mil out`: what is done under one foot. */
const laid = ({ putIn, takenOut }: Pick<FootLeaves, 'putIn' | 'takenOut'>, telling: Telling): string => {
  const w = softFootWords(telling.words).leaves
  if (takenOut.length === 0) return w.in(shims(putIn, telling))
  return putIn.length === 0
    ? w.out(shims(takenOut, telling))
    : w.inOut(shims(putIn, telling), shims(takenOut, telling))
}

/** Which leaves go where: one sentence where all feet get the same, one a pair or a foot where they don't. */
export const leavesWords = (
  leaves: readonly FootLeaves[],
  pairs: readonly { readonly id: string }[],
  telling: Telling,
): readonly string[] => {
  const { words, footNames } = telling
  const w = softFootWords(words).leaves
  const changed = leaves.filter((l) => l.putIn.length + l.takenOut.length > 0)
  const [first] = changed
  if (!first) return []
  const all = laid(first, telling)
  if (changed.length === leaves.length && changed.every((l) => laid(l, telling) === all))
    return [w.everyFoot(all)]
  return pairs.flatMap((f) => {
    const own = changed.filter((l) => l.pair === f.id)
    const [one, other] = own.map((l) => laid(l, telling))
    if (one === undefined) return []
    return one === other
      ? [w.bothFeet(capital(footNames(f.id)), one)]
      : own.map((l) =>
          w.foot(
            capital(feetWords(words).place(footNames(f.id), feetWords(words).sides[l.side])),
            laid(l, telling),
          ),
        )
  })
}

/** What an entry says was done under each foot, for the record. */
export const changesWords = (
  changes: readonly FootChange[],
  was: UnitSystem,
  telling: Telling,
): readonly string[] => {
  const { words, footNames, units } = telling
  const mm = (list: readonly number[]) =>
    pack(
      list.map((t) => toCore(t, 'displacement', was)),
      units,
    )
  return changes.map((c) =>
    roughInWords(words).report.under(
      footNames(c.pair),
      feetWords(words).sides[c.side],
      [
        ...(c.takenOut.length > 0 ? [softFootWords(words).report.out(mm(c.takenOut))] : []),
        ...(c.putIn.length > 0 ? [softFootWords(words).report.in(mm(c.putIn))] : []),
      ].join(', '),
    ),
  )
}
