import { describe, expect, it } from 'vitest'
import { TestTrain, testTrain, through, type Standing } from '../../core/jobs/testTrain'
import { partsAt } from '../../core/jobs/train'
import { trainInputFor } from '../../core/stages/trainPlan/planning'
import { trainPlans } from '../../core/stages/trainPlan/search'
import type { TrainPlan } from '../../core/train/trainPlan'
import { highsWithin } from '../solver/highs'
import { trainFigures } from '../stages/trainPlan/drawing'
import { trainWorking } from '../stages/trainPlan/working'
import { compareJobs } from './compareJobs'
import { headlinesOf } from './headlines'
import { tellingOf } from './telling'
import {
  leftOut,
  meaningOfGrowth,
  meaningOfTrainPlan,
  partsFinding,
  shareWords,
  whyItStays,
  worstAngle,
} from './train'
import { trainFindings } from './trainFindings'

const METRIC = tellingOf('metric', null)
const GEAR_LOW: Standing = {
  m2: through(0, [-0.55, 0.3], 1060, [-0.2, -0.1]),
  m3: through(1060, [0.03, 0.02], 1750, [0.04, 0.01]),
}
const measured = (standing = GEAR_LOW, from: 'left' | 'right' = 'left') =>
  new TestTrain(testTrain(from), standing).ready().measure()
const plansOf = (job: TestTrain) => trainPlans(trainInputFor(job.state)!, highsWithin(20).solve)
const meaning = (job: TestTrain, plan: TrainPlan | null, searching = false) => {
  const input = trainInputFor(job.state)
  const figures = input ? trainFigures(input.train, plan) : []
  return meaningOfTrainPlan(job.state, { plan, figures, searching }, METRIC)
}

describe('what the plan of a line means', () => {
  it('asks for every coupling first, by name', () => {
    const job = new TestTrain(testTrain(), GEAR_LOW).ready().measure(['c1'])
    expect(meaning(job, null)).toEqual({
      mark: 'todo',
      headline:
        'Every coupling is read first, until each can be believed. Then one plan is made over all of them.',
      detail: 'To read yet: motor coupling.',
    })
  })

  it('says which machine moves and which can stay', async () => {
    const job = measured()
    const [least] = await plansOf(job)
    expect(meaning(job, least!)).toMatchObject({
      mark: 'in',
      headline: 'Move the gear unit. The motor can stay.',
    })
    expect(meaning(job, null, true).headline).toBe('Working the plans out')
  })

  it('says what a plan for one machine leaves out', async () => {
    const job = measured()
    const motor = (await plansOf(job)).find((p) => p.only === 'm3')!
    const told = meaning(job, motor)
    expect(told.mark).toBe('out')
    expect(told.detail).toMatch(/^That leaves it out of band: Mill coupling, vertical 0\.55\d mm low/)
    const input = trainInputFor(job.state)!
    expect(leftOut(trainFigures(input.train, motor), job.state, METRIC)).toContain('Mill coupling')
  })

  it('tells figures alike whichever end a coupling is read from', async () => {
    const [a, b] = [measured(), measured(GEAR_LOW, 'right')]
    const figures = (job: TestTrain) =>
      trainFigures(trainInputFor(job.state)!.train, null).map((f) => [
        f.coupling,
        f.plane,
        f.kind,
        f.now!.toFixed(3),
      ])
    expect(figures(b)).toEqual(figures(a))
  })

  it('why a machine stays, how near it ends, and the worst angle', async () => {
    const job = measured()
    const [least] = await plansOf(job)
    expect(whyItStays(job.state, least!, 'm3', METRIC)).toMatch(
      /^Left alone\. Without it: motor coupling at \d+ % of the limit\.$/,
    )
    expect(shareWords(least!, METRIC)).toMatch(/^\d+ % of limit$/)
    const input = trainInputFor(job.state)!
    expect(worstAngle(trainFigures(input.train, least!), job.state, METRIC)).toMatch(
      /^Worst angle after: \w+ coupling, (vertical|horizontal), [+−]?[\d.]+ of [\d.]+\.$/,
    )
  })

  it('stale, under way, and nothing to do', async () => {
    const job = measured({
      m2: through(0, [-0.6, 0.3], 1060, [-0.3, -0.2]),
      m3: through(1060, [0.7, -0.5], 1750, [0.9, -0.6]),
    })
    const [least] = await plansOf(job)
    job.choose(least!)
    job.readAt('c1')
    expect(meaning(job, null).headline).toBe(
      'Something was read or told since this plan was taken. Choose again.',
    )
    job.choose((await plansOf(job))[0]!)
    job.moveAsPlanned('m2')
    expect(meaning(job, null).headline).toBe('1 of 2 machines to move yet.')
    expect(meaning(measured({}), null)).toMatchObject({
      mark: 'in',
      headline: 'Every coupling is in band as it stands. Nothing needs to move.',
    })
  })

  it('unfolds to packs and to every coupling', async () => {
    const job = measured()
    const [least] = await plansOf(job)
    const steps = trainWorking(job.state, trainInputFor(job.state)!.train, least!, METRIC)
    expect(steps[0]?.name).toContain('Gear unit, pan mill side')
    const offset = steps.find((s) => s.name === 'Offset, Mill coupling, vertical')
    expect(offset?.substituted).toMatch(/^−0\.55\d\d \+ \(\+0\.\d+\) − \(0\.0000\)$/)
    expect(offset?.note).toMatch(/% of the limit/)
  })
})

