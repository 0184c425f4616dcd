import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from './testJob'
import { isHotVisit } from './coupledTurn'

const STRAIGHT = inMil(0, 0, 0, 0)
const current = (job: TestJob) => job.fold().sheet.current

/** Looked over, roughed in, set up and read in band. */
const aligned = () => {
  const job = new TestJob(TEST_MACHINE).open().lockOut().look()
  job.rises()
  job.feelHubs()
  job.add({ kind: 'set-up', payload: new TestJob().ready().entries.at(-1)!.payload as never })
  job.read(STRAIGHT)
  job.read(STRAIGHT)
  return job
}

describe('whose turn it is while the power is on', () => {
  it('is the proof’s from the bump to what was seen, then the lockout’s, then the proof’s again', () => {
    const job = aligned()
    const seen = [current(job)]
    job.add({ kind: 'bump-begun', payload: { by: '' } })
    seen.push(current(job))
    job.add({ kind: 'rotation-seen', payload: { seen: 'right', words: '' } })
    seen.push(current(job))
    job.lockOut()
    seen.push(current(job))
    expect(seen).toEqual(['prove', 'prove', 'make-safe', 'prove'])
  })

  it('goes to the close once everything is proved, or the proof was passed over with a reason', () => {
    expect(current(aligned().prove())).toBe('close')
    const passed = aligned()
    passed.add({ kind: 'stage-skipped', payload: { stage: 'prove', why: 'the fitters couple it up' } })
    expect(current(passed)).toBe('close')
    expect(passed.mark('prove')).toMatchObject({ mark: 'skipped', skipped: 'the fitters couple it up' })
  })

  it('comes back to the proof when the coupling is opened again behind it', () => {
    const job = aligned().prove()
    job.add({ kind: 'coupling-opened', payload: { why: 'a bolt was forgotten' } })
    expect(current(job)).toBe('prove')
    expect(job.state.proof.next).toBe('made-up')
  })

  it('a bump that nobody has told the end of keeps hands out of every stage', () => {
    const job = aligned()
    job.add({ kind: 'bump-begun', payload: { by: '' } })
    expect(job.state.safety.lost?.kind).toBe('bump-begun')
    expect(job.mark('make-safe')?.mark).toBe('stale')
  })
})

describe('a visit for the hot check alone', () => {
  it('ends to be one once something was moved or read cold', () => {
    const job = new TestJob()
    job.add({
      kind: 'job-opened',
      payload: { reason: 'hot-check', rpm: 990, customer: '', note: '' },
    })
    expect(isHotVisit(job.state)).toBe(true)
    job.lockOut()
    job.add({ kind: 'set-up', payload: new TestJob().ready().entries.at(-1)!.payload as never })
    job.read(STRAIGHT)
    expect(isHotVisit(job.state)).toBe(false)
    expect(isHotVisit(new TestJob().open().state)).toBe(false)
  })
})
