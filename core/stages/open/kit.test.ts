import { describe, expect, it } from 'vitest'
import { TestJob } from '../../jobs/testJob'
import { overdueIn } from './kit'

const take = (job: TestJob, due: string | null) =>
  job.add({
    kind: 'tools-taken',
    payload: {
      tools: ['feelers'],
      instruments: [{ id: '1', name: 'Dial 3', due }],
      words: '',
    },
  })

describe('what is taken along', () => {
  it('needs no lockout, and the last list counts', () => {
    const job = new TestJob().open()
    expect([job.mark('open')?.mark, job.fold().sheet.current]).toEqual(['done', 'make-safe'])
    take(job, '2025-12-31')
    take(job, '2026-01-02')
    expect(job.state.kit?.payload.instruments[0]?.due).toBe('2026-01-02')
    expect(job.mark('open')?.mark).toBe('done')
  })

  // The test's logbook is written on the first of January 2026.
  it.each([
    ['2025-12-31', true],
    ['2026-01-01', false],
    ['2026-06-01', false],
    [null, false],
  ])('an instrument due %s is overdue: %s', (due, overdue) => {
    const job = new TestJob().open()
    take(job, due)
    expect(overdueIn(job.state.kit!).length > 0).toBe(overdue)
    expect(job.mark('open')?.mark).toBe(overdue ? 'stale' : 'done')
  })
})
