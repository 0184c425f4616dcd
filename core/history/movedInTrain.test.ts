import { describe, expect, it } from 'vitest'
import { testTrain, TestTrain } from '../jobs/testTrain'
import { partsOf } from '../train/parts'
import { jobHistory } from './jobHistory'
import { movedInTrain } from './movedInTrain'

const change = (side: 'left' | 'right', putIn: number[]) => ({
  machine: 'movable' as const,
  pair: 'first',
  side,
  takenOut: [],
  putIn,
})

describe('what a job did along a line', () => {
  it('is told machine by machine, also where it was written at a coupling that is read the other way', () => {
    const train = testTrain('right')
    const job = new TestTrain(train).ready()
    job.at('m2', {
      kind: 'move-made',
      payload: {
        units: 'metric',
        changes: [change('left', [0.2])],
        side: [{ machine: 'movable', pair: 'first', moved: 0.3 }],
        remark: '',
      },
    })
    // At the motor's coupling the gear unit is the movable one, seen from its other side.
    job.at('c2', {
      kind: 'hubs-roughed',
      payload: {
        units: 'metric',
        changes: [change('left', [0.5])],
        side: [{ machine: 'movable', pair: 'first', moved: 0.1 }],
        remark: '',
      },
    })
    const { moved } = jobHistory(job.entries)
    expect(moved.map((m) => m.unit)).toEqual(['m2', 'c2'])
    expect(movedInTrain(moved, partsOf(train))).toEqual([
      {
        unit: 'm2',
        machine: 'movable',
        pair: 'first',
        raised: { left: expect.closeTo(0.2, 9) as number, right: expect.closeTo(0.5, 9) as number },
        pushed: expect.closeTo(0.3 - 0.1, 9) as number,
        by: ['someone'],
      },
    ])
  })
})
