import { describe, expect, it } from 'vitest'
import { driveAtCentre } from '../belt/geometry'
import { sheaveErrors } from '../belt/sheaveLine'
import { BELT_MACHINE, TestBelt } from './testBelt'

const DEGREE = Math.PI / 180
const line = (belt: TestBelt) => belt.fold().state.lines.at(-1) ?? null
const quantity = (belt: TestBelt, name: string) => line(belt)?.quantities.find((q) => q.name === name)

describe('a belt job', () => {
  it('walks from lockout over lining up to its close', () => {
    const belt = new TestBelt()
    expect(belt.fold().sheet.current).toBe('make-safe')
    belt.ready()
    expect(belt.fold().sheet.current).toBe('line-up')
    belt.gaps(0, 0.63)
    expect(belt.fold().sheet).toMatchObject({ current: 'line-up', rows: [{}, { mark: 'out' }, {}] })
    belt.add({ kind: 'line-corrected', payload: { steps: ['turn', 'offset'], remark: '' } })
    expect(belt.fold().sheet.rows[1]?.mark).toBe('stale')
    expect(belt.fold().state.outcome.exceptions).toEqual(['corrected-since', 'out'])
    belt.gaps(2.7, 2.7)
    expect(belt.fold().sheet.current).toBe('close')
    expect(belt.fold().state).toMatchObject({
      outcome: { verdict: 'in', exceptions: [] },
      asFound: { verdict: 'out' },
      asLeft: { verdict: 'in' },
    })
  })

  it('four contacts that touch are in line at the faces, and the depths still count', () => {
    const belt = new TestBelt().ready()
    belt.contacts(true, true)
    expect(quantity(belt, 'offset')?.value).toBeCloseTo(10 - 12.7, 9)
    expect(line(belt)?.verdict).toBe('out')
    const even = new TestBelt({
      ...BELT_MACHINE,
      sheaves: { ...BELT_MACHINE.sheaves, motor: { ...BELT_MACHINE.sheaves.motor, depthOuter: 12.7 } },
    }).ready()
    even.contacts(true, true)
    expect(line(even)?.verdict).toBe('in')
    expect(even.fold().sheet.current).toBe('close')
  })

  it('a rim that stands off asks for the numbers', () => {
    const belt = new TestBelt().ready()
    belt.contacts(true, false)
    expect(line(belt)).toBeNull()
    expect(belt.fold().sheet.current).toBe('line-up')
  })

  it('says the same as the geometry it rests on', () => {
    const belt = new TestBelt().ready()
    belt.gaps(0.2, 0.83, { g12: 0.15, g6: 0, h: 172 })
    const drive = driveAtCentre(180, 348, 820)
    if (!drive.ok) throw new Error('touches')
    const errors = sheaveErrors(
      {
        r1: 0,
        r2: 0,
        wR: null,
        p1: 0.2,
        p2: 0.83,
        w: 172,
        tilt: { g12: 0.15, g6: 0, h: 172 },
        eR: 12.7,
        eA: 10,
      },
      820,
    )
    expect(line(belt)?.errors).toEqual(errors)
    expect(quantity(belt, 'turn')?.value).toBeCloseTo(Math.atan(0.63 / 172), 12)
    expect(quantity(belt, 'fleet.driven')?.value).toBeCloseTo(Math.atan(errors.offset / drive.value.span), 12)
    expect(quantity(belt, 'offset')?.limit).toBe(1.5)
    expect(quantity(belt, 'fleet.motor')?.limit).toBeCloseTo(0.5 * DEGREE, 12)
  })

  it('reads the same sheaves alike in inches', () => {
    const inch = (x: number) => x / 25.4
    const { sheaves, base } = BELT_MACHINE
    const small = (s: typeof sheaves.motor) => ({
      ...s,
      pitchDiameter: inch(s.pitchDiameter),
      faceWidth: inch(s.faceWidth),
      depthOuter: inch(s.depthOuter),
      depthInner: inch(s.depthInner),
    })
    const belt = new TestBelt({
      ...BELT_MACHINE,
      units: 'inch',
      sheaves: { motor: small(sheaves.motor), driven: small(sheaves.driven) },
      centreDistance: inch(820),
      base: {
        ...base,
        footSpacing: inch(base.footSpacing),
        sheaveToFeet: inch(base.sheaveToFeet),
        shaftHeight: inch(base.shaftHeight),
        screwPitch: inch(2.5),
        hubToShaftEnd: inch(16),
      },
      limits: { ...BELT_MACHINE.limits, offset: inch(1.5) },
    }).ready()
    belt.gaps(0, 0.63)
    const metric = new TestBelt().ready()
    metric.gaps(0, 0.63)
    const [a, b] = [line(belt), line(metric)]
    expect(a?.errors.offset).toBeCloseTo(b?.errors.offset ?? NaN, 9)
    expect(a?.corrections.turn.screwTurns).toBeCloseTo(b?.corrections.turn.screwTurns ?? NaN, 9)
    expect(a?.corrections.offset.hubToShaftEnd).toBeCloseTo(b?.corrections.offset.hubToShaftEnd ?? NaN, 9)
  })

  it('sheaves registered closer than they are wide read as nothing, not as nonsense', () => {
    const belt = new TestBelt({ ...BELT_MACHINE, centreDistance: 100 }).ready()
    belt.gaps(0, 1)
    expect(line(belt)).toBeNull()
    expect(belt.fold().state.outcome.verdict).toBe('unknown')
  })

  it('may pass over lining up with a reason, and then closes only with an exception', () => {
    const belt = new TestBelt().ready()
    belt.add({ kind: 'stage-skipped', payload: { stage: 'line-up', why: 'edge is bent' } })
    expect(belt.fold().sheet.current).toBe('close')
    expect(belt.fold().state.outcome.exceptions).toEqual(['unmeasured'])
  })
})
