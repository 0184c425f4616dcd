import type { Millimetres, Slope, UnitSystem } from '../units/unitSystem'
import { fitCorners, type CornerGaps, type FootSize } from './cornerGaps'

export type FootName = 'f1' | 'f2' | 'f3' | 'f4'
/** f1 inboard left, f2 inboard right, f3 outboard right, f4 outboard left, as the observer sees. */
export const FOOT_NAMES: readonly FootName[] = ['f1', 'f2', 'f3', 'f4']
export type FootRises = Readonly<Record<FootName, Millimetres>>
export type Diagonal = '1-3' | '2-4'

export interface SoftFootInput {
  readonly rises: FootRises
  readonly limit: Millimetres
  readonly corners?: Readonly<Partial<Record<FootName, CornerGaps>>>
  readonly footSize?: FootSize
  /** Rises read again with the pipe bolts slack. */
  readonly pipeLoosened?: FootRises
}

export type SoftFootAdvice =
  | 'none'
  | 'fill-one-foot'
  | 'read-again'
  | 'fill-three-quarters'
  | 'check-packs'
  | 'feel-corners'
  | 'bent-foot'
  | 'free-the-pipe'

export interface BentFoot {
  readonly foot: FootName
  readonly slopeAlong: Slope
  readonly slopeAcross: Slope
}

export interface SoftFootResult {
  /** Signed: f1 - f2 + f3 - f4. */
  readonly twist: Millimetres
  readonly diagnosis: 'ok' | 'springy' | 'rocking' | 'local'
  /** The diagonal that rises more; null when nothing is over the limit. */
  readonly diagonal: Diagonal | null
  /** Fill one foot of the diagonal by this; half of it under each of the two does the same. */
  readonly fill: { readonly foot: FootName; readonly thickness: Millimetres } | null
  /** Feet whose rise is over the limit. */
  readonly feet: readonly FootName[]
  readonly bent: readonly BentFoot[]
  readonly pipeStrain: boolean
  readonly advice: readonly SoftFootAdvice[]
}

/** Limit of a foot's rise, and of a flange's rock, unless the site says otherwise: 2 mil, 0.05 mm. */
export const SOFT_FOOT_LIMIT: Readonly<Record<UnitSystem, Millimetres>> = { inch: 2 * 0.0254, metric: 0.05 }

/** From this slope under a foot on, it is bent: 1 mil/in, 0.1 mm/100 mm. */
export const BENT_SLOPE: Slope = 0.001
/** Share of the gap to fill when a foot springs back. */
const SPRINGY_SHARE = 0.75

/** Feet of each diagonal. */
export const DIAGONALS: Readonly<Record<Diagonal, readonly [FootName, FootName]>> = {
  '1-3': ['f1', 'f3'],
  '2-4': ['f2', 'f4'],
}

/** The two feet of a foot's own diagonal, and those of the one across it. */
export const diagonalOf = (foot: FootName) =>
  DIAGONALS['1-3'].includes(foot)
    ? { own: DIAGONALS['1-3'], other: DIAGONALS['2-4'] }
    : { own: DIAGONALS['2-4'], other: DIAGONALS['1-3'] }

const largestGap = (corners: CornerGaps | undefined): Millimetres | null =>
  corners
    ? Math.max(corners.outboardOuter, corners.outboardInner, corners.inboardOuter, corners.inboardInner)
    : null

/** The foot to fill: the one whose gap shows with all bolts loose, else the larger reading. */
const footToFill = (pair: readonly [FootName, FootName], input: SoftFootInput): FootName => {
  const [a, b] = pair
  const [gapA, gapB] = [largestGap(input.corners?.[a]), largestGap(input.corners?.[b])]
  if ((gapA ?? 0) !== (gapB ?? 0) && Math.max(gapA ?? 0, gapB ?? 0) > input.limit)
    return (gapA ?? 0) > (gapB ?? 0) ? a : b
  return input.rises[a] >= input.rises[b] ? a : b
}

/**
 * What the rises of released feet say. An elastic frame on four pads, one of them low, rises at
 * both feet of that pad's diagonal, so a reading cannot name the foot; the order of the tests is
 * docs/methods/soft-foot.md. Never the full amount under both feet of a diagonal: that moves the
 * fault to the other diagonal. Millimetres.
 */
export const softFoot = (input: SoftFootInput): SoftFootResult => {
  const { rises, limit } = input
  const over = FOOT_NAMES.filter((f) => rises[f] > limit)
  const a = (rises.f1 + rises.f3) / 2
  const b = (rises.f2 + rises.f4) / 2
  const high: Diagonal = a >= b ? '1-3' : '2-4'
  const pair = DIAGONALS[high]
  const others = DIAGONALS[high === '1-3' ? '2-4' : '1-3']

  const diagnosis =
    over.length === 0
      ? 'ok'
      : over.length === 4 && Math.abs(a - b) <= limit
        ? 'springy'
        : pair.every((f) => rises[f] > limit)
          ? 'rocking'
          : 'local'

  const bent = input.footSize
    ? FOOT_NAMES.flatMap((foot): readonly BentFoot[] => {
        const corners = input.corners?.[foot]
        if (!corners || !input.footSize) return []
        const plane = fitCorners(corners, input.footSize)
        const steepest = Math.max(Math.abs(plane.slopeAlong), Math.abs(plane.slopeAcross))
        return steepest > BENT_SLOPE
          ? [{ foot, slopeAlong: plane.slopeAlong, slopeAcross: plane.slopeAcross }]
          : []
      })
    : []
  const pipeStrain = input.pipeLoosened
    ? FOOT_NAMES.some((f) => Math.abs((input.pipeLoosened as FootRises)[f] - rises[f]) > limit)
    : false

  const advice: SoftFootAdvice[] = []
  let fill: SoftFootResult['fill'] = null
  if (pipeStrain) advice.push('free-the-pipe')
  if (diagnosis === 'rocking') {
    const foot = footToFill(pair, input)
    const larger = Math.max(...pair.map((f) => rises[f]))
    const smallerOther = Math.min(...others.map((f) => rises[f]))
    // A foot that rises further than the gap seen beneath it was being pressed: its pack springs.
    const seen = largestGap(input.corners?.[foot])
    const springs = seen !== null && rises[foot] - seen > limit
    fill = { foot, thickness: (larger - smallerOther) * (springs ? SPRINGY_SHARE : 1) }
    advice.push('fill-one-foot', ...(springs ? (['fill-three-quarters'] as const) : []), 'read-again')
  }
  if (diagnosis === 'springy') advice.push('check-packs')
  if (diagnosis === 'local') advice.push('feel-corners')
  if (bent.length > 0) advice.push('bent-foot')
  if (advice.length === 0) advice.push('none')
  return {
    twist: rises.f1 - rises.f2 + rises.f3 - rises.f4,
    diagnosis,
    diagonal: diagnosis === 'ok' ? null : high,
    fill,
    feet: over,
    bent,
    pipeStrain,
    advice,
  }
}
