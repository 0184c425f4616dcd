import { describe, expect, it } from 'vitest'
import { clockErrorCost, clockOfArc } from '../../frame/clock'
import { inMil, TestJob } from '../../jobs/testJob'
import { plansFor } from '../plan/planning'
import type { TypedReading } from './entries'

const TRUTH = inMil(-8.4, 5.1, -0.36, 0.22)
/** A set of the simulated machine with each circle's readings changed. */
const taken = (change: (list: readonly TypedReading[]) => readonly TypedReading[], sets = 2) => {
  const job = new TestJob().ready()
  for (let i = 0; i < sets; i++) {
    const { payload } = job.read(TRUTH)
    const entry = job.entries.pop()
    const circles = Object.fromEntries(Object.entries(payload.circles).map(([c, list]) => [c, change(list)]))
    if (entry) job.add({ kind: 'readings-taken', payload: { ...payload, circles } })
  }
  return job
}
const mil = (x: number | null | undefined) => (x == null ? null : x / 0.0254)
/** Each plane read from a zero of its own. */
const zeroedTwice = (list: readonly TypedReading[]) => {
  const at3 = list.find((r) => r.clock === 90)?.value ?? 0
  return list.map((r) =>
    r.clock % 180 === 0 ? { ...r, group: '12-6' } : { ...r, value: r.value - at3, group: '3-9' },
  )
}

describe('a set zeroed at 12 for 12 and 6, again at 3 for 3 and 9', () => {
  it('finds the same machine, and holds no sum across its two zeros', () => {
    const job = taken(zeroedTwice)
    const { coupling, sets, trust } = job.state.latest
    expect(mil(coupling?.offset.v)).toBeCloseTo(-8.4, 2)
    expect(mil(coupling?.offset.h)).toBeCloseTo(5.1, 2)
    expect(sets[0]?.set.sums).toEqual({})
    expect(sets[0]?.set.flags).toContain('unproven')
    expect(trust).toBe('agreed')
  })
})

describe('one plane alone', () => {
  const vertical = (list: readonly TypedReading[]) => list.filter((r) => r.clock % 180 === 0)
  it('leaves the other unknown and says so, never zero', () => {
    const { coupling, sets, judgement } = taken(vertical).state.latest
    expect(mil(coupling?.offset.v)).toBeCloseTo(-8.4, 2)
    expect([coupling?.offset.h, coupling?.slope.h]).toEqual([null, null])
    expect(sets[0]?.set.flags).toContain('single-plane')
    expect(judgement?.quantities.find((q) => q.name === 'offset.h')?.value ?? null).toBeNull()
  })

  it('offers no plan that would leave half of the machine unknown', () => {
    expect(plansFor(taken(vertical).state)).toBeNull()
  })

  it('can’t close a job without a word: its verdict is not known', () => {
    expect(taken(vertical).state.outcome.exceptions.length).toBeGreaterThan(0)
  })
})

it('a start at the side changes nothing but the constant', () => {
  const from3 = (list: readonly TypedReading[]) => {
    const at3 = list.find((r) => r.clock === 90)?.value ?? 0
    return [...list.slice(1), ...list.slice(0, 1)].map((r) => ({ ...r, value: r.value - at3 }))
  }
  const { coupling, trust } = taken(from3).state.latest
  expect([mil(coupling?.offset.h)?.toFixed(2), trust]).toEqual(['5.10', 'agreed'])
})

it('marks on a rim are told by arc and diameter; 5 degrees off cost a chord of the swing', () => {
  expect(clockOfArc(Math.PI * 2, 8)).toBeCloseTo(90, 9)
  expect(clockErrorCost(10, 5)).toBeCloseTo(0.872, 3)
  // At the steepest place of the swing, where it costs most: from 2.5 degrees before 3 to 2.5 after.
  const swing = (deg: number) => 10 * Math.cos((deg * Math.PI) / 180)
  expect(clockErrorCost(10, 5)).toBeCloseTo(swing(87.5) - swing(92.5), 9)
})
