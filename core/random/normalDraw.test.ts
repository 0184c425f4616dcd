import { describe, expect, it } from 'vitest'
import { normalShare } from '../statistics/normal'
import { NormalDraws } from './normalDraw'
import { seededRandom } from './random'

const draws = (seed: number, n = 400_000) => {
  const list = new Float64Array(n)
  new NormalDraws(seededRandom(seed)).fill(list)
  return list
}

describe('normal draws', () => {
  it('repeat with their seed and differ with another', () => {
    expect(draws(7, 50)).toEqual(draws(7, 50))
    expect(draws(7, 50)).not.toEqual(draws(8, 50))
  })

  it.each([1, 2, 3])('have the moments of a standard normal, seed %i', (seed) => {
    const list = draws(seed)
    const moment = (p: number) => list.reduce((s, x) => s + x ** p, 0) / list.length
    const near = (found: number, wanted: number, variance: number) =>
      expect(Math.abs(found - wanted)).toBeLessThan(4.5 * Math.sqrt(variance / list.length))
    near(moment(1), 0, 1)
    near(moment(2), 1, 2)
    near(moment(3), 0, 15)
    near(moment(4), 3, 96)
  })

  it('follow the distribution from the middle into both tails', () => {
    const sorted = draws(4).sort()
    for (const x of [-4, -3.5, -3, -2, -1, -0.3, 0, 0.3, 1, 2, 3, 3.5, 4]) {
      const share = sorted.filter((d) => d < x).length / sorted.length
      const wanted = normalShare(x)
      expect(Math.abs(share - wanted)).toBeLessThan(
        4.5 * Math.sqrt((wanted * (1 - wanted)) / sorted.length) + 1e-6,
      )
    }
  })

  it('do not hang together from one to the next', () => {
    const list = draws(5)
    for (const lag of [1, 2, 7]) {
      let sum = 0
      for (let i = lag; i < list.length; i++) sum += (list[i] as number) * (list[i - lag] as number)
      expect(Math.abs(sum / list.length)).toBeLessThan(4.5 / Math.sqrt(list.length))
    }
  })
})
