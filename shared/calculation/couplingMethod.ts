import { z } from 'zod'
import type { CouplingMeasurement } from '../../core/coupling/dialCircle'
import { feetFor } from '../../core/coupling/feet'
import type { Misalignment } from '../../core/frame/planes'
import { done, type Outcome } from '../../core/outcome'
import { offsetLimitOf } from '../../core/judge/tolerance'
import { beyondReturnLimit } from '../../core/trust/returnToZero'
import type { TrustFlag, TrustLimits, TrustReport } from '../../core/trust/trustReport'
import type { UnitSystem } from '../../core/units/unitSystem'
import { couplingLine, feet, figure, graduation, rpm, tolerance, units } from './fields'
import { settled } from './settled'

const returned = figure('what-the-dial-shows-after-the-full', 'displacement')

/** What every coupling method takes besides its readings. */
export const methodFields = {
  units,
  feet,
  target: couplingLine.optional(),
  graduation,
  returnToZero: z
    .union([returned, z.record(z.string(), returned)])
    .optional()
    .describe('What each dial showed after one full turn back to the start.'),
  tolerance: tolerance
    .optional()
    .describe(
      'Tightens the sum check by the offset limit, and says with a graduation whether the set-up can tell it.',
    ),
  rpm: rpm.optional(),
}

export interface MethodGiven {
  readonly units: UnitSystem
  readonly feet: readonly { readonly id: string; readonly x: number }[]
  readonly target?: Misalignment
  readonly graduation?: number
  readonly returnToZero?: number | Readonly<Record<string, number>>
  readonly tolerance?: z.infer<typeof tolerance>
  readonly rpm?: number
}

/** Limits of the trust checks for what was given. */
export const trustLimits = (
  given: Pick<MethodGiven, 'units' | 'graduation' | 'tolerance' | 'rpm'>,
): TrustLimits => {
  const limits = given.tolerance ? settled(given.tolerance, given.rpm) : null
  return {
    units: given.units,
    graduation: given.graduation ?? null,
    offsetLimit: limits?.ok ? offsetLimitOf(limits.value) : null,
    tolerance: limits?.ok ? limits.value : null,
  }
}

const slipped = (given: MethodGiven): boolean => {
  const shown = given.returnToZero
  const list = shown === undefined ? [] : typeof shown === 'number' ? [shown] : Object.values(shown)
  return list.some((x) => beyondReturnLimit(x, given.units, given.graduation ?? null))
}

/** Completes a line with what its feet need and with the flags that only the contract knows of. */
export const answerLine = (
  given: MethodGiven,
  coupling: Misalignment,
  trust: TrustReport,
  axialFloat: number | null = null,
) => ({
  coupling,
  feet: feetFor(coupling, given.feet, given.target),
  trust: {
    ...trust,
    flags: slipped(given) ? [...trust.flags, 'return-to-zero' as TrustFlag] : trust.flags,
  },
  ...(axialFloat === null ? {} : { axialFloat }),
})

/** Completes a measurement; see answerLine. */
export const answerMethod = (given: MethodGiven, measured: Outcome<CouplingMeasurement>) =>
  measured.ok
    ? done(answerLine(given, measured.value.coupling, measured.value.trust, measured.value.axialFloat))
    : measured
