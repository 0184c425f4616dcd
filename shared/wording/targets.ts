import { directionsWords, targetsWords } from './en'
import dayjs from 'dayjs'
import { positionAt, type Misalignment } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { amountsToNothing, type ColdTarget } from '../../core/stages/target/target'
import type { Millimetres } from '../../core/units/unitSystem'
import { figure } from './figures'
import { offsetWords, slopeEndWords } from './directions'
import type { Meaning } from './readings'
import type { Telling } from './telling'

/** Where a line lies, in one clause: `5.5 mil low, outboard end low`; planes that stand on zero are left out. */
export const lineWords = (line: Misalignment, far: string, telling: Telling): string => {
  const d = directionsWords(telling.words)
  const parts = (['v', 'h'] as const).flatMap((plane) => {
    const offset = offsetWords(line.offset[plane], plane, telling)
    const end = slopeEndWords(line.slope[plane], plane, far, telling)
    return [
      ...(offset === d.levelWith || offset === d.inLineWith ? [] : [offset]),
      ...(end === d.noAngle[plane] ? [] : [end]),
    ]
  })
  return parts.length === 0 ? d.levelWith : parts.join(', ')
}

/** Where a target comes from, in words that stand beside every verdict taken from it. */
export const targetSource = (target: ColdTarget, { words }: Pick<Telling, 'words'>): string => {
  const w = targetsWords(words).from
  const { payload } = target
  if (!payload) return w.none
  const { given, learned, source } = payload
  const way =
    given.way === 'none'
      ? w.straight
      : given.way === 'line'
        ? w.line
        : given.machines.every((m) => m.feet.every((f) => f.heat === null))
          ? w.typedRises
          : w.growth
  const day = learned && dayjs(learned.on).format('D MMM YYYY')
  const known =
    day === null ? way : given.way === 'line' && source === '' ? w.hotCheck(day) : w.borneOut(way, day)
  const how = source === '' ? known : w.source(known, source)
  return target.from === 'register' ? w.register(how) : w.job(how)
}

/** How far a foot pair rises from cold to running, in words. */
export const growsBy = (rise: Millimetres, { words, units }: Pick<Telling, 'words' | 'units'>): string => {
  const v = targetsWords(words).view
  const by = figure(Math.abs(rise), 'displacement', units, { unit: true })
  return rise === 0 ? v.stays : rise > 0 ? v.rises(by) : v.sinks(by)
}

/** Whether anything is set off: only then do tables and reports speak of a target. */
export const hasTarget = ({ line }: Pick<ColdTarget, 'line'>): boolean =>
  [line.offset.v, line.offset.h, line.slope.v, line.slope.h].some((x) => x !== null && Math.abs(x) > 1e-12)

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
  const source = w.source(targetSource(target, telling))
  if (target.from === 'none') return say('todo', w.none, w.noneDetail)
  if (target.payload?.given.way === 'none') return say('done', w.straight, source)
  if (amountsToNothing(target, tolerance)) return say('done', w.alike, w.alikeDetail, source)
  const own = tolerance.form === 'window' ? [w.own] : [w.warm]
  return say('done', w.set(movable, lineWords(target.line, far, telling)), ...own, source)
}

/** The target in one line of the run sheet. */
export const findingOfTarget = (
  target: ColdTarget,
  tolerance: SettledTolerance,
  far: string,
  telling: Telling,
): string => {
  const w = targetsWords(telling.words).finding
  if (target.from === 'none') return w.none
  if (target.payload?.given.way === 'none') return w.straight
  return amountsToNothing(target, tolerance) ? w.alike : w.line(lineWords(target.line, far, telling))
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
