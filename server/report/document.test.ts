import { describe, expect, it } from 'vitest'
import { TestBelt } from '../../core/jobs/testBelt'
import { inMil, SET_UP, TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { planChanges, plansFor } from '../../core/stages/plan/planning'
import { tellingOf } from '../../shared/wording/telling'
import type { MachineSnapshot } from '../../shared/register/machine'
import { reportDocument } from './document'
import type { Reported } from './section'
import { textsOf } from './testReport'
import { shaftSvg, verdictSvg } from './shaftSvg'

const MACHINE = {
  ...TEST_MACHINE,
  id: 'm',
  version: 1,
  tag: 'CP-11',
  name: 'Clay ball mill',
  area: 'Clay preparation hall',
  movableName: 'Motor',
  stationaryName: 'Gear unit',
  couplingKind: 'Grid coupling',
  powerKw: 75,
} as unknown as MachineSnapshot
const LOW = inMil(-8.4, 5.1, -0.36, 0.22)

const wholeJob = () => {
  const job = new TestJob().ready()
  job.read(LOW)
  const bad = job.read(LOW, { clock: 270, by: 3 })
  job.add({ kind: 'set-left-out', payload: { set: bad.id, why: 'the bracket was touched' } })
  job.read(LOW)
  const plan = plansFor(job.state)?.plans[0]
  if (!plan) throw new Error('no plan')
  const { changes, side } = planChanges(plan, 'inch')
  job.add({ kind: 'plan-chosen', payload: { units: 'inch', option: plan.kind, changes, side, sets: null } })
  job.add({
    kind: 'bolts-named',
    payload: { units: 'inch', size: '3/4', boltClass: 'grade-5', lubrication: 'dry', makerTorque: null },
  })
  const counts = [{ machine: 'movable' as const, pair: 'inboard', toGo: 0 }]
  job.add({ kind: 'counts-read', payload: { units: 'inch', when: 'pushing', counts } })
  const shifted = counts.map((c) => ({ ...c, toGo: 1.4 }))
  job.add({ kind: 'counts-read', payload: { units: 'inch', when: 'tightened', counts: shifted } })
  job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: 'one burr filed off' } })
  job.read(inMil(0.2, 0.1, 0, 0))
  job.read(inMil(0.2, 0.1, 0, 0))
  job.add({ kind: 'remark', payload: { text: 'Guard bolt M8 replaced' } })
  job.add({
    kind: 'job-closed',
    payload: {
      signedBy: 'Maintenance lead',
      remarks: 'Runs quietly',
      exception: '',
      signed: { verdict: 'in', foldVersion: 3 },
    },
  })
  return job
}
const input = (job: { readonly entries: TestJob['entries'] }, more: Partial<Reported> = {}): Reported => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: MACHINE,
  logbook: job.entries,
  personName: (id) => (id === 'someone' ? 'Day-shift millwright' : 'nobody'),
  telling: tellingOf('inch', TEST_MACHINE),
  paper: 'A4',
  photographs: {},
  ...more,
})
const said = (more: Partial<Reported> = {}, job = wholeJob()) =>
  textsOf(reportDocument(job.fold(), input(job, more)).content).join('\n')

