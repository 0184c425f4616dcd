import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt, VARIABLE_MACHINE } from '../../../core/jobs/testBelt'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { beltFindings } from '../../wording/beltFindings'
import {
  meaningOfFit,
  meaningOfInspection,
  meaningOfRecheck,
  meaningOfRun,
  meaningOfSlack,
  meaningOfSquare,
} from '../../wording/drive'
import { tellingOf } from '../../wording/telling'
import { blankFit, nameFitUnits, readFit } from '../fit/form'
import { blankSquare, nameSquareUnits, readSquare } from '../square/form'
import { squareWorking } from '../square/working'
import { blankInspection, readDrivePlace, readSetting } from './form'

const metric = tellingOf('metric', null)
const inch = tellingOf('inch', null)
describe('a place of the drive as written', () => {
  it('is logged once it is said what it is; a report says what', () => {
    const texts = blankInspection()
    expect(readDrivePlace(texts, metric)).toEqual({ asks: '', payload: null })
    texts.places.belts = { found: '', words: 'oily', photographs: [] }
    expect(readDrivePlace(texts, metric).asks).toContain('Choose')
    texts.places.belts = { found: 'to-report', words: '', photographs: [] }
    expect(readDrivePlace(texts, metric).asks).toContain('what is to report')
    texts.places.belts = { found: 'to-report', words: ' cords out ', photographs: [] }
    expect(readDrivePlace(texts, metric).payload).toMatchObject({ places: ['belts'], words: 'cords out' })
  })

  it('takes a setting as turns, and none wider than it opens', () => {
    expect(readSetting('2 1/2', 'motor', VARIABLE_MACHINE, metric).payload).toEqual({
      place: 'motor',
      turns: 2.5,
      words: '',
    })
    expect(readSetting('5', 'motor', VARIABLE_MACHINE, metric).fault).toContain('4 turns at most')
    expect(readSetting('-1', 'motor', VARIABLE_MACHINE, metric).fault).toContain('below zero')
    expect(readSetting('wide', 'motor', VARIABLE_MACHINE, metric).fault).toContain('not a number')
    expect(readSetting('2', 'motor', BELT_MACHINE, metric).payload).toBeNull()
  })
})

describe('the two distances as typed', () => {
  it('are read together, keep their meaning in other units, and refuse what is below zero', () => {
    const texts = { ...blankSquare('metric'), sheaveEnd: '112.4' }
    expect(readSquare(texts, metric)).toMatchObject({ half: true, payload: null })
    texts.farEnd = '113'
    expect(readSquare(texts, metric).payload).toMatchObject({
      sheaveEnd: 112.4,
      farEnd: 113,
      edge: 'far-side',
    })
    nameSquareUnits(texts, 'metric')
    expect(readSquare(texts, inch).payload?.sheaveEnd).toBeCloseTo(112.4 / 25.4, 9)
    expect(readSquare({ ...texts, farEnd: '-2' }, metric).faults.farEnd).toBeTruthy()
  })

  it('work out with this machine’s numbers', () => {
    const belt = new TestBelt().ready()
    belt.square(100, 105)
    const steps = squareWorking(belt.fold().state.square!, BELT_MACHINE, metric)
    expect(steps.map((s) => s.result)).toEqual(['−5.00 mm', '−1.13°', '2.22 mm', '2.00'])
  })
})

describe('the belts that went on', () => {
  it('ask where they are longer than registered, and are only described when new', () => {
    const known: BeltMachine = { ...BELT_MACHINE, belts: { ...BELT_MACHINE.belts, length: 2478 } }
    const texts = { ...blankFit('metric'), belts: 'new' as const, length: '2578', matched: 'yes' as const }
    expect(readFit(texts, known, metric)).toMatchObject({ payload: { length: 2578, matched: true } })
    expect(readFit(texts, known, metric).asks).toContain('2478.0 mm')
    expect(readFit({ ...texts, length: '2480' }, known, metric).asks).toBe('')
    const near = (length: string, travelLeft?: number) =>
      readFit(
        { ...texts, length },
        travelLeft === undefined ? known : { ...known, base: { ...known.base, travelLeft } },
        metric,
      ).near
    expect(near('2478.5')).toBe('')
    expect(near('2498')).toMatch(
      /^It brings the motor 1\d\.\d mm further out .* does not say what travel is left\.$/,
    )
    expect(near('2498', 5)).toContain('Too long')
    expect(near('2498', 25)).toContain('look for a shorter one')
    expect(near('2470', 80)).toMatch(/further in .*comes in .*Near enough: 80\.0 mm/)
    expect(near('300', 80)).toContain('Too short')
    expect(readFit({ ...texts, length: 'long' }, known, metric)).toMatchObject({ payload: null })
    expect(readFit({ ...texts, belts: 'same' }, known, metric).payload).toMatchObject({
      length: null,
      matched: null,
    })
    nameFitUnits(texts, 'metric')
    expect(readFit(texts, known, inch).payload?.length).toBeCloseTo(2578 / 25.4, 9)
  })
})

