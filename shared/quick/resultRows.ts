import { quickWords } from '../wording/viewWords'
import { CONVERSIONS, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import { labelOf, choiceWords } from './labels'

/** One line of a result: a heading where it has no value. */
export interface ResultRow {
  readonly depth: number
  readonly label: string
  readonly value: string
  readonly note: string
}

interface Schema {
  readonly type?: string
  readonly measured?: Measured
  readonly description?: string
  readonly properties?: Readonly<Record<string, Schema>>
  readonly additionalProperties?: Schema | boolean
  readonly items?: Schema
  readonly prefixItems?: readonly Schema[]
  readonly anyOf?: readonly Schema[]
  readonly oneOf?: readonly Schema[]
}

const DECIMALS: Readonly<Record<UnitSystem, Partial<Record<Measured, number>>>> = {
  inch: { displacement: 2, distance: 3, slope: 3 },
  metric: { displacement: 4, distance: 2, slope: 4 },
}

/** A figure in contract units with its unit, in as many digits as it carries. */
export const shownFigure = (value: number, measured: Measured | undefined, units: UnitSystem): string => {
  const decimals = measured ? DECIMALS[units][measured] : undefined
  const rounded = decimals === undefined ? Number(value.toPrecision(5)) : Number(value.toFixed(decimals))
  const text = String(rounded === 0 ? 0 : rounded).replace('-', '−')
  return measured ? `${text} ${CONVERSIONS[units][measured].unit}` : text
}

const shapeFor = (schema: Schema | undefined, value: unknown): Schema | undefined => {
  const several = schema?.anyOf ?? schema?.oneOf
  if (!several) return schema
  const fits = (s: Schema): boolean =>
    Array.isArray(value)
      ? s.type === 'array'
      : typeof value === 'object'
        ? s.type === 'object' && Object.keys(value ?? {}).every((k) => k in (s.properties ?? {}))
        : s.type === typeof value || (s.type === 'integer' && typeof value === 'number')
  return several.find(fits) ?? several.find((s) => s.type !== 'null')
}

const isPlain = (v: unknown): boolean => v === null || typeof v !== 'object'

/** A result line by line, in the order of the operation, with units and words. */
export const resultRows = (schema: unknown, result: unknown, units: UnitSystem): readonly ResultRow[] => {
  const rows: ResultRow[] = []
  const plain = (s: Schema | undefined, v: unknown): string => {
    if (v === null) return quickWords.unknown
    if (typeof v === 'number') return shownFigure(v, shapeFor(s, v)?.measured, units)
    if (typeof v === 'boolean') return v ? quickWords.yes : quickWords.no
    return choiceWords(String(v as string))
  }
  const walk = (s: Schema | undefined, v: unknown, label: string, depth: number, note: string) => {
    if (v === undefined) return
    const shape = shapeFor(s, v)
    if (isPlain(v)) {
      rows.push({ depth, label, value: plain(s, v), note })
      return
    }
    if (Array.isArray(v)) {
      const item = (i: number) => shape?.prefixItems?.[i] ?? shape?.items
      if (v.every(isPlain)) {
        const list = v.map((x, i) => plain(item(i), x))
        rows.push({ depth, label, value: list.length === 0 ? quickWords.none : list.join(', '), note })
        return
      }
      rows.push({ depth, label, value: '', note })
      v.forEach((x: unknown, i) => walk(item(i), x, nameOf(x) ?? String(i + 1), depth + 1, ''))
      return
    }
    if (label !== '') rows.push({ depth, label, value: '', note })
    const named = nameOf(v)
    for (const [key, x] of Object.entries(v as object)) {
      if (named !== null && (key === 'id' || key === 'name') && label === named) continue
      const own =
        shape?.properties?.[key] ??
        (typeof shape?.additionalProperties === 'object' ? shape.additionalProperties : undefined)
      const nothing = (quickWords.nothing as Readonly<Record<string, string>>)[key]
      if (x === null && nothing !== undefined) {
        rows.push({
          depth: label === '' ? depth : depth + 1,
          label: labelOf(key),
          value: nothing,
          note: '',
        })
        continue
      }
      walk(own, x, labelOf(key), label === '' ? depth : depth + 1, own?.description ?? '')
    }
  }
  walk(schema as Schema, result, '', 0, '')
  return rows
}

const nameOf = (v: unknown): string | null => {
  if (typeof v !== 'object' || v === null) return null
  const { id, name } = v as { id?: unknown; name?: unknown }
  return typeof id === 'string' ? id : typeof name === 'string' ? name : null
}
