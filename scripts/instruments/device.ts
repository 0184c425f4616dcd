import {
  figureToCore,
  placeOfKey,
  stepToCore,
  type Place,
  type Speaker,
  type SpeakerUnit,
} from '../../core/instruments/places'
import { normalFrom, seededRandom } from '../../core/random/random'
import type { Told } from '../../shared/instruments/protocol'
import { overTcp, overWebSocket, type Line } from './line'
import type { Workbench } from './workbench'

/** What an instrument is made to do wrong. */
export const MISDEEDS = [
  'noise',
  'beam-lost',
  'low-battery',
  'silent',
  'flood',
  'garbage',
  'lies',
  'swapped',
] as const
export type Misdeed = (typeof MISDEEDS)[number]

/** A simulated instrument as it comes out of its case. */
export interface DeviceMake {
  readonly id: string
  readonly kind: Speaker
  readonly serial: string
  readonly unit: SpeakerUnit
  readonly graduation: number
  /** The last day its calibration holds; null where it has none. */
  readonly calibrated: string | null
  readonly perSecond: number
  readonly over: 'tcp' | 'websocket'
}

export interface Listening {
  readonly host: string
  readonly port: number
}

const COMES_BACK_AFTER = 1000
/** Seconds in which a belt gauge shows what it measured. */
const SHOWS = 3

/** A simulated instrument: pairs by a code, streams what it feels, and misbehaves when it is told to. */
export class Device {
  readonly misdeeds = new Set<Misdeed>()
  state: 'idle' | 'calling' | 'speaking' | 'refused' = 'idle'
  /** What was said to it last. */
  said = ''
  place: string | null = null
  beeps = 0
  /** How often a figure of it was taken. */
  taken = 0
  /** What it showed last, in its own unit. */
  shows: number | null = null
  #key: string | null = null
  #code: string | null = null
  #line: Line | null = null
  #timer: NodeJS.Timeout | null = null
  #zero = 0
  #battery = 83
  #tapped = -Infinity
  #again: NodeJS.Timeout | null = null
  readonly #normal

  constructor(
    readonly make: DeviceMake,
    private readonly bench: () => Workbench,
    private readonly at: Listening,
  ) {
    let seed = 7
    for (const c of make.serial) seed = Math.imul(seed, 31) + c.charCodeAt(0)
    this.#normal = normalFrom(seededRandom(seed >>> 0))
  }

  /** Calls the program with a pairing code. */
  pair(code: string): void {
    this.#code = code
    this.#key = null
    this.#call()
  }

  /** Goes away for good. */
  unpair(): void {
    this.#key = null
    this.#code = null
    this.state = 'idle'
    this.#hangUp()
  }

  /** Its line is cut; it comes back by itself, as long as it has a key. */
  cut(forMs = COMES_BACK_AFTER): void {
    this.#hangUp()
    this.#comeBack(forMs)
  }

  /** What it feels now is zero. */
  zero(): void {
    this.#zero = this.#feels()?.value ?? 0
  }
  /** A belt is tapped, or pressed. */
  tap(): void {
    this.#tapped = Date.now()
  }

