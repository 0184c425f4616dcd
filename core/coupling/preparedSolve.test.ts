import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fitHarmonic } from '../fit/harmonicFit'
import type { DialArrangement, DialCircle, Join } from './dialCircle'
import { measureArrangement } from './dialCircle'
import { feetFor } from './feet'
import { PreparedSolve } from './preparedSolve'
import type { StillHub } from './stillHub'

const LIMITS = { units: 'metric', graduation: 0.01, offsetLimit: null } as const
const FEET = [
  { id: 'a', x: 250 },
  { id: 'b', x: 800 },
]
const HUB: StillHub = { heights: [0.01, -0.02, 0.03, 0, 0.01, 0.02], weights: [] }
const circle = (
  name: string,
  reads: 'position' | 'slope',
  lever: number,
  plane: number,
  groups: boolean,
): DialCircle => ({
  name,
  readings: [0, 90, 180, 270, 0, 180].map((clock, i) => ({
    clock,
    value: 0,
    ...(groups ? { group: i < 4 ? 'first' : 'second' } : {}),
  })),
  sag: 0.05,
  reads,
  lever,
  plane,
  stillHub: HUB,
  path: [name],
})
const joins: readonly Join[] = [
  { kind: 'position-and-slope' },
  { kind: 'two-positions' },
  { kind: 'two-slopes', spoolLength: 400 },
]

describe('a set-up solved ahead of its readings', () => {
  it.each(joins)('gives what the ordinary way gives: $kind', (join) => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 12, maxLength: 12 }),
        fc.boolean(),
        (values, groups) => {
          const second =
            join.kind === 'two-positions'
              ? circle('b', 'position', 1, 90, groups)
              : circle('b', 'slope', 80, 0, groups)
          const blank: DialArrangement = { circles: [circle('a', 'position', -1, -60, groups), second], join }
          const solver = new PreparedSolve(blank, FEET)
          values.forEach((v, i) => {
            if (i < 6) solver.first.readings[i] = v
            else solver.second.readings[i - 6] = v
          })
          solver.solve()
          const filled = (c: DialCircle, from: number): DialCircle => ({
            ...c,
            readings: c.readings.map((r, i) => ({
              ...r,
              value: (values[from + i] ?? 0) - (HUB.heights[i] ?? 0),
            })),
          })
          const circles = [filled(blank.circles[0], 0), filled(blank.circles[1], 6)] as const
          const measured = measureArrangement({ ...blank, circles }, LIMITS)
          if (!measured.ok) throw new Error('refused')
          const { coupling } = measured.value
          const expected = [coupling.offset.v, coupling.offset.h, coupling.slope.v, coupling.slope.h]
          expected.forEach((x, i) => expect(solver.line[i]).toBeCloseTo(x ?? NaN, 9))
          feetFor(coupling, FEET).forEach((f, i) => {
            expect(solver.moves[2 * i]).toBeCloseTo(f.move.v ?? NaN, 9)
            expect(solver.moves[2 * i + 1]).toBeCloseTo(f.move.h ?? NaN, 9)
          })
          const fit = fitHarmonic(circles[0].readings)
          expect(solver.first.residualRms).toBeCloseTo(fit.ok ? fit.value.residualRms : NaN, 9)
        },
      ),
      { numRuns: 50 },
    )
  })
})
