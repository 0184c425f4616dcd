import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Millimetres } from '../units/unitSystem'

/** Gaps from one straight edge, all >= 0. Near is nearer the other shaft, on both sheaves. */
export interface EdgeGaps {
  /** Reference far and near rim, `wR` apart; zero when the edge lies flat on the reference. */
  readonly r1: Millimetres
  readonly r2: Millimetres
  readonly wR: Millimetres | null
  /** Other sheave's near and far rim, `w` apart. */
  readonly p1: Millimetres
  readonly p2: Millimetres
  readonly w: Millimetres
  /** Edge shifted up and down the reference face, `h` apart; null when not read. */
  readonly tilt: { readonly g12: Millimetres; readonly g6: Millimetres; readonly h: Millimetres } | null
  /** Depth from face to groove centre, reference and other. */
  readonly eR: Millimetres
  readonly eA: Millimetres
}

/** Errors of the other sheave against the reference. Radians, millimetres. */
export interface SheaveErrors {
  readonly offset: Millimetres
  readonly turn: number
  /** Null when it was not read. */
  readonly tilt: number | null
}

/** Offset, turn and tilt from the gaps (docs/methods/sheave-line.md). `centre` is the centre distance. */
export const sheaveErrors = (gaps: EdgeGaps, centre: Millimetres): SheaveErrors => {
  const turnR = gaps.wR === null ? 0 : Math.atan((gaps.r2 - gaps.r1) / gaps.wR)
  const turn = Math.atan((gaps.p2 - gaps.p1) / gaps.w) - turnR
  const face = (gaps.p1 + gaps.p2) / 2 - (gaps.r1 + gaps.r2) / 2 - centre * Math.tan(turnR)
  return {
    offset: face + gaps.eA - gaps.eR,
    turn,
    tilt: gaps.tilt ? Math.atan((gaps.tilt.g12 - gaps.tilt.g6) / gaps.tilt.h) : null,
  }
}

export interface FleetAngles {
  readonly reference: number
  readonly other: number
  /** The larger magnitude rules. */
  readonly worst: number
}

/** Angle at which the belt runs into each groove, radians. */
export const fleetAngles = (errors: SheaveErrors, span: Millimetres): FleetAngles => {
  const reference = Math.atan(errors.offset / span)
  const other = reference - errors.turn
  return { reference, other, worst: Math.max(Math.abs(reference), Math.abs(other)) }
}

/** Where the motor's feet and screws are. */
export interface MotorBase {
  /** Foot-pair spacing along the shaft. */
  readonly footSpacing: Millimetres
  /** Sheave plane to the sheave-end feet. */
  readonly sheaveToFeet: Millimetres
  /** Shaft above the feet. */
  readonly shaftHeight: Millimetres
  readonly screwPitch: Millimetres | null
  readonly hubToShaftEnd: Millimetres | null
  /** Shaft line above the slide direction, radians: 0 when the pull is level. */
  readonly lineAngle: number
  /** +1 when the edge lies on the faces turned away from the motor, else -1. */
  readonly side: 1 | -1
  /** +1 when the motor carries the other sheave, -1 when it carries the reference. */
  readonly motorSign: 1 | -1
}

export interface SheaveCorrections {
  readonly tilt: {
    /** Shim under the feet away from the sheave; positive lifts them. */
    readonly farFeetShim: Millimetres
    readonly offsetChange: Millimetres
  }
  readonly turn: {
    /** Slide of the far end, positive away from the other shaft, sheave end held. */
    readonly farEndSlide: Millimetres
    readonly screwTurns: number | null
    readonly centreChange: Millimetres
    readonly offsetChange: Millimetres
    /** The same cure by the sheave-end screw instead, far end held. */
    readonly sheaveEndSlide: Millimetres
    readonly sheaveEndCentreChange: Millimetres
  }
  readonly offset: {
    /** From the offset left after tilt and turn; positive away from the edge. */
    readonly sheaveSlide: Millimetres
    readonly hubToShaftEnd: Millimetres | null
  }
  /** What is left after each step, in working order. */
  readonly after: readonly {
    readonly step: 'tilt' | 'turn' | 'offset'
    readonly offset: Millimetres
    readonly turn: number
    readonly tilt: number
    readonly centreChange: Millimetres
  }[]
}

/**
 * What to shim, slide and shift, each step predicted before the next: tilt, turn, offset. A shaft
 * line above the slide direction turns tilt into slides and turn into shims. Source:
 * docs/methods/sheave-line.md; rotations about the sheave-end feet.
 */
