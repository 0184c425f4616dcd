import { describe, expect, it } from 'vitest'
import { driveAtCentre } from '../belt/geometry'
import { sheaveErrors } from '../belt/sheaveLine'
import type { EntryBody, LogEntry } from '../logbook/entry'
import type { BeltMachine } from '../register/beltMachine'
import { DRIVE_PLACES } from '../stages/inspect/entries'
import { objectionTo } from './jobs'
import { BELT_MACHINE, TestBelt, VARIABLE_MACHINE } from './testBelt'

const DEGREE = Math.PI / 180
const mark = (belt: TestBelt, id: string) => belt.fold().sheet.rows.find((r) => r.id === id)?.mark
const line = (belt: TestBelt) => belt.fold().state.lines.at(-1) ?? null
const quantity = (belt: TestBelt, name: string) => line(belt)?.quantities.find((q) => q.name === name)

describe('a belt job', () => {
  it('walks from lockout to its close in the order of the work', () => {
    const belt = new TestBelt()
    const turn = () => belt.fold().sheet.current
    expect(turn()).toBe('make-safe')
    belt.ready()
    expect(turn()).toBe('slack-off')
    belt.add({ kind: 'slacked-off', payload: { belts: 'off', words: '' } })
    expect(turn()).toBe('inspect')
    belt.add({
      kind: 'drive-looked',
      payload: { places: [...DRIVE_PLACES], found: 'fine', words: '', photographs: [] },
    })
    expect(turn()).toBe('square')
    belt.square(112.4, 116)
    expect(turn()).toBe('square')
    belt.square(112.4, 112.6)
    expect(turn()).toBe('line-up')
    belt.gaps(0, 0.63)
    expect([turn(), mark(belt, 'line-up')]).toEqual(['line-up', 'out'])
    belt.add({ kind: 'line-corrected', payload: { steps: ['turn', 'offset'], remark: '' } })
    expect(mark(belt, 'line-up')).toBe('stale')
    belt.gaps(2.7, 2.7)
    expect(turn()).toBe('fit')
    belt.add({
      kind: 'belts-fitted',
      payload: { belts: 'new', units: 'metric', length: null, matched: true, words: '' },
    })
    expect(turn()).toBe('tension')
    belt.push([18, 18, 18, 18, 18])
    expect([turn(), mark(belt, 'tension')]).toEqual(['tension', 'out'])
    belt.turn(2)
    expect(mark(belt, 'tension')).toBe('stale')
    belt.push([31, 31, 31, 31, 31])
    expect(turn()).toBe('tighten')
    belt.tighten()
    expect([turn(), mark(belt, 'tighten')]).toEqual(['tighten', 'stale'])
    belt.gaps(2.7, 2.7)
    expect(belt.fold().state.recheck.missing).toEqual(['tension'])
    belt.push([30.8, 30.8, 30.8, 30.8, 30.8])
    expect(turn()).toBe('run')
    belt.run()
    expect(turn()).toBe('close')
    expect(belt.fold().state).toMatchObject({
      outcome: { verdict: 'in', exceptions: [] },
      asFound: { verdict: 'out' },
      asLeft: { verdict: 'in' },
    })
  })

  it('a planned visit reads the belts first, and needs no tightening while nothing was loosened', () => {
    const belt = new TestBelt().ready('planned')
    expect(belt.fold().sheet.current).toBe('tension')
    belt.push([25, 25, 25, 25, 25], 'run-in')
    expect(belt.fold().state.tensionLeft?.verdict).toBe('in')
    expect(belt.fold().sheet.current).toBe('run')
    belt.run()
    expect(belt.fold().sheet.current).toBe('close')
    expect(belt.fold().state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    belt.turn(0.5)
    expect(belt.fold().state.outcome.exceptions).toEqual(['corrected-since', 'untightened'])
    // Hands were in it again: what was confirmed of its run no longer holds.
    expect(belt.fold().state.running.next).toBe('turned')
  })

  it('says what is open at its close: tension, tightening, a run that was not right', () => {
    const belt = new TestBelt().ready().opened()
    belt.gaps(2.7, 2.7)
    expect(belt.fold().state.outcome.exceptions).toEqual(['untensioned', 'untightened'])
    belt.add({ kind: 'stage-skipped', payload: { stage: 'tension', why: 'belts come tomorrow' } })
    belt.add({ kind: 'stage-skipped', payload: { stage: 'tighten', why: 'belts come tomorrow' } })
    expect(belt.fold().state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    belt.add({
      kind: 'run-confirmed',
      payload: { point: 'guard-on', found: 'bad', current: null, words: 'two screws short' },
    })
    expect(belt.fold().state.outcome.exceptions).toEqual(['runs-badly'])
    expect(mark(belt, 'run')).toBe('out')
  })

  it('what tightening did is set against what stood before it, until the motor is moved again', () => {
    const belt = new TestBelt().ready().opened()
    belt.gaps(2.7, 2.7)
    belt.push([31, 31, 31, 31, 31])
    belt.tighten()
    belt.gaps(0.4, 2.6)
    belt.push([26, 26, 26, 26, 26])
    const { recheck } = belt.fold().state
    expect(recheck.before.line?.errors.offset).toBeCloseTo(0, 9)
    expect(recheck.since.line?.verdict).toBe('out')
    expect(recheck.before.tension?.mean).toBeGreaterThan(recheck.since.tension?.mean ?? Infinity)
    expect(recheck.verdict).toBe('out')
    belt.add({ kind: 'line-corrected', payload: { steps: ['turn'], remark: '' } })
    expect(belt.fold().state.recheck.facts.entry).toBeNull()
  })

  it('slackened again, belts and their turns are begun anew', () => {
    const belt = new TestBelt().ready().opened()
    belt.gaps(2.7, 2.7)
    belt.add({
      kind: 'belts-fitted',
      payload: { belts: 'new', units: 'metric', length: null, matched: null, words: '' },
    })
    belt.push([18, 18, 18, 18, 18])
    belt.turn(1)
    belt.add({ kind: 'slacked-off', payload: { belts: 'loose', words: '' } })
    const { fitted, rounds, tensions } = belt.fold().state
    expect(fitted).toEqual({ entry: null, newHere: true })
    expect(rounds).toHaveLength(1)
    expect(tensions).toEqual([null])
  })

  it('takes one reading a belt, a guard before a run, and no setting of a fixed sheave', () => {
    const belt = new TestBelt().ready()
    const asked = (body: EntryBody) => {
      const entry = belt.add(body)
      belt.entries.pop()
      return objectionTo(belt.machine, [...belt.entries], entry)?.code ?? null
    }
    const read = (forces: readonly number[]): EntryBody => ({
      kind: 'tension-read',
      payload: {
        units: 'metric',
        age: 'new',
        sheaves: 'free',
        read: { by: 'force', deflection: 12.5, forces },
        words: '',
      },
    })
    const ran = (point: 'ran' | 'guard-on'): EntryBody => ({
      kind: 'run-confirmed',
      payload: { point, found: 'good', current: null, words: '' },
    })
    expect(asked(read([31, 31]))).toBe('belts-missing')
    expect(asked(read([31, 31, 31, 31, 31]))).toBeNull()
    expect(asked({ kind: 'base-tightened', payload: { words: '' } })).toBe('tension-unread')
    expect(asked(ran('ran'))).toBe('guard-first')
    belt.add(ran('guard-on'))
    expect(asked(ran('ran'))).toBeNull()
    expect(asked({ kind: 'setting-read', payload: { place: 'motor', turns: 2, words: '' } })).toBe(
      'not-variable',
    )
    expect(asked({ kind: 'move-made', payload: {} } as never)).toBe('not-this-job')
    const unsafe = new TestBelt()
    unsafe.add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1465, customer: '', note: '' } })
    const entry = unsafe.add({ kind: 'slacked-off', payload: { belts: 'off', words: '' } })
    unsafe.entries.pop()
    expect(objectionTo(unsafe.machine, [...unsafe.entries], entry)?.code).toBe('not-safe')
  })

  it('a sheave that was set otherwise is lined up by where its groove centre stands now', () => {
    const belt = new TestBelt(VARIABLE_MACHINE).ready()
    belt.set(1)
    belt.contacts(true, true)
    const before = line(belt)
    belt.set(2.5)
    const { machine, inspection } = belt.fold().state
    belt.contacts(true, true)
    // Opened by 3 mm: the groove centre goes half of it, the belt 3 / tan 17 degrees lower in diameter.
    expect(machine.sheaves.motor.depthOuter).toBeCloseTo(11.5, 9)
    expect(machine.sheaves.motor.pitchDiameter).toBeCloseTo(180 - 3 / Math.tan(17 * DEGREE), 9)
    expect((line(belt)?.errors.offset ?? NaN) - (before?.errors.offset ?? NaN)).toBeCloseTo(1.5, 9)
    expect(inspection.settings).toMatchObject([{ place: 'motor', registered: 1, opened: 1.5 }])
    expect(mark(belt, 'inspect')).toBe('edge')
  })

  it('what was read before a sheave was set otherwise is stale, and keeps what it said then', () => {
    const belt = new TestBelt(VARIABLE_MACHINE).ready('planned')
    // Even on a planned visit, how it stands is read first.
    expect(belt.fold().sheet.current).toBe('inspect')
    belt.set(1)
    belt.push([31, 31, 31, 31, 31], 'run-in')
    belt.gaps(2.7, 2.7)
    belt.tighten()
    belt.gaps(2.7, 2.7)
    belt.push([24, 24, 24, 24, 24], 'run-in')
    belt.run()
    const { asLeft, tensionLeft } = belt.fold().state
    belt.set(2.5)
    const { state } = belt.fold()
    expect(['line-up', 'tension', 'tighten', 'run'].map((id) => mark(belt, id))).toEqual([
      'stale',
      'stale',
      'stale',
      'stale',
    ])
    // What was found with the sheave as it stood then is not reworked with the new one.
    expect(state.asLeft).toEqual(asLeft)
    expect(state.tensionLeft?.mean).toBe(tensionLeft?.mean)
    expect(state.recheck.missing).toEqual(['line', 'tension'])
    expect(state.outcome.exceptions).toContain('corrected-since')
    belt.gaps(2.7, 2.7)
    expect(belt.fold().state.lines).toHaveLength(2)
    expect(belt.fold().state.asFound).toEqual(state.asFound)
    expect(quantity(belt, 'offset')?.value).toBeCloseTo((asLeft?.errors.offset ?? NaN) + 1.5, 9)
    // Set back to where it was read, the old reading counts again.
    const back = new TestBelt(VARIABLE_MACHINE).ready('planned')
    back.set(1)
    back.gaps(2.7, 2.7)
    back.set(3)
    expect(mark(back, 'line-up')).toBe('stale')
    back.set(1)
    expect(mark(back, 'line-up')).not.toBe('stale')
  })

  it('found set otherwise at the visit’s start, asks for line and tension though it was planned', () => {
    const belt = new TestBelt(VARIABLE_MACHINE).ready('planned')
    belt.set(2.5)
    expect(['line-up', 'tension', 'run'].map((id) => mark(belt, id))).toEqual(['stale', 'stale', 'stale'])
    expect(belt.fold().sheet.current).toBe('line-up')
    const same = new TestBelt(VARIABLE_MACHINE).ready('planned')
    same.set(1.05)
    expect(same.fold().sheet.current).toBe('tension')
  })

  it('reads half a turn on: the mean takes the wobble out, whatever it was', () => {
    const job = (wobble: number) => {
      const belt = new TestBelt().ready()
      const { payload } = belt.gaps(0.2, 0.83, { g12: 0.4, g6: 0.1, h: 172 }) as LogEntry<'sheaves-read'>
      belt.add({
        kind: 'sheaves-read',
        payload: {
          ...payload,
          p1: 0.2 - wobble,
          p2: 0.83 + wobble,
          tilt: { g12: 0.4 + wobble, g6: 0.1 - wobble, h: 172 },
          halfTurn: {
            p1: 0.2 + wobble,
            p2: 0.83 - wobble,
            tilt: { g12: 0.4 - wobble, g6: 0.1 + wobble },
          },
        },
      })
      return line(belt)
    }
    const [still, wobbling] = [job(0), job(0.15)]
    for (const q of ['offset', 'turn', 'tilt'] as const)
      expect(wobbling?.errors[q] ?? NaN).toBeCloseTo(still?.errors[q] ?? NaN, 12)
    expect([still?.wobble, wobbling?.wobble]).toEqual([0, expect.closeTo(0.3, 12)])
    expect(line(new TestBelt().ready())?.wobble).toBeUndefined()
  })

  it('goes by the grooves a belt runs in, and takes none that the sheave has not', () => {
    const { motor, driven } = BELT_MACHINE.sheaves
    const pitched: BeltMachine = {
      ...BELT_MACHINE,
      sheaves: { motor: { ...motor, groovePitch: 19 }, driven: { ...driven, grooves: 6, groovePitch: 19 } },
    }
    const belt = new TestBelt(pitched).ready()
    const { payload } = belt.gaps(2.7, 2.7) as LogEntry<'sheaves-read'>
    const first = line(belt)?.errors.offset ?? NaN
    belt.add({ kind: 'sheaves-read', payload: { ...payload, grooves: { motor: 1, driven: 2 } } })
    // The reference's second groove lies a pitch further from the edge.
    expect((line(belt)?.errors.offset ?? NaN) - first).toBeCloseTo(-19, 9)
    const entry = belt.add({
      kind: 'sheaves-read',
      payload: { ...payload, grooves: { motor: 6, driven: 1 } },
    })
    belt.entries.pop()
    expect(objectionTo(pitched, [...belt.entries], entry)?.code).toBe('no-such-groove')
    expect(
      objectionTo(BELT_MACHINE, [...belt.entries.slice(0, -1)], {
        ...entry,
        payload: { ...payload, grooves: { motor: 2, driven: 2 } },
      } as LogEntry)?.code,
    ).toBe('no-such-groove')
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
    even.opened()
    even.contacts(true, true)
    expect(line(even)?.verdict).toBe('in')
    expect(even.fold().sheet.current).toBe('fit')
  })

  it('a rim that stands off asks for the numbers', () => {
    const belt = new TestBelt().ready().opened()
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
    const belt = new TestBelt().ready().opened()
    belt.add({ kind: 'stage-skipped', payload: { stage: 'line-up', why: 'edge is bent' } })
    expect(belt.fold().sheet.current).toBe('fit')
    expect(belt.fold().state.outcome.exceptions).toEqual(['unmeasured'])
  })
})

describe('vibration at a belt drive', () => {
  it('is noted before the lockout and after the run, and judged by nobody', () => {
    const belt = new TestBelt()
    const before = belt.add({
      kind: 'vibration-noted',
      payload: {
        units: 'metric',
        moment: 'before',
        points: [{ at: 'movable-near', way: 'horizontal', value: 6 }],
        words: '',
      },
    })
    const { state } = belt.fold()
    expect(state.vibration).toEqual({ before, after: null })
    expect(state.outcome.exceptions).toEqual(['unmeasured'])
  })
})