  #place(): Place | null {
    return this.place === null ? null : placeOfKey(this.place)
  }

  #feels() {
    const place = this.#place()
    if (!place) return null
    if (place.at === 'belt') {
      const bench = this.bench()
      return { value: this.make.unit === 'Hz' ? bench.rings : bench.pressed, clock: null }
    }
    // Two cables changed over: each head feels what the other should.
    const swapped =
      place.at === 'circle' && this.misdeeds.has('swapped') && OTHER_HEAD[place.circle] !== undefined
    return this.bench().felt(
      swapped ? { at: 'circle', circle: OTHER_HEAD[place.circle] ?? place.circle } : place,
    )
  }

  #call(): void {
    this.#hangUp()
    this.state = 'calling'
    const over = this.make.over === 'tcp' ? overTcp : overWebSocket
    const line: Line = over(this.at.host, this.at.port, {
      opened: () => {
        const { kind, serial, unit, graduation, calibrated } = this.make
        const by = this.#key !== null ? { key: this.#key } : { code: this.#code }
        line.send({ hello: 1, kind, serial, unit, graduation, calibrated, battery: this.#level(), ...by })
      },
      told: (told) => this.#told(told),
      ended: () => {
        if (this.#line !== line) return
        this.#stop()
        if (this.state === 'speaking' || this.state === 'calling') this.#comeBack(COMES_BACK_AFTER)
      },
    })
    this.#line = line
  }

  #comeBack(inMs: number): void {
    if (this.#again) clearTimeout(this.#again)
    this.state = 'calling'
    this.#again = setTimeout(() => {
      if (this.#key !== null || this.#code !== null) this.#call()
    }, inMs)
  }

  #hangUp(): void {
    if (this.#again) clearTimeout(this.#again)
    this.#stop()
    const line = this.#line
    this.#line = null
    line?.close()
  }
  #stop(): void {
    if (this.#timer) clearInterval(this.#timer)
    this.#timer = null
  }

  #told(told: Told): void {
    if ('welcome' in told) {
      this.#key = told.key
      this.#code = null
      this.place = told.place
      this.state = 'speaking'
      this.said = ''
      this.#speak()
    } else if ('refused' in told) {
      this.said = told.say
      // After a flood it comes back; without a place it does not.
      if (told.refused === 'flood' || told.refused === 'garbage' || told.refused === 'silent') return
      this.state = 'refused'
      this.#key = null
      this.#code = null
    } else if ('wrong' in told) this.said = told.say
    else if (told.do === 'zero') this.zero()
    else if (told.do === 'take') this.taken += 1
    else this.beeps += 1
  }

  #level(): number {
    return this.misdeeds.has('low-battery') ? 8 : this.#battery
  }

  #speak(): void {
    this.#stop()
    const every = 1000 / this.make.perSecond
    let quiet = 0
    this.#timer = setInterval(() => {
      if (this.misdeeds.has('silent')) return
      if (this.misdeeds.has('flood')) for (let i = 0; i < 400; i++) this.#sample()
      if (this.misdeeds.has('garbage')) this.#line?.send('{"t": 1, "v": ')
      if (this.misdeeds.has('lies')) this.#lie()
      else if (this.make.kind !== 'belt-gauge' || Date.now() - this.#tapped < SHOWS * 1000) this.#sample()
      else if ((quiet += every) > 1500) {
        quiet = 0
        this.shows = null
        this.#line?.send({ alive: 1, battery: this.#level() })
      }
    }, every)
  }

  #sample(): void {
    const felt = this.#feels()
    const lost = this.misdeeds.has('beam-lost') || felt === null
    const { graduation, unit, kind } = this.make
    const rough = this.misdeeds.has('noise') ? 12 : kind === 'thermometer' ? 0.2 : 0.35
    const own = felt ? (felt.value - this.#zero - figureToCore(0, unit)) / stepToCore(1, unit) : 0
    const shown = Math.round(own / graduation + rough * this.#normal()) * graduation
    this.shows = lost ? null : Number(shown.toFixed(6))
    this.#line?.send({
      t: Date.now() / 1000,
      v: this.shows,
      ...(felt?.clock != null
        ? { clock: Number(((felt.clock + 0.1 * this.#normal() + 720) % 360).toFixed(2)) % 360 }
        : {}),
      quality: lost ? 'none' : this.misdeeds.has('noise') ? 'poor' : 'good',
      battery: this.#level(),
    })
  }

  /** Figures that can't be: out of bounds, an angle that is none, a time long past. */
  #lie(): void {
    const lies = [
      { t: Date.now() / 1000, v: 1e300 },
      { t: Date.now() / 1000, v: 0, clock: 400 },
      { t: 1, v: 0 },
    ]
    this.#line?.send(lies[Math.floor((Date.now() / 300) % lies.length)] as object)
  }
}

const OTHER_HEAD: Readonly<Record<string, string>> = { stationary: 'movable', movable: 'stationary' }
