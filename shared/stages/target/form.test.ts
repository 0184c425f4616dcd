import { targetSource } from '../../wording/aims'
import { findingOfTarget } from '../../wording/stageFindings'
import { describe, expect, it } from 'vitest'
import { tryTarget } from '../../../core/stages/target/target'
import { settleTolerance } from '../../../core/judge/tolerance'
import { tellingOf } from '../../wording/telling'
import { meaningOfTarget } from '../../wording/targets'
import { drawGrowth, GROWTH_SHEET } from './drawing'
import { targetFields } from './entries'
import {
  blankTarget,
  growingPairs,
  sameAtBothEnds,
  nameTargetUnits,
  readTarget,
  textsOfTarget,
  type TargetTexts,
} from './form'
import { targetWorking } from './working'

const FEET = {
  movable: [
    { id: 'inboard', x: 300 },
    { id: 'outboard', x: 900 },
  ],
  stationary: [
    { id: 'inboard', x: -250 },
    { id: 'outboard', x: -700 },
  ],
}
const PAIRS = growingPairs(FEET)
const metric = tellingOf('metric', null)
const LIMITS = settleTolerance({ form: 'offset-slope', mode: 'plane', offset: 0.127, slope: 0.001 }, 990)
const texts = (change: (t: TargetTexts) => void): TargetTexts => {
  const t = blankTarget('metric', PAIRS)
  change(t)
  return t
}
const warmGear = (t: TargetTexts) => {
  Object.assign(t.feet['stationary.inboard']!, { height: '450', running: '65' })
  sameAtBothEnds(t, PAIRS, 'stationary')
}
const meaning = (t: TargetTexts) => {
  const { payload } = readTarget(t, PAIRS, metric)
  return payload && meaningOfTarget(tryTarget(payload), LIMITS, 'motor', 'outboard end', metric)
}

describe('the boxes of the cold target', () => {
  it('stand for every pair as a side view shows them, driven machine first', () => {
    expect(PAIRS.map((p) => [p.machine, p.id])).toEqual([
      ['stationary', 'outboard'],
      ['stationary', 'inboard'],
      ['movable', 'inboard'],
      ['movable', 'outboard'],
    ])
    const untaped = growingPairs({ ...FEET, stationary: [] })
    expect(untaped.slice(0, 2).map((p) => p.x)).toEqual([null, null])
  })

  it('make a payload that the door takes; a machine left empty stays as it is', () => {
    const read = readTarget(texts(warmGear), PAIRS, metric)
    expect(read.still).toEqual(['movable'])
    expect(targetFields.safeParse(read.payload).success).toBe(true)
    // 10.6e-6 * 450 * 45 = 0.2147 mm: the motor is set that much high.
    expect(tryTarget(read.payload!).line.offset.v).toBeCloseTo(0.21465, 6)
  })

  it('ask for what is missing once a machine is begun', () => {
    const read = readTarget(
      texts((t) => Object.assign(t.feet['movable.inboard']!, { running: '60' })),
      PAIRS,
      metric,
    )
    expect(read.payload).toBeNull()
    expect(Object.keys(read.remarks).sort()).toEqual([
      'movable.inboard.height',
      'movable.outboard.height',
      'movable.outboard.running',
    ])
  })

  it.each([
    ['what is no number', 'height', 'tall', 'movable.inboard.height'],
    ['a height of nothing', 'height', '0', 'movable.inboard.height'],
    ['a temperature in words', 'running', 'warm', 'movable.inboard.running'],
  ])('refuse %s at its box', (_, box, text, at) => {
    const read = readTarget(
      texts((t) => Object.assign(t.feet['movable.inboard']!, { height: '300', running: '50', [box]: text })),
      PAIRS,
      metric,
    )
    expect(read.remarks[at]?.fault).toBe(true)
    expect(read.payload).toBeNull()
  })

  it.each([
    ['hotter than a bearing lives through', '400', '250', /hotter/],
    ['colder running than standing', '400', '10', /colder/],
    ['more growth than machines make', '4500', '140', /a lot of growth/],
  ])('ask once about %s', (_, height, running, question) => {
    const read = readTarget(
      texts((t) => {
        Object.assign(t.feet['movable.inboard']!, { height, running })
        sameAtBothEnds(t, PAIRS, 'movable')
      }),
      PAIRS,
      metric,
    )
    expect(read.questions.join(' ')).toMatch(question)
    expect(read.payload).not.toBeNull()
  })

  it('ask for the distance of feet nobody has taped, and take it from the coupling outward', () => {
    const pairs = growingPairs({ ...FEET, stationary: [] })
    const t = blankTarget('metric', pairs)
    Object.assign(t.feet['stationary.inboard']!, { how: 'typed', rise: '0.2' })
    Object.assign(t.feet['stationary.outboard']!, { how: 'typed', rise: '0.1' })
    expect(readTarget(t, pairs, metric).remarks['stationary.inboard.x']?.text).toContain('Give this one')
    t.distances = { 'stationary.inboard': '200', 'stationary.outboard': '600' }
    const read = readTarget(t, pairs, metric)
    const given = read.payload?.given
    expect(given?.way === 'growth' && given.machines[0]?.feet.map((f) => f.x)).toEqual([-600, -200])
    t.distances['stationary.outboard'] = '200'
    expect(readTarget(t, pairs, metric).payload).toBeNull()
  })

  it('take a line off a sheet; what it doesn’t mention is nothing', () => {
    const t = texts((x) => {
      x.way = 'line'
    })
    expect(readTarget(t, PAIRS, metric).payload).toBeNull()
    t.line['offset.v'] = '-0.14'
    t.source = ' sheet 7 '
    const read = readTarget(t, PAIRS, metric)
    expect(read.payload).toEqual({
      units: 'metric',
      given: { way: 'line', line: { offset: { v: -0.14, h: 0 }, slope: { v: 0, h: 0 } } },
      source: 'sheet 7',
      learned: null,
    })
  })

  it('say the same again from what was logged, in either unit', () => {
    const t = texts(warmGear)
    t.feet['movable.inboard'] = { ...t.feet['movable.inboard']!, how: 'typed', rise: '0.05', side: '0.01' }
    t.feet['movable.outboard'] = { ...t.feet['movable.outboard']!, material: 'own', alpha: '12', height: '300', running: '45' } // prettier-ignore
    const { payload } = readTarget(t, PAIRS, metric)
    const again = readTarget(textsOfTarget(payload!, 'metric', PAIRS), PAIRS, metric).payload
    expect(again).toEqual(payload)
    const inch = textsOfTarget(payload!, 'inch', PAIRS)
    const back = readTarget(inch, PAIRS, tellingOf('inch', null)).payload
    const [a, b] = [tryTarget(payload!).line, tryTarget(back!).line]
    expect(b.offset.v).toBeCloseTo(a.offset.v!, 4)
    expect(b.slope.v).toBeCloseTo(a.slope.v!, 6)
  })

  it('keep their meaning when the view switches', () => {
    const t = texts(warmGear)
    const before = tryTarget(readTarget(t, PAIRS, metric).payload!).line
    nameTargetUnits(t, 'metric')
    expect([t.cold, t.feet['stationary.inboard']!.running]).toEqual(['68', '149'])
    const after = tryTarget(readTarget(t, PAIRS, tellingOf('inch', null)).payload!).line
    expect(after.offset.v).toBeCloseTo(before.offset.v!, 9)
  })
})

