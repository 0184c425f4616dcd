import { meaningOfClosing } from './closing'
import { meaningOfSafety } from './makeSafe'
import { lockoutWarning } from './safety'
import { describe, expect, it } from 'vitest'
import { TestBelt } from '../../core/jobs/testBelt'
import { inMil, lift, SET_UP, TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { plansFor } from '../../core/stages/plan/planning'
import { blockedWords, handlingWords, liftWords, meaningOfPlan } from './plans'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { cureSteps, eighths, meaningOfLine } from './lines'
import { correctionLines } from './corrections'
import { meaningOfReadings } from './readings'
import { tellingOf } from './telling'
import { trustRows } from './trustRows'

const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const T = tellingOf('inch', TEST_MACHINE)
const meaning = (job: TestJob) => meaningOfReadings(job.state.latest, 'motor', job.state.setUp!, T)

describe('what the readings mean', () => {
  it('begins with what to do', () => {
    expect(meaning(new TestJob().ready())).toMatchObject({
      mark: 'todo',
      headline: 'Read rim and face at each position.',
    })
  })

  it('asks to repeat a set that balances', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    expect(meaning(job)).toMatchObject({
      mark: 'todo',
      headline: 'This set balances. Repeat it before you move anything.',
    })
    expect(meaning(job).detail).toContain('motor 8.4 mil low, 5.1 mil toward 3')
  })

  it('says which plane is not known, never zero', () => {
    const job = new TestJob().ready()
    const { payload } = job.read(LOW)
    job.entries.pop()
    const circles = Object.fromEntries(
      Object.entries(payload.circles).map(([c, list]) => [c, list.filter((r) => r.clock % 180 === 0)]),
    )
    job.add({ kind: 'readings-taken', payload: { ...payload, circles } })
    expect(meaning(job).detail).toContain('The horizontal is not known: it was not read.')
  })

  it('says when the face is too small for its limit, and how large it would have to be', () => {
    const job = new TestJob().ready()
    const [face] = SET_UP.how.method === 'rim-face' ? SET_UP.how.given.faces : []
    if (!face || SET_UP.how.method !== 'rim-face') throw new Error('another method')
    const given = { ...SET_UP.how.given, faces: [{ ...face, diameter: 0.4 }] as const }
    job.add({ kind: 'set-up', payload: { ...SET_UP, how: { ...SET_UP.how, given } } })
    job.read(LOW)
    expect(meaning(job).detail).toMatch(
      /One graduation in one reading alone makes [\d.]+ mil\/in of angle, vertical: more than half of its limit\. The face would have to be swept on [\d.]+ in\./,
    )
  })

  it('names the one reading that does not repeat', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    expect(meaning(job)).toMatchObject({
      mark: 'out',
      headline: 'The 9 o’clock face reading does not repeat. Take it again.',
    })
    expect(meaning(job).detail).toContain('outboard feet')
  })

  it('says how far a lone set is from balancing, and that it can’t tell which reading', () => {
    const job = new TestJob().ready()
    job.read(LOW, { clock: 90, by: 4 })
    expect(meaning(job)).toMatchObject({ headline: 'The face does not balance: 4.0 apart, limit 2.0.' })
    expect(meaning(job).detail).toContain('can’t tell which')
  })

  it('asks for a third set when two sound ones differ', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(inMil(-8.4, 5.1, -1.6, 0.22))
    expect(meaning(job).headline).toMatch(
      /First set and second set don’t agree\. Read a third one|does not repeat/,
    )
  })

  it.each([
    [inMil(1, 0, 0.1, 0), 'in', /^In band\. Motor 1\.0 mil high/],
    [inMil(4.5, 0, 0, 0), 'edge', /^Inside the limit, but near its edge/],
    [LOW, 'out', /^Out of band: motor 8\.4 mil low; 5\.1 mil toward 3\.$/],
  ] as const)('judges what repeats', (truth, mark, headline) => {
    const job = new TestJob().ready()
    job.read(truth)
    job.read(truth)
    expect(meaning(job).mark).toBe(mark)
    expect(meaning(job).headline).toMatch(headline)
  })

  it('says when a reading was used against its check', () => {
    const job = new TestJob().ready()
    const bad = job.read(LOW, { clock: 90, by: 4 })
    job.add({ kind: 'set-used-anyway', payload: { set: bad.id, why: 'x' } })
    expect(meaning(job).detail).toContain('against a failed check')
  })
})

