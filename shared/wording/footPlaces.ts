import { feetWords } from './en'
import type { FootedMachine } from '../../core/register/footedMachine'
import type { FootRef } from '../../core/stages/feet/entries'
import { nameOfFoot } from '../../core/stages/feet/feetCheck'
import type { Millimetres } from '../../core/units/unitSystem'
import { figure } from './figures'
import type { Telling } from './telling'

/** A foot's short name, f1 to f4 where it has one, else its place. */
export const shortFoot = (machine: FootedMachine, foot: FootRef, telling: Telling): string => {
  return nameOfFoot(machine, foot) ?? placeOf(foot, telling)
}

/** `inboard left`. */
export const placeOf = (foot: FootRef, { words, footNames }: Telling): string =>
  feetWords(words).place(footNames(foot.pair, foot.machine), feetWords(words).sides[foot.side])

export const riseWords = (rise: Millimetres, telling: Telling): string =>
  figure(rise, 'displacement', telling.units, { unit: true })
