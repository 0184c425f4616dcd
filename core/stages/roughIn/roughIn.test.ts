import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lineSum, positionAt } from '../../frame/planes'
import { objectionTo } from '../../jobs/jobs'
import { inMil, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import type { EntryBody, LogEntry } from '../../logbook/entry'
import { lineOfMoves } from '../../coupling/feet'
import { movableFeet } from '../../register/footedMachine'
import type { CoupledMachine } from '../../register/coupledMachine'
import type { RegisteredHubs } from '../../register/hubs'
import { roughCure, roughedBy } from './cure'

const MIL = 0.0254
const UNKNOWN: RegisteredHubs = {
  stationaryDiameter: null,
  movableDiameter: null,
  gapLeast: null,
  gapMost: null,
  float: null,
  closeEnough: null,
  rimLimit: null,
  faceLimit: null,
}
const withHubs = (hubs: Partial<RegisteredHubs>, more: Partial<CoupledMachine> = {}): CoupledMachine => ({
  ...TEST_MACHINE,
  ...more,
  hubs: { ...UNKNOWN, ...hubs },
})
const SMALL = withHubs({ rimLimit: 6, faceLimit: 5 })

const begun = (machine: CoupledMachine = TEST_MACHINE) => {
  const job = new TestJob(machine).open().lockOut()
  job.rises()
  return job
}
const latest = (job: TestJob) => {
  const found = job.state.roughIn.latest
  if (!found) throw new Error('nothing felt')
  return found
}
const cure = (job: TestJob) => roughCure(job.machine, latest(job), job.state.packs)
const mil = (x: number | null | undefined) => (x == null ? null : Number((x / MIL).toFixed(6)))
const shares = (job: TestJob) => cure(job)?.shares.map((s) => mil(s.wanted))
/** Whose turn it is, and the mark of the rough-in. */
const stands = (job: TestJob) => {
  const { sheet } = job.fold()
  return [sheet.current, sheet.rows.find((r) => r.id === 'rough-in')?.mark]
}
const done = (job: TestJob) => {
  const found = cure(job)
  if (!found) throw new Error('nothing to do')
  return job.add({ kind: 'hubs-roughed', payload: roughedBy(found, 'inch') })
}
const offered = (job: TestJob, body: EntryBody) => {
  const entry = { ...(job.entries[0] as LogEntry), ...body, id: 'offered', after: null } as LogEntry
  const found = objectionTo(job.machine, [...job.entries], entry)
  return found && [found.code, found.path.join('.')]
}
const withdrawn = (job: TestJob): EntryBody => {
  const { kind, payload } = job.entries.pop() as LogEntry
  return { kind, payload } as EntryBody
}

describe('the order of the rough-in', () => {
  it('has the turn after the feet, vertical first, then horizontal, then the instrument', () => {
    const job = begun()
    expect(stands(job)).toEqual(['rough-in', 'todo'])
    job.feelHubs({ 12: -38 }, { 12: 124, 6: 116 })
    expect([stands(job), latest(job).next]).toEqual([['rough-in', 'out'], 'vertical'])
    done(job)
    expect(stands(job)).toEqual(['rough-in', 'stale'])
    job.feelHubs({ 12: -1, 3: -20 }, { 12: 124, 6: 116 })
    expect([stands(job), latest(job).next]).toEqual([['rough-in', 'out'], 'horizontal'])
    done(job)
    job.feelHubs({ 12: -1, 3: 2 }, { 12: 124, 6: 116, 3: 121, 9: 119 })
    expect([stands(job), latest(job).next]).toEqual([['set-up', 'in'], 'done'])
  })

  it('can be passed over with a reason, and doesn’t call back once shafts were measured', () => {
    const job = begun()
    job.add({ kind: 'stage-skipped', payload: { stage: 'rough-in', why: 'it ran this morning' } })
    expect(stands(job)).toEqual(['set-up', 'skipped'])
    const old = new TestJob().ready()
    old.read(inMil(1, 1, 0, 0))
    expect(old.fold().sheet.current).toBe('as-found')
  })
})

describe('what is done about it', () => {
  it('a rim step with faces that agree is the same shim under all feet', () => {
    const job = begun()
    job.feelHubs({ 12: -38 }, { 12: 124, 6: 116 })
    expect(cure(job)?.way).toBe('all')
    expect(shares(job)).toEqual([38, 38])
    expect(mil(latest(job).openings.v.value)).toBe(-8)
    // 35 mil lie there in two leaves; four are allowed.
    for (const l of cure(job)?.leaves ?? []) {
      expect(mil(l.lift)).toBe(38)
      expect(l.putIn.length - l.takenOut.length).toBeLessThanOrEqual(2)
    }
  })

  it('faces that open are each pair’s own share: what they come to leaves neither', () => {
    const job = begun()
    // 8 in circle, 24 mil open at the top: 3 mil/in, outboard low.
    job.feelHubs({ 12: -38 }, { 12: 132, 6: 108 })
    expect(cure(job)?.way).toBe('each')
    expect(shares(job)).toEqual([38 + 3 * 12, 38 + 3 * 34.5])
  })

  it('faces alone lift one end about the other, the height stays unknown', () => {
    const job = begun()
    job.feelHubs({}, { 12: 132, 6: 108 })
    expect(cure(job)?.way).toBe('one-end')
    expect(shares(job)).toEqual([0, 3 * 22.5])
    expect(latest(job).steps.v.value).toBeNull()
  })

  it('a side step is a push, toward 3 positive', () => {
    const job = begun()
    job.feelHubs({ 12: 3, 3: 20 })
    expect([cure(job)?.plane, shares(job)]).toEqual(['h', [-20, -20]])
    expect(roughedBy(cure(job)!, 'inch')).toMatchObject({
      changes: [],
      side: [
        { pair: 'inboard', moved: -20 },
        { pair: 'outboard', moved: -20 },
      ],
    })
  })

  it('says how far a foot stays off when nothing lies there to take out', () => {
    const job = begun({
      ...TEST_MACHINE,
      feet: {
        ...TEST_MACHINE.feet,
        movable: TEST_MACHINE.feet.movable.map((f) => ({ ...f, existing: { left: [5], right: [5] } })),
      },
    })
    job.feelHubs({ 12: 30 })
    expect(mil(cure(job)?.short?.miss)).toBe(-25)
    expect(cure(job)?.leaves.every((l) => l.putIn.length === 0 && l.takenOut.length === 1)).toBe(true)
  })

  it('takes no leaf for two feet: one shelf serves all', () => {
    const job = begun({
      ...TEST_MACHINE,
      stock: [
        { thickness: 38, count: 2 },
        { thickness: 1, count: 40 },
      ],
    })
    job.feelHubs({ 12: -38 })
    const used =
      cure(job)
        ?.leaves.flatMap((l) => l.putIn)
        .filter((t) => mil(t) === 38) ?? []
    expect(used).toHaveLength(2)
  })

  it('from the exact geometry of any machine, the shares bring the axis onto the other one', () => {
    const few = (n: number) => fc.double({ min: -n, max: n, noNaN: true })
    fc.assert(
      fc.property(few(60), few(60), few(4), few(4), (ov, oh, sv, sh) => {
        const truth = inMil(ov, oh, sv, sh)
        const job = begun()
        job.feelHubs(
          { 12: ov, 3: oh, 6: -ov, 9: -oh },
          { 12: 300 - 4 * sv, 6: 300 + 4 * sv, 3: 300 - 4 * sh, 9: 300 + 4 * sh },
        )
        const line = {
          offset: { v: (truth.offset.v ?? 0) * MIL, h: (truth.offset.h ?? 0) * MIL },
          slope: { v: (truth.slope.v ?? 0) / 1000, h: (truth.slope.h ?? 0) / 1000 },
        }
        const found = cure(job)
        if (!found) return
        const moved = lineOfMoves(
          movableFeet(TEST_MACHINE).map((f) => {
            const wanted = found.shares.find((s) => s.pair === f.id)?.wanted ?? 0
            return { ...f, v: found.plane === 'v' ? wanted : 0, h: found.plane === 'h' ? wanted : 0 }
          }),
        )
        const after = lineSum(line, moved)
        expect(positionAt(after, 0)[found.plane] ?? 1).toBeCloseTo(0, 9)
        if (found.way === 'each') expect(after.slope[found.plane] ?? 1).toBeCloseTo(0, 9)
      }),
    )
  })
})

describe('what feelers can’t say', () => {
  const went = (job: TestJob, passes: number | null, stops: number | null) =>
    job.feelHubs(
      {},
      {},
      {
        steps: [
          ...(passes === null ? [] : [{ clock: 0, passes }]),
          ...(stops === null ? [] : [{ clock: 0, stops }]),
        ],
      },
    )
  it.each([
    ['a blade that stops within the limit holds it there', null, 15, 'in', 'horizontal'],
    ['a thicker one leaves it open', null, 20, 'unknown', 'vertical'],
    ['one that passes beyond the limit is out', -20, null, 'out', 'vertical'],
    ['one that passes within it says nothing yet', -10, null, 'unknown', 'vertical'],
  ])('%s', (_, passes, stops, verdict, next) => {
    const job = begun()
    went(job, passes, stops)
    expect([latest(job).steps.v.verdict, latest(job).next]).toEqual([verdict, next])
    // No shim is cut to a bound.
    expect(cure(job)).toBeNull()
  })

  it('four gaps that don’t agree are felt again before anything is cut', () => {
    const job = begun()
    job.feelHubs({ 12: -38 }, { 12: 124, 6: 116, 3: 118, 9: 115 })
    expect([latest(job).next, mil(latest(job).closure)]).toEqual(['feel-again', 7])
    expect(cure(job)).toBeNull()
  })

  it('a made-up coupling with a large step is strained; a small one, or an open coupling, is not', () => {
    const felt = (step: number, coupled: boolean) => {
      const job = begun()
      job.feelHubs({ 12: step }, {}, { coupled })
      return latest(job).next
    }
    expect(felt(-31, true)).toBe('uncouple')
    expect(felt(-29, true)).toBe('vertical')
    expect(felt(-31, false)).toBe('vertical')
  })

  it('hubs of unequal size: their radii come off, or drop out at four places', () => {
    const off = (job: TestJob) => mil(latest(job).steps.v.value)
    const plain = begun()
    plain.feelHubs({ 12: 40 })
    expect([off(plain), latest(plain).equalHubsAssumed]).toEqual([40, true])
    const told = begun()
    told.feelHubs({ 12: 40 }, {}, { hubs: { stationary: 8, movable: 8.06 } })
    expect([off(told), latest(told).equalHubsAssumed]).toEqual([10, false])
    const registered = begun(withHubs({ stationaryDiameter: 8, movableDiameter: 8.06 }))
    registered.feelHubs({ 12: 40 })
    expect(off(registered)).toBe(10)
    const four = begun()
    four.feelHubs({ 12: 40, 3: 30, 6: 20, 9: 30 })
    expect([off(four), latest(four).equalHubsAssumed]).toEqual([10, false])
  })
})

describe('the axial gap', () => {
  it.each([
    [120, 'in', 0],
    [100, 'out', 8],
    [140, 'out', -12],
  ])('a mean of %s mil against 108 to 128 is %s', (mean, verdict, move) => {
    const job = begun(withHubs({ gapLeast: 0.108, gapMost: 0.128 }))
    job.feelHubs({ 12: 1, 3: 1 }, { 12: mean + 1, 6: mean - 1, 3: mean, 9: mean })
    const { axial, next } = latest(job)
    expect([mil(axial?.mean), axial?.verdict, mil(axial?.move)]).toEqual([mean, verdict, move])
    expect(next).toBe(verdict === 'in' ? 'done' : 'axial')
  })
})

describe('a small coupling whose maker asks no more', () => {
  it('is proved at four places, closes without an exception and asks for no instrument', () => {
    const job = begun(SMALL)
    job.feelHubs({ 12: 3, 3: 2 }, { 12: 121, 6: 120, 3: 120, 9: 121 })
    expect([latest(job).next, stands(job)]).toEqual(['all-four', ['rough-in', 'todo']])
    job.feelHubs({ 12: 3, 3: 2, 6: -3, 9: -2 }, { 12: 121, 6: 120, 3: 120, 9: 121 })
    expect([job.state.roughIn.proves, stands(job)]).toEqual([true, ['prove', 'in']])
    // Without an instrument there is nothing to read made up.
    expect(job.state.proof.rows.map((r) => r.step)).not.toContain('read-coupled')
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    // An instrument says more, where somebody puts one on all the same.
    job.add({ kind: 'set-up', payload: new TestJob().ready().entries.at(-1)!.payload as never })
    job.read(inMil(20, 0, 0, 0))
    job.read(inMil(20, 0, 0, 0))
    expect(job.state.outcome.verdict).toBe('out')
  })

  it('is held to the maker’s limits, not to what is close enough for an instrument', () => {
    const job = begun(SMALL)
    job.feelHubs({ 12: 7, 3: 0, 6: -7, 9: 0 }, { 12: 120, 6: 120, 3: 120, 9: 120 })
    expect([latest(job).limits.source, latest(job).steps.v.verdict]).toEqual(['maker', 'out'])
    expect(job.state.outcome.exceptions).toContain('unmeasured')
  })

  it('moved after it was felt proves nothing', () => {
    const job = begun(SMALL)
    job.feelHubs({ 12: 3, 3: 2, 6: -3, 9: -2 }, { 12: 121, 6: 120, 3: 120, 9: 121 })
    job.add({
      kind: 'hubs-roughed',
      payload: {
        units: 'inch',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: 2 }],
        remark: '',
      },
    })
    expect([job.state.roughIn.proves, stands(job)]).toEqual([false, ['rough-in', 'stale']])
  })
})

