import { describe, expect, it } from 'vitest'
import { fieldOf } from './field'
import { readForm } from './readForm'
import { blankOf, openedOf, putAt, textsOf, type TextGroup, type Texts } from './texts'
import { inputSchema, OPERATIONS } from '../calculation/operations'
import { LINE_BOXES, type LineTexts } from '../stages/lineUp/form'
import { OWN_END } from '../wording/words'
import { drawnPlans, planSheet } from './drawnPlans'
import { askedRims, edgeLiesOn, touchesOf } from './edge'
import { feelerRows, feltAtHubs, fitsHubs, hubFeelers, noFeelers } from './feelers'

const none = () => null
const operation = (name: string) => OPERATIONS.find((o) => o.name === name)!
const formOf = (name: string) => fieldOf(inputSchema(operation(name)))
const inputOf = (name: string, texts: Texts) => readForm(formOf(name), texts, 'inch', OWN_END, none).input

describe('a form that a drawing writes into', () => {
  it('opens what was closed on the way, and leaves what stood beside it', () => {
    const form = formOf('axial-gap')
    const texts = blankOf(form) as TextGroup
    expect(texts.window).toBeNull()
    putAt(form, texts, ['window', '1'], '8', none)
    expect(texts.window).toEqual(['', '8'])
    putAt(form, texts, ['window', '0'], '6', none)
    expect(texts.window).toEqual(['6', '8'])
    putAt(form, texts, ['shafts', '0', 'length'], '30', none)
    expect(texts.shafts).toMatchObject([{ length: '30' }])
  })

  it('opens the shape of a choice, and the input of a sum inside another', () => {
    const form = formOf('gap-straightedge')
    const texts = blankOf(form) as TextGroup
    putAt(form, texts, ['gaps', 'readings', '2', 'of', 'value'], '5', none)
    const rows = (texts.gaps as TextGroup).readings as TextGroup[]
    expect(rows.map((r) => (r.of as TextGroup).clock)).toEqual(['0', '90', '180', '270'])
    expect(rows[2]).toMatchObject({ pick: '0', of: { value: '5' } })
  })

  it('does not take silence for a no where something must be said', () => {
    const texts = openedOf(formOf('four-contact'))
    expect(texts).toEqual({ reference: { far: null, near: null }, other: { near: null, far: null } })
    expect(inputOf('four-contact', texts)).toEqual({ units: 'inch', reference: {}, other: {} })
  })

  it('names the shapes of a choice by what only each has', () => {
    const gaps = formOf('gap-straightedge')
    const field = gaps.kind === 'group' && gaps.fields.find((f) => f.name === 'gaps')?.field
    const list = field && field.kind === 'group' && field.fields.find((f) => f.name === 'readings')?.field
    const item = list && list.kind === 'list' ? list.item : null
    expect(item?.kind === 'either' && item.names).toEqual(['value', 'passes', 'stops'])
  })
})

