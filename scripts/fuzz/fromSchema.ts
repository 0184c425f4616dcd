import type { Random } from '../../core/random/random'

/** The part of JSON Schema that our schemas are written in. */
export interface JsonSchema {
  readonly type?: string | readonly string[]
  readonly enum?: readonly unknown[]
  readonly const?: unknown
  readonly anyOf?: readonly JsonSchema[]
  readonly oneOf?: readonly JsonSchema[]
  readonly allOf?: readonly JsonSchema[]
  readonly properties?: Readonly<Record<string, JsonSchema>>
  readonly required?: readonly string[]
  readonly additionalProperties?: boolean | JsonSchema
  readonly items?: JsonSchema
  readonly prefixItems?: readonly JsonSchema[]
  readonly minItems?: number
  readonly maxItems?: number
  readonly minimum?: number
  readonly maximum?: number
  readonly exclusiveMinimum?: number
  readonly exclusiveMaximum?: number
  readonly format?: string
  readonly maxLength?: number
  readonly $ref?: string
}

const WORDS = ['a', 'CP-11', 'inboard', 'pump end', 'Orrin Vale sheet 4', 'é', '12', '']

export const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T

const hex = (random: Random, n: number) =>
  Array.from({ length: n }, () => Math.floor(random() * 16).toString(16)).join('')

/** A UUID from the generator, so that a run repeats. */
export const uuidFrom = (random: Random): string =>
  `${hex(random, 8)}-${hex(random, 4)}-4${hex(random, 3)}-a${hex(random, 3)}-${hex(random, 12)}`

const numberFrom = (schema: JsonSchema, random: Random, whole: boolean): number => {
  const low = schema.minimum ?? schema.exclusiveMinimum
  const high = schema.maximum ?? schema.exclusiveMaximum
  const bounded = (x: number) => {
    const kept = Math.min(high ?? Infinity, Math.max(low ?? -Infinity, x))
    return whole ? Math.round(kept) : kept
  }
  const size = pick(random, [0.01, 1, 1, 10, 10, 100, 1000])
  const at = random()
  // Often at a bound, where mistakes live.
  if (at < 0.08 && low !== undefined && Math.abs(low) < 1e9) return bounded(low)
  if (at < 0.16 && high !== undefined && Math.abs(high) < 1e9) return bounded(high)
  if (low !== undefined && low >= 0) return bounded(low + random() * size)
  return bounded((random() * 2 - 1) * size)
}

const stringFrom = (schema: JsonSchema, random: Random): string => {
  if (schema.format === 'uuid') return uuidFrom(random)
  if (schema.format === 'date-time')
    return new Date(Date.UTC(2026, Math.floor(random() * 12), 1 + Math.floor(random() * 28), 8)).toISOString()
  if (schema.format === 'date') return `2026-0${1 + Math.floor(random() * 9)}-1${Math.floor(random() * 9)}`
  return pick(random, WORDS).slice(0, schema.maxLength ?? 100)
}

/** A value that the schema lets through, as far as a schema can say what is right. */
export const fromSchema = (schema: JsonSchema, random: Random, depth = 0): unknown => {
  if (schema.const !== undefined) return schema.const
  if (schema.enum) return pick(random, schema.enum)
  const choices = schema.anyOf ?? schema.oneOf
  if (choices) return fromSchema(pick(random, choices), random, depth)
  if (schema.allOf) {
    const parts = schema.allOf.map((part) => fromSchema(part, random, depth))
    return Object.assign({}, ...parts.filter((p) => typeof p === 'object')) as unknown
  }
  const type = typeof schema.type === 'string' ? schema.type : schema.type && pick(random, schema.type)
  switch (type) {
    case 'object': {
      const out: Record<string, unknown> = {}
      for (const [name, part] of Object.entries(schema.properties ?? {}))
        if (schema.required?.includes(name) || random() < 0.4) out[name] = fromSchema(part, random, depth + 1)
      if (typeof schema.additionalProperties === 'object' && random() < 0.7)
        for (const name of ['rim', 'face'].slice(0, 1 + Math.floor(random() * 2)))
          out[name] = fromSchema(schema.additionalProperties, random, depth + 1)
      return out
    }
    case 'array': {
      if (schema.prefixItems) return schema.prefixItems.map((part) => fromSchema(part, random, depth + 1))
      const least = schema.minItems ?? 0
      const most = Math.min(schema.maxItems ?? 6, least + pick(random, [0, 1, 2, 4, 6]))
      const count = Math.max(least, most)
      return Array.from({ length: count }, () => fromSchema(schema.items ?? {}, random, depth + 1))
    }
    case 'integer':
      return numberFrom(schema, random, true)
    case 'number':
      return numberFrom(schema, random, false)
    case 'string':
      return stringFrom(schema, random)
    case 'boolean':
      return random() < 0.5
    case 'null':
      return null
    default:
      return depth > 4 ? null : pick<unknown>(random, [1, 'x', null, true, [], {}])
  }
}
