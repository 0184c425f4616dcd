import { describe, expect, it } from 'vitest'
import { goingOf } from './going'

const line = (v: number | null, h: number | null) => ({ offset: { v, h }, slope: { v: 0, h: 0 } })

describe('which way a machine is expected to go', () => {
  it('is drawn as the coupling is seen: 3 o’clock right, up is up, the further point within the square', () => {
    const drawn = goingOf(line(-0.2, 0.05), line(0.2, 0))
    expect(drawn?.from[1]).toBeCloseTo(-0.8, 9)
    expect(drawn?.from[0]).toBeCloseTo(0.2, 9)
    expect(drawn?.to[0]).toBeCloseTo(0.2, 9)
    expect(drawn?.to[1]).toBeCloseTo(0, 9)
  })

  it('is not drawn where nothing goes anywhere or a plane is unknown', () => {
    expect(goingOf(line(-0.2, 0), line(0, 0))).toBeNull()
    expect(goingOf(line(null, 0), line(0.2, 0))).toBeNull()
    expect(goingOf(line(-0.2, 0), line(0.2, null))).toBeNull()
  })
})
