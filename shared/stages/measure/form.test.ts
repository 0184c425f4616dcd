import { describe, expect, it } from 'vitest'
import { inMil, TestJob } from '../../../core/jobs/testJob'
import {
  blankReadings,
  editReadings,
  nameReadingUnits,
  readReadings,
  seenFromEnd,
  wayOf,
  WAYS,
  zerosOf,
  type ReadingTexts,
} from './form'

const CIRCLES = ['rim', 'face'] as const
const GRADUATION = { rim: 0.5, face: 0.5 }
const read = (texts: ReadingTexts, units: 'inch' | 'metric' = 'inch') =>
  readReadings(texts, CIRCLES, units, GRADUATION)

const typed = (): ReadingTexts => ({
  ...blankReadings(CIRCLES, 'inch'),
  circles: {
    rim: { 0: '0', 90: '-2.5', 180: '-23', 270: '-20.5' },
    face: { 0: '0', 90: '1', 180: '3.5', 270: '2.5' },
  },
})

describe('the boxes of a set', () => {
  it('are walked stop by stop, all circles at a stop, the full turn last', () => {
    const { order, missing, blank } = read(blankReadings(CIRCLES, 'inch'))
    expect(order.slice(0, 4)).toEqual([
      { circle: 'rim', clock: 0 },
      { circle: 'face', clock: 0 },
      { circle: 'rim', clock: 90 },
      { circle: 'face', clock: 90 },
    ])
    expect(order.at(-1)).toEqual({ circle: 'face', clock: null })
    expect(missing).toHaveLength(8)
    expect(blank).toBe(true)
  })

  it('fold while they are incomplete, without what can’t be read', () => {
    const texts = typed()
    texts.circles.rim = { 0: '0', 90: '-2.', 180: 'x', 270: '' }
    const { body, missing, blank } = read(texts)
    expect(body.payload.circles.rim).toEqual([
      { clock: 0, value: 0 },
      { clock: 90, value: -2 },
    ])
    expect(body.payload.returned).toBeNull()
    expect(blank).toBe(false)
    expect(missing).toContainEqual({ circle: 'rim', clock: 180 })
  })

  it('are whole with the turn', () => {
    const texts = typed()
    texts.returned = { rim: '0', face: '.5' }
    expect(read(texts)).toMatchObject({
      missing: [],
      body: { payload: { returned: { rim: 0, face: 0.5 } } },
    })
  })

  it('point at a slipped decimal', () => {
    const texts = typed()
    texts.circles.rim = { 0: '0', 90: '-2.5', 180: '-230', 270: '-20.5' }
    expect(read(texts).slips).toMatchObject({ rim: [180], face: [] })
    expect(read(typed()).slips).toMatchObject({ rim: [], face: [] })
  })

  it('mean the same in other units', () => {
    const texts = typed()
    nameReadingUnits(texts, 'inch')
    expect(texts.circles.rim?.['180']).toBe('-23 mil')
    expect(read(texts, 'metric').value('rim', 180)).toBeCloseTo(-0.5842, 9)
    expect(texts.returned.rim).toBe('')
  })

  it('hold a logged set again, to be corrected, in either unit', () => {
    const job = new TestJob().ready()
    const entry = job.read(inMil(-8.4, 5.1, -0.36, 0.22))
    const noted = job.state.latest.sets[0]
    if (!noted) throw new Error('no set')
    const inch = editReadings(noted, 'inch')
    expect(inch.correcting).toBe(entry.id)
    const back = read(inch).body.payload
    back.circles.rim?.forEach((r, i) =>
      expect(r.value).toBeCloseTo(entry.payload.circles.rim?.[i]?.value ?? NaN, 6),
    )
    expect(back.returned).toEqual(entry.payload.returned)
    const metric = read(editReadings(noted, 'metric'), 'metric').body.payload
    expect((metric.circles.rim?.[2]?.value ?? NaN) / 0.0254).toBeCloseTo(
      back.circles.rim?.[2]?.value ?? NaN,
      6,
    )
  })
})

