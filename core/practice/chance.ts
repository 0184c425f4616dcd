import { normalFrom, seededRandom, type Random } from '../random/random'

/** Chance for one purpose of one bench: what is drawn for one thing never shifts what is drawn for another. */
export const chanceFor = (seed: number, purpose: string, nth = 0): Random => {
  let mixed = seed ^ Math.imul(nth + 1, 0x9e3779b1)
  for (const c of purpose) mixed = Math.imul(mixed ^ c.charCodeAt(0), 0x01000193)
  return seededRandom(mixed >>> 0)
}
/** One normally spread number for a purpose. */
export const normalFor = (seed: number, purpose: string, nth = 0): number =>
  normalFrom(chanceFor(seed, purpose, nth))()

/** Evenly spread between two numbers. */
export const between = (random: Random, low: number, high: number): number => low + (high - low) * random()
/** The same either way of zero. */
export const signed = (random: Random, low: number, high: number): number =>
  (random() < 0.5 ? -1 : 1) * between(random, low, high)