export const sheaveCorrections = (
  errors: SheaveErrors,
  centre: Millimetres,
  base: MotorBase,
): SheaveCorrections => {
  const { side, motorSign: k } = base
  const tilt = errors.tilt ?? 0
  const cosine = Math.cos(base.lineAngle)
  const sine = Math.sin(base.lineAngle)
  const turnBase = errors.turn * cosine - tilt * sine
  const tiltBase = errors.turn * sine + tilt * cosine
  const shimOffset = -tiltBase * base.shaftHeight
  const slide = side * turnBase * base.footSpacing
  const turnCentre = -side * turnBase * base.sheaveToFeet
  const turnOffset = k === -1 ? -centre * turnBase : 0
  const afterTilt = errors.offset + shimOffset
  const afterTurn = afterTilt + turnOffset
  const towardEdge = k * afterTurn
  return {
    tilt: { farFeetShim: side * k * tiltBase * base.footSpacing, offsetChange: shimOffset },
    turn: {
      farEndSlide: slide,
      screwTurns: base.screwPitch === null ? null : slide / base.screwPitch,
      centreChange: turnCentre,
      offsetChange: turnOffset,
      sheaveEndSlide: -slide,
      sheaveEndCentreChange: -side * turnBase * (base.footSpacing + base.sheaveToFeet),
    },
    offset: {
      sheaveSlide: towardEdge === 0 ? 0 : -towardEdge,
      hubToShaftEnd: base.hubToShaftEnd === null ? null : base.hubToShaftEnd - side * towardEdge,
    },
    after: [
      { step: 'tilt', offset: afterTilt, turn: errors.turn, tilt: 0, centreChange: 0 },
      { step: 'turn', offset: afterTurn, turn: 0, tilt: 0, centreChange: turnCentre },
      { step: 'offset', offset: 0, turn: 0, tilt: 0, centreChange: turnCentre },
    ],
  }
}

export type BeltKind = 'v' | 'joined' | 'ribbed' | 'toothed'
export const BELT_KINDS: readonly [BeltKind, ...BeltKind[]] = ['v', 'joined', 'ribbed', 'toothed']

const DEGREE = Math.PI / 180
/** Starter angle limits by belt kind, radians; the machine's own limit wins. */
export const ANGLE_LIMITS: Readonly<Record<BeltKind, number>> = {
  v: 0.5 * DEGREE,
  joined: 0.25 * DEGREE,
  ribbed: 0.25 * DEGREE,
  toothed: 0.25 * DEGREE,
}
/** Starter offset limit of V-belts: 1/10 in per ft of span. */
const OFFSET_PER_SPAN = 0.1 / 12

export interface SheaveLimits {
  readonly angle: number
  readonly tilt: number
  /** Null where only the angle rules. */
  readonly offset: Millimetres | null
}

/** Starter limits for a belt kind and span, overridden by the machine's own. */
export const sheaveLimits = (
  kind: BeltKind,
  span: Millimetres,
  own: { readonly angle?: number; readonly tilt?: number; readonly offset?: Millimetres },
): SheaveLimits => ({
  angle: own.angle ?? ANGLE_LIMITS[kind],
  tilt: own.tilt ?? ANGLE_LIMITS[kind],
  offset: own.offset ?? (kind === 'v' ? OFFSET_PER_SPAN * span : null),
})

export interface JudgedSheave {
  readonly name: 'fleet' | 'tilt' | 'offset'
  readonly margin: number
  readonly verdict: Verdict
}

/** Fleet angle, tilt and offset against their limits; the worst rules. */
export const judgeSheaves = (
  errors: SheaveErrors,
  fleet: FleetAngles,
  limits: SheaveLimits,
): { readonly verdict: Verdict; readonly quantities: readonly JudgedSheave[] } => {
  const judged = (name: JudgedSheave['name'], value: number, limit: number): JudgedSheave => {
    const margin = marginIn(value, [-limit, limit])
    return { name, margin, verdict: verdictOfMargin(margin) }
  }
  const quantities = [
    judged('fleet', fleet.worst, limits.angle),
    ...(errors.tilt === null ? [] : [judged('tilt', errors.tilt, limits.tilt)]),
    ...(limits.offset === null ? [] : [judged('offset', errors.offset, limits.offset)]),
  ]
  const has = (v: Verdict) => quantities.some((q) => q.verdict === v)
  return { verdict: has('out') ? 'out' : has('edge') ? 'edge' : 'in', quantities }
}
