import type { Misalignment } from '../frame/planes'
import type { LogEntry } from '../logbook/entry'
import type { CoupledMachine } from '../register/machine'
import type { RoughInEntries } from '../stages/roughIn/entries'
import { placesOf } from '../stages/look/looks'
import { TestLogbook } from './testLogbook'
import type { FootChange } from '../stages/plan/entries'
import type { SetUpPayload } from '../stages/setUp/entries'
import { coupledJob } from './coupled'

const pair = (id: string, x: number) => ({
  id,
  x,
  existing: { left: [25, 10], right: [25, 10] },
  maxPack: 125,
  sidePlus: 60,
  sideMinus: 60,
  locked: false,
})

/** A plain inch machine for the tests of the logbook: feet at 12 and 34.5 in, own limit 5 mil and 1 mil/in. */
export const TEST_MACHINE: CoupledMachine = {
  drive: 'coupled',
  units: 'inch',
  rpm: 990,
  usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -1.5, plunger: 'away', faceDiameter: 8 },
  feet: { movable: [pair('inboard', 12), pair('outboard', 34.5)], stationary: [] },
  tolerance: { form: 'offset-slope', mode: 'plane', offset: 5, slope: 1 },
  stock: [1, 2, 3, 5, 10, 20, 25].map((thickness) => ({ thickness, count: 40 })),
  packLimit: 4,
}

const FEET = [
  { machine: 'movable', pair: 'inboard', x: 12 },
  { machine: 'movable', pair: 'outboard', x: 34.5 },
] as const

export const SET_UP: SetUpPayload = {
  units: 'inch',
  how: {
    method: 'rim-face',
    given: {
      rim: { carriedBy: 'movable', plane: -1.5, sag: 3, turning: 'both', readingSign: 1 },
      faces: [{ plunger: 'away', diameter: 8, sag: 0, readingSign: 1 }],
    },
  },
  told: { sag: 'hang', circle: 'diameter' },
  feet: FEET,
  graduation: { rim: 0.5, face: 0.5 },
  returned: { rim: 0, face: 0 },
  why: '',
}

/** The same machine measured by a bracket each way. */
export const REVERSE_SET_UP: SetUpPayload = {
  ...SET_UP,
  how: {
    method: 'reverse-rim',
    given: {
      onStationary: { carriedBy: 'movable', plane: -3, sag: 3, turning: 'both', readingSign: 1 },
      onMovable: { carriedBy: 'stationary', plane: 4, sag: 2, turning: 'both', readingSign: 1 },
    },
  },
  graduation: { onStationary: 0.5, onMovable: 0.5 },
  returned: { onStationary: 0, onMovable: 0 },
}

/** The same shims under both feet of a pair of the movable machine. */
export const lift = (id: string, putIn: readonly number[], takenOut: readonly number[] = []): FootChange[] =>
  (['left', 'right'] as const).map((side) => ({ machine: 'movable', pair: id, side, takenOut, putIn }))

/** A logbook under construction, with a simulated machine that its moves can shift. */
export class TestJob extends TestLogbook {
  constructor(readonly machine: CoupledMachine = TEST_MACHINE) {
    super()
  }

  /** Every place looked at and fine. */
  look(): this {
    const places = placesOf(this.machine)
    this.add({ kind: 'place-looked', payload: { places, found: 'fine', words: '', photographs: [] } })
    return this
  }

  /** Rises of f1 to f4 read one at a time (mil): nothing rocks unless said. */
  rises(
    rises: readonly [number, number, number, number] = [1, 1, 1, 1],
    pipe: 'bolted' | 'slack' = 'bolted',
  ): LogEntry {
    const feet = this.outerFeet()
    return this.add({
      kind: 'rises-read',
      payload: {
        units: 'inch',
        rises: feet.map((f, i) => ({ ...f, rise: rises[i] ?? 0 })),
        pipe,
        remark: '',
      },
    })
  }

  /** Leaves laid under one foot (mil). */
  fill(foot: 1 | 2 | 3 | 4, putIn: readonly number[], takenOut: readonly number[] = []): LogEntry {
    const at = this.outerFeet()[foot - 1]
    if (!at) throw new Error('four feet')
    return this.add({
      kind: 'foot-filled',
      payload: { units: 'inch', change: { ...at, putIn, takenOut }, why: '' },
    })
  }

  /** Rim steps and gaps by clock hour (mil) on a circle of 8 in; what was felt is close enough unless said. */
  feelHubs(
    steps: Readonly<Partial<Record<12 | 3 | 6 | 9, number>>> = { 12: 2, 3: -3 },
    gaps: Readonly<Partial<Record<12 | 3 | 6 | 9, number>>> = {},
    more: Partial<RoughInEntries['hubs-felt']> = {},
  ): LogEntry {
    const places = (by: typeof steps) =>
      Object.entries(by).map(([hour, value]) => ({ clock: (Number(hour) % 12) * 30, value }))
    return this.add({
      kind: 'hubs-felt',
      payload: {
        units: 'inch',
        steps: places(steps),
        gaps: places(gaps),
        diameter: Object.keys(gaps).length > 0 ? 8 : null,
        hubs: null,
        coupled: false,
        drag: null,
        pushed: null,
        remark: '',
        ...more,
      },
    })
  }

  /** f1 to f4. */
  outerFeet() {
    return (
      [
        ['inboard', 'left'],
        ['inboard', 'right'],
        ['outboard', 'right'],
        ['outboard', 'left'],
      ] as const
    ).map(([pair, side]) => ({ machine: 'movable' as const, pair, side }))
  }

  /** Opened, made safe and set up. */
  ready(setUp: SetUpPayload = SET_UP): this {
    this.open().lockOut()
    this.add({ kind: 'set-up', payload: setUp })
    return this
  }

  fold() {
    // A logbook never changes under a fold: this one is pushed to and popped from.
    return coupledJob(this.machine, [...this.entries])
  }

  get state() {
    return this.fold().state
  }

  mark(id: string) {
    return this.fold().sheet.rows.find((r) => r.id === id)
  }
}

/** Offset in mil and slope in mil/in as a line of the test machine. */
export const inMil = (ov: number, oh: number, sv: number, sh: number): Misalignment => ({
  offset: { v: ov, h: oh },
  slope: { v: sv, h: sh },
})
