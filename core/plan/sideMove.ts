import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'
import { aimOf } from './aim'
import type { MachineRole } from './pairNames'
import { lineWeights, type LineWeight } from './lineWeights'
import { limitForms, shareAt, type LimitForm } from './planeLimits'

export interface SideFoot {
  readonly id: string
  readonly machine?: MachineRole
  readonly x: Millimetres
  /** Room toward 3 and toward 9 in the bolt holes. */
  readonly sidePlus: Millimetres
  readonly sideMinus: Millimetres
}

type Point = readonly [offset: number, slope: number]

/** A corner of the reachable shifts, with the moves of all pairs that make it. */
interface Corner {
  readonly at: Point
  readonly moves: readonly number[]
}

/** A machine's pairs by their place, as indexes into the list of feet. */
interface Pairs {
  readonly role: MachineRole
  readonly near: number
  readonly far: number
  readonly inner: readonly number[]
}

const roleOf = (foot: SideFoot): MachineRole => foot.machine ?? 'movable'

const pairsOf = (feet: readonly SideFoot[]): readonly Pairs[] =>
  (['movable', 'stationary'] as const).flatMap((role): readonly Pairs[] => {
    const own = feet
      .flatMap((f, i) => (roleOf(f) === role ? [i] : []))
      .sort((a, b) => Math.abs(feet[a]?.x ?? 0) - Math.abs(feet[b]?.x ?? 0))
    const [near] = own
    const far = own[own.length - 1]
    return near === undefined || far === undefined || near === far
      ? []
      : [{ role, near, far, inner: own.slice(1, -1) }]
  })

type Moves = readonly [near: Millimetres, far: Millimetres]

/** Rounding must not lose the way back to standing still. */
const ROUNDING = 1e-12

/** What of a polygon of near and far moves lies where `near * a + far * b <= most`. */
const clip = (polygon: readonly Moves[], a: number, b: number, most: number): readonly Moves[] =>
  polygon.flatMap((p, i): readonly Moves[] => {
    const q = polygon[(i + 1) % polygon.length] as Moves
    const over = (m: Moves) => a * m[0] + b * m[1] - most
    const [op, oq] = [over(p), over(q)]
    const cut: Moves[] =
      (op < -ROUNDING && oq > ROUNDING) || (op > ROUNDING && oq < -ROUNDING)
        ? [[p[0] + (op / (op - oq)) * (q[0] - p[0]), p[1] + (op / (op - oq)) * (q[1] - p[1])]]
        : []
    return op <= ROUNDING ? [p, ...cut] : cut
  })

/** The outline of all shifts that one machine can make: its outer pairs go anywhere in their room, inner ones on their line in theirs. */
const outlineOf = (pairs: Pairs, feet: readonly SideFoot[], scale: Point): readonly Corner[] => {
  const at = (i: number) => feet[i] as SideFoot
  const [near, far] = [at(pairs.near), at(pairs.far)]
  const between = far.x - near.x
  const along = (i: number) => (at(i).x - near.x) / between
  let polygon: readonly Moves[] = [
    [-near.sideMinus, -far.sideMinus],
    [near.sidePlus, -far.sideMinus],
    [near.sidePlus, far.sidePlus],
    [-near.sideMinus, far.sidePlus],
  ]
  for (const i of pairs.inner) {
    polygon = clip(polygon, 1 - along(i), along(i), at(i).sidePlus)
    polygon = clip(polygon, along(i) - 1, -along(i), at(i).sideMinus)
  }
  const sign = pairs.role === 'movable' ? 1 : -1
  const corners = polygon.map(([a, b]): Corner => {
    const moves = feet.map((_, i) =>
      i === pairs.near ? a : i === pairs.far ? b : pairs.inner.includes(i) ? a + (b - a) * along(i) : 0,
    )
    return { at: [(sign * (a * far.x - b * near.x)) / between, (sign * (b - a)) / between], moves }
  })
  const area = corners.reduce((s, c, i) => {
    const d = corners[(i + 1) % corners.length] as Corner
    return s + scale[0] * scale[1] * (c.at[0] * d.at[1] - d.at[0] * c.at[1])
  }, 0)
  return area < 0 ? [...corners].reverse() : corners
}

