import type { Misalignment, Plane } from '../../core/frame/planes'
import { positionAt } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import type { Millimetres } from '../../core/units/unitSystem'
import { roundTimes } from './roundTimes'

/** One view of both shaft lines, laid out in drawing units; the screen and the report both draw it. */
export interface ShaftLines {
  readonly plane: Plane
  readonly width: number
  readonly height: number
  /** Drawing x of a place along the shafts. */
  readonly x: (at: Millimetres) => number
  /** Drawing y of a displacement; up and toward 3 are up. */
  readonly y: (displacement: Millimetres) => number
  /** And back, for dragging. */
  readonly displacementAt: (y: number) => Millimetres
  /** How many times taller than long it is drawn. */
  readonly exaggeration: number
  readonly zero: number
  readonly coupling: number
  readonly movable: { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number }
  readonly feet: readonly DrawnFoot[]
  /** The stationary shaft, left of the coupling, and its feet where they are drawn. */
  readonly stationary: ShaftLines['movable']
  readonly stationaryFeet: readonly DrawnFoot[]
  /** The line it is to lie on cold; null where that is the stationary axis. */
  readonly target: ShaftLines['movable'] | null
  /** Top and bottom of the gate at the coupling, about the target; null where the offset has no single limit. */
  readonly gate: { readonly top: number; readonly bottom: number } | null
  readonly ticks: readonly number[]
}

export interface DrawnFoot {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly at: Millimetres
}
type FeetDrawn = readonly { readonly id: string; readonly x: Millimetres }[]

/** The sheet ends left of the coupling here: at the driven machine’s feet where they are drawn. */
const leftEnd = (far: Millimetres, driven: readonly { readonly x: Millimetres }[] = []): Millimetres =>
  Math.min(-0.5 * far, ...driven.map((f) => 1.13 * f.x))
/** And here right of it, as a share of the furthest foot. */
const RIGHT_END = 1.13

/** Drawn size of one view of a plan. */
export const PLAN_VIEW = { width: 690, height: 306 } as const
const BAND_PLACES = 9

/** The soft band about a line as measured, as a closed path: half of its width is told at each x. */
export const softBand = (
  drawn: Pick<ShaftLines, 'plane' | 'x' | 'y'>,
  line: Misalignment,
  far: Millimetres,
  halfWidth: (x: Millimetres) => Millimetres,
): string => {
  const places = Array.from({ length: BAND_PLACES }, (_, i) => (1.11 * far * i) / (BAND_PLACES - 1))
  const edge = (at: Millimetres, side: 1 | -1) => {
    const y = drawn.y((positionAt(line, at)[drawn.plane] ?? 0) + side * halfWidth(at))
    return `${drawn.x(at).toFixed(1)} ${y.toFixed(1)}`
  }
  const upper = places.map((at) => edge(at, 1))
  const lower = [...places].reverse().map((at) => edge(at, -1))
  return `M${[...upper, ...lower].join('L')}Z`
}

/**
 * Lays out one plane: the stationary shaft lies on zero, the movable one as measured. The scale
 * along the shafts is true; across them it is exaggerated by a round number that is stated.
 */
