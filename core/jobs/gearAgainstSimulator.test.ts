import { describe, expect, it } from 'vitest'
import type { PaintedZone, Runs } from '../gear/contactFigures'
import { seededRandom } from '../random/random'
import { backlashOf, paintOfBoth, type SimulatedGearset } from '../simulate/gearset'
import { fromCore, toCore } from '../units/unitSystem'
import { TEST_GEAR, TestGear } from './testGear'
import { TRUE_GEARSET } from './testGearset'

const MIL = 0.0254
const standing = (g: SimulatedGearset, by: Partial<SimulatedGearset['stands']>): SimulatedGearset => ({
  ...g,
  stands: {
    blocks: g.stands.blocks + (by.blocks ?? 0),
    gear: g.stands.gear + (by.gear ?? 0),
    centres: g.stands.centres + (by.centres ?? 0),
  },
})
const WIDE = {
  ...TEST_GEAR,
  gear: {
    ...TEST_GEAR.gear,
    room: { blocks: 60, gear: 60 },
    limits: { ...TEST_GEAR.gear.limits, shortest: 25, longest: 48 },
  },
}

describe('a simulated gearset', () => {
  it('shows what it is: middle, length, backlash', () => {
    const { forward, back } = paintOfBoth(TRUE_GEARSET)
    expect((forward[0] + forward[1]) / 2).toBeCloseTo(55)
    expect((back[0] + back[1]) / 2).toBeCloseTo(45)
    expect(forward[1] - forward[0]).toBeCloseTo((200 * Math.sqrt(2 * 4000 * 0.0144)) / 60)
    expect(backlashOf(standing(TRUE_GEARSET, { centres: -0.1 }))).toBeCloseTo(
      13 * MIL - 0.2 * Math.tan(Math.PI / 9),
    )
  })

  it('exactly read, what a test told brings it to its place within half a percent', () => {
    const start = standing(TRUE_GEARSET, { blocks: -11 * MIL })
    const job = new TestGear(WIDE)
      .open()
      .lockOut()
      .found(paintOfBoth(TRUE_GEARSET).forward, paintOfBoth(TRUE_GEARSET).back)
    job.refit().clear()
    let g = start
    for (let round = 0; round < 2; round++) {
      const { forward, back } = paintOfBoth(g)
      job.paint(forward, back)
      const { next } = job.state.contact
      if (!next || typeof next === 'string') throw new Error('no shift')
      job.shift(next.lever, fromCore(next.by, 'displacement', 'inch'))
      g = standing(g, { [next.lever]: next.by })
    }
    const { forward, back } = paintOfBoth(g)
    job.paint(forward, back)
    expect(Math.abs(job.state.contact.now?.figures?.together ?? NaN)).toBeLessThan(0.5)
    expect(job.state.contact.now?.figures?.verdict).toBe('in')
  })

  it('layers bring backlash where they were said to, within a hundredth of a mil', () => {
    const job = new TestGear(WIDE).ready().paint([38, 74], [30, 66])
    const g = standing(TRUE_GEARSET, { centres: 7 * MIL })
    job.play(fromCore(backlashOf(g), 'displacement', 'inch'))
    const { cure } = job.state.backlash
    if (!cure) throw new Error('no cure')
    expect(cure.layers).toBe(-3)
    const after = backlashOf(standing(g, { centres: cure.centreChange }))
    expect(cure.after.most).toBeCloseTo(after, 6)
    expect(cure.verdict).toBe('in')
  })

  // Whoever reads paint misses its ends by a percent or two; gears don't know the rule they are set by.
  it.each([
    ['follow the rule', (): SimulatedGearset['travel'] => TRUE_GEARSET.travel],
    [
      'go the other way',
      (): SimulatedGearset['travel'] => ({
        blocks: { together: -47, apart: 1 },
        gear: { together: 2, apart: -40 },
      }),
    ],
    [
      'have it the other way about',
      (): SimulatedGearset['travel'] => ({
        blocks: { together: 3, apart: 42 },
        gear: { together: 45, apart: 2 },
      }),
    ],
  ])('gears that %s are brought in within seven shifts, 27 of 30', (_, travel) => {
    const random = seededRandom(40)
    const between = (low: number, high: number) => low + (high - low) * random()
    let good = 0
    for (let n = 0; n < 30; n++) {
      const truth = { ...TRUE_GEARSET, travel: travel() }
      let g = standing(truth, { blocks: between(-9, 9) * MIL, gear: between(-6, 6) * MIL })
      const seen = (zone: PaintedZone): PaintedZone => {
        const [a, b] = zone.map((x) => Math.max(0, Math.min(100, Math.round(x + between(-1.5, 1.5))))) as [
          number,
          number,
        ]
        return [Math.min(a, b), Math.max(a, b)]
      }
      const read = (at: SimulatedGearset): Runs<PaintedZone> => {
        const { forward, back } = paintOfBoth(at)
        return { forward: seen(forward), back: seen(back) }
      }
      const pattern = read(truth)
      const job = new TestGear(WIDE).open().lockOut().found(pattern.forward, pattern.back).refit().clear()
      for (let shifts = 0; shifts <= 7; shifts++) {
        const { forward, back } = read(g)
        job.paint(forward, back)
        if (job.state.contact.now?.figures?.verdict !== 'out') break
        const { next } = job.state.contact
        if (!next || typeof next === 'string' || shifts === 7) break
        // Hands shift to half a mil.
        const by = Math.round(2 * fromCore(next.by, 'displacement', 'inch')) / 2 || 0.5
        job.shift(next.lever, by)
        g = standing(g, { [next.lever]: toCore(by, 'displacement', 'inch') })
      }
      if (job.state.contact.now?.figures?.verdict !== 'out') good++
    }
    expect(good).toBeGreaterThanOrEqual(27)
  })
})
