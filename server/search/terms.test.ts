import { describe, expect, it } from 'vitest'
import { foldJob } from '../../core/jobs/jobs'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import type { LogEntry } from '../../core/logbook/entry'
import { knownAfter, knownIn } from './known'
import { plainWords, termsOf, wordsOfMachine, writtenIn } from './terms'

const PLACE = { tag: 'CP-11', name: 'Clay ball mill', area: 'Clay preparation' }
const terms = (job: TestJob) =>
  termsOf(PLACE, foldJob(TEST_MACHINE, [...job.entries]), knownIn(PLACE, job.entries))

describe('what a job is found by', () => {
  it('is words in small letters, a tag taken apart as whoever looks for it takes it apart', () => {
    expect(plainWords('CP-11 “Kügelmühle”, 3 o’clock!')).toBe('cp 11 kügelmühle 3 o clock')
    expect(plainWords(' -- ')).toBe('')
    expect(wordsOfMachine(PLACE)).toContain('Clay ball mill')
  })

  it('is what people wrote, wherever in an entry it stands, and why they corrected one', () => {
    const entry = {
      payload: { note: 'hums', deep: [{ remark: 'at the pump end' }, { value: 3 }], kind: 'set' },
      supersedes: { entry: 'x', reason: 'misread' },
    } as unknown as LogEntry
    expect(writtenIn(entry)).toBe('misread hums at the pump end')
    expect(writtenIn({ payload: { units: 'inch' }, supersedes: null } as unknown as LogEntry)).toBe('')
  })

  it('is its kind, state, place, reason and customer, and who wrote in it', () => {
    const job = new TestJob().open()
    job.add({ kind: 'remark', payload: { text: 'x' } }, { author: 'Somebody-Else' })
    expect(terms(job)).toEqual([
      'kind:coupled',
      'verdict:unknown',
      'machine:cp-11',
      'area:clay preparation',
      'state:open',
      'reason:planned',
      'person:someone',
      'person:somebody-else',
    ])
    const [opening] = job.entries
    if (opening?.kind !== 'job-opened') throw new Error('not opened')
    job.add(
      { kind: 'job-opened', payload: { ...opening.payload, reason: 'wear', customer: 'North Hall ' } },
      { supersedes: { entry: opening.id, reason: 'x' } },
    )
    expect(terms(job)).toEqual(expect.arrayContaining(['reason:wear', 'customer:north hall']))
    expect(terms(job)).not.toContain('reason:planned')
  })

  it('is how it was closed: its verdict as signed, and that it took an exception', () => {
    const job = new TestJob().ready()
    job.add({
      kind: 'job-closed',
      payload: { signedBy: 'x', remarks: '', exception: 'late', signed: { verdict: 'out', foldVersion: 3 } },
    })
    expect(terms(job)).toEqual(expect.arrayContaining(['state:closed', 'verdict:out', 'exception:yes']))
  })

  it('is the same told entry by entry as told whole, and nothing new where nothing is', () => {
    const job = new TestJob().ready()
    job.add({ kind: 'remark', payload: { text: 'Hums at the pump end.' } }, { author: 'another' })
    job.add({ kind: 'remark', payload: { text: 'pump END hums' } })
    const [opening] = job.entries
    if (opening?.kind !== 'job-opened') throw new Error('not opened')
    job.add(
      { kind: 'job-opened', payload: { ...opening.payload, customer: 'Quarry' } },
      { supersedes: { entry: opening.id, reason: 'misheard' } },
    )
    let known = knownIn(PLACE, [])
    job.entries.forEach((entry, i) => {
      const before = known
      known = knownAfter(known, job.entries.slice(0, i + 1), [entry])
      if (entry.kind === 'remark' && i > 0 && before.words.has('hums')) expect(known.words).toBe(before.words)
    })
    const whole = knownIn(PLACE, job.entries)
    expect([...known.words].sort()).toEqual([...whole.words].sort())
    expect(known.people).toEqual(whole.people)
    expect(known.opening).toEqual(whole.opening)
    expect(known.opening?.payload.customer).toBe('Quarry')
  })
})
