import type { FlangeBolt, FlangeSchool } from '../flange/flangeShims'
import type { PackedBolt } from '../flange/boltPacks'
import { clockVector, normalClock } from '../frame/clock'
import { remember } from '../logbook/remember'
import { toCore, type Degrees, type Millimetres } from '../units/unitSystem'
import type { MeasuredMachine } from './measuredMachine'

/** How the register of a flange sits: whether it leaves the motor any way to go sideways. */
export const SPIGOT_FITS = ['tight', 'loose'] as const
export type SpigotFit = (typeof SPIGOT_FITS)[number]

/** Bolts a flange may have. */
export const FEWEST_BOLTS = 3
export const MOST_BOLTS = 24

/** How a motor stands on its flange; in the record's own units. */
export interface Flange {
  /** Evenly round the circle, the marked one at 12. */
  readonly bolts: number
  /** Bolt circle from 12 to 6 and from 9 to 3, through the middle (in or mm); alike on a round one. */
  readonly across: { readonly v: number; readonly h: number }
  /** From the coupling centre up to where flange and frame meet (in or mm). */
  readonly plane: number
  /** Shims under each bolt, bottom up, clockwise from 12 (mil or mm). */
  readonly existing: readonly (readonly number[])[]
  readonly spigot: SpigotFit
  /** All the way that a loose spigot can go, from stop to stop (mil or mm); null where nobody measured it. */
  readonly play: number | null
  /** How the works shims a flange here. */
  readonly school: FlangeSchool
}

/** A motor that stands on a flange over its driven machine, joined to it by a coupling. */
export interface FlangeMachine extends MeasuredMachine {
  readonly drive: 'flange'
  readonly flange: Flange
}

/** Where a flange lies and its bolts stand. Millimetres. */
export interface FlangeShape {
  readonly bolts: readonly FlangeBolt[]
  readonly plane: Millimetres
}

/** Clock angle of each bolt of so many, the marked one first. */
export const boltClocks = (count: number): readonly Degrees[] =>
  Array.from({ length: count }, (_, i) => (360 / count) * i)

/** Bolts evenly round a circle, or on an oval that was taped in both planes. Millimetres; ids count clockwise from 1. */
export const boltsAround = (
  count: number,
  across: { readonly v: Millimetres; readonly h: Millimetres },
): readonly FlangeBolt[] =>
  boltClocks(count).map((clock, i) => {
    const id = String(i + 1)
    if (across.v === across.h) return { id, clock, radius: across.v / 2 }
    const [c, s] = clockVector(clock)
    const [up, aside] = [(across.v / 2) * c, (across.h / 2) * s]
    return {
      id,
      clock: normalClock((Math.atan2(aside, up) * 180) / Math.PI),
      radius: Math.hypot(up, aside),
    }
  })

/** The flange as the register has it. */
export const registeredFlange = remember(({ flange, units }: FlangeMachine): FlangeShape => {
  const far = (x: number) => toCore(x, 'distance', units)
  return {
    bolts: boltsAround(flange.bolts, { v: far(flange.across.v), h: far(flange.across.h) }),
    plane: far(flange.plane),
  }
})

/** Leaves under each bolt, clockwise from 12. Millimetres, bottom up. */
export type BoltLeaves = readonly (readonly Millimetres[])[]

/** Leaves under each bolt as the register has them. */
export const registeredLeaves = remember(({ flange, units }: FlangeMachine): BoltLeaves =>
  Array.from({ length: flange.bolts }, (_, i) =>
    (flange.existing[i] ?? []).map((t) => toCore(t, 'displacement', units)),
  ),
)

/** Bolts with what lies under each. */
export const packedBolts = (bolts: readonly FlangeBolt[], leaves: BoltLeaves): readonly PackedBolt[] =>
  bolts.map((b, i) => ({ ...b, lying: leaves[i] ?? [] }))
