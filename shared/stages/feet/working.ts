import type { Cure } from '../../../core/stages/feet/cure'
import type { FeetReading } from '../../../core/stages/feet/feetCheck'
import type { FootName } from '../../../core/feet/softFoot'
import { figure, pack } from '../../wording/figures'
import { diagonalFeet } from '../../wording/softFoot'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** Both diagonals, the twist, and what one foot is filled by. */
export const feetWorking = (
  reading: FeetReading,
  cure: Cure | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = telling.words.softFoot.working
  const shown = (x: number) => figure(x, 'displacement', telling.units, { extra: 1 })
  const r = (f: FootName) => shown(reading.rises[f])
  const { rises, result } = reading
  const mean = (a: FootName, b: FootName): WorkingStep => ({
    name: w.mean(a, b),
    formula: `(${a} + ${b}) / 2`,
    substituted: `(${r(a)} + ${r(b)}) / 2`,
    result: shown((rises[a] + rises[b]) / 2),
  })
  const steps: WorkingStep[] = [
    mean('f1', 'f3'),
    mean('f2', 'f4'),
    {
      name: w.twist,
      formula: w.twistFormula,
      substituted: `|${r('f1')} − ${r('f2')} + ${r('f3')} − ${r('f4')}| / 2`,
      result: shown(Math.abs(result.twist) / 2),
    },
  ]
  if (!result.fill || !result.diagonal) return steps
  const { own, other } = diagonalFeet(result.diagonal)
  const larger = own.reduce((a, b) => (rises[b] > rises[a] ? b : a))
  const smaller = other.reduce((a, b) => (rises[b] < rises[a] ? b : a))
  const springs = result.advice.includes('fill-three-quarters')
  const share = (springs ? 0.75 : 1) * (cure?.halved ? 0.5 : 1)
  const notes = [cure?.halved ? w.half : '', springs ? w.threeQuarters : '', w.fillNote].filter(Boolean)
  steps.push({
    name: w.fill(result.fill.foot),
    formula: w.fillFormula,
    substituted: share === 1 ? `${r(larger)} − ${r(smaller)}` : `(${r(larger)} − ${r(smaller)}) × ${share}`,
    result: shown((rises[larger] - rises[smaller]) * share),
    note: notes.join('; '),
  })
  if (cure && cure.putIn.length + cure.takenOut.length > 0)
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
