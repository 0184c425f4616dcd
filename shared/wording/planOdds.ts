import type { Meaning } from './meaning'
import { directionsWords, feetWords, plansWords } from './en'
import type { Pace } from '../../core/history/pace'
import { STARTING_MINUTES } from '../../core/plan/usualTime'
import type { Price } from '../../core/plan/price'
import type { LineDoubt, MoveAdvice } from '../../core/stages/plan/odds'
import { hourOf } from './directions'
import { figure } from './figures'
import { quantityName } from './quantities'
import type { Telling } from './telling'

/** A chance in whole percent; never 100 while something is left open, never 0 while something may be. */
export const percentOf = (chance: number): number =>
  chance >= 1 ? 100 : chance <= 0 ? 0 : Math.min(99, Math.max(1, Math.round(chance * 100)))

/** What is worth knowing before a machine is moved, in a sentence with its figures; null where the plan says all. */
export const adviceWords = (
  advice: MoveAdvice,
  telling: Telling,
): Pick<Meaning, 'headline' | 'detail'> | null => {
  const w = plansWords(telling.words)
  switch (advice.says) {
    case 'measure-again': {
      const wide = advice.wide.map(({ name, known, band }) => {
        const kind = name.startsWith('offset') ? 'displacement' : 'slope'
        const f = (x: number) => `±${figure(x, kind, telling.units, { unit: true })}`
        return w.wide(quantityName(name, telling), f(known), f(band))
      })
      const { best, exact } = advice
      const because =
        wide.length === 0 && best !== null && exact !== null
          ? [w.measuring(percentOf(best), percentOf(exact))]
          : wide
      return { headline: w.measureAgain, detail: because.join(' ') }
    }
    case 'leave': {
      const best = advice.best === null ? null : percentOf(advice.best)
      return { headline: w.leave, detail: w.leaveBecause(percentOf(advice.now), best) }
    }
    case 'move':
      return null
  }
}

/** What would do in place of what can't be done. */
export const priceWords = (
  price: Price,
  names: Readonly<Record<Price['machine'], string>>,
  telling: Telling,
): string => {
  const { words, units, footNames } = telling
  const w = plansWords(words).price
  const other = names[price.machine === 'movable' ? 'stationary' : 'movable']
  const by = figure(Math.abs(price.shift), 'displacement', units, { unit: true })
  const feet = feetWords(words).feet(footNames(price.pair, price.machine))
  if (price.plane === 'h')
    return w.push(other, by, directionsWords(words).toward(hourOf(price.shift, telling)), feet)
  return price.shift > 0 ? w.raise(other, by, feet) : w.lower(other, by, feet)
}

/** 1.25 as 25, 0.9 as -10. */
const percentOver = (factor: number): number => Math.round((factor - 1) * 100)

/** What chances and times rest on. */
export const oddsSource = (
  doubt: LineDoubt,
  pace: Pace | null,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = plansWords(words)
  const { foot, shim, push, measuring } = STARTING_MINUTES
  const starting = w.times(foot, shim, push, measuring)
  const times = pace
    ? w.timesLearned(pace.moves, percentOver(pace.factor), starting)
    : w.timesStarting(starting)
  return `${w.chances(w.setsTogether(doubt.sets))} ${times}`
}
