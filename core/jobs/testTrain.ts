import { lineOfMoves } from '../coupling/feet'
import { lineSum, type Misalignment } from '../frame/planes'
import type { EntryBody, LogEntry } from '../logbook/entry'
import { normalFrom, seededRandom, type Random } from '../random/random'
import type { TrainMachine } from '../register/trainMachine'
import { faceTravel, rimTravel } from '../simulate/bracketDial'
import { dialShows, EXACT_DIAL, type DialNature } from '../simulate/dialGauge'
import { trueHub } from '../simulate/hub'
import { axisOfLine, lineBetween, type ShaftAxis } from '../simulate/shaftAxis'
import type { SetUpPayload } from '../stages/setUp/entries'
import { chosenTrainPlan } from '../stages/trainPlan/planning'
import type { TrainPlan } from '../train/trainPlan'
import { partsOf } from '../train/parts'
import { TestLogbook } from './testLogbook'
import { trainJob } from './train'

const pair = (id: string, x: number, locked = false) => ({
  id,
  x,
  existing: locked ? { left: [], right: [] } : { left: [1, 0.5, 0.2], right: [1, 0.5, 0.2] },
  maxPack: locked ? 0 : 6,
  sidePlus: locked ? 0 : 3,
  sideMinus: locked ? 0 : 3,
  locked,
})
const usual = {
  method: 'rim-face',
  carriedBy: 'movable',
  rimPlane: 0,
  plunger: 'away',
  faceDiameter: 200,
} as const

/** Mill, gear unit and motor; the mill stands on its foundation. The motor's coupling is read from its own end unless said. */
export const testTrain = (motorReadFrom: 'left' | 'right' = 'left'): TrainMachine => ({
  drive: 'train',
  units: 'metric',
  rpm: 1475,
  machines: [
    { id: 'm1', name: 'Pan mill', feet: [pair('first', -1150, true), pair('second', -400, true)] },
    { id: 'm2', name: 'Gear unit', feet: [pair('first', 340), pair('second', 720)] },
    { id: 'm3', name: 'Motor', feet: [pair('first', 1390), pair('second', 1750)] },
  ],
  couplings: [
    {
      id: 'c1',
      name: 'Mill coupling',
      x: 0,
      stationary: 'left',
      rpm: 148,
      couplingKind: 'Gear coupling',
      usual,
      tolerance: { form: 'offset-slope', mode: 'plane', offset: 0.2, slope: 0.1 },
    },
    {
      id: 'c2',
      name: 'Motor coupling',
      x: 1060,
      stationary: motorReadFrom,
      rpm: 1475,
      couplingKind: 'Pin and bush coupling',
      usual,
      tolerance: { form: 'offset-slope', mode: 'plane', offset: 0.09, slope: 0.06 },
    },
  ],
  stock: [0.05, 0.1, 0.2, 0.5, 1].map((thickness) => ({ thickness, count: 40 })),
  packLimit: 5,
})

/** Each machine's axis about the whole train's zero, looking toward the first machine; millimetres. */
export type Standing = Readonly<Record<string, Misalignment>>

const CLOCKS = [0, 90, 180, 270]

/** One axis of the train as who reads this coupling has it before him. */
const axisFor = (line: Misalignment, centre: number, mirrored: boolean): ShaftAxis => {
  const at = (plane: 'v' | 'h') => (line.offset[plane] ?? 0) + (line.slope[plane] ?? 0) * centre
  const [way, hand] = mirrored ? [-1, -1] : [1, 1]
  return axisOfLine({
    offset: { v: at('v'), h: hand * at('h') },
    slope: { v: way * (line.slope.v ?? 0), h: way * hand * (line.slope.h ?? 0) },
  })
}

/** A train in space with a logbook under construction: what is logged as moved moves it. */
export class TestTrain extends TestLogbook {
  private readonly normal: Random

  constructor(
    readonly machine: TrainMachine = testTrain(),
    public standing: Standing = {},
    private readonly dial: DialNature = EXACT_DIAL,
    seed = 1,
  ) {
    super()
    this.normal = normalFrom(seededRandom(seed))
  }

  at(part: string | undefined, body: EntryBody, more: Parameters<TestLogbook['add']>[1] = {}): LogEntry {
    const entry = this.add(body, more)
    if (part === undefined) return entry
    const about = { ...entry, part }
    this.entries[this.entries.length - 1] = about
    return about
  }

  setUpPayload(id: string): SetUpPayload {
    const part = partsOf(this.machine).byId.get(id)
    if (!part) throw new Error(id)
    return {
      units: 'metric',
      how: {
        method: 'rim-face',
        given: {
          rim: { carriedBy: 'movable', plane: 0, sag: 0, turning: 'both', readingSign: 1 },
          faces: [{ plunger: 'away', diameter: 200, sag: 0, readingSign: 1 }],
        },
      },
      told: { sag: 'hang', circle: 'diameter' },
      feet: part.machine.feet.movable.map((f) => ({ machine: 'movable', pair: f.id, x: f.x })),
      graduation: { rim: 0.01, face: 0.01 },
      returned: { rim: 0, face: 0 },
      why: '',
    }
  }

