import { describe, expect, it } from 'vitest'
import { gearContact } from './gearContact'

const contact = (forward: [number, number], reverse: [number, number], more = {}) =>
  gearContact({ forward, reverse, wanted: [-0.3, 0.3], pressureAngle: 20, ...more })

describe('gear contact', () => {
  it('off to the same side shifts the blocks to the other side', () => {
    expect(contact([0.2, 0.9], [0.1, 0.8])).toMatchObject({
      blocksToward: -1,
      advice: ['shift-bearing-blocks', 'read-again'],
    })
    expect(contact([-0.9, -0.2], [-0.9, -0.2]).blocksToward).toBe(1)
  })

  it('off to opposite sides shifts the gear; near the wanted zone is good; one run off is named', () => {
    expect(contact([0.2, 0.9], [-0.9, -0.2]).advice[0]).toBe('shift-gear-along-shaft')
    expect(contact([-0.2, 0.3], [0.3, -0.3]).advice).toEqual(['contact-good'])
    expect(contact([0.3, 0.9], [-0.2, 0.2]).advice[0]).toBe('one-run-off')
  })

  it('a zone in the middle is not good when it is too short, too long or runs onto an edge', () => {
    expect(contact([-0.05, 0.05], [-0.3, 0.3]).advice).toEqual(['zone-too-short', 'read-again'])
    expect(contact([-0.7, 0.7], [-0.3, 0.3]).advice).toEqual(['zone-too-long', 'read-again'])
    expect(contact([-1, 1], [-1, 1]).advice).toEqual(['zone-too-long', 'zone-at-edge', 'read-again'])
    const wide = { wanted: [-0.8, 0.8] as const }
    expect(contact([-0.6, 1], [-0.8, 0.8], wide).advice).toEqual(['zone-at-edge', 'read-again'])
    expect(contact([-1, 1], [-1, 1], { wanted: [-1, 1] as const }).advice).toEqual(['contact-good'])
  })

  it('says how much of the wanted zone each run covers and how much lies outside', () => {
    expect(contact([0, 0.6], [-0.3, 0.3]).runs.forward).toMatchObject({
      length: 0.6,
      covers: 0.5,
      outside: 0.5,
    })
  })

  it('a feeler between the flanks reads less backlash than a dial on the tooth, for one centre distance', () => {
    const read = { window: [0.1, 0.2] as const }
    const dial = contact([0, 0.1], [0, 0.1], { ...read, backlash: 0.3 })
    // The same gears by feeler: every length along the tooth times the cosine of the pressure angle.
    const cos = Math.cos(Math.PI / 9)
    const feeler = contact([0, 0.1], [0, 0.1], {
      backlash: 0.3 * cos,
      window: [0.1 * cos, 0.2 * cos] as const,
      backlashAs: 'normal' as const,
    })
    expect(feeler.backlash?.centreChange).toBeCloseTo(dial.backlash?.centreChange ?? NaN, 12)
  })

  it('backlash outside its window asks for a change of centres, inside for none', () => {
    const wide = contact([0, 0.1], [0, 0.1], { backlash: 0.3, window: [0.1, 0.2] })
    expect(wide.backlash?.centreChange).toBeCloseTo(-0.15 / (2 * Math.tan(Math.PI / 9)), 12)
    expect(wide.advice).toContain('centres-closer')
    expect(contact([0, 0], [0, 0], { backlash: 0.05, window: [0.1, 0.2] }).advice).toContain(
      'centres-further',
    )
    expect(contact([0, 0], [0, 0], { backlash: 0.15, window: [0.1, 0.2] }).backlash).toMatchObject({
      verdict: 'in',
      centreChange: 0,
    })
  })
})
