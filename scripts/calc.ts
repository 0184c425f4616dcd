/**
 * The calculation contract on the command line: JSON in, JSON out. Exit 0, or 2 with the error
 * as JSON on stderr and nothing on stdout. Needs neither database nor build.
 */
import { createInterface } from 'node:readline'
import { text } from 'node:stream/consumers'
import { calculate, inputSchema, OPERATIONS } from '../shared/calculation/operations'
import type { CalculationError } from '../shared/calculation/operation'

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value)}\n`)

const fail = (error: CalculationError): never => {
  process.stderr.write(`${JSON.stringify({ error })}\n`)
  process.exit(2)
}

const badInput = (message: string): CalculationError => ({
  code: 'bad-input',
  message,
  issues: [{ path: '', message }],
})

const parseJson = (raw: string): { value: unknown } | null => {
  try {
    return { value: JSON.parse(raw) as unknown }
  } catch {
    return null
  }
}

const answerLine = async (line: string) => {
  const parsed = parseJson(line)
  if (!parsed || typeof parsed.value !== 'object' || parsed.value === null || Array.isArray(parsed.value))
    return { id: null, error: badInput('This line is not a JSON object with id, operation and input.') }
  const {
    id = null,
    operation,
    input,
  } = parsed.value as { id?: unknown; operation?: unknown; input?: unknown }
  const answer = await calculate(operation, input)
  return answer.ok ? { id, result: answer.result } : { id, error: answer.error }
}

const [first, second] = process.argv.slice(2)

if (first === '--list') {
  for (const o of OPERATIONS) process.stdout.write(`${o.name}\t${o.summary}\n`)
} else if (first === '--batch') {
  for await (const line of createInterface({ input: process.stdin }))
    if (line.trim() !== '') print(await answerLine(line))
} else {
  const operation = OPERATIONS.find((o) => o.name === first)
  if (!operation) {
    const answer = await calculate(first ?? '', {})
    fail(answer.ok ? badInput('Name an operation.') : answer.error)
  } else if (second === '--schema') {
    process.stdout.write(`${JSON.stringify(inputSchema(operation), null, 2)}\n`)
  } else {
    const parsed = parseJson(await text(process.stdin))
    const answer = parsed
      ? await operation.run(parsed.value)
      : { ok: false as const, error: badInput('The input is not JSON. Check quotes, commas and brackets.') }
    if (answer.ok) print(answer.result)
    else fail(answer.error)
  }
}
