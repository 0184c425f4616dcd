import { describe, expect, it } from 'vitest'
import { objectionTo } from '../../jobs/jobs'
import { inMil, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import type { LogEntry } from '../../logbook/entry'
import type { Misalignment } from '../../frame/planes'
import { positionAt } from '../../frame/planes'

const OPEN_LINE = inMil(1, 0, 0.1, 0)
const HUBS = {
  stationaryDiameter: 8,
  movableDiameter: 8,
  gapLeast: 0.1,
  gapMost: 0.15,
  float: null,
  closeEnough: null,
  rimLimit: null,
  faceLimit: null,
}

/** Read twice uncoupled, in band. */
const aligned = (job = new TestJob()) => {
  job.open().lockOut().look()
  job.rises()
  job.feelHubs()
  job.add({ kind: 'set-up', payload: new TestJob().ready().entries.at(-1)!.payload as never })
  job.read(OPEN_LINE)
  job.read(OPEN_LINE)
  return job
}
const madeUp = (job: TestJob, gap: number | null = null) =>
  job.add({ kind: 'coupling-made-up', payload: { units: 'inch', gap } })
const confirm = (job: TestJob, point: string, how = 'done') =>
  job.add({ kind: 'proof-confirmed', payload: { point, how, words: '' } } as never)
const stands = (job: TestJob, step: string) => job.state.proof.rows.find((r) => r.step === step)?.stands
const says = (job: TestJob, body: object) => {
  const entry = { id: 'x', supersedes: null, before: null, ...body } as unknown as LogEntry
  return objectionTo(job.machine, [...job.entries], entry)?.code ?? null
}

describe('the proof', () => {
  it('walks its steps in working order, and the job goes on once the guard is on', () => {
    const job = aligned()
    const seen: (string | null)[] = []
    const step = (act: () => unknown) => {
      seen.push(job.state.proof.next)
      act()
    }
    step(() => job.add({ kind: 'rotation-seen', payload: { seen: 'not-needed', words: '' } }))
    step(() => confirm(job, 'greased'))
    step(() => confirm(job, 'heaters', 'not-here'))
    step(() => madeUp(job))
    step(() => confirm(job, 'read-coupled', 'not-here'))
    for (const point of ['set-screws', 'hold-down-bolts', 'turns-freely', 'guard-on'])
      step(() => confirm(job, point))
    expect(seen).toEqual(job.state.proof.rows.map((r) => r.step))
    expect([job.state.proof.next, job.mark('prove')?.mark]).toEqual([null, 'done'])
    expect(job.fold().sheet.current).toBe('close')
  })

  it('a bump takes the lockout off: its own turn until it was seen, then everything is locked out anew', () => {
    const job = aligned()
    job.add({ kind: 'bump-begun', payload: { by: 'the electrician' } })
    expect([job.fold().sheet.current, job.state.safety.missing.length]).toEqual(['prove', 5])
    expect(says(job, { kind: 'coupling-made-up', payload: { units: 'inch', gap: null } })).toBe('not-safe')
    job.add({ kind: 'rotation-seen', payload: { seen: 'right', words: '' } })
    expect(job.fold().sheet.current).toBe('make-safe')
    job.lockOut()
    expect(job.fold().sheet.current).toBe('prove')
    expect(stands(job, 'rotation')).toBe('done')
  })

  it('turning the wrong way is bumped again, and is an exception while it stands', () => {
    const job = aligned()
    job.add({ kind: 'bump-begun', payload: { by: '' } })
    job.add({ kind: 'rotation-seen', payload: { seen: 'wrong', words: '' } })
    job.lockOut()
    expect([job.state.proof.next, job.mark('prove')?.mark]).toEqual(['rotation', 'out'])
    expect(job.state.outcome.exceptions).toEqual(['turns-wrong'])
    job.add({ kind: 'bump-begun', payload: { by: '' } })
    job.add({ kind: 'rotation-seen', payload: { seen: 'right', words: '' } })
    expect(job.state.outcome.exceptions).toEqual([])
  })

  it('the gap is held against the register, which may have no window for it', () => {
    const job = aligned(new TestJob({ ...TEST_MACHINE, hubs: HUBS }))
    madeUp(job, 0.2)
    expect(job.state.proof.gap).toMatchObject({ verdict: 'out', least: expect.closeTo(2.54, 9) as number })
    expect(stands(job, 'made-up')).toBe('wrong')
    job.add({ kind: 'coupling-opened', payload: { why: 'too wide' } })
    madeUp(job, 0.125)
    expect([job.state.proof.gap?.verdict, stands(job, 'made-up')]).toEqual(['in', 'done'])
    const unknown = aligned()
    madeUp(unknown, 9)
    expect([unknown.state.proof.gap?.verdict, stands(unknown, 'made-up')]).toEqual([null, 'done'])
    const unfelt = aligned(new TestJob({ ...TEST_MACHINE, hubs: HUBS }))
    madeUp(unfelt)
    expect([unfelt.state.proof.gap, stands(unfelt, 'made-up')]).toEqual([null, 'done'])
  })

  it.each<[string, readonly (readonly [string, object])[], object, string]>([
    [
      'a bump with the coupling made up',
      [['coupling-made-up', { units: 'inch', gap: null }]],
      { kind: 'bump-begun', payload: { by: '' } },
      'bumped-coupled',
    ],
    [
      'a second bump',
      [['bump-begun', { by: '' }]],
      { kind: 'bump-begun', payload: { by: '' } },
      'bumping-already',
    ],
    [
      'a rotation that nobody bumped for',
      [],
      { kind: 'rotation-seen', payload: { seen: 'right', words: '' } },
      'no-bump',
    ],
    [
      'making it up twice',
      [['coupling-made-up', { units: 'inch', gap: null }]],
      { kind: 'coupling-made-up', payload: { units: 'inch', gap: null } },
      'made-up-already',
    ],
    ['opening what is open', [], { kind: 'coupling-opened', payload: { why: 'x' } }, 'not-made-up'],
    [
      'a reading that nobody took',
      [],
      { kind: 'proof-confirmed', payload: { point: 'read-coupled', how: 'done', words: '' } },
      'read-it',
    ],
    [
      'hands behind a lockout that is lost',
      [['power-restored', { why: 'x' }]],
      { kind: 'proof-confirmed', payload: { point: 'guard-on', how: 'done', words: '' } },
      'not-safe',
    ],
  ])('takes no %s', (_, before, entry, code) => {
    const job = aligned()
    for (const [kind, payload] of before) job.add({ kind, payload } as never)
    expect(says(job, entry)).toBe(code)
  })

  it('greases with the power on: the old grease is run out', () => {
    const job = aligned()
    job.add({ kind: 'power-restored', payload: { why: 'running the grease in' } })
    expect(
      says(job, { kind: 'proof-confirmed', payload: { point: 'greased', how: 'done', words: '' } }),
    ).toBeNull()
  })

  it('a move undoes what it opens, not the grease; the guard coming off undoes the guard', () => {
    const job = aligned().prove()
    job.lockOut()
    expect([job.state.proof.next, stands(job, 'turns-freely')]).toEqual(['guard-on', 'done'])
    confirm(job, 'guard-on')
    expect(job.state.proof.next).toBeNull()
    const change = { machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [5] } as const
    job.add({ kind: 'move-made', payload: { units: 'inch', changes: [change], side: [], remark: '' } })
    const undone = job.state.proof.rows.filter((r) => r.stands === 'todo').map((r) => r.step)
    expect(undone).toEqual([
      'made-up',
      'read-coupled',
      'set-screws',
      'hold-down-bolts',
      'turns-freely',
      'guard-on',
    ])
  })
})

describe('coupled against uncoupled', () => {
  const readCoupled = (line: Misalignment, sets = 1) => {
    const job = aligned()
    madeUp(job)
    for (let i = 0; i < sets; i++) job.read(line)
    return job
  }

  it('stands beside the rounds: what was left stays what was read open', () => {
    const job = readCoupled(inMil(-4, 0, 0, 0))
    const { state } = job
    expect(state.measurements).toHaveLength(1)
    expect(state.latest.sets).toHaveLength(2)
    expect(state.asLeft?.coupling?.offset.v).toBeCloseTo(0.0254, 6)
    expect(state.proof.measurement.sets).toHaveLength(1)
    expect(state.proof.strain?.coupled.offset.v).toBeCloseTo(-4 * 0.0254, 6)
  })

  it('says strain against half of the limit, what each plan would have been, and closes with a word only', () => {
    const job = readCoupled(inMil(-4, 0, 0, 0))
    const { proof, outcome } = job.state
    expect(proof.strain?.strained).toBe(true)
    expect(stands(job, 'read-coupled')).toBe('wrong')
    expect(outcome.exceptions).toContain('strained')
    const foot = proof.strain?.plans[1]
    const wrong = proof.strain?.feet[1]?.moveError.v ?? 0
    expect((foot?.coupled.v ?? 0) - (foot?.uncoupled.v ?? 0)).toBeCloseTo(wrong, 9)
    // The other way round: from both lines at that foot.
    const x = job.state.feet.movable[1]?.x ?? 0
    const apart =
      (positionAt(proof.strain!.uncoupled, x).v ?? 0) - (positionAt(proof.strain!.coupled, x).v ?? 0)
    expect(wrong).toBeCloseTo(apart, 9)
  })

  it('is no strain where both read alike; opened again, the next making-up is read anew', () => {
    const job = readCoupled(inMil(1.5, 0, 0.12, 0))
    expect([stands(job, 'read-coupled'), job.state.outcome.exceptions]).toEqual(['done', []])
    job.add({ kind: 'coupling-opened', payload: { why: 'a bolt was forgotten' } })
    expect([job.state.proof.strain, job.state.proof.next]).toEqual([null, 'rotation'])
    madeUp(job)
    expect(stands(job, 'read-coupled')).toBe('todo')
    expect(job.state.proof.openedAgain).toMatchObject([
      { why: 'a bolt was forgotten', strain: { strained: false } },
    ])
  })

  it('sets made up that don’t agree say nothing: they are read again', () => {
    const job = new TestJob()
    job.open().lockOut().look()
    job.add({ kind: 'set-up', payload: new TestJob().ready().entries.at(-1)!.payload as never })
    job.read(inMil(0, 0, 0, 0))
    job.read(inMil(0, 0, 0, 0))
    madeUp(job)
    job.read(inMil(3, 0, 0, 0))
    expect(job.state.proof.strain?.strained).toBe(true)
    job.read(inMil(-0.5, 0, 0, 0))
    expect(job.state.proof.measurement.trust).toBe('doubtful')
    expect([job.state.proof.strain, stands(job, 'read-coupled')]).toEqual([null, 'todo'])
  })

  it('a set of it can be left out, and one corrected keeps its place', () => {
    const job = readCoupled(inMil(-4, 0, 0, 0))
    const set = job.entries.at(-1)!
    expect(says(job, { kind: 'set-left-out', payload: { set: set.id, why: 'bracket knocked' } })).toBeNull()
    job.add({ kind: 'set-left-out', payload: { set: set.id, why: 'bracket knocked' } })
    expect(job.state.proof.strain).toBeNull()
    job.read(inMil(1, 0, 0.1, 0), undefined, { entry: set.id, reason: 'misread' })
    expect(job.state.latest.sets).toHaveLength(2)
  })
})
