import { PLANES, positionAt, type Misalignment, type Plane } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'
import type { FootPlane } from './feet'

export type AchievedCause =
  | 'as-planned'
  | 'nothing-happened'
  | 'sign-swapped'
  | 'sides-swapped'
  | 'feet-swapped'
  | 'part-only'
  | 'shift-on-tightening'
  | 'soft-foot'
  | 'coupling-strain'
  | 'differs'

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
  /** What measuring alone may be off by at a foot, at least. */
  readonly allowance: Millimetres
  /** Standard deviations of one measurement; widens the allowance. */
  readonly sd?: Misalignment | null
  readonly drifted?: boolean
  readonly softFoot?: boolean
  readonly strained?: boolean
}

/** Part of a move that still counts as part, not as a miss. */
const PART = [0.2, 0.8] as const

/** 95 % of the difference of two measurements at a foot. */
const spreadAt = (sd: Misalignment | null | undefined, plane: Plane, x: Millimetres): Millimetres =>
  sd ? 1.96 * Math.SQRT2 * Math.hypot(sd.offset[plane] ?? 0, (sd.slope[plane] ?? 0) * x) : 0

/**
 * Compares what a move did with what it was meant to do, plane by plane, and names the likeliest
 * causes of a gap. Null planes are left out. Millimetres. Source: docs/methods/achieved.md.
 */
export const compareAchieved = (
  before: Misalignment,
  after: Misalignment,
  planned: Misalignment,
  feet: readonly FootPlane[],
  evidence: AchievedEvidence,
): readonly AchievedPlane[] =>
  PLANES.flatMap((plane): readonly AchievedPlane[] => {
    const rows = feet.map(({ id, x }) => ({
      id,
      planned: positionAt(planned, x)[plane],
      before: positionAt(before, x)[plane],
      after: positionAt(after, x)[plane],
    }))
    if (rows.some((r) => r.planned === null || r.before === null || r.after === null)) return []
    const known = rows.map((r) => ({
      id: r.id,
      planned: r.planned as number,
      achieved: (r.after as number) - (r.before as number),
    }))
    const allowance = Math.max(evidence.allowance, ...feet.map((f) => spreadAt(evidence.sd, plane, f.x)))
    const shape = causeOf(known, allowance)
    const causes: AchievedCause[] = shape === 'sign-swapped' && plane === 'h' ? ['sides-swapped'] : []
    if (shape === 'differs') {
      if (evidence.drifted) causes.push('shift-on-tightening')
      if (evidence.softFoot && plane === 'v') causes.push('soft-foot')
      if (evidence.strained) causes.push('coupling-strain')
    }
    causes.push(shape)
    return [{ plane, feet: known, cause: causes[0] as AchievedCause, causes }]
  })

const causeOf = (
  feet: readonly { readonly planned: number; readonly achieved: number }[],
  allowance: Millimetres,
): AchievedCause => {
  const biggest = Math.max(...feet.map((f) => Math.abs(f.planned)))
  const within = Math.max(allowance, 0.1 * biggest)
  const all = (miss: (f: { planned: number; achieved: number }, i: number) => number) =>
    feet.every((f, i) => Math.abs(miss(f, i)) <= within)
  if (all((f) => f.achieved - f.planned)) return 'as-planned'
  if (biggest <= within) return 'differs'
  if (all((f) => f.achieved)) return 'nothing-happened'
  if (all((f) => f.achieved + f.planned)) return 'sign-swapped'
  const mirrored = [...feet].reverse()
  if (feet.length > 1 && all((f, i) => f.achieved - (mirrored[i]?.planned ?? 0))) return 'feet-swapped'
  const squares = feet.reduce((s, f) => s + f.planned ** 2, 0)
  const part = feet.reduce((s, f) => s + f.planned * f.achieved, 0) / squares
  if (part >= PART[0] && part <= PART[1] && all((f) => f.achieved - part * f.planned)) return 'part-only'
  return 'differs'
}
