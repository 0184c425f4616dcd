import type { Millimetres } from '../units/unitSystem'
import type { Vector } from './vector'

/** A sheave's face that an edge can lie on: its hub, the direction it looks, and how far its rim stands out. */
export interface SheaveFace {
  readonly hub: Vector
  /** Unit length, away from the sheave. */
  readonly normal: Vector
  readonly radius: Millimetres
}

/** What an edge pressed on one sheave shows at the four rims, square to itself; far and near as seen from the other shaft. */
export interface EdgeShows {
  readonly reference: { readonly far: Millimetres; readonly near: Millimetres }
  readonly other: { readonly near: Millimetres; readonly far: Millimetres }
  /** At the other sheave's hub. */
  readonly middle: Millimetres
  /** It can be felt not to lie on both rims of the sheave it is pressed on: the other one stands proud, or leans into it. */
  readonly rocks: boolean
}

/** A rim as the edge meets it: along from shaft to shaft, and how far out of the machine it stands. */
interface Place {
  readonly along: number
  readonly out: number
}

/** How far out a face stands at a place in space. */
const outAt = ({ hub, normal }: SheaveFace, side: 1 | -1, v: Millimetres, along: Millimetres): number =>
  side * (hub.x - ((v - hub.v) * normal.v + (along - hub.h) * normal.h) / normal.x)

const TOUCH = 1e-9
/** The thinnest blade there is. */
const THINNEST: Millimetres = 0.05

/**
 * A straight edge laid level across two sheaves, `height` above the hub of the one it is pressed on: it comes to rest on
 * the two rims that stand out furthest on either side of where it is pressed. `side` is +1 for the faces that look
 * along +x. Millimetres.
 */
export const edgeOn = (
  under: SheaveFace,
  other: SheaveFace,
  side: 1 | -1,
  height: Millimetres = 0,
): EdgeShows => {
  const v = under.hub.v + height
  const half = (face: SheaveFace) => Math.sqrt(Math.max(0, face.radius ** 2 - (v - face.hub.v) ** 2))
  /** From the reference toward the other shaft. */
  const way = Math.sign(other.hub.h - under.hub.h) || 1
  const place = (face: SheaveFace, by: number): Place => {
    const along = face.hub.h + way * by * half(face)
    return { along: way * along, out: outAt(face, side, v, along) }
  }
  const rims = [place(under, -1), place(under, 1), place(other, -1), place(other, 1)] as const
  const pressed = way * under.hub.h
  const lineOver = (a: Place, b: Place) => (along: number) =>
    a.out + ((b.out - a.out) * (along - a.along)) / (b.along - a.along)
  let line = lineOver(rims[0], rims[1])
  for (const a of rims)
    for (const b of rims) {
      if (!(a.along < pressed && b.along > pressed)) continue
      const over = lineOver(a, b)
      if (rims.every((r) => over(r.along) >= r.out - TOUCH)) line = over
    }
  const lean = Math.hypot(1, line(1) - line(0))
  const gap = ({ along, out }: Place) => Math.max(0, line(along) - out) / lean
  const reference = { far: gap(rims[0]), near: gap(rims[1]) }
  return {
    reference,
    other: { near: gap(rims[2]), far: gap(rims[3]) },
    middle: gap({ along: way * other.hub.h, out: outAt(other, side, v, other.hub.h) }),
    rocks: Math.max(reference.far, reference.near) > THINNEST,
  }
}
