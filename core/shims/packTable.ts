import type { Millimetres } from '../units/unitSystem'
import { leafKinds, thicknessKey, type LeafKind, type StockShim } from './leafKinds'
import { TotalSet } from './totalSet'

/** Words of totals one table may be put together from: some hundredths of a second. */
const MOST_WORK = 4e7
/** Totals that are told apart at most. */
const MOST_TOTALS = 6e5
/** The price of a total that no pack makes. */
export const UNREACHED = 100

/** How totals are counted: tenths of a micrometre in one step, and up to which total. */
export interface Counted {
  /** 1, or what all leaves have in common, unless the work would be too much. */
  readonly step: number
  /** Whether leaves were rounded to steps, so that totals are told apart to no better than that. */
  readonly rounded: boolean
  /** Totals from 0 up to just under this, in steps. */
  readonly size: number
}

/** Which totals can be made of what lies there and what is on the shelf. */
export interface PackTable extends Counted {
  readonly kinds: readonly LeafKind[]
  /** Each kind's thickness in steps. */
  readonly steps: readonly number[]
  /** `sets[kept][put]`: totals of so many leaves left lying and so many put in. */
  readonly sets: readonly (readonly TotalSet[])[]
  /** For every total the leaves put in less the leaves kept, at the least; UNREACHED where no pack makes it. */
  readonly price: Int8Array
}

const commonDivisor = (a: number, b: number): number => {
  while (b !== 0) [a, b] = [b, a % b]
  return a
}

/** Times that the totals of a shelf are gone over: once for what there is plenty of, else once a leaf. */
const passesOf = (stock: readonly StockShim[], limit: number): number =>
  stock.reduce((passes, s) => {
    const thicknesses = s.kind === 'laminated' ? Math.ceil(s.thickness / (s.layer ?? s.thickness)) : 1
    return passes + thicknesses * Math.min(s.count, limit) * limit
  }, 0)

/** How totals are counted for packs of these leaves: the same for all feet that are to be lifted alike. */
export const countFor = (
  lying: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  highest: Millimetres,
): Counted => {
  const keys = leafKinds(lying, stock).map((k) => thicknessKey(k.thickness))
  const common = Math.max(1, keys.reduce(commonDivisor, 0))
  const top = Math.max(0, Math.min(thicknessKey(highest), limit * Math.max(0, ...keys)))
  const passes = passesOf(stock, limit) + lying.length * limit * limit
  let step = common
  while ((passes * top) / step / 32 > MOST_WORK || top / step > MOST_TOTALS) step *= 2
  // Rounded leaves may come to a little more than they are.
  const size = Math.floor(top / step) + 1
  return { step, rounded: step !== common, size }
}

const inSteps = (t: Millimetres, step: number): number => Math.max(1, Math.round(thicknessKey(t) / step))

/** Totals by leaves put in, and one more leaf that may be among them. */
const layOnce = (sets: readonly TotalSet[], thicknesses: readonly number[]) => {
  for (let n = sets.length - 1; n >= 1; n--)
    for (const by of thicknesses) (sets[n] as TotalSet).addShifted(sets[n - 1] as TotalSet, by)
}

const layOften = (sets: readonly TotalSet[], by: number) => {
  for (let n = 1; n < sets.length; n++) (sets[n] as TotalSet).addShifted(sets[n - 1] as TotalSet, by)
}

/**
 * Totals that leaves from the shelf come to, by how many leaves: every kind in turn, once for what there
 * is plenty of, else leaf by leaf; of a laminated piece one thickness at most. Exact, and its work is
 * bounded by totals and leaves, not by how many packs there are.
 */
export const shelfTotals = (
  stock: readonly StockShim[],
  limit: number,
  { step, size }: Counted,
): readonly TotalSet[] => {
  const sets = Array.from({ length: limit + 1 }, () => new TotalSet(size))
  sets[0]?.add(0)
  for (const s of stock) {
    // Of each stock alone: a laminated one is a piece with several thicknesses, of which one can be had.
    const list = leafKinds([], [s]).map((k) => inSteps(k.thickness, step))
    if (s.count >= limit) for (const by of list) layOften(sets, by)
    else for (let c = 0; c < s.count; c++) layOnce(sets, list)
  }
  return sets
}

/**
 * The table of one foot: the totals of the shelf, then leaves lent from elsewhere, then what lies there.
 * `shelf` are the totals of the stock alone, counted alike.
 */
export const packTable = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  counted: Counted,
  shelf: readonly TotalSet[] = shelfTotals(stock, limit, counted),
  lent: readonly StockShim[] = [],
): PackTable => {
  const { step, size } = counted
  const kinds = leafKinds(existing, [...stock, ...lent])
  const put = shelf.map((set) => set.copy())
  for (const leaf of lent) for (let c = 0; c < leaf.count; c++) layOnce(put, [inSteps(leaf.thickness, step)])
  const most = Math.min(limit, existing.length)
  const sets = Array.from({ length: most + 1 }, (_, kept) =>
    kept === 0 ? put : Array.from({ length: limit + 1 - kept }, () => new TotalSet(size)),
  )
  for (const t of existing)
    for (let kept = most; kept >= 1; kept--)
      sets[kept]?.forEach((set, n) => set.addShifted(sets[kept - 1]?.[n] as TotalSet, inSteps(t, step)))
  return {
    ...counted,
    kinds,
    steps: kinds.map((k) => inSteps(k.thickness, step)),
    sets,
    price: pricesOf(sets, size),
  }
}

/** From the cheapest up: what is kept is a leaf less to handle, what is put in one more. */
const pricesOf = (sets: readonly (readonly TotalSet[])[], size: number): Int8Array => {
  const price = new Int8Array(size).fill(UNREACHED)
  const seen = new TotalSet(size)
  for (let p = 1 - sets.length; p < (sets[0]?.length ?? 0); p++)
    sets.forEach((row, kept) => row[kept + p]?.takeNew(seen, (total) => (price[total] = p)))
  return price
}
