import { backlashPerCentre } from '../../../core/gear/backlash'
import type { GearState } from '../../../core/jobs/gear'
import { backlashWindow } from '../../../core/register/gearMachine'
import { backlashWords } from '../../wording/en'
import { figure } from '../../wording/figures'
import { layersWords } from '../../wording/backlash'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How the layers follow from the backlash and its window. */
export const backlashWorking = (
  { backlash, machine, layers }: Pick<GearState, 'backlash' | 'machine' | 'layers'>,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = backlashWords(telling.words).working
  const { now, cure } = backlash
  const [low, high] = backlashWindow(machine)
  if (!now || !cure || cure.layers === 0 || low === null || high === null) return []
  const { by } = machine.gear.backlash
  const angle = machine.gear.pressureAngle
  const mm = (x: number, extra = 0) =>
    figure(x, 'displacement', telling.units, { unit: true, sign: true, extra })
  const mean = (now.least + now.most) / 2
  const turned = by === 'feeler' ? 'sin' : 'tan'
  const change = ((low + high) / 2 - mean) / backlashPerCentre(by, angle)
  const after = (cure.after.least + cure.after.most) / 2
  return [
    {
      name: w.change,
      formula: by === 'feeler' ? w.changeFeeler : w.changeFormula,
      substituted: `(${mm((low + high) / 2)} − ${mm(mean)}) ÷ (2 × ${turned} ${angle}°)`,
      result: mm(change, 1),
    },
    {
      name: w.layers,
      formula: w.layersFormula,
      substituted: `${mm(change, 1)} ÷ ${mm(layers.thickness)}`,
      result: layersWords(cure.layers, telling),
    },
    {
      name: w.after,
      formula: by === 'feeler' ? w.afterFeeler : w.afterFormula,
      substituted: `${mm(mean)} + (${mm(cure.centreChange)}) × 2 × ${turned} ${angle}°`,
      result: mm(after),
    },
  ]
}
