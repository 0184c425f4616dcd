import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { cureOf } from '../../../core/stages/feet/cure'
import { tellingOf } from '../../wording/telling'
import { blankFeet, cornerKey, crissCross, nameFeetUnits, readFeet, type FeetTexts } from './form'
import { feetWorking } from './working'

const T = tellingOf('inch', TEST_MACHINE)
const ORDER = crissCross(TEST_MACHINE.feet.movable)
const typed = (change: (t: FeetTexts) => void) => {
  const texts = blankFeet('inch')
  change(texts)
  return readFeet(texts, ORDER, T)
}
const four = (a: string, b: string, c: string, d: string) => ({
  'inboard-left': a,
  'inboard-right': b,
  'outboard-right': c,
  'outboard-left': d,
})

describe('the boxes at the feet', () => {
  it('go criss-cross: each bolt across from the one before', () => {
    expect(ORDER.map((f) => `${f.pair} ${f.side}`)).toEqual([
      'inboard left',
      'outboard right',
      'inboard right',
      'outboard left',
    ])
    const six = crissCross([{ id: 'a' }, { id: 'b' }, { id: 'c' }])
    expect(new Set(six.map((f) => `${f.pair}${f.side}`)).size).toBe(6)
  })

  it('say which foot is to be read next, and are whole once all are', () => {
    expect(typed((t) => (t.rises['inboard-left'] = '2')).missing[0]).toBe('outboard-right')
    const { rises, missing } = typed((t) => (t.rises = four('2', '.012 in', '1.5', '9 1/2')))
    expect(missing).toEqual([])
    expect(rises?.rises.map((r) => r.rise)).toEqual([2, 1.5, 12, 9.5])
  })

  it('refuse what is below zero and what can’t be read, at its box', () => {
    const { faults, rises } = typed((t) => (t.rises = four('-2', 'abc', '1', '1')))
    expect(rises).toBeNull()
    expect(faults['inboard-left']).toMatch(/can’t be below zero/)
    expect(faults['inboard-right']).toBeTruthy()
  })

  it('ask about a rise that is far too much', () => {
    expect(typed((t) => (t.rises = four('125', '1', '1', '1'))).questions[0]).toMatch(/digit slipped/)
  })

  it('take corners that were left empty as closed, and no gap anywhere as a finding', () => {
    const none = typed((t) => (t.step = 'gaps'))
    expect(none.gaps).toEqual({ units: 'inch', gaps: [] })
    const some = typed((t) => {
      t.corners[cornerKey('inboard-right', 'outboardOuter')] = '4+3'
      t.along = '3'
      t.across = '4 1/2'
    })
    expect(some.gaps?.gaps).toEqual([
      {
        machine: 'movable',
        pair: 'inboard',
        side: 'right',
        corners: { inboardOuter: 0, inboardInner: 0, outboardOuter: 7, outboardInner: 0 },
        size: { along: 3, across: 4.5 },
      },
    ])
    expect(typed((t) => (t.along = '0')).faults.along).toMatch(/above zero/)
  })

  it('mean the same in other units', () => {
    const texts = blankFeet('inch')
    texts.rises = four('2', '', '', '')
    texts.along = '3'
    nameFeetUnits(texts, 'inch')
    expect(texts.rises['inboard-left']).toBe('2 mil')
    expect(texts.along).toBe('3 in')
  })
})

describe('the working of the feet', () => {
  it('comes out as it says, with the numbers it shows', () => {
    const job = new TestJob().open().lockOut()
    job.rises([2, 12, 1.5, 9.5])
    const { feetCheck, packs } = job.state
    if (!feetCheck.latest) throw new Error('read')
    const steps = feetWorking(feetCheck.latest, cureOf(job.machine, feetCheck, packs), T)
    const find = (name: string) => steps.find((s) => s.name === name)
    expect(find('Mean of f2 and f4')).toMatchObject({ substituted: '(12.00 + 9.50) / 2', result: '10.75' })
    expect(find('Twist')?.result).toBe('9.00')
    expect(find('Fill under f2')).toMatchObject({ substituted: '12.00 − 1.50', result: '10.50' })
    expect(find('Fill under f2')?.note).toMatch(/one foot of the diagonal only/)
  })
})
