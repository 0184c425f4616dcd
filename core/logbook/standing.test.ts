import { describe, expect, it } from 'vitest'
import { TestJob } from '../jobs/testJob'
import type { EntryBody } from './entry'
import { standingEntries } from './standing'

const REMARK: EntryBody = { kind: 'remark', payload: { text: 'x' } }
const ids = (job: TestJob) => standingEntries(job.entries).map((e) => e.id)

describe('entries that stand', () => {
  it('keep the order of what they correct', () => {
    const job = new TestJob()
    const a = job.add(REMARK)
    const b = job.add(REMARK)
    const c = job.add(REMARK, { supersedes: { entry: a.id, reason: 'typo' } })
    expect(ids(job)).toEqual([c.id, b.id])
  })

  it('treat a correction of something unknown as an entry of its own', () => {
    const job = new TestJob()
    const a = job.add(REMARK, { supersedes: { entry: 'not here', reason: 'typo' } })
    expect(standingEntries(job.entries)).toEqual([a])
  })

  it('stand right before the move they were placed before, in their own order', () => {
    const job = new TestJob()
    const a = job.add(REMARK)
    const moved = job.add(REMARK)
    const late = job.add(REMARK, { before: moved.id })
    const later = job.add(REMARK, { before: moved.id })
    const last = job.add(REMARK)
    expect(ids(job)).toEqual([a.id, late.id, later.id, moved.id, last.id])
  })

  it('a correction of a placed entry takes its place', () => {
    const job = new TestJob()
    const moved = job.add(REMARK)
    const late = job.add(REMARK, { before: moved.id })
    const right = job.add(REMARK, { supersedes: { entry: late.id, reason: 'misread' } })
    expect(ids(job)).toEqual([right.id, moved.id])
  })
})
