import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { judgeContact, startingLimits, twoRuns, type PaintedZone, type Runs } from './contactFigures'

const WANTED: Runs<PaintedZone> = { forward: [38, 74], back: [30, 66] }
const LIMITS = { off: 10, length: [28, 44], covered: 70 } as const
const read = (forward: PaintedZone, back: PaintedZone) => judgeContact({ forward, back }, WANTED, LIMITS)
const named = (figures: ReturnType<typeof read>, name: string) =>
  figures.quantities.find((q) => q.name === name)

describe('the paint of both runs', () => {
  it('tells what they have in common and what sets them apart', () => {
    const figures = read([15, 51], [10, 44])
    expect(figures.together).toBe(-22)
    expect(figures.apart).toBe(-1)
    expect(figures.verdicts).toEqual({ together: 'out', apart: 'in' })
    expect(named(figures, 'off.forward')?.value).toBe(-23)
    expect(named(figures, 'off.back')?.value).toBe(-21)
    expect(named(figures, 'covered.forward')?.value).toBeCloseTo((100 * 13) / 36)
    expect(figures.runs).toEqual({ forward: 'out', back: 'out' })
  })

  it('is in band where it was before it was opened', () => {
    expect(read([38, 74], [30, 66])).toMatchObject({ together: 0, apart: 0, verdict: 'in' })
  })

  it('in the middle, but too short or too long, is out', () => {
    expect(named(read([46, 66], [30, 66]), 'length.forward')?.verdict).toBe('out')
    expect(named(read([30, 82], [30, 66]), 'length.forward')?.verdict).toBe('out')
  })

  it('onto an end of the tooth is out, unless it is wanted there', () => {
    expect(named(read([62, 100], [30, 66]), 'edge.forward')).toMatchObject({ value: 0, verdict: 'out' })
    const atEnd: Runs<PaintedZone> = { forward: [62, 100], back: [30, 66] }
    const figures = judgeContact(atEnd, atEnd, LIMITS)
    expect(named(figures, 'edge.forward')).toBeUndefined()
    expect(figures.verdict).toBe('in')
  })

  it('a zone without length is covered where paint lies over it', () => {
    const point: Runs<PaintedZone> = { forward: [50, 50], back: [30, 66] }
    const limits = { off: 10, length: [0, 44], covered: 70 } as const
    expect(
      named(judgeContact({ forward: [40, 60], back: [30, 66] }, point, limits), 'covered.forward')?.value,
    ).toBe(100)
    expect(
      named(judgeContact({ forward: [60, 80], back: [30, 66] }, point, limits), 'covered.forward')?.value,
    ).toBe(0)
  })

  it('starting limits follow the zones that are wanted', () => {
    expect(startingLimits(WANTED)).toEqual({ off: 10, length: [27, 45], covered: 70 })
  })

  it('seen from the other side, both figures turn round and the verdict stays', () => {
    const zone = fc
      .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }))
      .map(([a, b]): PaintedZone => [Math.min(a, b), Math.max(a, b)])
    const mirror = ([a, b]: PaintedZone): PaintedZone => [100 - b, 100 - a]
    const both = (r: Runs<PaintedZone>) => ({ forward: mirror(r.forward), back: mirror(r.back) })
    fc.assert(
      fc.property(zone, zone, (forward, back) => {
        const here = read(forward, back)
        const there = judgeContact(both({ forward, back }), both(WANTED), LIMITS)
        expect(there.together).toBeCloseTo(-here.together)
        expect(there.apart).toBeCloseTo(-here.apart)
        expect(there.verdict).toBe(here.verdict)
      }),
    )
  })

  it('the runs are the two figures put together again', () => {
    const { together, apart } = twoRuns({ forward: [20, 60], back: [40, 80] }, WANTED)
    expect([together + apart, together - apart]).toEqual([-16, 12])
  })
})
