import { done, refused, type Outcome } from '../outcome'
import type { Millimetres } from '../units/unitSystem'

/** An open belt drive of two sheaves; pitch diameters. Angles in radians. */
export interface BeltDrive {
  readonly small: Millimetres
  readonly large: Millimetres
  readonly centre: Millimetres
  readonly pitchLength: Millimetres
  /** Free length of one strand. */
  readonly span: Millimetres
  /** Angle of a strand to the line of centres. */
  readonly strandAngle: number
  /** Wrap on the small sheave. */
  readonly wrapSmall: number
  readonly wrapLarge: number
}

/** Exact pitch length of an open belt at this centre distance. */
export const pitchLengthAt = (small: Millimetres, large: Millimetres, centre: Millimetres): Millimetres => {
  const beta = Math.asin((large - small) / (2 * centre))
  return 2 * centre * Math.cos(beta) + (Math.PI * (large + small)) / 2 + beta * (large - small)
}

/** The drive at a centre distance. Refuses sheaves that would touch. */
export const driveAtCentre = (
  small: Millimetres,
  large: Millimetres,
  centre: Millimetres,
): Outcome<BeltDrive> => {
  if (!(centre > (small + large) / 2)) return refused('sheaves-touch', ['C'], { least: (small + large) / 2 })
  const strandAngle = Math.asin((large - small) / (2 * centre))
  return done({
    small,
    large,
    centre,
    pitchLength: pitchLengthAt(small, large, centre),
    span: centre * Math.cos(strandAngle),
    strandAngle,
    wrapSmall: Math.PI - 2 * strandAngle,
    wrapLarge: Math.PI + 2 * strandAngle,
  })
}

/**
 * Centre distance that a belt of this pitch length gives, to rounding: Newton's method on the
 * exact length, whose slope is `2 cos(beta)`. Refuses a belt too short to go round.
 */
export const centreForLength = (
  small: Millimetres,
  large: Millimetres,
  length: Millimetres,
): Outcome<Millimetres> => {
  const least = (small + large) / 2
  if (!(length > pitchLengthAt(small, large, least)))
    return refused('belt-too-short', ['L'], { least: pitchLengthAt(small, large, least) })
  let centre = Math.max(least * (1 + 1e-9), (length - (Math.PI * (small + large)) / 2) / 2)
  for (let i = 0; i < 60; i++) {
    const slope = 2 * Math.cos(Math.asin((large - small) / (2 * centre)))
    const next = centre - (pitchLengthAt(small, large, centre) - length) / slope
    const safe = next > least ? next : (centre + least) / 2
    if (Math.abs(safe - centre) <= 1e-13 * centre) return done(safe)
    centre = safe
  }
  return done(centre)
}

/** Sheaves with either the centre distance or the belt's pitch length. */
export interface SheavePair {
  readonly d: Millimetres
  readonly D: Millimetres
  readonly C?: Millimetres
  readonly L?: Millimetres
}

/** The drive from whichever of centre distance and pitch length is known. */
export const beltDrive = (pair: SheavePair): Outcome<BeltDrive> => {
  if (pair.C !== undefined) return driveAtCentre(pair.d, pair.D, pair.C)
  const centre = centreForLength(pair.d, pair.D, pair.L ?? 0)
  return centre.ok ? driveAtCentre(pair.d, pair.D, centre.value) : centre
}

/** Belt speed in m/s from the small sheave's pitch diameter and speed. */
export const beltSpeed = (small: Millimetres, rpm: number): number => (Math.PI * small * rpm) / 60_000

/** How often a point of the belt bends round a sheave, per second. */
export const flexRate = (drive: BeltDrive, rpm: number): number =>
  (2 * 1000 * beltSpeed(drive.small, rpm)) / drive.pitchLength
