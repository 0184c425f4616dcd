import { inputSchema, OPERATIONS, resultSchema } from '../calculation/operations'
import { fieldOf, type Field } from './field'

/** What a sum asks for and what comes out of it. */
export interface SumShape {
  readonly form: Field
  /** JSON Schema of the result. */
  readonly result: unknown
}

/** The shape of every operation of the contract, by name. Plain data: the build writes it out, so that a page needs no schemas. */
export const sumShapes = (): Readonly<Record<string, SumShape>> =>
  Object.fromEntries(
    OPERATIONS.map((o) => [o.name, { form: fieldOf(inputSchema(o)), result: resultSchema(o) }]),
  )
