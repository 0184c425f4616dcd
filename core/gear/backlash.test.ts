import { describe, expect, it } from 'vitest'
import { backlashReadBy, judgeBacklash, layersFor, type LayersAsked } from './backlash'

const MIL = 0.0254
const cure = (least: number, most: number, more: Partial<LayersAsked> = {}) =>
  layersFor({
    read: { least: least * MIL, most: most * MIL },
    by: 'dial',
    window: [10 * MIL, 16 * MIL],
    pressureAngle: 20,
    layer: 2 * MIL,
    under: [10, 10],
    layersMove: 'apart',
    ...more,
  })

describe('backlash and the layers that cure it', () => {
  it('three layers of two mil out of ten bring 18 mil to 13.6', () => {
    const { layers, after, verdict, short } = cure(18, 18)
    expect([layers, verdict, short]).toEqual([-3, 'in', 0])
    expect(after.most / MIL).toBeCloseTo(18 - 6 * 2 * Math.tan(Math.PI / 9))
  })

  it('too tight asks for layers in; where they bring the shafts together, for layers out', () => {
    expect(cure(6, 6).layers).toBe(5)
    expect(cure(6, 6, { layersMove: 'closer' }).layers).toBe(-5)
  })

  it('inside the window nothing is asked for', () => {
    expect(cure(11, 15)).toMatchObject({ layers: 0, verdict: 'in' })
    expect(cure(10, 16)).toMatchObject({ layers: 0, verdict: 'edge' })
  })

  it('one layer stays under each block, and what is short is said', () => {
    expect(cure(30, 30, { under: [4, 6] })).toMatchObject({ layers: -3, short: 9, verdict: 'out' })
  })

  it('readings further apart than the window is wide stay out whatever is laid', () => {
    expect(cure(8, 20).verdict).toBe('out')
  })

  it('a window open on one side is aimed at inside its bound', () => {
    expect(cure(18, 18, { window: [null, 16 * MIL] })).toMatchObject({ layers: -4, verdict: 'in' })
    expect(cure(8, 8, { window: [10 * MIL, null] })).toMatchObject({ layers: 3, verdict: 'in' })
  })

  it('is judged by its worst reading round the gear', () => {
    const read = judgeBacklash(
      [11, 12, 17].map((m) => m * MIL),
      [10 * MIL, 16 * MIL],
    )
    expect(read?.worst).toBeCloseTo(17 * MIL)
    expect(read?.verdict).toBe('out')
    expect(judgeBacklash([], [0, 1])).toBeNull()
  })

  it('a feeler shows the cosine of the pressure angle of what the dial shows', () => {
    expect(backlashReadBy(10, 'dial', 'feeler', 20)).toBeCloseTo(10 * Math.cos(Math.PI / 9))
    expect(backlashReadBy(backlashReadBy(10, 'dial', 'feeler', 20), 'feeler', 'dial', 20)).toBeCloseTo(10)
  })
})
