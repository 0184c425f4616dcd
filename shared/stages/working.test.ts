import { describe, expect, it } from 'vitest'
import { TestBelt } from '../../core/jobs/testBelt'
import { inMil, REVERSE_SET_UP, TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { plansFor } from '../../core/stages/plan/planning'
import { figure } from '../wording/figures'
import { tellingOf } from '../wording/telling'
import type { WorkingStep } from '../working/step'
import { lineWorking } from './lineUp/working'
import { readingsWorking } from './measure/working'
import { planWorking } from './plan/working'
import { setUpWorking } from './setUp/working'

const T = tellingOf('inch', TEST_MACHINE)
const JUDGED = { rpm: 990, source: 'Limit given with the job' }
const LOW = inMil(-8.4, 5.1, -0.36, 0.22)

/** Does the arithmetic that a working shows, as an apprentice with a calculator would. */
const calculate = (shown: string): number => {
  const expression = shown
    .replace(/−/g, '-')
    .replace(/×/g, '*')
    .replace(/\+\s*\+/g, '+ ')
    .replace(/-\s*-/g, '+ ')
  if (!/^[\d\s+\-*/().]+$/.test(expression)) throw new Error(`not arithmetic: ${shown}`)
  return Function(`return (${expression})`)() as number
}
const number = (shown: string) => Number(shown.replace('−', '-').replace('+', ''))
const find = (steps: readonly WorkingStep[], name: string) => {
  const step = steps.find((s) => s.name === name)
  if (!step) throw new Error(`no step ${name} in ${steps.map((s) => s.name).join('; ')}`)
  return step
}
const measured = (setUp?: Parameters<TestJob['ready']>[0]) => {
  const job = new TestJob().ready(setUp)
  job.read(LOW)
  return job
}

describe('the working of a measurement', () => {
  const { state } = measured()
  const steps = readingsWorking(state.latest, JUDGED, T)

  it.each([
    'Rim, sum check',
    'Face, sum check',
    'Offset at the rim, vertical',
    'Angle, vertical, face',
    'Offset at the coupling, vertical',
    'Inboard feet, vertical',
    'Outboard feet, horizontal',
    'Offset at the coupling, horizontal',
  ])('%s comes out as it says, with the numbers it shows', (name) => {
    const step = find(steps, name)
    expect(calculate(step.substituted)).toBeCloseTo(number(step.result), 1)
  })

  it('ends at the numbers the ledger shows', () => {
    expect(number(find(steps, 'Offset at the coupling, vertical').result)).toBeCloseTo(-8.4, 2)
    expect(number(find(steps, 'Angle, horizontal, face').result)).toBeCloseTo(0.22, 3)
    expect(find(steps, 'Outboard feet, vertical').note).toContain(
      figure(state.latest.feet[1]?.move.v ?? null, 'displacement', 'inch', { extra: 1 }),
    )
  })

  it('shows the margin of every judged quantity with its rule', () => {
    for (const name of ['offset, vertical', 'offset, horizontal', 'angle, vertical', 'angle, horizontal'])
      expect(find(steps, `Margin, ${name}`).note).toContain('In band from 0.20')
  })

  it('has nothing to show before there are readings', () => {
    expect(readingsWorking(new TestJob().ready().state.latest, JUDGED, T)).toEqual([])
  })
})

describe('the working of a plan', () => {
  it('leads from the measurement and the moves to the prediction', () => {
    const job = measured()
    job.read(LOW)
    const { state } = job
    const plan = plansFor(state)?.plans[0]
    if (!plan || !state.latest.coupling) throw new Error('no plan')
    const steps = planWorking(state.latest.coupling, plan.predicted, plan.moves, T)
    for (const view of ['vertical', 'horizontal'])
      for (const what of ['Angle', 'Offset']) {
        const step = find(steps, `${what} after, ${view}`)
        expect(calculate(step.substituted)).toBeCloseTo(number(step.result), 1)
      }
    const packs = steps.filter((s) => s.name.startsWith('Pack, '))
    expect(packs.length).toBeGreaterThan(0)
    for (const step of packs) expect(step.substituted).toMatch(/^out .+, in .+$/)
  })
})

describe('the working of a set-up', () => {
  it('shows both ways of telling the sag, and the outboard distance from the tape', () => {
    const { setUp } = new TestJob().ready().state
    if (!setUp) throw new Error('no set-up')
    const steps = setUpWorking(setUp, T)
    expect(find(steps, 'Bar sag, rim').substituted).toContain('−6.0 mil')
    expect(find(steps, 'Distance to the outboard feet').result).toBe('34.50 in')
    expect(find(steps, 'Return to zero').result).toBe('holds')
  })
})

describe('the working of reverse rim', () => {
  const { state } = measured(REVERSE_SET_UP)
  const steps = readingsWorking(state.latest, JUDGED, T)

  it.each([
    'Offset at the driven hub, vertical',
    'Offset at the motor hub, horizontal',
    'Angle, vertical',
    'Angle, horizontal',
    'Offset at the coupling, vertical',
  ])('%s comes out as it says, with the numbers it shows', (name) => {
    const step = find(steps, name)
    expect(calculate(step.substituted)).toBeCloseTo(number(step.result), 1)
  })

  it('ends at the same line as rim and face', () => {
    expect(number(find(steps, 'Offset at the coupling, vertical').result)).toBeCloseTo(-8.4, 1)
  })
})

describe('the working of a sheave line', () => {
  it('shows turn, offset and fleet from the gaps', () => {
    const belt = new TestBelt().ready()
    const entry = belt.gaps(0, 0.63)
    const line = belt.fold().state.lines.at(-1)
    if (!line || entry.kind !== 'sheaves-read') throw new Error('nothing read')
    const steps = lineWorking(line, entry, tellingOf('metric', belt.machine))
    const offset = find(steps, 'Offset, groove to groove')
    expect(calculate(offset.substituted)).toBeCloseTo(number(offset.result), 2)
    expect(find(steps, 'Turn').result).toBe('0.21°')
  })
})
