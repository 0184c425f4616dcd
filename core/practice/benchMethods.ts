import type { UsualPlaces } from '../methods/methods'
import type { CoupledMachine } from '../register/coupledMachine'
import { fromCore, toCore, type Millimetres } from '../units/unitSystem'

/** Methods whose instruments the bench carries round the shafts. */
export const BENCH_METHODS = ['rim-face', 'reverse-rim', 'heads'] as const
export type BenchMethod = (typeof BENCH_METHODS)[number]

const isBenchMethod = (method: string): method is BenchMethod => BENCH_METHODS.some((m) => m === method)

/** The method a machine is practised by where nobody chooses: its usual one, if the bench has it. */
export const usualOnBench = (machine: Pick<CoupledMachine, 'usual'>): BenchMethod =>
  isBenchMethod(machine.usual.method) ? machine.usual.method : 'rim-face'

/** Where the register is silent, millimetres: the rim dial behind its hub, the face circle. */
const RIM_PLANE: Millimetres = -38
const FACE_DIAMETER: Millimetres = 160
/** Share of the way to the nearest feet that dials or heads stand out on either shaft. */
const OUT = 0.4

/** Instruments of a method where they would stand on this machine, in its own units. */
const placesFor = (machine: CoupledMachine, method: BenchMethod): UsualPlaces => {
  const { units, feet, hubs } = machine
  const step = units === 'inch' ? 0.25 : 5
  const own = (mm: Millimetres) => Math.round(fromCore(mm, 'distance', units) / step) * step
  const hub = hubs?.stationaryDiameter ? toCore(hubs.stationaryDiameter, 'distance', units) : null
  const near = feet.movable[0] ? toCore(Math.abs(feet.movable[0].x), 'distance', units) : 300
  const out = Math.max(step, own(OUT * near))
  switch (method) {
    case 'rim-face':
      return {
        method,
        carriedBy: 'movable',
        rimPlane: own(RIM_PLANE),
        plunger: 'away',
        faceDiameter: own(hub ? 0.8 * hub : FACE_DIAMETER),
      }
    case 'reverse-rim':
      return { method, onStationary: -out, onMovable: out }
    case 'heads':
      return { method, stationaryPlane: out, movablePlane: out }
  }
}

/** A machine as it is measured by this method: where the register has its instruments, else where they would stand. */
export const measuredBy = <M extends CoupledMachine>(machine: M, method: BenchMethod): M =>
  machine.usual.method === method ? machine : { ...machine, usual: placesFor(machine, method) }
