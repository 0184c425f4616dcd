import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'
import { aimOf } from './aim'
import type { MachineRole } from './planFoot'
import { limitForms, shareAt, type LimitForm } from './planeLimits'

export interface SideFoot {
  readonly id: string
  readonly machine?: MachineRole
  readonly x: Millimetres
  /** Room toward 3 and toward 9 in the bolt holes. */
  readonly sidePlus: Millimetres
  readonly sideMinus: Millimetres
}

/** One foot pair's pull on the line: what a millimetre of it does, and how far it may go. */
interface Pull {
  readonly offset: number
  readonly slope: number
  readonly low: Millimetres
  readonly high: Millimetres
}

const pullsOf = (feet: readonly SideFoot[]): readonly Pull[] =>
  feet.map((foot, i) => {
    const partner = feet.find((f, j) => j !== i && (f.machine ?? 'movable') === (foot.machine ?? 'movable'))
    const sign = (foot.machine ?? 'movable') === 'movable' ? 1 : -1
    const between = (partner?.x ?? 0) - foot.x
    return {
      offset: (sign * (partner?.x ?? 0)) / between,
      slope: -sign / between,
      low: -foot.sideMinus,
      high: foot.sidePlus,
    }
  })

type Point = readonly [offset: number, slope: number]

/** A corner of the reachable shifts, with the moves that make it. */
interface Corner {
  readonly at: Point
  readonly moves: readonly number[]
}

/**
 * The outline of all shifts that the pulls can make together: each adds one edge direction to a
 * convex outline with parallel opposite edges. Along an edge only one foot moves, so that every
 * point of it comes with its moves.
 */
const outline = (pulls: readonly Pull[], scale: Point): readonly Corner[] => {
  const turning = pulls
    .map((p, i) => {
      const flip = p.slope * scale[1] < 0 || (p.slope === 0 && p.offset < 0)
      return {
        i,
        flip,
        angle: Math.atan2((flip ? -1 : 1) * p.slope * scale[1], (flip ? -1 : 1) * p.offset * scale[0]),
      }
    })
    .sort((a, b) => a.angle - b.angle)
  const moves = pulls.map((p, i) => (turning.find((t) => t.i === i)?.flip ? p.high : p.low))
  const at = (): Point => [
    pulls.reduce((s, p, i) => s + p.offset * (moves[i] as number), 0),
    pulls.reduce((s, p, i) => s + p.slope * (moves[i] as number), 0),
  ]
  const corners: Corner[] = [{ at: at(), moves: [...moves] }]
  for (const round of [0, 1])
    for (const t of turning) {
      const p = pulls[t.i] as Pull
      moves[t.i] = (round === 0) === t.flip ? p.low : p.high
      corners.push({ at: at(), moves: [...moves] })
    }
  return corners
}

/** Least share along a straight edge; exact, since the share is a largest of straight pieces. */
const bestAlong = (
  forms: readonly LimitForm[],
  from: Point,
  a: Point,
  b: Point,
): { readonly along: number; readonly share: number } => {
  const shareAlong = (t: number) =>
    shareAt(forms, from[0] + a[0] + t * (b[0] - a[0]), from[1] + a[1] + t * (b[1] - a[1]))
  // Where pieces bend or meet: on a band's middle or bound, and where two pieces are equally full.
  const stops: number[] = [0, 1]
  const pieces = forms.flatMap((f) => {
    const start = f.offsetFactor * (from[0] + a[0]) + f.slopeFactor * (from[1] + a[1]) - f.shift
    const rate = f.offsetFactor * (b[0] - a[0]) + f.slopeFactor * (b[1] - a[1])
    const [low, high] = f.band
    const half =
      low !== null && high !== null && high > low ? (high - low) / 2 : Math.abs(low ?? high ?? 0) || 1
    const middle =
      low !== null && high !== null ? (low + high) / 2 : low !== null ? low + half : (high ?? 0) - half
    for (const bend of [middle, low, high]) if (bend !== null && rate !== 0) stops.push((bend - start) / rate)
    return [
      { at0: (start - middle) / half, rate: rate / half },
      { at0: (middle - start) / half, rate: -rate / half },
    ]
  })
  for (const [i, p] of pieces.entries())
    for (const q of pieces.slice(i + 1))
      if (p.rate !== q.rate) stops.push((q.at0 - p.at0) / (p.rate - q.rate))
  let best = { along: 0, share: Infinity }
  for (const t of stops) {
    if (!(t >= 0 && t <= 1)) continue
    const share = shareAlong(t)
    if (share < best.share - 1e-12) best = { along: t, share }
  }
  return best
}

