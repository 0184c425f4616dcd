import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { tellingOf } from '../../wording/telling'
import { drawnTilt, drawTurn, slopeTimes, TURN } from './drawing'
import { levelKinds } from './entries'
import { blankLevel, nameLevelUnits, readLevel, type LevelTexts } from './form'
import { marksOf } from './turn'

const T = tellingOf('inch', TEST_MACHINE)
const typed = (change: (t: LevelTexts) => void) => {
  const texts = blankLevel('inch')
  change(texts)
  return readLevel(texts, T)
}

describe('the boxes of the level', () => {
  it('one feeler a shaft over one supported length; each shaft is an entry', () => {
    const { levels } = typed((t) => {
      t.supported = '10'
      t.shafts.stationary.feeler = '1.5 + 1.5'
      t.shafts.movable = { ...t.shafts.movable, feeler: '8', low: 'coupling' }
    })
    expect(levels.map((l) => [l.machine, l.reading])).toEqual([
      ['stationary', { by: 'feeler', feeler: 3, supported: 10, low: 'far' }],
      ['movable', { by: 'feeler', feeler: 8, supported: 10, low: 'coupling' }],
    ])
    for (const payload of levels)
      expect(levelKinds['level-read'].body.safeParse({ kind: 'level-read', payload }).success).toBe(true)
  })

  it('says at the box what is missing or wrong', () => {
    expect(typed((t) => (t.shafts.movable.feeler = '8')).notes.supported).toMatch(/other end/)
    expect(typed((t) => (t.shafts.movable.feeler = '-8')).faults['feeler.movable']).toMatch(
      /which end|Which end/,
    )
    expect(typed((t) => (t.supported = '0')).faults.supported).toBeDefined()
    const turned = typed((t) => {
      t.by = 'divisions'
      t.shafts.movable.reversed = '2'
      t.sensitivity = '0.5'
    })
    expect([turned.levels, turned.notes['divisions.movable']]).toEqual([
      [],
      'Read it the first way round too.',
    ])
  })

  it('divisions, turned end for end where they were', () => {
    const { levels } = typed((t) => {
      t.by = 'divisions'
      t.sensitivity = '.5'
      t.shafts.movable.divisions = '3'
      t.shafts.stationary.divisions = '-1'
      t.shafts.stationary.reversed = '2'
    })
    expect(levels.map((l) => ('reversed' in l.reading ? l.reading.reversed : 'none'))).toEqual([2, null])
  })

  it('mean the same after the units are switched', () => {
    const texts = blankLevel('inch')
    texts.supported = '10'
    texts.shafts.movable.feeler = '8'
    texts.sensitivity = '0.5'
    nameLevelUnits(texts, 'inch')
    const metric = readLevel(texts, tellingOf('metric', TEST_MACHINE)).levels[0]!.reading
    expect(metric).toMatchObject({ feeler: 8 * 0.0254, supported: 254 })
    expect(texts.sensitivity).toBe('0.05')
  })
})

describe('the boxes of a turn', () => {
  it('a position may be left out; three are a turn', () => {
    const read = (texts: Record<string, string>) => typed((t) => (t.values = texts))
    expect(read({ 0: '0', 90: '1' }).runout).toBeNull()
    const { runout, missing } = read({ 0: '0', 90: '1', 180: '-.5' })
    expect(runout?.readings).toHaveLength(3)
    expect(missing).toEqual([45, 135, 225, 270, 315])
    expect(levelKinds['runout-read'].body.safeParse({ kind: 'runout-read', payload: runout }).success).toBe(
      true,
    )
  })

  it('asks once about a dial that travels too far, and refuses what it can’t read', () => {
    const far = typed((t) => {
      t.panel = 'runout'
      t.values = { 0: '0', 90: '200', 180: '1' }
    })
    expect(far.questions[0]).toContain('200 mil')
    const bad = typed((t) => (t.values = { 0: '0', 90: 'x', 180: '1', 270: '2' }))
    expect([bad.runout, 'value.90' in bad.faults]).toEqual([null, true])
  })

  it('marks are spread over the turn', () => {
    expect(marksOf('4')).toEqual([0, 90, 180, 270])
    expect(marksOf('12')).toHaveLength(12)
  })
})

describe('the drawing', () => {
  it('shafts slope as they do, the steeper one within the sheet', () => {
    const job = new TestJob().open().lockOut()
    job.add({
      kind: 'level-read',
      payload: {
        units: 'inch',
        machine: 'movable',
        reading: { by: 'feeler', feeler: 8, supported: 10, low: 'far' },
        remark: '',
      },
    })
    const { levels } = job.state
    const times = slopeTimes(levels)
    const tilt = drawnTilt(levels.movable!.rise, times)
    expect(tilt).toBeLessThan(0)
    expect(Math.abs(tilt)).toBeLessThan(9.2)
    expect(Math.abs(drawnTilt(levels.movable!.rise, times * 3))).toBeGreaterThan(9.2)
  })

  it('the fitted curve goes through the readings of a pure eccentricity', () => {
    const job = new TestJob().open().lockOut()
    const values = [0, 45, 90, 135, 180, 225, 270, 315].map((clock) => ({
      clock,
      value: 2 + 3 * Math.cos(((clock - 90) * Math.PI) / 180),
    }))
    job.add({
      kind: 'runout-read',
      payload: {
        units: 'metric',
        machine: 'movable',
        surface: 'rim',
        diameter: null,
        readings: values,
        limit: null,
        remark: '',
      },
    })
    const turn = drawTurn(job.state.runouts.surfaces[0]!.result, values)
    const at3 = turn.dots.find((d) => d.clock === 90)!
    const at9 = turn.dots.find((d) => d.clock === 270)!
    expect(at3.x - TURN.size / 2).toBeCloseTo(TURN.radius + TURN.room, 6)
    expect(TURN.size / 2 - at9.x).toBeCloseTo(TURN.radius - TURN.room, 6)
    expect(turn.high!.x).toBeGreaterThan(TURN.size / 2)
    expect(drawTurn(null, []).path).toBe('')
  })
})
