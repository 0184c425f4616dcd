import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { objectionTo } from '../../jobs/jobs'
import { inMil, TestJob } from '../../jobs/testJob'
import type { EntryBody, LogEntry } from '../../logbook/entry'
import { footChangesOf } from '../../shims/packsForLifts'
import { fromCore } from '../../units/unitSystem'
import type { LevelReading } from './entries'
import { levelCure } from './levels'
import { runoutEffect } from './runouts'

const MIL = 0.0254
const begun = () => new TestJob().open().lockOut()
const mil = (x: number | undefined) => (x === undefined ? undefined : Number((x / MIL).toFixed(6)))
const level = (job: TestJob, machine: 'movable' | 'stationary', reading: LevelReading) =>
  job.add({ kind: 'level-read', payload: { units: 'inch', machine, reading, remark: '' } })
/** A feeler over 10 in, so that mils are mil/10 in. */
const feeler = (thick: number, low: 'coupling' | 'far' = 'far'): LevelReading => ({
  by: 'feeler',
  feeler: thick,
  supported: 10,
  low,
})
const cure = (job: TestJob) => levelCure(job.machine, job.state.levels, job.state.packs)
const offered = (job: TestJob, body: EntryBody) => {
  const entry = { ...(job.entries[0] as LogEntry), ...body, id: 'offered', after: null } as LogEntry
  const found = objectionTo(job.machine, [...job.entries], entry)
  return found && [found.code, found.path.join('.')]
}
const turn = (
  values: readonly number[],
  surface: 'rim' | 'face' | 'shaft' = 'rim',
  machine: 'movable' | 'stationary' = 'movable',
  limit: number | null = null,
): EntryBody => ({
  kind: 'runout-read',
  payload: {
    units: 'inch',
    machine,
    surface,
    diameter: surface === 'face' ? 8 : null,
    readings: values.map((value, i) => ({ clock: (i * 360) / values.length, value })),
    limit,
    remark: '',
  },
})

describe('levels', () => {
  it('never call for hands by themselves: the stage is optional', () => {
    const job = begun()
    job.rises()
    expect(job.fold().sheet.current).toBe('rough-in')
    expect(job.mark('level')?.mark).toBe('todo')
  })

  it.each<[string, LevelReading | null, LevelReading | null, string, string]>([
    ['motor alone', feeler(8), null, 'other-first', 'todo'],
    ['driven alone, level', null, feeler(2), 'this-first', 'todo'],
    ['driven alone, sloping', null, feeler(9), 'leave', 'done'],
    ['both sloping: it is left', feeler(9), feeler(9), 'leave', 'done'],
    ['driven level, motor not', feeler(9), feeler(2), 'shim', 'out'],
    ['both level', feeler(2), feeler(2), 'level', 'in'],
    ['at the limit itself', feeler(5), feeler(5), 'level', 'in'],
  ])('%s', (_, movable, stationary, says, mark) => {
    const job = begun()
    if (movable) level(job, 'movable', movable)
    if (stationary) level(job, 'stationary', stationary)
    expect([job.state.levels.says, job.mark('level')?.mark]).toEqual([says, mark])
    expect(cure(job) === null).toBe(says !== 'shim')
  })

  it('shim = feeler x bolt spacing / supported length, under both feet of the low end', () => {
    const job = begun()
    level(job, 'stationary', feeler(1))
    level(job, 'movable', feeler(8))
    // 22.5 in between the pairs.
    expect(cure(job)?.pair).toBe('outboard')
    expect(cure(job)?.shares.map((s) => mil(s.wanted))).toEqual([0, 18])
    const low = begun()
    level(low, 'stationary', feeler(1))
    level(low, 'movable', feeler(8, 'coupling'))
    expect(cure(low)?.pair).toBe('inboard')
    expect(cure(low)?.shares.map((s) => mil(s.wanted))).toEqual([18, 0])
    for (const l of cure(job)?.leaves ?? []) expect(mil(l.lift)).toBe(l.pair === 'outboard' ? 18 : 0)
  })

  it('turned end for end, the level’s own error drops out, whatever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -8, max: 8 }), fc.integer({ min: -8, max: 8 }), (slope, error) => {
        const job = begun()
        level(job, 'movable', {
          by: 'divisions',
          divisions: slope + error,
          reversed: -slope + error,
          sensitivity: 0.5,
        })
        const { movable } = job.state.levels
        expect(fromCore(movable?.rise ?? NaN, 'slope', 'inch')).toBeCloseTo(slope * 0.5, 9)
        expect(movable?.levelError).toBeCloseTo(error, 9)
      }),
    )
  })

  it('a shim makes it stale until it is read again, and lies in the packs from then on', () => {
    const job = begun()
    level(job, 'stationary', feeler(1))
    level(job, 'movable', feeler(8))
    const typed = (t: number) => mil(t) ?? NaN
    job.add({
      kind: 'machine-levelled',
      payload: { units: 'inch', changes: footChangesOf('movable', cure(job)!.leaves, typed), remark: '' },
    })
    expect([job.state.levels.says, job.mark('level')?.mark]).toEqual(['again', 'stale'])
    const pack = job.state.packs.find((p) => p.id === 'outboard')
    expect(mil(pack?.packs.left.reduce((s, t) => s + t, 0))).toBe(53)
    level(job, 'movable', feeler(0))
    expect(job.mark('level')?.mark).toBe('in')
  })

  it('is refused without a lockout, with feet it doesn’t have, and once shafts were measured', () => {
    const shim = (pair: string): EntryBody => ({
      kind: 'machine-levelled',
      payload: {
        units: 'inch',
        changes: [{ machine: 'movable', pair, side: 'left', putIn: [5], takenOut: [] }],
        remark: '',
      },
    })
    expect(offered(begun(), shim('middle'))).toEqual(['no-such-feet', 'payload.changes.0.pair'])
    expect(offered(new TestJob().open(), shim('inboard'))?.[0]).toBe('not-safe')
    const measured = new TestJob().ready()
    measured.read(inMil(1, 1, 0, 0))
    expect(offered(measured, shim('inboard'))?.[0]).toBe('read-already')
    expect(
      offered(begun(), { ...shim('inboard'), payload: { units: 'inch', changes: [], remark: '' } } as never),
    ).toEqual(['nothing-moved', 'payload'])
  })
})

