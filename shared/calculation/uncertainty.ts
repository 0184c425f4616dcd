import { issue, type Thing } from '../issue'
import { z } from 'zod'
import { ALIGNED, lineOfNumbers } from '../../core/frame/planes'
import { done, refused, refusedBelow } from '../../core/outcome'
import { seededRandom } from '../../core/random/random'
import { footMoveSd } from '../../core/uncertainty/linear'
import { monteCarlo } from '../../core/uncertainty/monteCarlo'
import { unmeasuredRunoutSd } from '../../core/runout/runout'
import type { Spread } from '../../core/uncertainty/spread'
import { covarianceFromCore, covarianceOut } from './covariance'
import { defineOperation } from './defineOperation'
import { LINE_METHODS, parseLineSource } from './lineSources'
import { notNegative, oneOf, rpm, tolerance, units, whole } from './fields'
import { maybe, out } from './results'
import { settled } from './settled'
import type { Measured } from '../../core/units/unitSystem'

/** A slope typed without its deviation errs by one reading over this, millimetres. */
const SLOPE_OVER = 100

const sd = (what: Thing, measured?: Measured) => notNegative(what, measured)

const input = z
  .object({
    units,
    operation: oneOf('method', LINE_METHODS),
    input: z.looseObject({ units }).describe('Input of that operation, in the same units.'),
    sd: z.object({
      reading: sd('standard-deviation-of-readings', 'displacement'),
      clock: sd('standard-deviation-of-clock-angles')
        .max(30, { error: issue('a-clock-angle-cant-be-that') })
        .optional(),
      distance: sd('standard-deviation-of-distances', 'distance'),
      sag: sd('standard-deviation-of-sag', 'displacement'),
      shim: sd('standard-deviation-of-shims', 'displacement'),
      side: sd('standard-deviation-of-side-moves', 'displacement'),
      settling: sd('standard-deviation-of-settling', 'displacement').optional(),
      slope: sd('standard-deviation-of-slope', 'slope')
        .optional()
        .describe('Of slopes typed as they are (coupling-values); one reading over 100 mm when missing.'),
      runout: sd('standard-deviation-of-runout', 'displacement')
        .optional()
        .describe(
          'Of either amplitude of an unmeasured run-out, where one shaft turned; by the starter limit when missing.',
        ),
    }),
    draws: whole('number-of-draws', 1000, 2_000_000),
    seed: whole('seed', 0, 4_294_967_295),
    tolerance,
    rpm: rpm.optional(),
  })
  .superRefine((value, context) => {
    if (value.input.units !== value.units)
      context.addIssue({
        code: 'custom',
        path: ['input', 'units'],
        message: issue('give-the-readings-in-the-same'),
      })
    const parsed = parseLineSource(value.operation, value.input)
    if (!parsed.ok)
      for (const found of parsed.issues)
        context.addIssue({
          code: 'custom',
          path: ['input', ...found.path.split('.').filter((p) => p !== '')],
          message: found.message,
        })
  })

const spread = (measured: 'displacement' | 'slope') =>
  z.object({ mean: out(measured), sd: out(measured), low: out(measured), high: out(measured) }).nullable()
const spreads = (measured: 'displacement' | 'slope') => z.object({ v: spread(measured), h: spread(measured) })
const sds = (measured: 'displacement' | 'slope') => z.object({ v: maybe(measured), h: maybe(measured) })

/** How sure a measurement is, and how likely its exact plan ends in band. */
export const uncertaintyOperation = defineOperation({
  name: 'uncertainty',
  summary:
    'Spread of offset, slope and moves by Monte Carlo, the chance to end in band, and whether to measure again.',
  input,
  result: z.object({
    coupling: z.object({ offset: spreads('displacement'), slope: spreads('slope') }),
    feet: z.array(z.object({ id: z.string(), move: spreads('displacement') })),
    cov: covarianceOut,
    chanceInBand: out().nullable(),
    assumedRunout: maybe('displacement').describe(
      'Standard deviation taken for a run-out that was not measured; null where none was needed.',
    ),
    wide: z.array(z.string()).describe('Judged quantities whose 95 % interval is wider than their band.'),
    advice: z.enum(['move', 'measure-again']),
    linear: z
      .object({
        coupling: z.object({ offset: sds('displacement'), slope: sds('slope') }),
        feet: z.array(z.object({ id: z.string(), v: maybe('displacement'), h: maybe('displacement') })),
      })
      .describe('Standard deviations by linear propagation, for comparison and live display.'),
  }),
  compute: (given) => {
    const limits = settled(given.tolerance, given.rpm)
    if (!limits.ok) return limits
    const parsed = parseLineSource(given.operation, given.input)
    if (!parsed.ok) return refused('unknown-method', ['operation'])
    const { slope = given.sd.reading / SLOPE_OVER, ...sds } = given.sd
    const source = parsed.source.line(slope)
    if (!source.ok) return refusedBelow(['input'], source.refusals)
    const model = source.value
    const { feet, target } = parsed.source
    const spreadOf: Spread = {
      clock: 0,
      settling: 0,
      runout: unmeasuredRunoutSd(given.rpm ?? null),
      ...sds,
    }
    const spread = monteCarlo({
      model,
      feet,
      target,
      tolerance: limits.value,
      sd: spreadOf,
      draws: given.draws,
      random: seededRandom(given.seed),
    })
    const covariance = model.covariance(spreadOf)
    const { tells } = model
    const root = (i: 0 | 1 | 2 | 3) => (tells[i] ? Math.sqrt(Math.max(0, covariance[5 * i] as number)) : null)
    const atFeet = footMoveSd(covariance, lineOfNumbers(model.nominal), target ?? ALIGNED, feet, spreadOf)
    const { covariance: drawn, ...result } = spread
    return done({
      ...result,
      cov: covarianceFromCore(drawn, given.units).map((row, i) =>
        row.map((x, j) => (tells[i] && tells[j] ? x : null)),
      ),
      assumedRunout: model.hubUnknown ? spreadOf.runout : null,
      linear: {
        coupling: { offset: { v: root(0), h: root(1) }, slope: { v: root(2), h: root(3) } },
        feet: atFeet.map(({ id, v, h }) => ({
          id,
          v: tells[0] && tells[2] ? v : null,
          h: tells[1] && tells[3] ? h : null,
        })),
      },
    })
  },
})
