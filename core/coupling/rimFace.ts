import { clockDistance } from '../frame/clock'
import { eachPlane, lineThrough, type Misalignment, type VH } from '../frame/planes'
import { fitHarmonic, type HarmonicFit, type Reading } from '../fit/harmonicFit'
import { done, refused, refusedBelow, type Outcome } from '../outcome'
import { flagsOfSets, trustOfSet, type TrustLimits, type TrustReport } from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import { faceFactor, rimFactor, withPlungerInPositive, type DialSet, type FaceSet } from './dialSet'

export interface RimFaceInput {
  readonly rim: DialSet
  /** One face dial, or two that stand 180 degrees apart and cancel axial float. */
  readonly faces: readonly [FaceSet] | readonly [FaceSet, FaceSet]
}

export interface CouplingMeasurement {
  readonly coupling: Misalignment
  readonly trust: TrustReport
  /** Fits by dial name, for showing the working. */
  readonly fits: Readonly<Record<string, HarmonicFit>>
  /** With two face dials: how far the shafts crept along the axis, millimetres. */
  readonly axialFloat: Millimetres | null
}

interface FaceReadings {
  readonly readings: readonly Reading[]
  /** q * D/2: face movement per unit of slope. */
  readonly lever: Millimetres
  readonly sag: Millimetres
  readonly axialFloat: Millimetres | null
}

/** Half the difference of two opposite dials reads slope alone; half their sum is axial float. */
const opposedFaces = (a: FaceSet, b: FaceSet): Outcome<FaceReadings> => {
  if (a.plunger !== b.plunger) return refused('plungers-differ', ['faces', 1, 'plunger'])
  const readingsA = withPlungerInPositive(a.readings, a.readingSign)
  const readingsB = withPlungerInPositive(b.readings, b.readingSign)
  const halves: Reading[] = []
  const sums: number[] = []
  for (const [i, ra] of readingsA.entries()) {
    const rb = readingsB.find((r) => Math.abs(clockDistance(r.clock, ra.clock) - 180) <= 1)
    if (!rb) return refused('faces-not-opposite', ['faces', 0, 'readings', i], { clock: ra.clock })
    halves.push({ ...ra, value: (ra.value - rb.value) / 2 })
    sums.push((ra.value + rb.value) / 2)
  }
  return done({
    readings: halves,
    lever: (faceFactor(a.plunger) * (a.diameter + b.diameter)) / 4,
    sag: ((a.sag ?? 0) + (b.sag ?? 0)) / 2,
    axialFloat: Math.max(...sums) - Math.min(...sums),
  })
}

const oneFace = (face: FaceSet): FaceReadings => ({
  readings: withPlungerInPositive(face.readings, face.readingSign),
  lever: (faceFactor(face.plunger) * face.diameter) / 2,
  sag: face.sag ?? 0,
  axialFloat: null,
})

/** (a - s)/k and b/k: a fit's amplitudes as displacement or slope in both planes. */
const amplitudes = (fit: HarmonicFit, sag: Millimetres, factor: number): VH => ({
  v: fit.cos === null ? null : (fit.cos - sag) / factor,
  h: fit.sin === null ? null : fit.sin / factor,
})

/**
 * Rim and face: offset and slope of the movable axis from one rim dial and one face dial (or two
 * opposite ones). Millimetres, degrees, mm/mm. Refuses positions that can't carry a result, with
 * the path below `rim`, `face` or `faces`. Source: chapter 2, What each instrument reads.
 */
export const rimFace = (input: RimFaceInput, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const rimReadings = withPlungerInPositive(input.rim.readings, input.rim.readingSign)
  const rimFit = fitHarmonic(rimReadings)
  if (!rimFit.ok) return refusedBelow(['rim', 'readings'], rimFit.refusals)

  const [first, second] = input.faces
  const face = second ? opposedFaces(first, second) : done(oneFace(first))
  if (!face.ok) return face
  const faceFit = fitHarmonic(face.value.readings)
  if (!faceFit.ok)
    return refusedBelow(second ? ['faces', 0, 'readings'] : ['face', 'readings'], faceFit.refusals)

  const slope = amplitudes(faceFit.value, face.value.sag, face.value.lever)
  const atPlane = amplitudes(rimFit.value, input.rim.sag, rimFactor(input.rim.carriedBy))
  const coupling = lineThrough(atPlane, input.rim.plane, slope)
  const sets = [
    trustOfSet('rim', rimReadings, rimFit.value, input.rim.sag, limits),
    trustOfSet('face', face.value.readings, faceFit.value, face.value.sag, limits),
  ]
  const flags = flagsOfSets(sets)
  if (input.rim.sag === 0) flags.push('no-sag')
  if ((input.rim.turning ?? 'both') !== 'both') flags.push('one-shaft-turned')
  const drift = face.value.axialFloat
  if (drift !== null && drift > (sets[1]?.closureLimit ?? 0)) flags.push('axial-float')
  return done({
    coupling: { offset: eachPlane((p) => coupling.offset[p]), slope },
    trust: { sets, flags },
    fits: { rim: rimFit.value, face: faceFit.value },
    axialFloat: drift,
  })
}
