import { AXIS_DEGREES, clockDistance, clockVector, coveredArc, distinctClocks } from '../frame/clock'
import { done, refused, type Outcome } from '../outcome'
import type { Degrees } from '../units/unitSystem'

export interface Reading {
  readonly clock: Degrees
  readonly value: number
  /** Readings that share a zero share a group; each group has its own constant. */
  readonly group?: string
}

export interface Residual {
  readonly clock: Degrees
  readonly group: string
  readonly residual: number
}

/** Least-squares fit of `r = c_group + a cos(theta) + b sin(theta)`, in the unit of the readings. */
export interface HarmonicFit {
  readonly constants: Readonly<Record<string, number>>
  /** Null when the positions say nothing about this plane. */
  readonly cos: number | null
  readonly sin: number | null
  /** In the order of the readings. */
  readonly residuals: readonly Residual[]
  readonly residualRms: number
  readonly worst: Residual
  /** Readings beyond the fitted parameters; 0 means nothing can be exposed. */
  readonly spare: number
  readonly arc: Degrees
  /** How reading error grows into the cos/sin pair: square root of the largest eigenvalue. */
  readonly amplification: number
}

export const ARC_REFUSED = 60
export const ARC_WARNED = 120
export const AMPLIFICATION_REFUSED = 10
export const AMPLIFICATION_WARNED = 2.5
/** What four readings at right angles give: the yardstick for showing amplification. */
export const AMPLIFICATION_FOUR_CLOCK = Math.SQRT1_2

type Axes = 'both' | 'v' | 'h'

/** Which planes the positions can tell, or why they can't (docs/methods/fit-readings.md). */
const readableAxes = (readings: readonly Reading[]): Outcome<Axes> => {
  const byGroup = new Map<string, Degrees[]>()
  for (const r of readings) {
    const group = r.group ?? ''
    byGroup.set(group, [...(byGroup.get(group) ?? []), r.clock])
  }
  let steps = 0
  let onV = 0
  let onH = 0
  for (const clocks of byGroup.values()) {
    const distinct = distinctClocks(clocks)
    steps += distinct.length - 1
    if (distinct.length !== 2) continue
    const near = (axis: Degrees) =>
      distinct.every((c) => Math.min(clockDistance(c, axis), clockDistance(c, axis + 180)) <= AXIS_DEGREES)
    const opposite =
      Math.abs(clockDistance(distinct[0] as Degrees, distinct[1] as Degrees) - 180) <= AXIS_DEGREES
    if (opposite && near(0)) onV++
    else if (opposite && near(90)) onH++
  }
  if (steps === 0)
    return refused('too-few-positions', [], { distinct: distinctClocks(readings.map((r) => r.clock)).length })
  if (steps > onV + onH) return steps === 1 ? refused('pair-off-plane', []) : done('both')
  if (onV > 0 && onH > 0) return done('both')
  return done(onV > 0 ? 'v' : 'h')
}

/** Group of each reading as an index, and how many groups there are. */
const numberGroups = (readings: readonly Reading[]): { names: string[]; of: number[] } => {
  const names: string[] = []
  const of = readings.map((r) => {
    const group = r.group ?? ''
    const known = names.indexOf(group)
    return known >= 0 ? known : names.push(group) - 1
  })
  return { names, of }
}

/**
 * Fits one dial's readings. At least three distinct positions, or opposite pairs on 12-6 / 3-9.
 * Refused with a code when the positions can't carry a result: arc under 60 degrees, amplification
 * over 10. Solved in closed form on group-centred sums; no matrix is built.
 */
export const fitHarmonic = (readings: readonly Reading[]): Outcome<HarmonicFit> => {
  const axes = readableAxes(readings)
  if (!axes.ok) return axes

  const { names, of } = numberGroups(readings)
  const cosines: number[] = []
  const sines: number[] = []
  const count = names.map(() => 0)
  const meanC = names.map(() => 0)
  const meanS = names.map(() => 0)
  const meanR = names.map(() => 0)
  for (let i = 0; i < readings.length; i++) {
    const reading = readings[i] as Reading
    const [c, s] = clockVector(reading.clock)
    const g = of[i] as number
    cosines.push(c)
    sines.push(s)
    count[g] = (count[g] as number) + 1
    meanC[g] = (meanC[g] as number) + c
    meanS[g] = (meanS[g] as number) + s
    meanR[g] = (meanR[g] as number) + reading.value
  }
  for (let g = 0; g < names.length; g++) {
    const n = count[g] as number
    meanC[g] = (meanC[g] as number) / n
    meanS[g] = (meanS[g] as number) / n
    meanR[g] = (meanR[g] as number) / n
  }

  let cc = 0
  let ss = 0
  let cs = 0
  let cr = 0
  let sr = 0
  for (let i = 0; i < readings.length; i++) {
    const g = of[i] as number
    const c = (cosines[i] as number) - (meanC[g] as number)
    const s = (sines[i] as number) - (meanS[g] as number)
    const r = (readings[i] as Reading).value - (meanR[g] as number)
    cc += c * c
    ss += s * s
    cs += c * s
    cr += c * r
    sr += s * r
  }

  const arc = coveredArc(readings.map((r) => r.clock))
  let a: number | null
  let b: number | null
  let amplification: number
  if (axes.value === 'both') {
    const det = cc * ss - cs * cs
    const smallest = (cc + ss - Math.sqrt((cc - ss) ** 2 + 4 * cs * cs)) / 2
    amplification = smallest > 0 ? 1 / Math.sqrt(smallest) : Infinity
    if (arc < ARC_REFUSED) return refused('arc-too-short', [], { arc, limit: ARC_REFUSED })
    if (!(amplification <= AMPLIFICATION_REFUSED))
      return refused('amplified-too-much', [], {
        times: Math.min(amplification / AMPLIFICATION_FOUR_CLOCK, 1e6),
        limit: AMPLIFICATION_REFUSED / AMPLIFICATION_FOUR_CLOCK,
      })
    a = (cr * ss - sr * cs) / det
    b = (sr * cc - cr * cs) / det
  } else {
    a = axes.value === 'v' ? cr / cc : null
    b = axes.value === 'h' ? sr / ss : null
    amplification = 1 / Math.sqrt(axes.value === 'v' ? cc : ss)
  }

  const constants: Record<string, number> = {}
  names.forEach((name, g) => {
    constants[name] = (meanR[g] as number) - (a ?? 0) * (meanC[g] as number) - (b ?? 0) * (meanS[g] as number)
  })
  let squares = 0
  let worst: Residual | undefined
  const residuals = readings.map((r, i): Residual => {
    const group = r.group ?? ''
    const fitted =
      (constants[group] as number) + (a ?? 0) * (cosines[i] as number) + (b ?? 0) * (sines[i] as number)
    const row = { clock: r.clock, group, residual: r.value - fitted }
    squares += row.residual * row.residual
    if (!worst || Math.abs(row.residual) > Math.abs(worst.residual)) worst = row
    return row
  })
  return done({
    constants,
    cos: a,
    sin: b,
    residuals,
    residualRms: Math.sqrt(squares / readings.length),
    worst: worst as Residual,
    spare: readings.length - names.length - (axes.value === 'both' ? 2 : 1),
    arc,
    amplification,
  })
}
