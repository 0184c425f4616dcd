import { describe, expect, it, vi } from 'vitest'
import { inMil, TestJob } from '../jobs/testJob'
import { remember } from './remember'

describe('remember', () => {
  it('works out once for the very same objects, and again for others that look alike', () => {
    const work = vi.fn((a: { n: number }, b: { n: number }) => a.n + b.n)
    const sum = remember(work)
    const [a, b] = [{ n: 1 }, { n: 2 }]
    expect([sum(a, b), sum(a, b)]).toEqual([3, 3])
    expect(work).toHaveBeenCalledTimes(1)
    expect(sum(a, { n: 2 })).toBe(3)
    expect(sum(b, a)).toBe(3)
    expect(work).toHaveBeenCalledTimes(3)
  })

  it('knows a shorter list from a longer one, and none from some', () => {
    const list = remember((...all: readonly { n: number }[]) => all.length)
    const [a, b] = [{ n: 1 }, { n: 2 }]
    expect([list(), list(a), list(a, b), list(), list(a)]).toEqual([0, 1, 2, 0, 1])
  })

  it('keeps an answer that is undefined or null', () => {
    const work = vi.fn((_: object) => undefined)
    const nothing = remember(work)
    const about = {}
    nothing(about)
    nothing(about)
    expect(work).toHaveBeenCalledTimes(1)
  })

  it('lets a digit typed in a long job read one set anew, and none of the rest', () => {
    const job = new TestJob().ready()
    for (let n = 0; n < 12; n++) job.read(inMil(-8, 5, -0.3, 0.2))
    const before = job.state.latest.sets.map((s) => s.set)
    const draft = job.read(inMil(-8, 5.1, -0.3, 0.2))
    const after = job.state.latest.sets.map((s) => s.set)
    expect(after.slice(0, -1).every((s, i) => s === before[i])).toBe(true)
    expect(after[after.length - 1]?.entry).toBe(draft)
  })
})
