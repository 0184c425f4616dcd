import { boltWords } from './bolts'
import { closingWords, flangeWords } from './en'
import { figure, pack } from './figures'
import { boltClock, spigotWords } from './flange'
import { capital } from './capital'
import type { Telling } from './telling'
import type { FlangeBolt } from '../../core/flange/flangeShims'
import type { FlangeRegisterChange } from '../../core/stages/close/flangeRegister'

/** What the register takes over from a job on a flange, a line each. */
export const flangeRegisterWords = (
  changes: readonly FlangeRegisterChange[],
  bolts: readonly FlangeBolt[],
  telling: Telling,
): readonly string[] => {
  const { words, units } = telling
  const w = closingWords(words).register
  const far = (mm: number) => figure(mm, 'distance', units, { unit: true })
  return changes.map((c) => {
    switch (c.what) {
      case 'bolt-pack':
        return w.pack(
          capital(flangeWords(words).bolt(boltClock(bolts, c.bolt))),
          pack(c.was, units),
          pack(c.now, units),
        )
      case 'flange-tape':
        return w.flange(far(c.across.v), far(c.plane))
      case 'spigot':
        return spigotWords(c.spigot, telling)
      case 'bolts':
        return w.bolts(boltWords(c.bolts, telling))
    }
  })
}