describe('run-out', () => {
  const wave = (one: number, at: number, two = 0, atTwo = 0, count = 8) =>
    Array.from({ length: count }, (_, i) => {
      const a = ((i * 360) / count) * (Math.PI / 180)
      const rad = (d: number) => (d * Math.PI) / 180
      return one * Math.cos(a - rad(at)) + two * Math.cos(2 * (a - rad(atTwo)))
    })

  it('finds what is off centre and where, and keeps the last turn of each surface', () => {
    const job = begun()
    job.add(turn(wave(9, 90)))
    job.add(turn(wave(1, 140)))
    job.add(turn(wave(0.2, 0), 'shaft'))
    const { surfaces, verdict } = job.state.runouts
    expect(surfaces.map((s) => s.surface)).toEqual(['rim', 'shaft'])
    expect(mil(surfaces[0]?.result.first.amplitude)).toBeCloseTo(1, 6)
    expect(surfaces[0]?.result.strikeAt).toBeCloseTo(140, 6)
    expect(verdict).toBe('in')
  })

  it('is held against the rule for the speed read off at the opening, or against its own limit', () => {
    const at = (rpm: number, limit: number | null = null) => {
      const job = new TestJob().open(rpm).lockOut()
      job.add(turn(wave(1.6, 90), 'rim', 'movable', limit))
      const [s] = job.state.runouts.surfaces
      return [mil(s?.result.limit), s?.source, s?.result.verdict]
    }
    expect(at(990)).toEqual([5, 'speed', 'in'])
    expect(at(3600)).toEqual([2, 'speed', 'out'])
    expect(at(3600, 6)).toEqual([6, 'own', 'in'])
  })

  it('names an oval only where it is larger than the eccentricity and worth it', () => {
    const oval = (one: number, two: number) => {
      const job = begun()
      job.add(turn(wave(one, 30, two, 20)))
      return job.state.runouts.surfaces[0]?.oval
    }
    expect([oval(0.5, 2), oval(2, 0.5), oval(0.1, 0.3)]).toEqual([true, false, false])
  })

  it('over the limit marks the stage, whatever the levels say', () => {
    const job = begun()
    level(job, 'stationary', feeler(1))
    level(job, 'movable', feeler(1))
    job.add(turn(wave(4, 90)))
    expect(job.mark('level')?.mark).toBe('out')
  })

  it('asks for three positions that tell something', () => {
    const thrice = turn([0, 1, 2])
    const same = {
      ...thrice,
      payload: { ...thrice.payload, readings: [0, 0, 90].map((clock) => ({ clock, value: 1 })) },
    } as EntryBody
    expect(offered(begun(), same)).toEqual(['runout-positions', 'payload.readings'])
    expect(offered(begun(), thrice)).toBeNull()
  })

  it('is in the readings only where one shaft turns alone', () => {
    const how = (turning: 'both' | 'movable') =>
      ({
        method: 'rim-face',
        given: {
          rim: { carriedBy: 'movable', plane: 0, sag: 0, turning, readingSign: 1 },
          faces: [{ plunger: 'away', diameter: 100, sag: 0, readingSign: 1 }],
        },
      }) as never
    expect([runoutEffect(null), runoutEffect(how('both')), runoutEffect(how('movable'))]).toEqual([
      'no-set-up',
      'none',
      'enters',
    ])
  })
})
