import type { Millimetres } from '../units/unitSystem'
import { lineWeights, type LineWeight } from './lineWeights'
import type { MachineRole } from './pairNames'
import type { PairLifts } from './planFoot'

/** Pairs between the outer two may stand off their line by this much: the soft-foot limit. */
export const LINE_SLACK: Millimetres = 0.0508

/** A machine that may be moved: its outer pairs carry the line, inner ones follow it. */
export interface MachineLifts {
  readonly role: MachineRole
  /** Nearest to and furthest from the coupling. */
  readonly near: PairLifts
  readonly far: PairLifts
  readonly inner: readonly PairLifts[]
  /** Shift of the judged line per unit of lift at the near and far pair: offset and slope. */
  readonly nearOffset: number
  readonly nearSlope: number
  readonly farOffset: number
  readonly farSlope: number
  /** Shift of the line per unit that each inner pair stands off the line of the outer two. */
  readonly innerWeights: readonly LineWeight[]
}

/** Orders a machine's pairs and works out what lifting each outer one does to the line. */
export const machineLifts = (role: MachineRole, pairs: readonly PairLifts[]): MachineLifts => {
  const ordered = [...pairs].sort((a, b) => Math.abs(a.foot.x) - Math.abs(b.foot.x))
  const near = ordered[0] as PairLifts
  const far = ordered[ordered.length - 1] as PairLifts
  const between = far.foot.x - near.foot.x
  // Raising the movable machine raises d(x); raising the stationary one lowers it.
  const sign = role === 'movable' ? 1 : -1
  return {
    role,
    near,
    far,
    inner: ordered.slice(1, -1),
    nearOffset: (sign * far.foot.x) / between,
    nearSlope: -sign / between,
    farOffset: (-sign * near.foot.x) / between,
    farSlope: sign / between,
    innerWeights: lineWeights(
      role,
      ordered.map((p) => p.foot.x),
    ).slice(1, -1),
  }
}

/** Lift number of each inner pair nearest the line of the outer two; null when one can't follow it. */
export const innerLifts = (machine: MachineLifts, near: number, far: number): readonly number[] | null => {
  const picks: number[] = []
  const a = machine.near.v[near] as number
  const b = machine.far.v[far] as number
  const xa = machine.near.foot.x
  const span = machine.far.foot.x - xa
  for (const pair of machine.inner) {
    const wanted = a + ((b - a) * (pair.foot.x - xa)) / span
    const at = nearestIndex(pair.v, wanted)
    if (Math.abs((pair.v[at] as number) - wanted) > LINE_SLACK) return null
    picks.push(at)
  }
  return picks
}

/** How far inner pairs that don't quite follow the line of the outer two shift the judged line. */
export const innerShift = (
  machine: MachineLifts,
  near: number,
  far: number,
  inner: readonly number[],
): LineWeight => {
  let offset = 0
  let slope = 0
  const a = machine.near.v[near] as number
  const b = machine.far.v[far] as number
  const xa = machine.near.foot.x
  machine.inner.forEach((pair, i) => {
    const line = a + ((b - a) * (pair.foot.x - xa)) / (machine.far.foot.x - xa)
    const off = (pair.v[inner[i] as number] as number) - line
    const weight = machine.innerWeights[i] as LineWeight
    offset += weight.offset * off
    slope += weight.slope * off
  })
  return { offset, slope }
}

/** Index of the first entry of a rising list that is at least `value`; its length when none is. */
export const firstAtLeast = (list: Float64Array, value: number): number => {
  let low = 0
  let high = list.length
  while (low < high) {
    const middle = (low + high) >> 1
    if ((list[middle] as number) < value) low = middle + 1
    else high = middle
  }
  return low
}

/** Index of the entry of a rising list nearest to `value`. */
export const nearestIndex = (list: Float64Array, value: number): number => {
  const at = firstAtLeast(list, value)
  if (at === 0) return 0
  if (at === list.length) return list.length - 1
  return value - (list[at - 1] as number) <= (list[at] as number) - value ? at - 1 : at
}
