import { describe, expect, it } from 'vitest'
import { judgeTram, nextTramStep, tramDifferences } from './drumTram'

describe('drum tram', () => {
  it('reads side and top as they are, one zero for all', () => {
    expect(tramDifferences({ three: 0, nine: 4, twelve: 5 })).toEqual({ side: -4, top: 3 })
  })

  it('judges what has a value and a window', () => {
    const checks = judgeTram(
      { rim: { side: 3, top: -1 }, face: { side: 1 } },
      { side: { rim: [-4, 4] }, top: { rim: [0, 6] } },
    )
    expect(checks.map((c) => [c.dial, c.what, c.verdict])).toEqual([
      ['rim', 'side', 'in'],
      ['rim', 'top', 'out'],
    ])
  })

  it('goes side, height, side again, drum run-out', () => {
    expect(nextTramStep(false, false)).toBe('side')
    expect(nextTramStep(true, false)).toBe('height')
    expect(nextTramStep(false, true)).toBe('side-again')
    expect(nextTramStep(true, true)).toBe('drum-runout')
  })
})
