import { CONVERSIONS, type UnitSystem } from './unitSystem'

/** What a number box measures; readings and shims are displacements, tapes are distances. */
export type TypedMeasure = 'displacement' | 'distance' | 'force' | 'plain'

export type TypedFault =
  | 'empty'
  | 'not-a-number'
  | 'comma-unclear'
  | 'bad-fraction'
  | 'unit-here'
  | 'exponent'
  | 'two-signs'
  | 'too-large'

export type TypedNumber =
  | {
      readonly ok: true
      /** In the unit of the box: mil or mm, in or mm, lbf or N. */
      readonly value: number
      /** False when the text says it another way (fraction, sum, other unit), so that it is read back. */
      readonly plain: boolean
    }
  | { readonly ok: false; readonly fault: TypedFault }

const fault = (code: TypedFault): TypedNumber => ({ ok: false, fault: code })

const LARGEST = 1e6

/** Millimetres a unit word is worth; null for words that are no unit here. */
const millimetresPer = (word: string): number | null => {
  switch (word.toLowerCase()) {
    case 'mil':
    case 'mils':
    case 'thou':
      return 0.0254
    case 'mm':
      return 1
    case 'cm':
      return 10
    case 'm':
      return 1000
    case 'um':
    case 'µm':
    case 'μm':
      return 0.001
    case 'in':
    case 'inch':
    case 'inches':
    case '"':
    case '″':
      return 25.4
    case 'ft':
    case 'foot':
    case 'feet':
    case "'":
    case '′':
      return 304.8
    default:
      return null
  }
}

/** Newtons a unit word of a force is worth. */
const NEWTONS_PER: Readonly<Record<string, number>> = {
  n: 1,
  dan: 10,
  kn: 1000,
  lb: CONVERSIONS.inch.force.scale,
  lbs: CONVERSIONS.inch.force.scale,
  lbf: CONVERSIONS.inch.force.scale,
  kgf: 9.80665,
}
const FORCE_END = /\s*(daN|kN|N|lbf|lbs|lb|kgf)\s*$/i

const FRACTION = /^(\d+)\s*\/\s*(\d+)$/
const MIXED = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)$/
const DECIMAL = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/

/** An unsigned number without a unit: decimal, fraction or mixed. */
const magnitude = (text: string): number | TypedFault => {
  const mixed = MIXED.exec(text)
  if (mixed) {
    const [, whole, top, bottom] = mixed.map(Number) as [number, number, number, number]
    return bottom === 0 || top >= bottom ? 'bad-fraction' : whole + top / bottom
  }
  const fraction = FRACTION.exec(text)
  if (fraction) {
    const [, top, bottom] = fraction.map(Number) as [number, number, number]
    return bottom === 0 ? 'bad-fraction' : top / bottom
  }
  if (/^\d{1,3},\d{3}$/.test(text) && !text.startsWith('0')) return 'comma-unclear'
  if (DECIMAL.test(text)) return Number(text.replace(',', '.'))
  return /\d[eE][+-]?\d/.test(text) ? 'exponent' : 'not-a-number'
}

const UNIT_END = /\s*(mils?|thou|mm|cm|um|µm|μm|inch(?:es)?|in|feet|foot|ft|m|["″'′])\s*$/i
const FEET_FIRST = /^(.+?)\s*(?:ft|feet|foot|'|′)\s*(.*)$/i

type Term = { readonly value: number; readonly of: 'length' | 'force' | null } | TypedFault

/** One term of a force with an optional unit, in newtons when it has one. */
const forceTerm = (text: string): Term => {
  const unit = FORCE_END.exec(text)
  const number = magnitude((unit ? text.slice(0, unit.index) : text).trim())
  if (typeof number === 'string') return number
  if (!unit) return { value: number, of: null }
  return { value: number * (NEWTONS_PER[(unit[1] ?? '').toLowerCase()] ?? 1), of: 'force' }
}

/** One term of a length with an optional unit, in millimetres when it has one. */
const lengthTerm = (text: string): Term => {
  const feet = FEET_FIRST.exec(text)
  if (feet && feet[2]) {
    const whole = magnitude((feet[1] ?? '').trim())
    const inches = magnitude(feet[2].replace(/\s*(?:in|inch|inches|"|″)\s*$/i, '').trim())
    if (typeof whole === 'string') return whole
    if (typeof inches === 'string') return inches
    return { value: whole * 304.8 + inches * 25.4, of: 'length' }
  }
  const unit = UNIT_END.exec(text)
  const number = magnitude((unit ? text.slice(0, unit.index) : text).trim())
  if (typeof number === 'string') return number
  if (!unit) return { value: number, of: null }
  return { value: number * (millimetresPer(unit[1] ?? '') ?? 1), of: 'length' }
}

/**
 * Understands what a person types into a number box: `2 5/32`, `2-5/32`, `.125`, `+7`, `-2.25 mil`,
 * `0.12mm`, `0,12`, `1 ft 7`, `18+25` (stacked feelers), `45 thou`, and of a force `6 lbf`, `3 kgf`. Answers the value in the unit
 * of the box, or a code for what it could not understand. Nothing is guessed.
 */
export const readTypedNumber = (typed: string, measure: TypedMeasure, units: UnitSystem): TypedNumber => {
  const text = typed.replace(/[−–]/g, '-').trim()
  if (text === '') return fault('empty')
  const sign = /^[+-]/.exec(text)?.[0]
  const rest = sign ? text.slice(1).trim() : text
  if (rest === '') return fault('not-a-number')
  if (/^[+-]/.test(rest)) return fault('two-signs')
  const boxScale = measure === 'plain' ? 1 : CONVERSIONS[units][measure].scale

  let total = 0
  const parts = rest.split('+').map((p) => p.trim())
  for (const part of parts) {
    const one = measure === 'force' ? forceTerm(part) : lengthTerm(part)
    if (typeof one === 'string') return fault(one)
    if (one.of && measure === 'plain') return fault('unit-here')
    total += one.of ? one.value / boxScale : one.value
  }
  if (total > LARGEST) return fault('too-large')
  const value = sign === '-' ? -total : total
  return {
    ok: true,
    // Unit words bring in rounding at the sixteenth digit; twelve say what was meant.
    value: value === 0 ? 0 : Number(value.toPrecision(12)),
    plain: parts.length === 1 && DECIMAL.test(rest),
  }
}

/** The text with its leading sign turned, for a minus key that flips from anywhere in a number. */
export const flipSign = (typed: string): string => {
  const text = typed.trimStart()
  if (/^[-−–]/.test(text)) return text.slice(1).trimStart()
  return `-${text.replace(/^\+\s*/, '')}`
}
