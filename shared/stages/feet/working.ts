import { softFootWords } from '../../wording/en'
import type { Cure } from '../../../core/stages/feet/cure'
import type { FeetReading } from '../../../core/stages/feet/feetCheck'
import type { FootName } from '../../../core/feet/softFoot'
import { figure, pack } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** Both diagonals, the twist, and what one foot is filled by. */
export const feetWorking = (
  reading: FeetReading,
  cure: Cure | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = softFootWords(telling.words).working
  const shown = (x: number) => figure(x, 'displacement', telling.units, { extra: 1 })
  const r = (f: FootName) => shown(reading.rises[f])
  const mean = (a: FootName, b: FootName, of: number): WorkingStep => ({
    name: w.mean(a, b),
    formula: `(${a} + ${b}) / 2`,
    substituted: `(${r(a)} + ${r(b)}) / 2`,
    result: shown(of),
  })
  const steps: WorkingStep[] = [
    mean('f1', 'f3', reading.diagonals[0]),
    mean('f2', 'f4', reading.diagonals[1]),
    {
      name: w.twist,
      formula: w.twistFormula,
      substituted: `|${r('f1')} − ${r('f2')} + ${r('f3')} − ${r('f4')}| / 2`,
      result: shown(reading.twist),
    },
  ]
  if (!cure) return steps
  const share = (cure.springs ? 0.75 : 1) * (cure.halved ? 0.5 : 1)
  const notes = [cure.halved ? w.half : '', cure.springs ? w.threeQuarters : '', w.fillNote].filter(Boolean)
  const apart = `${shown(cure.larger)} − ${shown(cure.smaller)}`
  steps.push({
    name: w.fill(cure.foot),
    formula: w.fillFormula,
    substituted: share === 1 ? apart : `(${apart}) × ${share}`,
    result: shown(cure.wanted),
    note: notes.join('; '),
  })
  if (cure.putIn.length + cure.takenOut.length > 0)
    steps.push({
      name: w.lift,
      formula: '',
      substituted:
        cure.takenOut.length > 0
          ? `${pack(cure.putIn, telling.units)} − (${pack(cure.takenOut, telling.units)})`
          : pack(cure.putIn, telling.units),
      result: shown(cure.lift),
    })
  return steps
}
