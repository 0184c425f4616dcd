import { fitLine, type Misalignment, type Plane } from '../frame/planes'
import type { Celsius, Millimetres, Slope } from '../units/unitSystem'

/** How a foot pair rises from cold to running. */
export type FootGrowth =
  | {
      readonly id: string
      readonly x: Millimetres
      readonly alpha: number
      readonly height: Millimetres
      /** Running less cold. */
      readonly rise: Celsius
      readonly sideRise: Millimetres
    }
  | {
      readonly id: string
      readonly x: Millimetres
      readonly typed: { readonly v: Millimetres; readonly h: Millimetres }
    }

export interface MachineGrowth {
  readonly role: 'movable' | 'stationary'
  readonly feet: readonly FootGrowth[]
}

export interface GrownFoot {
  readonly id: string
  readonly rise: { readonly v: Millimetres; readonly h: Millimetres }
}

/** A rise along the shafts in one plane: `offset + slope * x`. */
export interface GrownLine {
  readonly offset: Millimetres
  readonly slope: Slope
}

export interface GrowthResult {
  /** The cold target line: where the movable axis must lie cold to be straight when hot. */
  readonly target: Misalignment
  /** How far each axis rises along the shafts, from cold to running. */
  readonly lines: Readonly<Record<MachineGrowth['role'], Readonly<Record<Plane, GrownLine>>>>
  readonly machines: readonly {
    readonly role: 'movable' | 'stationary'
    readonly feet: readonly GrownFoot[]
  }[]
}

/** alpha * height * temperature rise, or what was typed. */
export const footRise = (foot: FootGrowth): GrownFoot => ({
  id: foot.id,
  rise: 'typed' in foot ? foot.typed : { v: foot.alpha * foot.height * foot.rise, h: foot.sideRise },
})

/**
 * Cold target from how both machines grow: `t(x) = growthStationary(x) - growthMovable(x)`, each
 * growth line through its foot pairs, by least squares when there are more than two. A machine not
 * given does not grow. Millimetres, degrees Celsius. Source: docs/methods/growth.md.
 */
export const growthTarget = (machines: readonly MachineGrowth[]): GrowthResult => {
  const grown = machines.map((m) => ({ role: m.role, feet: m.feet.map(footRise) }))
  const lineOf = (role: MachineGrowth['role']) => {
    const machine = machines.find((m) => m.role === role)
    if (!machine) return { v: { offset: 0, slope: 0 }, h: { offset: 0, slope: 0 } }
    const points = (p: 'v' | 'h') => machine.feet.map((f) => ({ x: f.x, y: footRise(f).rise[p] }))
    return { v: fitLine(points('v')), h: fitLine(points('h')) }
  }
  const stationary = lineOf('stationary')
  const movable = lineOf('movable')
  return {
    target: {
      offset: {
        v: stationary.v.offset - movable.v.offset,
        h: stationary.h.offset - movable.h.offset,
      },
      slope: { v: stationary.v.slope - movable.v.slope, h: stationary.h.slope - movable.h.slope },
    },
    lines: { stationary, movable },
    machines: grown,
  }
}
