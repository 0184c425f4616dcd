import { describe, expect, it } from 'vitest'
import { positionAt } from '../../frame/planes'
import { foldJob } from '../../jobs/jobs'
import { TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { judge } from '../../judge/judge'
import { settleTolerance } from '../../judge/tolerance'
import type { FootRise, TargetPayload } from './entries'
import { amountsToNothing, coldTarget, sameTarget, tryTarget } from './target'

const MIL = 0.0254
const hot = (pair: string, x: number, running: number, height = 400): FootRise => ({
  pair,
  x,
  heat: { material: 'cast-iron', alpha: null, height, cold: 20, running },
  rise: null,
  side: 0,
})
const typed = (pair: string, x: number, rise: number, side = 0): FootRise => ({
  pair,
  x,
  heat: null,
  rise,
  side,
})
const growth = (
  stationary: readonly FootRise[],
  movable: readonly FootRise[],
  units: TargetPayload['units'] = 'metric',
): TargetPayload => ({
  units,
  given: {
    way: 'growth',
    machines: [
      ...(stationary.length > 0 ? [{ machine: 'stationary' as const, feet: stationary }] : []),
      ...(movable.length > 0 ? [{ machine: 'movable' as const, feet: movable }] : []),
    ],
  },
  source: '',
  learned: null,
})
const LOW: TargetPayload = {
  units: 'inch',
  given: { way: 'line', line: { offset: { v: -6, h: 0 }, slope: { v: 0, h: 0 } } },
  source: 'sheet 7',
  learned: null,
}
const LIMITS = settleTolerance({ form: 'offset-slope', mode: 'plane', offset: 0.127, slope: 0.001 }, 990)

describe('a cold target', () => {
  it('is below a driven machine that rises more, by alpha times height times rise', () => {
    const { line } = tryTarget(growth([typed('a', -300, 0.02), typed('b', -800, 0.02)], [hot('c', 300, 60), hot('d', 900, 60)])) // prettier-ignore
    // The motor rises 10.6e-6 * 400 * 40 = 0.1696, the driven one 0.02: it is set 0.1496 low, level.
    expect(line.offset.v).toBeCloseTo(0.02 - 0.1696, 9)
    expect(line.slope.v).toBeCloseTo(0, 12)
  })

  it('tilts where one end runs hotter, and leans where a machine grows sideways', () => {
    const { line } = tryTarget(growth([], [typed('c', 300, 0.1, -0.03), typed('d', 900, 0.25, 0.03)]))
    expect(positionAt(line, 300)).toEqual({ v: expect.closeTo(-0.1, 9), h: expect.closeTo(0.03, 9) })
    expect(positionAt(line, 900)).toEqual({ v: expect.closeTo(-0.25, 9), h: expect.closeTo(-0.03, 9) })
  })

  it('is the same in either unit', () => {
    const metric = tryTarget(growth([], [hot('c', 254, 65), hot('d', 762, 50)]))
    const inch = tryTarget(
      growth(
        [],
        [
          { ...hot('c', 10, 149, 400 / 25.4), heat: { ...hot('c', 10, 149, 400 / 25.4).heat!, cold: 68 } },
          { ...hot('d', 30, 122, 400 / 25.4), heat: { ...hot('d', 30, 122, 400 / 25.4).heat!, cold: 68 } },
        ],
        'inch',
      ),
    )
    expect(inch.line.offset.v).toBeCloseTo(metric.line.offset.v!, 9)
    expect(inch.line.slope.v).toBeCloseTo(metric.line.slope.v!, 12)
  })

  it('amounts to nothing where both grow alike, and is called so within a twentieth of the limits', () => {
    const alike = growth([hot('a', -300, 60), hot('b', -800, 60)], [hot('c', 300, 60), hot('d', 900, 60)])
    expect(amountsToNothing(tryTarget(alike), LIMITS)).toBe(true)
    const hair = growth([], [typed('c', 300, 0.006), typed('d', 900, 0.006)])
    expect(amountsToNothing(tryTarget(hair), LIMITS)).toBe(true)
    const more = growth([], [typed('c', 300, 0.007), typed('d', 900, 0.007)])
    expect(amountsToNothing(tryTarget(more), LIMITS)).toBe(false)
  })

  it('is told from another by what it says, not by the units it was typed in', () => {
    const metric = tryTarget({ ...LOW, units: 'metric', given: { way: 'line', line: { offset: { v: -6 * MIL, h: 0 }, slope: { v: 0, h: 0 } } } }) // prettier-ignore
    expect(sameTarget(metric, tryTarget(LOW))).toBe(true)
    expect(sameTarget(metric, tryTarget({ ...LOW, source: 'sheet 8' }))).toBe(false)
    expect(sameTarget(metric, tryTarget({ ...LOW, given: { way: 'none' } }))).toBe(false)
    // Both machines hotter by as much: the line is the same, the target isn't.
    const both = (t: number) =>
      tryTarget(growth([hot('a', -300, t), hot('b', -800, t)], [hot('c', 300, t), hot('d', 900, t)]))
    expect(sameTarget(both(60), both(60))).toBe(true)
    expect(sameTarget(both(60), both(70))).toBe(false)
  })

  it('is the register’s until the job says otherwise, and straight where the job says so', () => {
    expect(coldTarget(TEST_MACHINE, null)).toMatchObject({ from: 'none', line: { offset: { v: 0 } } })
    const machine = { ...TEST_MACHINE, target: LOW }
    const known = coldTarget(machine, null)
    expect(known).toMatchObject({ from: 'register', line: { offset: { v: expect.closeTo(-6 * MIL, 9) } } })
    expect(coldTarget(machine, null)).toBe(known)
    const job = new TestJob(machine).open()
    job.add({ kind: 'target-set', payload: { ...LOW, given: { way: 'none' } } })
    const folded = foldJob(machine, job.entries)
    expect(folded.kind === 'coupled' && folded.state.coldTarget).toMatchObject({
      from: 'job',
      line: { offset: { v: 0 } },
    })
  })
})

describe('a job with a cold target', () => {
  const at = (v: number) => ({ offset: { v, h: 0 }, slope: { v: 0, h: 0 } })
  const measured = (v: number) => {
    const job = new TestJob().ready()
    job.read(at(v))
    job.read(at(v))
    return job
  }

  it('judges from the target: what stood straight is out, what stands on the line is in', () => {
    const straight = measured(0)
    expect(straight.state.latest.judgement?.verdict).toBe('in')
    straight.add({ kind: 'target-set', payload: LOW })
    expect(straight.state.latest.judgement?.verdict).toBe('out')
    const [offset] = straight.state.latest.judgement!.quantities
    expect(offset).toMatchObject({ value: expect.closeTo(6 * MIL, 9), aim: expect.closeTo(-6 * MIL, 9) })
    const low = measured(-6)
    low.add({ kind: 'target-set', payload: LOW })
    expect(low.state.latest.judgement?.verdict).toBe('in')
    expect(low.state.asFound?.judgement?.verdict).toBe('in')
  })

  it('has a plan chosen again when it is to aim elsewhere', () => {
    const job = measured(-12)
    job.add({
      kind: 'plan-chosen',
      payload: {
        units: 'inch',
        option: 'own',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: 2 }],
        sets: job.state.latest.used,
      },
    })
    expect(job.state.plan?.stale).toBe(false)
    job.add({ kind: 'target-set', payload: LOW })
    expect(job.state.plan?.stale).toBe(true)
  })

  it('marks its stage done, and never sends hands there', () => {
    const job = measured(-12)
    const row = () => foldJob(TEST_MACHINE, [...job.entries]).sheet.rows.find((r) => r.id === 'target')
    expect(row()?.mark).toBe('todo')
    expect(foldJob(TEST_MACHINE, [...job.entries]).sheet.current).toBe('plan')
    job.add({ kind: 'target-set', payload: LOW })
    expect(row()?.mark).toBe('done')
  })

  it('counts a vector from the target, and says how far off that stands', () => {
    const vector = settleTolerance({ form: 'offset-slope', mode: 'vector', offset: 0.1, slope: 0.001 }, 990)
    const line = { offset: { v: -6 * MIL, h: 0.05 }, slope: { v: 0, h: 0 } }
    const [offset] = judge(line, vector, tryTarget(LOW).line).quantities
    expect(offset).toMatchObject({
      name: 'offset',
      value: expect.closeTo(0.05, 9),
      aim: expect.closeTo(6 * MIL, 9),
    })
  })

  it('leaves a window where it is: that band is absolute', () => {
    const window = settleTolerance(
      {
        form: 'window',
        offset: { v: [-0.2, 0], h: [-0.1, 0.1] },
        slope: { v: [null, null], h: [null, null] },
      },
      990,
    )
    const judged = judge(
      { offset: { v: -0.1, h: 0 }, slope: { v: 0, h: 0 } },
      window,
      tryTarget(LOW).line,
    ).quantities
    expect(judged[0]).toMatchObject({ name: 'offset.v', value: -0.1, aim: 0, verdict: 'in' })
  })
})
