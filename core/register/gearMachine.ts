import type { ComeBackRules } from '../comeBack/rules'
import type { BacklashBy } from '../gear/backlash'
import type { PaintedZone, Run, Runs } from '../gear/contactFigures'
import type { GearSchool, Lever, Response } from '../gear/levers'
import type { Band } from '../judge/tolerance'
import { remember } from '../logbook/remember'
import { toCore, type Degrees } from '../units/unitSystem'
import type { StockLeaf } from './shelf'

export const GEAR_KINDS = ['worm', 'bevel'] as const
export type GearKind = (typeof GEAR_KINDS)[number]

/** Blocks that carry the worm or the pinion. */
export const BLOCKS = 2

/** A gearset behind a motor, in the record's own units; zones and their limits in percent of the face width. */
export interface Gearset {
  readonly kind: GearKind
  /** Turns of the motor to one of the gear. */
  readonly ratio: number
  readonly pressureAngle: Degrees
  /** What the two ends of a tooth are called: percent are counted from the first. */
  readonly ends: { readonly from: string; readonly to: string }
  readonly school: GearSchool
  /** The zones that the site or the maker wants; left open, it is the pattern that was found before it was opened. */
  readonly wanted: Runs<readonly [begins: number | null, ends: number | null]>
  /** Its own limits; null where the starting value holds. */
  readonly limits: {
    readonly off: number | null
    readonly shortest: number | null
    readonly longest: number | null
    readonly covered: number | null
    readonly source: string
  }
  readonly backlash: { readonly by: BacklashBy; readonly window: Band }
  /** What lies under each block: layers of one thickness, and which way they move the shafts. */
  readonly layers: {
    readonly thickness: number
    readonly under: readonly number[]
    readonly move: 'apart' | 'closer'
  }
  /** How far each can be shifted to either side from where it is pinned; null where nobody knows. */
  readonly room: Readonly<Record<Lever, number | null>>
  /** The first shift; null takes the starting value. */
  readonly testShift: number | null
  /** How the paint went with a shift in jobs before, percent a unit of shift; null where nobody knows. */
  readonly responses: Readonly<Record<Lever, Response | null>>
  /** How the last job left the paint; null where nobody read it. */
  readonly leftAs: Runs<PaintedZone> | null
  /** What the site has to say of covers, seals and waiting times. */
  readonly notes: { readonly covers: string; readonly seals: string; readonly waiting: string }
}

/** A motor that drives through a gearset whose contact is set on site. */
export interface GearMachine {
  readonly drive: 'gear'
  readonly powerKw?: number
  readonly units: 'inch' | 'metric'
  readonly rpm: number
  /** What the motor's plate says, amperes. */
  readonly plateCurrent?: number
  readonly comeBack?: ComeBackRules
  readonly gear: Gearset
  readonly stock: readonly StockLeaf[]
  readonly packLimit: number
}

/** The zones of the register; null where they are left open. */
export const registeredZones = remember(({ wanted }: Gearset): Runs<PaintedZone> | null => {
  const of = ([begins, ends]: Gearset['wanted'][Run]): PaintedZone | null =>
    begins === null || ends === null ? null : [begins, ends]
  const [forward, back] = [of(wanted.forward), of(wanted.back)]
  return forward && back ? { forward, back } : null
})

/** Rates that the register remembers, percent a millimetre. */
export const rememberedResponses = remember(
  ({ gear, units }: GearMachine): Readonly<Record<Lever, Response | null>> => {
    const perUnit = toCore(1, 'displacement', units)
    const of = (kept: Response | null): Response | null =>
      kept && { together: kept.together / perUnit, apart: kept.apart / perUnit }
    return { blocks: of(gear.responses.blocks), gear: of(gear.responses.gear) }
  },
)

/** The window of its backlash in millimetres. */
export const backlashWindow = remember(({ gear, units }: GearMachine): Band => {
  const mm = (x: number | null) => (x === null ? null : toCore(x, 'displacement', units))
  const [low, high] = gear.backlash.window
  return [mm(low), mm(high)]
})