describe('what is refused', () => {
  it('one gap alone, gaps without their circle, blades that contradict one another', () => {
    const job = begun()
    job.feelHubs({}, { 12: 120 })
    expect(offered(job, withdrawn(job))).toEqual(['feeler-places', 'payload'])
    job.feelHubs({}, { 12: 120, 6: 120 }, { diameter: null })
    expect(offered(job, withdrawn(job))).toEqual(['face-circle-missing', 'payload.diameter'])
    job.feelHubs(
      {},
      {},
      {
        steps: [
          { clock: 0, passes: 12 },
          { clock: 0, stops: 10 },
        ],
      },
    )
    expect(offered(job, withdrawn(job))).toEqual(['feelers-contradict', 'payload'])
  })

  it('shims once shafts were measured, feet the machine doesn’t have, nothing at all, hands without a lockout', () => {
    const shim = (pair: string, putIn: readonly number[] = [5]): EntryBody => ({
      kind: 'hubs-roughed',
      payload: {
        units: 'inch',
        changes: [{ machine: 'movable', pair, side: 'left', putIn, takenOut: [] }],
        side: [],
        remark: '',
      },
    })
    expect(offered(begun(), shim('middle'))).toEqual(['no-such-feet', 'payload.changes.0.pair'])
    expect(offered(begun(), shim('inboard', []))).toEqual(['nothing-moved', 'payload'])
    expect(offered(begun(), shim('inboard', Array<number>(19).fill(1)))).toEqual([
      'too-many-leaves',
      'payload.changes',
    ])
    expect(offered(new TestJob().open(), shim('inboard'))?.[0]).toBe('not-safe')
    const measured = new TestJob().ready()
    measured.read(inMil(1, 1, 0, 0))
    expect(offered(measured, shim('inboard'))?.[0]).toBe('read-already')
  })

  it('what was laid at the rough-in lies in the packs that plan and move start from', () => {
    const job = begun()
    job.feelHubs({ 12: -38 })
    done(job)
    const sums = job.state.packs
      .filter((p) => p.machine === 'movable')
      .map((p) => mil(p.packs.left.reduce((s, t) => s + t, 0)))
    expect(sums).toEqual([73, 73])
  })
})