export const layOutShafts = (input: {
  readonly plane: Plane
  readonly line: Misalignment
  readonly feet: FeetDrawn
  readonly tolerance: SettledTolerance
  readonly target?: Misalignment
  /** Where the stationary axis will lie, told from where it lies now. */
  readonly ground?: Misalignment | undefined
  /** Feet of the stationary machine, where it may be moved too. */
  readonly driven?: FeetDrawn | undefined
  readonly width: number
  readonly height: number
  /** The exaggeration both views share; the largest that fits this one when missing. */
  readonly exaggeration?: number
}): ShaftLines => {
  const { plane, line, feet, width, height } = input
  const far = Math.max(...feet.map((f) => f.x))
  const left = leftEnd(far, input.driven)
  const right = far * RIGHT_END
  const scale = width / (right - left)
  const x = (at: Millimetres) => (at - left) * scale
  const at = (place: Millimetres) => positionAt(line, place)[plane] ?? 0
  const under = (place: Millimetres) => (input.ground && positionAt(input.ground, place)[plane]) ?? 0
  const gateLimit = gateOf(input.tolerance, plane, input.target)
  const exaggeration = input.exaggeration ?? fittingExaggeration({ ...input, lines: [line], planes: [plane] })
  const zero = height / 2
  const across = scale * exaggeration
  const y = (displacement: Millimetres) => zero - displacement * across
  const end = right * 0.985
  const aimed = (place: Millimetres) => (input.target && positionAt(input.target, place)[plane]) ?? 0
  const aimAt = (place: Millimetres) => aimed(place) + under(place)
  return {
    plane,
    width,
    height,
    x,
    y,
    displacementAt: (drawn) => (zero - drawn) / across,
    exaggeration,
    zero,
    coupling: x(0),
    movable: { x1: x(0), y1: y(at(0)), x2: x(end), y2: y(at(end)) },
    target:
      aimed(0) === 0 && aimed(end) === 0
        ? null
        : { x1: x(0), y1: y(aimAt(0)), x2: x(end), y2: y(aimAt(end)) },
    feet: feet.map((f) => ({ id: f.id, x: x(f.x), y: y(at(f.x)), at: at(f.x) })),
    stationary: { x1: x(left), y1: y(under(left)), x2: x(0), y2: y(under(0)) },
    stationaryFeet: (input.driven ?? []).map((f) => ({
      id: f.id,
      x: x(f.x),
      y: y(under(f.x)),
      at: under(f.x),
    })),
    gate: gateLimit === null ? null : { top: y(gateLimit[1] + under(0)), bottom: y(gateLimit[0] + under(0)) },
    ticks: [
      ...feet.map((f) => x(f.x)),
      ...(input.driven ?? []).map((f) => x(f.x)),
      ...(input.driven ? [] : feet.map((f) => x(-f.x * 0.35))),
    ],
  }
}

/**
 * The largest round exaggeration at which all these lines fit all these views, so that side view and
 * top view of one machine can be compared by eye.
 */
export const fittingExaggeration = (input: {
  readonly lines: readonly Misalignment[]
  readonly planes: readonly Plane[]
  readonly feet: readonly { readonly x: Millimetres }[]
  readonly tolerance: SettledTolerance
  readonly target?: Misalignment
  readonly ground?: Misalignment | undefined
  readonly driven?: FeetDrawn | undefined
  readonly width: number
  readonly height: number
}): number => {
  const { lines, planes, feet, tolerance, target, ground, width, height } = input
  const far = Math.max(...feet.map((f) => f.x))
  const left = leftEnd(far, input.driven)
  const scale = width / (far * RIGHT_END - left)
  const under = (plane: Plane) =>
    ground ? [0, left].map((x) => Math.abs(positionAt(ground, x)[plane] ?? 0)) : []
  const reach = Math.max(
    ...planes.flatMap((plane) => [
      ...[...lines, ...(target ? [target] : [])].map((line) => reachOf(line, plane, feet, tolerance, target)),
      ...under(plane),
    ]),
  )
  return roundTimes((height / 2 - 34) / (reach * scale))
}

/** The offset band as a gate at the coupling, about the target; for flex planes, what the offset alone may be. */
export const gateOf = (
  tolerance: SettledTolerance,
  plane: Plane,
  target?: Misalignment,
): readonly [number, number] | null => {
  const aim = target?.offset[plane] ?? 0
  const about = (limit: number) => [aim - limit, aim + limit] as const
  if (tolerance.form === 'offset-slope') return about(tolerance.offset)
  if (tolerance.form === 'flex-plane') return about(tolerance.slope * tolerance.spoolLength)
  const [low, high] = tolerance.offset[plane]
  return low === null || high === null ? null : [low, high]
}

/** How far from zero anything in this view comes. */
export const reachOf = (
  line: Misalignment,
  plane: Plane,
  feet: readonly { readonly x: Millimetres }[],
  tolerance: SettledTolerance,
  target?: Misalignment,
): Millimetres => {
  const gate = gateOf(tolerance, plane, target)
  const far = Math.max(...feet.map((f) => f.x)) * RIGHT_END
  return Math.max(
    0.02,
    ...(gate ?? []).map((g) => Math.abs(g) * 1.15),
    ...[0, far].map((x) => Math.abs(positionAt(line, x)[plane] ?? 0)),
  )
}
