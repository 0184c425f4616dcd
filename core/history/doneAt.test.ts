import { describe, expect, it } from 'vitest'
import { TestFlange } from '../jobs/testFlange'
import { TestGear } from '../jobs/testGear'
import { jobHistory } from './jobHistory'

const MIL = 0.0254

describe('what a past job did at a flange', () => {
  const moved = (changes: readonly [string, readonly number[], readonly number[]][], v = 0, h = 0) =>
    ({
      kind: 'flange-moved',
      payload: {
        units: 'inch',
        changes: changes.map(([bolt, putIn, takenOut]) => ({ bolt, putIn, takenOut })),
        pushed: v === 0 && h === 0 ? null : { v, h },
        remark: '',
      },
    }) as const

  it('sums leaves bolt by bolt over all moves, in the order of the bolts, and the push', () => {
    const job = new TestFlange()
    job.add(
      moved([
        ['8', [10, 2], []],
        ['2', [5], []],
      ]),
      { author: 'day' },
    )
    job.add(
      moved(
        [
          ['8', [], [2]],
          ['3', [5], [5]],
        ],
        2,
        -4,
      ),
      { author: 'night' },
    )
    const { flange } = jobHistory(job.entries)
    expect(flange?.bolts.map((b) => b.bolt)).toEqual(['2', '8'])
    expect(flange?.bolts[1]?.raised).toBeCloseTo(10 * MIL, 12)
    expect(flange?.bolts[1]?.by).toEqual(['day', 'night'])
    expect(flange?.pushed.h).toBeCloseTo(-4 * MIL, 12)
    expect(flange?.by).toEqual(['day', 'night'])
  })

  it('says nothing of a flange that was left as it was', () => {
    const job = new TestFlange()
    job.add(moved([['3', [5], [5]]]))
    expect(jobHistory(job.entries)).toMatchObject({ flange: null, gear: null, moved: [] })
  })
})

describe('what a past job did at a gearset', () => {
  it('sums shifts by what was shifted, and layers block by block', () => {
    const job = new TestGear().ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([15, 51], [10, 44])
    job.shift('blocks', -2).layers(-3, -3).layers(1, 0)
    const { gear } = jobHistory(job.entries)
    expect(gear?.shifted.blocks).toBeCloseTo(4 * MIL, 12)
    expect(gear).toMatchObject({ shifted: { gear: 0 }, layers: [-2, -3], by: ['someone'] })
  })

  it('says nothing where it ends as it began', () => {
    const job = new TestGear().ready().paint([3, 39], [0, 30]).shift('gear', 6).shift('gear', -6)
    expect(jobHistory(job.entries).gear).toBeNull()
  })
})
