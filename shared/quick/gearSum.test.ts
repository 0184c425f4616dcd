import { describe, expect, it } from 'vitest'
import { gearContact } from '../../core/gear/gearContact'
import { endOf, gearFollows, percentOf, zoneOf } from './gearSum'

describe('the board of a gear contact', () => {
  it('draws a zone in percent of the face width, whichever end was typed first', () => {
    expect(zoneOf([-0.24, 0.48])).toEqual([38, 74])
    expect(zoneOf([0.48, -0.24])).toEqual([38, 74])
    expect(zoneOf([0.2, null])).toBeNull()
    expect(zoneOf([0.2, 0.2])).toBeNull()
    expect(zoneOf([-2, 0.2])).toBeNull()
  })

  it('an end goes there and back', () => {
    for (const p of [0, 15, 38.5, 100]) expect(percentOf(endOf(p))).toBe(p)
  })

  it('says which figure is out, and which way the blocks go', () => {
    const answered = (forward: [number, number], reverse: [number, number]) =>
      gearFollows(gearContact({ forward, reverse, wanted: [-0.3, 0.3], pressureAngle: 20 }))
    const low = answered([-0.9, -0.3], [-0.9, -0.3])
    expect(low.rows.map((r) => r.verdict)).toEqual(['out', 'in'])
    expect(low.rows[0]?.value).toBeCloseTo(-30)
    expect(low.shift).toEqual({ lever: 'blocks', way: 'to' })
    const split = answered([0.2, 0.9], [-0.9, -0.2])
    expect(split.rows.map((r) => r.verdict)).toEqual(['in', 'out'])
    expect(split.shift).toBeNull()
    expect(split.runs).toEqual({ forward: 'out', back: 'out' })
  })
})
