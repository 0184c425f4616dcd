import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** On the tooth by a dial, in the plane of rotation; or between the flanks, by a feeler. */
export const BACKLASH_BY = ['dial', 'feeler'] as const
export type BacklashBy = (typeof BACKLASH_BY)[number]

/** Backlash a millimetre of centre distance: `2 tan` of the pressure angle on the tooth, `2 sin` between the flanks. */
export const backlashPerCentre = (by: BacklashBy, pressureAngle: Degrees): number => {
  const angle = (pressureAngle * Math.PI) / 180
  return 2 * (by === 'feeler' ? Math.sin(angle) : Math.tan(angle))
}

/** The same play read the other way: a feeler shows the cosine of the pressure angle of what a dial on the tooth shows. */
export const backlashReadBy = (
  value: Millimetres,
  from: BacklashBy,
  to: BacklashBy,
  pressureAngle: Degrees,
): Millimetres => value * (backlashPerCentre(to, pressureAngle) / backlashPerCentre(from, pressureAngle))

export interface BacklashRead {
  readonly least: Millimetres
  readonly most: Millimetres
  readonly mean: Millimetres
  /** The reading that is worst in its window. */
  readonly worst: Millimetres
  readonly margin: number
  readonly verdict: Verdict
}

/** Judges readings around the gear against their window, the worst of them. Null without readings. */
export const judgeBacklash = (readings: readonly Millimetres[], window: Band): BacklashRead | null => {
  if (readings.length === 0) return null
  const worst = readings.reduce((a, b) => (marginIn(b, window) < marginIn(a, window) ? b : a))
  const margin = marginIn(worst, window)
  return {
    least: Math.min(...readings),
    most: Math.max(...readings),
    mean: readings.reduce((a, b) => a + b, 0) / readings.length,
    worst,
    margin,
    verdict: verdictOfMargin(margin),
  }
}

export interface LayersAsked {
  readonly read: Pick<BacklashRead, 'least' | 'most'>
  readonly by: BacklashBy
  readonly window: Band
  readonly pressureAngle: Degrees
  /** Of one layer. */
  readonly layer: Millimetres
  /** Layers under each block; the fewer of them bounds what can come out, and one stays. */
  readonly under: readonly number[]
  /** Whether layers hold the shafts apart or bring them together. */
  readonly layersMove: 'apart' | 'closer'
}

export interface LayersAdvice {
  /** Under each block alike: in positive, out negative; 0 where none is needed. */
  readonly layers: number
  /** What the readings are expected to be afterwards. */
  readonly after: { readonly least: Millimetres; readonly most: Millimetres }
  readonly verdict: Verdict
  /** Layers that would have to come out and do not lie there. */
  readonly short: number
  readonly centreChange: Millimetres
}

/**
 * The layers under each block that bring the backlash nearest the middle of its window: the change of centre distance
 * over the thickness of a layer, whole layers, one stays under each block. Readings that spread more than the window
 * is wide are said by the verdict. Millimetres. Source: docs/methods/gear-contact.md.
 */
export const layersFor = (asked: LayersAsked): LayersAdvice => {
  const { read, window, layer } = asked
  const [low, high] = window
  const perCentre = backlashPerCentre(asked.by, asked.pressureAngle)
  const sign = asked.layersMove === 'apart' ? 1 : -1
  const outcome = (layers: number) => {
    const change = sign * layers * layer * perCentre
    const after = { least: read.least + change, most: read.most + change }
    const margin = Math.min(marginIn(after.least, window), marginIn(after.most, window))
    return { layers, after, verdict: verdictOfMargin(margin), centreChange: sign * layers * layer, margin }
  }
  const now = outcome(0)
  const stays = { ...now, short: 0 }
  if (now.margin >= 0 || (low === null && high === null)) return said(stays)
  const mean = (read.least + read.most) / 2
  // A window that is open on one side is aimed at a quarter inside its bound.
  const middle =
    low !== null && high !== null ? (low + high) / 2 : low !== null ? low * 1.25 : (high as number) * 0.75
  const wanted = Math.round((middle - mean) / (sign * layer * perCentre))
  const spare = Math.max(0, Math.min(...asked.under) - 1)
  const layers = Math.max(-spare, wanted)
  return said({ ...outcome(layers), short: layers - wanted })
}

const said = ({ layers, after, verdict, short, centreChange }: LayersAdvice): LayersAdvice => ({
  layers,
  after,
  verdict,
  short,
  centreChange,
})
