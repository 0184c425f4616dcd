import { describe, expect, it } from 'vitest'
import { TestTrain, testTrain, through } from '../../core/jobs/testTrain'
import { trainInputFor } from '../../core/stages/trainPlan/planning'
import { trainPlans } from '../../core/stages/trainPlan/search'
import { tellingOf } from '../../shared/wording/telling'
import { highsWithin } from '../../shared/solver/highs'
import { reportDocument } from './document'
import type { Reported } from './section'
import { sectionsOf } from './sections'
import { textsOf } from './testReport'

const report = (job: TestTrain, units: 'inch' | 'metric' = 'metric'): Reported => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: {
    ...job.machine,
    tag: 'CP-40',
    name: 'Pan mill line',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Pan mill',
    powerKw: 55,
  } as unknown as Reported['machine'],
  logbook: job.entries,
  personName: () => 'Day-shift millwright',
  telling: tellingOf(units, null),
  paper: 'A4',
  photographs: {},
})
const printed = (job: TestTrain, units?: 'inch' | 'metric') =>
  textsOf(sectionsOf(job.fold(), report(job, units)))
    .join(' ')
    .replaceAll('\u00a0', ' ')

const worked = async (from: 'left' | 'right' = 'left') => {
  const job = new TestTrain(testTrain(from), {
    m2: through(0, [-0.55, 0.3], 1060, [-0.2, -0.1]),
    m3: through(1060, [0.03, 0.02], 1750, [0.04, 0.01]),
  })
    .ready()
    .measure()
  job.at(undefined, { kind: 'machine-freed', payload: { machine: 'm1', may: false, why: 'grouted in' } })
  const [plan] = await trainPlans(trainInputFor(job.state)!, highsWithin(20).solve)
  job.choose(plan!)
  job.moveAsPlanned('m2')
  return job.measure()
}

describe('a line in the report', () => {
  it('tells the whole line first: every coupling as found and as left, with the limits of its own speed', async () => {
    const text = printed(await worked())
    expect(text).toContain('The whole line')
    expect(text).toMatch(/Mill coupling.*148.*0\.550 mm low.*In band/)
    expect(text).toMatch(/Motor coupling.*1475/)
    expect(text).toContain('as seen looking toward the pan mill')
    expect(text).toContain('least work, moves the gear unit')
    expect(text).toContain('Pan mill: held in this job, grouted in')
  })

  it('then coupling by coupling, each as its own reader saw it', async () => {
    const text = printed(await worked('right'))
    expect(text).toContain('Mill coupling, 148 rpm')
    expect(text).toContain('Read looking at the pan mill.')
    expect(text).toContain('Read looking at the motor.')
    expect(text).toContain('Under the feet as left')
  })

  it('prints as a whole document, and says nothing of what nobody read', async () => {
    const whole = reportDocument((await worked()).fold(), report(await worked()))
    expect(JSON.stringify(whole)).toContain('Alignment report of a line')
    const blank = new TestTrain()
    blank.open(1475)
    expect(printed(blank)).toContain('not measured')
  })
})
