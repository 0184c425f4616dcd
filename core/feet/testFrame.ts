import type { FourFeet, SimulatedMachine } from '../simulate/machineOnFeet'

const MIL = 0.0254

/** A motor frame on four pads f1 to f4, each so many mil high: what the tests of the feet stand on. */
export const frameOn = (pads: readonly number[]): SimulatedMachine => ({
  feet: [
    [250, -180],
    [250, 180],
    [700, 180],
    [700, -180],
  ].map(([x, h], i) => ({
    x,
    h,
    pad: (pads[i] ?? 0) * MIL,
    padStiffness: 2.5e6,
    bolt: 25_000,
  })) as unknown as FourFeet,
  shaftHeight: 250,
  weight: 6000,
  twistStiffness: 8e5,
  side: { inboard: 0, outboard: 0 },
  axisError: { inboard: 0, outboard: 0 },
})
