import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { CONVERSIONS, toCore, type UnitSystem } from '../../core/units/unitSystem'
import { asTyped } from '../wording/figures'

/** A box that stands out of order or asks something; `fault` stops the form, the rest asks once. */
export interface Remark {
  readonly text: string
  readonly fault: boolean
}

export const NO_REMARK: Remark = { text: '', fault: false }
export const faulty = (text: string): Remark => ({ text, fault: true })
export const asking = (text: string): Remark => ({ text, fault: false })

/** The number a box holds, in the unit of the box; null while it holds none. */
export const typedValue = (
  text: string | undefined,
  measure: TypedMeasure,
  units: UnitSystem,
): number | null => {
  const read = readTypedNumber(text ?? '', measure, units)
  return read.ok ? read.value : null
}

/** The number a box holds, in millimetres. */
export const typedMillimetres = (
  text: string | undefined,
  measure: 'displacement' | 'distance',
  units: UnitSystem,
): number | null => {
  const value = typedValue(text, measure, units)
  return value === null ? null : toCore(value, measure, units)
}

/** A bare figure with its unit behind it; anything else, and a plain zero, stays as it is. */
export const withUnit = (text: string, unit: string): string =>
  /\d\s*$/.test(text) && Number(text) !== 0 ? `${text.trim()} ${unit}` : text

/** The word of a box's own unit, for texts that must keep their meaning when the view switches. */
export const unitOf = (measure: TypedMeasure, units: UnitSystem): string =>
  measure === 'plain'
    ? ''
    : measure === 'force'
      ? CONVERSIONS[units].force.unit
      : units === 'metric'
        ? 'mm'
        : measure === 'distance'
          ? 'in'
          : 'mil'

/** A list of shims typed with plus signs: each part keeps its meaning when the view switches. */
export const namedParts = (text: string, unit: string): string =>
  text
    .split('+')
    .map((part) => withUnit(part, unit).trim())
    .filter(Boolean)
    .join(' + ')

export const asTape = (mm: number, units: UnitSystem): string => asTyped(mm, 'distance', units)
export const asSmall = (mm: number, units: UnitSystem): string => asTyped(mm, 'displacement', units)