describe('the report', () => {
  it('says who, what, when, and how it was left', () => {
    const text = said()
    for (const part of [
      'Orrin Vale Tile Works',
      'Alignment report, CP-11 Clay ball mill',
      'Planned check.',
      '990 rpm as read off',
      'In band',
      'Limit given with the job',
      'As found: 8.4 mil low',
      'bar sag 3.0 mil (told as its hang)',
      'Day-shift millwright',
      'confirmed isolated',
      'Maintenance lead',
      'Runs quietly',
      'Guard bolt M8 replaced',
      'one burr filed off',
      'Local codes',
    ])
      expect(text).toContain(part)
  })

  it('shows every set, also the one not used, with the reason', () => {
    const text = said()
    expect(text).toMatch(/Set 2, .*: left out/)
    expect(text).toContain('Second set was left out: the bracket was touched')
    expect(text).toContain('Readings after move 1')
    expect(text).toMatch(/Checks: Rim, sum check 0\.0 \(limit 2\.0\) passes/)
  })

  it('tells the rounds of the feet: gaps, rises, what was filled and why', () => {
    const job = new TestJob().open().lockOut()
    const [, f2] = job.outerFeet()
    if (!f2) throw new Error('four feet')
    job.add({
      kind: 'gaps-felt',
      payload: {
        units: 'inch',
        gaps: [
          {
            ...f2,
            corners: { outboardOuter: 10, outboardInner: 9, inboardOuter: 11, inboardInner: 10 },
            size: null,
          },
        ],
      },
    })
    job.rises([2, 12, 1.5, 9.5])
    job.fill(2, [10])
    job.rises([1, 1.5, 1, 1])
    job.rises([1, 1, 1, 1], 'slack')
    const text = said({}, job)
    expect(text).toContain('Bolts loose: f2 11.0 / 10.0 / 10.0 / 9.0.')
    expect(text).toMatch(/Round 1, .*\n2\.0\n12\.0\n1\.5\n9\.5\n9\.0\nOut/)
    expect(text).toContain('under f2, in 10.')
    expect(text).toContain('with the pipe flanges slack: f1 1.0')
    expect(said()).not.toContain('Bolts loose')
  })

  it('sets the move beside its plan and what came of it', () => {
    const text = said()
    expect(text).toMatch(/Move 1, .* Day-shift millwright/)
    expect(text).toContain('Vertical: It moved as it was made.')
    expect(text).toMatch(/Shims\. Inboard left: out .+, in .+/)
    expect(text).toContain('Shift on tightening: Inboard 1.4 mil toward 9; over 1.0 mil (starting value).')
    expect(text).toContain('Hold-down bolts: 3/4, grade 5, dry, 267 lbf ft in three passes, criss-cross.')
  })

  it('says what the register took over', () => {
    expect(said()).toMatch(/Into the register\nInboard left: shims .+ become .+\n/)
    expect(said()).toContain('Hold-down bolts: 3/4, grade 5, dry')
  })

  it('gives each signed figure its word', () => {
    const text = said()
    expect(text).toMatch(/−8\.4\nlow/)
    expect(text).toMatch(/\+5\.1\ntoward 3/)
  })

  it('says where it was to lie cold, and where that comes from; nothing of it where it is set straight', () => {
    expect(said()).not.toContain('Cold target')
    const job = new TestJob().ready()
    job.add({
      kind: 'target-set',
      payload: {
        units: 'inch',
        given: { way: 'line', line: { offset: { v: -6, h: 0 }, slope: { v: 0, h: 0 } } },
        source: 'sheet 7',
        learned: null,
      },
    })
    job.add({
      kind: 'vibration-noted',
      payload: {
        units: 'inch',
        moment: 'before',
        points: [{ at: 'movable-far', way: 'horizontal', value: 0.31 }],
        words: '',
      },
    })
    job.read(LOW)
    const text = said({}, job)
    expect(text).toContain('Cold target given as a line, sheet 7.')
    expect(text).toContain('counted from the cold target')
    expect(text).toContain('Dotted: where it is to lie cold.')
    expect(text).toContain('Inboard feet 6.0 mil low; in line with it. Outboard feet 6.0 mil low')
    expect(text).toContain('Vibration before: 0.310 in/s at most, motor, outboard, horizontal.')
  })

  it('prints the run of a hot check with what it made of the target, and when to come back', () => {
    const job = new TestJob().ready()
    const given = { way: 'line' as const, line: { offset: { v: -6, h: 0 }, slope: { v: 0, h: 0 } } }
    const target = { units: 'inch' as const, given, source: '', learned: null }
    job.add({ kind: 'target-set', payload: target })
    job.read(inMil(-6, 0, 0, 0))
    job.read(inMil(-6, 0, 0, 0))
    const sign = {
      kind: 'job-closed' as const,
      payload: {
        signedBy: 'Lead',
        remarks: '',
        exception: '',
        due: { on: '2026-02-01', what: 'hot-check' as const, words: '' },
        signed: null,
      },
    }
    job.add(sign)
    const cold = said({}, job)
    expect(cold).toContain(
      'Provisional: no hot check has borne out the cold target. As it warms it is expected to go 6.0 mil up.',
    )
    expect(cold).toContain('Look again on 1 Feb 2026: hot check.')
    job.entries.pop()
    job.add({ kind: 'hot-run-begun', payload: { at: '2026-01-01T09:00:00.000Z', left: null } })
    const feet = [{ machine: 'movable' as const, pair: 'inboard', value: 140 }]
    job.add({ kind: 'temperatures-read', payload: { units: 'inch', at: '2026-01-01T10:00:00.000Z', feet } })
    job.add({ kind: 'hot-run-ended', payload: { at: '2026-01-01T11:00:00.000Z' } })
    job.lockOut().read(inMil(2, 0, 0, 0))
    const hot = said({}, job)
    expect(hot).toContain('New cold target 8.0 mil low.')
    expect(hot).toContain('140 °F')
    expect(hot).toContain('Power came back: Run warm for the hot check.')
    expect(hot).not.toContain('Provisional:')
  })

  it('prints a move of both machines with the driven feet called so, and what measured means then', () => {
    const pair = (id: string, x: number) => ({
      id,
      x,
      existing: { left: [20], right: [20] },
      maxPack: 80,
      sidePlus: 40,
      sideMinus: 40,
      locked: false,
    })
    const both = {
      ...TEST_MACHINE,
      feet: { ...TEST_MACHINE.feet, stationary: [pair('inboard', -13), pair('outboard', -30)] },
    }
    const job = new TestJob(both).ready()
    job.read(LOW)
    job.read(LOW)
    const change = { pair: 'outboard', side: 'left', takenOut: [], putIn: [5] } as const
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [
          { ...change, machine: 'stationary' },
          { ...change, machine: 'stationary', side: 'right' },
        ],
        side: [{ machine: 'movable', pair: 'inboard', moved: -3 }],
        remark: '',
      },
    })
    const feet = { ...MACHINE, feet: both.feet } as unknown as MachineSnapshot
    const text = said({ machine: feet, telling: tellingOf('inch', both) }, job)
    expect(text).toContain('Driven outboard left')
    expect(text).toContain('driven outboard feet')
    expect(text).toContain('The driven machine was moved too')
  })

  it('names the table, revision and row that the limits come from', () => {
    const limits = {
      id: 'w',
      level: 'works' as const,
      coupling: '',
      name: 'Works table',
      source: 'sheet 9',
      revision: '3',
      units: 'inch' as const,
      rows: [
        {
          upTo: 1000,
          fine: { offset: 2, slope: 0.5, flexSlope: null },
          standard: { offset: 4, slope: 0.9, flexSlope: null },
        },
      ],
    }
    const tolerance = { form: 'speed-rule', mode: 'plane', grade: 'standard' } as const
    const own = { ...TEST_MACHINE, tolerance, limitSets: [limits] }
    const job = new TestJob(own).ready()
    job.read(LOW)
    job.read(LOW)
    const text = said({ machine: { ...MACHINE, tolerance, limitSets: [limits] } as MachineSnapshot }, job)
    expect(text).toContain('Works table, revision 3: row up to 1000 rpm, standard grade at 990 rpm.')
  })

  it('prints the proof: strain with what each plan would have been, what was confirmed and what was not', () => {
    const job = new TestJob().ready()
    job.read(inMil(1, 0, 0, 0))
    job.read(inMil(1, 0, 0, 0))
    expect(said({}, job)).not.toContain('Proof')
    job.add({ kind: 'bump-begun', payload: { by: 'the electrician' } })
    job.add({ kind: 'rotation-seen', payload: { seen: 'right', words: '' } })
    job.lockOut()
    job.add({ kind: 'proof-confirmed', payload: { point: 'heaters', how: 'not-here', words: '' } })
    job.add({ kind: 'coupling-made-up', payload: { units: 'inch', gap: 0.125 } })
    job.read(inMil(-4, 0, 0, 0))
    const text = said({}, job)
    expect(text).toContain('Seen to turn the right way, uncoupled')
    expect(text).toContain('Coupling made up, gap 0.125 in')
    expect(text).toContain('made up, it reads 5.0 mil down from what was read open.')
    expect(text).toContain('by the made-up one')
    expect(text).toContain('Not needed here: space heaters.')
    expect(text).toContain('Not confirmed: motor greased, set screws and keys')
    expect(text).toContain('Readings with the coupling made up')
    expect(text).toContain('Bump test for rotation, switched by the electrician.')
  })

  it('converts the whole of it, not a part', () => {
    const text = said({ telling: tellingOf('metric', TEST_MACHINE) })
    expect(text).toContain('0.213 mm low')
    expect(text).not.toMatch(/\bmil\b/)
  })

  it('tells what was passed over, corrected, or not confirmed', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'other', rpm: 990, customer: 'Press hall', note: '' } })
    job.add({ kind: 'set-up', payload: SET_UP })
    const wrong = job.read(LOW, { clock: 90, by: 9 })
    job.read(LOW, undefined, { entry: wrong.id, reason: 'misread the needle' })
    job.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by the old sheet' } })
    const text = said({}, job)
    expect(text).toContain('Not confirmed at the end: isolated, locked and tagged')
    expect(text).toContain('misread the needle')
    expect(text).toMatch(/Face at 3: .+ → .+/)
    expect(text).toContain('Plan was passed over. by the old sheet')
    expect(text).toContain('Press hall')
    expect(text).toContain('This job is still open')
  })

  it('is printed even when nothing was measured', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    expect(said({}, job)).toContain('Nothing was measured that could be used.')
  })

  it('fits the paper asked for', () => {
    expect(reportDocument(wholeJob().fold(), input(wholeJob(), { paper: 'LETTER' })).pageSize).toBe('LETTER')
  })
})

