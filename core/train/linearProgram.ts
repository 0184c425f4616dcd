/** A variable of a linear or integer program. */
export interface Variable {
  readonly name: string
  readonly low: number
  readonly high: number
  readonly cost: number
  readonly binary?: boolean
}

/** `low <= sum(factor * variable) <= high`; an infinite end leaves that side open. */
export interface Constraint {
  readonly terms: readonly { readonly name: string; readonly factor: number }[]
  readonly low: number
  readonly high: number
}

/** Minimise the summed cost. */
export interface LinearProgram {
  readonly variables: readonly Variable[]
  readonly constraints: readonly Constraint[]
}

/** Values by variable name, or null when nothing satisfies the constraints (or time ran out). */
export type SolveLinear = (program: LinearProgram) => Promise<Readonly<Record<string, number>> | null>
