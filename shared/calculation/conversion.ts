import type { DialSet, FaceSet } from '../../core/coupling/dialSet'
import type { FootResult } from '../../core/coupling/feet'
import type { Misalignment, VH } from '../../core/frame/planes'
import { eachPlane } from '../../core/frame/planes'
import type { Reading } from '../../core/fit/harmonicFit'
import type { SetTrust } from '../../core/trust/trustReport'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'

const scaleVH = (vh: VH, f: (value: number) => number): VH =>
  eachPlane((p) => (vh[p] === null ? null : f(vh[p])))

/** A contract coupling as a core line. */
export const lineToCore = (line: Misalignment, units: UnitSystem): Misalignment => ({
  offset: scaleVH(line.offset, (x) => toCore(x, 'displacement', units)),
  slope: scaleVH(line.slope, (x) => toCore(x, 'slope', units)),
})

/** A core line as a contract coupling. */
export const lineFromCore = (line: Misalignment, units: UnitSystem): Misalignment => ({
  offset: scaleVH(line.offset, (x) => fromCore(x, 'displacement', units)),
  slope: scaleVH(line.slope, (x) => fromCore(x, 'slope', units)),
})

const vhFromCore = (vh: VH, measured: Measured, units: UnitSystem): VH =>
  scaleVH(vh, (x) => fromCore(x, measured, units))

export const readingsToCore = (list: readonly Reading[], units: UnitSystem): readonly Reading[] =>
  list.map((r) => ({ ...r, value: toCore(r.value, 'displacement', units) }))

export const dialSetToCore = (set: DialSet, units: UnitSystem): DialSet => ({
  ...set,
  plane: toCore(set.plane, 'distance', units),
  sag: toCore(set.sag, 'displacement', units),
  readings: readingsToCore(set.readings, units),
})

export const faceSetToCore = (set: FaceSet, units: UnitSystem): FaceSet => ({
  ...set,
  diameter: toCore(set.diameter, 'distance', units),
  sag: toCore(set.sag ?? 0, 'displacement', units),
  readings: readingsToCore(set.readings, units),
})

export const feetFromCore = (feet: readonly FootResult[], units: UnitSystem) =>
  feet.map(({ id, position, move }) => ({
    id,
    position: vhFromCore(position, 'displacement', units),
    move: vhFromCore(move, 'displacement', units),
  }))

export const setTrustFromCore = (set: SetTrust, units: UnitSystem) => {
  const length = (x: number) => fromCore(x, 'displacement', units)
  return {
    name: set.name,
    closure: set.closure === null ? null : length(set.closure),
    closureLimit: length(set.closureLimit),
    residualRms: length(set.residualRms),
    worst: { clock: set.worst.clock, residual: length(set.worst.residual) },
    arc: set.arc,
    amplification: set.amplification,
    sag: length(set.sag),
    suspects: set.suspects,
  }
}
