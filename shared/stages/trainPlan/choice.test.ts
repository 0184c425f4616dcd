import { describe, expect, it } from 'vitest'
import { TestTrain, testTrain, through } from '../../../core/jobs/testTrain'
import { trainInputFor } from '../../../core/stages/trainPlan/planning'
import { trainPlans } from '../../../core/stages/trainPlan/search'
import { tellingOf } from '../../wording/telling'
import { highsWithin } from '../../solver/highs'
import { endsAs, keyOfPlan, planInHand } from './choice'
import { drawnTrain, leftFigures, leftTrain, takenMoves, trainFigures } from './drawing'
import { couplingsTold, doneTold } from './told'

const METRIC = tellingOf('metric', null)
const measured = (from: 'left' | 'right' = 'left') =>
  new TestTrain(testTrain(from), {
    m2: through(0, [-0.55, 0.3], 1060, [-0.2, -0.1]),
    m3: through(1060, [0.03, 0.02], 1750, [0.04, 0.01]),
  })
    .ready()
    .measure()

describe('the plan of a line in hand', () => {
  it('is the one picked, else the one taken while it holds, else the least work; none where it is in band', async () => {
    const job = measured()
    const input = trainInputFor(job.state)!
    const plans = await trainPlans(input, highsWithin(20).solve)
    const given = { picked: '', taken: null, inBand: false }
    expect(planInHand(plans, given)?.kind).toBe('least-work')
    expect(planInHand(plans, { ...given, inBand: true })).toBeNull()
    const motor = plans.find((p) => p.only === 'm3')!
    expect(planInHand(plans, { ...given, picked: keyOfPlan(motor) })).toBe(motor)
    expect(endsAs(trainFigures(input.train, motor))).toBe('out')
    job.choose(plans.find((p) => p.kind === 'closest')!)
    expect(planInHand(plans, { ...given, taken: job.state.plan })?.kind).toBe('closest')
    job.readAt('c1')
    expect(planInHand(plans, { ...given, taken: job.state.plan })?.kind).toBe('least-work')
  })

  it('of one machine alone is known again by the machine it moves', async () => {
    const job = measured()
    const plans = await trainPlans(trainInputFor(job.state)!, highsWithin(20).solve)
    const gear = plans.find((p) => p.only === 'm2')!
    job.choose(gear)
    expect(planInHand(plans, { picked: '', taken: job.state.plan, inBand: false })).toBe(gear)
  })
})

describe('what stands on the drawing of a line', () => {
  it('is alike whichever end the motor coupling is read from', () => {
    const [own, other] = (['left', 'right'] as const).map((from) => {
      const job = measured(from)
      const drawn = leftTrain(job.state)!
      return (['v', 'h'] as const).map((p) => couplingsTold(leftFigures(job.state), drawn, p, METRIC))
    })
    expect(other).toEqual(own)
    expect(own?.[0]?.[0]).toMatchObject({
      id: 'c1',
      now: '−0.550',
      after: '−0.550',
      nowVerdict: 'out',
      limit: '±0.200',
    })
  })

  it('nothing is left where nothing was read, and what is done stands under its foot', async () => {
    const blank = new TestTrain()
    blank.open(1475)
    expect(leftTrain(blank.state)).toBeNull()
    expect(leftFigures(blank.state).every((f) => f.now === null && f.nowVerdict === 'unknown')).toBe(true)

    const job = measured()
    const [least] = await trainPlans(trainInputFor(job.state)!, highsWithin(20).solve)
    job.choose(least!)
    const input = trainInputFor(job.state)!
    const moves = takenMoves(job.state, input)
    const drawn = drawnTrain(input, moves, 0)
    expect(drawn.machines[2]?.after).toEqual(drawn.machines[2]?.now)
    expect(doneTold(moves, 'm3', 'v', METRIC)).toEqual({})
    const up = doneTold(moves, 'm2', 'v', METRIC, (pair) => `leaves of ${pair}`)
    expect(up.first?.figure).toMatch(/^\+0\.\d\d\d$/)
    expect(up.first?.words).toBe('leaves of first')
    expect(doneTold(moves, 'm2', 'h', METRIC).first?.words).toBe('toward 9')
  })
})