describe('the trust table', () => {
  const rowsOf = (job: TestJob) => trustRows(job.state.latest, T)

  it('has the sum checks, the return to zero, and the worst repeat of each dial', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW, { clock: 270, by: 3 })
    expect(rowsOf(job).map((r) => [r.name, r.found, r.limit, r.passes])).toEqual([
      ['Rim, sum check', '0.0', '2.0', true],
      ['Face, sum check', '3.0', '2.0', false],
      ['Return to zero', '0.0', '0.5', true],
      ['Repeat, rim at 12', '0.0', '1.0', true],
      ['Repeat, face at 9', expect.stringMatching(/^2\.[23]$/), '1.0', false],
    ])
  })

  it('is empty before the first set', () => {
    expect(rowsOf(new TestJob().ready())).toEqual([])
  })

  it('says when nothing is spare', () => {
    const job = new TestJob().ready()
    const three = [0, 120, 240].map((clock) => ({ clock, value: 0 }))
    job.add({
      kind: 'readings-taken',
      payload: { units: 'inch', circles: { rim: three, face: three }, returned: null },
    })
    expect(rowsOf(job)[0]).toMatchObject({ name: 'Rim, spare readings', found: 'none', passes: false })
  })
})

const findingOf = (job: TestJob, stage: string) => findingsOf(job.fold(), T)[stage]

describe('the run sheet', () => {
  it('has a line for each stage as it fills', () => {
    const job = new TestJob()
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    expect(findingOf(job, 'make-safe')).toBe('')
    job.add({ kind: 'safety-confirmed', payload: { point: 'isolated', permit: '' } })
    expect(findingOf(job, 'make-safe')).toBe('Next: locked and tagged')
    job.add({ kind: 'power-restored', payload: { why: 'bump' } })
    expect(findingOf(job, 'make-safe')).toBe('Power came back: confirm again')

    const ready = new TestJob().ready()
    expect(findingOf(ready, 'make-safe')).toMatch(/^Locked out \d\d:\d\d$/)
    expect(findingOf(ready, 'set-up')).toBe('Rim and face, sag 3.0')
    ready.read(LOW)
    ready.read(LOW)
    expect(findingOf(ready, 'as-found')).toBe('Two sets agree: out')
    ready.add({ kind: 'stage-skipped', payload: { stage: 'plan', why: 'by eye' } })
    expect(findingOf(ready, 'plan')).toBe('Passed over: by eye')
  })
})

describe('plans in words', () => {
  it('say what goes under the feet, how much is handled and what it means', () => {
    const job = new TestJob().ready()
    job.read(LOW)
    job.read(LOW)
    const result = plansFor(job.state)
    const plan = result?.plans[0]
    if (!plan) throw new Error('no plan')
    expect(liftWords(plan, T)).toMatch(/^add \d+\.\d \/ add \d+\.\d$/)
    expect(handlingWords(plan, T)).toBe(`both pairs, ${plan.shimsHandled} shims`)
    const now = job.state.latest.judgement
    const means = (given: object) =>
      meaningOfPlan({ now, after: plan.judgement, moves: true, stale: false, far: 'outboard', ...given }, T)
    expect(means({})).toMatchObject({ mark: 'in' })
    expect(means({ now: null }).headline).toContain('nothing to plan from')
    expect(means({ now: plan.judgement, moves: false }).headline).toContain('Nothing needs to move')
    expect(means({ stale: true })).toMatchObject({ mark: 'stale' })
    expect(means({ after: now }).headline).toContain('leaves it out of band: 8.4 mil low')
  })

  it('say which foot is blocked, which way and why', () => {
    expect(
      blockedWords(
        {
          id: 'outboard',
          machine: 'movable',
          plane: 'h',
          need: 18 * 0.0254,
          room: 4 * 0.0254,
          reason: 'bolt-bound',
        },
        T,
      ),
    ).toBe('Outboard feet should go 18.0 mil toward 3, can go 4.0 mil: no room left in the bolt holes.')
    expect(
      blockedWords(
        { id: 'inboard', machine: 'movable', plane: 'v', need: -0.1, room: 0, reason: 'no-shim' },
        tellingOf('metric', TEST_MACHINE),
      ),
    ).toContain('0.100 mm down')
  })
})

describe('the lockout in words', () => {
  it('says on every other stage that it is missing or broken, and nothing once hands may go', () => {
    const job = new TestJob().open()
    const warning = () => lockoutWarning(job.state.safety, job.state.closing !== null, T)
    expect(warning()).toContain('not whole')
    job.lockOut()
    expect(warning()).toBeNull()
    job.add({ kind: 'power-restored', payload: { why: 'bump test' } })
    expect(warning()).toContain('Power came back')
    job.add({ kind: 'lockout-waived', payload: { why: 'cable off' } })
    expect(warning()).toBeNull()
  })

  it('on its own stage says what to do, and of a closed job never that hands may go in', () => {
    const job = new TestJob().ready()
    expect(meaningOfSafety(job.state.safety, false, T).headline).toContain('Hands may go')
    expect(meaningOfSafety(job.state.safety, true, T).headline).not.toContain('Hands may go')
    job.add({ kind: 'power-restored', payload: { why: 'bump test' } })
    expect(meaningOfSafety(job.state.safety, false, T)).toMatchObject({ mark: 'stale', detail: 'bump test' })
  })
})

