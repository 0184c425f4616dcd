import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../../../core/jobs/testJob'
import { feelerLimits } from '../../../core/register/hubs'
import { NO_HUBS } from '../../register/coupledBoxes'
import { tellingOf } from '../../wording/telling'
import { axialScale, drawHubs, scaleOfHubs } from './drawing'
import { roughInKinds } from './entries'
import { blankRough, nameRoughUnits, readRough, textsOf, type RoughTexts } from './form'

const T = tellingOf('inch', TEST_MACHINE)
const limitsWith = (hubs: Partial<typeof NO_HUBS> | { float: number; movableDiameter: number } = {}) =>
  feelerLimits({ ...TEST_MACHINE, hubs: { ...NO_HUBS, ...hubs } })
const LIMITS = limitsWith()
const typed = (change: (t: RoughTexts) => void, limits = LIMITS) => {
  const texts = blankRough('inch', limits)
  change(texts)
  return readRough(texts, limits, T)
}

describe('the boxes at the hubs', () => {
  it('take stacked feelers; the hub the straightedge lies on gives the sign', () => {
    const { payload } = typed((t) => {
      t.figures = { 'step.0': '20 + 18', 'step.90': '12', 'gap.0': '.124 in', 'gap.180': '116' }
      t.lies[90] = 'movable'
      t.diameter = '8'
    })
    expect(payload).toMatchObject({
      steps: [
        { clock: 0, value: -38 },
        { clock: 90, value: 12 },
      ],
      gaps: [
        { clock: 0, value: 124 },
        { clock: 180, value: 116 },
      ],
      diameter: 8,
      pushed: null,
    })
    expect(roughInKinds['hubs-felt'].body.safeParse({ kind: 'hubs-felt', payload }).success).toBe(true)
  })

  it('ask for the gap across, for the circle, and for both hubs, and log nothing before', () => {
    const one = typed((t) => (t.figures['gap.0'] = '120'))
    expect(one.payload).toBeNull()
    expect(Object.keys(one.notes).sort()).toEqual(['diameter', 'gap.180'])
    const hub = typed((t) => {
      t.figures['step.0'] = '3'
      t.stationaryHub = '8'
    })
    expect([hub.payload, hub.notes.movableHub]).toEqual([null, 'Give both hubs, or neither.'])
    expect(typed(() => {}).payload).toBeNull()
  })

  it('refuse what can’t be with a sentence at the box', () => {
    const { faults, payload } = typed((t) => {
      t.figures = { 'step.0': '-3', 'gap.90': 'abc' }
      t.diameter = '-8'
    })
    expect(payload).toBeNull()
    expect(faults['step.0']).toMatch(/says the way/)
    expect(Object.keys(faults).sort()).toEqual(['diameter', 'gap.90', 'step.0'])
  })

  it('ask once about a slipped digit, and about a floating shaft that wasn’t pushed', () => {
    expect(typed((t) => (t.figures['step.0'] = '380')).questions[0]).toContain('380 mil')
    const floats = limitsWith({ float: 0.2, movableDiameter: 8 })
    const gaps = (pushed: boolean) =>
      typed((t) => {
        t.figures = { 'gap.0': '120', 'gap.180': '120' }
        t.pushed = pushed
      }, floats)
    expect(gaps(false).questions[0]).toMatch(/floats/)
    expect([gaps(true).questions, gaps(true).payload?.pushed]).toEqual([[], true])
  })

  it('one blade: in or not at each place, signed by the hub it lies on', () => {
    const blade = (thick: string) =>
      typed((t) => {
        t.how = 'blade'
        t.blade = thick
        t.went = { 'step.0': 'in', 'step.90': 'stops' }
      })
    expect(blade('15').payload?.steps).toEqual([
      { clock: 0, passes: -15 },
      { clock: 90, stops: 15 },
    ])
    expect(blade('').notes.blade).toBe('Give the thickness of the blade first.')
    expect(blade('0').faults.blade).toBeDefined()
  })

  it('steps at 6 and 9 count only where four places are asked', () => {
    const at = (four: boolean) =>
      typed((t) => {
        t.four = four
        t.figures = { 'step.0': '3', 'step.180': '4' }
      }).payload?.steps.length
    expect([at(false), at(true)]).toEqual([1, 2])
  })

  it('mean the same after the units are switched, and what was logged fills them again', () => {
    const texts = blankRough('inch', LIMITS)
    texts.figures = { 'step.0': '20 + 18', 'step.90': '3', 'gap.0': '120', 'gap.180': '121' }
    texts.lies[90] = 'movable'
    texts.diameter = '8'
    const before = readRough(texts, LIMITS, T).payload!
    nameRoughUnits(texts, 'inch')
    const metric = readRough(texts, LIMITS, tellingOf('metric', TEST_MACHINE)).payload!
    const value = (p: typeof before, i: number) => ('value' in p.steps[i]! ? p.steps[i].value : NaN)
    expect(value(metric, 0)).toBeCloseTo(-38 * 0.0254, 9)
    expect(metric.diameter).toBeCloseTo(8 * 25.4, 9)
    const again = readRough(textsOf(metric, 'inch', LIMITS), LIMITS, T).payload!
    expect([value(again, 0), value(again, 1)]).toEqual([-38, 3])
    const blade = { ...before, steps: [{ clock: 0, passes: -15 }], gaps: [], diameter: null }
    expect(readRough(textsOf(blade, 'inch', LIMITS), LIMITS, T).payload?.steps).toEqual(blade.steps)
  })
})

describe('at the door', () => {
  const refused = (more: object) =>
    roughInKinds['hubs-felt'].body.safeParse({
      kind: 'hubs-felt',
      payload: {
        units: 'inch',
        steps: [{ clock: 0, value: 1 }],
        gaps: [],
        diameter: null,
        hubs: null,
        coupled: false,
        drag: null,
        pushed: null,
        remark: '',
        ...more,
      },
    }).success
  it.each([
    ['as it should be', {}, true],
    [
      'a place twice',
      {
        steps: [
          { clock: 0, value: 1 },
          { clock: 0, value: 2 },
        ],
      },
      false,
    ],
    ['an odd clock position', { steps: [{ clock: 45, value: 1 }] }, false],
    ['a figure and a blade at once', { steps: [{ clock: 0, value: 1, passes: 2 }] }, false],
    ['nothing felt', { steps: [] }, false],
    ['a gap below zero', { gaps: [{ clock: 0, value: -1 }] }, false],
  ])('%s', (_, more, passes) => {
    expect(refused(more)).toBe(passes)
  })
})

describe('the drawing', () => {
  it('stands as the hubs do: low below, open at the top tips the far end down', () => {
    const drawn = drawHubs(-1, -0.5, 20)
    expect([drawn.step, drawn.edgeOn]).toEqual([-20, 'stationary'])
    expect(drawn.turn).toBeLessThan(0)
    expect(drawHubs(1, 0, 20).edgeOn).toBe('movable')
  })

  it('says no exaggeration where no diameter is known, and 1 where all is straight', () => {
    expect(scaleOfHubs(null).times).toBeNull()
  })

  it('holds the window and the figure on one scale', () => {
    const scale = axialScale(3, { least: 2.7, most: 3.2 })
    expect(0 < scale.from && scale.from < scale.at && scale.at < scale.to && scale.to < 1).toBe(true)
    const far = axialScale(5, { least: 2.7, most: 3.2 })
    expect(far.at).toBeGreaterThan(far.to)
    expect(axialScale(3, { least: null, most: 3.2 }).from).toBe(0)
  })
})
