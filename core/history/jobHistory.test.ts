import { describe, expect, it } from 'vitest'
import { lift, TestJob } from '../jobs/testJob'
import type { EntryBody } from '../logbook/entry'
import { jobHistory, TOLD_BY } from './jobHistory'

const MIL = 0.0254
const move = (mil: readonly number[], side: readonly number[] = []): EntryBody => ({
  kind: 'move-made',
  payload: {
    units: 'inch',
    changes: lift('inboard', mil),
    side: side.map((moved) => ({ machine: 'movable', pair: 'outboard', moved })),
    remark: '',
  },
})

describe('the history of a job', () => {
  it('sums what was done at each foot over all moves, with everybody who did it once', () => {
    const job = new TestJob().ready()
    job.add(move([10, 2]), { author: 'day' })
    job.add(move([5], [-4, 1.5]), { author: 'night' })
    job.add(move([1]), { author: 'day' })
    const [inboard, outboard] = jobHistory(job.entries).moved
    expect(inboard).toMatchObject({ machine: 'movable', pair: 'inboard', pushed: 0, by: ['day', 'night'] })
    expect(inboard?.raised.left).toBeCloseTo(18 * MIL, 12)
    expect(inboard?.raised.right).toBeCloseTo(18 * MIL, 12)
    expect(outboard?.pushed).toBeCloseTo(-2.5 * MIL, 12)
    expect(outboard?.by).toEqual(['night'])
  })

  it('counts leaves under a soft foot on their own side', () => {
    const job = new TestJob().ready()
    job.fill(3, [12], [2])
    const [pair] = jobHistory(job.entries).moved
    expect(pair?.raised.right ?? 0).toBeCloseTo(pair?.raised.left === 0 ? 10 * MIL : 0, 12)
    expect((pair?.raised.left ?? 0) + (pair?.raised.right ?? 0)).toBeCloseTo(10 * MIL, 12)
  })

  it('counts what a rough-in pushed with what a move did', () => {
    const job = new TestJob().ready()
    const side = [{ machine: 'movable' as const, pair: 'outboard', moved: 30 }]
    job.add({ kind: 'hubs-roughed', payload: { units: 'inch', changes: [], side, remark: '' } })
    job.add(move([], [-4]))
    expect(jobHistory(job.entries).moved[0]?.pushed).toBeCloseTo(26 * MIL, 12)
  })

  it('goes by the correction and not by what was corrected, and leaves out what was undone', () => {
    const job = new TestJob().ready()
    const wrong = job.add(move([25]))
    job.add(move([2]), { supersedes: { entry: wrong.id, reason: 'Wrong box.' } })
    expect(jobHistory(job.entries).moved[0]?.raised.left).toBeCloseTo(2 * MIL, 12)
    const undone = new TestJob().ready()
    undone.fill(1, [5])
    undone.fill(1, [], [5])
    expect(jobHistory(undone.entries).moved).toEqual([])
  })

  it('is the same from the kinds it is told by alone', () => {
    const job = new TestJob().ready()
    job.add(move([10]))
    job.add({ kind: 'remark', payload: { text: 'Foot is springy.' } }, { author: 'night' })
    job.add({
      kind: 'job-closed',
      payload: { signedBy: 'A. Lead', remarks: 'Guard on.', exception: 'Not read.', signed: null },
    })
    const told = jobHistory(job.entries)
    expect(told).toMatchObject({ reason: 'planned', signedBy: 'A. Lead', exception: 'Not read.' })
    expect(told.remarks.map((r) => [r.text, r.by])).toEqual([
      ['Foot is springy.', 'night'],
      ['Guard on.', 'someone'],
    ])
    expect(jobHistory(job.entries.filter((e) => (TOLD_BY as readonly string[]).includes(e.kind)))).toEqual(
      told,
    )
  })
})
