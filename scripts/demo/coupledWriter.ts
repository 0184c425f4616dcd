import type { Knex } from 'knex'
import { ALIGNED, lineSum, type Misalignment } from '../../core/frame/planes'
import { FOOT_NAMES, type FootName } from '../../core/feet/softFoot'
import type { CoupledState } from '../../core/jobs/coupled'
import { movableFeet } from '../../core/register/footedMachine'
import { handlingOf, startingMinutes } from '../../core/plan/usualTime'
import { doFootwork } from '../../core/stages/move/footwork'
import { roughCure, roughedBy } from '../../core/stages/roughIn/cure'
import { planChanges, plansFor } from '../../core/stages/plan/planning'
import { fromCore, toCore } from '../../core/units/unitSystem'
import { couplingLine } from '../../shared/calculation/fields'
import { inputToCore } from '../../shared/calculation/unitConversion'
import { newTarget } from '../../shared/stages/hotCheck/answer'
import type { CoupledFields } from '../../shared/register/coupledMachine'
import { MeasuredWriter } from './measuredWriter'

/** The moves of the demo works take longer than the starting values, its readings these minutes. */
const SLOWER = 1.2
const MEASURING = 8

const CLOCKS = [0, 90, 180, 270]

/**
 * A demo job on a coupling: readings come from a simulated machine, plans from the planner, moves
 * change the simulated machine. Deterministic for a job name.
 */
export class CoupledWriter extends MeasuredWriter {
  private truth: Misalignment

  constructor(
    knex: Knex,
    protected override readonly machine: CoupledFields,
    name: string,
    author: string,
    start: Date,
    truth: Misalignment,
  ) {
    super(knex, machine, name, author, start)
    this.truth = inputToCore(couplingLine, truth, machine.units)
  }

  protected line(): Misalignment {
    return this.truth
  }

  protected async state(): Promise<CoupledState> {
    const job = await this.folded()
    if (job.kind !== 'coupled') throw new Error('The demo job is no coupled job.')
    return job.state
  }

  /** The registered leaves under each foot of the movable machine, marked A to D, as they were found. */
  async findShims(): Promise<this> {
    const { units } = this.machine
    const { looks } = await this.state()
    const typed = (mm: number) => Number(fromCore(mm, 'displacement', units).toPrecision(8))
    await this.write(
      {
        kind: 'shims-found',
        payload: {
          units,
          feet: looks.feet
            .filter((f) => f.machine === 'movable')
            .map(({ machine, pair, side, registered }) => ({
              machine,
              pair,
              side,
              leaves: registered.map((t, i) => ({ thickness: typed(t), mark: 'ABCDEFGH'.charAt(i) })),
            })),
          words: '',
        },
      },
      14,
    )
    return this
  }

  /** What a feeler finds with all bolts loose: feet f1 to f4 that have a gap, all four corners alike (mil or mm). */
  async feelGaps(gaps: Readonly<Partial<Record<FootName, number>>>): Promise<this> {
    const { units } = this.machine
    await this.write(
      {
        kind: 'gaps-felt',
        payload: {
          units,
          gaps: FOOT_NAMES.flatMap((f) => {
            const g = gaps[f]
            const corners = {
              outboardOuter: g ?? 0,
              outboardInner: g ?? 0,
              inboardOuter: g ?? 0,
              inboardInner: g ?? 0,
            }
            return g === undefined ? [] : [{ ...this.foot(f), corners, size: null }]
          }),
        },
      },
      8,
    )
    return this
  }

  /** Rises of f1 to f4, one bolt loosened at a time (mil or mm). */
  async readRises(rises: readonly [number, number, number, number], remark = ''): Promise<this> {
    await this.write(
      {
        kind: 'rises-read',
        payload: {
          units: this.machine.units,
          rises: FOOT_NAMES.map((f, i) => ({ ...this.foot(f), rise: rises[i] ?? 0 })),
          pipe: 'bolted',
          remark,
        },
      },
      12,
    )
    return this
  }

  async fillFoot(
    foot: FootName,
    putIn: readonly number[],
    takenOut: readonly number[] = [],
    why = '',
  ): Promise<this> {
    await this.write(
      {
        kind: 'foot-filled',
        payload: { units: this.machine.units, change: { ...this.foot(foot), putIn, takenOut }, why },
      },
      6,
    )
    return this
  }

  /** A feeler under the low end of a level on one shaft (mil or mm over in or mm). */
  async readLevel(
    machine: 'movable' | 'stationary',
    feeler: number,
    supported: number,
    low: 'coupling' | 'far',
  ): Promise<this> {
    const { units } = this.machine
    const reading = { by: 'feeler', feeler, supported, low } as const
    await this.write({ kind: 'level-read', payload: { units, machine, reading, remark: '' } }, 10)
    return this
  }

  /** Eight readings of one turn of a hub, evenly spread. */
  async turnHub(
    machine: 'movable' | 'stationary',
    surface: 'rim' | 'face' | 'shaft',
    values: readonly number[],
  ): Promise<this> {
    const { units } = this.machine
    const readings = values.map((value, i) => ({ clock: (i * 360) / values.length, value }))
    await this.write(
      {
        kind: 'runout-read',
        payload: { units, machine, surface, diameter: null, readings, limit: null, remark: '' },
      },
      7,
    )
    return this
  }

