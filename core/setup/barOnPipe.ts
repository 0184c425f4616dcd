import type { Millimetres } from '../units/unitSystem'

/** A bracket turned once round a stiff pipe, its dial zeroed at 12; as the dial shows, plunger in positive. */
export interface PipeTurn {
  readonly at3: Millimetres | null
  readonly at6: Millimetres
  readonly at9: Millimetres | null
  /** Back at 12. */
  readonly back: Millimetres
}

export type PipeFault =
  /** The dial gained at 6: a bar that hangs takes the plunger off the pipe there. */
  | 'gains-at-6'
  /** It did not come back to zero: the bracket slipped. */
  | 'not-back'
  /** 3 and 9 differ, or don't stand half way: the pipe or the bracket is not true. */
  | 'sides-apart'

/**
 * How far a bar hangs by a turn on a pipe: the dial reads `s (cos theta - 1)`, so -2s at 6 and -s at 3 and 9. Three and nine,
 * where they were read, are held against that. `graduation` of the dial; millimetres. Source: docs/stages/set-up.md.
 */
export const sagOnPipe = (
  turn: PipeTurn,
  graduation: Millimetres,
): { readonly hang: Millimetres; readonly faults: readonly PipeFault[] } => {
  const faults: PipeFault[] = []
  // What a graduation of rounding in each reading can't explain.
  const slack = 2 * graduation + 1e-9
  if (turn.at6 > graduation + 1e-9) faults.push('gains-at-6')
  if (Math.abs(turn.back) > graduation + 1e-9) faults.push('not-back')
  const sides = [turn.at3, turn.at9].filter((x) => x !== null)
  const apart = sides.length === 2 && Math.abs((sides[0] ?? 0) - (sides[1] ?? 0)) > slack
  if (apart || sides.some((x) => Math.abs(x - turn.at6 / 2) > slack)) faults.push('sides-apart')
  return { hang: Math.max(0, -turn.at6 / 2) || 0, faults }
}