describe('what the sheet of a line says', () => {
  it('how far each stage has come', async () => {
    const job = new TestTrain(testTrain(), GEAR_LOW).ready().measure(['c1'])
    expect(partsFinding(partsAt(job.state, 'as-found'), METRIC)).toBe('1 of 2 couplings')
    job.measure(['c2'])
    expect(partsFinding(partsAt(job.state, 'as-found'), METRIC)).toBe('All 2 couplings: out')
    expect(partsFinding(partsAt(job.state, 'prove'), METRIC)).toBe('')
    job.choose((await plansOf(job))[0]!)
    expect(trainFindings(job.fold(), METRIC)).toMatchObject({
      'as-found': 'All 2 couplings: out',
      'train-plan': 'Moves the gear unit',
      move: '',
    })
    expect(headlinesOf(job.fold(), METRIC).move).toMatch(/^Gear unit: /)
  })

  it('how the line grows', () => {
    const job = new TestTrain()
    expect(meaningOfGrowth(job.state, METRIC)).toMatchObject({ mark: 'todo' })
    job.open(1475)
    job.at(undefined, {
      kind: 'growth-set',
      payload: {
        units: 'metric',
        source: 'heat survey',
        machines: [
          {
            machine: 'm2',
            feet: ['first', 'second'].map((pair) => ({ pair, heat: null, rise: 0.2, side: 0 })),
          },
        ],
      },
    })
    expect(meaningOfGrowth(job.state, METRIC)).toEqual({
      mark: 'done',
      headline: 'As said in this job.',
      detail: 'heat survey',
    })
  })
})

describe('two jobs on a line beside each other', () => {
  it('differ coupling by coupling and pack by pack', async () => {
    const [a, b] = [measured(), measured()]
    b.choose((await plansOf(b))[0]!)
    b.moveAsPlanned('m2')
    b.measure()
    const rows = compareJobs(a.fold(), b.fold(), METRIC)
    const row = (name: RegExp) => rows.find((r) => name.test(r.name))
    expect(row(/^Mill coupling: .*offset, vertical/i)).toMatchObject({ differs: false })
    expect(rows.some((r) => r.name.startsWith('Gear unit: ') && r.differs)).toBe(true)
    expect(row(/^Motor: /)).toMatchObject({ differs: false })
  })
})
