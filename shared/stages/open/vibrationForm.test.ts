import { describe, expect, it } from 'vitest'
import { TestJob } from '../../../core/jobs/testJob'
import { OWN_END } from '../../wording/words'
import { tellingOf } from '../../wording/telling'
import { vibrationReadWords } from '../../wording/vibration'
import {
  blankVibration,
  nameVibrationUnits,
  pointKey,
  readVibration,
  textsOfVibration,
} from './vibrationForm'
import { shakesLess, shakesMost } from '../../../core/stages/open/vibration'

const NAMES = { movable: 'motor', stationary: 'gear unit' }
const note = (moment: 'before' | 'after', value: number, units: 'inch' | 'metric' = 'metric') => ({
  kind: 'vibration-noted' as const,
  payload: {
    units,
    moment,
    points: [
      { at: 'movable-near' as const, way: 'vertical' as const, value: value / 2 },
      { at: 'movable-far' as const, way: 'horizontal' as const, value },
    ],
    words: '',
  },
})

describe('vibration noted', () => {
  it('is told by its largest point, before and after, and never judged', () => {
    const job = new TestJob().open()
    const before = job.state.outcome
    job.add(note('before', 7.1))
    job.add(note('after', 2.3))
    expect(shakesMost(job.state.vibration.before!)).toEqual({
      at: 'movable-far',
      way: 'horizontal',
      value: 7.1,
    })
    expect(shakesLess(job.state.vibration)).toBeCloseTo(2.3 / 7.1, 12)
    expect(job.state.outcome).toEqual(before)
    expect(vibrationReadWords(job.state.vibration, NAMES, tellingOf('metric', null))).toEqual([
      'Vibration before: 7.1 mm/s at most, motor, outboard, horizontal.',
      'Vibration after: 2.3 mm/s at most, motor, outboard, horizontal.',
      'That is 32 % of what it was.',
      'A hint only: what proves the line is measuring it.',
    ])
  })

  it('says where to look when it shakes more, and nothing while nothing is noted', () => {
    const job = new TestJob().open()
    expect(vibrationReadWords(job.state.vibration, NAMES, tellingOf('inch', null))).toEqual([])
    job.add(note('before', 2))
    job.add(note('after', 0.1, 'inch'))
    const said = vibrationReadWords(job.state.vibration, NAMES, tellingOf('inch', null))
    expect(said[1]).toContain('0.100 in/s')
    expect(said[2]).toContain('It shakes more than before, 127 %')
  })

  it('counts the last note of each moment', () => {
    const job = new TestJob().open()
    job.add(note('before', 7))
    job.add(note('before', 5))
    expect(shakesMost(job.state.vibration.before!)?.value).toBe(5)
  })
})

describe('its boxes', () => {
  const texts = (values: Record<string, string>) => ({ ...blankVibration('metric'), values })
  const key = pointKey('stationary-far', 'axial')

  it('hold what was taken and leave out what was not', () => {
    const read = readVibration(texts({ [key]: '3,4' }), 'after', 'metric', OWN_END)
    expect(read.payload).toEqual({
      units: 'metric',
      moment: 'after',
      points: [{ at: 'stationary-far', way: 'axial', value: 3.4 }],
      words: '',
    })
    expect(readVibration(texts({}), 'after', 'metric', OWN_END).payload).toBeNull()
  })

  it.each([
    ['what is no number', 'loud'],
    ['what is below zero', '-2'],
  ])('refuse %s', (_, text) => {
    const read = readVibration(texts({ [key]: text }), 'before', 'metric', OWN_END)
    expect(read.payload).toBeNull()
    expect(read.faults[key]).toBeTruthy()
  })

  it('mean the same in the other unit, and stand again as noted', () => {
    const boxes = texts({ [key]: '2.54' })
    nameVibrationUnits(boxes, 'metric')
    expect(boxes.values[key]).toBe('0.1')
    const { payload } = readVibration(texts({ [key]: '2.54' }), 'before', 'metric', OWN_END)
    expect(textsOfVibration(payload!, 'inch').values[key]).toBe('0.1')
  })
})
