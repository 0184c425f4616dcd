import { describe, expect, it } from 'vitest'
import { foldJob } from '../../core/logbook/foldJob'
import { plansFor } from '../../core/logbook/planning'
import { inMil, TEST_MACHINE, TestJob } from '../../core/logbook/testJob'
import { figure } from '../wording/figures'
import { planWorking } from './plan'
import { readingsWorking } from './readings'
import { setUpWorking } from './setUp'
import type { WorkingStep } from './step'

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
const measured = () => {
  const job = new TestJob().ready()
  job.read(LOW)
  return job
}

describe('the working of a measurement', () => {
  const state = foldJob(TEST_MACHINE, measured().entries)
  const steps = readingsWorking(state, state.latest, 'inch')

  it.each([
    'Rim, sum check',
    'Face, sum check',
    'Offset at the rim dial, side view',
    'Angle, side view',
    'Offset at the coupling, side view',
    'Inboard feet, side view',
    'Outboard feet, top view',
    'Offset at the coupling, top view',
  ])('%s comes out as it says, with the numbers it shows', (name) => {
    const step = find(steps, name)
    expect(calculate(step.substituted)).toBeCloseTo(number(step.result), 1)
  })

  it('ends at the numbers the ledger shows', () => {
    expect(number(find(steps, 'Offset at the coupling, side view').result)).toBeCloseTo(-8.4, 2)
    expect(number(find(steps, 'Angle, top view').result)).toBeCloseTo(0.22, 3)
    expect(find(steps, 'Outboard feet, side view').note).toContain(
      figure(state.latest.feet[1]?.move.v ?? null, 'displacement', 'inch', { extra: 1 }),
    )
  })

  it('shows the margin of every judged quantity with its rule', () => {
    for (const name of ['offset, side', 'offset, top', 'angle, side', 'angle, top'])
      expect(find(steps, `Margin, ${name}`).note).toContain('In band from 0.20')
  })

  it('has nothing to show before there are readings', () => {
    const empty = new TestJob().ready().fold()
    expect(readingsWorking(empty, empty.latest, 'inch')).toEqual([])
  })
})

describe('the working of a plan', () => {
  it('leads from the measurement and the moves to the prediction', () => {
    const job = measured()
    job.read(LOW)
    const state = job.fold()
    const plan = plansFor(TEST_MACHINE, state)?.plans[0]
    if (!plan || !state.latest.coupling) throw new Error('no plan')
    const steps = planWorking(state.latest.coupling, plan.predicted, plan.moves, 'inch')
    for (const view of ['side view', 'top view'])
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
    const setUp = new TestJob().ready().fold().setUp
    if (!setUp) throw new Error('no set-up')
    const steps = setUpWorking(setUp, 'inch')
    expect(find(steps, 'Bar sag').substituted).toContain('−6.0 mil')
    expect(find(steps, 'Outboard feet, x').result).toBe('34.50 in')
    expect(find(steps, 'Return to zero').result).toBe('holds')
  })
})
