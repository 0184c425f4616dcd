import { eliminate } from '../fit/leastSquares'
import type { Millimetres, Newtons } from '../units/unitSystem'
import { scale, unit, vector } from './vector'
import type { ShaftAxis } from './shaftAxis'

/** One foot of a machine and the pad it stands on. */
export interface SimulatedFoot {
  /** Along the shaft and toward 3, from the coupling centre and the shaft. */
  readonly x: Millimetres
  readonly h: Millimetres
  /** Height of the shim tops above nominal: base plus pack. */
  readonly pad: Millimetres
  /** Spring of pad and pack under this foot, N/mm. */
  readonly padStiffness: number
  /** Clamping force of its bolt when tight; 0 when loose. */
  readonly bolt: Newtons
}

/** Order: inboard left, inboard right, outboard right, outboard left, as the observer sees. */
export type FourFeet = readonly [SimulatedFoot, SimulatedFoot, SimulatedFoot, SimulatedFoot]

export interface SimulatedMachine {
  readonly feet: FourFeet
  /** Shaft centre above the feet. */
  readonly shaftHeight: Millimetres
  readonly weight: Newtons
  /** Stiffness of the frame against twist between its two diagonals, N/mm at the feet. */
  readonly twistStiffness: number
  /** Where the inboard and the outboard end of the frame stand sideways. */
  readonly side: { readonly inboard: Millimetres; readonly outboard: Millimetres }
  /** Shaft height error of the frame itself at the two ends: its axis need not be parallel to its feet. */
  readonly axisError: { readonly inboard: Millimetres; readonly outboard: Millimetres }
}

/** How the machine stands: heights of its four feet, and the pose they give. */
export interface Standing {
  readonly heights: readonly [number, number, number, number]
  readonly axis: ShaftAxis
}

/** Sign of the frame's twist at each foot. */
const TWIST = [1, -1, 1, -1] as const

/**
 * Heights of the four feet in balance: weight and tight bolts press down, pads push back only
 * where they touch, the frame resists twist. The energy is convex, so that trying which pads touch
 * and solving for the rest ends at its one least value. A foot whose bolt is loose may lift off.
 */
const footHeights = (machine: SimulatedMachine): readonly [number, number, number, number] => {
  const { feet } = machine
  const meanX = feet.reduce((s, f) => s + f.x, 0) / 4
  // Lengths counted in frame sizes keep the balance well scaled beside stiff pads.
  const long = Math.max(...feet.map((f) => Math.abs(f.x - meanX)))
  const wide = Math.max(...feet.map((f) => Math.abs(f.h)))
  const rows = feet.map((f, i) => [1, (f.x - meanX) / long, f.h / wide, TWIST[i] as number])
  let touching = feet.map(() => true)
  let q: readonly number[] = [0, 0, 0, 0]
  for (let round = 0; round < 60; round++) {
    const m = [0, 1, 2, 3].map(() => [0, 0, 0, 0, 0])
    const put = (i: number, j: number, by: number) => {
      const row = m[i] as number[]
      row[j] = (row[j] as number) + by
    }
    put(3, 3, machine.twistStiffness)
    // Weight acts on the frame as a whole: it presses, but it does not untwist.
    put(0, 4, -machine.weight)
    feet.forEach((f, i) => {
      const row = rows[i] as number[]
      // A faint spring holds feet that hang free, so that the balance stays solvable.
      const k = touching[i] ? f.padStiffness : 1
      for (let a = 0; a < 4; a++) {
        for (let b = 0; b < 4; b++) put(a, b, k * (row[a] as number) * (row[b] as number))
        put(a, 4, (row[a] as number) * (k * f.pad - f.bolt))
      }
    })
    const solved = eliminate(m)
    if (!solved) break
    q = solved
    const next = feet.map((f, i) => {
      const height = (rows[i] as number[]).reduce((s, x, j) => s + x * (q[j] as number), 0)
      return height <= f.pad + 1e-12
    })
    if (next.every((t, i) => t === touching[i])) break
    touching = next
  }
  return rows.map((row) => row.reduce((s, x, j) => s + x * (q[j] as number), 0)) as unknown as readonly [
    number,
    number,
    number,
    number,
  ]
}

/**
 * Where the shaft axis lies when the machine stands on its feet as they are: pitch from the ends'
 * heights, roll from the sides' heights about the feet (which carries the shaft sideways), yaw from
 * the side positions; rotations taken exactly.
 */
export const standOn = (machine: SimulatedMachine): Standing => {
  const { feet } = machine
  const heights = footHeights(machine)
  const [f1, f2, f3, f4] = feet
  const [z1, z2, z3, z4] = heights
  const inboardX = (f1.x + f2.x) / 2
  const outboardX = (f3.x + f4.x) / 2
  const inboardHeight = (z1 + z2) / 2
  const outboardHeight = (z3 + z4) / 2
  const roll = Math.atan(((z2 - z1) / (f2.h - f1.h) + (z3 - z4) / (f3.h - f4.h)) / 2)
  const shaft = machine.shaftHeight
  // The shaft stands at right angles over the feet: leaning by roll lowers it and carries it sideways.
  const up = shaft * Math.cos(roll) - shaft
  const aside = -shaft * Math.sin(roll)
  const inboard = vector(
    inboardX,
    inboardHeight + up + machine.axisError.inboard,
    machine.side.inboard + aside,
  )
  const outboard = vector(
    outboardX,
    outboardHeight + up + machine.axisError.outboard,
    machine.side.outboard + aside,
  )
  const direction = unit(vector(outboard.x - inboard.x, outboard.v - inboard.v, outboard.h - inboard.h))
  // Pitching leans the shaft's stand too; that shifts the axis along itself only.
  return { heights, axis: { point: inboard, direction: direction.x < 0 ? scale(direction, -1) : direction } }
}

/** How far each foot rises when its own bolt is loosened and the others stay tight. */
export const footRises = (machine: SimulatedMachine): readonly [number, number, number, number] => {
  const tight = standOn(machine).heights
  return [0, 1, 2, 3].map((i) => {
    const feet = machine.feet.map((f, j) => (j === i ? { ...f, bolt: 0 } : f)) as unknown as FourFeet
    return (standOn({ ...machine, feet }).heights[i] as number) - (tight[i] as number)
  }) as unknown as readonly [number, number, number, number]
}
