import { describe, expect, it } from 'vitest'
import { calculate, inputSchema, OPERATIONS } from '../calculation/operations'
import { drawSheave, rowsShown } from '../stages/inspect/settingDrawing'
import { OWN_END } from '../wording/words'
import {
  barsOf,
  drawnSizes,
  fitsForces,
  forceRows,
  settingOf,
  type SettingAnswered,
  type SettingAsked,
} from './beltDrive'
import { fieldOf } from './field'
import { readForm } from './readForm'
import { openedOf, putAt, textsOf, type TextGroup } from './texts'

const none = () => null
const formOf = (name: string) => fieldOf(inputSchema(OPERATIONS.find((o) => o.name === name)!))
const DRIVE = { units: 'metric', d: 180, D: 348, C: 820 } as const

describe('a set of belts on its board', () => {
  it('boxes of forces and one deflection come to the sum’s readings', () => {
    const form = formOf('belt-set')
    const texts = openedOf(form) as TextGroup
    putAt(form, texts, ['readings'], [...forceRows(['18', '17.5'], '12.5')], none)
    const { input } = readForm(form, texts, 'metric', OWN_END, none)
    expect((input as { readings: unknown }).readings).toEqual([
      { id: '1', force: 18, deflection: 12.5 },
      { id: '2', force: 17.5, deflection: 12.5 },
    ])
  })

  it('sets read in another way keep their own boxes below', () => {
    const of = (readings: readonly object[]) =>
      fitsForces(
        (
          textsOf(
            formOf('belt-set'),
            { ...DRIVE, readings, age: 'new', band: {} },
            'metric',
            none,
          ) as TextGroup
        ).readings,
      )
    const push = { id: 'a', force: 18, deflection: 12 }
    expect(of([push, { ...push, id: 'b' }])).toBe(true)
    expect(of([push, { ...push, id: 'b', deflection: 13 }])).toBe(false)
    expect(of([push, { id: 'b', frequency: 31 }])).toBe(false)
    expect(of([{ id: 'a', elongation: { slack: 800, tight: 803 } }])).toBe(false)
    expect(fitsForces(undefined)).toBe(true)
  })

  it('bars lie against the band in tension', async () => {
    const answer = await calculate('belt-set', {
      ...DRIVE,
      readings: [
        { id: '1', force: 18, deflection: 12.5 },
        { id: '2', force: 34, deflection: 12.5 },
      ],
      age: 'new',
      band: { tension: [400, 600] },
    })
    if (!answer.ok) throw new Error('refused')
    const { bars, band } = barsOf(answer.result as Parameters<typeof barsOf>[0], (t) => t.toFixed(0), [
      'Belt 1',
      'Belt 2',
    ])
    if (!band) throw new Error('no band')
    expect(bars[0]?.share).toBeLessThan(band.low)
    expect(bars[0]?.verdict).toBe('out')
    expect(bars[1]?.share).toBeGreaterThan(band.low)
    expect(bars[1]?.share).toBeLessThan(band.high)
    expect(bars[1]?.verdict).toBe('in')
    expect(band.words).toEqual(['400', '600'])
  })
})

describe('a drive that is not typed yet', () => {
  it('is drawn as an ordinary one, and never with sheaves that touch', () => {
    expect(drawnSizes(null, null, null)).toMatchObject({ motor: 140, driven: 280 })
    const touching = drawnSizes(200, 400, 100)
    expect(touching.centre).toBeGreaterThan((touching.motor + touching.driven) / 2)
    expect(drawnSizes(180, 348, 820)).toEqual({ motor: 180, driven: 348, centre: 820 })
  })
})

describe('a sheave that is opened', () => {
  const asked: SettingAsked = {
    grooveAngle: 34,
    threadPitch: 2,
    turns: 1.5,
    pitchDiameter: 119.5,
    rpm: 1445,
    drivenDiameter: 280,
    motorCurrent: 10,
    plateCurrent: 11,
  }
  const setting = async (more: object = {}) => {
    const answer = await calculate('variable-sheave', { units: 'metric', ...asked, ...more })
    if (!answer.ok) throw new Error('refused')
    return settingOf({ ...asked, ...more }, answer.result as SettingAnswered, 'metric')
  }

  it('stands beside how it stands now: lower belt, groove out by half of what opened, slower shaft', async () => {
    const s = await setting()
    expect(s.opened).toBe(3)
    expect(s.shift).toBeCloseTo(1.5, 9)
    expect(s.ridesLower).toBeCloseTo(3 / Math.tan((17 * Math.PI) / 180) / 2, 6)
    expect(s.is.drivenRpm).toBeLessThan(s.was.drivenRpm)
    expect(s.rows.map((r) => r.turns)).toEqual([0, 1.5])
    const drawn = drawSheave(
      s,
      { outsideDiameter: null, depths: { outer: 14, inner: 14 }, belt: { topWidth: 14, height: 9 } },
      { width: 440, height: 262 },
    )
    expect(drawn.before).not.toBeNull()
    expect(drawn.centres.is).toBeGreaterThan(drawn.centres.was)
  })

  it('a table has every half turn, with what stands now and what is asked among them, over the plate said', async () => {
    const s = await setting({ turns: -1, table: { from: -1, to: 2 } })
    expect(s.rows.map((r) => r.turns)).toEqual([-1, -0.5, 0, 0.5, 1, 1.5, 2])
    expect(rowsShown(s)).toHaveLength(7)
    expect(s.rows[0]?.verdict).toBe('out')
    expect(s.rows[6]?.verdict).toBe('in')
    const both = await setting({ flanges: 'both' })
    expect(both).toMatchObject({ moves: 'both', shift: 0 })
  })
})
