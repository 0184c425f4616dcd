import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import { asTyped } from '../wording/figures'
import { namedParts, unitOf } from '../forms/typed'
import type { Words } from '../wording/en'

/** One part of a form that is built from an operation's schema. */
export type Field =
  | { readonly kind: 'number'; readonly measured: Measured | null; readonly required: boolean }
  | { readonly kind: 'choice'; readonly options: readonly string[]; readonly required: boolean }
  | { readonly kind: 'flag'; readonly required: boolean }
  | { readonly kind: 'text'; readonly required: boolean }
  | { readonly kind: 'group'; readonly fields: readonly NamedField[]; readonly required: boolean }
  | {
      readonly kind: 'list'
      readonly item: Field
      readonly least: number
      readonly most: number
      /** A list of as many as there are: lowest and highest. */
      readonly fixed: boolean
      readonly required: boolean
    }
  | {
      readonly kind: 'either'
      readonly options: readonly Field[]
      readonly names: readonly string[]
      readonly required: boolean
    }
  /** Values by name. */
  | { readonly kind: 'map'; readonly item: Field; readonly required: boolean }
  /** The input of another operation, which a field beside it names. */
  | { readonly kind: 'inner'; readonly required: boolean }

export interface NamedField {
  readonly name: string
  readonly field: Field
  readonly note: string
}

/** The part of JSON Schema that operations use. */
interface Schema {
  readonly type?: string
  readonly enum?: readonly (string | number)[]
  readonly const?: string | number
  readonly measured?: Measured
  readonly description?: string
  readonly properties?: Readonly<Record<string, Schema>>
  readonly required?: readonly string[]
  readonly additionalProperties?: Schema | boolean
  readonly items?: Schema | false
  readonly prefixItems?: readonly Schema[]
  readonly minItems?: number
  readonly maxItems?: number
  readonly anyOf?: readonly Schema[]
  readonly oneOf?: readonly Schema[]
}

const isMap = (s: Schema): boolean => s.type === 'object' && s.properties === undefined
const isInner = (s: Schema): boolean =>
  s.type === 'object' &&
  s.additionalProperties !== undefined &&
  s.properties !== undefined &&
  'units' in s.properties

/** What tells one of several shapes from the others: the word that only it may have, else its first name. */
const nameOfOption = (s: Schema): string => {
  const fixed = Object.values(s.properties ?? {}).find((p) => p.const !== undefined)
  return isMap(s) ? 'by-name' : String(fixed?.const ?? Object.keys(s.properties ?? {})[0] ?? s.type ?? '')
}

/** The form of a schema. Units are the view's and never a field. */
export const fieldOf = (schema: unknown, required = true): Field => {
  const s = schema as Schema
  const several = s.anyOf ?? s.oneOf
  if (several) {
    const known = several.filter((o) => o.type !== 'null')
    const needed = required && known.length === several.length
    if (known.length === 1) return fieldOf(known[0], needed)
    if (known.every((o) => o.const !== undefined))
      return { kind: 'choice', options: known.map((o) => String(o.const)), required: needed }
    return {
      kind: 'either',
      options: known.map((o) => fieldOf(o, true)),
      names: known.map(nameOfOption),
      required: needed,
    }
  }
  if (s.const !== undefined) return { kind: 'choice', options: [String(s.const)], required }
  if (s.enum) return { kind: 'choice', options: s.enum.map(String), required }
  if (s.type === 'boolean') return { kind: 'flag', required }
  if (s.type === 'number' || s.type === 'integer')
    return { kind: 'number', measured: s.measured ?? null, required }
  if (s.type === 'array') {
    if (s.prefixItems)
      return {
        kind: 'list',
        item: fieldOf(s.prefixItems[0], false),
        least: s.prefixItems.length,
        most: s.prefixItems.length,
        fixed: true,
        required,
      }
    return {
      kind: 'list',
      item: fieldOf(s.items, true),
      least: s.minItems ?? 0,
      most: s.maxItems ?? 200,
      fixed: false,
      required,
    }
  }
  if (isMap(s)) return { kind: 'map', item: fieldOf(s.additionalProperties, true), required }
  if (isInner(s)) return { kind: 'inner', required }
  if (s.type === 'object')
    return {
      kind: 'group',
      required,
      fields: Object.entries(s.properties ?? {})
        .filter(([name]) => name !== 'units')
        .map(([name, own]) => ({
          name,
          field: fieldOf(own, (s.required ?? []).includes(name)),
          note: own.description ?? '',
        })),
    }
  return { kind: 'text', required }
}