/** Moves at each pair that shift the line by exactly `shift`, when the outline holds it; else null. */
const movesFor = (corners: readonly Corner[], shift: Point, scale: Point): readonly number[] | null => {
  const size = Math.hypot(shift[0] * scale[0], shift[1] * scale[1])
  if (size === 0) return corners[0]?.moves.map(() => 0) ?? null
  // The outline holds no move at all, so a ray through the wanted shift leaves it once.
  for (let i = 0; i + 1 < corners.length; i++) {
    const a = corners[i] as Corner
    const b = corners[i + 1] as Corner
    const edge: Point = [b.at[0] - a.at[0], b.at[1] - a.at[1]]
    const det = shift[0] * -edge[1] + edge[0] * shift[1]
    if (Math.abs(det) < 1e-300) continue
    const reach = (a.at[0] * -edge[1] + edge[0] * a.at[1]) / det
    const along = (shift[0] * a.at[1] - shift[1] * a.at[0]) / det
    if (reach < 1 - 1e-12 || along < -1e-9 || along > 1 + 1e-9) continue
    return a.moves.map((m, k) => (m + along * ((b.moves[k] as number) - m)) / reach)
  }
  return null
}

const settle = (moves: readonly number[], pulls: readonly Pull[]): readonly number[] =>
  moves.map((m, i) => {
    const p = pulls[i] as Pull
    const inside = Math.min(p.high, Math.max(p.low, m))
    return inside === 0 ? 0 : inside
  })

/**
 * Side moves that bring the worst share of a limit as low as the room in the bolt holes allows,
 * for the two outer pairs of one machine or of both. Exact: all the way where there is room, else
 * the best point on the outline of what the room allows. Of several ways the one that leaves the
 * second machine alone is taken. Millimetres, in the order of `feet`.
 */
export const bestSideMoves = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
  feet: readonly SideFoot[],
): readonly Millimetres[] => {
  const pulls = pullsOf(feet)
  const forms = limitForms(tolerance, target, 'h')
  const aim = aimOf(tolerance, target)
  const now: Point = [line.offset.h ?? 0, line.slope.h ?? 0]
  const wish: Point = [(aim.offset.h ?? 0) - now[0], (aim.slope.h ?? 0) - now[1]]
  if (shareAt(forms, now[0], now[1]) <= 1e-12) return feet.map(() => 0)
  const reach = Math.max(...feet.map((f) => Math.abs(f.x)))
  const scale: Point = [1, reach]

  const alone = (role: MachineRole): readonly number[] | null => {
    const only = pulls.map((p, i) =>
      (feet[i]?.machine ?? 'movable') === role ? p : { ...p, low: 0, high: 0 },
    )
    return movesFor(outline(only, scale), wish, scale)
  }
  const whole = outline(pulls, scale)
  const full = alone('movable') ?? alone('stationary') ?? movesFor(whole, wish, scale)
  if (full) return settle(full, pulls)

  let best: { moves: readonly number[]; share: number } = { moves: feet.map(() => 0), share: Infinity }
  for (let i = 0; i + 1 < whole.length; i++) {
    const a = whole[i] as Corner
    const b = whole[i + 1] as Corner
    const { along, share } = bestAlong(forms, now, a.at, b.at)
    if (share < best.share - 1e-12)
      best = { moves: a.moves.map((m, k) => m + along * ((b.moves[k] as number) - m)), share }
  }
  const untouched = shareAt(forms, now[0], now[1])
  return untouched <= best.share ? feet.map(() => 0) : settle(best.moves, pulls)
}
