import { describe, expect, it } from 'vitest'
import { inMil, TestJob } from '../../core/jobs/testJob'
import { tellingOf } from './telling'
import { playWords, standingWords } from './readings'
import { trustRows } from './trustRows'

const LOW = inMil(-8, 5, -0.3, 0.2)
const T = tellingOf('inch', null)
/** A set read off the machine with the shafts turned the other way; the dials trail by so much at 3 (mil). */
const back = (job: TestJob, trail: number) => {
  const payload = job.readingsOf(LOW)
  const rim = (payload.circles.rim ?? []).map((r) => (r.clock === 90 ? { ...r, value: r.value + trail } : r))
  return job.add({
    kind: 'readings-taken',
    payload: { ...payload, circles: { ...payload.circles, rim }, turned: 'against' },
  })
}

describe('a set turned the other way', () => {
  it('shows play and is never mixed with the others', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    const before = job.state.latest
    back(job, 6)
    const m = job.state.latest
    expect([m.trust, m.used, m.coupling]).toEqual(['once', before.used, before.coupling])
    expect(m.play).toMatchObject({ over: true, dial: 'rim' })
    expect(playWords(m, T)).toMatch(/^Turned the other way the rim reads .* otherwise at .*: there is play\./)
    expect(standingWords(m, m.sets[1]!, T)).toBe('turned the other way: for play only')
    expect(trustRows(m, T).find((r) => r.name.startsWith('Play'))).toMatchObject({ passes: false })
    job.read(LOW)
    expect(job.state.latest.trust).toBe('agreed')
    expect(job.state.latest.used.length).toBe(2)
  })

  it('without play says so', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    back(job, 0)
    expect(playWords(job.state.latest, T)).toBe(
      'Turned the other way every dial reads the same within 1.0 mil: no play to mind.',
    )
  })

  it('is compared with the sets of its own set-up only, and the first set’s way counts', () => {
    const job = new TestJob().ready()
    expect(job.state.latest.play).toBeNull()
    back(job, 0)
    back(job, 0)
    expect([job.state.latest.trust, job.state.latest.play]).toEqual(['agreed', null])
    job.read(LOW)
    expect(job.state.latest.play?.over).toBe(false)
  })
})
