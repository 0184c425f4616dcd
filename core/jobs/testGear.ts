import type { PaintedZone } from '../gear/contactFigures'
import type { Lever } from '../gear/levers'
import type { GearMachine } from '../register/gearMachine'
import { RUN_POINTS } from '../stages/run/entries'
import { gearJob } from './gear'
import { TestLogbook } from './testLogbook'

/** Nothing wanted by the register. */
export const NO_ZONES: GearMachine['gear']['wanted'] = { forward: [null, null], back: [null, null] }

/** A worm gearset for the tests: counted from the table side to the wall side. */
export const TEST_GEAR: GearMachine = {
  drive: 'gear',
  units: 'inch',
  rpm: 1440,
  gear: {
    kind: 'worm',
    ratio: 40,
    pressureAngle: 20,
    ends: { from: 'table side', to: 'wall side' },
    school: 'together-blocks',
    wanted: NO_ZONES,
    limits: { off: 10, shortest: 28, longest: 44, covered: 70, source: 'the site, PR-05' },
    backlash: { by: 'dial', window: [10, 16] },
    layers: { thickness: 2, under: [10, 10], move: 'apart' },
    room: { blocks: 30, gear: 30 },
    testShift: 6,
    responses: { blocks: null, gear: null },
    leftAs: null,
    notes: { covers: '', seals: '', waiting: '' },
  },
  stock: [],
  packLimit: 4,
}

/** A logbook of a gearset's job under construction. */
export class TestGear extends TestLogbook {
  constructor(readonly machine: GearMachine = TEST_GEAR) {
    super()
  }

  get job() {
    return gearJob(this.machine, [...this.entries])
  }
  get state() {
    return this.job.state
  }

  override open(): this {
    this.add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1440, customer: '', note: '' } })
    return this
  }

  found(forward: PaintedZone | null = [38, 74], back: PaintedZone | null = [30, 66]): this {
    this.add({
      kind: 'contact-painted',
      payload: { moment: 'as-found', forward, back, photographs: [], words: '' },
    })
    return this
  }

  refit(pins: 'left-out' | 'fitted' = 'left-out'): this {
    this.add({ kind: 'gear-refitted', payload: { pins, bearings: 'new', words: '' } })
    return this
  }

  clear(): this {
    this.add({ kind: 'mesh-cleared', payload: { load: 'helper-drags', helper: 'a helper', words: '' } })
    return this
  }

  paint(forward: PaintedZone, back: PaintedZone): this {
    this.add({
      kind: 'contact-painted',
      payload: { moment: 'fit', forward, back, photographs: [], words: '' },
    })
    return this
  }

  shift(lever: Lever, by: number): this {
    this.add({ kind: 'gear-shifted', payload: { units: 'inch', lever, by, words: '' } })
    return this
  }

  play(...readings: number[]): this {
    this.add({ kind: 'backlash-read', payload: { units: 'inch', by: 'dial', readings, words: '' } })
    return this
  }

  layers(...layers: number[]): this {
    this.add({ kind: 'layers-changed', payload: { layers, words: '' } })
    return this
  }

  tighten(): this {
    this.add({ kind: 'gear-tightened', payload: { words: '' } })
    return this
  }

  pins(did: 'pulled' | 'refitted' | 'reamed'): this {
    this.add({ kind: 'pins-handled', payload: { did, words: '' } })
    return this
  }

  run(): this {
    for (const point of RUN_POINTS)
      this.add({ kind: 'run-confirmed', payload: { point, found: 'good', current: null, words: '' } })
    return this
  }

  /** Opened, locked out, kept as found, back together and clear to turn. */
  ready(): this {
    return this.open().lockOut().found().refit().clear()
  }
}
