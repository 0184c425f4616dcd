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

interface SpeedRule {
  /** Limit = constant / rpm, clamped. Offset in mil, slopes in mil/in. */
  readonly constant: number
  readonly least: number
  readonly most: number
}

const MIL: Millimetres = 0.0254
const MIL_PER_INCH: Slope = 0.001

/** The starter set: a constant-sliding-speed rule that the maker's or site's value overrides. */
export const STARTER_RULES: Readonly<
  Record<Grade, { offset: SpeedRule; slope: SpeedRule; flexSlope: SpeedRule }>
> = {
  fine: {
    offset: { constant: 3600, least: 0.5, most: 4 },
    slope: { constant: 600, least: 0.1, most: 1 },
    flexSlope: { constant: 900, least: 0.125, most: 1.5 },
  },
  standard: {
    offset: { constant: 5400, least: 0.75, most: 8 },
    slope: { constant: 1000, least: 0.15, most: 1.5 },
    flexSlope: { constant: 1800, least: 0.25, most: 3 },
  },
}

const byRule = (rule: SpeedRule, rpm: number): number =>
  Math.min(rule.most, Math.max(rule.least, rule.constant / rpm))

/** A speed rule turned into the limits it gives at this speed; other forms as they are. */
export const settleTolerance = (tolerance: Tolerance, rpm: number): SettledTolerance => {
  if (tolerance.form !== 'speed-rule') return tolerance
  const rules = STARTER_RULES[tolerance.grade]
  const source = tolerance.source
  if (tolerance.spoolLength !== undefined)
    return {
      form: 'flex-plane',
      mode: tolerance.mode,
      slope: byRule(rules.flexSlope, rpm) * MIL_PER_INCH,
      spoolLength: tolerance.spoolLength,
      source,
    }
  return {
    form: 'offset-slope',
    mode: tolerance.mode,
    offset: byRule(rules.offset, rpm) * MIL,
    slope: byRule(rules.slope, rpm) * MIL_PER_INCH,
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
