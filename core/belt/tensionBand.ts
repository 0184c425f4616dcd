import { done, type Outcome } from '../outcome'
import type { Millimetres, Newtons } from '../units/unitSystem'
import type { BeltDrive } from './geometry'
import {
  BAND_FACTORS,
  designTension,
  tensionFromForce,
  type BeltAge,
  type BeltLoad,
  type BeltSpring,
} from './tension'

export type Interval = readonly [low: number, high: number]
export type BandFactors = Readonly<Record<BeltAge, Interval>>
export type BandSource = 'given' | 'sticker' | 'chart' | 'power'

/** A row of the site's chart: forces at the gauge deflection for a range of small sheaves and speeds. */
export interface ChartRow {
  readonly section: string
  readonly construction?: string
  readonly smallSheave: Interval
  readonly speed?: Interval
  /** Null where the chart says nothing of belts of that age. */
  readonly force: Readonly<Record<BeltAge, Interval | null>>
}

/** Where a tension band may come from; the first that is there rules. */
export interface BandGiven {
  readonly tension?: Interval
  /** Force range of the drive's sticker or manual, at this deflection. */
  readonly sticker?: { readonly force: Interval; readonly deflection: Millimetres }
  readonly chart?: {
    readonly rows: readonly ChartRow[]
    readonly section: string
    readonly construction?: string
    readonly speed?: number
    readonly deflection: Millimetres
  }
  readonly load?: BeltLoad
  readonly factors?: BandFactors
}

export interface TensionBand {
  readonly tension: Interval
  readonly source: BandSource
}

const within = (x: number, [low, high]: Interval) => x >= low && x <= high

/** The chart row that fits the section, the small sheave and the speed; null when none does. */
export const chartRow = (chart: NonNullable<BandGiven['chart']>, small: Millimetres): ChartRow | null =>
  chart.rows.find(
    (row) =>
      row.section === chart.section &&
      (row.construction === undefined || row.construction === chart.construction) &&
      within(small, row.smallSheave) &&
      (row.speed === undefined || chart.speed === undefined || within(chart.speed, row.speed)),
  ) ?? null

/**
 * The tension band for a belt of this age: as given, from the sticker, from the site's chart, or
 * from power and speed, in that order; null when nothing gives one. Newtons per belt.
 */
export const tensionBand = (
  drive: BeltDrive,
  spring: BeltSpring,
  age: BeltAge,
  given: BandGiven,
): Outcome<TensionBand | null> => {
  const fromForces = (force: Interval, deflection: Millimetres, source: BandSource) => {
    const low = tensionFromForce(drive, spring, force[0], deflection)
    if (!low.ok) return low
    const high = tensionFromForce(drive, spring, force[1], deflection)
    if (!high.ok) return high
    return done({ tension: [low.value, high.value] as const, source })
  }
  if (given.tension) return done({ tension: given.tension, source: 'given' })
  if (given.sticker) return fromForces(given.sticker.force, given.sticker.deflection, 'sticker')
  if (given.chart) {
    const force = chartRow(given.chart, drive.small)?.force[age]
    if (force) return fromForces(force, given.chart.deflection, 'chart')
  }
  if (given.load) {
    const { staticTension } = designTension(drive, given.load)
    const [low, high] = (given.factors ?? BAND_FACTORS)[age]
    return done({ tension: [low * staticTension, high * staticTension], source: 'power' })
  }
  return done(null)
}

export type TensionVerdict = 'slack' | 'in' | 'tight'

export interface JudgedTension {
  readonly verdict: TensionVerdict
  /** How far outside the band: negative slack, positive tight, 0 inside. */
  readonly off: Newtons
  /** Which way the motor goes. */
  readonly motor: 'away' | 'toward' | 'stays'
}

/** A tension against its band, and which way the motor goes to cure it. */
export const judgeTension = (tension: Newtons, [low, high]: Interval): JudgedTension => {
  if (tension < low) return { verdict: 'slack', off: tension - low, motor: 'away' }
  if (tension > high) return { verdict: 'tight', off: tension - high, motor: 'toward' }
  return { verdict: 'in', off: 0, motor: 'stays' }
}
