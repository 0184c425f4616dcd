import { describe, expect, it } from 'vitest'
import { positionAt } from '../frame/planes'
import { axialGap } from './axialGap'
import { growthTarget, type FootGrowth } from './growth'

const foot = (id: string, x: number, v: number, h = 0): FootGrowth => ({ id, x, typed: { v, h } })

describe('growth', () => {
  it('is alpha times height times rise, and the target is the difference at every x', () => {
    const warm = (id: string, x: number): FootGrowth => ({
      id,
      x,
      alpha: 1e-5,
      height: 500,
      rise: 40,
      sideRise: 0.01,
    })
    const found = growthTarget([
      { role: 'stationary', feet: [warm('a', -300), warm('b', -800)] },
      { role: 'movable', feet: [foot('c', 300, 0.05), foot('d', 700, 0.13)] },
    ])
    expect(found.machines[0]?.feet[0]?.rise).toEqual({ v: 0.2, h: 0.01 })
    expect(positionAt(found.target, 300).v).toBeCloseTo(0.15, 12)
    expect(positionAt(found.target, 700).v).toBeCloseTo(0.07, 12)
    expect(found.target.offset.h).toBeCloseTo(0.01, 12)
  })

  it('fits more than two pairs, and takes a machine not given as cold', () => {
    const found = growthTarget([
      { role: 'movable', feet: [foot('a', 200, 0.1), foot('b', 500, 0.2), foot('c', 800, 0.3)] },
    ])
    expect(found.target.slope.v).toBeCloseTo(-0.1 / 300, 12)
  })
})

describe('the axial gap', () => {
  const shaft = { length: 1000, alpha: 1.2e-5, rise: 50, closesGap: true }
  it('is set wider cold by what the shafts grow, and judged by its window', () => {
    const found = axialGap({
      runningGap: 5,
      shafts: [shaft, { ...shaft, length: 500 }],
      float: 2,
      window: [5.5, 6.5],
      measured: 5.7,
    })
    expect(found.coldGap).toBeCloseTo(5.9, 12)
    expect(found.floatEnds).toEqual([4.7, 6.7])
    expect(found.move).toBeCloseTo(0.2, 12)
    expect(found.verdict).toBe('in')
  })

  it('is narrower for a shaft that grows away, and unjudged without a window', () => {
    const found = axialGap({ runningGap: 5, shafts: [{ ...shaft, closesGap: false }] })
    expect(found.coldGap).toBeCloseTo(4.4, 12)
    expect(found).toMatchObject({ verdict: null, move: null, floatEnds: null })
  })
})
