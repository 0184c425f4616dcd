import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../../core/jobs/testBelt'
import { OWN_END } from '../wording/words'
import { blankBeltLimits, convertBeltLimits, readBeltLimits, textsOfBeltLimits } from './form'
import { beltTiers } from './tiers'
import type { BeltFields } from '../register/beltMachine'

const typed = (boxes: Partial<ReturnType<typeof blankBeltLimits>['boxes']>, more: object = {}) => {
  const blank = blankBeltLimits('inch')
  return { ...blank, source: 'sheet 7', ...more, boxes: { ...blank.boxes, ...boxes } }
}
const read = (...of: Parameters<typeof typed>) => readBeltLimits(typed(...of), OWN_END)

describe('the boxes of the works’ limits for belt drives', () => {
  it('take a sixteenth at the groove, and what was typed comes back as it was', () => {
    const { fields, faults } = read({ offset: '1/16', angle: '0,4', newLow: '1.35', newHigh: '1.5' })
    expect(faults).toEqual({})
    expect(fields).toMatchObject({
      offset: { by: 'groove', value: 0.0625 },
      angle: 0.4,
      factors: { new: [1.35, 1.5], 'run-in': null },
      tilt: null,
    })
    if (!fields) throw new Error('not read')
    expect(readBeltLimits(textsOfBeltLimits(fields), OWN_END).fields).toEqual(fields)
  })

  it('say at each box what is wrong', () => {
    expect(Object.keys(read({ offset: 'tight' }).unread)).toEqual(['offset'])
    expect(Object.keys(read({ newLow: '1.5', newHigh: '1.3' }).faults)).toEqual(['newHigh'])
    expect(Object.keys(read({ runInLow: '1.5' }).faults)).toEqual(['runInHigh'])
    expect(Object.keys(read({ ratioAt180: '1' }).faults)).toEqual(['ratioAt180'])
    expect(Object.keys(read({ spread: '-3', takeUp: '40' }).faults).sort()).toEqual(['spread', 'takeUp'])
    expect(read({}).faults.offset).toBe('Give one limit at least.')
    expect(Object.keys(read({ gaugeOver: '900' }).faults)).toEqual(['gaugeOver'])
    expect(read({ gaugeOver: '64' }, { gaugeOf: 'centre' as const }).fields?.gauge).toEqual({
      of: 'centre',
      over: 64,
    })
    expect(read({ angle: '0.3' }, { source: ' ' }).faults).toHaveProperty('source')
  })

  it('in the other unit the offset is the same length, or the same part of the span', () => {
    expect(convertBeltLimits(typed({ offset: '1/16' }), 'metric').boxes.offset).toBe('1.5875')
    expect(
      convertBeltLimits(typed({ offset: '0.1' }, { offsetBy: 'span' as const }), 'metric').boxes.offset,
    ).toBe('8.3333')
    expect(convertBeltLimits(typed({ offset: 'x' }), 'metric')).toMatchObject({ units: 'metric' })
  })
})

describe('which of them rules a drive', () => {
  const mill = BELT_MACHINE as unknown as BeltFields
  const { fields } = read({ offset: '1/16', spread: '8' }, { kind: 'v' as const })
  const limits = fields ? [{ ...fields, id: 'a' }] : []
  const wins = (machine: BeltFields) =>
    Object.fromEntries(beltTiers(machine, limits).map((r) => [r.quantity, r.wins]))

  it('the nearest that says anything, quantity by quantity', () => {
    const bare = { ...mill, limits: { angle: null, tilt: null, offset: null, source: '' } }
    expect(wins(bare)).toMatchObject({ offset: 'works', spread: 'works', angle: 'starting', new: 'starting' })
    expect(wins({ ...bare, limits: { ...bare.limits, offset: 2 } })).toMatchObject({ offset: 'machine' })
    expect(wins({ ...bare, belts: { ...bare.belts, kind: 'toothed' } })).toMatchObject({ offset: 'starting' })
  })

  it('every tier shows what it says, whether it rules or not', () => {
    const row = beltTiers({ ...mill, limits: { ...mill.limits, offset: 2 } }, limits).find(
      (r) => r.quantity === 'offset',
    )
    expect(row?.cells.machine).not.toBeNull()
    expect(row?.cells.works).toBeCloseTo(1.5875, 6)
    expect(row?.cells.starting).toBeGreaterThan(1)
  })
})
