import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { figure, oneOf, units } from '../calculation/fields'
import { OWN_END } from '../wording/words'
import { fieldOf } from './field'
import { choiceWords, labelOf } from './labels'
import { readForm } from './readForm'
import { resultRows, shownFigure } from './resultRows'
import { sentenceOf } from './sentences'
import { blankOf, openedOf, renameUnits, type TextGroup } from './texts'

const none = () => null
const schema = z.object({
  units,
  feeler: figure('feeler', 'displacement'),
  torque: figure('force', 'torque').optional(),
  side: oneOf('side', ['left', 'right']).optional(),
  window: z.tuple([figure('force').nullable(), figure('force').nullable()]).optional(),
  readings: z.array(z.object({ clock: figure('force'), value: figure('reading', 'displacement') })).min(2),
  limits: z.union([figure('force'), z.record(z.string(), figure('force'))]).optional(),
})
const form = fieldOf(z.toJSONSchema(schema, { io: 'input' }))
const filled = (more: TextGroup) => ({ ...(blankOf(form) as TextGroup), ...more })
const read = (more: TextGroup) => readForm(form, filled(more), 'inch', OWN_END, none)

describe('a form from a schema', () => {
  it('leaves units to the view, and offers the four positions round the clock', () => {
    const blank = blankOf(form) as TextGroup
    expect(Object.keys(blank)).toEqual(['feeler', 'torque', 'side', 'window', 'readings', 'limits'])
    expect((blank.readings as TextGroup[]).map((r) => r.clock)).toEqual(['0', '90', '180', '270'])
    expect(blank.window).toBeNull()
  })

  it('leaves out what was not typed: empty boxes, rows with nothing but their position, parts never opened', () => {
    expect(read({ feeler: '5' }).input).toEqual({ units: 'inch', feeler: 5, readings: [] })
    const rows = [
      { clock: '0', value: '3' },
      { clock: '90', value: '' },
      { clock: '180', value: '-2' },
    ]
    expect(read({ readings: rows }).input).toEqual({
      units: 'inch',
      readings: [
        { clock: 0, value: 3 },
        { clock: 180, value: -2 },
      ],
    })
  })

  it('keeps an open side of a window open, and names by name', () => {
    expect(read({ window: ['', '4'] }).input).toMatchObject({ window: [null, 4] })
    expect(read({ limits: { pick: '1', of: [{ name: 'rim', value: '2' }] } }).input).toMatchObject({
      limits: { rim: 2 },
    })
    expect(read({ limits: { pick: '0', of: '7' } }).input).toMatchObject({ limits: 7 })
  })

  it('says what can’t be read at its place', () => {
    const { faults } = read({ feeler: 'five', readings: [{ clock: '0', value: 'x' }] })
    expect(Object.keys(faults).sort()).toEqual(['feeler', 'readings.0.value'])
  })

  it('turns into other units: lengths say their unit, the rest is converted', () => {
    const turned = renameUnits(
      form,
      filled({ feeler: '5', torque: '100' }),
      'inch',
      'metric',
      none,
    ) as TextGroup
    expect(turned.feeler).toBe('5 mil')
    expect(Number(turned.torque)).toBeCloseTo(135.58, 2)
    expect(readForm(form, turned, 'metric', OWN_END, none).input).toMatchObject({ feeler: 0.127 })
  })

  it('opens an optional part with its own boxes', () => {
    const window = form.kind === 'group' ? form.fields.find((f) => f.name === 'window')?.field : undefined
    expect(window && openedOf(window)).toEqual(['', ''])
  })
})

