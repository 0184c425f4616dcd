import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { objectionTo } from '../../jobs/jobs'
import type { EntryBody, LogEntry } from '../../logbook/entry'
import { frameOn } from '../../feet/testFrame'
import { footRises } from '../../simulate/machineOnFeet'
import { cureOf } from './cure'

const MIL = 0.0254
const begun = () => new TestJob().open().lockOut().look()
const cure = (job: TestJob) => cureOf(job.machine, job.state.feetCheck, job.state.packs)
/** Whose turn it is, and the mark of the feet. */
const stands = (job: TestJob) => {
  const { sheet } = job.fold()
  return [sheet.current, sheet.rows.find((r) => r.id === 'feet')?.mark]
}
const offered = (job: TestJob, body: EntryBody) => {
  const entry = { ...(job.entries[0] as LogEntry), ...body, id: 'offered', after: null } as LogEntry
  return objectionTo(job.machine, [...job.entries], entry)?.code ?? null
}
const gapsAt = (feet: readonly (1 | 2 | 3 | 4)[], gap: number, job: TestJob): EntryBody => ({
  kind: 'gaps-felt',
  payload: {
    units: 'inch',
    gaps: feet.map((f) => ({
      ...(job.outerFeet()[f - 1] as ReturnType<TestJob['outerFeet']>[number]),
      corners: { outboardOuter: gap, outboardInner: gap, inboardOuter: gap, inboardInner: gap },
      size: null,
    })),
  },
})

describe('rounds of the feet', () => {
  it('want to be read once the machine was looked at, and once they sit the rough-in has the turn', () => {
    const job = begun()
    expect(stands(job)).toEqual(['feet', 'todo'])
    job.rises([2, 12, 1.5, 9.5])
    expect(stands(job)).toEqual(['feet', 'out'])
    job.fill(2, [10])
    expect(stands(job)).toEqual(['feet', 'stale'])
    job.rises([1, 1.2, 1, 1])
    expect(stands(job)).toEqual(['rough-in', 'in'])
    expect(job.state.feetCheck.rounds).toHaveLength(2)
  })

  it('can be passed over with a reason, and don’t call back once shafts were measured', () => {
    const job = begun()
    job.add({ kind: 'stage-skipped', payload: { stage: 'feet', why: 'grouted frame' } })
    expect(stands(job)).toEqual(['rough-in', 'skipped'])
    const old = new TestJob().ready()
    old.read(inMil(1, 1, 0, 0))
    expect(old.fold().sheet.current).toBe('as-found')
  })

  it('read again without a cure are a round of their own, and keep the gaps that were felt', () => {
    const job = begun()
    job.add(gapsAt([2], 10, job))
    job.rises([2, 12, 1.5, 9.5])
    job.rises([2, 11, 1.5, 9])
    expect(job.state.feetCheck.rounds).toHaveLength(2)
    expect(job.state.feetCheck.latest?.felt).toHaveLength(1)
    job.fill(2, [10])
    job.rises([1, 1, 1, 1])
    expect(job.state.feetCheck.latest?.felt).toHaveLength(0)
  })

  it('take rises with the pipe slack beside those with it bolted up', () => {
    const job = begun()
    job.rises([6, 1, 1, 1])
    job.rises([1, 1, 1, 1], 'slack')
    expect(job.state.feetCheck.rounds).toHaveLength(1)
    expect(job.state.feetCheck.latest?.result.pipeStrain).toBe(true)
    expect(job.state.feetCheck.latest?.verdict).toBe('out')
  })
})

