import { describe, expect, it } from 'vitest'
import { clockVector } from '../frame/clock'
import { readNudge } from './nudge'
import { sagOnPipe } from './barOnPipe'

const GRADUATION = 0.01
/** A bar that hangs by `s`, on a pipe that is out of true by `off` toward 3: what its dial shows from zero at 12. */
const onPipe = (s: number, off = 0) => {
  const at = (clock: number) => {
    const [cos, sin] = clockVector(clock)
    return s * (cos - 1) + off * sin
  }
  return { at3: at(90), at6: at(180), at9: at(270), back: at(0) }
}

describe('a bar on a pipe', () => {
  it('hangs by half of what its dial loses at 6', () => {
    expect(sagOnPipe(onPipe(0.075), GRADUATION)).toEqual({ hang: 0.075, faults: [] })
    expect(sagOnPipe({ at3: null, at6: -0.15, at9: null, back: 0 }, GRADUATION)).toEqual({
      hang: 0.075,
      faults: [],
    })
    expect(sagOnPipe(onPipe(0), GRADUATION)).toEqual({ hang: 0, faults: [] })
  })

  it('that gains at 6 is read the wrong way', () => {
    expect(sagOnPipe(onPipe(-0.05), GRADUATION)).toEqual({ hang: 0, faults: ['gains-at-6'] })
  })

  it('that does not come back has slipped', () => {
    expect(sagOnPipe({ ...onPipe(0.075), back: 0.02 }, GRADUATION).faults).toEqual(['not-back'])
    expect(sagOnPipe({ ...onPipe(0.075), back: 0.01 }, GRADUATION).faults).toEqual([])
  })

  it('on a pipe out of true has sides apart, and on one side too', () => {
    expect(sagOnPipe(onPipe(0.075, 0.05), GRADUATION).faults).toEqual(['sides-apart'])
    expect(sagOnPipe({ ...onPipe(0.075, 0.05), at9: null }, GRADUATION).faults).toEqual(['sides-apart'])
    // A graduation of rounding each way is no fault.
    expect(sagOnPipe({ at3: -0.08, at6: -0.15, at9: -0.07, back: 0 }, GRADUATION).faults).toEqual([])
  })
})

describe('a nudged head', () => {
  it.each([
    [0.3, 0, 'as-named'],
    [-0.3, 0.05, 'as-named'],
    [0, 0.3, 'swapped'],
    [0.02, -0.4, 'swapped'],
    [0.3, 0.25, 'both-move'],
    [0.02, 0, 'too-little'],
    [0, 0, 'too-little'],
  ] as const)('whose figure changes by %f, the other by %f: %s', (own, other, says) => {
    expect(readNudge(own, other, GRADUATION)).toBe(says)
  })
})
