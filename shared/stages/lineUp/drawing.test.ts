import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../../core/jobs/testBelt'
import { cureSteps } from '../../wording/lines'
import { tellingOf } from '../../wording/telling'
import { drawLine, markBase } from './drawing'
import { blankLine, tapped } from './form'

const T = tellingOf('metric', BELT_MACHINE)
const blank = () => blankLine(BELT_MACHINE, 'metric')
/** The board as it stands after these checks, nothing being typed. */
const after = (check: (job: TestBelt) => void, typed = blank(), machine = BELT_MACHINE) => {
  const job = new TestBelt(machine).ready()
  check(job)
  const { state } = job.fold()
  const round = state.alignment[state.alignment.length - 1] as (typeof state.alignment)[0]
  const line = state.lines[state.lines.length - 1] ?? null
  return { line, drawn: drawLine(typed, round, line, machine, T) }
}

describe('the sheave faces as drawn', () => {
  it('show nothing but the depths before anybody has looked', () => {
    const { drawn } = after(() => {})
    expect(drawn).toMatchObject({
      edgeOn: 'driven',
      edgeSide: 'outer',
      contacts: { referenceFar: null, referenceNear: null, otherNear: null, otherFar: null },
      gaps: { p1: 0, p2: 0, r1: 0, r2: 0 },
      depths: { reference: 12.7, other: 10 },
      figures: null,
    })
  })

  it('show the four contacts that were looked at', () => {
    const { drawn } = after((job) => job.contacts(true, false))
    expect(drawn.contacts).toEqual({
      referenceFar: 'touch',
      referenceNear: 'touch',
      otherNear: 'touch',
      otherFar: 'gap',
    })
    expect(after((job) => job.contacts(true, true, false)).drawn.contacts.referenceFar).toBe('gap')
  })

  it('show gaps over contacts, with the figures where they stand', () => {
    const { drawn, line } = after((job) => {
      job.contacts(false, true)
      job.gaps(0, 0.64)
    })
    expect(drawn.contacts).toMatchObject({ otherNear: 'touch', otherFar: 'gap' })
    expect(drawn.gaps).toEqual({ p1: 0, p2: 0.64, r1: 0, r2: 0 })
    // Half of the gap, and the mill's thicker rim: |0.32 + 10 − 12.7|.
    expect(drawn.figures?.offset).toBe('2.38')
    expect(drawn.figures?.offsetOut).toBe(true)
    expect(drawn.figures?.tilt).toBe('')
    expect(line?.verdict).toBe('out')
  })

  it('show what is being tapped instead of what was read', () => {
    const typed = blank()
    typed.edgeOn = 'motor'
    typed.edgeSide = 'inner'
    typed.contacts.otherFar = 'touch'
    const { drawn } = after((job) => job.gaps(0, 0.63), typed)
    expect(drawn).toMatchObject({ edgeOn: 'motor', edgeSide: 'inner', contacts: typed.contacts })
    expect(drawn.depths).toEqual({ reference: 10, other: 12.7 })
  })

  it('take the depth of the face the edge lies on', () => {
    const { motor, driven } = BELT_MACHINE.sheaves
    const machine = {
      ...BELT_MACHINE,
      sheaves: { motor: { ...motor, depthInner: 11 }, driven: { ...driven, depthInner: 14 } },
    }
    const typed = blank()
    typed.edgeSide = 'inner'
    expect(after(() => {}, typed, machine).drawn.depths).toEqual({ reference: 14, other: 11 })
  })
})

describe('a tap on a rim', () => {
  it('goes round: touch, gap, not looked at', () => {
    expect([tapped(null), tapped('touch'), tapped('gap')]).toEqual(['touch', 'gap', null])
  })
})

describe('the marks on the motor’s base', () => {
  const marksOf = (p1: number, p2: number, edgeSide: 'outer' | 'inner' = 'outer') => {
    const { line } = after((job) => job.gaps(p1, p2))
    if (!line) throw new Error('no line')
    const steps = cureSteps(line, BELT_MACHINE, edgeSide, T)
    return { marks: markBase(line, steps, edgeSide, T), steps, line }
  }

  it('carry the numbers of the steps beside them', () => {
    const { marks, steps } = marksOf(0, 0.63)
    expect(steps.map((s) => s.number)).toEqual([1, 2, 3])
    expect(marks.turn?.number).toBe(steps.find((s) => s.step === 'turn')?.number)
    expect(marks.slide?.number).toBe(steps.find((s) => s.step === 'offset')?.number)
  })

  it('turn round when the far rim gapes instead of the near one', () => {
    expect(marksOf(0, 0.63).marks.turn?.away).not.toBe(marksOf(0.63, 0).marks.turn?.away)
  })

  it('leave out what there is nothing to do about', () => {
    // The motor's face stands off by the mill's thicker rim: grooves in line.
    const { marks, line } = marksOf(2.7, 2.7)
    expect(line.errors.offset).toBeCloseTo(0, 9)
    expect(marks).toEqual({ turn: null, slide: null })
  })

  it('draw a slide toward the motor upward or downward by the face the edge lies on', () => {
    const { line } = marksOf(0, 0)
    const down = (side: 'outer' | 'inner') =>
      markBase(line, cureSteps(line, BELT_MACHINE, side, T), side, T).slide?.down
    expect(down('outer')).not.toBe(down('inner'))
  })
})
