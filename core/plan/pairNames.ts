/** The two feet of a pair, as one sees them from behind the movable machine. */
export type Side = 'left' | 'right'
export const SIDES: readonly Side[] = ['left', 'right']
export type MachineRole = 'movable' | 'stationary'

/** Both machines of a coupling, the movable one first. */
export const MACHINE_ROLES: readonly MachineRole[] = ['movable', 'stationary']

/** A pair of either machine by one name: its own for the movable machine, whose drafts are kept under it. */
export const pairKey = (id: string, machine: MachineRole = 'movable'): string =>
  machine === 'movable' ? id : `stationary:${id}`

/** The same of whatever names a pair and perhaps its machine. */
export const keyOfPair = (pair: { readonly id: string; readonly machine?: MachineRole }): string =>
  pairKey(pair.id, pair.machine)
