import type { BeltMachine, Sheave, SheavePlace } from '../../core/register/beltMachine'
import { toCore } from '../../core/units/unitSystem'

/** A sheave from above: its rim as a rectangle, its grooves as lines across it, its shaft. Pixels. */
export interface SheaveAlong {
  readonly place: SheavePlace
  readonly x: number
  readonly half: number
  /** Outer face, the one turned away from the motor, and inner face. */
  readonly outer: number
  readonly inner: number
  readonly grooves: readonly number[]
  /** How far the shaft stands out of the hub at the outer face; null where nobody measured it. */
  readonly shaftEnd: number | null
}

export interface DriveAlong {
  readonly sheaves: readonly [SheaveAlong, SheaveAlong]
  /** Belts from sheave to sheave, each in its groove on both. */
  readonly belts: readonly {
    readonly from: readonly [number, number]
    readonly to: readonly [number, number]
  }[]
  readonly height: number
}

type Drive = Pick<BeltMachine, 'sheaves' | 'centreDistance' | 'belts' | 'base' | 'units'>

/** Groove centres from the outer face, in the record's own units: by their pitch, else evenly between the depths. */
export const groovesOf = ({
  grooves,
  groovePitch,
  depthOuter,
  depthInner,
  faceWidth,
}: Sheave): readonly number[] => {
  const apart = groovePitch ?? (grooves > 1 ? (faceWidth - depthOuter - depthInner) / (grooves - 1) : 0)
  return Array.from({ length: grooves }, (_, i) => depthOuter + i * apart)
}

/** Room above the outer faces for shaft ends and below for the motor, pixels. */
const ABOVE = 34
const BELOW = 38

/**
 * Both sheaves along their shafts, from the drive's own numbers and to one scale: outer faces on top, motor to the left, lined up
 * by the centres of their first grooves.
 */
export const layAlong = (
  { sheaves, centreDistance, belts, base, units }: Drive,
  width: number,
): DriveAlong => {
  const mm = (x: number) => toCore(x, 'distance', units)
  const rim = ({ outsideDiameter, pitchDiameter }: Sheave) => mm(outsideDiameter ?? pitchDiameter)
  const [d, D, c] = [rim(sheaves.motor), rim(sheaves.driven), mm(centreDistance)]
  const scale = width / (c + d / 2 + D / 2)
  const deepest = Math.max(mm(sheaves.motor.depthOuter), mm(sheaves.driven.depthOuter)) * scale
  const line = ABOVE + deepest
  const place = (at: SheavePlace, x: number): SheaveAlong => {
    const s = sheaves[at]
    const outer = line - mm(s.depthOuter) * scale
    const end = at === 'motor' ? base.hubToShaftEnd : (s.hubToShaftEnd ?? null)
    return {
      place: at,
      x,
      half: (rim(s) / 2) * scale,
      outer,
      inner: outer + mm(s.faceWidth) * scale,
      grooves: groovesOf(s).map((g) => outer + mm(g) * scale),
      shaftEnd: end === null ? null : outer - mm(end) * scale,
    }
  }
  const motor = place('motor', (d / 2) * scale)
  const driven = place('driven', (d / 2 + c) * scale)
  const count = Math.min(belts.count, motor.grooves.length, driven.grooves.length)
  return {
    sheaves: [motor, driven],
    belts: Array.from({ length: count }, (_, i) => ({
      from: [motor.x, motor.grooves[i] ?? line] as const,
      to: [driven.x, driven.grooves[i] ?? line] as const,
    })),
    height: Math.max(motor.inner, driven.inner) + BELOW,
  }
}
