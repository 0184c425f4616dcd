import { shelfOf } from '../../register/shelf'
import { diagonalOf, type FootName } from '../../feet/softFoot'
import { thicknessKey } from '../../shims/leafKinds'
import { shimPack } from '../../shims/shimPack'
import type { FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { outerFeet, type FeetCheck, type FeetReading } from './feetCheck'

/** Which one foot to fill, by how much, and the leaves that come nearest to it. Millimetres. */
export interface Cure {
  readonly foot: FootName
  /** Rises of its diagonal and of the other one that the thickness comes from. */
  readonly larger: Millimetres
  readonly smaller: Millimetres
  /** Three quarters only: the pack under the foot springs. */
  readonly springs: boolean
  /** What the readings ask for. */
  readonly wanted: Millimetres
  /** Half of it, since the fault has been chased from one diagonal to the other. */
  readonly halved: boolean
  readonly putIn: readonly Millimetres[]
  readonly takenOut: readonly Millimetres[]
  /** What the leaves really raise the foot by. */
  readonly lift: Millimetres
}

/** From this many changes of the diagonal on the fault is being chased: half is filled. */
export const CHASED = 2

/**
 * The cure of the feet as last read, from what is on the shelf and lies under the foot now; null when
 * nothing is to be filled. Never for both feet of a diagonal.
 */
export const cureOf = (
  machine: FootedMachine,
  check: FeetCheck,
  packs: readonly PairPacks[],
): Cure | null => {
  const reading: FeetReading | null = check.stale ? null : check.latest
  const fill = reading?.result.fill
  const at = fill && outerFeet(machine)?.[fill.foot]
  if (!reading || !fill || !at) return null
  const { rises, result } = reading
  const { own, other } = diagonalOf(fill.foot)
  const mm = (t: number) => toCore(t, 'displacement', machine.units)
  const stock = shelfOf(machine)
  const halved = check.chase >= CHASED
  const wanted = fill.thickness * (halved ? 0.5 : 1)
  const existing = packs.find((p) => p.machine === at.machine && p.id === at.pair)?.packs[at.side] ?? []
  const highest = machine.feet.movable.find((f) => f.id === at.pair)?.maxPack
  const under = existing.reduce((s, t) => s + t, 0)
  const pack = shimPack({
    wanted: under + wanted,
    existing,
    stock,
    limit: Math.max(machine.packLimit, existing.length),
    ...(highest === undefined ? {} : { highest: Math.max(under, mm(highest)) }),
  })
  const kept = pack.pack.filter((l) => l.source === 'kept').map((l) => thicknessKey(l.thickness))
  const takenOut = existing.filter((t) => {
    const at = kept.indexOf(thicknessKey(t))
    if (at >= 0) kept.splice(at, 1)
    return at < 0
  })
  return {
    foot: fill.foot,
    larger: Math.max(...own.map((f) => rises[f])),
    smaller: Math.min(...other.map((f) => rises[f])),
    springs: result.advice.includes('fill-three-quarters'),
    wanted,
    halved,
    putIn: pack.pack.filter((l) => l.source !== 'kept').map((l) => l.thickness),
    takenOut,
    lift: pack.total - under,
  }
}
