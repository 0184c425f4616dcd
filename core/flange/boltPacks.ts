import { thicknessKey, type StockShim } from '../shims/leafKinds'
import { ShimShelf, type Pack, type PackChoices } from '../shims/reachablePacks'
import type { Millimetres, Slope } from '../units/unitSystem'
import { flangePlane, rockOf, type FlangePlane } from './flangePlane'
import { exactShims, type FlangeBolt, type FlangeSchool } from './flangeShims'

/** A bolt with the leaves that lie under it. */
export interface PackedBolt extends FlangeBolt {
  readonly lying: readonly Millimetres[]
}

export interface BoltPacksInput {
  /** Tilt from the target. */
  readonly slope: { readonly v: Slope; readonly h: Slope }
  readonly bolts: readonly PackedBolt[]
  readonly school: FlangeSchool
  readonly stock: readonly StockShim[]
  /** Most leaves under a bolt, what lies there counted. */
  readonly packLimit: number
  /** What a tilt is judged by, and the rock of the shims. */
  readonly slopeLimit: Slope
  readonly rockLimit: Millimetres
}

/** What goes in on top of what lies under one bolt. */
interface BoltPack {
  readonly id: string
  /** What would take the tilt out exactly. */
  readonly exact: Millimetres
  readonly putIn: readonly Millimetres[]
  readonly added: Millimetres
}

/** Real shims for every bolt, and what they come to. */
export interface BoltPacks {
  readonly school: FlangeSchool
  readonly packs: readonly BoltPack[]
  /** By how much all of them are lifted above the least they could be. */
  readonly lift: Millimetres
  readonly plane: FlangePlane
  /** The tilt that stays. */
  readonly tiltLeft: { readonly v: Slope; readonly h: Slope }
  readonly opened: number
  readonly leaves: number
}

/** All bolts are lifted together by no more than this to meet real leaves: it opens the coupling. */
const MOST_LIFT: Millimetres = 0.5
/** Lifts nearer than this are one. */
const LIFT_STEP: Millimetres = 0.001
/** A leaf more must bring the worst of tilt and rock this much nearer, in shares of its limit. */
const LEAF_COST = 0.02

/** Leaves that are left on the shelf while bolts are given theirs. */
class Shelf {
  private readonly plain = new Map<number, number>()
  private readonly pieces: number[]

  constructor(stock: readonly StockShim[]) {
    this.pieces = stock.map((s) => (s.kind === 'laminated' ? s.count : 0))
    for (const s of stock) if (s.kind !== 'laminated') this.change(thicknessKey(s.thickness), s.count)
  }

  private change(key: number, by: number) {
    this.plain.set(key, (this.plain.get(key) ?? 0) + by)
  }

  /** Takes a pack's leaves where there are enough of them; false and nothing taken where there aren't. */
  take({ putIn, pieces }: Pack): boolean {
    const move = (sign: 1 | -1) =>
      putIn.forEach((t, i) => {
        const piece = pieces[i] ?? -1
        if (piece >= 0) this.pieces[piece] = (this.pieces[piece] as number) - sign
        else this.change(thicknessKey(t), -sign)
      })
    move(1)
    const enough = putIn.every((t, i) => {
      const piece = pieces[i] ?? -1
      return (piece >= 0 ? (this.pieces[piece] as number) : (this.plain.get(thicknessKey(t)) ?? 0)) >= 0
    })
    if (!enough) move(-1)
    return enough
  }
}

/** The total nearest to this one that a pack can make. */
const nearestKey = (keys: Int32Array, wanted: number): number => {
  let [low, high] = [0, keys.length - 1]
  while (low < high) {
    const mid = (low + high) >> 1
    if ((keys[mid] as number) < wanted) low = mid + 1
    else high = mid
  }
  const [at, before] = [keys[low] as number, keys[low - 1]]
  return before !== undefined && wanted - before <= at - wanted ? before : at
}

interface Candidate {
  readonly lift: Millimetres
  readonly keys: readonly number[]
  readonly cost: number
}

/**
 * Real leaves for the shims that take a tilt out, on top of what lies there: the coplanar school may lift all bolts alike to
 * meet the leaves there are, the pairwise one leaves the lower bolt of each pair alone. The least of worst share of a limit and
 * leaves handled; null where the shelf does not even hold that. Bolts must stand round the circle, in pairs for pairwise. Millimetres.
 */
export const boltPacks = (input: BoltPacksInput): BoltPacks | null => {
  const { bolts, school, slope, stock, slopeLimit, rockLimit } = input
  const exact = exactShims(bolts, slope, school)
  const highest = Math.max(...exact) + MOST_LIFT
  const choices = bolts.map((b): PackChoices => shelfFor(input, b, highest).choices([], highest))
  const tiltAfter = ({ slope: s }: FlangePlane) => ({ v: slope.v - s.v, h: slope.h - s.h })
  const candidate = (lift: Millimetres): Candidate => {
    const keys = choices.map((c, i) => nearestKey(c.keys, thicknessKey((exact[i] as number) + lift)))
    const plane = flangePlane(
      bolts,
      keys.map((k) => k / 1e4),
    )
    const left = tiltAfter(plane)
    const worst = Math.max(Math.hypot(left.v, left.h) / slopeLimit, rockOf(plane) / rockLimit)
    const leaves = keys.reduce((n, k, i) => n + (choices[i] as PackChoices).changes(k), 0)
    return { lift, keys, cost: worst + LEAF_COST * leaves }
  }
  const found = liftsToTry(school, choices, exact)
    .map(candidate)
    .sort((a, b) => a.cost - b.cost || a.lift - b.lift)
  for (const { lift, keys } of found) {
    const shelf = new Shelf(stock)
    const packs = keys.map((k, i) => (choices[i] as PackChoices).packs(k).find((p) => shelf.take(p)))
    if (packs.some((p) => !p)) continue
    const laid = packs as readonly Pack[]
    const plane = flangePlane(
      bolts,
      laid.map((p) => p.total),
    )
    return {
      school,
      packs: bolts.map((b, i) => ({
        id: b.id,
        exact: (exact[i] as number) + lift,
        putIn: (laid[i] as Pack).shims,
        added: (laid[i] as Pack).total,
      })),
      lift,
      plane,
      tiltLeft: tiltAfter(plane),
      opened: laid.filter((p) => p.putIn.length > 0).length,
      leaves: laid.reduce((n, p) => n + p.putIn.length, 0),
    }
  }
  return null
}

const shelfFor = ({ stock, packLimit }: BoltPacksInput, { lying }: PackedBolt, highest: Millimetres) =>
  new ShimShelf(stock, Math.max(0, packLimit - lying.length), [], highest)

/** Lifts at which some bolt meets its leaves exactly; only 0 for the pairwise school. */
const liftsToTry = (
  school: FlangeSchool,
  choices: readonly PackChoices[],
  exact: readonly Millimetres[],
): readonly Millimetres[] => {
  if (school === 'pairwise') return [0]
  const steps = new Set([0])
  choices.forEach(({ keys }, i) => {
    for (const key of keys) {
      const lift = key / 1e4 - (exact[i] as number)
      if (lift >= 0 && lift <= MOST_LIFT) steps.add(Math.round(lift / LIFT_STEP))
    }
  })
  return [...steps].map((n) => n * LIFT_STEP)
}
