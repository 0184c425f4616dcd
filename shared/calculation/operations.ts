import { z } from 'zod'
import { couplingValues } from './couplingValues'
import { fitReadings } from './fitReadings'
import { judgeOperation } from './judgeOperation'
import { level } from './level'
import type { CalculationAnswer, Operation } from './operation'
import { rimFaceOperation } from './rimFaceOperation'

/** The calculation contract: the one table that the command, the route and the docs read. */
export const OPERATIONS: readonly Operation[] = [
  rimFaceOperation,
  couplingValues,
  fitReadings,
  judgeOperation,
  level,
]

/** Runs one operation by name; unknown names are answered like any other bad input. */
export const calculate = (name: unknown, input: unknown): CalculationAnswer => {
  const operation = OPERATIONS.find((o) => o.name === name)
  if (operation) return operation.run(input)
  const message = `There is no operation called ${JSON.stringify(name ?? null)}. Known: ${OPERATIONS.map((o) => o.name).join(', ')}.`
  return {
    ok: false,
    error: { code: 'unknown-operation', message, issues: [{ path: 'operation', message }] },
  }
}

/** JSON Schema of an operation's input. */
export const inputSchema = (operation: Operation): unknown => z.toJSONSchema(operation.input, { io: 'input' })
