import type { z } from 'zod'

/** One entry of the calculation contract: its schemas and what it computes. */
export interface Operation {
  readonly name: string
  readonly summary: string
  readonly input: z.ZodType
  readonly result: z.ZodType
  /** Parses and computes; a parse failure or a refusal never throws. */
  readonly run: (raw: unknown) => Promise<CalculationAnswer>
}

export type CalculationAnswer =
  { readonly ok: true; readonly result: unknown } | { readonly ok: false; readonly error: CalculationError }

export interface CalculationError {
  readonly code: 'bad-input' | 'refused' | 'unknown-operation'
  readonly message: string
  readonly issues: readonly Issue[]
}

export interface Issue {
  /** Property names and indexes joined by dots; empty for the whole input. */
  readonly path: string
  readonly message: string
}
