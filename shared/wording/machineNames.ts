import type { MachineRole } from '../../core/plan/pairNames'

/** What the two machines are called in a sentence. */
export type MachineNames = Readonly<Record<MachineRole, string>>

/** A job as far as its machine may have names. */
interface Machined {
  readonly machine: object
}

export const movableName = (state: Machined): string =>
  'movableName' in state.machine && typeof state.machine.movableName === 'string'
    ? state.machine.movableName.toLowerCase()
    : 'motor'

/** What both machines are called in a sentence. */
export const machineNames = (state: Machined): { readonly movable: string; readonly stationary: string } => ({
  movable: movableName(state),
  stationary:
    'stationaryName' in state.machine && typeof state.machine.stationaryName === 'string'
      ? state.machine.stationaryName.toLowerCase()
      : 'driven machine',
})
