import type { Knex } from 'knex'
import type { Misalignment } from '../../core/frame/planes'
import type { FlangeState } from '../../core/jobs/flange'
import { boltsAround } from '../../core/register/flangeMachine'
import { afterBoltWork, axisOnFlange, type SimulatedFlangeMotor } from '../../core/simulate/flangeMotor'
import { lineBetween, REFERENCE_AXIS } from '../../core/simulate/shaftAxis'
import { schoolPlans } from '../../core/stages/flangePlan/plans'
import { toCore } from '../../core/units/unitSystem'
import type { FlangeFields } from '../../shared/register/flangeMachine'
import { changesOfPacks, pushIn } from '../../shared/stages/flangePlan/changes'
import { MeasuredWriter } from './measuredWriter'

/** How a motor is found: its frame leans (mil/in or mm/100 mm), and its spigot stands off (mil or mm). */
interface FoundStanding {
  readonly lean: { readonly v: number; readonly h: number }
  readonly off: { readonly v: number; readonly h: number }
}

/** A demo job on a motor that stands on a flange: a body in space that its shims and pushes move. */
export class FlangeWriter extends MeasuredWriter {
  private motor: SimulatedFlangeMotor

  constructor(
    knex: Knex,
    protected override readonly machine: FlangeFields,
    name: string,
    author: string,
    start: Date,
    { lean, off }: FoundStanding,
  ) {
    super(knex, machine, name, author, start)
    const { units, flange } = machine
    const far = (x: number) => toCore(x, 'distance', units)
    const bolts = boltsAround(flange.bolts, { v: far(flange.across.v), h: far(flange.across.h) })
    this.motor = {
      bolts,
      tops: bolts.map(() => 0),
      plane: far(flange.plane),
      centre: { v: toCore(off.v, 'displacement', units), h: toCore(off.h, 'displacement', units) },
      lean: { v: toCore(lean.v, 'slope', units), h: toCore(lean.h, 'slope', units) },
    }
  }

  protected line(): Misalignment {
    return lineBetween(axisOnFlange(this.motor), REFERENCE_AXIS)
  }

  protected async state(): Promise<FlangeState> {
    const job = await this.folded()
    if (job.kind !== 'flange') throw new Error('The demo job stands on no flange.')
    return job.state
  }

  /** The spigot as it was felt (mil or mm from stop to stop). */
  async feelSpigot(fit: 'tight' | 'loose', play: number | null): Promise<this> {
    const { units } = this.machine
    await this.write({ kind: 'spigot-felt', payload: { units, fit, play, words: '' } }, 8)
    return this
  }

  /** Takes what the job asks for, shims or a push; carries it out where `made`. */
  async move(made = true): Promise<this> {
    const { units } = this.machine
    const { machine, latest, shape, leaves, tolerance, target, need } = await this.state()
    const sets = latest.used
    const plan = schoolPlans(machine, latest, shape, leaves, tolerance, target).find(
      (p) => p.school === machine.flange.school,
    )
    const push = need.asks === 'push' && need.push ? pushIn(need.push, units) : null
    if (!push && !plan?.packs) throw new Error('The demo job asks for no shims.')
    const changes = push || !plan?.packs ? [] : changesOfPacks(plan.packs, units)
    const does = push ? 'push' : machine.flange.school
    await this.write(
      { kind: 'flange-plan-chosen', payload: { units, does, changes, push, why: '', sets } },
      6,
    )
    if (!made) return this
    if (push) {
      const counts = (v: number, h: number, when: 'pushing' | 'tightened') =>
        this.write({ kind: 'flange-counts-read', payload: { units, when, toGo: { v, h } } }, 5)
      await counts(push.v / 2, push.h, 'pushing')
      await counts(0, 0, 'pushing')
      await counts(0, 0, 'tightened')
    }
    await this.write(
      { kind: 'flange-moved', payload: { units, changes, pushed: push, remark: '' } },
      push ? 6 : 55,
    )
    const { moves } = await this.state()
    const work = moves[moves.length - 1]?.work
    if (work) this.motor = afterBoltWork(this.motor, work.added, work.push)
    return this
  }
}
