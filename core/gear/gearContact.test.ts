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
    expect(contact([-0.2, 0.3], [-0.3, 0.3]).advice).toEqual(['contact-good'])
    expect(contact([0.3, 0.9], [-0.2, 0.2]).advice[0]).toBe('one-run-off')
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
