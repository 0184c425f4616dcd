import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../../core/jobs/testJob'
import { circlesOf, methodToCore, type MethodGiven } from '../../core/methods/methods'
import { setUpKinds } from '../stages/setUp/entries'
import {
  editSetUp,
  nameSetUpUnits,
  readSetUp,
  startSetUp,
  type SetUpContext,
  type SetUpTexts,
} from '../stages/setUp/form'
import { boxName, choiceRows, meaningOfSetUp, numberLabel } from '../stages/setUp/words'
import { setUpWorking } from '../stages/setUp/working'
import { settleSetUp } from '../../core/stages/setUp/setUp'
import { blankReadings, readReadings } from '../stages/measure/form'
import { tellingOf } from '../wording/telling'
import { endOf, hasSag, METHOD_FORMS, type OfferedMethod } from './forms'

const CONTEXT: SetUpContext = { machine: TEST_MACHINE, last: null, lastJob: null }
const T = tellingOf('inch', TEST_MACHINE)
const METHODS = Object.keys(METHOD_FORMS) as OfferedMethod[]
const NAMES = { movable: 'Motor', stationary: 'Gear unit' }

/** Boxes as somebody would fill them: distances 6, 7, 8 in; sags 2 mil; dials back at zero. */
const filled = (method: OfferedMethod, choices: Readonly<Record<string, string>> = {}): SetUpTexts => {
  const texts = startSetUp(CONTEXT, 'inch', method)
  METHOD_FORMS[method].numbers.forEach((f, i) => {
    if (!texts.numbers[f.id]) texts.numbers[f.id] = f.measure === 'distance' ? String(6 + i) : '2'
  })
  texts.choices = { ...texts.choices, ...choices }
  for (const c of METHOD_FORMS[method].circles(texts.choices)) texts.returned[c] = '0'
  return texts
}
const logged = (texts: SetUpTexts, telling = T) => {
  const { payload, missing, remarks } = readSetUp(texts, CONTEXT, telling)
  if (!payload) throw new Error(`missing ${missing.join()}, ${JSON.stringify(remarks)}`)
  return payload
}
const core = (how: MethodGiven, units: 'inch' | 'metric') =>
  ({ method: how.method, given: methodToCore(how, units) }) as MethodGiven

describe('where the boxes of a set-up stand', () => {
  const ends = (method: OfferedMethod, choices: Readonly<Record<string, string>> = {}) =>
    Object.fromEntries(METHOD_FORMS[method].numbers.map((f) => [f.id, endOf(f, method, choices)]))
  it('is where the dial’s tip runs, on whichever machine the bracket sits', () => {
    expect(ends('rim-face', { carriedBy: 'movable' })).toMatchObject({
      rimPlane: 'stationary',
      faceCircle: 'stationary',
      sag: 'movable',
    })
    expect(ends('rim-face', { carriedBy: 'stationary' })).toMatchObject({
      rimPlane: 'movable',
      faceCircle: 'movable',
    })
  })
  it('is at the hub each number belongs to', () => {
    expect(ends('reverse-rim')).toEqual({
      onStationary: 'stationary',
      sagStationary: 'stationary',
      onMovable: 'movable',
      sagMovable: 'movable',
    })
    expect(ends('spacer-faces')).toMatchObject({ circleStationary: 'stationary', circleMovable: 'movable' })
    expect(ends('heads')).toEqual({ stationaryPlane: 'stationary', movablePlane: 'movable' })
  })
})

describe.each(METHODS)('%s as a job is set up by it', (method) => {
  const form = METHOD_FORMS[method]

  it('makes an entry that passes the door, with the circles that its readings will have', () => {
    const payload = logged(filled(method))
    const parsed = setUpKinds['set-up'].body.safeParse({ kind: 'set-up', payload })
    expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true)
    expect(circlesOf(payload.how)).toEqual(form.circles(filled(method).choices))
    expect(Object.keys(payload.graduation)).toEqual([...circlesOf(payload.how)])
  })

  it('fills its boxes again with what was logged, in the other units too', () => {
    const flipped = Object.fromEntries(form.choices.map((c) => [c.id, c.options[c.options.length - 1] ?? '']))
    const texts = filled(method, flipped)
    const first = logged(texts)
    expect(logged(editSetUp(first, CONTEXT, 'inch')).how).toEqual(first.how)
    nameSetUpUnits(texts, 'inch')
    const metric = logged({ ...texts, units: 'metric' }, tellingOf('metric', TEST_MACHINE))
    const [a, b] = [JSON.stringify(core(first.how, 'inch')), JSON.stringify(core(metric.how, 'metric'))]
    const numbers = (s: string) => [...s.matchAll(/-?\d+\.?\d*(?:e-?\d+)?/g)].map((x) => Number(x[0]))
    expect(numbers(b).length).toBe(numbers(a).length)
    numbers(b).forEach((x, i) => expect(x).toBeCloseTo(numbers(a)[i] ?? NaN, 6))
  })

  it('has a word for every box, choice and state', () => {
    const texts = filled(method)
    for (const f of form.numbers) {
      expect(numberLabel(f, texts, T)).not.toBe(f.id)
      expect(boxName(`numbers.${f.id}`, texts, TEST_MACHINE, T)).not.toBe(f.id)
    }
    for (const c of choiceRows(method, NAMES, T)) {
      expect(c.label).not.toBe(c.id)
      for (const o of c.options) expect(o.name).toBeTruthy()
    }
    const empty = readSetUp(startSetUp(CONTEXT, 'inch', method), CONTEXT, T)
    expect(meaningOfSetUp(empty, texts, T).headline).toBeTruthy()
    const entry = { kind: 'set-up', payload: logged(texts), id: 'x' } as never
    expect(setUpWorking(settleSetUp(entry), T).length).toBeGreaterThan(0)
  })

  it('asks for a full turn back to zero only where dials turn', () => {
    const { boxes } = readSetUp(filled(method), CONTEXT, T)
    expect(boxes.some((b) => b.startsWith('returned.'))).toBe(form.reads === 'dials')
    expect(boxes.includes('turning')).toBe(form.reads === 'dials')
    const circles = form.circles(filled(method).choices)
    const texts = blankReadings(circles, 'inch', undefined, form.reads)
    const { order, missing, blank } = readReadings(texts, circles, 'inch', {}, form.reads)
    expect(blank).toBe(true)
    expect(texts.positions).toHaveLength(form.reads === 'values' ? 2 : 4)
    // Dials stand at zero where they start: those boxes are filled.
    expect(order.length - missing.length).toBe(form.reads === 'dials' ? circles.length : 0)
    expect(order.some((b) => b.clock === null)).toBe(form.reads === 'dials')
  })
})

it('a second face dial is read half a turn on, and is zeroed there', () => {
  const texts = filled('rim-face', { faceDials: 'two' })
  expect(circlesOf(logged(texts).how)).toEqual(['rim', 'face1', 'face2'])
  const circles = ['rim', 'face1', 'face2']
  const boxes = blankReadings(circles, 'inch')
  expect(boxes.circles.face2).toEqual({ '180': '0' })
  const { order } = readReadings(boxes, circles, 'inch', {})
  expect(order.slice(0, 6).map((b) => b.clock)).toEqual([0, 0, 180, 90, 90, 270])
})

it('only brackets have a bar that hangs', () => {
  const sags = METHODS.filter((m) => hasSag(logged(filled(m)).how))
  expect(sags).toEqual(['rim-face', 'reverse-rim'])
})
