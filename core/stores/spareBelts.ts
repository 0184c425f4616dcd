import type { BeltConstruction, BeltMachine } from '../register/beltMachine'
import { toCore, type UnitSystem } from '../units/unitSystem'

/** Spare belts of one section and length at one place, loose or in matched sets. */
export interface SpareBelts {
  readonly id: string
  /** As the register calls it, whatever the capitals. */
  readonly section: string
  /** Null where nobody has said how they are made. */
  readonly construction: BeltConstruction | null
  readonly units: UnitSystem
  /** Pitch length, in its own units. */
  readonly length: number
  /** Belts in a piece: 1 for loose ones, more for a matched set or a joined band. */
  readonly together: number
  readonly place: string
  /** Pieces that lay there when somebody last counted. */
  readonly counted: number
  readonly countedAt: string
  /** At this many pieces or fewer it is to be ordered; 0 never. */
  readonly low: number
}

/** Pieces that a job laid on a drive. */
export interface BeltUse {
  readonly at: string
  readonly lot: string
  readonly pieces: number
}

/** What a lot comes to now. */
export interface SpareStock<Lot extends SpareBelts = SpareBelts> {
  readonly lot: Lot
  /** Below zero where more was taken than was counted: to be counted again. */
  readonly now: number
  readonly low: boolean
}

/** What lies there: what was counted, less what jobs have laid on since. */
export const spareStock = <Lot extends SpareBelts>(
  lots: readonly Lot[],
  uses: readonly BeltUse[],
): readonly SpareStock<Lot>[] =>
  lots.map((lot) => {
    const taken = uses
      .filter((u) => u.lot === lot.id && u.at > lot.countedAt)
      .reduce((sum, u) => sum + u.pieces, 0)
    const now = lot.counted - taken
    return { lot, now, low: lot.low > 0 && now <= lot.low }
  })

/** A lot as it is offered to a drive. */
export interface SparesFor<Lot extends SpareBelts = SpareBelts> {
  readonly lot: Lot
  /** Pieces that lie there. */
  readonly now: number
  /** Pieces that its belts take. */
  readonly pieces: number
  readonly enough: boolean
  /** Its length over the registered one, less 1; null where the register says none. */
  readonly apart: number | null
}

/** A belt further from the registered length than this is no spare for the drive. */
const NEAR = 0.03

const sameWords = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/**
 * Spares that may go on a drive, the likeliest first: of its section and make, near its length; pieces that come out even,
 * what is there in full, then the nearest length. A joined band goes only where as many are joined.
 */
export const sparesFor = <Lot extends SpareBelts>(
  { belts, units }: Pick<BeltMachine, 'belts' | 'units'>,
  stock: readonly { readonly lot: Lot; readonly now: number }[],
): readonly SparesFor<Lot>[] => {
  const registered = belts.length === undefined ? null : toCore(belts.length, 'distance', units)
  const joined = belts.kind === 'joined'
  return stock
    .flatMap(({ lot, now }): SparesFor<Lot>[] => {
      const { section, construction, together } = lot
      const made =
        construction === null || belts.construction === undefined || construction === belts.construction
      const band = construction === 'banded'
      if (!sameWords(section, belts.section) || !made) return []
      if (joined ? together !== belts.count : band && together !== 1) return []
      const pieces = Math.ceil(belts.count / together)
      const apart = registered === null ? null : toCore(lot.length, 'distance', lot.units) / registered - 1
      return apart !== null && Math.abs(apart) > NEAR
        ? []
        : [{ lot, now, pieces, enough: now >= pieces, apart }]
    })
    .sort(
      (a, b) =>
        Number(b.enough) - Number(a.enough) ||
        Math.round(1000 * (Math.abs(a.apart ?? 0) - Math.abs(b.apart ?? 0))) ||
        Number(b.lot.together === belts.count) - Number(a.lot.together === belts.count) ||
        a.lot.id.localeCompare(b.lot.id),
    )
}