describe('what must not be lost', () => {
  it('the whole history of the lockout, with why power came back', () => {
    const job = new TestJob().ready()
    job.add({ kind: 'power-restored', payload: { why: 'bump test for rotation' } })
    job.lockOut('W-9')
    job.add({ kind: 'power-restored', payload: { why: 'guard switch tested' } })
    const text = said({}, job)
    expect(text).toContain('Power came back: bump test for rotation')
    expect(text).toContain('Power came back: guard switch tested')
    expect(text.match(/confirmed isolated \d\d:\d\d, locked and tagged/g)).toHaveLength(2)
  })

  it('why no lockout was needed, and why a set-up was used that missed zero', () => {
    const job = new TestJob().open()
    job.add({ kind: 'lockout-waived', payload: { why: 'motor not wired yet' } })
    job.add({
      kind: 'set-up',
      payload: { ...SET_UP, returned: { rim: 4, face: 0 }, why: 'bearing play, known' },
    })
    const text = said({}, job)
    expect(text).toContain('Lockout not needed: motor not wired yet')
    expect(text).toContain('Used although it missed zero: bearing play, known')
  })

  it.each([
    [null, 'For the customer', 0],
    [{ name: 'R. Ash', strokes: [] }, 'For the customer: R. Ash', 0],
    [{ name: 'R. Ash', strokes: [[10, 20, 300, 200]] }, 'For the customer: R. Ash', 1],
  ])('who signed for the customer, with their hand where they drew it', (customer, line, drawn) => {
    const job = wholeJob()
    const closed = job.entries.pop()
    if (closed?.kind !== 'job-closed') throw new Error('not closed')
    job.add({ kind: 'job-closed', payload: { ...closed.payload, customer } })
    expect(said({}, job)).toContain(line)
    const drawings = JSON.stringify(reportDocument(job.fold(), input(job))).match(/M10 20L300 200/g) ?? []
    expect(drawings).toHaveLength(drawn)
  })

  it('what was signed, when today’s arithmetic says otherwise', () => {
    const job = wholeJob()
    const closed = job.entries.pop()
    if (closed?.kind !== 'job-closed') throw new Error('not closed')
    job.add({
      kind: 'job-closed',
      payload: { ...closed.payload, signed: { verdict: 'edge', foldVersion: 1 } },
    })
    expect(said({}, job)).toContain('Signed as “Edge”. Today’s arithmetic would say “In band”')
  })
})

