import type { Knex } from 'knex'
import { lineOfMoves } from '../../core/coupling/feet'
import { ALIGNED, lineDifference, lineSum, type Misalignment } from '../../core/frame/planes'
import type { TrainState } from '../../core/jobs/train'
import type { EntryBody } from '../../core/logbook/entry'
import { METHODS } from '../../core/methods/methods'
import { normalFrom, seededRandom, type Random } from '../../core/random/random'
import { EXACT_DIAL } from '../../core/simulate/dialGauge'
import { readByMethod } from '../../core/simulate/methodReadings'
import { HANDS_IN, type ProofPoint } from '../../core/stages/prove/entries'
import { chosenTrainPlan, trainInputFor } from '../../core/stages/trainPlan/planning'
import { trainPlans } from '../../core/stages/trainPlan/search'
import { partsOf, type TrainPart, type TrainParts } from '../../core/train/parts'
import { turnToTrain } from '../../core/train/train'
import { fromCore } from '../../core/units/unitSystem'
import { highsWithin } from '../../shared/solver/highs'
import type { TrainFields } from '../../shared/register/trainMachine'
import { usualPositions } from '../../shared/stages/measure/form'
import { JobWriter } from './jobWriter'
import { usualSetUp } from './usualSetUp'

/** Writes a demo job on a line of machines, reading them off axes that its moves shift. Deterministic for a job name. */
export class TrainWriter extends JobWriter {
  private readonly normal: Random
  private readonly axes: Map<string, Misalignment>
  private readonly parts: TrainParts

  constructor(
    knex: Knex,
    private readonly line: TrainFields,
    name: string,
    author: string,
    start: Date,
    /** Each machine's axis about the line's zero, looking toward the first machine; millimetres. */
    axes: Readonly<Record<string, Misalignment>>,
  ) {
    super(knex, line, name, author, start)
    this.parts = partsOf({ ...line, stock: [], packLimit: 0 })
    this.axes = new Map(Object.entries(axes))
    this.normal = normalFrom(
      seededRandom([...name].reduce((s, c) => (Math.imul(s, 31) + c.charCodeAt(0)) | 0, 7)),
    )
  }

  private async state(): Promise<TrainState> {
    const job = await this.folded()
    if (job.kind !== 'train') throw new Error(`${this.line.tag} is no train.`)
    return job.state
  }

  at(part: string, body: EntryBody, minutes?: number): Promise<void> {
    return this.write(body, minutes, undefined, part)
  }

  /** What is passed over of every machine and coupling, and why. */
  async passOver(stages: readonly string[], why: string): Promise<void> {
    for (const stage of stages) await this.write({ kind: 'stage-skipped', payload: { stage, why } }, 1)
  }

  /** Every place of these machines looked at and fine, their feet read and flat. */
  async lookOver(machines: readonly string[]): Promise<void> {
    for (const id of machines) {
      const own = (await this.state()).machines.find((m) => m.part.id === id)
      if (!own) continue
      await this.at(
        id,
        {
          kind: 'place-looked',
          payload: { places: own.state.looks.unseen, found: 'fine', words: '', photographs: [] },
        },
        8,
      )
      const [near, far] = own.part.machine.feet.movable
      if (!near || !far) continue
      const foot = (pair: string, side: 'left' | 'right', rise: number) => ({
        machine: 'movable' as const,
        pair,
        side,
        rise,
      })
      await this.at(
        id,
        {
          kind: 'rises-read',
          payload: {
            units: this.line.units,
            rises: [
              foot(near.id, 'left', 0.02),
              foot(near.id, 'right', 0.03),
              foot(far.id, 'right', 0.02),
              foot(far.id, 'left', 0.02),
            ],
            pipe: 'bolted',
            remark: '',
          },
        },
        12,
      )
    }
  }

  /** Sets every coupling up by the method it is usually measured by. */
  async setUp(): Promise<void> {
    for (const part of this.parts.couplings) {
      const how = usualSetUp(part.machine.usual, 0.03, 'both')
      const circles = METHODS[how.method].circles(how.given as never)
      const each = (x: number) => Object.fromEntries(circles.map((c) => [c, x]))
      await this.at(
        part.id,
        {
          kind: 'set-up',
          payload: {
            units: this.line.units,
            how,
            told: { sag: 'hang', circle: 'diameter' },
            feet: part.machine.feet.movable.map(({ id, x }) => ({ machine: 'movable', pair: id, x })),
            graduation: each(0.01),
            returned: each(0),
            why: '',
          },
        },
        15,
      )
    }
  }

