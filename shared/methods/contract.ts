import type { z } from 'zod'
import type { CouplingMeasurement } from '../../core/coupling/dialCircle'
import { arrangeTaken, measureTaken, type Taken } from '../../core/methods/dials'
import type { Arranged } from '../../core/methods/method'
import type { MethodId } from '../../core/methods/methods'
import type { Outcome } from '../../core/outcome'
import { answerMethod, trustLimits, type MethodGiven } from '../calculation/couplingMethod'
import { defineOperation } from '../calculation/defineOperation'
import { methodOut } from '../calculation/results'

type Path = readonly (string | number)[]

/** A method in the calculation contract: its input, and that input as set-up and readings. */
export interface MethodContract<T extends MethodGiven> {
  readonly name: MethodId
  readonly summary: string
  readonly input: z.ZodType<T>
  /** Core units in, core units out. */
  readonly dials: (given: T) => Taken
  /** Where in the input a refusal lies that names a circle; the same place when missing. */
  readonly place?: (path: Path, given: T) => Path
}

const placed = <T extends MethodGiven, R>(
  contract: MethodContract<T>,
  given: T,
  outcome: Outcome<R>,
): Outcome<R> => {
  const { place } = contract
  if (outcome.ok || !place) return outcome
  return { ok: false, refusals: outcome.refusals.map((r) => ({ ...r, path: place(r.path, given) })) }
}

/** Measures what was given; core units. */
export const measureContract = <T extends MethodGiven>(
  contract: MethodContract<T>,
  given: T,
): Outcome<CouplingMeasurement> =>
  placed(contract, given, measureTaken(contract.dials(given), trustLimits(given)))

/** What was given as circles; core units. */
export const arrangeContract = <T extends MethodGiven>(
  contract: MethodContract<T>,
  given: T,
): Outcome<Arranged> => placed(contract, given, arrangeTaken(contract.dials(given)))

/** The operation of a method. */
export const methodOperation = <T extends MethodGiven>(contract: MethodContract<T>) =>
  defineOperation({
    name: contract.name,
    summary: contract.summary,
    input: contract.input,
    result: methodOut,
    compute: (given) => answerMethod(given, measureContract(contract, given)),
  })
