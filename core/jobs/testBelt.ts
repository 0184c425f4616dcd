import type { EntryBody, LogEntry } from '../logbook/entry'
import type { BeltMachine } from '../register/machine'
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
  belts: { kind: 'v', section: 'B', count: 5 },
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

  ready(): this {
    this.add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1465, customer: '', note: '' } })
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

  fold() {
    return beltJob(this.machine, [...this.entries])
  }
}
