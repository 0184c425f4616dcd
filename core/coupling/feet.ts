import { ALIGNED, eachPlane, fitLine, minus, positionAt, type Misalignment, type VH } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'

export interface FootPlane {
  readonly id: string
  readonly x: Millimetres
}

export interface FootResult {
  readonly id: string
  readonly x: Millimetres
  /** Where the axis stands over this foot pair. */
  readonly position: VH
  /** What brings it onto the target line: v > 0 add shim, h > 0 push toward 3. */
  readonly move: VH
}

/** Position and wanted move at each foot pair: `move = t(x) - d(x)` (docs/frame-and-signs.md). */
export const feetFor = (
  coupling: Misalignment,
  feet: readonly FootPlane[],
  target: Misalignment = ALIGNED,
): readonly FootResult[] =>
  feet.map(({ id, x }) => {
    const position = positionAt(coupling, x)
    const wanted = positionAt(target, x)
    return { id, x, position, move: eachPlane((p) => minus(wanted[p], position[p])) }
  })

export interface FootMove {
  readonly id: string
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
}

/** The line by which foot moves shift the axis; least squares when there are more than two pairs. */
export const lineOfMoves = (moves: readonly FootMove[]): Misalignment => {
  const v = fitLine(moves.map((m) => ({ x: m.x, y: m.v })))
  const h = fitLine(moves.map((m) => ({ x: m.x, y: m.h })))
  return { offset: { v: v.offset, h: h.offset }, slope: { v: v.slope, h: h.slope } }
}
