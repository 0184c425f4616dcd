import type { Constraint, LinearProgram, SolveLinear } from '../../core/train/linearProgram'

/** Seconds after which an integer program gives the best it has. */
const TIME_LIMIT = 1.7

const number = (x: number): string => (Object.is(x, -0) ? '0' : String(x))

const sum = (terms: Constraint['terms']): string => {
  const written = terms
    .filter((t) => t.factor !== 0)
    .map((t) => `${t.factor < 0 ? '-' : '+'} ${number(Math.abs(t.factor))} ${t.name}`)
  // Long lines are allowed, but the format wants breaks now and then.
  return written.map((w, i) => (i % 8 === 7 ? `${w}\n` : w)).join(' ')
}

/** A program in the LP text format. */
export const lpText = ({ variables, constraints }: LinearProgram): string => {
  const rows = constraints.flatMap((c, i) => {
    const left = sum(c.terms)
    if (left === '') return []
    if (c.low === c.high) return [` c${i}: ${left} = ${number(c.low)}`]
    return [
      ...(Number.isFinite(c.low) ? [` c${i}l: ${left} >= ${number(c.low)}`] : []),
      ...(Number.isFinite(c.high) ? [` c${i}h: ${left} <= ${number(c.high)}`] : []),
    ]
  })
  const bounds = variables
    .filter((v) => !v.binary)
    .map((v) => ` ${number(v.low)} <= ${v.name} <= ${number(v.high)}`)
  const binaries = variables.filter((v) => v.binary).map((v) => ` ${v.name}`)
  return [
    'Minimize',
    ` cost: ${sum(variables.map((v) => ({ name: v.name, factor: v.cost }))) || `0 ${variables[0]?.name ?? 'x'}`}`,
    'Subject To',
    ...rows,
    'Bounds',
    ...bounds,
    ...(binaries.length > 0 ? ['Binary', ...binaries] : []),
    'End',
  ].join('\n')
}

type Solver = Awaited<ReturnType<typeof import('highs').default>>
let loading: Promise<Solver> | null = null

/**
 * Solves linear and integer programs with HiGHS (WebAssembly, loaded on first use). Null when
 * there is no solution.
 */
export const solveWithHighs: SolveLinear = async (program) => {
  loading ??= import('highs').then((module) => module.default())
  const solver = await loading
  const solution = solver.solve(lpText(program), {
    time_limit: TIME_LIMIT,
    mip_rel_gap: 0,
    output_flag: false,
    log_to_console: false,
  })
  if (solution.Status !== 'Optimal' && solution.Status !== 'Time limit reached') return null
  const values: Record<string, number> = {}
  for (const [name, column] of Object.entries(solution.Columns)) {
    const value = (column as { Primal?: number }).Primal
    if (value === undefined || !Number.isFinite(value)) return null
    values[name] = value
  }
  return values
}
