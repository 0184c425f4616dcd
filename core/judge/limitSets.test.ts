import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../jobs/testJob'
import { nearestLimit, rowAt, setsFor, type LimitSet } from './limitSets'
import { settleTolerance } from './tolerance'

const MIL = 0.0254
const NOTHING = { offset: null, slope: null, flexSlope: null }
const row = (upTo: number | null, offset: number | null, slope: number | null = null) => ({
  upTo,
  fine: NOTHING,
  standard: { offset, slope, flexSlope: null },
})
const set = (level: LimitSet['level'], rows: LimitSet['rows'], more: Partial<LimitSet> = {}): LimitSet => ({
  id: level,
  level,
  coupling: level === 'coupling' ? 'Grid coupling' : '',
  name: level,
  source: '',
  revision: '1',
  units: 'inch',
  rows,
  ...more,
})
const RULE = { form: 'speed-rule', mode: 'plane', grade: 'standard' } as const

describe('tables of limits', () => {
  it('the nameplate speed selects the first row that reaches it; above them all there is none', () => {
    const table = set('works', [row(1000, 5), row(1500, 3)])
    expect([900, 1000, 1001, 1500, 1501].map((rpm) => rowAt(table, rpm)?.upTo ?? null)).toEqual([
      1000,
      1000,
      1500,
      1500,
      null,
    ])
    expect(rowAt(set('works', [row(null, 5)]), 99_999)).not.toBeNull()
  })

  it('nearest wins quantity by quantity: the first that has a value for it', () => {
    const near = [set('coupling', [row(1000, 4)]), set('works', [row(1500, 3, 0.7)])]
    const at = (q: 'offset' | 'slope' | 'flexSlope', rpm: number) => nearestLimit(near, q, 'standard', rpm)
    expect(at('offset', 990)).toMatchObject({ from: { set: { level: 'coupling' } } })
    expect(at('offset', 990).value).toBeCloseTo(4 * MIL, 12)
    expect(at('slope', 990)).toMatchObject({ from: { set: { level: 'works' } } })
    // The coupling's table ends below this speed.
    expect(at('offset', 1480)).toMatchObject({ from: { set: { level: 'works' } } })
    expect(at('flexSlope', 990).from).toBeNull()
    expect(nearestLimit(near, 'offset', 'fine', 990).from).toBeNull()
  })

  it('a kind of coupling is met whatever its capitals, before the works; other kinds are not', () => {
    const sets = [
      set('works', [row(null, 3)]),
      set('coupling', [row(null, 4)]),
      set('coupling', [row(null, 9)], { id: 'jaw', coupling: 'Jaw coupling' }),
    ]
    expect(setsFor(' grid COUPLING ', sets).map((s) => s.id)).toEqual(['coupling', 'works'])
  })

  it('settles a speed rule in either unit; a machine’s own limit is never touched', () => {
    const metric = set('works', [row(null, 0.1, 0.08)], { units: 'metric' })
    expect(settleTolerance(RULE, 990, [metric])).toMatchObject({
      form: 'offset-slope',
      offset: expect.closeTo(0.1, 12) as number,
      slope: expect.closeTo(0.0008, 12) as number,
    })
    const own = { form: 'offset-slope', mode: 'plane', offset: 0.2, slope: 0.001 } as const
    expect(settleTolerance(own, 990, [metric])).toBe(own)
  })

  it('no table at all gives the starting values at every speed', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 20_000, noNaN: true }), (rpm) => {
        expect(settleTolerance(RULE, rpm, [])).toEqual(settleTolerance(RULE, rpm))
      }),
    )
  })

  it('a job is judged by the tables of its opening, in the row of the speed that was read off', () => {
    const machine = {
      ...TEST_MACHINE,
      tolerance: RULE,
      limitSets: [set('works', [row(1000, 5, 1), row(2000, 2, 0.5)])],
    }
    const slow = new TestJob(machine).open(990).state.tolerance
    const fast = new TestJob(machine).open(1480).state.tolerance
    expect(slow.form === 'offset-slope' && slow.offset / MIL).toBeCloseTo(5, 9)
    expect(fast.form === 'offset-slope' && fast.offset / MIL).toBeCloseTo(2, 9)
  })
})
