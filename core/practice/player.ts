import { PLANES, type Plane } from '../frame/planes'
import type { LogEntry } from '../logbook/entry'
import { fromCore, type Degrees } from '../units/unitSystem'
import { worthwhilePlan, planChanges, plansFor } from '../stages/plan/planning'
import type { BenchAct } from './acts'
import { footNumber, type Bench } from './bench'
import { dialNow, dialsOn } from './benchDials'
import { freshBench, type BenchState } from './benchState'
import { afterAct } from './doAct'
import { stateOf } from './stateOf'
import { openingActs, openingEntries } from './opening'
import type { CoupledStageId } from '../jobs/coupled'
import { settleSetUp } from '../stages/setUp/setUp'
import { TryPlayer } from './tryPlayer'

/** Somebody at the bench, for tests: does things with hands, reads needles, writes them down. */
export class BenchPlayer extends TryPlayer {
  readonly opened: number
  now: BenchState

  constructor(
    readonly bench: Bench,
    from: CoupledStageId,
  ) {
    super()
    this.now = freshBench(bench)
    for (const body of openingEntries(bench, from)) this.write(body)
    this.do(...openingActs(bench))
    this.opened = this.steps.length
  }

  do(...acts: readonly BenchAct[]): this {
    for (const act of acts) {
      this.now = afterAct(this.bench, this.now, act)
      this.steps.push({ at: this.clock(), act })
    }
    return this
  }

  get state() {
    return stateOf(this.bench.setting.machine, [...this.entries])
  }

  /** Dials mounted as the set-up in force says. */
  mount(): this {
    const { setUp } = this.state
    return setUp ? this.do({ act: 'mount', how: settleSetUp(setUp.entry).how }) : this
  }

  /** Zeroes the dials at 12, turns once round and writes down what the needles show at these places. */
  read(as: (value: number, circle: string, clock: Degrees) => number = (v) => v): LogEntry {
    const circles = dialsOn(this.now)
    const { units } = this.bench.setting.machine
    const step = units === 'inch' ? 0.5 : 0.01
    const shows = (circle: string) =>
      Math.round(fromCore(dialNow(this.bench, this.now, circle), 'displacement', units) / step) * step
    for (const circle of circles) this.do({ act: 'zero', circle })
    const read: Record<string, { clock: number; value: number }[]> = Object.fromEntries(
      circles.map((c) => [c, [{ clock: 0, value: 0 }]]),
    )
    for (const clock of [90, 180, 270]) {
      this.do({ act: 'turn', by: 90 })
      for (const circle of circles) read[circle]?.push({ clock, value: as(shows(circle), circle, clock) })
    }
    this.do({ act: 'turn', by: 90 })
    const returned = Object.fromEntries(circles.map((c) => [c, shows(c)]))
    const entry = this.write({ kind: 'readings-taken', payload: { units, circles: read, returned } })
    // The bench keeps its checks quiet: what fails one is used all the same.
    if (this.state.latest.trust === 'doubtful')
      this.write({ kind: 'set-used-anyway', payload: { set: entry.id, why: 'quiet' } })
    return entry
  }

  /** Makes the move that the program would make in these planes, with its leaves and pushes, and logs it. */
  move(planes: readonly Plane[] = PLANES): this {
    const plans = plansFor(this.state)
    const plan = plans && worthwhilePlan(plans.plans)
    if (!plan) return this
    const { machine } = this.bench.setting
    const whole = planChanges(plan, machine.units)
    const changes = planes.includes('v') ? whole.changes : []
    const side = planes.includes('h') ? whole.side : []
    const mm = (t: number) => t * (machine.units === 'inch' ? 0.0254 : 1)
    this.do({ act: 'bolts', tight: false })
    for (const c of changes)
      this.do({
        act: 'leaves',
        foot: footNumber(c.pair === machine.feet.movable[0]?.id ? 0 : 1, c.side),
        out: c.takenOut.map(mm),
        in: c.putIn.map(mm),
      })
    for (const s of side)
      this.do({
        act: 'push',
        machine: s.machine,
        pair: s.pair === machine.feet.movable[0]?.id ? 0 : 1,
        by: mm(s.moved),
      })
    this.do({ act: 'bolts', tight: true })
    this.write({ kind: 'move-made', payload: { units: machine.units, changes, side, remark: '' } })
    return this
  }
}
