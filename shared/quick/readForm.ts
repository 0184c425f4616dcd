import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import type { Measured, UnitSystem } from '../../core/units/unitSystem'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import type { Field, InnerForm } from './field'
import type { TextGroup, TextList, Texts } from './texts'

const typedMeasure = (measured: Measured | null): TypedMeasure =>
  measured === 'displacement' || measured === 'distance' ? measured : 'plain'

export interface FormRead {
  readonly input: unknown
  /** What can't be read, by path. */
  readonly faults: Readonly<Record<string, string>>
}

/** The input that a form holds. What was left empty is left out; what can't be read is said at its path. */
export const readForm = (
  field: Field,
  texts: Texts,
  units: UnitSystem,
  words: Words,
  inner: InnerForm,
): FormRead => {
  const faults: Record<string, string> = {}
  const read = (f: Field, t: Texts | undefined, path: string, beside: TextGroup): unknown => {
    if (t === null || t === undefined) return undefined
    switch (f.kind) {
      case 'number': {
        const got = readTypedNumber(String(t as string), typedMeasure(f.measured), units)
        if (got.ok) return got.value
        if (got.fault !== 'empty') faults[path] = typingWords(words).faults[got.fault]
        return undefined
      }
      case 'text':
        return t === '' ? undefined : t
      case 'choice':
        return t === '' ? undefined : /^-?\d+$/.test(t as string) ? Number(t) : t
      case 'flag':
        return t
      case 'group': {
        const own = t as TextGroup
        const entries = f.fields
          .map((n) => [n.name, read(n.field, own[n.name], path ? `${path}.${n.name}` : n.name, own)] as const)
          .filter(([, v]) => v !== undefined)
        return entries.length === 0 && !f.required ? undefined : Object.fromEntries(entries)
      }
      case 'either': {
        const { pick, of } = t as { pick: string; of: Texts }
        const option = f.options[Number(pick)]
        return option && read(option, of, path, beside)
      }
      case 'list': {
        const rows = (t as TextList).map((row, i) => read(f.item, row, `${path}.${i}`, beside))
        if (f.fixed) return rows.every((r) => r === undefined) ? undefined : rows.map((r) => r ?? null)
        // A row nobody has typed into is no row.
        const full = rows.filter((r) => r !== undefined && !isBare(f.item, r))
        return full.length === 0 && !f.required ? undefined : full
      }
      case 'map': {
        const rows = (t as TextGroup[])
          .filter((row) => row.name !== '')
          .map((row) => [row.name, read(f.item, row.value, `${path}.${row.name as string}`, beside)] as const)
          .filter(([, v]) => v !== undefined)
        return rows.length === 0 ? undefined : (Object.fromEntries(rows) as unknown)
      }
      case 'inner': {
        const form = inner(String((beside.operation as string | undefined) ?? ''))
        const value = form ? (read(form, t, path, t as TextGroup) as object | undefined) : {}
        return { units, ...value }
      }
    }
  }
  const value = read(field, texts, '', texts as TextGroup) as object | undefined
  return { input: { units, ...value }, faults }
}

/** A row of which only what was offered stands there: a position, a name. */
const isBare = (item: Field, row: unknown): boolean =>
  item.kind === 'either'
    ? item.options.every((option) => isBare(option, row))
    : item.kind === 'group' &&
      typeof row === 'object' &&
      row !== null &&
      Object.keys(row).every((k) => k === 'clock' || k === 'id') &&
      item.fields.length > 1
