import type { GearRegisterChange } from '../../core/stages/close/gearRegister'
import { RUNS } from '../../core/gear/contactFigures'
import type { GearMachine } from '../../core/register/gearMachine'
import { closingWords, gearWords } from './en'
import { leverName, percentFigure, rateWords } from './gearContact'
import { layerFigure, underBoth } from './gearPrepare'
import type { Telling } from './telling'

/** What the register takes over from a gearset's job, a line each. */
export const gearRegisterWords = (
  changes: readonly GearRegisterChange[],
  machine: GearMachine,
  telling: Telling,
): readonly string[] => {
  const w = closingWords(telling.words).register
  const g = gearWords(telling.words)
  return changes.map((c) => {
    switch (c.what) {
      case 'layers':
        return w.layers(underBoth(c.was), underBoth(c.now), layerFigure(c.thickness, telling))
      case 'response':
        return w.response(
          leverName(c.lever, machine, telling),
          rateWords(c.response.together, telling),
          rateWords(c.response.apart, telling),
        )
      case 'left-as':
        return w.leftAs(
          RUNS.map((run) =>
            w.zone(g.run[run], percentFigure(c.zones[run][0]), percentFigure(c.zones[run][1])),
          ).join(', '),
        )
    }
  })
}
