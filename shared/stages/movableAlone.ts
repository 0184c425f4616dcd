import type { Lift } from '../logbook/lift'

interface First {
  readonly changes: readonly object[]
  readonly side: readonly object[]
}

/** Foot changes as they were kept before the stationary machine could be moved. */
export const liftMovableAlone: Lift = (old) => {
  const { changes, side, ...rest } = old as First
  const onMovable = (list: readonly object[]) => list.map((c) => ({ machine: 'movable', ...c }))
  return { ...rest, changes: onMovable(changes), side: onMovable(side) }
}
