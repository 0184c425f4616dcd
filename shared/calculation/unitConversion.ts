import type { z } from 'zod'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'

type ConvertNumber = (value: number, measured: Measured) => number

const measuredOf = (schema: z.ZodType): Measured | undefined =>
  (schema.meta() as { measured?: Measured } | undefined)?.measured

/** The parts of a schema's definition that the walk below reads. */
interface Definition {
  readonly type: string
  readonly shape?: Readonly<Record<string, z.ZodType>>
  readonly element?: z.ZodType
  readonly items?: readonly z.ZodType[]
  readonly options?: readonly z.ZodType[]
  readonly innerType?: z.ZodType
  readonly valueType?: z.ZodType
  readonly catchall?: z.ZodType
}

const walk = (schema: z.ZodType, value: unknown, convert: ConvertNumber): unknown => {
  const { type, ...parts } = schema.def as unknown as Definition
  if (value === null || value === undefined) return value
  switch (type) {
    case 'number': {
      const measured = measuredOf(schema)
      return measured === undefined ? value : convert(value as number, measured)
    }
    case 'object': {
      const given = value as Record<string, unknown>
      // What a loose object carries beyond its own fields is somebody else's input: it stays as it is.
      const out: Record<string, unknown> = parts.catchall ? { ...given } : {}
      for (const [key, part] of Object.entries(parts.shape ?? {}))
        if (given[key] !== undefined) out[key] = walk(part, given[key], convert)
      return out
    }
    case 'array':
      return (value as unknown[]).map((item) => walk(parts.element as z.ZodType, item, convert))
    case 'tuple':
      return (value as unknown[]).map((item, i) => walk(parts.items?.[i] as z.ZodType, item, convert))
    case 'union': {
      const fitting = parts.options?.find((option) => option.safeParse(value).success)
      return fitting ? walk(fitting, value, convert) : value
    }
    case 'record': {
      const out: Record<string, unknown> = {}
      for (const [key, item] of Object.entries(value as Record<string, unknown>))
        out[key] = walk(parts.valueType as z.ZodType, item, convert)
      return out
    }
    case 'optional':
    case 'nullable':
    case 'readonly':
    case 'default':
      return walk(parts.innerType as z.ZodType, value, convert)
    default:
      return value
  }
}

/**
 * A parsed input with every measured number in core units. Which numbers are measured, and how,
 * the schema itself says (`measured` in shared/calculation/fields.ts), so that no operation
 * converts by hand.
 */
export const inputToCore = <T>(schema: z.ZodType<T>, value: T, units: UnitSystem): T =>
  walk(schema, value, (x, measured) => toCore(x, measured, units)) as T

/** A result in core units as the contract gives it. Only what the result's schema names comes out. */
export const resultFromCore = (schema: z.ZodType, value: unknown, units: UnitSystem): unknown =>
  walk(schema, value, (x, measured) => fromCore(x, measured, units))
