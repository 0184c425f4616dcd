import { targetSource } from '../../wording/aims'
import { powerWhy } from '../../wording/safety'
import { findingOfHot } from '../../wording/stageFindings'
import { describe, expect, it } from 'vitest'
import { ALIGNED } from '../../../core/frame/planes'
import { foldJob } from '../../../core/jobs/jobs'
import { TestJob } from '../../../core/jobs/testJob'
import type { Warming } from '../../../core/stages/hotCheck/temperatures'
import { tryTarget } from '../../../core/stages/target/target'
import { readBody } from '../../logbook/kinds'
import { goWords } from '../../wording/directions'
import { degreesApart, meaningOfHot } from '../../wording/hotCheck'
import { tellingOf } from '../../wording/telling'
import { keptTarget, leftBefore, newTarget } from './answer'
import { drawWarming, WARMING_SHEET } from './drawing'
import { blankTemperatures, clockTime, nameTemperatureUnits, readTemperatures } from './form'
import { hotWorking } from './working'

const inch = tellingOf('inch', null)
const metric = tellingOf('metric', null)
const PAIRS = [
  { machine: 'stationary', id: 'inboard' },
  { machine: 'movable', id: 'inboard' },
] as const
const NOW = new Date(2026, 0, 5, 14, 30).getTime()

describe('the time on a clock', () => {
  it('is the last time that it showed this; now where nothing is said', () => {
    expect(clockTime('', NOW)).toBe(new Date(NOW).toISOString())
    expect(clockTime('14:05', NOW)).toBe(new Date(2026, 0, 5, 14, 5).toISOString())
    expect(clockTime('9.40', NOW)).toBe(new Date(2026, 0, 5, 9, 40).toISOString())
    // Ten to three hasn't been yet today.
    expect(clockTime('14:50', NOW)).toBe(new Date(2026, 0, 4, 14, 50).toISOString())
    for (const wrong of ['25:00', '14:60', 'noon', '14']) expect(clockTime(wrong, NOW)).toBeNull()
  })
})

describe('temperatures as typed', () => {
  const texts = (feet: Record<string, string>, at = '') => ({ ...blankTemperatures('metric'), at, feet })
  const read = (feet: Record<string, string>, before: readonly Warming[] = [], at = '') =>
    readTemperatures(texts(feet, at), PAIRS, before, NOW, metric)

  it('are those of the feet somebody went to', () => {
    expect(read({ 'movable.inboard': '61.5' }).payload).toMatchObject({
      units: 'metric',
      feet: [{ machine: 'movable', pair: 'inboard', value: 61.5 }],
    })
    expect(read({}).blank).toBe(true)
    expect(read({}).payload).toBeNull()
  })

  it('are refused at their box, with the time at its own', () => {
    const faulty = read({ 'movable.inboard': '6o' }, [], '99')
    expect(Object.keys(faulty.remarks)).toEqual(['at', 'movable.inboard'])
    expect(faulty.payload).toBeNull()
  })

  it('are asked about when nobody runs at them, or a foot leaps', () => {
    expect(read({ 'movable.inboard': '611' }).questions).toHaveLength(1)
    const before: Warming[] = [
      { machine: 'movable', pair: 'inboard', points: [{ at: NOW - 1e6, value: 20 }] },
    ]
    expect(read({ 'movable.inboard': '61' }, before).questions[0]).toContain('far from')
    expect(read({ 'movable.inboard': '40' }, before).questions).toEqual([])
  })

  it('mean the same in the other scale', () => {
    const t = texts({ 'movable.inboard': '60', 'stationary.inboard': '6o' })
    nameTemperatureUnits(t, 'metric')
    expect(t.feet).toEqual({ 'movable.inboard': '140', 'stationary.inboard': '6o' })
  })
})

