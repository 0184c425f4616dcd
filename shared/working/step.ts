/** One number unfolded: its formula, the formula with this job's numbers, and what came out. */
export interface WorkingStep {
  readonly name: string
  readonly formula: string
  readonly substituted: string
  readonly result: string
  readonly note?: string
}
