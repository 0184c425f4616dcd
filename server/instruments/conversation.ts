import { figureToCore, type SpeakerUnit } from '../../core/instruments/places'
import {
  EVERY_SECONDS,
  hello as helloSchema,
  LONGEST_LINE,
  MOST_A_SECOND,
  said as saidSchema,
  type Command,
  type Hello,
  type Refusal,
  type Said,
  type Told,
} from '../../shared/instruments/protocol'
import { issuesOf } from '../../shared/calculation/issues'
import { answerWords } from '../../shared/wording/viewWords'
import { holdLine, instrumentsChanged, letGo, passSample, type HeldLine, type LineState } from './hub'
import type { Welcome } from './pairing'
import { Rate } from './rate'

/** The two directions of a line, whatever carries it. */
export interface Wire {
  readonly send: (told: Told) => void
  readonly close: () => void
  /** The address it comes from. */
  readonly from: string
}

/** What a line is asked about before it is let in. */
export interface Doorkeeper {
  readonly receive: (hello: Hello) => Promise<Welcome>
  /** Whether this address may try a code, or has guessed too often. */
  readonly mayTry: (from: string) => boolean
  readonly failed: (from: string) => void
  /** Whether this instrument was sent away for a flood a moment ago. */
  readonly restsFor: (serial: string) => boolean
  readonly flooded: (serial: string) => void
}

const w = answerWords.instruments
/** Seconds until the hello must have come. */
const HELLO_SECONDS = 5
/** Nothing heard for so long: silent. For much longer: given up. */
export const SILENT_SECONDS = 1.5 * EVERY_SECONDS
const GIVEN_UP_SECONDS = 30
/** Lines a second that are read at all; more is a flood. */
const MOST_LINES = 1000
/** Lines that can't be read, one after another or nearly, until the line is closed. */
const MOST_WRONG = 20
/** Milliseconds between two remarks about the same trouble. */
const REMARK_EVERY = 5000
const TROUBLE_FOR = 10_000

/**
 * One line to an instrument, from its hello to its end. Nothing it sends can hold up another: it is read line by
 * line, samples beyond the rate are left out, garbage and floods end it.
 */
export class Conversation {
  #state: 'new' | 'asking' | 'bound' | 'over' = 'new'
  #instrument: { readonly serial: string; readonly unit: SpeakerUnit } | null = null
  #held: HeldLine | null = null
  #place = ''
  #battery: number | null = null
  #time = -Infinity
  #heardAt = Date.now()
  #silent = false
  #wrong = 0
  #trouble: { what: 'flood' | 'garbage'; until: number } | null = null
  #remarked = -Infinity
  readonly #samples = new Rate(MOST_A_SECOND, Date.now())
  readonly #lines = new Rate(MOST_LINES, Date.now())
  readonly #startedAt = Date.now()

  constructor(
    private readonly wire: Wire,
    private readonly door: Doorkeeper,
  ) {}

  get over(): boolean {
    return this.#state === 'over'
  }
  get bound(): boolean {
    return this.#state === 'bound'
  }

