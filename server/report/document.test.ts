import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../core/logbook/testJob'
import { planChanges, plansFor } from '../../core/logbook/planning'
import type { MachineSnapshot } from '../../shared/register/machine'
import { reportDocument, type ReportInput } from './content'
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
  const plan = plansFor(TEST_MACHINE, job.fold())?.plans[0]
  if (!plan) throw new Error('no plan')
  const { changes, side } = planChanges(plan, 'inch')
  job.add({ kind: 'plan-chosen', payload: { units: 'inch', option: plan.kind, changes, side } })
  job.add({ kind: 'move-made', payload: { units: 'inch', changes, side, remark: 'one burr filed off' } })
  job.read(inMil(0.2, 0.1, 0, 0))
  job.read(inMil(0.2, 0.1, 0, 0))
  job.add({ kind: 'remark', payload: { text: 'Guard bolt M8 replaced' } })
  job.add({
    kind: 'job-closed',
    payload: { signedBy: 'Maintenance lead', remarks: 'Runs quietly', exception: '' },
  })
  return job
}
const input = (job: TestJob, more: Partial<ReportInput> = {}): ReportInput => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: MACHINE,
  state: job.fold(),
  logbook: job.entries,
  personName: (id) => (id === 'someone' ? 'Day-shift millwright' : 'nobody'),
  units: 'inch',
  paper: 'A4',
  ...more,
})
/** Every text of a document, in order. */
const texts = (node: unknown): string[] => {
  if (typeof node === 'string') return [node]
  if (Array.isArray(node)) return node.flatMap(texts)
  if (node && typeof node === 'object')
    return Object.entries(node).flatMap(([k, v]) =>
      ['text', 'stack', 'columns', 'table', 'body', 'ul', 'content'].includes(k) ? texts(v) : [],
    )
  return []
}
const said = (more: Partial<ReportInput> = {}, job = wholeJob()) =>
  texts(reportDocument(input(job, more)).content).join('\n')

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
      'As found: the motor 8.4 mil low',
      'Bar sag 3.0 mil (told as its hang)',
      'Day-shift millwright',
      'Isolated',
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
    expect(text).toContain('Set 2 was left out: the bracket was touched')
    expect(text).toContain('Readings after move 1')
    expect(text).toMatch(/Checks: Rim, sum check 0\.0 \(limit 2\.0\) passes/)
  })

  it('sets the move beside its plan and what came of it', () => {
    const text = said()
    expect(text).toMatch(/Move 1, .* Day-shift millwright/)
    expect(text).toContain('Height: It moved as planned.')
    expect(text).toMatch(/Shims\. Inboard left: out .+, in .+/)
  })

  it('gives each signed figure its word', () => {
    const text = said()
    expect(text).toMatch(/−8\.4\nlow/)
    expect(text).toMatch(/\+5\.1\ntoward 3/)
  })

  it('converts the whole of it, not a part', () => {
    const text = said({ units: 'metric' })
    expect(text).toContain('0.213 mm low')
    expect(text).not.toMatch(/\bmil\b/)
  })

  it('tells what was passed over, corrected, or not confirmed', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'other', rpm: 990, customer: 'Press hall', note: '' } })
    job.add({
      kind: 'set-up',
      payload: { ...(new TestJob().ready().fold().setUp?.given as never as object) } as never,
    })
    const wrong = job.read(LOW, { clock: 90, by: 9 })
    job.read(LOW, undefined, { entry: wrong.id, reason: 'misread the needle' })
    job.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by the old sheet' } })
    const text = said({}, job)
    expect(text).toContain('Not confirmed: isolated, locked and tagged')
    expect(text).toContain('misread the needle')
    expect(text).toContain('Plan was passed over: by the old sheet')
    expect(text).toContain('Press hall')
    expect(text).toContain('This job is still open')
  })

  it('is printed even when nothing was measured', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    expect(said({}, job)).toContain('Nothing was measured that could be used.')
  })

  it('fits the paper asked for', () => {
    expect(reportDocument(input(wholeJob(), { paper: 'LETTER' })).pageSize).toBe('LETTER')
  })
})

describe('its drawings', () => {
  it('are black on white, with as found dashed and every number finite', () => {
    const state = wholeJob().fold()
    const svg =
      shaftSvg(state, 'v', state.asFound?.coupling ?? null, state.asLeft?.coupling as never, 'inch') ?? ''
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
