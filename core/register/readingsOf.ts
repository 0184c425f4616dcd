import type { BeltMachine } from './beltMachine'

/** How many readings a whole set gives: a band of joined belts is pushed as one. */
export const readingsOf = ({
  belts,
}: {
  readonly belts: Pick<BeltMachine['belts'], 'kind' | 'count'>
}): number => (belts.kind === 'v' ? belts.count : 1)
