import { describe, expect, it } from 'vitest'
import { boltsAround } from '../../../core/register/flangeMachine'
import { tellingOf } from '../../wording/telling'
import {
  blankFlangeMove,
  editFlangeMove,
  fillFlangeMove,
  nameFlangeMoveUnits,
  readFlangeMove,
  type FlangeMoveTexts,
} from './form'

const T = tellingOf('inch', { drive: 'flange' })
const BOLTS = boltsAround(4, { v: 300, h: 300 })
const LYING = [[0.254], [], [], []]
const read = (change: Partial<FlangeMoveTexts>) =>
  readFlangeMove({ ...blankFlangeMove('inch'), ...change }, BOLTS, LYING, 4, T)

describe('a move of a flange as typed', () => {
  it('is nothing until something is typed', () => {
    expect(read({}).payload).toBeNull()
    expect(read({ pushed: { v: '0', h: '' } }).payload).toBeNull()
  })

  it('reads leaves by bolt, and a push by plane', () => {
    expect(read({ in: { '2': '5 + 2', '3': '0.05 mm' }, out: { '1': '10' } }).payload).toMatchObject({
      changes: [
        { bolt: '1', takenOut: [10], putIn: [] },
        { bolt: '2', takenOut: [], putIn: [5, 2] },
        { bolt: '3', takenOut: [], putIn: [expect.closeTo(1.9685, 4)] },
      ],
      pushed: null,
    })
    expect(read({ pushed: { v: '-4.2', h: '1' } }).payload?.pushed).toEqual({ v: -4.2, h: 1 })
    expect(read({ toGo: { v: '1.5', h: '-2' } }).toGo).toEqual({ v: 1.5, h: -2 })
    expect(read({ toGo: { v: '1.5', h: '' } }).toGo).toBeNull()
  })

  it('says at its box what it can’t read, and asks what is odd', () => {
    expect(read({ in: { '2': 'thick' } }).faults['in.2']).toMatch(/number/)
    expect(read({ in: { '2': 'thick' } }).payload).toBeNull()
    expect(read({ pushed: { v: 'far', h: '' } }).faults['pushed.v']).toBeTruthy()
    expect(read({ in: { '1': '1 + 1 + 1 + 1' } }).questions).toEqual([
      'The bolt at 12 would hold 5 leaves, the works allows 4. Press once more if it stays so.',
    ])
    expect(read({ in: { '2': '400' } }).questions[0]).toMatch(/400 mil/)
  })

  it('takes the plan over in any units, and a logged move to correct it', () => {
    const plan = {
      units: 'metric' as const,
      changes: [{ bolt: '3', takenOut: [], putIn: [0.127, 0.0508] }],
      push: null,
    }
    expect(fillFlangeMove(blankFlangeMove('inch'), plan, 'inch').in).toEqual({ '3': '5 + 2' })
    const entry = {
      id: 'a',
      kind: 'flange-moved',
      payload: { units: 'inch', changes: [], pushed: { v: 3, h: -1 }, remark: 'by hand' },
    } as unknown as Parameters<typeof editFlangeMove>[0]
    const texts = editFlangeMove(entry, 'inch')
    expect(texts).toMatchObject({ pushed: { v: '3', h: '-1' }, remark: 'by hand', correcting: 'a' })
    nameFlangeMoveUnits(texts, 'inch')
    expect(texts.pushed).toEqual({ v: '3 mil', h: '-1 mil' })
  })
})
