import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALIGNED } from '../frame/planes'
import { judge } from '../judge/judge'
import { planeVerdicts } from '../judge/planeVerdicts'
import { judgeTram, nextTramStep, tramDifferences, tramState } from './drumTram'

const at = (clock: number, value: number, group?: string) => ({
  clock,
  value,
  ...(group === undefined ? {} : { group }),
})

describe('raw differences of a dial', () => {
  it('are as read, one zero for all', () => {
    expect(tramDifferences([at(90, 0), at(270, 4), at(0, 5)])).toEqual({ side: -4, top: 3 })
  })

  it('are not told across a zero', () => {
    expect(tramDifferences([at(90, 0, 'a'), at(270, 4, 'a'), at(0, 5, 'b')])).toEqual({
      side: -4,
      top: 'zeroed-between',
    })
    expect(tramDifferences([at(90, 0, 'a'), at(270, 4, 'b')])).toEqual({
      side: 'zeroed-between',
      top: 'not-read',
    })
  })

  it('take the zero that has all of them, wherever it stands', () => {
    const again = [at(90, 9, 'first'), at(0, 1, 'again'), at(90, 0, 'again'), at(270, 2, 'again')]
    expect(tramDifferences(again)).toEqual({ side: -2, top: 0 })
  })

  it('do not hang on what each group was zeroed to', () => {
    fc.assert(
      fc.property(fc.integer({ min: -99, max: 99 }), (shift) => {
        const read = [at(90, 3, 'a'), at(270, 1, 'a'), at(0, 7, 'b'), at(180, 2, 'b')]
        const shifted = read.map((r) => (r.group === 'b' ? { ...r, value: r.value + shift } : r))
        expect(tramDifferences(shifted)).toEqual(tramDifferences(read))
      }),
    )
  })
})

describe('raw windows', () => {
  it('judge what has a value and a window, and name what has no value', () => {
    const { checks, gaps } = judgeTram(
      { rim: { side: 3, top: -1 }, face: { side: 1, top: 'zeroed-between' } },
      { side: { rim: [-4, 4] }, top: { rim: [0, 6], face: [-2, 2] } },
    )
    expect(checks.map((c) => [c.dial, c.what, c.verdict])).toEqual([
      ['rim', 'side', 'in'],
      ['rim', 'top', 'out'],
    ])
    expect(gaps).toEqual([{ dial: 'face', what: 'top', why: 'zeroed-between' }])
  })
})

describe('what comes next', () => {
  it('goes side, height, side again, drum run-out', () => {
    expect(nextTramStep('out', 'out')).toBe('side')
    expect(nextTramStep('in', 'out')).toBe('height')
    expect(nextTramStep('out', 'in')).toBe('side-again')
    expect(nextTramStep('in', 'in')).toBe('drum-runout')
  })

  it('goes to the drum only when side and height were both judged and are in', () => {
    for (const side of ['in', 'out', 'unknown', null] as const)
      for (const height of ['in', 'out', 'unknown', null] as const)
        expect(nextTramStep(side, height) === 'drum-runout').toBe(side === 'in' && height === 'in')
  })

  it('a window without a value leaves its half unknown', () => {
    const tram = judgeTram({ rim: { side: 0 } }, { side: { rim: [-1, 1] }, top: { rim: [0, 2] } })
    expect(tramState('side', tram, null)).toBe('in')
    expect(tramState('top', tram, null)).toBe('unknown')
    expect(tramState('top', tram, 'in')).toBe('unknown')
    expect(tramState('side', tram, 'out')).toBe('out')
    expect(tramState('side', judgeTram({}, {}), null)).toBeNull()
  })
})

describe('planes of a vector tolerance', () => {
  const tolerance = { form: 'offset-slope', mode: 'vector', offset: 2, slope: 1 } as const
  const line = (v: number | null, h: number | null) => ({
    offset: { v, h },
    slope: { v: 0, h: 0 },
  })

  it('never both count as in while the vector is out', () => {
    const value = fc.double({ min: -4, max: 4, noNaN: true })
    fc.assert(
      fc.property(value, value, (v, h) => {
        const { verdict } = judge(line(v, h), tolerance)
        const planes = planeVerdicts(line(v, h), tolerance, ALIGNED)
        expect(planes.v === 'in' && planes.h === 'in').toBe(verdict !== 'out')
      }),
    )
  })

  it('lay it to the larger part, to both when they are alike, to none when it is in', () => {
    expect(planeVerdicts(line(1.8, 1.8), tolerance, ALIGNED)).toEqual({ v: 'out', h: 'out' })
    expect(planeVerdicts(line(0.9, 1.9), tolerance, ALIGNED)).toEqual({ v: 'in', h: 'out' })
    expect(planeVerdicts(line(1, 1), tolerance, ALIGNED)).toEqual({ v: 'in', h: 'in' })
    expect(planeVerdicts(line(null, 1), tolerance, ALIGNED)).toEqual({ v: 'unknown', h: 'in' })
  })

  it('say nothing of a plane that a window leaves open', () => {
    const open = [null, null] as const
    const window = {
      form: 'window',
      offset: { v: [0, 1], h: open },
      slope: { v: open, h: open },
    } as const
    expect(planeVerdicts(line(0.5, 9), window, ALIGNED)).toEqual({ v: 'in', h: null })
  })
})
