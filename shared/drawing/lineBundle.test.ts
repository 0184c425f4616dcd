import { describe, expect, it } from 'vitest'
import { UNJUDGED } from '../quick/keepMeasurement'
import { drawGap, HUB_GAP } from '../quick/hubGap'
import { BUNDLE_VIEW, drawBundle, spreadNames, type NamedLine } from './lineBundle'

const at = (look: NamedLine['look'], v: number, slope = 0): NamedLine => ({
  look,
  name: look,
  line: { offset: { v, h: 0 }, slope: { v: slope, h: 0 } },
})
const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 900 },
]

describe('lines over one another', () => {
  it('are drawn to one exaggeration, high above low, each with its name clear of the others', () => {
    const [side, top] = drawBundle([at('before', 0.1), at('now', 0.1004), at('aim', -0.1)], FEET, UNJUDGED)
    expect(side?.sheet.exaggeration).toBe(top?.sheet.exaggeration)
    const [before, now, aim] = side!.lines
    expect(now!.drawn.y1).toBeLessThan(aim!.drawn.y1)
    const names = side!.lines.map((l) => l.nameY).sort((a, b) => a - b)
    expect(names[1]! - names[0]!).toBeGreaterThanOrEqual(23)
    expect(before!.feet).toHaveLength(2)
    for (const l of side!.lines)
      for (const y of [l.drawn.y1, l.drawn.y2]) {
        expect(y).toBeGreaterThan(0)
        expect(y).toBeLessThan(BUNDLE_VIEW.height)
      }
  })

  it('keep their names on the sheet, in the order of their heights', () => {
    expect(spreadNames([10, 10, 10], 18, 16, 214)).toEqual([16, 34, 52])
    const low = spreadNames([213, 214, 100], 18, 16, 214)
    expect(low).toEqual([196, 214, 100])
  })
})

describe('a gap between two hubs', () => {
  it('is drawn to scale beside the one it has when it runs', () => {
    const { face, warm } = drawGap(6, 3)
    expect(warm! - HUB_GAP.face).toBeCloseTo((face - HUB_GAP.face) / 2, 9)
    expect(drawGap(null, null)).toMatchObject({ warm: null })
    expect(drawGap(-1, 3).face).toBe(HUB_GAP.face)
  })
})
