import type { SetUp } from '../../core/logbook/setUp'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure } from '../wording/figures'
import type { WorkingStep } from './step'

/** How the set-up's derived numbers came about. */
export const setUpWorking = (setUp: SetUp, units: UnitSystem): readonly WorkingStep[] => {
  const d = (x: number) => figure(x, 'displacement', units, { unit: true })
  const l = (x: number) => figure(x, 'distance', units, { unit: true })
  const [inboard, outboard] = setUp.feet
  const span = (outboard?.x ?? 0) - (inboard?.x ?? 0)
  return [
    {
      name: 'Bar sag',
      formula: 'on a pipe, zeroed at 12, the dial shows −2 × sag at 6',
      substituted: `−2 × ${d(setUp.rim.sag)} = ${d(-2 * setUp.rim.sag)}`,
      result: d(setUp.rim.sag),
    },
    {
      name: 'Rim dial plane, x',
      formula: 'negative toward the driven machine, positive toward the motor’s outboard end',
      substituted: `taped ${l(Math.abs(setUp.rim.plane))}, bracket on the ${setUp.rim.carriedBy} machine`,
      result: l(setUp.rim.plane),
    },
    {
      name: 'Outboard feet, x',
      formula: 'coupling to inboard + inboard to outboard',
      substituted: `${l(inboard?.x ?? 0)} + ${l(span)}`,
      result: l(outboard?.x ?? 0),
    },
    {
      name: 'Return to zero',
      formula: 'each dial within one graduation after a full turn',
      substituted: `rim ${d(setUp.returned.rim)}, face ${d(setUp.returned.face)}, graduation ${d(setUp.graduation.rim)}`,
      result: setUp.holdsZero ? 'holds' : 'slipped',
    },
  ]
}