/** What stands in a form, as typed: null where an optional part was not opened. */
export type Texts = string | boolean | null | TextList | TextGroup
export type TextList = Texts[]
export interface TextGroup {
  [name: string]: Texts
}

const QUARTERS = ['0', '90', '180', '270']
const PAIRS = ['inboard', 'outboard']

/** A form before anything is typed. Positions round the clock are offered as they are usually read. */
export const blankOf = (field: Field): Texts => {
  if (!field.required && field.kind !== 'number' && field.kind !== 'text' && field.kind !== 'choice')
    return null
  return openedOf(field)
}

/** An optional part as it stands once it is opened. */
export const openedOf = (field: Field): Texts => {
  switch (field.kind) {
    case 'number':
    case 'text':
      return ''
    case 'choice':
      return field.required && field.options.length === 1 ? (field.options[0] ?? '') : ''
    case 'flag':
      return false
    case 'group':
      return Object.fromEntries(field.fields.map((f) => [f.name, blankOf(f.field)]))
    case 'either':
      return { pick: '0', of: openedOf(field.options[0] as Field) }
    case 'inner':
      return {}
    case 'map':
      return [{ name: '', value: openedOf(field.item) }]
    case 'list': {
      const { item } = field
      const pairs = item.kind === 'group' && ['id', 'x'].every((n) => item.fields.some((f) => f.name === n))
      if (pairs) return PAIRS.map((id) => ({ ...(openedOf(item) as TextGroup), id }))
      const clocks = item.kind === 'group' && item.fields.some((f) => f.name === 'clock') && !field.fixed
      if (clocks) return QUARTERS.map((clock) => ({ ...(openedOf(item) as TextGroup), clock }))
      return Array.from({ length: Math.max(field.least, field.fixed ? 0 : 1) }, () => openedOf(item))
    }
  }
}

const typedMeasure = (measured: Measured | null): TypedMeasure =>
  measured === 'displacement' || measured === 'distance' ? measured : 'plain'

export interface FormRead {
  readonly input: unknown
  /** What can't be read, by path. */
  readonly faults: Readonly<Record<string, string>>
}

/** What another operation's form is, for parts that hold its input. */
export type InnerForm = (operation: string) => Field | null

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
        if (got.fault !== 'empty') faults[path] = words.typing.faults[got.fault]
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

/** Which operation an input inside another is meant for, where it isn't named: the first whose needs it meets. */
export const namedInner = (field: Field, input: object, inner: InnerForm): object => {
  if (field.kind !== 'group' || 'operation' in input) return input
  const choice = field.fields.find((f) => f.name === 'operation')?.field
  const holder = field.fields.find((f) => f.field.kind === 'inner')
  const held = holder && (input as Record<string, unknown>)[holder.name]
  if (choice?.kind !== 'choice' || typeof held !== 'object' || held === null) return input
  const fits = choice.options.find((name) => {
    const form = inner(name)
    return (
      form?.kind === 'group' &&
      form.fields.every((f) => !f.field.required || f.name in held || f.name === 'feet')
    )
  })
  return fits === undefined ? input : { operation: fits, ...input }
}

/** A row of which only what was offered stands there: a position, a name. */
const isBare = (item: Field, row: unknown): boolean =>
  item.kind === 'group' &&
  typeof row === 'object' &&
  row !== null &&
  Object.keys(row).every((k) => k === 'clock' || k === 'id') &&
  item.fields.length > 1

