import type { Millimetres, Slope } from '../units/unitSystem'
import type { Grade } from './tolerance'

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

/** What a starting rule gives at a speed. Core units. */
export const starterLimit = (
  rule: SpeedRule,
  quantity: 'offset' | 'slope' | 'flexSlope',
  rpm: number,
): number =>
  Math.min(rule.most, Math.max(rule.least, rule.constant / rpm)) *
  (quantity === 'offset' ? MIL : MIL_PER_INCH)
