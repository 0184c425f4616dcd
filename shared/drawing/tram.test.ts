import { describe, expect, it } from 'vitest'
import { drawTram, drawWindow, TRAM_SHEET } from './tram'

describe('a motor beside its drum', () => {
  it('is drawn by one round figure, high up and low down, its feet to scale', () => {
    const drawn = drawTram({ offset: 0.05, slope: 0.0002 }, { offset: 0, slope: 0 }, [250, 600])
    expect([100, 200, 500, 1000, 2000, 5000, 10000]).toContain(drawn.times)
    // Above the level line is a smaller y.
    expect(drawn.now!.y1).toBeLessThan(TRAM_SHEET.axis)
    expect(drawn.now!.y2).toBeLessThan(drawn.now!.y1)
    expect(drawn.after!.y1).toBe(TRAM_SHEET.axis)
    expect(drawn.after!.y2).toBe(TRAM_SHEET.axis)
    const [near, far] = drawn.feet as [number, number]
    expect((near - TRAM_SHEET.drum) / (far - TRAM_SHEET.drum)).toBeCloseTo(250 / 600, 9)
    expect(drawn.motor.lean).toBeLessThan(0)
  })

  it('never leaves its sheet, however it stands', () => {
    for (const offset of [-3, -0.1, 0.001, 2])
      for (const slope of [-0.01, 0, 0.00001, 0.02]) {
        const { now } = drawTram({ offset, slope }, null, [250, 600])
        for (const y of [now!.y1, now!.y2]) {
          expect(y).toBeGreaterThan(0)
          expect(y).toBeLessThan(TRAM_SHEET.height - 30)
        }
      }
  })

  it('stands level where nothing is known, with feet where a motor has them', () => {
    const drawn = drawTram(null, null, [])
    expect(drawn.now).toBeNull()
    expect(drawn.motor).toMatchObject({ y: TRAM_SHEET.axis, lean: 0 })
    expect(drawn.feet).toHaveLength(2)
  })
})

describe('a window as a scale', () => {
  it('holds its band and every value on it', () => {
    const drawn = drawWindow([0, 3], [-3, 1.5])
    expect(drawn.from).toBeLessThan(-3)
    expect(drawn.to).toBeGreaterThan(3)
    expect(drawn.low).toBeCloseTo(drawn.zero, 9)
    expect(drawn.at(-3)).toBeGreaterThan(0)
    expect(drawn.at(1.5)).toBeGreaterThan(drawn.low!)
    expect(drawn.at(1.5)).toBeLessThan(drawn.high!)
  })

  it('runs to its end where nothing bounds it', () => {
    const drawn = drawWindow([null, 1], [null, 4])
    expect(drawn.low).toBeNull()
    expect(drawn.at(4)).toBeGreaterThan(drawn.high!)
    expect(drawn.at(99)).toBe(1)
  })
})
