import type { Constraint, LinearProgram, SolveLinear } from '../../core/train/linearProgram'

/** Seconds that all programs of one plan may take together; an integer program cut short gives the best it has. */
const BUDGET = 1.6
/** Share of what is left that one of them may take, and what it always may. */
const SHARE = 0.7
const LEAST = 0.3

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

/** The solver itself, large: loaded once, ahead of the first program where a view asks for it. */
export const loadSolver = (): Promise<Solver> =>
  (loading ??= import('highs').then((module) => module.default()))

/** A solver for the programs of one plan, and whether time cut any of them short. */
export interface BudgetedSolver {
  readonly solve: SolveLinear
  /** `all`, or `within N s`: what the search had. */
  readonly searched: () => string
}

/**
 * Solves linear and integer programs with HiGHS (WebAssembly, loaded on first use), all of them within
 * `seconds`. A program answers null when it has no solution.
 */
export const highsWithin = (seconds = BUDGET): BudgetedSolver => {
  let left = seconds
  let cut = false
  const solve: SolveLinear = async (program) => {
    const solver = await loadSolver()
    const from = performance.now()
    const solution = solver.solve(lpText(program), {
      time_limit: Math.max(LEAST, SHARE * left),
      mip_rel_gap: 0,
      output_flag: false,
      log_to_console: false,
    })
    left = Math.max(0, left - (performance.now() - from) / 1000)
    if (solution.Status === 'Time limit reached') cut = true
    else if (solution.Status !== 'Optimal') return null
    const values: Record<string, number> = {}
    for (const [name, column] of Object.entries(solution.Columns)) {
      const value = (column as { Primal?: number }).Primal
      if (value === undefined || !Number.isFinite(value)) return null
      values[name] = value
    }
    return values
  }
  return { solve, searched: () => (cut ? `within ${seconds} s` : 'all') }
}