describe('what a cold target means', () => {
  it('names the line, where it comes from, and what it is for', () => {
    const said = meaning(texts(warmGear))
    expect(said).toMatchObject({ mark: 'done', headline: 'Set the motor 0.215 mm high, cold.' })
    expect(said?.detail).toContain('worked out from how the feet warm up')
  })

  it('says no correction where both grow alike', () => {
    const said = meaning(
      texts((t) => {
        warmGear(t)
        t.feet['movable.inboard'] = { ...t.feet['stationary.inboard']! }
        sameAtBothEnds(t, PAIRS, 'movable')
      }),
    )
    expect(said?.headline).toBe('Both machines grow alike: no correction.')
  })

  it.each([
    ['straight on purpose', { way: 'none' as const }, 'It is set straight, cold and warm.', 'Straight'],
    [
      'a given line',
      { way: 'line' as const, line: { offset: { v: -0.14, h: 0.05 }, slope: { v: 0, h: 0 } } },
      'Set the motor 0.140 mm low, 0.050 mm toward 3, cold.',
      'Set 0.140 mm low, 0.050 mm toward 3',
    ],
  ])('for %s', (_, given, headline, finding) => {
    const target = tryTarget({ units: 'metric', given, source: '', learned: null })
    expect(meaningOfTarget(target, LIMITS, 'motor', 'outboard end', metric).headline).toBe(headline)
    expect(findingOfTarget(target, LIMITS, 'outboard end', metric)).toBe(finding)
  })

  it('says whose window it is that the target doesn’t move', () => {
    const window = settleTolerance(
      { form: 'window', offset: { v: [-0.2, 0], h: [-0.1, 0.1] }, slope: { v: [-1, 1], h: [-1, 1] } },
      990,
    )
    const target = tryTarget(readTarget(texts(warmGear), PAIRS, metric).payload!)
    const said = meaningOfTarget(target, window, 'motor', 'outboard end', metric)
    expect(said.detail).toContain('the target moves no verdict')
  })

  it('comes from where it was learned', () => {
    const target = tryTarget({
      units: 'metric',
      given: { way: 'line', line: { offset: { v: -0.14, h: 0 }, slope: { v: 0, h: 0 } } },
      source: '',
      learned: { job: '11111111-1111-4111-8111-111111111111', on: '2026-08-12T10:00:00Z' },
    })
    expect(targetSource(target, metric)).toBe('learned from the hot check of 12 Aug 2026')
    expect(targetSource({ ...target, from: 'register' }, metric)).toContain('from the register: learned')
  })

  it('unfolds: each rise with its figures, the line, and each foot', () => {
    const target = tryTarget(readTarget(texts(warmGear), PAIRS, metric).payload!)
    const steps = targetWorking(target, FEET.movable, { movable: 'motor', stationary: 'gear unit' }, metric)
    expect(steps[0]).toMatchObject({ substituted: '10.6 × 10⁻⁶ × 450.0 × (65 − 20)', result: '+0.2147' })
    expect(steps.map((s) => s.name)).toContain('Target offset, vertical')
    expect(steps.at(-1)?.name).toContain('outboard')
  })
})

describe('the side view of both machines', () => {
  it('draws what grows up, and the target where the axis is set, inside the sheet', () => {
    const target = tryTarget(readTarget(texts(warmGear), PAIRS, metric).payload!)
    const drawn = drawGrowth(PAIRS, target.growth, target.line)
    const [gear] = drawn.running
    expect(gear?.role).toBe('stationary')
    expect(gear!.y1).toBeLessThan(drawn.zero)
    expect(drawn.target!.y1).toBeCloseTo(gear!.y2, 6)
    for (const y of [gear!.y1, gear!.y2, drawn.target!.y1, drawn.target!.y2])
      expect(y > 0 && y < GROWTH_SHEET.height).toBe(true)
  })

  it('claims no exaggeration while nothing grows', () => {
    const flat = drawGrowth(PAIRS, null, { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } })
    expect([flat.times, flat.target, flat.running.length]).toEqual([null, null, 0])
  })
})