const step = (from: Corner, to: Corner): Corner => ({
  at: [to.at[0] - from.at[0], to.at[1] - from.at[1]],
  moves: to.moves.map((m, i) => m - (from.moves[i] as number)),
})
const stepped = (from: Corner, by: Corner): Corner => ({
  at: [from.at[0] + by.at[0], from.at[1] + by.at[1]],
  moves: from.moves.map((m, i) => m + (by.moves[i] as number)),
})

/**
 * The outline of all shifts that the machines can make together: every edge of either once, by its
 * direction, from the lowest corner on. Along an edge one machine moves straight, so that every point of
 * it comes with its moves. Closed: the first corner is the last.
 */
const outline = (machines: readonly (readonly Corner[])[], scale: Point): readonly Corner[] => {
  const lowest = (corners: readonly Corner[]) =>
    corners.reduce((best, c) =>
      c.at[1] < best.at[1] - 1e-15 || (c.at[1] < best.at[1] + 1e-15 && c.at[0] < best.at[0]) ? c : best,
    )
  const edges = machines
    .flatMap((corners) => corners.map((c, i) => step(c, corners[(i + 1) % corners.length] as Corner)))
    .filter((e) => e.at[0] !== 0 || e.at[1] !== 0)
    .map((edge) => {
      const angle = Math.atan2(edge.at[1] * scale[1], edge.at[0] * scale[0])
      return { edge, angle: angle < -1e-12 ? angle + 2 * Math.PI : angle }
    })
    .sort((a, b) => a.angle - b.angle)
  const [first, ...rest] = machines.map(lowest)
  const corners: Corner[] = [rest.reduce(stepped, first as Corner)]
  for (const { edge } of edges) corners.push(stepped(corners[corners.length - 1] as Corner, edge))
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

const settle = (moves: readonly number[], feet: readonly SideFoot[]): readonly number[] =>
  moves.map((m, i) => {
    const { sidePlus, sideMinus } = feet[i] as SideFoot
    const inside = Math.min(sidePlus, Math.max(-sideMinus, m))
    return inside === 0 ? 0 : inside
  })

/**
 * Side moves that bring the worst share of a limit as low as the room in the bolt holes allows, for all
 * pairs of one machine or of both; inner pairs stay on the line of the outer two and within their own
 * room, so that a machine pivots about an inner pair that can't move. Exact: all the way where there is
 * room, else the best point on the outline of what the room allows. Of several ways the one that leaves
 * the second machine alone is taken. Millimetres, in the order of `feet`.
 */
export const bestSideMoves = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
  feet: readonly SideFoot[],
): readonly Millimetres[] => {
  const forms = limitForms(tolerance, target, 'h')
  const aim = aimOf(tolerance, target)
  const now: Point = [line.offset.h ?? 0, line.slope.h ?? 0]
  const wish: Point = [(aim.offset.h ?? 0) - now[0], (aim.slope.h ?? 0) - now[1]]
  const still = feet.map(() => 0)
  if (shareAt(forms, now[0], now[1]) <= 1e-12) return still
  const pairs = pairsOf(feet)
  if (pairs.length === 0) return still
  // All the way with one machine, where every pair has room for its own part of it.
  for (const { role } of pairs) {
    const sign = role === 'movable' ? 1 : -1
    const direct = feet.map((f) => (roleOf(f) === role ? sign * (wish[0] + wish[1] * f.x) : 0))
    if (direct.every((m, i) => m <= (feet[i]?.sidePlus ?? 0) && m >= -(feet[i]?.sideMinus ?? 0)))
      return settle(direct, feet)
  }
  const reach = Math.max(...feet.map((f) => Math.abs(f.x)))
  const scale: Point = [1, reach]
  const whole = outline(
    pairs.map((p) => outlineOf(p, feet, scale)),
    scale,
  )
  const full = pairs.length > 1 ? movesFor(whole, wish, scale) : null
  if (full) return settle(full, feet)

  let best: { moves: readonly number[]; share: number } = { moves: still, share: Infinity }
  for (let i = 0; i + 1 < whole.length; i++) {
    const a = whole[i] as Corner
    const b = whole[i + 1] as Corner
    const { along, share } = bestAlong(forms, now, a.at, b.at)
    if (share < best.share - 1e-12)
      best = { moves: a.moves.map((m, k) => m + along * ((b.moves[k] as number) - m)), share }
  }
  const untouched = shareAt(forms, now[0], now[1])
  return untouched <= best.share ? still : settle(best.moves, feet)
}

