import { describe, expect, it } from 'vitest'
import { clockDistance } from '../../frame/clock'
import { TestJob } from '../../jobs/testJob'
import { marksOf, stillMachine, stillSurface } from './stillSurface'

/** A hub whose rim stands high by an ellipse, mil, at a mark of its own. */
const high = (mark: number) =>
  3 * Math.cos(((mark - 40) * Math.PI) / 180) + Math.cos((2 * (mark - 10) * Math.PI) / 180)
const MARKS = [0, 45, 90, 135, 180, 225, 270, 315]

const turned = (surface: 'rim' | 'face', diameter: number | null = null) => {
  const job = new TestJob().open().lockOut()
  job.add({
    kind: 'runout-read',
    payload: {
      units: 'inch',
      machine: 'stationary',
      surface,
      diameter,
      readings: MARKS.map((clock) => ({ clock, value: high(clock) })),
      limit: null,
      remark: '',
    },
  })
  return job.state.runouts.surfaces
}

describe('the surface of a hub that stands still', () => {
  it('belongs to the machine that doesn’t turn', () => {
    expect([stillMachine('both'), stillMachine('movable'), stillMachine('stationary')]).toEqual([
      null,
      'stationary',
      'movable',
    ])
  })

  it.each([0, 90, 225])('with mark %d up, every place shows the mark that lies there', (up) => {
    const surface = stillSurface(turned('rim'), 'stationary', 'rim', up)
    expect(surface).toHaveLength(8)
    for (const r of surface ?? []) expect(r.value / 0.0254).toBeCloseTo(high(r.clock + up), 9)
    expect(surface?.some((r) => clockDistance(r.clock, 0) < 1)).toBe(true)
  })

  it('is not known for a hub, or a surface, that was not turned', () => {
    expect(stillSurface(turned('rim'), 'movable', 'rim', 0)).toBeNull()
    expect(stillSurface(turned('rim'), 'stationary', 'face', 0)).toBeNull()
  })

  it('of a face counts on the circle it was turned on', () => {
    const faces = turned('face', 8)
    expect(stillSurface(faces, 'stationary', 'face', 0, 8 * 25.4)).not.toBeNull()
    expect(stillSurface(faces, 'stationary', 'face', 0, 5 * 25.4)).toBeNull()
  })

  it('offers the marks that were read', () => {
    expect(marksOf(turned('rim'), 'stationary')).toEqual(MARKS)
    expect(marksOf(turned('rim'), 'movable')).toEqual([])
  })
})
