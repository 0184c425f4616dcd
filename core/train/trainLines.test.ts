import { describe, expect, it } from 'vitest'
import { positionAt, type Misalignment } from '../frame/planes'
import { trainLines } from './trainLines'

const line = (v: number, h: number, sv: number, sh: number): Misalignment => ({
  offset: { v, h },
  slope: { v: sv, h: sh },
})

describe('axes along a train', () => {
  it('add up from coupling to coupling, about the one that stays', () => {
    const couplings = [
      { x: 0, line: line(-0.5, 0.2, 1e-4, 0) },
      { x: 1000, line: line(0.3, -0.1, -2e-4, 1e-4) },
    ]
    const lines = trainLines(couplings, 0)
    expect(positionAt(lines[1]!, 1000).v).toBeCloseTo(-0.4, 9)
    expect(positionAt(lines[2]!, 1000).v).toBeCloseTo(-0.1, 9)
    expect(positionAt(lines[2]!, 1000).h).toBeCloseTo(0.1, 9)
    const about = trainLines(couplings, 1)
    expect(about[1]).toEqual(line(0, 0, 0, 0))
    expect(positionAt(about[0]!, 0).v).toBeCloseTo(0.5, 9)
  })

  it('are unknown behind a coupling that was not read', () => {
    expect(
      trainLines(
        [
          { x: 0, line: null },
          { x: 1, line: line(0, 0, 0, 0) },
        ],
        0,
      ).slice(1),
    ).toEqual([null, null])
  })
})