  /** A line as it came, without its end. */
  line(text: string): void {
    if (this.over) return
    const now = Date.now()
    if (!this.#lines.pass(now)) {
      if (this.#instrument) this.door.flooded(this.#instrument.serial)
      return this.#dismiss('flood')
    }
    if (this.#state === 'asking') return
    let parsed: unknown
    try {
      parsed = JSON.parse(text)
    } catch {
      return this.#state === 'new' ? this.#dismiss('bad-hello') : this.#wrongLine('not-json', w.notJson)
    }
    if (this.#state === 'new') return this.#hello(parsed)
    const read = saidSchema.safeParse(parsed)
    if (!read.success) return this.#wrongLine('bad-line', issuesOf(read.error)[0]?.message ?? w.notJson)
    this.#heard(now)
    this.#wrong = Math.max(0, this.#wrong - 0.1)
    this.#said(read.data, now)
  }

  /** A line was longer than any may be. */
  overlong(): void {
    if (this.#state === 'new') this.#dismiss('bad-hello')
    else this.#wrongLine('too-long', w.tooLong(LONGEST_LINE))
  }

  /** The other end is gone. */
  ended(): void {
    if (this.over) return
    this.#state = 'over'
    if (this.#held) letGo(this.#held)
  }

  /** Looks at the clock: a hello that never came, a line that fell silent. */
  tick(now: number): void {
    if (this.#state === 'new' || this.#state === 'asking') {
      if (now - this.#startedAt > HELLO_SECONDS * 1000) this.#dismiss('bad-hello')
      return
    }
    if (this.#state !== 'bound' || !this.#held) return
    const quiet = (now - this.#heardAt) / 1000
    if (quiet > GIVEN_UP_SECONDS) return this.#dismiss('silent')
    const changed = quiet > SILENT_SECONDS && !this.#silent
    if (changed) this.#silent = true
    const eased = this.#trouble !== null && this.#trouble.until < now
    if (eased) this.#trouble = null
    if (changed || eased) void instrumentsChanged(this.#held.jobId)
  }

  #hello(parsed: unknown): void {
    const read = helloSchema.safeParse(parsed)
    if (!read.success)
      return this.#dismiss('bad-hello', `${w.refused['bad-hello']} ${issuesOf(read.error)[0]?.message ?? ''}`)
    const { data } = read
    // A key can't be guessed; a code might be.
    if (data.key === undefined && !this.door.mayTry(this.wire.from)) return this.#dismiss('too-many')
    if (this.door.restsFor(data.serial)) return this.#dismiss('flood')
    this.#state = 'asking'
    this.#battery = data.battery ?? null
    this.door.receive(data).then(
      (welcome) => this.#welcome(welcome, data),
      // The database is away: the instrument comes back by itself.
      () => this.#end(),
    )
  }

  #welcome(welcome: Welcome, data: Hello): void {
    if (this.over) return
    if ('refused' in welcome) {
      this.door.failed(this.wire.from)
      return this.#dismiss(welcome.refused)
    }
    const { link, key } = welcome
    this.#state = 'bound'
    this.#instrument = { serial: data.serial, unit: data.unit }
    this.#place = link.place
    this.#heardAt = Date.now()
    this.wire.send({ welcome: 1, place: link.place, key, every: EVERY_SECONDS })
    this.#held = {
      linkId: link.id,
      jobId: link.jobId,
      standing: () => this.#standing(),
      tell: (command: Command) => this.wire.send({ do: command }),
      moved: (place) => {
        this.#place = place
      },
      dismiss: (why) => this.#dismiss(why),
    }
    holdLine(this.#held)
    for (const job of welcome.left) void instrumentsChanged(job)
  }

  #standing(): LineState {
    return {
      state: this.#silent ? 'silent' : 'speaking',
      battery: this.#battery,
      trouble: this.#trouble?.what ?? null,
    }
  }

  #heard(now: number): void {
    this.#heardAt = now
    if (!this.#silent || !this.#held) return
    this.#silent = false
    void instrumentsChanged(this.#held.jobId)
  }

  #said(said: Said, now: number): void {
    if ('bye' in said) return this.#end()
    if (said.battery !== undefined && said.battery !== this.#battery) {
      const shown = Math.round(said.battery / 5) !== Math.round((this.#battery ?? -100) / 5)
      this.#battery = said.battery
      if (shown && this.#held) void instrumentsChanged(this.#held.jobId)
    }
    if ('alive' in said || !this.#held || !this.#instrument) return
    if (!this.#samples.pass(now)) return this.#troubled('flood', 'too-fast', w.tooFast(MOST_A_SECOND), now)
    if (said.t < this.#time) return this.#wrongLine('time', w.backInTime)
    this.#time = said.t
    passSample(this.#held.jobId, {
      place: this.#place,
      t: said.t,
      v: said.v === null || said.quality === 'none' ? null : figureToCore(said.v, this.#instrument.unit),
      clock: said.clock === undefined ? null : said.clock % 360,
      poor: said.quality === 'poor',
    })
  }

  #wrongLine(code: string, say: string): void {
    this.#wrong += 1
    if (this.#wrong > MOST_WRONG) return this.#dismiss('garbage')
    this.wire.send({ wrong: code, say })
    this.#troubled('garbage', null, '', Date.now())
  }

  #troubled(what: 'flood' | 'garbage', code: string | null, say: string, now: number): void {
    const news = this.#trouble?.what !== what
    this.#trouble = { what, until: now + TROUBLE_FOR }
    if (news && this.#held) void instrumentsChanged(this.#held.jobId)
    if (code === null || now - this.#remarked < REMARK_EVERY) return
    this.#remarked = now
    this.wire.send({ wrong: code, say })
  }

  #dismiss(why: Refusal, say: string = w.refused[why]): void {
    if (this.over) return
    this.wire.send({ refused: why, say })
    this.#end()
  }

  #end(): void {
    this.ended()
    this.wire.close()
  }
}
