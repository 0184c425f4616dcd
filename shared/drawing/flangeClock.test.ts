import { describe, expect, it } from 'vitest'
import { boltsAround } from '../../core/register/flangeMachine'
import { drawnLean, FLANGE_CLOCK, flangeDrawing } from './flangeClock'

const BOLTS = boltsAround(8, { v: 356, h: 356 })
const TILT = { offset: { v: 0, h: 0.05 }, slope: { v: 0, h: 0.0005 } }

describe('a flange drawn on its clock', () => {
  it('stands shims radially, the thickest as far out as there is room', () => {
    const drawn = flangeDrawing(BOLTS, [0, 0.1, 0.2, 0.1, 0, 0, 0, 0], TILT, {
      leaves: BOLTS.map(() => [0.05, 0.05]),
    })
    const heights = drawn.bolts.map((b) => b.height)
    expect(Math.max(...heights)).toBe(heights[2])
    expect(heights[1]).toBeCloseTo((heights[2] ?? 0) / 2, 9)
    expect(drawn.bolts[1]?.leaves.at(-1)).toBeCloseTo(heights[1] ?? 0, 9)
    const { size } = FLANGE_CLOCK
    for (const { label } of drawn.bolts) {
      expect(Math.min(label.x, label.y)).toBeGreaterThan(10)
      expect(Math.max(label.x, label.y)).toBeLessThan(size - 10)
    }
    expect(drawn.tops).toMatch(/^M/)
  })

  it('leans toward its low side about an axis square to it, and not at all to the eye well inside its limit', () => {
    const { lean } = flangeDrawing(BOLTS, [], TILT)
    expect(lean?.toward).toBeCloseTo(90, 9)
    // Toward 3: the axis stands upright on the board.
    expect(lean?.axis[0]).toBeCloseTo(lean?.axis[2] ?? 0, 6)
    expect(lean?.sides?.low.x).toBeGreaterThan(FLANGE_CLOCK.middle)
    expect(flangeDrawing(BOLTS, [], TILT, { tiltLimit: 0.003 }).lean).toBeNull()
    expect(flangeDrawing(boltsAround(12, { v: 300, h: 300 }), [], TILT).lean?.sides).toBeNull()
  })

  it('keeps the offset and the ring of its limit inside the hub', () => {
    for (const size of [0.01, 0.05, 0.4]) {
      const at = { ...TILT, offset: { v: -size, h: 0 } }
      const { offset } = flangeDrawing(BOLTS, [], at, { limit: 0.05 })
      expect(offset?.y).toBeGreaterThan(FLANGE_CLOCK.middle)
      expect((offset?.y ?? 0) - FLANGE_CLOCK.middle).toBeLessThan(FLANGE_CLOCK.hub)
      expect(offset?.ring).toBeLessThan(FLANGE_CLOCK.hub)
    }
    const unknown = { offset: { v: null, h: 0 }, slope: { v: null, h: null } }
    expect(flangeDrawing(BOLTS, [], unknown).offset).toBeNull()
  })

  it('draws a lean as large as it can be told, and one inside its limit by the limit’s own scale', () => {
    expect(drawnLean(0.0005).times).toBe(400)
    expect(drawnLean(0.00004).times).toBe(5000)
    expect(drawnLean(0.00004, 0.0003)).toMatchObject({
      times: 500,
      degrees: expect.closeTo(1.146, 3) as number,
    })
    expect(drawnLean(0)).toEqual({ degrees: 0, times: 1 })
  })
})
