import type { FootPlane } from '../coupling/feet'
import { ALIGNED, type Misalignment } from '../frame/planes'
import { BLOCK, column, type LineColumns } from './lineModel'
import type { Spread } from './spread'

/** Least-squares sums of what is done at the feet, over a block. */
interface FootSums {
  readonly x: Float64Array
  readonly xx: Float64Array
  readonly v: Float64Array
  readonly vx: Float64Array
  readonly h: Float64Array
  readonly hx: Float64Array
}

/** One plane of a foot over a block: what it is asked to do, where it stands. */
const askInto = (
  offset: Float64Array,
  slope: Float64Array,
  goal: number,
  goalSlope: number,
  places: Float64Array,
  asked: Float64Array,
): void => {
  for (let i = 0; i < BLOCK; i++)
    asked[i] = goal - (offset[i] as number) + (goalSlope - (slope[i] as number)) * (places[i] as number)
}

/** Adds one plane's planned move, done with its own error at the place where the foot really stands. */
const doneInto = (
  planned: number,
  sd: number,
  z: Float64Array,
  places: Float64Array,
  sum: Float64Array,
  sumX: Float64Array,
): void => {
  for (let i = 0; i < BLOCK; i++) {
    const move = planned + sd * (z[i] as number)
    sum[i] = (sum[i] as number) + move
    sumX[i] = (sumX[i] as number) + move * (places[i] as number)
  }
}

const placesInto = (at: number, sd: number, z: Float64Array, places: Float64Array, sums: FootSums): void => {
  const { x: sum, xx: squares } = sums
  for (let i = 0; i < BLOCK; i++) {
    const x = at + sd * (z[i] as number)
    places[i] = x
    sum[i] = (sum[i] as number) + x
    squares[i] = (squares[i] as number) + x * x
  }
}

/** One plane of the line after what was done at `n` feet. */
const endInto = (
  n: number,
  { x: sums, xx: squares }: FootSums,
  sum: Float64Array,
  sumX: Float64Array,
  offset: Float64Array,
  slope: Float64Array,
  endOffset: Float64Array,
  endSlope: Float64Array,
): void => {
  for (let i = 0; i < BLOCK; i++) {
    const x = sums[i] as number
    const moved = sum[i] as number
    const turn = (n * (sumX[i] as number) - x * moved) / (n * (squares[i] as number) - x * x)
    endOffset[i] = (offset[i] as number) + (moved - turn * x) / n
    endSlope[i] = (slope[i] as number) + turn
  }
}

/** What the feet's part of the draws rests on. */
export interface FeetDrawn {
  readonly feet: readonly FootPlane[]
  readonly target?: Misalignment
  readonly sd: Spread
}

/** What happens to the feet in a block of draws: the moves asked for, and the line after the planned ones. */
export const feetOf = (input: FeetDrawn, planned: { readonly v: Float64Array; readonly h: Float64Array }) => {
  const { feet, sd, target = ALIGNED } = input
  const n = feet.length
  const vertical = Math.hypot(sd.shim, sd.settling)
  const places = column()
  const sums: FootSums = { x: column(), xx: column(), v: column(), vx: column(), h: column(), hx: column() }
  const into = (
    z: readonly Float64Array[],
    lines: LineColumns,
    asked: readonly { readonly v: Float64Array; readonly h: Float64Array }[],
    after: LineColumns,
  ): void => {
    const [offsetV, offsetH, slopeV, slopeH] = lines
    for (const sum of Object.values(sums) as Float64Array[]) sum.fill(0)
    feet.forEach(({ x }, f) => {
      const [zx, zv, zh] = z.slice(3 * f, 3 * f + 3) as [Float64Array, Float64Array, Float64Array]
      const ask = asked[f] as { v: Float64Array; h: Float64Array }
      placesInto(x, sd.distance, zx, places, sums)
      askInto(offsetV, slopeV, target.offset.v ?? 0, target.slope.v ?? 0, places, ask.v)
      askInto(offsetH, slopeH, target.offset.h ?? 0, target.slope.h ?? 0, places, ask.h)
      doneInto(planned.v[f] as number, vertical, zv, places, sums.v, sums.vx)
      doneInto(planned.h[f] as number, sd.side, zh, places, sums.h, sums.hx)
    })
    if (n < 2) return after.forEach((end, k) => end.set(lines[k] as Float64Array))
    endInto(n, sums, sums.v, sums.vx, offsetV, slopeV, after[0], after[2])
    endInto(n, sums, sums.h, sums.hx, offsetH, slopeH, after[1], after[3])
  }
  return { count: 3 * n, into }
}
