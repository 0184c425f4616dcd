import { positionAt, type Misalignment } from '../../../core/frame/planes'
import type { MachineRole } from '../../../core/plan/pairNames'
import type { GrowthResult } from '../../../core/growth/growth'
import { roundTimes } from '../../drawing/roundTimes'
import type { GrowingPair } from './form'

/** Drawn size of the side view with both machines. */
export const GROWTH_SHEET = { width: 690, height: 156 } as const
/** Room for the names of the lines at either side. */
const MARGIN = 26
/** A pair whose distance nobody has taped is drawn this far from the coupling. */
const UNTAPED = { near: 250, far: 600 } as const

interface DrawnLine {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

/** Both machines from the side: cold, as they run, and where the movable one is set. Drawing units, y down. */
export interface DrawnGrowth {
  readonly coupling: number
  readonly zero: number
  /** How many times taller than long; null while nothing grows. */
  readonly times: number | null
  /** Machines that grow, driven one first. */
  readonly running: readonly (DrawnLine & { readonly role: MachineRole })[]
  readonly target: DrawnLine | null
  readonly pairs: readonly { readonly pair: GrowingPair; readonly x: number }[]
}

/** Lays out the side view; rises and target to one exaggeration. Millimetres in; `taped` for pairs whose distance is typed on it. */
export const drawGrowth = (
  pairs: readonly GrowingPair[],
  growth: GrowthResult | null,
  target: Misalignment,
  taped: (pair: GrowingPair) => number | null = () => null,
): DrawnGrowth => {
  const { width, height } = GROWTH_SHEET
  const placeOf = (p: GrowingPair): number => {
    const known = p.x ?? taped(p)
    if (known !== null) return known
    const away = p.id === 'outboard' ? UNTAPED.far : UNTAPED.near
    return p.machine === 'stationary' ? -away : away
  }
  const placed = pairs.map((pair) => ({ pair, at: placeOf(pair) }))
  const reach = (sign: 1 | -1) => 1.12 * Math.max(200, ...placed.map((p) => sign * p.at))
  const [left, right] = [-reach(-1), reach(1)]
  const scale = (width - 2 * MARGIN) / (right - left)
  const x = (at: number) => MARGIN + (at - left) * scale
  const linesOf = (role: MachineRole): Misalignment | null => {
    const line = growth?.lines[role]
    return line
      ? {
          offset: { v: line.v.offset, h: line.h.offset },
          slope: { v: line.v.slope, h: line.h.slope },
        }
      : null
  }
  const ends: Readonly<Record<MachineRole, readonly [number, number]>> = {
    stationary: [left, 0],
    movable: [0, right],
  }
  const roles = ['stationary', 'movable'] as const
  const heights = [
    ...roles.flatMap((role) => {
      const line = linesOf(role)
      return line ? ends[role].map((at) => positionAt(line, at).v ?? 0) : []
    }),
    ...ends.movable.map((at) => positionAt(target, at).v ?? 0),
  ]
  const [highest, lowest] = [Math.max(0, ...heights), Math.min(0, ...heights)]
  const tall = highest - lowest
  const room = height - 60
  const times = tall > 1e-9 ? roundTimes(room / (tall * scale)) : null
  const across = (times ?? 1) * scale
  const zero = 26 + (room - tall * across) / 2 + highest * across
  const drawn = (line: Misalignment, [a, b]: readonly [number, number]): DrawnLine => ({
    x1: x(a),
    y1: zero - (positionAt(line, a).v ?? 0) * across,
    x2: x(b),
    y2: zero - (positionAt(line, b).v ?? 0) * across,
  })
  const running = roles.flatMap((role) => {
    const line = linesOf(role)
    return line ? [{ role, ...drawn(line, ends[role]) }] : []
  })
  const off = ends.movable.some((at) => Math.abs(positionAt(target, at).v ?? 0) > 1e-9)
  return {
    coupling: x(0),
    zero,
    times,
    running,
    target: off ? drawn(target, ends.movable) : null,
    pairs: placed.map(({ pair, at }) => ({ pair, x: x(at) })),
  }
}