describe('the report of a belt job', () => {
  it('prints contacts, gaps, what was done, and as found against as left', () => {
    const belt = new TestBelt().ready()
    belt.contacts(true, false)
    belt.gaps(0, 0.63, { g12: 0.15, g6: 0, h: 172 })
    belt.add({ kind: 'line-corrected', payload: { steps: ['turn', 'offset'], remark: 'screw eased' } })
    belt.gaps(2.7, 2.7)
    const machine = {
      ...belt.machine,
      tag: 'GL-03',
      name: 'Glaze mill',
      area: 'Glaze house',
      movableName: 'Motor',
      stationaryName: 'Glaze mill',
      powerKw: 22,
    } as unknown as MachineSnapshot
    const telling = tellingOf('metric', machine)
    const text = textsOf(reportDocument(belt.fold(), input(belt, { machine, telling })).content).join('\n')
    for (const part of [
      'Belt drive report, GL-03 Glaze mill',
      '5 V-belts, section B',
      'One rim of the other sheave stands off',
      'far rim 0.63 mm',
      'Corrected',
      'motor turned, sheave slid on its shaft. screw eased',
      'Limits: Offset: Site rule. Fleet, tilt: Starting point',
    ])
      expect(text).toContain(part)
  })
})

describe('its drawings', () => {
  it('are black on white, with as found dashed and every number finite', () => {
    const { state } = wholeJob()
    const svg =
      shaftSvg(
        state,
        'v',
        state.asFound?.coupling ?? null,
        state.asLeft?.coupling as never,
        tellingOf('inch', TEST_MACHINE),
      ) ?? ''
    expect(svg).toContain('stroke-dasharray="4 2"')
    expect(svg).not.toMatch(/NaN|Infinity/)
    expect(new Set(svg.match(/(stroke|fill)="(\w+)"/g))).toEqual(
      new Set(['stroke="black"', 'fill="black"', 'fill="none"']),
    )
  })

  it('tell the verdicts apart by shape alone', () => {
    const shapes = ['in', 'edge', 'out', 'unknown'].map(verdictSvg)
    expect(new Set(shapes).size).toBe(4)
  })
})

describe('the set-up in the report', () => {
  const said = (more: object) => {
    const job = new TestJob().open().lockOut()
    job.look()
    job.feelHubs()
    job.add({ kind: 'set-up', payload: { ...SET_UP, ...more } })
    job.read(LOW)
    return textsOf(reportDocument(job.fold(), input(job)).content).join('\n')
  }
  it('says nothing of what was not proved', () => {
    expect(said({})).not.toMatch(/on a pipe: |nudged|Marked for refitting|run-out is taken out/)
  })

  it('tells what the bar did on a pipe, whose head moved, what was taken out, how it is marked', () => {
    const text = said({
      pipe: { sag: { at3: null, at6: -6, at9: null, back: 0 } },
      nudged: { own: 12, other: 0.5 },
      markUp: 90,
      refit: 'two dots on bar and collar',
    })
    expect(text).toContain('Bar sag measured on a pipe: −6.0 mil at 6, 0.0 mil back at 12.')
    expect(text).toContain('its figure changed by 12.0 mil, the other by 0.5 mil.')
    expect(text).toContain('run-out is taken out; its mark 3 stood at 12.')
    expect(text).toContain('Marked for refitting: two dots on bar and collar')
  })
})