  /** How this coupling stands, as who reads it sees it. */
  private truth(part: TrainPart): Misalignment {
    const at = this.parts.couplings.indexOf(part)
    const { x, stationary } = this.line.couplings[at] as TrainFields['couplings'][number]
    const axis = (i: number) => this.axes.get(this.line.machines[i]?.id ?? '') ?? ALIGNED
    const between = lineDifference(axis(at + 1), axis(at))
    const about = (offset: number | null, slope: number | null) => (offset ?? 0) + (slope ?? 0) * x
    return turnToTrain(
      {
        offset: {
          v: about(between.offset.v, between.slope.v),
          h: about(between.offset.h, between.slope.h),
        },
        slope: between.slope,
      },
      stationary,
    )
  }

  /** One set at this coupling. */
  private async read(part: TrainPart): Promise<void> {
    const own = (await this.state()).couplings.find((c) => c.part.id === part.id)
    const setUp = own?.state.setUp
    if (!setUp) throw new Error('The demo job reads before it sets up.')
    const dial = { ...EXACT_DIAL, graduation: 0.01, noise: 0.003 }
    const read = readByMethod(setUp.how, this.truth(part), usualPositions('coupled'), dial, this.normal)
    const circles = Object.fromEntries(
      Object.entries(read).map(([circle, list]) => [
        circle,
        list.map(({ clock, value }) => ({
          clock,
          value: Number(fromCore(value, 'displacement', this.line.units).toFixed(4)),
        })),
      ]),
    )
    await this.at(
      part.id,
      {
        kind: 'readings-taken',
        payload: {
          units: this.line.units,
          circles,
          returned: Object.fromEntries(setUp.circles.map((c) => [c, 0])),
        },
      },
      9,
    )
  }

  /** Reads these couplings, every one where none is named, until two sets agree. */
  async measure(...ids: readonly string[]): Promise<void> {
    for (const part of this.parts.couplings.filter((p) => ids.length === 0 || ids.includes(p.id)))
      for (let sets = 0; sets < 5; sets++) {
        await this.read(part)
        const own = (await this.state()).couplings.find((c) => c.part.id === part.id)
        if (own?.state.latest.trust === 'agreed') break
      }
  }

  /** The least work taken, and carried out machine by machine. */
  async moveByPlan(): Promise<void> {
    const state = await this.state()
    const input = trainInputFor(state)
    const [plan] = input ? await trainPlans(input, highsWithin(20).solve) : []
    if (!plan) throw new Error('There is no plan for the line.')
    await this.write(
      { kind: 'train-plan-chosen', payload: chosenTrainPlan(plan, state, this.line.units) },
      12,
    )
    const { plan: taken } = await this.state()
    for (const id of taken?.left ?? []) {
      const { units, changes, side } = taken!.entry.payload
      const moves = plan.moves.filter((m) => m.machine === id)
      this.axes.set(id, lineSum(this.axes.get(id) ?? ALIGNED, lineOfMoves(moves)))
      await this.at(
        id,
        {
          kind: 'move-made',
          payload: {
            units,
            changes: changes
              .filter((c) => c.machine === id)
              .map((c) => ({ ...c, machine: 'movable' as const })),
            side: side.filter((c) => c.machine === id).map((c) => ({ ...c, machine: 'movable' as const })),
            remark: '',
          },
        },
        40,
      )
    }
  }

  /** Every coupling made up and proved, nothing read made up. */
  async prove(gap: number): Promise<void> {
    const confirm = (part: string, point: ProofPoint, how: 'done' | 'not-here' = 'done') =>
      this.at(part, { kind: 'proof-confirmed', payload: { point, how, words: '' } }, 3)
    await this.write(
      { kind: 'rotation-seen', payload: { seen: 'not-needed', words: '' } },
      2,
      undefined,
      'c1',
    )
    for (const { id } of this.parts.couplings) {
      await confirm(id, 'greased')
      await confirm(id, 'heaters', 'not-here')
      await this.at(id, { kind: 'coupling-made-up', payload: { units: this.line.units, gap } }, 20)
      await confirm(id, 'read-coupled', 'not-here')
      for (const point of HANDS_IN) await confirm(id, point)
    }
  }
}
