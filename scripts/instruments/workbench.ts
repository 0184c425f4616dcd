import type { CoupledMachine } from '../../core/register/coupledMachine'
import type { Place } from '../../core/instruments/places'
import type { MethodGiven } from '../../core/methods/methods'
import type { ActRefusal, BenchAct } from '../../core/practice/acts'
import { drawBench, type Bench, type BenchLie } from '../../core/practice/bench'
import { standsAt } from '../../core/practice/benchDials'
import { freshBench, type BenchState } from '../../core/practice/benchState'
import { actRefusal, afterAct, turnedOn } from '../../core/practice/doAct'
import { feltAt, type Felt } from '../../core/practice/instrumentsOnBench'

/** How fast hands work, a second. */
const TURNS_DEGREES = 45
const PUSHES_MM = 0.15
const STEP_MS = 25
/** A nudge: so far, and for so many seconds. */
const NUDGED_BY = 0.12
const NUDGE_LASTS = 0.8

export interface WorkbenchSetting {
  readonly machine: CoupledMachine
  readonly seed: number
  readonly lie: BenchLie
  /** In core units. */
  readonly mount: MethodGiven
}

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** A simulated machine that instruments stand on: hands turn, push and lay leaves, and the figures go with it. */
export class Workbench {
  #bench: Bench
  #state: BenchState
  /** Hands are at it until then. */
  #busy: Promise<void> = Promise.resolve()
  #nudge = { circle: '', at: -Infinity }
  /** Shown while hands are at it. */
  #underway: BenchState | null = null
  /** The span of a belt: N, kg/m, m. */
  belt = { tension: 310, mass: 0.19, span: 0.62 }

  constructor({ machine, seed, lie, mount }: WorkbenchSetting) {
    this.#bench = drawBench({ machine, seed, lie, hands: 'steady', faults: [] })
    this.#state = afterAct(this.#bench, freshBench(this.#bench), { act: 'mount', how: mount })
  }

  /** What an instrument feels now. */
  felt(place: Place): Felt | null {
    const felt = feltAt(this.#bench, this.#underway ?? this.#state, place)
    if (!felt || place.at !== 'circle') return felt
    // A nudged bracket swings and comes to rest; its neighbour hardly feels it.
    const since = (Date.now() - this.#nudge.at) / 1000
    if (since > NUDGE_LASTS) return felt
    const own = place.circle === this.#nudge.circle ? 1 : 0.05
    return { ...felt, value: felt.value + own * NUDGED_BY * Math.sin((Math.PI * since) / NUDGE_LASTS) }
  }
  /** A head or dial is nudged by hand, and let go. */
  nudge(circle: string): void {
    this.#nudge = { circle, at: Date.now() }
  }

  /** What the span of the belt rings at, hertz. */
  get rings(): number {
    const { tension, mass, span } = this.belt
    return Math.sqrt(tension / mass) / (2 * span)
  }
  /** What a gauge shows that presses the span down by a sixty-fourth of its length, N. */
  get pressed(): number {
    return this.belt.tension / 16
  }
  /** Where the shafts stand, degrees. */
  get turned(): number {
    return standsAt(this.#bench, this.#underway ?? this.#state)
  }
  /** Leaves under each foot by what is marked on them, and which bolts are loose. */
  get feet() {
    return ([1, 2, 3, 4] as const).map((foot) => ({
      foot,
      leaves: this.#state.packs[foot].map((leaf) => leaf.marked),
      loose: this.#state.loose.has(foot),
    }))
  }

  /** Does one thing as fast as hands do, after what they are at; answers why not where they can't. */
  async do(act: BenchAct): Promise<ActRefusal | null> {
    const before = this.#busy
    let free = () => {}
    this.#busy = new Promise((resolve) => (free = resolve))
    await before
    try {
      const refused = actRefusal(this.#bench, this.#state, act)
      if (refused) return refused
      if (act.act === 'turn' || act.act === 'push') await this.#slowly(act)
      this.#state = afterAct(this.#bench, this.#state, act)
      return null
    } finally {
      this.#underway = null
      free()
    }
  }

  async #slowly(act: Extract<BenchAct, { act: 'turn' | 'push' }>): Promise<void> {
    const speed = act.act === 'turn' ? TURNS_DEGREES : PUSHES_MM
    const steps = Math.ceil(Math.abs(act.by) / ((speed * STEP_MS) / 1000))
    for (let i = 1; i < steps; i++) {
      const by = (act.by * i) / steps
      this.#underway =
        act.act === 'turn'
          ? turnedOn(this.#bench, this.#state, by)
          : afterAct(this.#bench, this.#state, { ...act, by })
      await pause(STEP_MS)
    }
  }
}
