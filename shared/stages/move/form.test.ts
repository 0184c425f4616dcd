import { describe, expect, it } from 'vitest'
import { lift, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { planFeet } from '../../../core/stages/plan/planning'
import { tellingOf } from '../../wording/telling'
import {
  blankMove,
  editMove,
  fillMove,
  footKey,
  nameMoveUnits,
  readMove,
  readShims,
  type MoveTexts,
} from './form'

const INCH = tellingOf('inch', TEST_MACHINE)
const METRIC = tellingOf('metric', TEST_MACHINE)
const feet = () => planFeet(new TestJob().ready().state)
const read = (change: Partial<MoveTexts>, telling = INCH) =>
  readMove({ ...blankMove(telling.units), ...change }, feet(), 4, telling)

describe('a list of shims', () => {
  it.each([
    ['20 + 5', [20, 5]],
    ['20+5', [20, 5]],
    ['20; 5', [20, 5]],
    ['20 5', [20, 5]],
    ['.5 + 1/2', [0.5, 0.5]],
    ['20 + 0.5 mm', [20, 0.5 / 0.0254]],
    ['none', []],
    ['nil', []],
    ['', []],
    [undefined, []],
  ] as const)('%s is %j', (text, shims) => {
    const found = readShims(text, INCH)
    if (typeof found === 'string') throw new Error(found)
    expect(found).toHaveLength(shims.length)
    found.forEach((t, i) => expect(t).toBeCloseTo(shims[i] as number, 9))
  })

  it('never guesses what 20,20 means', () => {
    expect(readShims('20,20', INCH)).toMatch(/20 \+ 20/)
    expect(readShims('5,5,5', INCH)).toBeTypeOf('string')
    // A decimal comma after a nought can only be one.
    expect(readShims('0,5', METRIC)).toEqual([0.5])
  })

  it.each(['twenty', '20 + x', '-5', '20 + 0', '1e9999'])('says what is wrong with %s', (text) => {
    expect(readShims(text, INCH)).toMatch(/^[A-Z].*[.?]$/)
  })
})

describe('the boxes of a move', () => {
  it('make nothing while nothing was done', () => {
    expect(read({})).toMatchObject({ payload: null, hasShims: false, hasSide: false, questions: [] })
    expect(read({ side: { inboard: '0' } }).payload).toBeNull()
  })

  it('make what was done, foot by foot', () => {
    const { payload } = read({
      in: { [footKey('inboard', 'left')]: '20 + 5', [footKey('inboard', 'right')]: '25' },
      out: { [footKey('inboard', 'left')]: '10' },
      side: { outboard: '-3.5' },
      remark: '  burr on the base ',
    })
    expect(payload).toEqual({
      units: 'inch',
      changes: [
        { machine: 'movable', pair: 'inboard', side: 'left', takenOut: [10], putIn: [20, 5] },
        { machine: 'movable', pair: 'inboard', side: 'right', takenOut: [], putIn: [25] },
      ],
      side: [{ machine: 'movable', pair: 'outboard', moved: -3.5 }],
      remark: 'burr on the base',
    })
  })

  it('make nothing while one of them can’t be read, and say which', () => {
    const { payload, faults } = read({
      in: { [footKey('inboard', 'left')]: '20', [footKey('outboard', 'left')]: 'two' },
      side: { inboard: 'left a bit' },
    })
    expect(payload).toBeNull()
    expect(Object.keys(faults).sort()).toEqual(['in.outboard-left', 'side.inboard'])
  })

  it('ask before a shim of 999, a fifth leaf and a push beyond the holes', () => {
    expect(read({ in: { [footKey('inboard', 'left')]: '999' } }).questions[0]).toContain('999 mil')
    expect(read({ in: { [footKey('inboard', 'left')]: '1 + 2 + 3' } }).questions[0]).toMatch(/5 leaves.*4/)
    expect(read({ side: { inboard: '61' } }).questions[0]).toContain('61.0 mil')
    expect(read({ side: { inboard: '-61' } }).questions).toHaveLength(1)
    expect(read({ side: { inboard: '60' } }).questions).toEqual([])
    // Asked, never refused: it may be so.
    expect(read({ in: { [footKey('inboard', 'left')]: '999' } }).payload).not.toBeNull()
  })

  it('don’t ask about leaves when shims only come out', () => {
    expect(read({ out: { [footKey('inboard', 'left')]: '10' } }).questions).toEqual([])
  })
})

describe('a move in other units', () => {
  it('means the same after the switch', () => {
    const texts = {
      ...blankMove('inch'),
      in: { [footKey('inboard', 'left')]: '20 + 5' },
      side: { inboard: '-3' },
    }
    const before = readMove(texts, feet(), 4, INCH).payload
    nameMoveUnits(texts, 'inch')
    const after = readMove(texts, feet(), 4, METRIC).payload
    expect(after?.units).toBe('metric')
    expect(after?.changes[0]?.putIn[0]).toBeCloseTo((before?.changes[0]?.putIn[0] ?? NaN) * 0.0254, 9)
    expect(after?.changes[0]?.putIn).toHaveLength(2)
    expect(after?.side[0]?.moved).toBeCloseTo(-3 * 0.0254, 9)
  })

  it('is filled from a plan in the units of the boxes, shims and sides apart', () => {
    const plan = {
      units: 'inch',
      changes: lift('inboard', [20]),
      side: [{ machine: 'movable', pair: 'inboard', moved: 3 }],
    } as const
    const shims = fillMove(blankMove('metric'), plan, { shims: true, side: false }, 'metric')
    expect(shims.in[footKey('inboard', 'left')]).toBe('0.508')
    expect(shims.side).toEqual({})
    const sides = fillMove(shims, plan, { shims: false, side: true }, 'metric')
    expect(sides.in[footKey('inboard', 'left')]).toBe('0.508')
    expect(sides.side.inboard).toBe('0.0762')
  })

  it('is edited as it was logged', () => {
    const job = new TestJob().ready()
    const payload = { units: 'inch', changes: lift('inboard', [20, 5], [10]), side: [], remark: 'x' } as const
    const entry = job.add({ kind: 'move-made', payload })
    if (entry.kind !== 'move-made') throw new Error(entry.kind)
    const texts = editMove(entry, 'inch')
    expect(texts.correcting).toBe(entry.id)
    expect(readMove(texts, feet(), 4, INCH).payload).toEqual(payload)
  })
})
