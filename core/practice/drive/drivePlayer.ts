import type { BeltStageId } from '../../jobs/belt'
import type { LogEntry } from '../../logbook/entry'
import type { BeltAge } from '../../belt/tension'
import { LINE_STEPS, type LineStep } from '../../stages/lineUp/entries'
import { fromCore } from '../../units/unitSystem'
import { otherSheave } from '../../register/beltMachine'
import type { DriveAct } from './driveActs'
import type { DriveBench } from './driveBench'
import { driveStateOf } from './driveDoubts'
import { freshDrive, tensionsNow, type DriveState } from './driveState'
import { afterDriveAct } from './doDrive'
import { openingDriveActs, openingDriveEntries } from './driveOpening'
import { edgeNow, gaugeDeflection, gaugeNow, ringsNow, tiltMarks, type EdgeLaid } from './driveSeen'
import { TryPlayer } from '../tryPlayer'

const FLAT: EdgeLaid = { edgeOn: 'driven', edgeSide: 'outer' }

/** Somebody at a belt drive on the bench, for tests: does things with hands, reads edge and gauge, writes them down. */
export class DrivePlayer extends TryPlayer {
  readonly opened: number
  now: DriveState

  constructor(
    readonly bench: DriveBench,
    from: BeltStageId,
  ) {
    super()
    this.now = freshDrive(bench)
    const [entries, acts] = [openingDriveEntries(bench, from), openingDriveActs(bench, from)]
    for (const body of entries) this.write(body)
    this.do(...acts)
    this.opened = this.steps.length
  }

  do(...acts: readonly DriveAct[]): this {
    for (const act of acts) {
      this.now = afterDriveAct(this.bench, this.now, act)
      this.steps.push({ at: this.clock(), act })
    }
    return this
  }

  get state() {
    return driveStateOf(this.bench.setting.machine, [...this.entries])
  }

  private own(mm: number, digits = 2) {
    return Number(fromCore(mm, 'distance', this.bench.setting.machine.units).toFixed(digits))
  }

  /** Where the edge lies flat: on the driven sheave's outer face where it does, since that one is larger. */
  flat(): EdgeLaid {
    const lays = (['driven', 'motor'] as const).flatMap((edgeOn) =>
      (['outer', 'inner'] as const).map((edgeSide) => ({ edgeOn, edgeSide })),
    )
    const shifts = ['level', 'up', 'down'] as const
    return lays.find((laid) => shifts.every((s) => !edgeNow(this.bench, this.now, laid, s).rocks)) ?? FLAT
  }

  /** Lays the edge and writes down what its blades find. */
  readLine(
    laid: EdgeLaid = FLAT,
    { tilt = true, half = false }: { readonly tilt?: boolean; readonly half?: boolean } = {},
  ): LogEntry {
    const { units } = this.bench.setting.machine
    const across = (place: 'motor' | 'driven') => this.own(2 * this.bench.geometry.radius[place], 3)
    const read = () => {
      const shows = edgeNow(this.bench, this.now, laid)
      const at = (way: 'up' | 'down') => this.own(edgeNow(this.bench, this.now, laid, way).middle)
      return {
        shows,
        p1: this.own(shows.other.near),
        p2: this.own(shows.other.far),
        tilt: tilt ? { g12: at('up'), g6: at('down') } : null,
      }
    }
    const first = read()
    if (half) this.do({ act: 'half-turn' })
    const second = half ? read() : null
    if (half) this.do({ act: 'half-turn' })
    const { shows } = first
    return this.write({
      kind: 'sheaves-read',
      payload: {
        ...laid,
        units,
        p1: first.p1,
        p2: first.p2,
        w: across(otherSheave(laid.edgeOn)),
        reference: shows.rocks
          ? {
              r1: this.own(shows.reference.far),
              r2: this.own(shows.reference.near),
              wR: across(laid.edgeOn),
            }
          : null,
        tilt: first.tilt && { ...first.tilt, h: this.own(tiltMarks(this.bench)) },
        by: 'edge',
        ...(second ? { halfTurn: { p1: second.p1, p2: second.p2, tilt: second.tilt } } : {}),
      },
    })
  }

