import { z } from 'zod'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import type { LineCovariance } from '../../core/uncertainty/linear'
import { issue } from '../issue'
import { figure } from './fields'

/** Order of rows and columns. */
const KINDS = ['displacement', 'displacement', 'slope', 'slope'] as const satisfies readonly Measured[]

const row = z.tuple([figure('covariance'), figure('covariance'), figure('covariance'), figure('covariance')])

/** Rows as given; each number in the product of its two units. */
export const covariance = z.tuple([row, row, row, row], { error: issue('covariance-four-by-four') }).refine(
  (rows) =>
    rows.every((list, i) =>
      list.every((x, j) => {
        const bound = Math.sqrt(Math.max(0, rows[i]?.[i] ?? 0) * Math.max(0, rows[j]?.[j] ?? 0))
        const mirrored = rows[j]?.[i] ?? 0
        return (
          Math.abs(x) <= bound * (1 + 1e-9) && Math.abs(x - mirrored) <= 1e-9 * bound && (i !== j || x >= 0)
        )
      }),
    ),
  { error: issue('not-a-covariance') },
)

type Rows = z.output<typeof covariance>

/** Rows in the units of the input, to core units. */
export const covarianceToCore = (rows: Rows, units: UnitSystem): LineCovariance =>
  Float64Array.from(rows.flat(), (x, at) => {
    const [i, j] = [KINDS[Math.floor(at / 4)], KINDS[at % 4]] as [Measured, Measured]
    return toCore(toCore(x, i, units), j, units)
  })

/** Rows in the units of the input, from core units. */
export const covarianceFromCore = (core: LineCovariance, units: UnitSystem): Rows => {
  const one = (i: number, j: number) =>
    fromCore(fromCore(core[4 * i + j] as number, KINDS[i] as Measured, units), KINDS[j] as Measured, units)
  const list = (i: number) => [one(i, 0), one(i, 1), one(i, 2), one(i, 3)] as [number, number, number, number]
  return [list(0), list(1), list(2), list(3)]
}

export const covarianceOut = z
  .array(z.array(z.number().nullable()))
  .describe(
    'Rows and columns: offset.v, offset.h, slope.v, slope.h; each in the product of its two units; null where unknown.',
  )