describe('the cure', () => {
  it('fills one foot of the diagonal from the shelf, by the larger rise less the smaller of the other', () => {
    const job = begun()
    job.rises([2, 12, 1.5, 9.5])
    const found = cure(job)
    expect(found?.foot).toBe('f2')
    expect((found?.wanted ?? 0) / MIL).toBeCloseTo(10.5, 9)
    expect(Math.abs((found?.lift ?? 0) - (found?.wanted ?? 0)) / MIL).toBeLessThan(0.51)
    job.fill(2, [10])
    // What went in lies there, and nothing more is to be filled before the feet are read again.
    expect(cure(job)).toBeNull()
    const under = job.state.packs.find((p) => p.id === 'inboard')?.packs
    expect(under?.right.map((t) => Math.round(t / MIL))).toEqual([25, 10, 10])
    expect(under?.left).toHaveLength(2)
  })

  it('goes under the foot whose gap was seen, and halves when the fault is chased', () => {
    const job = begun()
    job.add(gapsAt([4], 9, job))
    job.rises([2, 12, 1.5, 9.5])
    expect(cure(job)?.foot).toBe('f4')
    job.fill(4, [10])
    job.rises([9, 1, 8, 1.5])
    expect(job.state.feetCheck.chase).toBe(1)
    expect(cure(job)).toMatchObject({ halved: false })
    job.fill(1, [5])
    job.rises([1, 7, 1, 6])
    expect(job.state.feetCheck.chase).toBe(2)
    const halved = cure(job)
    expect(halved).toMatchObject({ foot: 'f2', halved: true })
    expect((halved?.wanted ?? 0) / MIL).toBeCloseTo(3, 9)
  })

  it('on a simulated frame: read, fill what is said, read again, and the feet sit', () => {
    for (let pad = 0; pad < 4; pad++) {
      const pads = [0, 0, 0, 0]
      pads[pad] = -11
      const read = () =>
        footRises(frameOn(pads)).map((r) => Math.round((r / MIL) * 2) / 2) as [number, number, number, number]
      const job = begun()
      job.rises(read())
      const found = cure(job)
      if (!found) throw new Error('a low pad is to be filled')
      const nth = Number(found.foot.slice(1)) as 1 | 2 | 3 | 4
      const mil = (list: readonly number[]) => list.map((t) => Math.round((t / MIL) * 1e6) / 1e6)
      job.fill(nth, mil(found.putIn), mil(found.takenOut))
      pads[nth - 1] = (pads[nth - 1] ?? 0) + found.lift / MIL
      job.rises(read())
      expect(job.state.feetCheck.latest?.verdict, `pad ${pad + 1}`).not.toBe('out')
    }
  })

  it('is asked for at the feet only while nothing was measured in this round', () => {
    const job = new TestJob().ready()
    const fill: EntryBody = {
      kind: 'foot-filled',
      payload: {
        units: 'inch',
        change: { machine: 'movable', pair: 'inboard', side: 'left', putIn: [5], takenOut: [] },
        why: '',
      },
    }
    expect(offered(job, fill)).toBeNull()
    job.read(inMil(-8, 5, -0.3, 0.2))
    expect(offered(job, fill)).toBe('read-already')
  })
})

describe('what the logbook can’t take of the feet', () => {
  it('is feet that are not there, feet left out, a cure of nothing, and too many leaves', () => {
    const job = begun()
    const [f1, f2] = job.outerFeet()
    if (!f1 || !f2) throw new Error('four feet')
    const rises = (list: readonly (typeof f1)[]): EntryBody => ({
      kind: 'rises-read',
      payload: { units: 'inch', rises: list.map((f) => ({ ...f, rise: 1 })), pipe: 'bolted', remark: '' },
    })
    const fill = (putIn: readonly number[], pair = 'inboard'): EntryBody => ({
      kind: 'foot-filled',
      payload: { units: 'inch', change: { ...f1, pair, putIn, takenOut: [] }, why: '' },
    })
    expect(offered(job, rises([f1, f2]))).toBe('feet-unread')
    expect(offered(job, rises([f1, f1, ...job.outerFeet()]))).toBe('no-such-feet')
    expect(offered(job, fill([5], 'nowhere'))).toBe('no-such-feet')
    expect(offered(job, fill([]))).toBe('nothing-moved')
    expect(offered(job, fill(Array<number>(19).fill(5)))).toBe('too-many-leaves')
    expect(offered(new TestJob().open(), rises(job.outerFeet()))).toBe('not-safe')
  })

  it('of a machine with a middle pair: that pair is read too, and rises by itself', () => {
    const [near, far] = TEST_MACHINE.feet.movable
    if (!near || !far) throw new Error('two pairs')
    const job = new TestJob({
      ...TEST_MACHINE,
      feet: { ...TEST_MACHINE.feet, movable: [near, { ...near, id: 'middle', x: 22 }, far] },
    })
      .open()
      .lockOut()
    const all = [
      ...job.outerFeet().map((f) => ({ ...f, rise: 1 })),
      { machine: 'movable' as const, pair: 'middle', side: 'left' as const, rise: 6 },
      { machine: 'movable' as const, pair: 'middle', side: 'right' as const, rise: 1 },
    ]
    job.add({ kind: 'rises-read', payload: { units: 'inch', rises: all, pipe: 'bolted', remark: '' } })
    expect(job.state.feetCheck.latest).toMatchObject({
      verdict: 'out',
      result: { diagnosis: 'ok' },
      inner: [{ pair: 'middle', side: 'left' }],
    })
  })
})
