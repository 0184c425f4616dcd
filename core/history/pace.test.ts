import { describe, expect, it } from 'vitest'
import { inMil, lift, TestJob } from '../jobs/testJob'
import type { EntryBody } from '../logbook/entry'
import { moveTimes, paceOf, type MoveTime } from './pace'

const LOW = inMil(-12, 3, -0.5, 0.2)

/** A measured job in which entries are made so many minutes after the last. */
class TimedJob extends TestJob {
  private minutes = 0

  later(minutes: number, write: () => unknown): this {
    this.minutes += minutes
    const from = this.entries.length
    write()
    const madeAt = new Date(Date.UTC(2026, 0, 1, 9) + this.minutes * 60_000).toISOString()
    this.entries.splice(from, Infinity, ...this.entries.slice(from).map((e) => ({ ...e, madeAt })))
    return this
  }

  plan(minutes: number): this {
    const body: EntryBody = {
      kind: 'plan-chosen',
      payload: { units: 'inch', option: 'own', changes: lift('outboard', [5]), side: [], sets: null },
    }
    return this.later(minutes, () => this.add(body))
  }

  lifted(minutes: number): this {
    const payload = { units: 'inch', changes: lift('outboard', [5, 2]), side: [], remark: '' } as const
    return this.later(minutes, () => this.add({ kind: 'move-made', payload }))
  }

  pushed(minutes: number): this {
    const side = [
      { machine: 'movable', pair: 'inboard', moved: 3 },
      { machine: 'movable', pair: 'outboard', moved: 0 },
    ] as const
    return this.later(minutes, () =>
      this.add({ kind: 'move-made', payload: { units: 'inch', changes: [], side, remark: '' } }),
    )
  }

  again(minutes: number): this {
    return this.later(minutes, () => this.read(LOW))
  }

  get times(): readonly MoveTime[] {
    const { moves, measurements } = this.state
    return moveTimes(moves, measurements)
  }
}
const begun = () => {
  const job = new TimedJob().ready() as TimedJob
  return job.again(10).again(5)
}

describe('what the moves of a job took', () => {
  it('runs from the plan to the next readings, against what was really handled', () => {
    // Two feet, four leaves: 2 x 6 + 4 x 2 + 15.
    expect(begun().plan(5).lifted(30).again(12).again(6).times).toEqual([{ said: 35, took: 42 }])
  })

  it('counts moves without readings between as one, and only pairs that were pushed', () => {
    expect(begun().plan(5).lifted(30).pushed(10).again(12).times).toEqual([{ said: 43, took: 52 }])
  })

  it.each([
    ['is not finished', begun().plan(5).lifted(30)],
    ['had no plan', begun().lifted(30).again(10)],
    ['was written up afterwards', begun().plan(5).lifted(1).again(1)],
    ['had a night in it', begun().plan(5).lifted(30).again(900)],
  ])('leaves out a move that %s', (_, job) => {
    expect(job.times).toEqual([])
  })
})

describe('the pace of a works', () => {
  const took = (...minutes: number[]) => minutes.map((m) => ({ said: 40, took: m }))

  it('is the middle move, so that one bad day does not move it', () => {
    expect(paceOf(took(44, 48, 290, 40, 48))).toEqual({ factor: 1.2, moves: 5 })
    expect(paceOf(took(40, 40, 40, 60, 60, 60))).toEqual({ factor: 1.25, moves: 6 })
  })

  it('is not told from fewer than five', () => {
    expect(paceOf(took(44, 48, 52, 40))).toBeNull()
    expect(paceOf([])).toBeNull()
  })
})