describe('temperatures as drawn', () => {
  const point = (minutes: number, value: number) => ({ at: NOW + minutes * 60_000, value })
  it('go up with the heat, along with the time, and keep their names apart', () => {
    const drawn = drawWarming(
      [
        { machine: 'movable', pair: 'inboard', points: [point(0, 20), point(60, 60)] },
        { machine: 'movable', pair: 'outboard', points: [point(0, 20), point(60, 60)] },
      ],
      { begun: NOW, stopped: NOW + 3_600_000, settled: NOW + 1_800_000 },
      NOW + 4e6,
      'inch',
    )
    const [first, second] = drawn.lines
    expect(first!.points[1]!.y).toBeLessThan(first!.points[0]!.y)
    expect(first!.points[1]!.x).toBeCloseTo(drawn.stopped!, 6)
    expect(first!.last).toBe(140)
    expect([first!.dashed, second!.dashed]).toEqual([false, true])
    expect(Math.abs(first!.nameY - second!.nameY)).toBeGreaterThanOrEqual(23)
    expect(drawn.still!.width).toBeGreaterThan(0)
    for (const l of drawn.lines)
      for (const p of l.points) expect(p.y).toBeLessThanOrEqual(WARMING_SHEET.bottom)
  })

  it('stand on an empty sheet before any was logged', () => {
    const drawn = drawWarming([], { begun: null, stopped: null, settled: null }, NOW, 'metric')
    expect(drawn.lines).toEqual([])
    expect(drawn.values.length).toBeGreaterThan(1)
  })
})

const line = (v: number, slope = 0) => ({ offset: { v, h: 0 }, slope: { v: slope, h: 0 } })
const LOW = {
  units: 'inch' as const,
  given: { way: 'line' as const, line: line(-6) },
  source: '',
  learned: null,
}
const LEARNED = { job: '11111111-1111-4111-8111-111111111111', on: '2026-01-01T12:00:00.000Z' }
const at = (clock: string) => `2026-01-01T${clock}:00.000Z`

/** Left 6 mil low; told what the hot check says as the job goes on. */
const story = () => {
  const job = new TestJob().ready()
  job.add({ kind: 'target-set', payload: LOW })
  job.read(line(-6))
  job.read(line(-6))
  const state = () => {
    const folded = foldJob(job.machine, [...job.entries])
    if (folded.kind !== 'coupled') throw new Error('coupled')
    return folded.state
  }
  const says = () => meaningOfHot(state(), 'motor', inch, Date.parse(at('11:06')))
  return { job, state, says, found: () => findingOfHot(state(), inch) }
}

describe('what the hot check says', () => {
  it('from the cold machine to the answer', () => {
    const { job, state, says, found } = story()
    expect(says().headline).toContain('closed now, it is provisional')
    expect(found()).toBe('Provisional')
    job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    expect(says().headline).toContain('It runs since')
    expect(found()).toBe('Running')
    for (const [time, t] of [
      ['10:00', 140],
      ['10:20', 140.5],
    ] as const)
      job.add({
        kind: 'temperatures-read',
        payload: { units: 'inch', at: at(time), feet: [{ machine: 'movable', pair: 'inboard', value: t }] },
      })
    expect(says().headline).toContain('stand still since')
    job.add({ kind: 'hot-run-ended', payload: { at: at('11:00') } })
    expect(says().headline).toBe('Stopped 6 min ago: lock out again and measure now.')
    expect(found()).toBe('Stopped: measure')
    job.lockOut().read(line(1))
    expect(says()).toMatchObject({ mark: 'in' })
    expect(says().headline).toBe('Hot, it lies 1.0 mil up of plan. New cold target 7.0 mil low.')
    expect(says().detail).toContain('is not put back')
    expect(found()).toBe('One hot set')
    expect(hotWorking(state().hot, inch).find((s) => s.name.includes('offset, vertical'))).toMatchObject({
      result: '−7.00',
    })
    job.add({
      kind: 'hot-answered',
      payload: { take: 'new', target: newTarget(state().hot, state().coldTarget, LEARNED, 'inch')!, why: '' },
    })
    expect(says().headline).toBe('The new cold target is 7.0 mil low.')
    expect(found()).toBe('New target')
  })

  it('of a machine that lies as planned, out of band, or stopped too soon', () => {
    const { job, says } = story()
    job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    job.add({
      kind: 'temperatures-read',
      payload: { units: 'inch', at: at('10:00'), feet: [{ machine: 'movable', pair: 'inboard', value: 90 }] },
    })
    job.add({ kind: 'hot-run-ended', payload: { at: at('11:00') } })
    expect(says().detail).toContain('before its temperatures stood still')
    job.lockOut().read(line(0))
    expect(says().headline).toMatch(/^Hot, it lies as planned\. New cold target 6\.0 mil low\.$/)
    job.add({ kind: 'set-left-out', payload: { set: job.entries.at(-1)!.id, why: 'slipped' } })
    job.read(line(9))
    expect(says()).toMatchObject({ mark: 'out' })
    expect(says().detail).toContain('Take the new target and correct')
    job.add({
      kind: 'hot-answered',
      payload: { take: 'old', target: { ...LOW, learned: LEARNED }, why: 'Stands until May.' },
    })
    expect(says().headline).toBe('The cold target stays: Stands until May.')
  })

  it('of a straight machine, of one without a cold line, and of one moved after the stop', () => {
    const bare = new TestJob().ready()
    const of = (job: TestJob) => {
      const folded = foldJob(job.machine, [...job.entries])
      if (folded.kind !== 'coupled') throw new Error('coupled')
      return meaningOfHot(folded.state, 'motor', inch)
    }
    expect(of(bare).headline).toContain('It is set straight')
    bare.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    bare.add({ kind: 'hot-run-ended', payload: { at: at('11:00') } })
    bare.lockOut().read(line(2))
    expect(of(bare).headline).toBe('Hot, it lies 2.0 mil high.')
    expect(of(bare).detail).toContain('Nothing says how it was left cold')
    bare.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: 2 }],
        remark: '',
      },
    })
    expect(of(bare).headline).toContain('It was moved after the stop')
  })
})

