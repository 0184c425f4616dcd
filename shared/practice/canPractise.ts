import type { BeltMachine } from '../../core/register/beltMachine'
import type { CoupledMachine } from '../../core/register/coupledMachine'

/**
 * Whether a machine of the register can be practised on: coupled, on two foot pairs; or belts whose motor stands on a
 * level slide with screws.
 */
export const canPractise = (machine: { readonly drive: string }): boolean => {
  if (machine.drive === 'belt') {
    const { base } = machine as BeltMachine
    return base.kind === 'slide-screws' && base.pull === 'level' && base.lineAngle === 0
  }
  return machine.drive === 'coupled' && (machine as CoupledMachine).feet.movable.length === 2
}