  /** Opened, made safe, nothing looked at or felt, every coupling set up. */
  ready(): this {
    this.open(1475).lockOut()
    for (const stage of ['look', 'feet', 'rough-in'])
      this.at(undefined, { kind: 'stage-skipped', payload: { stage, why: 'of no concern here' } })
    for (const { id } of this.machine.couplings)
      this.at(id, { kind: 'set-up', payload: this.setUpPayload(id) })
    return this
  }

  private pairAt(id: string) {
    const part = partsOf(this.machine).byId.get(id)
    const joint = this.machine.couplings.find((c) => c.id === id)
    if (!part || !joint) throw new Error(id)
    const axis = (role: 'movable' | 'stationary') =>
      axisFor(this.standing[part.roles[role] ?? ''] ?? AT_REST, joint.x, part.mirrored)
    return { movable: axis('movable'), stationary: axis('stationary') }
  }

  /** The truth at a coupling, in the frame of who reads it. */
  truth(id: string): Misalignment {
    const { movable, stationary } = this.pairAt(id)
    return lineBetween(movable, stationary)
  }

  /** One set of a rim and a face dial in space. */
  readAt(id: string): LogEntry {
    const shafts = { ...this.pairAt(id), stationaryHub: trueHub(105), movableHub: trueHub(105) }
    const setting = { carriedBy: 'movable' as const, sag: 0, bothTurn: true }
    const shown = (travel: (clock: number) => number) =>
      dialShows(
        CLOCKS.map((clock) => ({ clock, plunger: travel(clock) })),
        this.dial,
        this.normal,
      )
    return this.at(id, {
      kind: 'readings-taken',
      payload: {
        units: 'metric',
        circles: {
          rim: shown((clock) => rimTravel(shafts, { ...setting, plane: 0 }, clock)),
          face: shown((clock) =>
            faceTravel(shafts, { ...setting, plunger: 'away', diameter: 200, faceX: 0, float: 0 }, clock),
          ),
        },
        returned: { rim: 0, face: 0 },
      },
    })
  }

  /** Reads this coupling, or every one that wants it, until two sets agree. */
  measure(ids: readonly string[] = this.machine.couplings.map((c) => c.id)): this {
    for (const id of ids)
      for (let i = 0; i < 5; i++) {
        this.readAt(id)
        if (this.coupling(id).latest.trust === 'agreed') break
      }
    return this
  }

  choose(plan: TrainPlan): LogEntry {
    return this.at(undefined, {
      kind: 'train-plan-chosen',
      payload: chosenTrainPlan(plan, this.state, 'metric'),
    })
  }

  /** One machine of the plan in force moved as planned, in space and in the logbook. */
  moveAsPlanned(id: string): LogEntry {
    const plan = this.state.plan
    if (!plan) throw new Error('no plan')
    const { units, changes, side } = plan.entry.payload
    const own = changes.filter((c) => c.machine === id)
    const pushed = side.filter((c) => c.machine === id)
    const feet = this.machine.machines.find((m) => m.id === id)?.feet ?? []
    const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)
    const moves = feet.map((f) => ({
      id: f.id,
      x: f.x,
      v: own.filter((c) => c.pair === f.id).reduce((s, c) => s + sum(c.putIn) - sum(c.takenOut), 0) / 2,
      h: pushed.filter((c) => c.pair === f.id).reduce((s, c) => s + c.moved, 0),
    }))
    this.standing = {
      ...this.standing,
      [id]: lineSum(this.standing[id] ?? AT_REST, lineOfMoves(moves)),
    }
    return this.at(id, {
      kind: 'move-made',
      payload: {
        units,
        changes: own.map((c) => ({ ...c, machine: 'movable' })),
        side: pushed.map((c) => ({ ...c, machine: 'movable' })),
        remark: '',
      },
    })
  }

  fold() {
    return trainJob(this.machine, [...this.entries])
  }

  get state() {
    return this.fold().state
  }

  coupling(id: string) {
    const found = this.state.couplings.find((c) => c.part.id === id)
    if (!found) throw new Error(id)
    return found.state
  }

  unit(id: string) {
    const found = this.state.machines.find((c) => c.part.id === id)
    if (!found) throw new Error(id)
    return found.state
  }

  mark(id: string) {
    return this.fold().sheet.rows.find((r) => r.id === id)?.mark
  }
}

const AT_REST: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

/** An axis by its height and side at two places along the train. */
export const through = (
  x0: number,
  [v0, h0]: readonly [number, number],
  x1: number,
  [v1, h1]: readonly [number, number],
): Misalignment => {
  const slope = { v: (v1 - v0) / (x1 - x0), h: (h1 - h0) / (x1 - x0) }
  return { offset: { v: v0 - slope.v * x0, h: h0 - slope.h * x0 }, slope }
}
