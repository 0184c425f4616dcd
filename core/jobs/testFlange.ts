import type { FlangePush } from '../flange/flangeMove'
import type { Misalignment } from '../frame/planes'
import type { LogEntry } from '../logbook/entry'
import type { FlangeMachine } from '../register/machine'
import { placesOf } from '../stages/look/looks'
import type { BoltChange } from '../stages/flangePlan/entries'
import type { SchoolPlan } from '../stages/flangePlan/plans'
import { schoolPlans } from '../stages/flangePlan/plans'
import type { SetUpPayload } from '../stages/setUp/entries'
import { fromCore } from '../units/unitSystem'
import { flangeJob } from './flange'
import { TestLogbook } from './testLogbook'

/** A vertical motor for the tests: eight bolts on 14 in, 12 in above the coupling, 2 mil and 0.3 mil/in taken as vectors. */
export const TEST_FLANGE: FlangeMachine = {
  drive: 'flange',
  units: 'inch',
  rpm: 980,
  usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -1.5, plunger: 'away', faceDiameter: 8 },
  flange: {
    bolts: 8,
    across: { v: 14, h: 14 },
    plane: 12,
    existing: [[], [], [], [], [], [], [], []],
    spigot: 'tight',
    play: null,
    school: 'coplanar',
  },
  tolerance: { form: 'offset-slope', mode: 'vector', offset: 2, slope: 0.3 },
  stock: [1, 2, 3, 5, 10, 20, 25].map((thickness) => ({ thickness, count: 40 })),
  packLimit: 4,
}

export const FLANGE_SET_UP: SetUpPayload = {
  units: 'inch',
  how: {
    method: 'rim-face',
    given: {
      rim: { carriedBy: 'movable', plane: -1.5, sag: 0, turning: 'both', readingSign: 1 },
      faces: [{ plunger: 'away', diameter: 8, sag: 0, readingSign: 1 }],
    },
  },
  told: { sag: 'hang', circle: 'diameter' },
  feet: [],
  flange: { told: 'circle', across: { v: 14, h: 14 }, plane: 12 },
  graduation: { rim: 0.5, face: 0.5 },
  returned: { rim: 0, face: 0 },
  why: '',
}

/** The changes a school asks for, in mil. */
export const changesOf = (plan: SchoolPlan): readonly BoltChange[] =>
  (plan.packs?.packs ?? [])
    .filter((p) => p.putIn.length > 0)
    .map((p) => ({
      bolt: p.id,
      takenOut: [],
      putIn: p.putIn.map((t) => fromCore(t, 'displacement', 'inch')),
    }))

/** A logbook of a flange-mounted motor under construction. */
export class TestFlange extends TestLogbook {
  constructor(readonly machine: FlangeMachine = TEST_FLANGE) {
    super()
  }

  look(): this {
    const places = placesOf(this.machine)
    this.add({ kind: 'place-looked', payload: { places, found: 'fine', words: '', photographs: [] } })
    return this
  }

  /** Opened, made safe, looked over and set up. */
  ready(setUp: SetUpPayload = FLANGE_SET_UP): this {
    this.open(980).lockOut().look()
    this.add({ kind: 'set-up', payload: setUp })
    return this
  }

  /** Two sets that agree, read off a motor that stands like `truth` (mil, mil/in). */
  readTwice(truth: Misalignment): this {
    for (let i = 0; i < 2; i++) this.add({ kind: 'readings-taken', payload: this.readingsOf(truth) })
    return this
  }

  /** Both schools as the shelf stands. */
  schools(): readonly SchoolPlan[] {
    const { latest, shape, leaves, tolerance, target } = this.state
    return schoolPlans(this.machine, latest, shape, leaves, tolerance, target)
  }

  /** Takes the shims of a school, and lays them. */
  shim(plan: SchoolPlan, why = ''): LogEntry {
    const changes = changesOf(plan)
    const { used } = this.state.latest
    this.add({
      kind: 'flange-plan-chosen',
      payload: { units: 'inch', does: plan.school, changes, push: null, why, sets: used },
    })
    return this.add({ kind: 'flange-moved', payload: { units: 'inch', changes, pushed: null, remark: '' } })
  }

  /** Pushes it (mil, toward 12 and toward 3). */
  push(by: FlangePush): LogEntry {
    const { used } = this.state.latest
    this.add({
      kind: 'flange-plan-chosen',
      payload: { units: 'inch', does: 'push', changes: [], push: by, why: '', sets: used },
    })
    return this.add({ kind: 'flange-moved', payload: { units: 'inch', changes: [], pushed: by, remark: '' } })
  }

  fold() {
    return flangeJob(this.machine, [...this.entries])
  }

  get state() {
    return this.fold().state
  }
}
