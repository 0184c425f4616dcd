import { targetSource } from './aims'
import { closingWords, feetWords } from './en'
import type { RegisterChange } from '../../core/stages/close/registerChanges'
import { figure, pack } from './figures'
import { boltWords } from './bolts'
import { capital } from './capital'
import type { Telling } from './telling'

/** What the register takes over, a line each. */
export const registerWords = (changes: readonly RegisterChange[], telling: Telling): readonly string[] => {
  const { words, units, footNames } = telling
  const w = closingWords(words).register
  return changes.map((c) => {
    switch (c.what) {
      case 'pack': {
        const foot = `${capital(footNames(c.pair, c.machine))} ${feetWords(words).sides[c.side]}`
        const side = c.machine === 'stationary' ? w.ofDriven(foot) : foot
        return w.pack(side, pack(c.was, units), pack(c.now, units))
      }
      case 'distance': {
        const foot = capital(footNames(c.pair, c.machine))
        const pair = c.machine === 'stationary' ? w.ofDriven(foot) : foot
        const told = (mm: number) => figure(mm, 'distance', units, { unit: true })
        return c.was === null
          ? w.tapedFirst(pair, told(Math.abs(c.now)))
          : w.distance(pair, told(Math.abs(c.was)), told(Math.abs(c.now)))
      }
      case 'target':
        return w.target(targetSource(c.target, telling))
      case 'bolts':
        return w.bolts(boltWords(c.bolts, telling))
    }
  })
}
