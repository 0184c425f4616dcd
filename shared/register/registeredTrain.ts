import { settleTolerance } from '../../core/judge/tolerance'
import { toleranceToCore } from '../../core/judge/toleranceUnits'
import { ALIGNED } from '../../core/frame/planes'
import { partsOf, type TrainParts } from '../../core/train/parts'
import type { Train } from '../../core/train/train'
import { toCore } from '../../core/units/unitSystem'
import type { TrainFields } from './trainMachine'

/** A line as the register has it, straight: what is drawn of it before anybody measured. */
export const registeredTrain = (
  record: TrainFields,
): { readonly parts: TrainParts; readonly input: { readonly train: Train } } => {
  const far = (x: number) => toCore(x, 'distance', record.units)
  const small = (t: number) => toCore(t, 'displacement', record.units)
  return {
    parts: partsOf({ ...record, stock: [], packLimit: 0 }),
    input: {
      train: {
        machines: record.machines.map((m) => ({
          id: m.id,
          feet: m.feet.map((f) => ({
            ...f,
            x: far(f.x),
            existing: { left: f.existing.left.map(small), right: f.existing.right.map(small) },
          })),
        })),
        couplings: record.couplings.map((c, i) => ({
          id: c.id,
          x: far(c.x),
          left: record.machines[i]?.id ?? '',
          right: record.machines[i + 1]?.id ?? '',
          stationary: c.stationary,
          coupling: ALIGNED,
          target: ALIGNED,
          tolerance: settleTolerance(toleranceToCore(c.tolerance, record.units), c.rpm),
        })),
      },
    },
  }
}
