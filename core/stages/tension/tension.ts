import { gaugeDeflectionOf, spreadLimitOf } from '../../belt/beltLimits'
import { judgeBeltSet, type BeltSetAdvice } from '../../belt/beltSet'
import type { BeltDrive } from '../../belt/geometry'
import {
  deflectionForce,
  designTension,
  shaftLoad,
  spanFrequency,
  tensionFromForce,
  tensionFromFrequency,
  type BeltSpring,
} from '../../belt/tension'
import { judgeTension, type TensionBand, type TensionVerdict } from '../../belt/tensionBand'
import {
  marginIn,
  verdictOfMargin,
  worstVerdict,
  type Verdict,
  type VerdictOrUnknown,
} from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { BeltMachine } from '../../register/beltMachine'
import { toCore, type Millimetres, type Newtons } from '../../units/unitSystem'
import { driveOf } from '../lineUp/line'
import { bandOf, loadOf, massOf, pushedTogether, stiffnessOf } from './band'

/** Why a reading gives no tension. */
export type NoTension = 'no-mass' | 'no-stiffness' | 'screening' | 'stiffness-alone'

/** One belt of the set. */
export interface BeltRead {
  /** As it was read: newtons, millimetres or hertz. */
  readonly value: number
  /** Null where the school gives none; see `why`. */
  readonly tension: Newtons | null
  readonly verdict: Verdict | null
  readonly leans: TensionVerdict | null
}

/** The set's tension in the words of the other schools, so that they can be set against one another. */
export interface SameTension {
  readonly deflection: Millimetres
  readonly force: Newtons
  /** Null without the mass of the belt. */
  readonly frequency: number | null
  /** Elongation as a share; null without its stiffness. */
  readonly strain: number | null
}

/** A reading of a set of belts, judged. Newtons, millimetres. */
export interface TensionRead {
  readonly entry: LogEntry<'tension-read'>
  readonly drive: BeltDrive
  readonly belts: readonly BeltRead[]
  readonly why: NoTension | null
  readonly mean: Newtons | null
  /** (largest - smallest) / mean. */
  readonly spread: number
  readonly spreadLimit: number
  readonly unmatched: boolean
  readonly band: TensionBand | null
  /** Deflections that its maker's window allows, where the hand is judged by one. */
  readonly window: readonly [Millimetres, Millimetres] | null
  readonly leans: TensionVerdict | null
  readonly advice: BeltSetAdvice | null
  readonly same: SameTension | null
  readonly pull: {
    readonly atRest: Newtons
    readonly limit: Newtons | null
    readonly verdict: Verdict | null
  } | null
  readonly verdict: VerdictOrUnknown
}

/** What was read at each belt, in contract units. */
export const valuesOf = (read: LogEntry<'tension-read'>['payload']['read']): readonly number[] => {
  switch (read.by) {
    case 'force':
      return read.forces
    case 'frequency':
      return read.hertz
    case 'marks':
      return read.apart
    default:
      return read.deflections
  }
}

const measureOf = { force: 'force', deflection: 'distance', marks: 'distance', hand: 'distance' } as const

/** Tension of one belt by its school; a reason where it gives none. */
const tensionOf = (
  { payload: { units, read } }: LogEntry<'tension-read'>,
  value: number,
  drive: BeltDrive,
  spring: BeltSpring,
  mass: number | null,
  together: number,
): Newtons | NoTension => {
  const mm = (x: number) => toCore(x, 'distance', units)
  const orStiff = (t: ReturnType<typeof tensionFromForce>) => (t.ok ? t.value : 'stiffness-alone')
  switch (read.by) {
    case 'force':
      return orStiff(tensionFromForce(drive, spring, value / together, mm(read.deflection)))
    case 'deflection':
      return orStiff(tensionFromForce(drive, spring, toCore(read.force, 'force', units) / together, value))
    case 'frequency':
      return mass === null ? 'no-mass' : orStiff(tensionFromFrequency(drive, value, mass, 0))
    case 'marks':
      return spring.stiffness === 0
        ? 'no-stiffness'
        : (spring.stiffness * (value - mm(read.slack))) / mm(read.slack)
    case 'hand':
      return 'screening'
  }
}

