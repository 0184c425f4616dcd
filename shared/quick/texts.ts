import { readTypedNumber } from '../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../core/units/unitSystem'
import { namedParts, unitOf } from '../forms/typed'
import { asTyped } from '../wording/figures'
import type { Field, InnerForm } from './field'

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
      // What must be said isn't said by leaving it alone.
      return field.required ? null : false
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
      const clocked = (f: Field | undefined): boolean =>
        f?.kind === 'group' ? f.fields.some((own) => own.name === 'clock') : false
      if (clocked(item) && !field.fixed)
        return QUARTERS.map((clock) => ({ ...(openedOf(item) as TextGroup), clock }))
      if (item.kind === 'either' && clocked(item.options[0]))
        return QUARTERS.map((clock) => ({
          pick: '0',
          of: { ...(openedOf(item.options[0] as Field) as TextGroup), clock },
        }))
      return Array.from({ length: Math.max(field.least, field.fixed ? 0 : 1) }, () => openedOf(item))
    }
  }
}

/** What a step leads to from here: the part of the form below this one. Null where the form doesn't know it. */
const below = (
  field: Field | null,
  texts: Texts | undefined,
  step: string,
  inner: InnerForm,
): Field | null => {
  if (!field) return null
  switch (field.kind) {
    case 'group':
      return field.fields.find((f) => f.name === step)?.field ?? null
    case 'list':
      return field.item
    case 'map':
      return step === 'value' ? field.item : field
    case 'either':
      return field.options[Number((texts as TextGroup | null)?.pick ?? 0)] ?? null
    case 'inner':
      return below(inner(String((texts as TextGroup | null)?.operation ?? '')), texts, step, inner)
    default:
      return null
  }
}

/** Puts a value at a path below these texts; an optional part on the way that was closed is opened for it. */
export const putAt = (
  field: Field,
  texts: TextGroup,
  steps: readonly string[],
  value: Texts,
  inner: InnerForm,
): void => {
  let [part, here]: [Field | null, TextGroup] = [field, texts]
  for (const step of steps.slice(0, -1)) {
    part = below(part, here, step, inner)
    if (part && (here[step] === null || here[step] === undefined)) here[step] = openedOf(part)
    here = here[step] as TextGroup
  }
  const last = steps[steps.length - 1]
  if (last !== undefined) here[last] = value
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
