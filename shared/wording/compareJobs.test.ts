import { describe, expect, it } from 'vitest'
import { foldJob } from '../../core/jobs/jobs'
import { lift, TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { compareJobs } from './compareJobs'
import { tellingOf } from './telling'

const telling = tellingOf('inch', TEST_MACHINE)
const folded = (work: (job: TestJob) => void) => {
  const job = new TestJob().ready()
  work(job)
  return foldJob(job.machine, job.entries)
}
const plain = folded(() => undefined)
const shimmed = folded((job) => {
  job.add({
    kind: 'move-made',
    payload: { units: 'inch', changes: lift('inboard', [12]), side: [], remark: '' },
  })
  job.add({
    kind: 'job-closed',
    payload: { signedBy: 'Lead', remarks: '', exception: 'Not read.', signed: null },
  })
})

describe('two jobs beside each other', () => {
  it('differ in nothing when they are the same', () => {
    expect(compareJobs(plain, plain, telling).filter((r) => r.differs)).toEqual([])
  })

  it('say what is under each foot, who signed and how often it was moved', () => {
    const rows = compareJobs(plain, shimmed, telling)
    const row = (name: string) => rows.find((r) => r.name === name)
    expect(row('Moves')).toMatchObject({ first: '0', second: '1', differs: true })
    expect(row('Signed by')).toMatchObject({ first: '', second: 'Lead', differs: true })
    const inboard = row('Shims, inboard left')
    expect(inboard?.second).toContain('12')
    expect(inboard?.differs).toBe(true)
    expect(row('Shims, outboard left')?.differs).toBe(false)
    expect(row('Speed')).toMatchObject({ first: '990 rpm', differs: false })
  })

  it('keep what only one of them has, with nothing beside it', () => {
    const machine = { ...TEST_MACHINE, rpm: 1480 }
    const other = new TestJob(machine).ready()
    const rows = compareJobs(plain, foldJob(machine, other.entries), telling)
    expect(rows.map((r) => r.name)).toContain('Limits')
    expect(new Set(rows.map((r) => r.name)).size).toBe(rows.length)
  })
})
