import { describe, expect, it } from 'vitest'
import { testTrain } from '../../../core/jobs/testTrain'
import { tellingOf } from '../../wording/telling'
import { blankGrowth, boxKey, growAlike, nameGrowthUnits, readGrowth, textsOfGrowth } from './form'

const TRAIN = testTrain()
const METRIC = tellingOf('metric', null)
const filled = () => {
  const texts = blankGrowth(TRAIN, 'metric')
  texts.source = ' heat survey '
  const first = texts.machines.m2![boxKey('first')]!
  first.height = '400'
  first.running = '70'
  growAlike(texts, TRAIN, 'm2')
  return texts
}

describe('the boxes of a growing line', () => {
  it('leave machines out that do not grow, and read those that do', () => {
    expect(readGrowth(blankGrowth(TRAIN, 'metric'), TRAIN, METRIC).payload).toBeNull()
    const { payload } = readGrowth(filled(), TRAIN, METRIC)
    expect(payload).toMatchObject({ units: 'metric', source: 'heat survey' })
    expect(payload?.machines.map((m) => m.machine)).toEqual(['m2'])
    expect(payload?.machines[0]?.feet).toEqual([
      {
        pair: 'first',
        heat: { material: 'cast-iron', alpha: null, height: 400, cold: 20, running: 70 },
        rise: null,
        side: 0,
      },
      {
        pair: 'second',
        heat: { material: 'cast-iron', alpha: null, height: 400, cold: 20, running: 70 },
        rise: null,
        side: 0,
      },
    ])
  })

  it('say at the box what is missing or can’t be read, and ask about what is odd', () => {
    const texts = filled()
    texts.machines.m2![boxKey('second')]!.running = 'warm'
    texts.machines.m3![boxKey('first')]!.height = '300'
    const read = readGrowth(texts, TRAIN, METRIC)
    expect(read.payload).toBeNull()
    expect(read.remarks[`m2.${boxKey('second')}.running`]?.fault).toBe(true)
    expect(read.remarks[`m3.${boxKey('first')}.running`]?.text).not.toBe('')
    const hot = filled()
    hot.machines.m2![boxKey('first')]!.running = '400'
    expect(readGrowth(hot, TRAIN, METRIC).questions).toHaveLength(1)
  })

  it('go out and come in again, in either units', () => {
    const { payload } = readGrowth(filled(), TRAIN, METRIC)
    expect(readGrowth(textsOfGrowth(payload!, TRAIN, 'metric'), TRAIN, METRIC).payload).toEqual(payload)
    const texts = filled()
    nameGrowthUnits(texts, 'metric')
    texts.units = 'inch'
    expect(texts.cold).toBe('68')
    const inch = readGrowth(texts, TRAIN, tellingOf('inch', null)).payload
    expect(inch?.machines[0]?.feet[0]?.heat?.height).toBeCloseTo(400 / 25.4, 4)
    expect(inch?.machines[0]?.feet[0]?.heat?.running).toBeCloseTo(158, 6)
  })
})
