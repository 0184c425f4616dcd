import type { Misalignment } from '../frame/planes'
import type { CoupledMachine } from '../register/machine'
import { simulateFace, simulateRim } from '../simulate/dialReadings'
import { fromCore } from '../units/unitSystem'
import { SAFETY_POINTS, type EntryBody, type LogEntry, type SetUpPayload } from './entry'
import { foldJob } from './foldJob'
import { settleSetUp } from './setUp'

/** A plain inch machine for the tests of the logbook: 12 and 34.5 in, own limit 5 mil and 1 mil/in. */
export const TEST_MACHINE: CoupledMachine = {
  units: 'inch',
  rpm: 990,
  usual: { carriedBy: 'movable', rimPlane: -1.5, plunger: 'away', faceDiameter: 8 },
  feet: (['inboard', 'outboard'] as const).map((id) => ({
    id,
    x: id === 'inboard' ? 12 : 34.5,
    existing: { left: [25, 10], right: [25, 10] },
    maxPack: 125,
    sidePlus: 60,
    sideMinus: 60,
    locked: false,
  })),
  stationaryFeet: [],
  tolerance: { form: 'offset-slope', mode: 'plane', offset: 5, slope: 1 },
  stock: [1, 2, 3, 5, 10, 20, 25].map((thickness) => ({ thickness, count: 40 })),
  packLimit: 4,
}

export const SET_UP: SetUpPayload = {
  units: 'inch',
  method: 'rim-face',
  turning: 'both',
  rim: { carriedBy: 'movable', plane: -1.5, sag: 3, sagForm: 'hang', graduation: 0.5, readingSign: 1 },
  face: { plunger: 'away', diameter: 8, diameterForm: 'diameter', sag: 0, graduation: 0.5, readingSign: 1 },
  feet: [
    { id: 'inboard', x: 12 },
    { id: 'outboard', x: 34.5 },
  ],
  returned: { rim: 0, face: 0 },
}

/** A logbook under construction, with a simulated machine that its moves can shift. */
export class TestJob {
  readonly entries: LogEntry[] = []
  private next = 1

  constructor(readonly machine: CoupledMachine = TEST_MACHINE) {}

  add(body: EntryBody, supersedes: LogEntry['supersedes'] = null): LogEntry {
    const entry = {
      id: `entry-${this.next++}`,
      author: 'someone',
      madeAt: `2026-01-01T08:${String(this.next % 60).padStart(2, '0')}:00Z`,
      receivedAt: null,
      supersedes,
      ...body,
    } as LogEntry
    this.entries.push(entry)
    return entry
  }

  /** Opened, made safe and set up. */
  ready(setUp: SetUpPayload = SET_UP): this {
    this.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 990, customer: '', note: '' } })
    for (const point of SAFETY_POINTS) this.add({ kind: 'safety-confirmed', payload: { point, permit: '' } })
    this.add({ kind: 'set-up', payload: setUp })
    return this
  }

  /** One set read off a machine that stands like `truth` (mil, mil/in); `misread` spoils a face reading. */
  read(
    truth: Misalignment,
    misread?: { clock: number; by: number },
    supersedes: LogEntry['supersedes'] = null,
  ): LogEntry {
    const last = [...this.entries].reverse().find((e) => e.kind === 'set-up')
    if (last?.kind !== 'set-up') throw new Error('not set up')
    const setUp = settleSetUp(last)
    const line: Misalignment = {
      offset: { v: (truth.offset.v ?? 0) * 0.0254, h: (truth.offset.h ?? 0) * 0.0254 },
      slope: { v: (truth.slope.v ?? 0) / 1000, h: (truth.slope.h ?? 0) / 1000 },
    }
    const clocks = [0, 90, 180, 270]
    const typed = (list: readonly { clock: number; value: number }[]) =>
      list.map((r) => ({ clock: r.clock, value: fromCore(r.value, 'displacement', 'inch') }))
    const face = typed(simulateFace(line, { ...setUp.face, sag: 0 }, clocks)).map((r) =>
      r.clock === misread?.clock ? { ...r, value: r.value + misread.by } : r,
    )
    return this.add(
      {
        kind: 'readings-taken',
        payload: {
          units: 'inch',
          rim: typed(simulateRim(line, setUp.rim, clocks)),
          face,
          returned: { rim: 0, face: 0 },
        },
      },
      supersedes,
    )
  }

  fold() {
    return foldJob(this.machine, this.entries)
  }
}

/** Offset in mil and slope in mil/in as a line of the test machine. */
export const inMil = (ov: number, oh: number, sv: number, sh: number): Misalignment => ({
  offset: { v: ov, h: oh },
  slope: { v: sv, h: sh },
})
