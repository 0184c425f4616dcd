import { nearestLimit, type Limited, type LimitSet } from './limitSets'
import type { Millimetres, Slope } from '../units/unitSystem'

export type JudgeMode = 'plane' | 'vector'
export type Grade = 'fine' | 'standard'
/** Lowest and highest allowed; null leaves that side open. */
export type Band = readonly [low: number | null, high: number | null]

/** A limit to judge by, core units (docs/methods/judge.md). */
export type Tolerance = (
  | {
      readonly form: 'offset-slope'
      readonly mode: JudgeMode
      readonly offset: Millimetres
      readonly slope: Slope
    }
  | {
      readonly form: 'flex-plane'
      readonly mode: JudgeMode
      readonly slope: Slope
      readonly spoolLength: Millimetres
    }
  | {
      readonly form: 'window'
      readonly offset: { readonly v: Band; readonly h: Band }
      readonly slope: { readonly v: Band; readonly h: Band }
    }
  | {
      readonly form: 'speed-rule'
      readonly mode: JudgeMode
      readonly grade: Grade
      readonly spoolLength?: Millimetres
    }
) & { readonly source?: string }

export type SettledTolerance = Exclude<Tolerance, { form: 'speed-rule' }>

/**
 * A speed rule turned into the limits it gives at this speed, by the nearest of `sets` that has one; other
 * forms are the machine's own and stay as they are.
 */
export const settleTolerance = (
  tolerance: Tolerance,
  rpm: number,
  sets: readonly LimitSet[] = [],
): SettledTolerance => {
  if (tolerance.form !== 'speed-rule') return tolerance
  const limit = (quantity: Limited) => nearestLimit(sets, quantity, tolerance.grade, rpm).value
  const source = tolerance.source
  if (tolerance.spoolLength !== undefined)
    return {
      form: 'flex-plane',
      mode: tolerance.mode,
      slope: limit('flexSlope'),
      spoolLength: tolerance.spoolLength,
      source,
    }
  return {
    form: 'offset-slope',
    mode: tolerance.mode,
    offset: limit('offset'),
    slope: limit('slope'),
    source,
  }
}

/** The offset limit that tightens the sum check: the tightest side of a window, null where none. */
export const offsetLimitOf = (tolerance: SettledTolerance): Millimetres | null => {
  if (tolerance.form === 'offset-slope') return tolerance.offset
  if (tolerance.form === 'flex-plane') return null
  const widths = [tolerance.offset.v, tolerance.offset.h].flatMap(([low, high]) =>
    low === null || high === null ? [] : [(high - low) / 2],
  )
  return widths.length > 0 ? Math.min(...widths) : null
}
