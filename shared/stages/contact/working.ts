import { middleOf, RUNS } from '../../../core/gear/contactFigures'
import type { GearState } from '../../../core/jobs/gear'
import { fromCore } from '../../../core/units/unitSystem'
import { gearWords } from '../../wording/en'
import { leverName, percentFigure, rateWords, shiftFigure } from '../../wording/gearContact'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How both figures, and the shift that follows from them, come out of the paint's ends. */
export const contactWorking = ({ contact, machine }: GearState, telling: Telling): readonly WorkingStep[] => {
  const w = gearWords(telling.words).working
  const run = gearWords(telling.words).run
  const { now, wanted, shifts, next } = contact
  const figures = now?.figures
  const { forward, back } = now?.zones ?? { forward: null, back: null }
  if (!figures || !wanted || !forward || !back) return []
  const zones = { forward, back }
  const p = (x: number, sign = true) => percentFigure(x, sign)
  const off = (r: 'forward' | 'back') => middleOf(zones[r]) - middleOf(wanted.zones[r])
  const last = shifts[shifts.length - 1]
  return [
    ...RUNS.map((r): WorkingStep => {
      const [zone, want] = [zones[r], wanted.zones[r]]
      return {
        name: w.off(run[r]),
        formula: w.offFormula,
        substituted: `(${p(zone[0], false)} + ${p(zone[1], false)}) ÷ 2 − (${p(want[0], false)} + ${p(want[1], false)}) ÷ 2`,
        result: `${p(off(r))} %`,
        note: w.note,
      }
    }),
    {
      name: w.together,
      formula: w.togetherFormula,
      substituted: `(${p(off('forward'))} + ${p(off('back'))}) ÷ 2`,
      result: `${p(figures.together)} %`,
    },
    {
      name: w.apart,
      formula: w.apartFormula,
      substituted: `(${p(off('forward'))} − ${p(off('back'))}) ÷ 2`,
      result: `${p(figures.apart)} %`,
    },
    ...RUNS.map((r): WorkingStep => {
      const [zone, want] = [zones[r], wanted.zones[r]]
      const common = Math.max(0, Math.min(zone[1], want[1]) - Math.max(zone[0], want[0]))
      return {
        name: w.covered(run[r]),
        formula: w.coveredFormula,
        substituted: `${p(common, false)} ÷ ${p(want[1] - want[0], false)}`,
        result: `${p(figures.quantities.find((q) => q.name === `covered.${r}`)?.value ?? 0, false)} %`,
      }
    }),
    ...(last && next && typeof next !== 'string' && next.rate !== null && next.from === 'job'
      ? [
          {
            name: w.rate(leverName(next.lever, machine, telling)),
            formula: w.rateFormula,
            substituted: `${p(last.seen.after[next.figure] - last.seen.before[next.figure])} % ÷ ${String(
              Number(fromCore(last.seen.by, 'displacement', telling.units).toFixed(3)),
            ).replace('-', '−')}`,
            result: rateWords(next.rate, telling),
          },
        ]
      : []),
    ...(next && typeof next !== 'string' && next.rate !== null
      ? [
          {
            name: w.shift,
            formula: w.shiftFormula,
            substituted: `${p(figures[next.figure])} % ÷ ${rateWords(next.rate, telling)}`,
            result: shiftFigure(next.wanted, telling),
          },
        ]
      : []),
  ]
}
