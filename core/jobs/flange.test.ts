import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../logbook/entry'
import { lineSum, type Misalignment } from '../frame/planes'
import type { FlangeMachine } from '../register/machine'
import { fromCore } from '../units/unitSystem'
import { objectionTo } from './jobs'
import { changesOf, FLANGE_SET_UP, TEST_FLANGE, TestFlange } from './testFlange'
import { inMil } from './testJob'

/** Leans toward 3:45 and stands off: six bolts of eight to shim. */
const LEANS = inMil(3.3, -5.5, -0.2, 0.5)
/** The line once a plan is carried out, in mil. */
const after = (from: Misalignment, job: TestFlange): Misalignment => {
  const { change } = job.state.moves[job.state.moves.length - 1]!.work
  const mil = (t: number | null) => fromCore(t ?? 0, 'displacement', 'inch')
  return lineSum(from, {
    offset: { v: mil(change.offset.v), h: mil(change.offset.h) },
    slope: { v: (change.slope.v ?? 0) * 1000, h: (change.slope.h ?? 0) * 1000 },
  })
}
const machine = (
  flange: Partial<FlangeMachine['flange']>,
  more: Partial<FlangeMachine> = {},
): FlangeMachine => ({
  ...TEST_FLANGE,
  ...more,
  flange: { ...TEST_FLANGE.flange, ...flange },
})
const LOOSE = machine({ spigot: 'loose', play: 12 })
const refused = (job: TestFlange, body: Parameters<TestFlange['add']>[0]) => {
  const entry = job.add(body)
  job.entries.pop()
  return objectionTo(job.machine, [...job.entries], entry as LogEntry)?.code ?? null
}

