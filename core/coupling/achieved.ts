import { lineDifference, PLANES, positionAt, type Misalignment, type Plane } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'
import type { ChangeDoubt } from '../uncertainty/changeDoubt'
import { lineOfMoves, type FootPlane } from './feet'

export const ACHIEVED_CAUSES = [
  'as-planned',
  'came-along',
  'nothing-happened',
  'sign-swapped',
  'sides-swapped',
  'feet-swapped',
  'part-only',
  'shift-on-tightening',
  'soft-foot',
  'coupling-strain',
  'differs',
] as const
export type AchievedCause = (typeof ACHIEVED_CAUSES)[number]

/** Planned against measured in one plane, at each foot pair. */
export interface AchievedPlane {
  readonly plane: Plane
  readonly feet: readonly {
    readonly id: string
    readonly planned: Millimetres
    readonly achieved: Millimetres
  }[]
  /** The likeliest. */
  readonly cause: AchievedCause
  /** All that fit, likeliest first. */
  readonly causes: readonly AchievedCause[]
}

/** What else is known when a move is compared with its plan. */
export interface AchievedEvidence {
  readonly doubt: ChangeDoubt
  readonly drifted?: boolean
  readonly softFoot?: boolean
  readonly strained?: boolean
}

/** Part of a move that still counts as part, not as a miss. */
const PART = [0.2, 0.8] as const
/** A stated spread of nothing still leaves the last digit: a thousandth of a micrometre. */
const LEAST = 1e-6
/** Below this a foot was not asked to move. */
const STILL = 1e-9

interface Change {
  readonly offset: number
  readonly slope: number
}

/** Squared distance of a change from nothing, in standard deviations of this plane. */
const distanceIn = ({ covariance }: ChangeDoubt, plane: Plane, reach: Millimetres) => {
  const [o, s] = plane === 'v' ? [0, 2] : [1, 3]
  const oo = (covariance[5 * o] as number) + LEAST ** 2
  const ss = (covariance[5 * s] as number) + (LEAST / reach) ** 2
  const os = covariance[4 * o + s] as number
  const det = oo * ss - os * os
  return (a: Change, b: Change): number =>
    (ss * a.offset * b.offset - os * (a.offset * b.slope + a.slope * b.offset) + oo * a.slope * b.slope) / det
}

/**
 * Compares what a move did with what it was meant to do, plane by plane, and names every cause that
 * explains a gap, likeliest first. A gap is one beyond what measuring and moving leave open (`doubt`),
 * never a share of the plan. Pairs are taken by their place. A plane in which nothing was asked is not
 * blamed: it came along. Null planes are left out. Millimetres. Source: docs/methods/achieved.md.
 */
export const compareAchieved = (
  before: Misalignment,
  after: Misalignment,
  planned: Misalignment,
  feet: readonly FootPlane[],
  evidence: AchievedEvidence,
): readonly AchievedPlane[] => {
  const measured = lineDifference(after, before)
  const reach = Math.max(1, ...feet.map((f) => Math.abs(f.x)))
  return PLANES.flatMap((plane): readonly AchievedPlane[] => {
    const rows = feet.map(({ id, x }) => ({
      id,
      x,
      planned: positionAt(planned, x)[plane],
      achieved: positionAt(measured, x)[plane],
    }))
    const known = rows.flatMap(({ id, planned: p, achieved: a }) =>
      p === null || a === null ? [] : [{ id, planned: p, achieved: a }],
    )
    if (known.length < rows.length) return []
    const dot = distanceIn(evidence.doubt, plane, reach)
    const causes = causesOf(
      changeIn(planned, plane),
      changeIn(measured, plane),
      changeIn(mirrored(rows), 'v'),
      dot,
      evidence.doubt.limit,
      known.some((f) => Math.abs(f.planned) > STILL),
    ).flatMap((cause): readonly AchievedCause[] => {
      if (cause === 'sign-swapped' && plane === 'h') return ['sides-swapped', 'sign-swapped']
      if (cause !== 'differs') return [cause]
      return [
        ...(evidence.drifted ? (['shift-on-tightening'] as const) : []),
        ...(evidence.softFoot && plane === 'v' ? (['soft-foot'] as const) : []),
        ...(evidence.strained ? (['coupling-strain'] as const) : []),
        cause,
      ]
    })
    return [{ plane, feet: known, cause: causes[0] as AchievedCause, causes }]
  })
}

const changeIn = (line: Misalignment, plane: Plane): Change => ({
  offset: line.offset[plane] ?? 0,
  slope: line.slope[plane] ?? 0,
})

/** The line when each pair got what the pair at the other end was to get. */
const mirrored = (
  rows: readonly { readonly id: string; readonly x: Millimetres; readonly planned: number | null }[],
): Misalignment => {
  const byPlace = [...rows].sort((a, b) => a.x - b.x)
  const last = byPlace.length - 1
  return lineOfMoves(byPlace.map((r, i) => ({ ...r, v: byPlace[last - i]?.planned ?? 0, h: 0 })))
}

const less = (a: Change, b: Change, share = 1): Change => ({
  offset: a.offset - share * b.offset,
  slope: a.slope - share * b.slope,
})

const causesOf = (
  planned: Change,
  measured: Change,
  swapped: Change,
  dot: (a: Change, b: Change) => number,
  limit: number,
  asked: boolean,
): readonly AchievedCause[] => {
  const far = (wanted: Change, share = 1) => {
    const gap = less(measured, wanted, share)
    return dot(gap, gap)
  }
  if (far(planned) <= limit) return ['as-planned']
  if (!asked) return ['came-along']
  const fits = (
    [
      ['nothing-happened', far(planned, 0)],
      ['sign-swapped', far(planned, -1)],
      ['feet-swapped', far(swapped)],
    ] as const
  ).filter(([, q]) => q <= limit)
  if (fits.length > 0) return [...fits].sort((a, b) => a[1] - b[1] || 0).map(([cause]) => cause)
  const part = dot(measured, planned) / dot(planned, planned)
  if (part >= PART[0] && part <= PART[1] && far(planned, part) <= limit) return ['part-only']
  return ['differs']
}