/** Whole steps looked at below and above an exact move. */
const STEPS_AROUND = [-1, 0, 1, 2] as const

/**
 * Exact side moves in whole steps of the dial: of the steps about each outer pair those that leave the
 * least share of a limit, then the least moved; inner pairs at the step nearest their line. A room that
 * holds no whole step keeps its exact move. Millimetres, in the order of `feet`.
 */
export const roundSideMoves = (
  exact: readonly Millimetres[],
  step: Millimetres,
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
  feet: readonly SideFoot[],
): readonly Millimetres[] => {
  if (step <= 0) return exact.map((m) => (m === 0 ? 0 : m))
  const forms = limitForms(tolerance, target, 'h')
  const machines = pairsOf(feet)
  const inRoom = (i: number, m: number) => {
    const { sidePlus, sideMinus } = feet[i] as SideFoot
    return m <= sidePlus + 1e-9 && m >= -sideMinus - 1e-9
  }
  const weights = new Map<number, LineWeight>()
  for (const { role, near, far, inner } of machines) {
    const order = [near, ...inner, far]
    lineWeights(
      role,
      order.map((i) => feet[i]?.x ?? 0),
    ).forEach((w, n) => weights.set(order[n] as number, w))
  }
  const outer = machines.flatMap((m) => [m.near, m.far])
  const choices = outer.map((i) => {
    const at = Math.floor((exact[i] as number) / step + 1e-9)
    const list = STEPS_AROUND.map((n) => (at + n) * step).filter((m) => inRoom(i, m))
    return list.length > 0 ? list : [exact[i] as number]
  })
  const moves = [...exact]
  let best: { moves: readonly number[]; share: number; moved: number } | null = null
  const consider = () => {
    for (const { near, far, inner } of machines)
      for (const i of inner) {
        const [a, b] = [moves[near] as number, moves[far] as number]
        const x = (i: number) => feet[i]?.x ?? 0
        const on = a + ((b - a) * (x(i) - x(near))) / (x(far) - x(near))
        if (!inRoom(i, on)) return
        const rounded = Math.round(on / step) * step
        moves[i] = inRoom(i, rounded) ? rounded : on
      }
    let offset = line.offset.h ?? 0
    let slope = line.slope.h ?? 0
    let moved = 0
    weights.forEach((w, i) => {
      const m = moves[i] as number
      offset += w.offset * m
      slope += w.slope * m
      moved += Math.abs(m)
    })
    const share = shareAt(forms, offset, slope)
    if (!best || share < best.share - 1e-12 || (share < best.share + 1e-12 && moved < best.moved - 1e-9))
      best = { moves: moves.map((m) => (Math.abs(m) < 1e-12 ? 0 : m)), share, moved }
  }
  const choose = (n: number) => {
    if (n === outer.length) return consider()
    for (const m of choices[n] as readonly number[]) {
      moves[outer[n] as number] = m
      choose(n + 1)
    }
  }
  choose(0)
  return (best as { moves: readonly number[] } | null)?.moves ?? exact
}