describe('what the stages of a belt job say', () => {
  const of = (belt: TestBelt) => belt.fold()

  it('asks and confirms in turn', () => {
    const belt = new TestBelt().ready()
    expect(meaningOfSlack(of(belt).state, metric)).toMatchObject({ mark: 'todo' })
    expect(meaningOfInspection(of(belt).state.inspection, metric).mark).toBe('todo')
    expect(meaningOfSquare(null, false, metric).mark).toBe('todo')
    expect(meaningOfSquare(null, true, metric).headline).toBe('Now the other end.')
    expect(meaningOfFit(of(belt).state, metric).mark).toBe('todo')
    belt.opened()
    const { state } = of(belt)
    expect(meaningOfSlack(state, metric)).toMatchObject({ mark: 'done', headline: 'The belts are off.' })
    expect(meaningOfInspection(state.inspection, metric).headline).toContain('nothing to report')
    expect(meaningOfSquare(state.square, false, metric).headline).toContain('within 0.20 mm')
    expect(meaningOfSquare(state.square, false, metric).detail).toContain('Starting value')
    expect(beltFindings(of(belt), metric)).toMatchObject({
      'slack-off': 'Belts off',
      inspect: 'All looked at',
      square: 'Ends within 0.20 mm',
      tension: '',
    })
  })

  it('names the end that stands wrong, and what is to be reported', () => {
    const belt = new TestBelt().ready()
    belt.square(100, 105)
    expect(meaningOfSquare(of(belt).state.square, false, metric).headline).toBe(
      'The far end stands 5.00 mm too near the driven shaft.',
    )
    belt.add({
      kind: 'drive-looked',
      payload: { places: ['motor-grooves'], found: 'to-report', words: 'dished 1 mm', photographs: [] },
    })
    const said = meaningOfInspection(of(belt).state.inspection, metric)
    expect(said).toMatchObject({ mark: 'edge', headline: 'One place is to be reported.' })
    expect(said.detail).toContain('dished 1 mm')
    expect(beltFindings(of(belt), metric).inspect).toBe('1 of 8, 1 to report')
  })

  it('says that somebody set the sheave otherwise, which way and how far', () => {
    const belt = new TestBelt(VARIABLE_MACHINE).ready()
    belt.set(2.5)
    expect(meaningOfInspection(of(belt).state.inspection, metric).headline).toBe(
      'Somebody opened the sheave 1 1/2 turns since it was registered.',
    )
    belt.set(0)
    expect(meaningOfInspection(of(belt).state.inspection, metric).headline).toContain(
      'closed the sheave 1 turn',
    )
    expect(beltFindings(of(belt), metric).inspect).toBe('Sheave set otherwise')
  })

  it('walks the re-check and the run', () => {
    const belt = new TestBelt().ready().opened()
    const recheck = () => {
      const { state } = of(belt)
      return meaningOfRecheck(state.recheck, state.tensionLeft !== null, metric)
    }
    expect(recheck().headline).toBe('Set the tension first.')
    belt.gaps(2.7, 2.7)
    belt.push([31, 31, 31, 31, 31])
    expect(recheck().headline).toContain('Draw the base bolts down')
    belt.tighten()
    expect(recheck()).toMatchObject({
      mark: 'stale',
      headline: 'Tightened. Read the line and the tension again.',
    })
    belt.gaps(2.7, 2.7)
    expect(recheck().headline).toBe('Tightened. Now the tension once more.')
    belt.push([20, 20, 20, 20, 20])
    expect(recheck()).toMatchObject({
      mark: 'out',
      headline: 'Tightening moved it: the tension is out. Correct, and tighten again.',
    })
    belt.push([31, 31, 31, 31, 31])
    expect(recheck().mark).toBe('in')
    const run = () => meaningOfRun(of(belt).state.running, metric)
    expect(run().headline).toBe('Next: turned by hand.')
    belt.run()
    expect(run().mark).toBe('done')
    const plated = new TestBelt({ ...BELT_MACHINE, plateCurrent: 41 }).ready()
    plated.add({ kind: 'run-confirmed', payload: { point: 'ran', found: 'good', current: 44, words: '' } })
    expect(meaningOfRun(plated.fold().state.running, metric).headline).toBe(
      'It draws 44.0 A, over the 41.0 A on its plate.',
    )
    plated.add({
      kind: 'run-confirmed',
      payload: { point: 'listened', found: 'bad', current: null, words: 'howls' },
    })
    expect(meaningOfRun(plated.fold().state.running, metric)).toMatchObject({
      mark: 'out',
      headline: 'Not right: listened.',
    })
    expect(beltFindings(plated.fold(), metric).run).toBe('Not right')
  })
})
