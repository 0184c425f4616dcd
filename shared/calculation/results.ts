import { z } from 'zod'
import type { Measured } from '../../core/units/unitSystem'

/** A number of a result, with the measure it converts by. */
export const out = (measured?: Measured) => (measured ? z.number().meta({ measured }) : z.number())

/** A number that may be unknown. */
export const maybe = (measured?: Measured) => out(measured).nullable()

/** Both planes of a value; null where unknown. */
export const vhOut = (measured: Measured) => z.object({ v: maybe(measured), h: maybe(measured) })

export const lineOut = z.object({ offset: vhOut('displacement'), slope: vhOut('slope') })

export const feetOut = z.array(
  z.object({ id: z.string(), position: vhOut('displacement'), move: vhOut('displacement') }),
)

const setTrustOut = z.object({
  name: z.string(),
  closure: maybe('displacement'),
  closureLimit: out('displacement'),
  residualRms: out('displacement'),
  worst: z.object({ clock: out(), residual: out('displacement') }),
  arc: out(),
  amplification: out(),
  sag: out('displacement'),
  suspects: z.array(out()).describe('Indexes of the readings that could be the bad one.'),
})

const weakOut = <T extends 'displacement' | 'slope'>(kind: T) =>
  z.object({
    name: z.string(),
    kind: z.literal(kind),
    effect: out(kind).describe('What one graduation in one reading alone makes of it.'),
    limit: out(kind).describe('Half of its limit.'),
    remedy: z.enum(['apart', 'diameter', 'finer-dial']),
    has: out('distance').describe('How far apart the planes are, or how large the smallest swing is.'),
    needs: maybe('distance').describe('How far apart, or how large, it would have to be.'),
  })

export const trustOut = z.object({
  sets: z.array(setTrustOut),
  flags: z.array(z.string()),
  weak: z
    .array(z.union([weakOut('displacement'), weakOut('slope')]))
    .optional()
    .describe('Judged quantities that this set-up can’t tell (weak-geometry).'),
})

/** What every coupling method answers. */
export const methodOut = z.object({
  coupling: lineOut,
  feet: feetOut,
  trust: trustOut,
  axialFloat: out('displacement').optional().describe('Two face dials: how far the shafts crept.'),
})

export const verdictOut = z.enum(['in', 'edge', 'out', 'unknown'])

/** One judged quantity; its measure depends on what it is. */
export const judgedOut = z.array(
  z.union([
    z.object({
      name: z.string(),
      kind: z.literal('displacement'),
      value: maybe('displacement'),
      low: maybe('displacement'),
      high: maybe('displacement'),
      margin: maybe(),
      verdict: verdictOut,
    }),
    z.object({
      name: z.string(),
      kind: z.literal('slope'),
      value: maybe('slope'),
      low: maybe('slope'),
      high: maybe('slope'),
      margin: maybe(),
      verdict: verdictOut,
    }),
  ]),
)

export const judgementOut = z.object({
  verdict: verdictOut,
  worst: z.string().nullable(),
  quantities: judgedOut,
  source: z.string(),
})