describe('a job on a flange-mounted motor', () => {
  it('goes from the lockout to the close in working order', () => {
    const job = new TestFlange()
    const turns: string[] = []
    const turn = () => turns.push(job.fold().sheet.current)
    job.open(980)
    turn()
    job.lockOut()
    turn()
    job.look()
    turn()
    job.add({ kind: 'set-up', payload: FLANGE_SET_UP })
    turn()
    job.readTwice(LEANS)
    turn()
    job.shim(job.schools()[0]!)
    turn()
    job.readTwice(after(LEANS, job))
    turn()
    job.prove()
    turn()
    expect(turns).toEqual(['make-safe', 'look', 'set-up', 'as-found', 'plan', 're-measure', 'prove', 'close'])
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
  })

  it('asks for shims while it leans, and says what they leave', () => {
    const job = new TestFlange().ready().readTwice(LEANS)
    const { need, latest } = job.state
    expect(latest.judgement?.quantities.map((q) => q.name)).toEqual(['offset', 'slope'])
    expect(need.asks).toBe('shim')
    // At the flange, 12 in up: 3.3 - 2.4 and -5.5 + 6.
    expect(fromCore(need.stays.at.v ?? 0, 'displacement', 'inch')).toBeCloseTo(0.9, 6)
    expect(fromCore(need.stays.at.h ?? 0, 'displacement', 'inch')).toBeCloseTo(0.5, 5)
    job.shim(job.schools()[0]!)
    const move = job.state.moves[0]!
    expect(fromCore(move.predicted?.offset.v ?? 0, 'displacement', 'inch')).toBeCloseTo(0.9, 0)
    job.readTwice(after(LEANS, job))
    expect(job.state.moves[0]!.tilt?.cause).toBe('as-planned')
  })

  it('says frame or spigot, not shims, where a tight spigot holds it off', () => {
    const job = new TestFlange().ready().readTwice(inMil(5, 0, 0, 0.05))
    expect(job.state.need.asks).toBe('frame')
    expect(job.fold().sheet.rows.find((r) => r.id === 'plan')?.mark).toBe('out')
    // Nothing is to be planned or moved: it is proved as it stands and closed with a reason.
    expect(job.fold().sheet.current).toBe('prove')
    expect(
      refused(job, {
        kind: 'flange-moved',
        payload: { units: 'inch', changes: [], pushed: { v: -5, h: 0 }, remark: '' },
      }),
    ).toBe('spigot-tight')
  })

  it('pushes a loose one after the tilt, and never further than its play', () => {
    const job = new TestFlange(LOOSE).ready().readTwice(inMil(5, -4, 0.05, 0))
    const { need } = job.state
    expect(need.asks).toBe('push')
    expect(fromCore(need.push?.v ?? 0, 'displacement', 'inch')).toBeCloseTo(-5, 6)
    expect(fromCore(need.push?.h ?? 0, 'displacement', 'inch')).toBeCloseTo(4, 6)
    job.push({ v: -5, h: 4 })
    job.readTwice(inMil(0.1, 0, 0.05, 0))
    expect(job.state.moves[0]!.pushed?.cause).toBe('as-planned')
    expect(job.state.need.asks).toBe('leave')
    const far = new TestFlange(LOOSE).ready().readTwice(inMil(13, 0, 0, 0))
    expect(far.state.need.asks).toBe('beyond')
    // Felt tight on the floor, whatever the register says.
    far.add({ kind: 'spigot-felt', payload: { units: 'inch', fit: 'tight', play: null, words: '' } })
    expect(far.state.need.asks).toBe('frame')
    expect(far.state.spigot.from).toBe('job')
  })

  it('watches both dials of a push, and what tightening shifts', () => {
    const job = new TestFlange(LOOSE).ready().readTwice(inMil(5, -4, 0, 0))
    const { used } = job.state.latest
    job.add({
      kind: 'flange-plan-chosen',
      payload: { units: 'inch', does: 'push', changes: [], push: { v: -5, h: 4 }, why: '', sets: used },
    })
    const count = (v: number, h: number, when: 'pushing' | 'tightened' = 'pushing') =>
      job.add({ kind: 'flange-counts-read', payload: { units: 'inch', when, toGo: { v, h } } })
    expect(job.state.push).toMatchObject({ counted: false, arrived: false, slip: null })
    count(-3, 5)
    expect(job.state.push?.slip).toEqual({ plane: 'h', what: 'other-way' })
    count(1.5, 2)
    expect(job.state.push?.slip).toEqual({ plane: 'v', what: 'too-far' })
    expect(job.state.push?.gone.v).toBeCloseTo(-6.5 * 0.0254, 9)
    expect(job.state.push?.gone.h).toBeCloseTo(2 * 0.0254, 9)
    count(0.2, 0)
    expect(job.state.push?.arrived).toBe(true)
    count(1.7, 0, 'tightened')
    expect(job.state.push?.drift?.over).toBe(true)
  })

  it('holds shims that rock against their limit, and wants the reason', () => {
    const job = new TestFlange().ready().readTwice(LEANS)
    const [coplanar, pairwise] = job.schools()
    expect(coplanar?.rock?.verdict).toBe('in')
    expect(pairwise?.rock?.verdict).toBe('out')
    const changes = changesOf(pairwise!)
    const plan = (why: string) =>
      ({
        kind: 'flange-plan-chosen',
        payload: { units: 'inch', does: 'pairwise', changes, push: null, why, sets: [] },
      }) as const
    expect(refused(job, plan(''))).toBe('rocks-needs-why')
    expect(refused(job, plan('The maker asks for pairs'))).toBeNull()
    const odd = new TestFlange(machine({ bolts: 5, existing: [[], [], [], [], []] })).ready().readTwice(LEANS)
    expect(odd.schools()[1]?.lacks).toBe('pairs')
    expect(odd.schools()[0]?.packs?.plane.rock).toBeNull()
    expect(
      refused(odd, {
        kind: 'flange-plan-chosen',
        payload: { units: 'inch', does: 'pairwise', changes: [], push: null, why: '', sets: [] },
      }),
    ).toBe('not-paired')
  })

  it('keeps what lies under the bolts as it was found', () => {
    const lying = [[10], [10], [10], [10], [10], [10], [10], [10]]
    const job = new TestFlange(machine({ existing: lying })).ready()
    job.add({
      kind: 'bolt-shims-found',
      payload: {
        units: 'inch',
        bolts: [{ bolt: '3', leaves: [{ thickness: 5, mark: 'a' }] }],
        words: '',
      },
    })
    expect(job.state.boltsFound[2]).toMatchObject({ differs: true, marks: ['a'] })
    expect(job.state.boltsFound[3]).toMatchObject({ differs: false, found: null })
    job.readTwice(LEANS)
    const plan = job.schools()[0]!
    // On top of what lies there: no more leaves under a bolt than the works allows.
    expect(plan.packs?.packs.every((p) => p.putIn.length <= 3)).toBe(true)
    job.shim(plan)
    expect(job.state.leaves[2]?.[0]).toBeCloseTo(5 * 0.0254, 9)
    expect(
      refused(job, {
        kind: 'bolt-shims-found',
        payload: { units: 'inch', bolts: [{ bolt: '1', leaves: [] }], words: '' },
      }),
    ).toBe('shimmed-already')
  })

  it('tells shims counted from the wrong bolt by how many', () => {
    const job = new TestFlange().ready().readTwice(LEANS)
    job.shim(job.schools()[0]!)
    const { change } = job.state.moves[0]!.work
    // As if the mark had been taken two bolts on: the tilt goes the same way a quarter turn later.
    const turned = { v: -(change.slope.h ?? 0) * 1000, h: (change.slope.v ?? 0) * 1000 }
    job.readTwice({ ...LEANS, slope: { v: -0.2 + turned.v, h: 0.5 + turned.h } })
    expect(job.state.moves[0]!.tilt).toMatchObject({ cause: 'bolts-turned', turned: 2 })
    const swapped = new TestFlange().ready().readTwice(LEANS)
    swapped.shim(swapped.schools()[0]!)
    const by = swapped.state.moves[0]!.work.change.slope
    swapped.readTwice({
      ...LEANS,
      slope: { v: -0.2 - (by.v ?? 0) * 1000, h: 0.5 - (by.h ?? 0) * 1000 },
    })
    expect(swapped.state.moves[0]!.tilt?.cause).toBe('sign-swapped')
    const nothing = new TestFlange().ready().readTwice(LEANS)
    nothing.shim(nothing.schools()[0]!)
    nothing.readTwice(LEANS)
    expect(nothing.state.moves[0]!.tilt?.cause).toBe('nothing-happened')
  })

  it('refuses bolts, feet and flanges that are not its own, and hands without a lockout', () => {
    const job = new TestFlange().open(980)
    const moved = (bolt: string) =>
      ({
        kind: 'flange-moved',
        payload: { units: 'inch', changes: [{ bolt, takenOut: [], putIn: [5] }], pushed: null, remark: '' },
      }) as const
    expect(refused(job, moved('3'))).toBe('not-safe')
    job.lockOut().look()
    expect(refused(job, { kind: 'set-up', payload: { ...FLANGE_SET_UP, flange: undefined } })).toBe(
      'flange-missing',
    )
    job.add({ kind: 'set-up', payload: FLANGE_SET_UP })
    expect(refused(job, moved('9'))).toBe('no-such-bolt')
    expect(refused(job, moved('x'))).toBe('no-such-bolt')
    expect(refused(job, moved('3'))).toBeNull()
    expect(
      refused(job, {
        kind: 'flange-moved',
        payload: { units: 'inch', changes: [], pushed: null, remark: '' },
      }),
    ).toBe('nothing-moved')
    expect(
      refused(job, {
        kind: 'move-made',
        payload: { units: 'inch', changes: [], side: [], remark: '' },
      }),
    ).toBe('not-this-job')
  })

  it('calls a plan stale once it was read again, and readings late that came after a move', () => {
    const job = new TestFlange().ready().readTwice(LEANS)
    const changes = changesOf(job.schools()[0]!)
    const { used } = job.state.latest
    job.add({
      kind: 'flange-plan-chosen',
      payload: { units: 'inch', does: 'coplanar', changes, push: null, why: '', sets: used },
    })
    expect(job.state.plan?.stale).toBe(false)
    expect(job.fold().sheet.current).toBe('move')
    job.add({ kind: 'readings-taken', payload: job.readingsOf(LEANS) })
    expect(job.state.plan?.stale).toBe(true)
    const seen = job.entries[job.entries.length - 1]!.id
    job.add({ kind: 'flange-moved', payload: { units: 'inch', changes, pushed: null, remark: '' } })
    const late = job.add({ kind: 'readings-taken', payload: job.readingsOf(LEANS) }, { after: seen })
    job.entries.pop()
    expect(objectionTo(job.machine, [...job.entries], late)?.code).toBe('moved-meanwhile')
  })
})
