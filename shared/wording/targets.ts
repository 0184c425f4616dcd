import { targetSource } from './aims'
import type { Meaning } from './meaning'
import { targetsWords, aimsWords } from './en'
import { positionAt, type Misalignment } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { amountsToNothing, type ColdTarget } from '../../core/stages/target/target'
import type { Millimetres } from '../../core/units/unitSystem'
import { figure } from './figures'
import { offsetWords, lineWords } from './directions'
import type { Telling } from './telling'

/** How far a foot pair rises from cold to running, in words. */
export const growsBy = (rise: Millimetres, { words, units }: Pick<Telling, 'words' | 'units'>): string => {
  const v = targetsWords(words).view
  const by = figure(Math.abs(rise), 'displacement', units, { unit: true })
  return rise === 0 ? v.stays : rise > 0 ? v.rises(by) : v.sinks(by)
}

/** What a cold target means. */
export const meaningOfTarget = (
  target: ColdTarget,
  tolerance: SettledTolerance,
  movable: string,
  far: string,
  telling: Telling,
): Meaning => {
  const w = targetsWords(telling.words)
  const say = (mark: Meaning['mark'], headline: string, ...detail: readonly string[]): Meaning => ({
    mark,
    headline,
    detail: detail.join(' '),
  })
  const source = aimsWords(telling.words).source(targetSource(target, telling))
  if (target.from === 'none') return say('todo', w.none, w.noneDetail)
  if (target.payload?.given.way === 'none') return say('done', w.straight, source)
  if (amountsToNothing(target, tolerance)) return say('done', w.alike, w.alikeDetail, source)
  const own = tolerance.form === 'window' ? [w.own] : [w.warm]
  return say('done', w.set(movable, lineWords(target.line, far, telling)), ...own, source)
}

/** Where the movable feet stand cold, pair by pair. */
export const targetAtFeet = (
  line: Misalignment,
  feet: readonly { readonly id: string; readonly x: number }[],
  telling: Telling,
): readonly { readonly id: string; readonly v: string; readonly h: string }[] =>
  feet.map(({ id, x }) => {
    const at = positionAt(line, x)
    return { id, v: offsetWords(at.v, 'v', telling), h: offsetWords(at.h, 'h', telling) }
  })
