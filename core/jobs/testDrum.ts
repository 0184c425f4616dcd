import type { Misalignment } from '../frame/planes'
import type { LogEntry } from '../logbook/entry'
import { NO_WINDOWS } from '../register/drumMachine'
import type { DrumMachine } from '../register/machine'
import { LOADED_SAFETY_POINTS } from '../stages/makeSafe/entries'
import type { FootChange, SideChange } from '../stages/plan/entries'
import type { SetUpPayload } from '../stages/setUp/entries'
import { drumJob } from './drum'
import { TestLogbook } from './testLogbook'

const pair = (id: string, x: number | null) => ({
  id,
  x,
  existing: { left: [20, 10], right: [20, 10] },
  maxPack: 125,
  sidePlus: 60,
  sideMinus: 60,
  locked: false,
})

/** A winch motor for the tests: never low, 3 mil high at most, a mil aside, two mil over a face of 16 in. */
export const TEST_DRUM: DrumMachine = {
  drive: 'drum',
  units: 'inch',
  rpm: 960,
  usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 16 },
  feet: { movable: [pair('inboard', 10), pair('outboard', 24)], stationary: [] },
  drum: { kind: 'brake-drum', load: 'skip', windows: NO_WINDOWS, runout: 4 },
  tolerance: {
    form: 'window',
    offset: { v: [0, 3], h: [-1, 1] },
    slope: { v: [-0.125, 0.125], h: [-0.125, 0.125] },
  },
  stock: [1, 2, 3, 5, 10, 20].map((thickness) => ({ thickness, count: 20 })),
  packLimit: 5,
}

/** Feet that nobody taped. */
export const UNTAPED_DRUM: DrumMachine = {
  ...TEST_DRUM,
  feet: { movable: [pair('inboard', null), pair('outboard', null)], stationary: [] },
}

/** Two rods from the motor's half, the drum standing still. */
export const DRUM_SET_UP: SetUpPayload = {
  units: 'inch',
  how: {
    method: 'rim-face',
    given: {
      rim: { carriedBy: 'movable', plane: 0, sag: 0, turning: 'movable', readingSign: 1 },
      faces: [{ plunger: 'away', diameter: 16, sag: 0, readingSign: 1 }],
    },
  },
  told: { sag: 'hang', circle: 'diameter' },
  feet: [
    { machine: 'movable', pair: 'inboard', x: 10 },
    { machine: 'movable', pair: 'outboard', x: 24 },
  ],
  graduation: { rim: 0.5, face: 0.5 },
  returned: { rim: 0, face: 0 },
  why: '',
}

/** A logbook of a motor trammed to a drum under construction. */
export class TestDrum extends TestLogbook {
  protected override readonly points = LOADED_SAFETY_POINTS
  protected override readonly clocks = [90, 0, 270]

  constructor(readonly machine: DrumMachine = TEST_DRUM) {
    super()
  }

  /** Opened, made safe and set up; without a tape where the machine has none. */
  ready(setUp: SetUpPayload = this.machine.feet.movable[0]?.x === null ? UNTAPED_SET_UP : DRUM_SET_UP): this {
    this.open(960).lockOut()
    this.add({ kind: 'set-up', payload: setUp })
    return this
  }

  /** Two sets that agree, read off a motor that stands like `truth` (mil, mil/in). */
  readTwice(truth: Misalignment): this {
    for (let i = 0; i < 2; i++) this.read(truth)
    return this
  }

  /** Leaves and pushes, in mil. */
  move(changes: readonly FootChange[], side: readonly SideChange[] = []): LogEntry {
    return this.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: [...changes], side: [...side], remark: '' },
    })
  }

  /** The drum turned under a dial: eccentric by so much toward `mark`, mil. */
  turnDrum(by: number, mark: number, surface: 'rim' | 'face' = 'rim', oval = 0): LogEntry {
    const at = (clock: number, order: number) => Math.cos((order * (clock - mark) * Math.PI) / 180)
    return this.add({
      kind: 'runout-read',
      payload: {
        units: 'inch',
        machine: 'stationary',
        surface,
        diameter: null,
        readings: [0, 45, 90, 135, 180, 225, 270, 315].map((clock) => ({
          clock,
          value: by * at(clock, 1) + oval * at(clock, 2),
        })),
        limit: null,
        remark: '',
      },
    })
  }

  tap(mark: number, surface: 'rim' | 'face' = 'rim'): LogEntry {
    return this.add({ kind: 'drum-tapped', payload: { surface, mark, words: '' } })
  }

  fold() {
    return drumJob(this.machine, [...this.entries])
  }

  get state() {
    return this.fold().state
  }

  mark(id: string) {
    return this.fold().sheet.rows.find((r) => r.id === id)
  }
}

export const UNTAPED_SET_UP: SetUpPayload = { ...DRUM_SET_UP, feet: [] }
