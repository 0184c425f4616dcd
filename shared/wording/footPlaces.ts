import { feetWords } from './en'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import type { FootRef } from '../../core/stages/feet/entries'
import { nameOfFoot } from '../../core/stages/feet/feetCheck'
import type { Millimetres } from '../../core/units/unitSystem'
import { figure } from './figures'
import type { Telling } from './telling'

/** A foot's short name, f1 to f4 where it has one, else its place. */
export const shortFoot = (machine: CoupledMachine, foot: FootRef, telling: Telling): string => {
  return nameOfFoot(machine, foot) ?? placeOf(foot, telling)
}

/** `inboard left`. */
export const placeOf = (foot: FootRef, { words, footNames }: Telling): string =>
  feetWords(words).place(footNames(foot.pair, foot.machine), feetWords(words).sides[foot.side])

export const riseWords = (rise: Millimetres, telling: Telling): string =>
  figure(rise, 'displacement', telling.units, { unit: true })
