import type { CoupledMachine } from '../../core/register/coupledMachine'

/** Whether a machine of the register can be practised on: coupled, on two foot pairs, measured by dials. */
export const canPractise = (machine: { readonly drive: string }): boolean =>
  machine.drive === 'coupled' &&
  (machine as CoupledMachine).feet.movable.length === 2 &&
  ['rim-face', 'reverse-rim'].includes((machine as CoupledMachine).usual.method)
