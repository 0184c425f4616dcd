import dayjs from 'dayjs'
import type { ColdTarget } from '../../core/stages/target/target'
import { aimsWords } from './en'
import type { Telling } from './telling'

/** Where a target comes from, in words that stand beside every verdict taken from it. */
export const targetSource = (target: ColdTarget, { words }: Pick<Telling, 'words'>): string => {
  const w = aimsWords(words).from
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

/** Whether anything is set off: only then do tables and reports speak of a target. */
export const hasTarget = ({ line }: Pick<ColdTarget, 'line'>): boolean =>
  [line.offset.v, line.offset.h, line.slope.v, line.slope.h].some((x) => x !== null && Math.abs(x) > 1e-12)
