import { describe, expect, it } from 'vitest'
import { TestJob } from '../jobs/testJob'
import { keepSkips, NO_SKIPS } from './skips'
import { conflict, defineStage, invalid, sheetOf, stageObjection, type Mark, type Skips } from './stage'

interface Work {
  readonly skips: Skips
  readonly marks: Readonly<Record<'wash' | 'cut' | 'ship', Mark>>
  readonly wants: readonly string[]
}
const stage = <const Id extends 'wash' | 'cut' | 'ship'>(id: Id, skip: 'never' | 'once' | 'each-round') =>
  defineStage({
    id,
    writes: id === 'cut' ? ['move-made', 'remark'] : ['remark'],
    skip,
    mark: (job: Work) => job.marks[id],
    wants: (job: Work) => job.wants.includes(id),
    objection: (job: Work) => (job.marks[id] === 'stale' ? conflict('nothing-moved') : null),
  })
const STAGES = [stage('wash', 'never'), stage('cut', 'once'), stage('ship', 'each-round')] as const
const work = (more: Partial<Work> = {}): Work => ({
  skips: NO_SKIPS,
  marks: { wash: 'todo', cut: 'todo', ship: 'todo' },
  wants: [],
  ...more,
})
const entries = new TestJob()
const skip = (now: Skips, which: string, why = 'no time') =>
  keepSkips(now, entries.add({ kind: 'stage-skipped', payload: { stage: which, why } }))
const move = (now: Skips) =>
  keepSkips(
    now,
    entries.add({ kind: 'move-made', payload: { units: 'inch', changes: [], side: [], remark: '' } }),
  )

describe('whose turn it is', () => {
  it('is the first stage of the sheet that wants', () => {
    expect(sheetOf(STAGES, work({ wants: ['ship', 'cut'] })).current).toBe('cut')
    expect(sheetOf(STAGES, work({ wants: ['ship'] })).current).toBe('ship')
  })

  it('is the last one’s when none wants', () => {
    expect(sheetOf(STAGES, work()).current).toBe('ship')
  })

  it('is not a stage’s that was passed over', () => {
    const skips = skip(NO_SKIPS, 'cut')
    expect(sheetOf(STAGES, work({ skips, wants: ['cut', 'ship'] })).current).toBe('ship')
  })

  it('stays with a stage that may never be passed over', () => {
    const skips = skip(NO_SKIPS, 'wash')
    expect(sheetOf(STAGES, work({ skips, wants: ['wash'] })).current).toBe('wash')
  })
})

describe('a stage that was passed over', () => {
  const rowOf = (job: Work, id: string) => sheetOf(STAGES, job).rows.find((r) => r.id === id)

  it('says so with its reason, the last one given', () => {
    const skips = skip(skip(NO_SKIPS, 'cut', 'first'), 'cut', 'second')
    expect(rowOf(work({ skips }), 'cut')).toEqual({ id: 'cut', mark: 'skipped', skipped: 'second' })
  })

  it('counts as done once it was done after all', () => {
    const skips = skip(NO_SKIPS, 'cut')
    const marks = { wash: 'todo', cut: 'in', ship: 'todo' } as const
    expect(rowOf(work({ skips, marks }), 'cut')).toEqual({ id: 'cut', mark: 'in', skipped: null })
  })

  it('for this round comes back after the next move; once for all stays away', () => {
    const skips = move(skip(skip(NO_SKIPS, 'cut'), 'ship'))
    expect(rowOf(work({ skips }), 'ship')?.mark).toBe('todo')
    expect(rowOf(work({ skips }), 'cut')?.mark).toBe('skipped')
  })

  it('a move without anything passed over changes nothing', () => {
    expect(move(NO_SKIPS)).toBe(NO_SKIPS)
  })
})

describe('what a stage says against an entry', () => {
  const remark = entries.add({ kind: 'remark', payload: { text: 'x' } })
  const opened = entries.add({ kind: 'lockout-waived', payload: { why: 'x' } })

  it('is nothing when it takes it', () => {
    expect(stageObjection(STAGES, work(), remark)).toBeNull()
  })

  it('a kind that no stage writes is not this job’s', () => {
    expect(stageObjection(STAGES, work(), opened)).toEqual(conflict('not-this-job'))
  })

  it('any stage that writes the kind may veto it', () => {
    const marks = { wash: 'todo', cut: 'todo', ship: 'stale' } as const
    expect(stageObjection(STAGES, work({ marks }), remark)).toEqual(conflict('nothing-moved'))
  })

  it('tells a logbook that has moved on from an entry that is wrong', () => {
    expect(conflict('job-closed')).toEqual({ code: 'job-closed', sort: 'conflict', path: [] })
    expect(invalid('no-such-feet', 'changes', 0)).toEqual({
      code: 'no-such-feet',
      sort: 'invalid',
      path: ['changes', 0],
    })
  })
})
