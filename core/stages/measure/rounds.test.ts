import { describe, expect, it } from 'vitest'
import { inMil, SET_UP, TestJob } from '../../jobs/testJob'
import type { LogEntry } from '../../logbook/entry'
import { keepRounds, NO_ROUNDS, type Rounds } from './rounds'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const MOVE = { kind: 'move-made', payload: { units: 'inch', changes: [], side: [], remark: '' } } as const
const PLAN = {
  kind: 'plan-chosen',
  payload: { units: 'inch', option: 'own', changes: [], side: [], sets: null },
} as const

/** The rounds of a logbook; each reading meets the set-up that was in force. */
const roundsOf = (entries: readonly LogEntry[]): Rounds => {
  let setUp: LogEntry<'set-up'> | null = null
  return entries.reduce<Rounds>((now, e) => {
    if (e.kind === 'set-up') setUp = e
    return keepRounds(now, e, setUp, false)
  }, NO_ROUNDS)
}
const job = () => new TestJob().ready()

describe('rounds', () => {
  it('begin with one that is empty', () => {
    expect(roundsOf([])).toEqual([{ sets: [], plan: null, filled: [], counts: [], move: null }])
  })

  it('take sets in their order until a move ends them', () => {
    const j = job()
    const a = j.read(LOW)
    const b = j.read(LOW)
    const move = j.add(MOVE)
    const c = j.read(LOW)
    const rounds = roundsOf(j.entries)
    expect(rounds.map((r) => r.sets.map((s) => s.entry.id))).toEqual([[a.id, b.id], [c.id]])
    expect(rounds.map((r) => r.move?.id ?? null)).toEqual([move.id, null])
  })

  it('leave out readings that no set-up stands behind', () => {
    const j = job()
    const a = j.read(LOW)
    expect(keepRounds(NO_ROUNDS, a, null, false)).toBe(NO_ROUNDS)
  })

  it('each set keeps the set-up it was read in', () => {
    const j = job()
    const first = j.entries.find((e) => e.kind === 'set-up')
    j.read(LOW)
    const second = j.add({ kind: 'set-up', payload: SET_UP })
    j.read(LOW)
    const [round] = roundsOf(j.entries)
    expect(round.sets.map((s) => s.setUp.id)).toEqual([first?.id, second.id])
  })

  it('the last word on a set holds', () => {
    const j = job()
    const a = j.read(LOW)
    j.add({ kind: 'set-left-out', payload: { set: a.id, why: 'touched' } })
    const used = j.add({ kind: 'set-used-anyway', payload: { set: a.id, why: 'no time' } })
    expect(roundsOf(j.entries)[0].sets[0]?.note?.id).toBe(used.id)
  })

  it('a word on a set of an earlier round changes nothing', () => {
    const j = job()
    const a = j.read(LOW)
    j.add(MOVE)
    const before = roundsOf(j.entries)
    j.add({ kind: 'set-left-out', payload: { set: a.id, why: 'late' } })
    expect(roundsOf(j.entries)).toEqual(before)
  })
})

describe('a plan in its round', () => {
  it.each([
    ['a set was read', (j: TestJob) => void j.read(LOW)],
    [
      'a set was left out',
      (j: TestJob) => void j.add({ kind: 'set-left-out', payload: { set: setId(j), why: 'x' } }),
    ],
    [
      'a set was put back',
      (j: TestJob) => void j.add({ kind: 'set-used-anyway', payload: { set: setId(j), why: 'x' } }),
    ],
  ])('is overtaken once %s', (_, then) => {
    const j = job()
    j.read(LOW)
    j.add(PLAN)
    expect(roundsOf(j.entries)[0].plan?.overtaken).toBe(false)
    then(j)
    expect(roundsOf(j.entries)[0].plan?.overtaken).toBe(true)
  })

  it('is replaced by a later one, and stays behind when the machine was moved', () => {
    const j = job()
    j.read(LOW)
    j.add(PLAN)
    j.read(LOW)
    const second = j.add(PLAN)
    expect(roundsOf(j.entries)[0].plan).toEqual({ entry: second, overtaken: false, retargeted: false })
    j.add(MOVE)
    expect(roundsOf(j.entries)[1]?.plan).toBeNull()
  })
})

it('a set that was folded before is the very object it was', () => {
  const j = job()
  j.read(LOW)
  const before = roundsOf(j.entries)[0].sets[0]
  j.read(LOW)
  expect(roundsOf(j.entries)[0].sets[0]).toBe(before)
})

const setId = (j: TestJob): string => j.entries.find((e) => e.kind === 'readings-taken')?.id ?? ''
