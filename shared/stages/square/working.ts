import type { BeltMachine } from '../../../core/register/beltMachine'
import type { SquareRead } from '../../../core/stages/square/square'
import { toCore } from '../../../core/units/unitSystem'
import { squareWords } from '../../wording/en'
import { degrees, gapFigure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How the turn, its limit and the screw follow from both distances, with this machine's numbers. */
export const squareWorking = (
  square: SquareRead,
  machine: BeltMachine,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = squareWords(telling.words).working
  const g = (x: number) => gapFigure(x, telling, true)
  const { sheaveEnd, farEnd, units, edge } = square.entry.payload
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const typed = (x: number) => g(toCore(x, 'distance', units))
  const [a, b] = edge === 'driven-side' ? [farEnd, sheaveEnd] : [sheaveEnd, farEnd]
  const apart = g(own(machine.base.footSpacing))
  const pitch = machine.base.screwPitch
  return [
    {
      name: w.difference,
      formula: w.differenceFormula,
      substituted: `${typed(a)} − ${typed(b)}`,
      result: g(square.difference),
    },
    {
      name: w.turn,
      formula: w.turnFormula,
      substituted: `atan(${g(square.difference)} / ${apart})`,
      result: degrees(square.turn),
    },
    {
      name: w.limit,
      formula: w.limitFormula,
      substituted: `${apart} × tan(${degrees(square.limitAngle)})`,
      result: g(square.limit),
    },
    ...(pitch === null || square.turns === null
      ? []
      : [
          {
            name: w.screw,
            formula: w.screwFormula,
            substituted: `−${g(square.difference)} / ${g(own(pitch))}`,
            result: square.turns.toFixed(2).replace('-', '−'),
          },
        ]),
  ]
}
