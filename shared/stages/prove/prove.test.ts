import { unprovedAtClose } from '../../wording/atClose'
import { findingOfProof } from '../../wording/stageFindings'
import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { tellingOf } from '../../wording/telling'
import { gapWindow, meaningOfProof } from '../../wording/prove'
import { blankProof, nameProofUnits, readGap } from './form'
import { strainWorking } from './working'

const inch = tellingOf('inch', null)
const metric = tellingOf('metric', null)
const HUBS = {
  stationaryDiameter: 8,
  movableDiameter: 8,
  gapLeast: 0.1,
  gapMost: 0.15,
  float: null,
  closeEnough: null,
  rimLimit: null,
  faceLimit: null,
}
/** Read open in band, made up with this gap. */
const job = (gap: number | null = null) => {
  const j = new TestJob({ ...TEST_MACHINE, hubs: HUBS }).ready()
  j.read(inMil(1, 0, 0, 0))
  j.read(inMil(1, 0, 0, 0))
  j.add({ kind: 'rotation-seen', payload: { seen: 'not-needed', words: '' } })
  j.add({ kind: 'coupling-made-up', payload: { units: 'inch', gap } })
  return j
}

describe('the gap as typed', () => {
  const read = (gap: string) => readGap({ ...blankProof('inch'), gap }, 'inch', inch.words)

  it('is a length, or nothing where nobody felt it', () => {
    expect(read('0.125').payload).toEqual({ units: 'inch', gap: 0.125 })
    expect(read('1/8').payload?.gap).toBeCloseTo(0.125, 9)
    expect(read('3 mm').payload?.gap).toBeCloseTo(3 / 25.4, 9)
    expect(read('').payload).toEqual({ units: 'inch', gap: null })
  })

  it('is refused at its box', () => {
    for (const wrong of ['-0.1', 'narrow']) {
      expect(read(wrong).payload).toBeNull()
      expect(read(wrong).fault).not.toBe('')
    }
  })

  it('keeps its meaning when the units are switched', () => {
    const texts = { ...blankProof('metric'), gap: '0.125' }
    nameProofUnits(texts, 'inch')
    expect(readGap(texts, 'metric', metric.words).payload?.gap).toBeCloseTo(3.175, 9)
  })
})

describe('what the proof says', () => {
  it('the window of the gap by both ends, one, or none', () => {
    expect(gapWindow({ least: 2.54, most: 3.81 }, inch)).toBe('0.100 to 0.150 in')
    expect(gapWindow({ least: null, most: 3 }, metric)).toBe('3.00 mm at most')
    expect(gapWindow({ least: 3, most: null }, metric)).toBe('3.00 mm at least')
    expect(gapWindow({ least: null, most: null }, metric)).toBe('')
  })

  it('names the gap with its window when it is out', () => {
    const said = meaningOfProof(job(0.2).state, inch)
    expect(said).toMatchObject({ mark: 'out', headline: 'The gap is 0.200 in, wanted is 0.100 to 0.150 in.' })
    expect(findingOfProof(job(0.2).state, inch)).toBe('Gap out of its window')
  })

  it('tells strain with its direction and the limit, and its working comes to the same', () => {
    const strained = job()
    strained.read(inMil(-4, 0, 0, 0))
    const { state } = strained
    const said = meaningOfProof(state, inch)
    expect(said.headline).toBe(
      'The coupling bends the shafts: made up, it reads 5.0 mil down from what was read open.',
    )
    expect(said.detail).toContain('half of the tolerance')
    const steps = strainWorking(state.proof.strain!, inch)
    expect(steps.find((s) => s.name.startsWith('Offset, vertical, made up'))).toMatchObject({
      substituted: '−4.00 − (+1.00)',
      result: '−5.00',
    })
    expect(steps.find((s) => s.name.includes('Offset, vertical: difference'))).toMatchObject({
      substituted: '|−5.00| > +2.50',
    })
    expect(steps.at(-2)).toMatchObject({ result: '+5.00' })
  })

  it('says what nobody confirmed before it is signed, unless it was passed over with a reason', () => {
    const open = job()
    expect(unprovedAtClose(open.state, inch)[0]).toContain('turns freely, guard on.')
    open.add({ kind: 'stage-skipped', payload: { stage: 'prove', why: 'handed over to the fitters' } })
    expect(unprovedAtClose(open.state, inch)).toEqual([])
    expect(unprovedAtClose(new TestJob().ready().prove().state, inch)).toEqual([])
  })

  it('asks for what comes next, says a bump is under way, and which way it turned', () => {
    const begun = new TestJob().ready()
    expect([meaningOfProof(begun.state, inch).mark, findingOfProof(begun.state, inch)]).toEqual(['todo', ''])
    begun.add({ kind: 'bump-begun', payload: { by: 'Ann' } })
    expect(meaningOfProof(begun.state, inch).headline).toBe('The lockout is off. Which way did it turn?')
    begun.add({ kind: 'rotation-seen', payload: { seen: 'wrong', words: '' } })
    expect(meaningOfProof(begun.state, inch).detail).toContain('qualified electrician')
    expect(findingOfProof(begun.state, inch)).toBe('Turns the wrong way')
    expect(meaningOfProof(new TestJob().ready().prove().state, inch).mark).toBe('done')
  })
})
