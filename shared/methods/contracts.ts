import type { z } from 'zod'
import type { CouplingMeasurement } from '../../core/coupling/dialCircle'
import type { Arranged } from '../../core/methods/method'
import type { MethodId } from '../../core/methods/methods'
import type { Outcome } from '../../core/outcome'
import type { MethodGiven } from '../calculation/couplingMethod'
import { issuesOf } from '../calculation/issues'
import type { Issue, Operation } from '../calculation/operation'
import { issue } from '../issue'
import { wordIssue } from '../wording/wordIssue'
import { inputToCore } from '../calculation/unitConversion'
import { arrangeContract, measureContract, methodOperation, type MethodContract } from './contract'
import { headsContract } from './heads/contract'
import { reverseRimContract } from './reverseRim/contract'
import { rimFaceContract } from './rimFace/contract'
import { spacerFacesContract } from './spacerFaces/contract'

/** A method's input, parsed and in core units, with what can be asked of it. */
export interface ParsedMethod {
  readonly given: MethodGiven
  readonly measure: () => Outcome<CouplingMeasurement>
  readonly arrange: () => Outcome<Arranged>
}

type Parsed =
  | { readonly ok: true; readonly method: ParsedMethod }
  | { readonly ok: false; readonly issues: readonly Issue[] }

/** A method of the contract, with its input type closed over. */
interface ContractRow {
  readonly operation: Operation
  readonly fields: readonly string[]
  readonly parse: (raw: unknown) => Parsed
}

/** `fields` are those that only this method has: they tell which method an input is for. */
const row = <T extends MethodGiven>(contract: MethodContract<T>, fields: readonly string[]): ContractRow => {
  const input: z.ZodType<T> = contract.input
  return {
    operation: methodOperation(contract),
    fields,
    parse: (raw) => {
      const parsed = input.safeParse(raw)
      if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) }
      const given = inputToCore(input, parsed.data, parsed.data.units)
      return {
        ok: true,
        method: {
          given,
          measure: () => measureContract(contract, given),
          arrange: () => arrangeContract(contract, given),
        },
      }
    },
  }
}

/** Methods whose operation takes readings round the clock; feelers and typed values have operations of their own. */
type DialMethod = Exclude<MethodId, 'gaps' | 'values' | 'foot-values'>

/** The methods of the contract. One row a method. */
const CONTRACTS: Readonly<Record<DialMethod, ContractRow>> = {
  'rim-face': row(rimFaceContract, ['rim']),
  'reverse-rim': row(reverseRimContract, ['onStationary', 'onMovable']),
  'spacer-faces': row(spacerFacesContract, ['atStationary', 'atMovable']),
  heads: row(headsContract, ['samples']),
}

/** The operations of all methods whose readings go round the clock. */
export const METHOD_OPERATIONS: readonly Operation[] = Object.values(CONTRACTS).map((c) => c.operation)

/** Methods whose readings go round the clock: those that can be repeated and spread. */
export const DIAL_METHODS = Object.keys(CONTRACTS) as [DialMethod, ...DialMethod[]]

const isMethod = (name: string): name is DialMethod => Object.hasOwn(CONTRACTS, name)

/** Parses the input of any method with dials or heads. */
export const parseMethod = (name: string, raw: unknown): Parsed =>
  isMethod(name)
    ? CONTRACTS[name].parse(raw)
    : { ok: false, issues: [{ path: '', message: wordIssue(issue('no-clock', name)) }] }

/** Which method an input is for, by the fields that only it has; null when none fits. */
export const methodOf = (raw: unknown): DialMethod | null => {
  if (typeof raw !== 'object' || raw === null) return null
  return DIAL_METHODS.find((name) => CONTRACTS[name].fields.some((f) => f in raw)) ?? null
}