describe('closing in words', () => {
  it('says why an exception is needed, and what stands when none is', () => {
    const job = new TestJob().ready()
    const means = () => meaningOfClosing(job.state.closing, job.state.outcome, T)
    expect(means().headline).toContain('Nothing was measured')
    job.read(LOW)
    job.read(LOW)
    expect(means()).toMatchObject({ mark: 'out' })
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('inboard', [12]), side: [], remark: '' },
    })
    expect(means().headline).toContain('not measured since')
    job.read(inMil(0.5, 0, 0, 0))
    job.read(inMil(0.5, 0, 0, 0))
    expect(means()).toMatchObject({ mark: 'in', headline: expect.stringContaining('Left in band') as string })
  })
})

describe('every stage has a headline and a finding in words', () => {
  it.each([
    ['coupled', () => new TestJob().ready().fold()],
    ['belt', () => new TestBelt().ready().fold()],
  ] as const)('of a %s job', (_, fold) => {
    const job = fold()
    const telling = tellingOf('inch', job.state.machine)
    for (const row of job.sheet.rows) {
      expect(headlinesOf(job, telling)[row.id]).toMatch(/^[A-Z].+[.?]$/)
      expect(findingsOf(job, telling)[row.id]).toBeTypeOf('string')
    }
  })
})

describe('what a correction changed', () => {
  it('is told value by value, old and new', () => {
    const job = new TestJob().ready()
    const wrong = job.read(LOW, { clock: 270, by: 3 })
    const right = job.read(LOW, undefined, { entry: wrong.id, reason: 'misread' })
    expect(correctionLines(wrong, right, T)).toEqual([
      expect.stringMatching(/^Face at 9: [+−]\d\.\d mil → [+−]\d\.\d mil$/),
    ])
  })

  it('names shims by their foot and distances by what was taped', () => {
    const job = new TestJob().ready()
    const move = (amount: number) =>
      job.add({
        kind: 'move-made',
        payload: { units: 'inch', changes: lift('outboard', [amount]), side: [], remark: '' },
      })
    expect(correctionLines(move(10), move(12), T)).toContain('outboard left, put in: 10 → 12')
    const set = (x: number) =>
      job.add({
        kind: 'set-up',
        payload: { ...SET_UP, feet: SET_UP.feet.map((f) => (f.pair === 'inboard' ? { ...f, x } : f)) },
      })
    expect(correctionLines(set(12), set(13), T)).toEqual(
      ['inboard feet at: +12.00 in → +13.00 in'].map((s) => s.replaceAll('+', '')),
    )
  })
})

describe('a sheave line in words', () => {
  const metric = (belt: TestBelt) => tellingOf('metric', belt.machine)
  const line = (belt: TestBelt) => {
    const found = belt.fold().state.lines.at(-1)
    if (!found) throw new Error('nothing read')
    return found
  }

  it('names what is out and what to cure first', () => {
    const belt = new TestBelt().ready()
    belt.gaps(0, 0.63)
    expect(meaningOfLine(line(belt), false, metric(belt))).toMatchObject({
      mark: 'out',
      headline: 'Offset is out. Cure the turn first, then slide.',
    })
  })

  it('says that faces may touch while grooves stand apart', () => {
    const belt = new TestBelt().ready()
    belt.contacts(true, true)
    expect(meaningOfLine(line(belt), true, metric(belt)).detail).toContain('2.70 mm apart')
  })

  it('gives each step in the words of the base, in working order', () => {
    const belt = new TestBelt().ready()
    belt.gaps(0, 0.63, { g12: 0.15, g6: 0, h: 172 })
    const steps = cureSteps(line(belt), belt.machine, 'outer', metric(belt))
    expect(steps.map((s) => s.step)).toEqual(['tilt', 'turn', 'offset'])
    expect(steps[1]).toMatchObject({
      what: 'Turn: the far end goes away from the driven shaft',
      figure: '3/8 turn',
    })
    expect(steps[1]?.detail).toContain('That is 0.93 mm, the sheave end held')
    expect(steps[0]).toMatchObject({ what: 'Tilt: nothing', detail: '0.05° is inside 0.50°' })
    expect(steps[2]).toMatchObject({
      what: 'Slide the motor sheave 2.38 mm toward the motor',
      figure: '→ 18.38',
    })
  })

  it.each([
    [0, '0'],
    [0.37, '3/8'],
    [0.5, '1/2'],
    [-1.26, '1 1/4'],
    [2.01, '2'],
  ])('%d turns are %s', (turns, shown) => {
    expect(eighths(turns)).toBe(shown)
  })
})
