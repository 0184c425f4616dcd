import { describe, expect, it } from 'vitest'
import type { Bounds, VHBounds } from '../coupling/feelerBounds'
import { judgeBounds } from './judgeBounds'
import type { SettledTolerance } from './tolerance'

const LIMITS: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.001 }
const open: VHBounds = { v: [null, null], h: [null, null] }
const line = (v: Bounds) => ({ offset: { v, h: [null, null] as Bounds }, slope: open })
const verdict = (v: Bounds, tolerance = LIMITS) => judgeBounds(line(v), tolerance)[0]?.verdict

describe('bounds against a limit', () => {
  it('are in when all they allow is inside, out when none of it is, else unknown', () => {
    expect(verdict([-0.05, 0.05])).toBe('in')
    expect(verdict([0.12, null])).toBe('out')
    expect(verdict([null, -0.2])).toBe('out')
    expect(verdict([-0.05, 0.2])).toBe('unknown')
    expect(verdict([null, null])).toBe('unknown')
  })

  it('add up over the planes of a vector, and over offset and slope at a flex plane', () => {
    const both = { offset: { v: [0.08, 0.09] as Bounds, h: [0.08, 0.09] as Bounds }, slope: open }
    expect(judgeBounds(both, { ...LIMITS, mode: 'vector' })[0]).toMatchObject({
      name: 'offset',
      verdict: 'out',
    })
    const flex: SettledTolerance = { form: 'flex-plane', mode: 'plane', slope: 0.001, spoolLength: 200 }
    const known = {
      offset: { v: [0, 0.02] as Bounds, h: [0, 0] as Bounds },
      slope: { v: [0, 0.0004] as Bounds, h: [0, 0] as Bounds },
    }
    const [stationary] = judgeBounds(known, flex)
    expect(stationary?.bounds[1]).toBeCloseTo(0.0003, 12)
    expect(stationary?.verdict).toBe('in')
  })
})