describe('ways round the clock', () => {
  const taken = (way: keyof typeof WAYS, typed: Readonly<Record<string, string>>) => {
    const texts = blankReadings(CIRCLES, 'inch', WAYS[way], 'dials', way === 'twice')
    for (const c of CIRCLES) texts.circles[c] = { ...texts.circles[c], ...typed }
    return { texts, ...readReadings(texts, CIRCLES, 'inch', GRADUATION) }
  }
  it.each(Object.keys(WAYS) as (keyof typeof WAYS)[])('%s is known again by its positions', (way) => {
    const { texts, blank } = taken(way, {})
    expect([wayOf(texts), blank]).toEqual([way, true])
  })

  it('a start at the side is zeroed there', () => {
    const { texts } = taken('from-3', {})
    expect(texts.circles[CIRCLES[0] as string]).toEqual({ '90': '0' })
  })

  it('zeroed twice, each pair has a zero of its own, and says so in its entry', () => {
    const { texts, body, blank } = taken('twice', { '180': '-23', '270': '-18' })
    expect(zerosOf(texts)).toEqual([0, 90])
    expect(blank).toBe(false)
    expect(Object.values(body.payload.circles)[0]).toEqual([
      { clock: 0, value: 0, group: '12-6' },
      { clock: 180, value: -23, group: '12-6' },
      { clock: 90, value: 0, group: '3-9' },
      { clock: 270, value: -18, group: '3-9' },
    ])
  })

  it('one plane alone asks for its own two positions only', () => {
    const { missing } = taken('12-6', { '180': '4' })
    expect(missing.every((b) => b.clock === null)).toBe(true)
  })
})

describe('heads that tell their own angles', () => {
  const HEADS = ['stationary', 'movable'] as const
  const typed = (angles: ReadingTexts['angles']): ReadingTexts => ({
    ...blankReadings(HEADS, 'inch', WAYS.arc),
    ownAngles: true,
    angles,
    circles: {
      stationary: { 300: '0', 0: '4', 60: '9' },
      movable: { 300: '0', 0: '-3', 60: '-8' },
    },
  })
  const readHeads = (texts: ReadingTexts) =>
    readReadings(texts, HEADS, 'inch', { stationary: 0.5, movable: 0.5 })

  it('are kept at the angle each told; an empty one is the stop’s', () => {
    const { body, unclearAngles } = readHeads(typed({ movable: { 300: '302.5', 60: '61' } }))
    expect(body.payload.circles.stationary?.map((r) => r.clock)).toEqual([300, 0, 60])
    expect(body.payload.circles.movable?.map((r) => r.clock)).toEqual([302.5, 0, 61])
    expect(unclearAngles).toEqual({ stationary: [], movable: [] })
  })

  it.each(['400', '-5', 'noon'])('an angle of %s is asked for again, and its reading waits', (text) => {
    const { body, missing, unclearAngles } = readHeads(typed({ movable: { 0: text } }))
    expect(unclearAngles.movable).toEqual([0])
    expect(missing).toContainEqual({ circle: 'movable', clock: 0 })
    expect(body.payload.circles.movable?.map((r) => r.clock)).toEqual([300, 60])
  })

  it('are told the other way round from the other end, and stay where they are', () => {
    const texts = typed({ movable: { 300: '302.5' } })
    const there = seenFromEnd(texts, 'stationary')
    expect(there.angles.movable).toEqual({ 300: '57.5' })
    expect(readHeads(there).body.payload.circles.movable?.[0]?.clock).toBe(302.5)
    expect(seenFromEnd(there, 'movable')).toEqual(texts)
  })

  it('come back into their boxes when a set is corrected', () => {
    const { body } = readHeads(typed({ movable: { 300: '302.5', 60: '61' } }))
    const read = Object.fromEntries(
      Object.entries(body.payload.circles).map(([c, list]) => [
        c,
        list.map((r) => ({ ...r, value: r.value * 0.0254 })),
      ]),
    )
    const noted = {
      set: {
        setUp: { circles: HEADS },
        read,
        returned: { stationary: 0, movable: 0 },
        entry: { id: 'x', payload: body.payload },
      },
    } as unknown as Parameters<typeof editReadings>[0]
    const texts = editReadings(noted, 'inch', 'stationary')
    expect(texts.ownAngles).toBe(true)
    expect(texts.angles.movable).toEqual({ 300: '57.5', 0: '0', 60: '299' })
    expect(readHeads(texts).body.payload.circles).toEqual(body.payload.circles)
  })
})
