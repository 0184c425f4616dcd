import { describe, expect, it } from 'vitest'
import { DRIVE_STANDS } from '../practice/stands'
import { acrossFace, upAndDown } from './facePlaces'
import { gaugeSet, gaugeSetting } from './gaugeSetting'

describe('where an edge is tried on a face', () => {
  it('lies inside the rim, and for tilt on the faces of both sheaves', () => {
    const machine = DRIVE_STANDS.belts
    const { motor, driven } = machine.sheaves
    expect(acrossFace(machine, 'driven')).toBeCloseTo(0.95 * driven.pitchDiameter, 9)
    // Shifted by half of it either way the edge still crosses the smaller face.
    expect(upAndDown(machine)).toBeLessThan(acrossFace(machine, 'motor'))
    expect(upAndDown(machine)).toBeGreaterThan(0.6 * motor.pitchDiameter)
    const swapped = { ...machine, sheaves: { motor: driven, driven: motor } }
    expect(upAndDown(swapped)).toBe(upAndDown(machine))
  })
})

describe('how far a gauge is pushed', () => {
  it('goes by half millimetres or thirty-seconds of an inch, and is never none', () => {
    expect(gaugeSetting(11.81, 'metric')).toBe(12)
    expect(gaugeSetting(11.7, 'metric')).toBe(11.5)
    expect(gaugeSetting(0.1, 'metric')).toBe(0.5)
    expect(gaugeSetting(12.7, 'inch')).toBe(0.5)
    expect(gaugeSetting(12.9, 'inch')).toBe(0.5)
    expect(gaugeSet(12.9, 'inch')).toBeCloseTo(12.7, 9)
  })
})
