import type { Plane, VH } from '../../core/frame/planes'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure } from './figures'

const zero = (shown: string) => !/[1-9]/.test(shown)

/** `3.6 mil low`: an offset never stands with a bare sign. */
export const offsetWords = (value: number | null, plane: Plane, units: UnitSystem): string => {
  if (value === null) return 'not known'
  const size = figure(Math.abs(value), 'displacement', units, { unit: true })
  if (zero(figure(Math.abs(value), 'displacement', units)))
    return plane === 'v' ? 'level with it' : 'in line with it'
  if (plane === 'v') return `${size} ${value > 0 ? 'high' : 'low'}`
  return `${size} toward ${value > 0 ? '3' : '9'}`
}

/** `outboard end low, gap open at top`. */
export const slopeWords = (value: number | null, plane: Plane, units: UnitSystem): string => {
  if (value === null) return 'not known'
  if (zero(figure(Math.abs(value), 'slope', units))) return 'parallel'
  if (plane === 'v')
    return value > 0 ? 'outboard end high, gap open at bottom' : 'outboard end low, gap open at top'
  return value > 0 ? 'outboard end toward 3, gap open at 9' : 'outboard end toward 9, gap open at 3'
}

/**
 * The word that belongs to the sign of a judged quantity, short enough to stand under its figure:
 * `low`, `toward 9`, `end high`, `open at 6`. Empty when the figure shows as zero or has no sign.
 */
export const signWord = (
  quantity: { readonly name: string; readonly kind: 'displacement' | 'slope' },
  value: number | null,
  units: UnitSystem,
): string => {
  const [what, ...rest] = quantity.name.split('.')
  const plane = rest.at(-1)
  if (value === null || (plane !== 'v' && plane !== 'h')) return ''
  if (zero(figure(Math.abs(value), quantity.kind, units))) return ''
  const plus = value > 0
  if (what === 'offset') return plane === 'v' ? (plus ? 'high' : 'low') : `toward ${plus ? '3' : '9'}`
  if (what === 'flex') return plane === 'v' ? `open at ${plus ? '6' : '12'}` : `open at ${plus ? '9' : '3'}`
  return plane === 'v' ? `end ${plus ? 'high' : 'low'}` : `end to ${plus ? '3' : '9'}`
}

/** `add 12` / `take out 5` / `leave`. */
export const shimWords = (value: number | null, units: UnitSystem): string => {
  if (value === null) return 'not known'
  const size = figure(Math.abs(value), 'displacement', units)
  if (zero(size)) return 'leave as it is'
  return `${value > 0 ? 'add' : 'take out'} ${size}`
}

/** `push 7.0 toward 9`. */
export const sideWords = (value: number | null, units: UnitSystem): string => {
  if (value === null) return 'not known'
  const size = figure(Math.abs(value), 'displacement', units)
  if (zero(size)) return 'leave as it is'
  return `push ${size} toward ${value > 0 ? '3' : '9'}`
}

/** The whole misalignment in one clause, the bigger fault first. */
export const misalignmentWords = (
  line: { readonly offset: VH; readonly slope: VH },
  units: UnitSystem,
): string => {
  const { offset, slope } = line
  const parts: string[] = []
  if (offset.v !== null) parts.push(offsetWords(offset.v, 'v', units))
  if (offset.h !== null) parts.push(offsetWords(offset.h, 'h', units))
  if (slope.v !== null) parts.push(slopeWords(slope.v, 'v', units).split(',')[0] as string)
  return parts.join(', ')
}

const CLOCK_NAMES: Readonly<Record<number, string>> = {
  0: '12 o’clock',
  90: '3 o’clock',
  180: '6 o’clock',
  270: '9 o’clock',
}

/** A clock angle as people call it. */
export const clockName = (clock: number): string => CLOCK_NAMES[clock] ?? `${clock}°`
