import { describe, expect, it } from 'vitest'
import { TestTrain, testTrain, through } from '../../core/jobs/testTrain'
import { commandFor } from './command'

const side = (machine: string, pair: string, moved: number) => ({ machine, pair, moved })
/** Both machines of a plan are pushed toward 9, the gear unit first. */
const planned = () => {
  const job = new TestTrain(testTrain(), {
    m2: through(0, [-0.5, 0.6], 1060, [-0.3, 0.5]),
    m3: through(1060, [0.4, 0.5], 1750, [0.4, 0.6]),
  })
    .ready()
    .measure()
  job.at(undefined, {
    kind: 'train-plan-chosen',
    payload: {
      units: 'metric',
      option: 'closest',
      changes: [],
      side: ['m2', 'm3'].flatMap((m) => [side(m, 'first', -0.5), side(m, 'second', -0.4)]),
      sets: Object.fromEntries(['c1', 'c2'].map((c) => [c, job.coupling(c).latest.used])),
    },
  })
  return job
}

describe('the mate at a line of machines', () => {
  it('is told to push the machine whose turn it is, and the next one once that is moved', () => {
    const job = planned()
    const first = commandFor(job.fold(), null, '3')
    expect(first).toMatchObject({ does: 'push', toward: false, end: { wanted: -0.5 } })
    expect(commandFor(job.fold(), null, '9')).toMatchObject({ does: 'slacken', toward: true })
    job.moveAsPlanned('m2')
    expect(job.state.plan?.left).toEqual(['m3'])
    expect(commandFor(job.fold(), null, '3')).toMatchObject({ does: 'push', end: { wanted: -0.5 } })
    job.moveAsPlanned('m3')
    expect(commandFor(job.fold(), null, '3')).toEqual({ does: 'wait', stage: 're-measure' })
  })

  it('takes hands off while the power is back, wherever that was written', () => {
    const job = planned()
    job.at('m2', { kind: 'power-restored', payload: { why: 'crane' } })
    expect(commandFor(job.fold(), null, '3')).toEqual({ does: 'hands-off' })
  })
})