describe('words of a hot check', () => {
  it('say how a line goes, whichever end one stands at', () => {
    const mm = { offset: { v: 0.0254, h: -0.0508 }, slope: { v: -0.001, h: 0 } }
    expect(goWords(mm, 'outboard', inch)).toBe('1.0 mil up, outboard end down, 2.0 mil toward 9')
    expect(goWords(mm, 'outboard', tellingOf('inch', null, undefined, 'stationary'))).toContain('toward 3')
    expect(goWords(ALIGNED, 'outboard', inch)).toBe('nowhere')
    expect(degreesApart(1, inch)).toBe('1.8 °F')
    expect(degreesApart(12, metric)).toBe('12 °C')
  })

  it('say why the power is back, and where a learned target comes from', () => {
    const job = new TestJob().open()
    const begun = job.add({ kind: 'hot-run-begun', payload: { at: at('09:00'), left: null } })
    const back = job.add({ kind: 'power-restored', payload: { why: 'Bump test.' } })
    if (begun.kind !== 'hot-run-begun' || back.kind !== 'power-restored') throw new Error('kinds')
    expect(powerWhy(begun, inch)).toBe('Run warm for the hot check.')
    expect(powerWhy(back, inch)).toBe('Bump test.')
    const grown = { ...LOW, given: { way: 'none' as const }, learned: LEARNED }
    expect(targetSource(tryTarget(grown), inch)).toContain('borne out by the hot check of 1 Jan 2026')
    expect(targetSource(tryTarget({ ...LOW, learned: LEARNED }), inch)).toContain(
      'learned from the hot check',
    )
  })

  it('keep the old target as it was given, and start a visit from what was left', () => {
    const before = tryTarget({ ...LOW, source: 'sheet 7' })
    expect(keptTarget(before, LEARNED, 'metric')).toEqual({ ...LOW, source: 'sheet 7', learned: LEARNED })
    const left = { job: LEARNED.job, closedAt: LEARNED.on, coupling: line(-0.1524) }
    expect(leftBefore(left, 'inch')?.line.offset.v).toBeCloseTo(-6, 9)
    const lame = { ...left, coupling: { ...line(0), slope: { v: null, h: 0 } } }
    expect(leftBefore(lame, 'inch')).toBeNull()
  })
})

describe('entries of a hot check at the door', () => {
  const refused = (kind: string, payload: unknown) => expect(() => readBody(kind, 1, payload)).toThrow()
  it('refuse times, temperatures and answers that are none', () => {
    refused('hot-run-begun', { at: 'noon', left: null })
    refused('hot-run-ended', { at: 14 })
    const feet = [{ machine: 'movable', pair: 'inboard', value: 60 }]
    refused('temperatures-read', { units: 'metric', at: at('10:00'), feet: [] })
    refused('temperatures-read', { units: 'metric', at: at('10:00'), feet: [...feet, ...feet] })
    refused('temperatures-read', { units: 'metric', at: at('10:00'), feet: [{ ...feet[0], value: -400 }] })
    refused('hot-answered', { take: 'both', target: LOW, why: '' })
    expect(readBody('temperatures-read', 1, { units: 'metric', at: at('10:00'), feet }).kind).toBe(
      'temperatures-read',
    )
  })
})