/** The middle of the deflections a hand found against its window: more give is slack. */
const handLeans = (value: number, [least, most]: readonly [number, number]): TensionVerdict =>
  value > most ? 'slack' : value < least ? 'tight' : 'in'

/** Reads and judges a set of belts; null where the registered sheaves would touch. */
export const readTension = remember(
  (entry: LogEntry<'tension-read'>, machine: BeltMachine): TensionRead | null => {
    const drive = driveOf(machine)
    if (!drive) return null
    const { units, read, age, sheaves } = entry.payload
    const spring: BeltSpring = { stiffness: stiffnessOf(machine), sheaves }
    const mass = massOf(machine)
    const together = pushedTogether(machine)
    const band = bandOf(machine, drive, spring, age)
    const values = valuesOf(read).map((x) =>
      read.by === 'frequency' ? x : toCore(x, measureOf[read.by], units),
    )
    const tensions = values.map((v) => tensionOf(entry, v, drive, spring, mass, together))
    const why = tensions.find((t) => typeof t === 'string') ?? null
    const window =
      read.by === 'hand' && read.window
        ? ([toCore(read.window[0], 'distance', units), toCore(read.window[1], 'distance', units)] as const)
        : null
    const belts = values.map((value, i): BeltRead => {
      const t = tensions[i]
      const tension = typeof t === 'number' ? t : null
      if (window)
        return {
          value,
          tension,
          verdict: verdictOfMargin(marginIn(value, window)),
          leans: handLeans(value, window),
        }
      return {
        value,
        tension,
        verdict: band && tension !== null ? verdictOfMargin(marginIn(tension, band.tension)) : null,
        leans: band && tension !== null ? judgeTension(tension, band.tension).verdict : null,
      }
    })
    const known = belts.map((b) => b.tension).filter((t) => t !== null)
    const whole = known.length === belts.length ? known : null
    const mean = whole ? whole.reduce((s, t) => s + t, 0) / whole.length : null
    // A screening by hand still shows a set that doesn't belong together.
    const compared = whole ?? values
    const spreadLimit = spreadLimitOf(machine).value
    const set = judgeBeltSet(
      compared.map((tension, i) => ({ id: String(i), tension })),
      band?.tension ?? [0, Infinity],
      spreadLimit,
    )
    const middle = values.reduce((s, v) => s + v, 0) / values.length
    const leans = window
      ? handLeans(middle, window)
      : band && mean !== null
        ? judgeTension(mean, band.tension).verdict
        : null
    const load = loadOf(machine, drive)
    const limit =
      machine.tension?.shaftLoadMost === undefined
        ? null
        : toCore(machine.tension.shaftLoadMost, 'force', machine.units)
    const atRest =
      mean === null
        ? null
        : shaftLoad(drive, machine.belts.count, {
            ...(load ? designTension(drive, load) : { effective: 0, ratio: 1, centrifugal: 0 }),
            staticTension: mean,
          }).atRest
    const pull =
      atRest === null
        ? null
        : { atRest, limit, verdict: limit === null ? null : verdictOfMargin(marginIn(atRest, [null, limit])) }
    const deflection = gaugeDeflectionOf(machine, drive).value
    const judged = belts.map((b): VerdictOrUnknown => b.verdict ?? 'unknown')
    return {
      entry,
      drive,
      belts,
      why,
      mean,
      spread: set.spread,
      spreadLimit,
      unmatched: set.unmatched,
      band,
      window,
      leans,
      advice: set.unmatched
        ? 'replace-set'
        : leans === null
          ? null
          : leans === 'slack'
            ? 'tighten'
            : leans === 'tight'
              ? 'slacken'
              : 'leave',
      same:
        mean === null
          ? null
          : {
              deflection,
              force: together * deflectionForce(drive, spring, mean, deflection),
              frequency: mass === null ? null : spanFrequency(drive, mean, mass),
              strain: spring.stiffness === 0 ? null : mean / spring.stiffness,
            },
      pull,
      verdict: worstVerdict([
        ...judged,
        ...(set.unmatched ? (['out'] as const) : []),
        ...(pull?.verdict ? [pull.verdict] : []),
      ]),
    }
  },
)
