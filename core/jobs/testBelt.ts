import type { JobReason } from '../stages/open/entries'
import type { EntryBody, LogEntry } from '../logbook/entry'
import type { BeltMachine } from '../register/machine'
import { DRIVE_PLACES } from '../stages/inspect/entries'
import { RUN_POINTS } from '../stages/run/entries'
import { SAFETY_POINTS } from '../stages/makeSafe/entries'
import { beltJob } from './belt'

/** Five V-belts, motor beside the mill on a slide base; the mill's rim is 2.7 mm thicker. */
export const BELT_MACHINE: BeltMachine = {
  drive: 'belt',
  units: 'metric',
  rpm: 1465,
  sheaves: {
    motor: { pitchDiameter: 180, faceWidth: 101, grooves: 5, depthOuter: 10, depthInner: 10 },
    driven: { pitchDiameter: 348, faceWidth: 106, grooves: 5, depthOuter: 12.7, depthInner: 12.7 },
  },
  centreDistance: 820,
  powerKw: 22,
  belts: { kind: 'v', section: 'B', count: 5, mass: 0.2 },
  base: {
    kind: 'slide-screws',
    place: 'beside',
    pull: 'level',
    footSpacing: 254,
    sheaveToFeet: 120,
    shaftHeight: 160,
    screwPitch: 2.5,
    hubToShaftEnd: 16,
    lineAngle: 0,
  },
  limits: { angle: null, tilt: null, offset: 1.5, source: 'Site rule' },
  stock: [],
  packLimit: 4,
}

/** The same drive with a motor sheave that can be set: one turn open when it was lined up last. */
export const VARIABLE_MACHINE: BeltMachine = {
  ...BELT_MACHINE,
  sheaves: {
    ...BELT_MACHINE.sheaves,
    motor: {
      ...BELT_MACHINE.sheaves.motor,
      build: {
        kind: 'variable',
        threadPitch: 2,
        turnsMost: 4,
        grooveAngle: 34,
        moves: 'outer',
        turnsOpen: 1,
      },
    },
  },
}

const FLAT = { edgeOn: 'driven', edgeSide: 'outer' } as const

/** A belt job's logbook under construction. */
export class TestBelt {
  readonly entries: LogEntry[] = []

  constructor(readonly machine: BeltMachine = BELT_MACHINE) {}

  add(body: EntryBody): LogEntry {
    const entry = {
      id: `belt-${this.entries.length + 1}`,
      author: 'someone',
      madeAt: '2026-01-01T08:00:00.000Z',
      receivedAt: null,
      after: this.entries[this.entries.length - 1]?.id ?? null,
      before: null,
      supersedes: null,
      ...body,
    } satisfies LogEntry
    this.entries.push(entry)
    return entry
  }

  ready(reason: JobReason = 'wear'): this {
    this.add({ kind: 'job-opened', payload: { reason, rpm: 1465, customer: '', note: '' } })
    for (const point of SAFETY_POINTS) this.add({ kind: 'safety-confirmed', payload: { point, permit: '' } })
    return this
  }

  /** Which rims touch the edge, the edge lying flat on the driven sheave. */
  contacts(near: boolean, far: boolean, flat = true) {
    const reference = { far: flat, near: true }
    return this.add({ kind: 'contacts-checked', payload: { ...FLAT, reference, other: { near, far } } })
  }

  /** Gaps at the motor's sheave, the edge lying flat on the driven one. */
  gaps(p1: number, p2: number, tilt: { g12: number; g6: number; h: number } | null = null) {
    const payload = { ...FLAT, units: 'metric', p1, p2, w: 172, reference: null, tilt } as const
    return this.add({ kind: 'sheaves-read', payload })
  }

  /** Slackened, looked over, the motor square: what stands before the line. */
  opened(): this {
    this.add({ kind: 'slacked-off', payload: { belts: 'off', words: '' } })
    this.add({
      kind: 'drive-looked',
      payload: { places: [...DRIVE_PLACES], found: 'fine', words: '', photographs: [] },
    })
    this.square(112.4, 112.6)
    return this
  }

  /** Distances from an edge on the far side to both ends of the motor. */
  square(sheaveEnd: number, farEnd: number) {
    const payload = { units: 'metric', sheaveEnd, farEnd, edge: 'far-side', words: '' } as const
    return this.add({ kind: 'motor-squared', payload })
  }

  /** Forces at the gauge's deflection, belt by belt. */
  push(forces: readonly number[], age: 'new' | 'run-in' = 'new', deflection = 12.5) {
    return this.add({
      kind: 'tension-read',
      payload: {
        units: 'metric',
        age,
        sheaves: 'free',
        read: { by: 'force', deflection, forces },
        words: '',
      },
    })
  }

  /** How far the motor's sheave stands open. */
  set(turns: number) {
    return this.add({ kind: 'setting-read', payload: { place: 'motor', turns, words: '' } })
  }

  /** Both ends turned alike. */
  turn(turns: number) {
    return this.add({ kind: 'tension-adjusted', payload: { sheaveEnd: turns, farEnd: turns, words: '' } })
  }

  /** The base drawn down, and what it takes to hand the drive back. */
  tighten() {
    return this.add({ kind: 'base-tightened', payload: { words: '' } })
  }

  run(amperes: number | null = null): this {
    for (const point of RUN_POINTS) {
      const current = point === 'ran' ? amperes : null
      this.add({ kind: 'run-confirmed', payload: { point, found: 'good', current, words: '' } })
    }
    return this
  }

  fold() {
    return beltJob(this.machine, [...this.entries])
  }
}
