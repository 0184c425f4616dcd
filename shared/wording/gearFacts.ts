import { LEVERS } from '../../core/gear/levers'
import { rememberedResponses, type GearMachine } from '../../core/register/gearMachine'
import { toCore } from '../../core/units/unitSystem'
import { gearWords } from './en'
import { contactLimitSource, leverName, rateWords, shiftFigure } from './gearContact'
import { capital } from './capital'
import type { Telling } from './telling'

/** What the register knows of how a gearset is set, a line each. */
export const gearFactWords = (machine: GearMachine, telling: Telling): readonly string[] => {
  const w = gearWords(telling.words)
  const { gear, units } = machine
  const known = rememberedResponses(machine)
  return [
    `${w.schools[gear.school]}.`,
    `${capital(contactLimitSource(machine, telling))}.`,
    ...LEVERS.flatMap((lever) => {
      const room = gear.room[lever]
      const name = leverName(lever, machine, telling)
      const response = known[lever]
      return [
        ...(room === null
          ? []
          : [w.facts.room(capital(name), shiftFigure(toCore(room, 'displacement', units), telling))]),
        ...(response
          ? [w.facts.goes(name, rateWords(response.together, telling), rateWords(response.apart, telling))]
          : []),
      ]
    }),
  ]
}
