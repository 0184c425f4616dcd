import type { Measured } from '../../core/units/unitSystem'

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

/** What tells one of several shapes from the others: the word or the name that only it has, else its first name. */
const nameOfOption = (s: Schema, _: number, all: readonly Schema[]): string => {
  const names = Object.keys(s.properties ?? {})
  const fixed = Object.values(s.properties ?? {}).find((p) => p.const !== undefined)
  const own = names.find((n) => all.every((other) => other === s || !(n in (other.properties ?? {}))))
  return isMap(s) ? 'by-name' : String(fixed?.const ?? own ?? names[0] ?? s.type ?? '')
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

/** What another operation's form is, for parts that hold its input. */
export type InnerForm = (operation: string) => Field | null