/** The form that would hold an input: a bookmark, or an example. */
export const textsOf = (
  field: Field,
  input: unknown,
  units: UnitSystem,
  inner: InnerForm,
  operation = '',
): Texts => {
  if (input === undefined) return blankOf(field)
  switch (field.kind) {
    case 'number':
      if (input === null) return ''
      return field.measured === 'displacement' || field.measured === 'distance'
        ? asTyped(toCore(input as number, field.measured, units), field.measured, units)
        : String(input as number)
    case 'text':
    case 'choice':
      return input === null ? '' : String(input as string)
    case 'flag':
      return input === true
    case 'group': {
      const own = input as Record<string, unknown>
      return Object.fromEntries(
        field.fields.map((f) => [
          f.name,
          textsOf(
            f.field,
            own[f.name],
            units,
            inner,
            String((own.operation as string | undefined) ?? operation),
          ),
        ]),
      )
    }
    case 'either': {
      const pick = bestOption(field, input)
      return { pick: String(pick), of: textsOf(field.options[pick] as Field, input, units, inner, operation) }
    }
    case 'list':
      return (input as unknown[]).map((row) => textsOf(field.item, row ?? undefined, units, inner, operation))
    case 'map':
      return Object.entries(input as object).map(([name, v]) => ({
        name,
        value: textsOf(field.item, v, units, inner, operation),
      }))
    case 'inner': {
      const form = inner(operation)
      return form ? textsOf(form, input, units, inner) : {}
    }
  }
}

/** Of several shapes the one whose fixed word the input has, else the one with most of its names. */
const bestOption = (field: Extract<Field, { kind: 'either' }>, input: unknown): number => {
  if (typeof input !== 'object' || input === null)
    return Math.max(
      0,
      field.options.findIndex((o) => o.kind !== 'group' && o.kind !== 'map'),
    )
  const score = (o: Field): number => {
    if (o.kind === 'map') return 0
    if (o.kind !== 'group') return -1
    const own = input as Record<string, unknown>
    return o.fields.reduce((n, f) => {
      const there = f.name in own
      const fixed = f.field.kind === 'choice' && f.field.options.length === 1
      if (fixed && there)
        return n + (String(own[f.name]) === (f.field as { options: readonly string[] }).options[0] ? 10 : -10)
      return n + (there ? 1 : f.field.required ? -1 : 0)
    }, 0)
  }
  const scores = field.options.map(score)
  return scores.indexOf(Math.max(...scores))
}

/**
 * The same texts meaning the same in other units: lengths get their unit written behind them, what people
 * don't write units behind is converted.
 */
export const renameUnits = (
  field: Field,
  texts: Texts,
  was: UnitSystem,
  now: UnitSystem,
  inner: InnerForm,
  operation = '',
): Texts => {
  if (texts === null || texts === '') return texts
  switch (field.kind) {
    case 'number': {
      const { measured } = field
      if (measured === null) return texts
      if (measured === 'displacement' || measured === 'distance')
        return namedParts(texts as string, unitOf(measured, was))
      const read = readTypedNumber(texts as string, 'plain', was)
      return read.ok
        ? String(Number(fromCore(toCore(read.value, measured, was), measured, now).toPrecision(8)))
        : texts
    }
    case 'group': {
      const own = texts as TextGroup
      const named = String((own.operation as string | undefined) ?? operation)
      return Object.fromEntries(
        field.fields.map((f) => [f.name, renameUnits(f.field, own[f.name] ?? null, was, now, inner, named)]),
      )
    }
    case 'either': {
      const { pick, of } = texts as { pick: string; of: Texts }
      return { pick, of: renameUnits(field.options[Number(pick)] as Field, of, was, now, inner, operation) }
    }
    case 'list':
      return (texts as TextList).map((row) => renameUnits(field.item, row, was, now, inner, operation))
    case 'map':
      return (texts as TextGroup[]).map((row) => ({
        name: row.name ?? '',
        value: renameUnits(field.item, row.value ?? '', was, now, inner, operation),
      }))
    case 'inner': {
      const form = inner(operation)
      return form ? renameUnits(form, texts, was, now, inner) : texts
    }
    default:
      return texts
  }
}
