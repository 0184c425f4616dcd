import { clockDistance, clockVector } from '../../../core/frame/clock'
import type { HarmonicFit, Reading } from '../../../core/fit/harmonicFit'
import type { ReadingSet } from '../../../core/stages/measure/readingSet'
import type { Millimetres } from '../../../core/units/unitSystem'

/** The hub that a list of positions is drawn round, in its own units. */
export const ROUND = { size: 300, radius: 86, room: 30 } as const

const point = (clock: number, r: number) => {
  const a = (clock * Math.PI) / 180
  return { x: ROUND.size / 2 + r * Math.sin(a), y: ROUND.size / 2 - r * Math.cos(a) }
}

/** One fitted circle drawn about its own mean: what was read as dots, what the fit makes of it as a curve. */
export interface DrawnRound {
  readonly circle: string
  /** Empty until a plane is fitted. */
  readonly path: string
  readonly dots: readonly { readonly clock: number; readonly x: number; readonly y: number }[]
}

/**
 * Draws circles as they swing round the clock, all to one scale, so that a reading that stands off its curve is
 * seen. `turned` gives the angle a stored one is drawn at from where the reader stands. Millimetres.
 */
export const drawCircles = (
  read: readonly { readonly name: string; readonly readings: readonly Reading[] }[],
  fits: Readonly<Record<string, HarmonicFit>>,
  turned: (clock: number) => number,
): readonly DrawnRound[] => {
  const circles = read.map(({ name, readings }) => {
    const fit = fits[name]
    const mean = (group: string | undefined) =>
      fit?.constants[group ?? ''] ??
      readings.reduce((sum, r) => sum + r.value, 0) / Math.max(1, readings.length)
    const curve = (clock: number): Millimetres => {
      const [cos, sin] = clockVector(clock)
      return (fit?.cos ?? 0) * cos + (fit?.sin ?? 0) * sin
    }
    return {
      circle: name,
      curve: fit ? curve : null,
      off: readings.map((r) => ({ clock: r.clock, by: r.value - mean(r.group) })),
    }
  })
  const largest = Math.max(
    1e-9,
    ...circles.flatMap(({ off, curve }) => [
      ...off.map((o) => Math.abs(o.by)),
      ...(curve ? [0, 45, 90, 135].map((c) => Math.abs(curve(c))) : []),
    ]),
  )
  const r = (by: Millimetres) => ROUND.radius + (by / largest) * ROUND.room
  return circles.map(({ circle, curve, off }) => ({
    circle,
    path: curve
      ? Array.from({ length: 73 }, (_, i) => point(turned(i * 5), r(curve(i * 5))))
          .map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`)
          .join('')
      : '',
    dots: off.map((o) => ({ clock: o.clock, ...point(turned(o.clock), r(o.by)) })),
  }))
}

/** The circles of a set as its method arranges them. */
export const drawRound = (
  set: ReadingSet | undefined,
  turned: (clock: number) => number,
): readonly DrawnRound[] =>
  drawCircles(set?.arranged?.arrangement.circles ?? [], set?.measured?.fits ?? {}, turned)

/** Nearer than this the boxes of two positions would lie on one another. */
const ROOM_FOR_BOXES = 40

/** Whether a box fits beside each position. */
export const roomRound = (positions: readonly number[]): boolean =>
  positions.every((a, i) => positions.slice(i + 1).every((b) => clockDistance(a, b) >= ROOM_FOR_BOXES))

/** A position put into a list, in sweep order from where the set starts. */
export const withPosition = (positions: readonly number[], clock: number): number[] => {
  const [first = 0, ...rest] = positions
  const on = (c: number) => (c - first + 360) % 360
  return [first, ...[...rest, clock].sort((a, b) => on(a) - on(b))]
}
