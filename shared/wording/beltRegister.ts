import dayjs from 'dayjs'
import type { BeltRegisterChange } from '../../core/stages/close/beltRegister'
import { beltFactsWords, beltsWords, closingWords } from './en'
import { figure } from './figures'
import { eighths } from './lines'
import type { Telling } from './telling'

/** What the register takes over from a belt job, a line each. */
export const beltRegisterWords = (
  changes: readonly BeltRegisterChange[],
  { words, units }: Pick<Telling, 'words' | 'units'>,
): readonly string[] => {
  const w = closingWords(words).register
  const d = (mm: number) => figure(mm, 'distance', units, { unit: true })
  return changes.map((c) => {
    switch (c.what) {
      case 'setting':
        return w.setting(beltsWords(words).sheaves[c.place], eighths(c.was), eighths(c.now))
      case 'belts':
        return w.belts(
          dayjs(c.on).format('D MMM YYYY'),
          c.length === null ? '' : d(c.length),
          c.set === null ? '' : beltFactsWords(words).sets[c.set],
        )
      case 'travel':
        return w.travel(d(c.was), d(c.now))
    }
  })
}
