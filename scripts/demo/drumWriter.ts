import type { Knex } from 'knex'
import { ALIGNED, lineSum, type Misalignment } from '../../core/frame/planes'
import type { DrumState } from '../../core/jobs/drum'
import { plansFor, planChanges, worthwhilePlan } from '../../core/stages/plan/planning'
import { fromCore, toCore } from '../../core/units/unitSystem'
import type { DrumFields } from '../../shared/register/drumMachine'
import { onlyPlane, planeInTurn } from '../../shared/stages/tram/plan'
import { MeasuredWriter } from './measuredWriter'

/** A demo job on a motor that is trammed to its drum: what moves it, and how its drum runs. */
export class DrumWriter extends MeasuredWriter {
  private truth: Misalignment

  constructor(
    knex: Knex,
    protected override readonly machine: DrumFields,
    name: string,
    author: string,
    start: Date,
    /** How it is found (mil or mm, mil/in or mm/100 mm). */
    found: { readonly offset: { v: number; h: number }; readonly slope: { v: number; h: number } },
  ) {
    super(knex, machine, name, author, start)
    const { units } = machine
    const small = (t: number) => toCore(t, 'displacement', units)
    const angle = (t: number) => toCore(t, 'slope', units)
    this.truth = {
      offset: { v: small(found.offset.v), h: small(found.offset.h) },
      slope: { v: angle(found.slope.v), h: angle(found.slope.h) },
    }
  }

  protected line(): Misalignment {
    return this.truth
  }

  protected async state(): Promise<DrumState> {
    const job = await this.folded()
    if (job.kind !== 'drum') throw new Error('The demo job stands at no drum.')
    return job.state
  }

  /** Reads until two sets agree, four times at most. */
  async readUntilAgreed(): Promise<this> {
    for (let i = 0; i < 4; i++) {
      await this.read()
      if ((await this.state()).latest.trust === 'agreed') break
    }
    return this
  }

  /** Does what the step in turn asks for; its shims shift the side by `shift` (mil or mm). */
  async step(shift = 0, made = true): Promise<this> {
    const { units } = this.machine
    const state = await this.state()
    const plane = planeInTurn(state)
    const plan = worthwhilePlan(plansFor(state)?.plans ?? [])
    if (!plane || !plan) throw new Error('The demo job asks for no move.')
    const { changes, side } = onlyPlane(planChanges(plan, units), plane, units)
    const sets = state.latest.used
    await this.write({ kind: 'plan-chosen', payload: { units, option: plan.kind, changes, side, sets } }, 5)
    if (!made) return this
    await this.write(
      { kind: 'move-made', payload: { units, changes, side, remark: '' } },
      plane === 'v' ? 35 : 12,
    )
    const { moves } = await this.state()
    const change = moves[moves.length - 1]?.footwork.change ?? ALIGNED
    const aside = { offset: { v: 0, h: toCore(shift, 'displacement', units) }, slope: { v: 0, h: 0 } }
    this.truth = lineSum(lineSum(this.truth, change), aside)
    return this
  }

  /** The drum turned mark by mark: out of centre by so much toward a mark (mil or mm). */
  async turnDrum(by: number, mark: number): Promise<this> {
    const { units } = this.machine
    const step = toCore(units === 'inch' ? 0.5 : 0.01, 'displacement', units)
    const readings = [0, 45, 90, 135, 180, 225, 270, 315].map((clock) => {
      const mm = toCore(by * Math.cos(((clock - mark) * Math.PI) / 180), 'displacement', units)
      return {
        clock,
        value: Number(fromCore(Math.round(mm / step) * step, 'displacement', units).toFixed(4)),
      }
    })
    await this.write(
      {
        kind: 'runout-read',
        payload: {
          units,
          machine: 'stationary',
          surface: 'rim',
          diameter: null,
          readings,
          limit: null,
          remark: '',
        },
      },
      9,
    )
    return this
  }

  async tap(mark: number): Promise<this> {
    await this.write({ kind: 'drum-tapped', payload: { surface: 'rim', mark, words: '' } }, 4)
    return this
  }
}