describe('feelers at the hubs', () => {
  const given = (input: object) => {
    const texts = textsOf(formOf('gap-straightedge'), input, 'inch', none) as TextGroup
    return {
      gaps: (texts.gaps as TextGroup | null)?.readings,
      rises: (texts.rises as TextGroup | null)?.readings,
    }
  }
  const measured = given({
    units: 'inch',
    gaps: {
      diameter: 4,
      readings: [
        { clock: 0, value: 30 },
        { clock: 180, value: 34 },
      ],
    },
    rises: {
      hubRadius: { stationary: 2, movable: 2 },
      readings: [
        { clock: 0, value: 7 },
        { clock: 90, value: -3 },
      ],
    },
  })

  it('hold a list without its signs, which say where the edge lies', () => {
    expect(fitsHubs(measured.gaps, measured.rises)).toBe(true)
    const hubs = hubFeelers(measured.gaps, measured.rises, noFeelers())
    expect(hubs).toMatchObject({
      how: 'measured',
      figures: { 'gap.0': '30', 'gap.180': '34', 'step.0': '7', 'step.90': '3' },
      lies: { 0: 'movable', 90: 'stationary' },
      four: false,
    })
    const rises = feelerRows('step', hubs)
    expect(rises.map((r) => ((r as TextGroup).of as TextGroup).value)).toEqual(['7', '-3', '', ''])
    expect(hubFeelers(feelerRows('gap', hubs), rises, noFeelers()).figures).toMatchObject({ 'gap.180': '34' })
  })

  it('leave out of the sum what is empty, and give it what the edge lying on the driven hub means', () => {
    const hubs = { ...noFeelers(), figures: { 'step.0': '7', 'gap.90': '31' } }
    const texts = blankOf(formOf('gap-straightedge')) as TextGroup
    texts.gaps = { diameter: '4', readings: feelerRows('gap', hubs) }
    texts.rises = { hubRadius: { stationary: '2', movable: '2' }, readings: feelerRows('step', hubs) }
    expect(inputOf('gap-straightedge', texts)).toMatchObject({
      gaps: { readings: [{ clock: 90, value: 31 }] },
      rises: { readings: [{ clock: 0, value: -7 }] },
    })
  })

  it('try one blade at each place: in is signed by where the edge lies, stopped has no side', () => {
    const hubs = {
      ...noFeelers(),
      how: 'blade' as const,
      blade: '10',
      went: { 'step.0': 'in', 'step.180': 'stops', 'gap.0': 'in' } as const,
    }
    const rises = feelerRows('step', hubs)
    expect(rises[0]).toEqual({ pick: '1', of: { clock: '0', passes: '-10' } })
    expect(rises[2]).toEqual({ pick: '2', of: { clock: '180', stops: '10' } })
    const back = hubFeelers(feelerRows('gap', hubs), rises, noFeelers())
    expect(back).toMatchObject({ how: 'blade', blade: '10', four: true, went: hubs.went })
  })

  it('keep the figures while a blade is tried, and the blade’s answers while figures stand', () => {
    const figures = hubFeelers(measured.gaps, measured.rises, noFeelers())
    const beside = { ...figures, how: 'blade' as const }
    const tried = hubFeelers(feelerRows('gap', beside), feelerRows('step', beside), beside)
    expect(tried).toMatchObject({ how: 'blade', figures: { 'step.0': '7' } })
    const again = { ...tried, how: 'measured' as const }
    expect(hubFeelers(feelerRows('gap', again), feelerRows('step', again), again).figures).toMatchObject({
      'gap.0': '30',
    })
  })

  it.each([
    ['a place between', { readings: [{ clock: 45, value: 3 }] }],
    ['a place twice', { readings: [{ clock: 0, value: 3 }, { clock: 0, value: 4 }] }], // prettier-ignore
    ['sets by name', { readings: [{ clock: 0, value: 3, group: 'second' }] }],
    ['blades of two sizes', { readings: [{ clock: 0, passes: 3 }, { clock: 90, stops: 4 }] }], // prettier-ignore
    ['a blade beside a thickness', { readings: [{ clock: 0, passes: 3 }, { clock: 90, value: 4 }] }], // prettier-ignore
  ])('can’t hold %s: the list stays in the form', (_, more) => {
    const { gaps, rises } = given({ units: 'inch', gaps: { diameter: 4, ...more } })
    expect(fitsHubs(gaps, rises)).toBe(false)
  })
})

describe('what feelers found', () => {
  const found = {
    coupling: { offset: { v: 7, h: null }, slope: { v: 1, h: null } },
    bounds: {
      offset: { v: [null, null], h: [-3, null] },
      slope: { v: [null, null], h: [null, 0.5] },
    },
  } as const

  it('stands as steps, and as openings across the circle it was felt on, in millimetres', () => {
    const { steps, openings } = feltAtHubs(found, 100, 'inch')
    expect(steps.v.value).toBeCloseTo(7 * 0.0254, 12)
    // A mil an inch over 100 mm.
    expect(openings.v.value).toBeCloseTo(0.1, 12)
  })

  it('keeps what a blade leaves open as bounds, and claims nothing before there is a result', () => {
    const { steps, openings } = feltAtHubs(found, 100, 'inch')
    expect(steps.h).toMatchObject({ value: null, bounds: [expect.closeTo(-3 * 0.0254, 12), null] })
    expect(openings.h.bounds).toEqual([null, expect.closeTo(0.05, 12)])
    expect(feltAtHubs(null, null, 'inch').steps.v).toMatchObject({ value: null, bounds: [null, null] })
  })
})

