import { lineDifference, positionAt, type Misalignment, type VH } from '../frame/planes'
import { eachPlane } from '../frame/planes'
import type { FootPlane } from '../coupling/feet'
import { termValue } from '../judge/judge'
import { judgedQuantities } from '../judge/quantities'
import type { Band, SettledTolerance } from '../judge/tolerance'
import type { Millimetres, Slope } from '../units/unitSystem'

export interface StrainInput {
  readonly coupled: Misalignment
  readonly uncoupled: Misalignment
  readonly feet: readonly FootPlane[]
  readonly tolerance: SettledTolerance
  /** How well two sets agreed: the largest difference seen. */
  readonly repeat: { readonly offset: Millimetres; readonly slope: Slope }
}

export interface StrainResult {
  /** Coupled less uncoupled. */
  readonly difference: Misalignment
  /** How wrong the coupled plan would have been at each foot pair. */
  readonly feet: readonly { readonly id: string; readonly moveError: VH }[]
  readonly quantities: readonly {
    readonly name: string
    readonly kind: 'displacement' | 'slope'
    readonly value: number | null
    readonly limit: number | null
    readonly over: boolean
  }[]
  readonly strained: boolean
}

const NO_TARGET: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

/** Half of a symmetric limit; a quarter of a window's width, whose limit is half of that width. */
const halfLimit = ([low, high]: Band): number | null =>
  low === null || high === null ? null : (high - low) / 4

/**
 * Whether the coupling bends the shafts: strained when any judged quantity differs, coupled
 * against uncoupled, by more than half of its limit and by more than its measured repeat.
 * Millimetres, mm/mm. Source: docs/methods/strain.md.
 */
export const couplingStrain = (input: StrainInput): StrainResult => {
  const difference = lineDifference(input.coupled, input.uncoupled)
  const quantities = judgedQuantities(input.tolerance).map((quantity) => {
    const values = quantity.terms.map((t) => termValue({ ...t, fromTarget: true }, difference, NO_TARGET))
    const [first] = quantity.terms
    const value = values.some((v) => v === null)
      ? null
      : values.length > 1
        ? Math.hypot(...(values as number[]))
        : (values[0] as number)
    const repeat = first
      ? Math.abs(first.offsetFactor) * input.repeat.offset + Math.abs(first.slopeFactor) * input.repeat.slope
      : 0
    const half = first ? halfLimit(first.band) : null
    const limit = half === null ? null : Math.max(half, repeat)
    return {
      name: quantity.name,
      kind: first?.kind ?? ('displacement' as const),
      value,
      limit,
      over: value !== null && limit !== null && Math.abs(value) > limit * (1 + 1e-12),
    }
  })
  return {
    difference,
    feet: input.feet.map(({ id, x }) => {
      const error = positionAt(difference, x)
      return { id, moveError: eachPlane((p) => (error[p] === null ? null : -error[p])) }
    }),
    quantities,
    strained: quantities.some((q) => q.over),
  }
}
