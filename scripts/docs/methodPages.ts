import { readFileSync } from 'node:fs'
import { inputSchema, OPERATIONS } from '../../shared/calculation/operations'

/** One page a method, named after its operation. */
export const METHOD_PAGES = OPERATIONS.map((o) => o.name)

/** Where a method's page lies. */
export const pageOf = (name: string): URL => new URL(`../../docs/methods/${name}.md`, import.meta.url)

const INPUT = /```json input\n([\s\S]*?)\n```/
const RESULT = /```json result\n[\s\S]*?```/
const OPERATION = /Operation `([a-z-]+)`/

/** The worked example of a page: its operation and input. */
export const exampleOf = (page: string): { readonly operation: string; readonly input: unknown } => {
  const operation = OPERATION.exec(page)?.[1]
  const input = INPUT.exec(page)?.[1]
  if (!operation || !input) throw new Error('The page has no operation or no example.')
  return { operation, input: JSON.parse(input) as unknown }
}

/** The example of an operation's page. */
export const readExample = (name: string) => exampleOf(readFileSync(pageOf(name), 'utf8'))

/** Nine digits are plenty to read, and the same on every processor. */
const rounded = (value: unknown): unknown => {
  if (typeof value === 'number') return Number(value.toPrecision(9))
  if (Array.isArray(value)) return value.map(rounded)
  if (value && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, rounded(v)]))
  return value
}

/** JSON with short lists and objects on one line each, so that a result reads like a table. */
const legible = (value: unknown, indent = ''): string => {
  const flat = JSON.stringify(value)
  if (flat.length + indent.length <= 100 || typeof value !== 'object' || value === null) return flat
  const deeper = `${indent}  `
  const [open, close] = Array.isArray(value) ? ['[', ']'] : ['{', '}']
  const parts = Array.isArray(value)
    ? value.map((v) => `${deeper}${legible(v, deeper)}`)
    : Object.entries(value).map(([k, v]) => `${deeper}${JSON.stringify(k)}: ${legible(v, deeper)}`)
  return `${open}\n${parts.join(',\n')}\n${indent}${close}`
}

const wasCut = (result: unknown): boolean =>
  typeof result === 'object' && result !== null && 'searched' in result && / s$/.test(String(result.searched))

/** The page with its example worked anew. */
export const withResult = async (page: string): Promise<string> => {
  const { operation, input } = exampleOf(page)
  const found = OPERATIONS.find((o) => o.name === operation)
  let answer = await found?.run(input)
  // A program that time cut short on a busy machine is given another go: the page is the same everywhere.
  for (let again = 0; again < 6 && answer?.ok && wasCut(answer.result); again++)
    answer = await found?.run(input)
  if (!answer?.ok) throw new Error(`${operation}: ${answer ? answer.error.message : 'no such operation'}`)
  return page
    .replace(INPUT, () => `\`\`\`json input\n${legible(input)}\n\`\`\``)
    .replace(RESULT, () => `\`\`\`json result\n${legible(rounded(answer.result))}\n\`\`\``)
}

/** docs/calculation.md, from the one table of operations. */
export const calculationList = (): string => {
  const rows = OPERATIONS.map((o) => {
    const { properties = {}, required = [] } = inputSchema(o) as {
      properties?: Record<string, unknown>
      required?: string[]
    }
    const fields = Object.keys(properties)
      .filter((f) => f !== 'units')
      .map((f) => (required.includes(f) ? `\`${f}\`` : `\`${f}\`?`))
    return `| [${o.name}](methods/${o.name}.md) | ${o.summary} | ${fields.join(' ')} |`
  })
  return `# The calculation contract

Written by \`npm run docs\` from the table in \`shared/calculation/operations.ts\`; the command, the route and the OpenAPI
document read the same table. Every input names its \`units\`, \`inch\` or \`metric\`; fields with a question mark may be left
out. Bad input is answered with a sentence at its path: exit 2 from the command, 422 from the route.

\`\`\`sh
npm run -s calc -- --list                 # operations
npm run -s calc -- rim-face --schema      # JSON Schema of an input; "measured" says which unit a number carries
npm run -s calc -- rim-face < input.json  # one answer
npm run -s calc -- --batch < lines.jsonl  # {"id","operation","input"} a line, {"id","result"} or {"id","error"} back
\`\`\`

| Operation | What it answers | Fields |
| --- | --- | --- |
${rows.join('\n')}

How well the checks and plans do over thousands of simulated jobs: [what the checks catch](studies/trust.md),
[how many moves a job takes](studies/rounds.md). Speed: \`npm run bench\`.
`
}
