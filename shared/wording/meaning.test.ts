import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../core/logbook/testJob'
import { plansFor } from '../../core/logbook/planning'
import { blockedWords, handlingWords, liftWords, meaningOfPlan } from './plans'
import { findingOf } from './progress'
import { meaningOfReadings } from './readings'
import { trustRows } from './trustRows'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const meaning = (job: TestJob) => meaningOfReadings(job.fold().latest, 'motor', 'inch')

describe('what the readings mean', () => {
  it('begins with what to do', () => {
    expect(meaning(new TestJob().ready())).toMatchObject({
      mark: 'todo',
      headline: 'Read rim and face at each position.',
    })
  })

  it('asks to repeat a set that balances', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    expect(meaning(job)).toMatchObject({
      mark: 'todo',
      headline: 'This set balances. Repeat it before you move anything.',
    })
    expect(meaning(job).detail).toContain('motor 8.4 mil low, 5.1 mil toward 3')
  })

  it('names the one reading that does not repeat', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    expect(meaning(job)).toMatchObject({
      mark: 'out',
      headline: 'The 9 o’clock face reading does not repeat. Take it again.',
    })
    expect(meaning(job).detail).toContain('outboard feet')
  })

  it('says how far a lone set is from balancing, and that it can’t tell which reading', () => {
    const job = new TestJob().ready()
    job.read(LOW, { clock: 90, by: 4 })
    expect(meaning(job)).toMatchObject({ headline: 'The face does not balance: 4.0 apart, limit 2.0.' })
    expect(meaning(job).detail).toContain('can’t tell which')
  })

  it('asks for a third set when two sound ones differ', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(inMil(-8.4, 5.1, -1.6, 0.22))
    expect(meaning(job).headline).toMatch(/Read a third one|does not repeat/)
  })

  it.each([
    [inMil(1, 0, 0.1, 0), 'in', /^In band\. Motor 1\.0 mil high/],
    [inMil(4.5, 0, 0, 0), 'edge', /^Inside the limit, but near its edge/],
    [LOW, 'out', /Out of band\.$/],
  ] as const)('judges what repeats', (truth, mark, headline) => {
    const job = new TestJob().ready()
    job.read(truth)
    job.read(truth)
    expect(meaning(job).mark).toBe(mark)
    expect(meaning(job).headline).toMatch(headline)
  })

  it('says when a reading was used against its check', () => {
    const job = new TestJob().ready()
    const bad = job.read(LOW, { clock: 90, by: 4 })
    job.add({ kind: 'set-used-anyway', payload: { set: bad.id, why: 'x' } })
    expect(meaning(job).detail).toContain('against a failed check')
  })
})

describe('the trust table', () => {
  const rowsOf = (job: TestJob) => trustRows(job.fold().latest, 'inch')

  it('has the sum checks, the return to zero, and the worst repeat of each dial', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    expect(rowsOf(job).map((r) => [r.name, r.found, r.limit, r.passes])).toEqual([
      ['Rim, sum check', '0.0', '2.0', true],
      ['Face, sum check', '3.0', '2.0', false],
      ['Return to zero', '0.0', '0.5', true],
      ['Repeat, rim at 12', '0.0', '1.0', true],
      ['Repeat, face at 9', expect.stringMatching(/^2\.[23]$/), '1.0', false],
    ])
  })

  it('is empty before the first set', () => {
    expect(rowsOf(new TestJob().ready())).toEqual([])
  })

  it('says when nothing is spare', () => {
    const job = new TestJob().ready()
    const three = [0, 120, 240].map((clock) => ({ clock, value: 0 }))
    job.add({ kind: 'readings-taken', payload: { units: 'inch', rim: three, face: three, returned: null } })
    expect(rowsOf(job)[0]).toMatchObject({ name: 'Rim, spare readings', found: 'none', passes: false })
  })
})

describe('the run sheet', () => {
  it('has a line for each stage as it fills', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    expect(findingOf(job.fold(), 'make-safe', 'inch')).toBe('')
    job.add({ kind: 'safety-confirmed', payload: { point: 'isolated', permit: '' } })
    expect(findingOf(job.fold(), 'make-safe', 'inch')).toBe('Next: locked and tagged')
    job.add({ kind: 'power-restored', payload: { why: 'bump' } })
    expect(findingOf(job.fold(), 'make-safe', 'inch')).toBe('Power came back: confirm again')

    const ready = new TestJob().ready()
    expect(findingOf(ready.fold(), 'make-safe', 'inch')).toMatch(/^Locked out \d\d:\d\d$/)
    expect(findingOf(ready.fold(), 'set-up', 'inch')).toBe('Rim and face, sag 3.0')
    ready.read(LOW)
    ready.read(LOW)
    expect(findingOf(ready.fold(), 'as-found', 'inch')).toBe('Two sets agree: out')
    ready.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by eye' } })
    expect(findingOf(ready.fold(), 'plan', 'inch')).toBe('Passed over: by eye')
  })
})

describe('plans in words', () => {
  it('say what goes under the feet, how much is handled and what it means', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    const result = plansFor(TEST_MACHINE, job.fold())
    const plan = result?.plans[0]
    if (!plan) throw new Error('no plan')
    expect(liftWords(plan, 'inch')).toMatch(/^add \d+\.\d \/ add \d+\.\d$/)
    expect(handlingWords(plan)).toBe(`both pairs, ${plan.shimsHandled} shims`)
    expect(meaningOfPlan(job.fold().latest.judgement, plan.judgement, true)).toMatchObject({ mark: 'in' })
    expect(meaningOfPlan(null, null, false).headline).toContain('nothing to plan from')
    expect(meaningOfPlan(plan.judgement, plan.judgement, false).headline).toContain('Nothing needs to move')
  })

  it('say which foot is blocked, which way and why', () => {
    expect(
      blockedWords(
        {
          id: 'outboard',
          machine: 'movable',
          plane: 'h',
          need: 18 * 0.0254,
          room: 4 * 0.0254,
          reason: 'bolt-bound',
        },
        'inch',
      ),
    ).toBe('Outboard feet should go 18.0 mil toward 3, can go 4.0 mil: no room left in the bolt holes.')
    expect(
      blockedWords(
        { id: 'inboard', machine: 'movable', plane: 'v', need: -0.1, room: 0, reason: 'no-shim' },
        'metric',
      ),
    ).toContain('0.100 mm down')
  })
})
