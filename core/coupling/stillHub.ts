import { AXIS_DEGREES, clockDistance, clockVector, distinctClocks } from '../frame/clock'
import { fitHarmonic, type Reading } from '../fit/harmonicFit'
import { solveLinear } from '../fit/leastSquares'
import { done, refused, type Outcome } from '../outcome'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** The surface of a hub that stood still, under each reading that was taken on it. */
export interface StillHub {
  /** Plunger-in positive; its zero is of no account. */
  readonly heights: readonly Millimetres[]
  /** Each height as a sum of the run-out's own readings, so that their errors can be carried. */
  readonly weights: readonly (readonly number[])[]
}

/** A row that grows reading errors more than this tells nothing: the positions are too close together. */
const ROW_GROWTH = 2.5
/** Positions a second harmonic needs: five numbers are fitted. */
const FOR_AN_OVAL = 5

const basis = (clock: Degrees, oval: boolean): readonly number[] => {
  const [c, s] = clockVector(clock)
  return oval ? [c, s, c * c - s * s, 2 * c * s] : [c, s]
}

/** Fitted constants and harmonics as sums of the run-out's readings; null where the positions can't tell them. */
const fitWeights = (rows: readonly (readonly number[])[]): readonly (readonly number[])[] | null => {
  const columns = rows.map((_, j) =>
    solveLinear(
      rows,
      rows.map((_row, i) => (i === j ? 1 : 0)),
    ),
  )
  if (columns.some((c) => c === null)) return null
  return (rows[0] ?? []).map((_, k) => columns.map((c) => c?.[k] ?? 0))
}

const growth = (row: readonly number[]): number => Math.sqrt(row.reduce((s, w) => s + w * w, 0))

/**
 * The measured surface of a still hub under readings at `clocks`: as read where it was read within a
 * degree of there, whatever its form; between those places by first and second harmonic (first alone below
 * five positions). Refuses run-out readings that can't carry a fit where one is needed
 * (docs/methods/rim-face.md).
 */
export const stillHubUnder = (runout: readonly Reading[], clocks: readonly Degrees[]): Outcome<StillHub> => {
  const groups = [...new Set(runout.map((r) => r.group ?? ''))]
  const at = clocks.map((clock) =>
    runout.flatMap((r, j) => (clockDistance(r.clock, clock) <= AXIS_DEGREES ? [j] : [])),
  )
  const needsFit = groups.length > 1 || at.some((found) => found.length === 0)
  let fit: { readonly weights: readonly (readonly number[])[]; readonly oval: boolean } | null = null
  if (needsFit) {
    const whole = fitHarmonic(runout)
    if (!whole.ok) return whole
    const fitted = (oval: boolean) =>
      fitWeights(
        runout.map((r) => [...groups.map((g) => ((r.group ?? '') === g ? 1 : 0)), ...basis(r.clock, oval)]),
      )
    const under = (weights: readonly (readonly number[])[], clock: Degrees, oval: boolean) =>
      heightRow(weights, groups.length, basis(clock, oval))
    const oval = distinctClocks(runout.map((r) => r.clock)).length >= FOR_AN_OVAL ? fitted(true) : null
    if (oval && clocks.every((c, i) => at[i]?.length || growth(under(oval, c, true)) <= ROW_GROWTH))
      fit = { weights: oval, oval: true }
    else {
      const weights = fitted(false)
      if (!weights) return refused('pair-off-plane', [])
      fit = { weights, oval: false }
    }
  }
  const weights = clocks.map((clock, i): readonly number[] => {
    const found = at[i] ?? []
    if (found.length === 0)
      return fit ? heightRow(fit.weights, groups.length, basis(clock, fit.oval)) : runout.map(() => 0)
    const row = runout.map((_, j) => (found.includes(j) ? 1 / found.length : 0))
    if (!fit) return row
    // Readings of a further zero group come down to the zero of the first.
    const { weights: constants } = fit
    for (const j of found) {
      const g = groups.indexOf(runout[j]?.group ?? '')
      runout.forEach((_, k) => {
        row[k] = (row[k] ?? 0) - ((constants[g]?.[k] ?? 0) - (constants[0]?.[k] ?? 0)) / found.length
      })
    }
    return row
  })
  return done({
    heights: weights.map((row) => row.reduce((sum, w, j) => sum + w * (runout[j]?.value ?? 0), 0)),
    weights,
  })
}

/** Height at one place on the zero of the first group, as a sum of the run-out's readings. */
const heightRow = (
  weights: readonly (readonly number[])[],
  groups: number,
  terms: readonly number[],
): readonly number[] =>
  (weights[0] ?? []).map(
    (constant, j) => constant + terms.reduce((sum, t, k) => sum + t * (weights[groups + k]?.[j] ?? 0), 0),
  )

/** Readings with the still hub's surface taken out of them. */
export const withoutHub = (readings: readonly Reading[], hub: StillHub): readonly Reading[] =>
  readings.map((r, i) => ({ ...r, value: r.value - (hub.heights[i] ?? 0) }))