describe('the edge across two sheaves', () => {
  const boxes = (typed: Partial<LineTexts['boxes']> = {}) =>
    ({ ...Object.fromEntries(LINE_BOXES.map((b) => [b, ''])), ...typed }) as LineTexts['boxes']

  it('touches where it lies until a gap shows there; the other rims are open until they are told', () => {
    expect(touchesOf(boxes(), {}, 'inch')).toEqual({
      referenceFar: 'touch',
      referenceNear: 'touch',
      otherNear: null,
      otherFar: null,
    })
    const told = touchesOf(boxes({ p1: '0', p2: '0.06', r1: '0.02' }), {}, 'inch')
    expect(told).toMatchObject({ otherNear: 'touch', otherFar: 'gap', referenceFar: 'gap' })
  })

  it('keeps the box while a nought is on its way to 0.5, and puts it away for a tap', () => {
    expect(askedRims(boxes({ p1: '0' }), {}, 'inch').otherNear).toBe('gap')
    expect(askedRims(boxes({ p1: '0' }), { otherNear: 'touch' }, 'inch').otherNear).toBe('touch')
    expect(askedRims(boxes({ p1: '2' }), { otherNear: 'touch' }, 'inch').otherNear).toBe('gap')
    expect(askedRims(boxes(), { referenceNear: 'gap' }, 'inch').referenceNear).toBe('gap')
    expect(askedRims(boxes(), {}, 'inch').referenceNear).toBe('touch')
  })

  it('lies on the sheave that is not the other one', () => {
    expect([edgeLiesOn(''), edgeLiesOn('motor'), edgeLiesOn('driven')]).toEqual(['driven', 'driven', 'motor'])
  })
})

describe('plans drawn', () => {
  const input = {
    units: 'inch',
    coupling: { offset: { v: 6.2, h: -4.1 }, slope: { v: 0.1, h: -0.35 } },
    tolerance: { form: 'offset-slope', mode: 'plane', offset: 3.6, slope: 0.5 },
    machines: {
      movable: {
        feet: [
          { id: 'inboard', x: 9.5, existing: [20], maxPack: 60, sidePlus: 40, sideMinus: 40 },
          { id: 'outboard', x: 24, existing: [20], maxPack: 60, sidePlus: 40, sideMinus: 40 },
        ],
      },
      stationary: {
        feet: [
          { id: 'inboard', x: -8, existing: [20], maxPack: 60, sidePlus: 40, sideMinus: 40 },
          { id: 'outboard', x: -26, existing: [20], maxPack: 60, sidePlus: 40, sideMinus: 40 },
        ],
      },
    },
    stock: [1, 2, 5, 10, 20].map((thickness) => ({ thickness, count: 40, kind: 'plain' })),
    packLimit: 4,
    movable: 'movable',
  }

  it('stand in millimetres on the sheet that their feet are dragged on', async () => {
    const sheet = planSheet(input)!
    expect(sheet.input.feet.map((f) => f.x)).toEqual([9.5 * 25.4, 24 * 25.4])
    expect(sheet.still).toEqual([])
    const answer = await operation('move-plan').run(input)
    const plans = drawnPlans(sheet, answer.ok && answer.result)
    const told = answer.ok ? (answer.result as { plans: { moves: { v: number }[] }[] }).plans : []
    expect(plans.length).toBe(told.length)
    expect(plans[0]!.choice.feet[1]!.v).toBeCloseTo(told[0]!.moves[1]!.v * 0.0254, 9)
    expect(plans[0]!.choice.feet.every((f) => f.machine === 'movable')).toBe(true)
  })

  it('move the driven machine’s feet where they are asked to, and leave the motor’s standing', async () => {
    const other = { ...input, movable: 'stationary' }
    const sheet = planSheet(other)!
    expect(sheet.still.map((f) => f.id)).toEqual(['inboard', 'outboard'])
    const answer = await operation('move-plan').run(other)
    const [plan] = drawnPlans(sheet, answer.ok && answer.result)
    expect(plan!.choice.feet.every((f) => f.machine === 'stationary')).toBe(true)
    expect(plan!.choice.feet.some((f) => f.v !== 0)).toBe(true)
  })

  it('wait for numbers that are whole', () => {
    expect(planSheet({ ...input, packLimit: 0 })).toBeNull()
    expect(planSheet({ ...input, tolerance: { form: 'speed-rule' } })).toBeNull()
    expect(planSheet(null)).toBeNull()
  })
})
