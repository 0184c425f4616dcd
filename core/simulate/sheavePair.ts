import type { Millimetres } from '../units/unitSystem'
import { add, dot, scale, subtract, vector, type Vector } from './vector'

/**
 * Two sheaves in space. x runs along the reference shaft toward the edge, v up, h from the
 * reference shaft to the other one. Turn is a rotation in the plane of both shafts (positive when
 * the far side of the other sheave swings away from the edge), tilt out of it (positive when its
 * top swings away).
 */
export interface SheavePair {
  readonly centre: Millimetres
  /** Groove centre of the other sheave against the reference's; positive away from the edge. */
  readonly offset: Millimetres
  /** Radians. */
  readonly turn: number
  readonly tilt: number
  /** From edge-side face to groove centre. */
  readonly referenceDepth: Millimetres
  readonly otherDepth: Millimetres
}

/** A sheave's edge-side face: a point at its hub and the direction it looks. */
interface Face {
  readonly point: Vector
  readonly normal: Vector
}

/** Rotation about v by turn, then about h by tilt, of the face that looks along +x. */
const otherNormal = (turn: number, tilt: number): Vector =>
  vector(Math.cos(turn) * Math.cos(tilt), Math.sin(tilt), Math.sin(turn) * Math.cos(tilt))

const facesOf = (pair: SheavePair): { readonly reference: Face; readonly other: Face } => {
  const normal = otherNormal(pair.turn, pair.tilt)
  const groove = vector(-pair.offset, 0, pair.centre)
  return {
    reference: { point: vector(pair.referenceDepth, 0, 0), normal: vector(1, 0, 0) },
    other: { point: add(groove, scale(normal, pair.otherDepth)), normal },
  }
}

/** How far below a straight edge a face lies at a place across it. */
const gapTo = (face: Face, edgeX: Millimetres, h: Millimetres, v: Millimetres): Millimetres => {
  const at = vector(edgeX, v, h)
  return dot(subtract(at, face.point), face.normal) / face.normal.x
}

export interface EdgeReading {
  readonly p1: Millimetres
  readonly p2: Millimetres
  readonly g12: Millimetres
  readonly g6: Millimetres
}

/**
 * Gaps to the other sheave from an edge that lies flat on the reference, moved out by `lift` so
 * that no gap is negative. `w` apart about its shaft, `h` apart up and down at its hub.
 */
export const edgeReads = (
  pair: SheavePair,
  w: Millimetres,
  h: Millimetres,
  lift: Millimetres,
): EdgeReading => {
  const { reference, other } = facesOf(pair)
  const edge = reference.point.x + lift
  return {
    p1: gapTo(other, edge, pair.centre - w / 2, 0),
    p2: gapTo(other, edge, pair.centre + w / 2, 0),
    g12: gapTo(other, edge, pair.centre, h / 2),
    g6: gapTo(other, edge, pair.centre, -h / 2),
  }
}
