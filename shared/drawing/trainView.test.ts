import { describe, expect, it } from 'vitest'
import type { Misalignment } from '../../core/frame/planes'
import { layOutTrain, TRAIN_VIEW, trainExaggeration, type TrainDrawn } from './trainView'

const line = (v: number, slope = 0, h = 0): Misalignment => ({ offset: { v, h }, slope: { v: slope, h: 0 } })
const feet = (a: number, b: number) => [
  { id: 'first', x: a },
  { id: 'second', x: b },
]
const drawn = (low: number, after = low): TrainDrawn => ({
  machines: [
    { id: 'm1', feet: feet(-1150, -400), now: line(0), after: line(0) },
    { id: 'm2', feet: feet(340, 720), now: line(low), after: line(after) },
    { id: 'm3', feet: feet(1390, 1750), now: line(0), after: line(0) },
  ],
  couplings: [0, 1060].map((x, i) => ({
    id: `c${i + 1}`,
    x,
    gate: { v: { low: -0.1, high: 0.2 }, h: null },
  })),
})

describe('a line as it is drawn', () => {
  it('keeps every axis on the sheet at one exaggeration for both views', () => {
    for (const low of [0, -0.02, -0.5, 3]) {
      const d = drawn(low)
      const times = trainExaggeration(d)
      for (const plane of ['v', 'h'] as const) {
        const view = layOutTrain(d, plane, times)
        const ys = view.machines.flatMap((m) => m.now.map((p) => p.y))
        expect(Math.min(...ys)).toBeGreaterThan(30)
        expect(Math.max(...ys)).toBeLessThan(TRAIN_VIEW.height[plane] - 30)
      }
    }
  })

  it('is true to scale: a coupling’s step is its offset, and low is down', () => {
    const d = drawn(-0.5)
    const view = layOutTrain(d, 'v', trainExaggeration(d))
    const [first, second] = view.couplings
    expect(first!.now).toBeGreaterThan(first!.ground)
    expect(second!.now - second!.ground).toBeCloseTo(-(first!.now - first!.ground), 6)
    const perMm = (first!.now - first!.ground) / 0.5
    expect(first!.gate!.bottom - first!.gate!.top).toBeCloseTo(0.3 * perMm, 6)
  })

  it('a machine lifted ends where the plan says, its gate about what it is read against', () => {
    const d = drawn(-0.5, 0)
    const view = layOutTrain(d, 'v', trainExaggeration(d))
    expect(view.couplings[0]!.after).toBeCloseTo(view.couplings[0]!.ground, 6)
    expect(view.couplings[1]!.ground).toBeCloseTo(view.zero, 6)
    expect(layOutTrain(d, 'h', 100).couplings[0]!.gate).toBeNull()
  })
})
