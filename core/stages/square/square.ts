import { squareness } from '../../belt/squareness'
import { angleLimitOf, type Ruled } from '../../belt/beltLimits'
import { marginIn, verdictOfMargin, type Verdict } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { BeltMachine } from '../../register/beltMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'

/** Readings of the motor's squareness, in order. */
export type Squared = readonly LogEntry<'motor-squared'>[]

export const keepSquared = (now: Squared, e: LogEntry): Squared =>
  e.kind === 'motor-squared' ? [...now, e] : now

/** How the motor stands to its base. */
export interface SquareRead {
  readonly entry: LogEntry<'motor-squared'>
  /** Radians; positive when the far end stands further from the driven shaft. */
  readonly turn: number
  readonly difference: Millimetres
  /** Slide of the far end that squares it, positive away from the driven shaft. */
  readonly farEndSlide: Millimetres
  /** Turns of what moves the far end, positive away; null where its travel a turn is unknown. */
  readonly turns: number | null
  /** Difference at the limit angle. */
  readonly limit: Millimetres
  readonly limitAngle: number
  readonly by: Pick<Ruled<number>, 'by' | 'source'>
  readonly verdict: Verdict
}

/** Whether the motor stands square, judged by what the belts may run at: the machine's own angle, or that of its kind of belt. */
export const squareOf = remember((entry: LogEntry<'motor-squared'>, machine: BeltMachine): SquareRead => {
  const { units, edge, ...ends } = entry.payload
  const { base } = machine
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const spacing = own(base.footSpacing)
  // From the far side an end further off stands nearer the driven shaft.
  const away = edge === 'driven-side' ? 1 : -1
  const from = (x: number) => away * toCore(x, 'distance', units)
  const read = squareness(
    from(ends.sheaveEnd),
    from(ends.farEnd),
    spacing,
    base.screwPitch === null ? null : own(base.screwPitch),
  )
  const ruled = angleLimitOf(machine)
  const limitAngle = ruled.value
  return {
    entry,
    turn: read.turn,
    difference: read.difference,
    farEndSlide: read.farEndMove,
    turns: read.screwTurns,
    limit: spacing * Math.tan(limitAngle),
    limitAngle,
    by: ruled,
    verdict: verdictOfMargin(marginIn(read.turn, [-limitAngle, limitAngle])),
  }
})