describe('words for what the contract names', () => {
  it('are its own where they are better, else the name taken apart', () => {
    expect(labelOf('boltSpacing')).toBe('Bolt spacing')
    expect(labelOf('v')).toBe('Vertical')
    expect(choiceWords('rim-face')).toBe('Rim and face')
    expect(choiceWords('grade-8')).toBe('grade 8')
  })

  it('figures carry their unit, and no needless digits', () => {
    expect(shownFigure(-12.5, 'displacement', 'inch')).toBe('−12.5 mil')
    expect(shownFigure(0.00004, 'displacement', 'metric')).toBe('0 mm')
    expect(shownFigure(135.5818, 'torque', 'metric')).toBe('135.58 N m')
  })

  it('a result is told line by line, lists named by their own names', () => {
    const shape = z.toJSONSchema(
      z.object({
        feet: z.array(z.object({ id: z.string(), v: figure('force', 'displacement').nullable() })),
      }),
    )
    const rows = resultRows(
      shape,
      {
        feet: [
          { id: 'inboard', v: 12 },
          { id: 'outboard', v: null },
        ],
      },
      'inch',
    )
    expect(rows.map((r) => [r.depth, r.label, r.value])).toEqual([
      [0, 'Feet', ''],
      [1, 'inboard', ''],
      [2, 'Vertical', '12 mil'],
      [1, 'outboard', ''],
      [2, 'Vertical', 'not known'],
    ])
  })

  it.each([
    ['strain', { strained: true }, 'The coupling bends the shafts: open it and measure again.'],
    ['compare-sets', { agrees: false }, 'The second set does not repeat the first. Take it again.'],
    ['soft-foot', { diagnosis: 'springy', fill: null }, 'All feet spring: look at the packs.'],
    ['judge', { verdict: 'out' }, 'Out.'],
    ['move-plan', { feasible: false }, 'It can’t be brought in band with what there is.'],
    [
      'coupling-values',
      {
        feet: [
          { id: 'inboard', move: { v: 6, h: -2 } },
          { id: 'outboard', move: { v: -3, h: 0 } },
        ],
      },
      'Move inboard: shim 6 mil, push 2 mil toward 9; outboard: take out 3 mil, no push.',
    ],
    ['run-in', { belowNow: true, leavesAt: 0 }, 'It is below its band already: tighten it now.'],
    ['run-in', { belowNow: false, leavesAt: null }, 'It does not fall out of its band.'],
    [
      'run-in',
      { belowNow: false, leavesAt: 2.04 },
      'It leaves its band after 2 days of running: go back before that.',
    ],
    [
      'vertical-flange',
      { shims: [{ id: 'b1', thickness: 0 }] },
      'It stands upright: no shim under any bolt.',
    ],
    ['backlash', { over: false, limit: 1 }, 'Both ways of turning agree within 1 mil.'],
    [
      'achieved',
      { planes: [{ plane: 'v', cause: 'sign-swapped' }] },
      'Vertical: It moved the other way. A sign or a direction was swapped.',
    ],
    [
      'step-shim',
      { diagonal: true, leaves: [] },
      'The gap runs from corner to corner: no leaves cure that, machine the foot.',
    ],
    [
      'growth',
      { target: { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } } },
      'Both grow alike: aim straight, no correction.',
    ],
    [
      'hot-check',
      { target: { offset: { v: -3, h: 2 }, slope: { v: 0, h: -0.5 } } },
      'Set the motor cold: 3 mil low, 2 mil toward 3, far end toward 9 by 0.5 mil/in.',
    ],
    [
      'runout',
      { tir: 6, verdict: 'out', limit: 4, strikeAt: 90 },
      '6 mil of travel, out: the limit is 4 mil. Strike at mark 3.',
    ],
    [
      'uncertainty',
      { advice: 'measure-again', wide: ['offset.v'] },
      'Measure again before moving: offset vertical is known too loosely.',
    ],
    ['uncertainty', { advice: 'move', chanceInBand: null }, 'It is known well enough to move.'],
    [
      'uncertainty',
      { advice: 'move', chanceInBand: 0.871 },
      'After this move it is in band with a chance of 87 %.',
    ],
    [
      'uncertainty',
      { advice: 'move', chanceInBand: 0.9996 },
      'After this move it is in band with a chance of over 99 %.',
    ],
    ['gear-contact', { advice: ['contact-good'] }, 'The contact is where it belongs.'],
    ['belt-set', { advice: 'replace-set' }, 'Change the whole set: its belts pull too unlike.'],
    ['belt-takeup', { travel: 0 }, 'The motor stays where it is.'],
    ['belt-takeup', { travel: -0.25, turns: -2 }, 'Let the motor in by 0.25 in, 2 turns of every screw.'],
    ['sheave-line', { quantities: [{ name: 'offset', verdict: 'in' }] }, 'The sheaves are in line.'],
    ['four-contact', { diagnosis: 'in-line' }, 'All four touch: the sheaves are in line.'],
    ['squareness', { farEndMove: 0 }, 'The base is square.'],
    [
      'belt-tension',
      { deflection: 0.5, force: 12.5, bands: {} },
      'Press it in by 0.5 in: it takes 12.5 lbf.',
    ],
    [
      'variable-sheave',
      { drivenRpm: 631.2, powerRatio: 0.84 },
      'The driven shaft turns at 631 rpm and takes about 84 % of the power.',
    ],
    ['a sum from tomorrow', {}, 'Worked out.'],
  ])('%s is answered in one sentence', (id, result, sentence) => {
    expect(sentenceOf(id, result, { words: OWN_END, units: 'inch' })).toBe(sentence)
  })
})