  /** Straightedge and feelers at 12 and 3, or at all four places, off the simulated machine; `apart` the mean gap (in or mm). */
  async feelHubs(apart: number, four = false, coupled = false): Promise<this> {
    const { units, hubs } = this.machine
    const diameter = hubs?.movableDiameter ?? 0
    const { offset, slope } = this.truth
    // Feelers come in whole mils, or fiftieths of a millimetre.
    const leaf = units === 'inch' ? 1 : 0.02
    const typed = (mm: number) =>
      Number((Math.round(fromCore(mm, 'displacement', units) / leaf) * leaf).toFixed(3))
    const at = (clock: number, vh: { v: number | null; h: number | null }) =>
      (vh.v ?? 0) * Math.round(Math.cos((clock * Math.PI) / 180)) +
      (vh.h ?? 0) * Math.round(Math.sin((clock * Math.PI) / 180))
    await this.write(
      {
        kind: 'hubs-felt',
        payload: {
          units,
          steps: (four ? CLOCKS : [0, 90]).map((clock) => ({ clock, value: typed(at(clock, offset)) })),
          gaps: CLOCKS.map((clock) => ({
            clock,
            value: typed(
              toCore(apart, 'distance', units) - (toCore(diameter, 'distance', units) / 2) * at(clock, slope),
            ),
          })),
          diameter,
          hubs: null,
          coupled,
          drag: null,
          pushed: null,
          remark: '',
        },
      },
      9,
    )
    return this
  }

  /** Does what the rough-in advises: shims, or a push. */
  async roughIn(): Promise<this> {
    const state = await this.state()
    const reading = state.roughIn.latest
    const cure = reading && roughCure(state.machine, reading, state.packs)
    if (!cure) throw new Error('The demo job has nothing to rough in.')
    const payload = roughedBy(cure, this.machine.units)
    await this.write({ kind: 'hubs-roughed', payload }, 18)
    const feet = { movable: movableFeet(state.machine), stationary: [] }
    const { change } = doFootwork(state.packs, feet, payload.units, payload.changes, payload.side)
    this.truth = lineSum(this.truth, change ?? ALIGNED)
    return this
  }

  private foot(name: FootName) {
    const { movable } = this.machine.feet
    const pair = name === 'f1' || name === 'f2' ? movable[0] : movable[movable.length - 1]
    return {
      machine: 'movable' as const,
      pair: pair?.id ?? '',
      side: name === 'f1' || name === 'f4' ? ('left' as const) : ('right' as const),
    }
  }

  /** Takes the closest plan, and makes it unless only planning is wanted. */
  async move(made = true): Promise<this> {
    const { units } = this.machine
    const state = await this.state()
    const plan = plansFor(state)?.plans[0]
    if (!plan) throw new Error('The demo job has nothing to plan from.')
    const { changes, side } = planChanges(plan, units)
    const sets = [...state.latest.used]
    await this.write({ kind: 'plan-chosen', payload: { units, option: plan.kind, changes, side, sets } }, 6)
    if (!made) return this
    const minutes = Math.round(startingMinutes(handlingOf(plan)) * SLOWER) - MEASURING
    await this.write({ kind: 'move-made', payload: { units, changes, side, remark: '' } }, minutes)
    const settled = await this.state()
    const last = settled.moves[settled.moves.length - 1]
    const scatter = toCore(units === 'inch' ? 0.6 : 0.015, 'displacement', units)
    const error: Misalignment = {
      offset: { v: (this.random() - 0.5) * scatter, h: (this.random() - 0.5) * scatter },
      slope: { v: 0, h: 0 },
    }
    this.truth = lineSum(lineSum(this.truth, last?.footwork.change ?? ALIGNED), error)
    return this
  }

  /** Run warm until it stands still, stopped and locked out again; the machine moves by what it really grows (contract units). */
  async runHot(
    temperatures: readonly {
      readonly minutes: number
      readonly feet: readonly (readonly [string, string, number])[]
    }[],
    grows: Misalignment,
    permit: string,
  ): Promise<this> {
    const { units } = this.machine
    await this.write({ kind: 'hot-run-begun', payload: { at: this.moment(), left: null } }, 30)
    for (const { minutes, feet } of temperatures)
      await this.write(
        {
          kind: 'temperatures-read',
          payload: {
            units,
            at: this.moment(minutes),
            feet: feet.map(([machine, pair, value]) => ({
              machine: machine === 'stationary' ? 'stationary' : 'movable',
              pair,
              value,
            })),
          },
        },
        minutes,
      )
    await this.write({ kind: 'hot-run-ended', payload: { at: this.moment(3) } }, 3)
    this.truth = lineSum(this.truth, inputToCore(couplingLine, grows, units))
    await this.makeSafe(permit)
    return this
  }

  /** Takes the target that the hot check asks for. */
  async takeNewTarget(): Promise<this> {
    const { hot, coldTarget } = await this.state()
    const target = newTarget(hot, coldTarget, { job: this.jobId, on: this.moment() }, this.machine.units)
    if (!target) throw new Error('The demo job has no hot reading.')
    await this.write({ kind: 'hot-answered', payload: { take: 'new', target, why: '' } }, 6)
    return this
  }
}