  /** Makes the corrections that the last reading asks for, those of these steps, and logs them. */
  correct(steps: readonly LineStep[] = LINE_STEPS, { bump = true }: { readonly bump?: boolean } = {}): this {
    const { state } = this
    const line = state.lines[state.lines.length - 1]
    const read = state.alignment[state.alignment.length - 1]?.reading
    if (!line || !read) return this
    const { corrections: c } = line
    const side = read.payload.edgeSide === 'outer' ? 1 : -1
    const { screwPitch } = this.bench.geometry
    this.do({ act: 'base', tight: false })
    if (steps.includes('tilt')) this.do({ act: 'far-feet', by: c.tilt.farFeetShim })
    if (steps.includes('turn'))
      this.do({ act: 'screw', end: 'farEnd', turns: c.turn.farEndSlide / screwPitch })
    if (bump) this.do({ act: 'bump' })
    if (steps.includes('offset')) this.do({ act: 'slide-sheave', by: -side * c.offset.sheaveSlide })
    this.write({ kind: 'line-corrected', payload: { steps: [...steps], remark: '' } })
    return this
  }

  /** Turns both screws until the mean tension lies so far up its band, as a share, and logs the turns. */
  tighten(upTheBand = 0.5): this {
    const { band, geometry } = this.bench
    const [low, high] = band[this.ageTold]
    const wanted = low + upTheBand * (high - low)
    const mean = (turns: number) => {
      const by = turns * geometry.screwPitch
      const moved = { sheaveEnd: this.now.ends.sheaveEnd + by, farEnd: this.now.ends.farEnd + by }
      const list = tensionsNow(this.bench, { ...this.now, tight: false, ends: moved })
      return list.reduce((s, t) => s + t, 0) / list.length
    }
    let [a, b] = [-4, 14]
    for (let i = 0; i < 50; i++) {
      const middle = (a + b) / 2
      if (mean(middle) < wanted) a = middle
      else b = middle
    }
    this.do({ act: 'base', tight: false })
    for (const end of ['sheaveEnd', 'farEnd'] as const) this.do({ act: 'screw', end, turns: a })
    this.write({ kind: 'tension-adjusted', payload: { sheaveEnd: a, farEnd: a, words: '' } })
    return this
  }

  /** How old the belts are told to be; the truth unless a test says otherwise. */
  ageTold: BeltAge = 'run-in'

  readTension(age: BeltAge = this.ageTold): LogEntry {
    this.ageTold = age
    const { units, belts } = this.bench.setting.machine
    const forces = Array.from({ length: belts.count }, (_, belt) => {
      this.do({ act: 'push-belt', belt })
      return Number(fromCore(gaugeNow(this.bench, this.now, belt), 'force', units).toFixed(1))
    })
    return this.write({
      kind: 'tension-read',
      payload: {
        units,
        age,
        sheaves: 'free',
        read: { by: 'force', deflection: this.own(gaugeDeflection(this.bench), 3), forces },
        words: '',
      },
    })
  }

  /** The same by tapping each belt. */
  tapTension(as: (hertz: number) => number = (v) => v): LogEntry {
    const { units, belts } = this.bench.setting.machine
    const hertz = Array.from({ length: belts.count }, (_, belt) => {
      this.do({ act: 'tap-belt', belt })
      return as(Number((ringsNow(this.bench, this.now, belt) ?? 0).toFixed(1)))
    })
    return this.write({
      kind: 'tension-read',
      payload: { units, age: this.ageTold, sheaves: 'free', read: { by: 'frequency', hertz }, words: '' },
    })
  }

  /** Draws the base down and logs it. */
  drawDown(): this {
    this.do({ act: 'base', tight: true })
    this.write({ kind: 'base-tightened', payload: { words: '' } })
    return this
  }
}
