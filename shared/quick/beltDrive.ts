import { marginIn, verdictOfMargin } from '../../core/judge/judge'
import type { SettingFollows, SettingRow } from '../../core/stages/inspect/setting'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import type { BeltBars } from '../stages/tension/drawing'
import type { TextGroup, Texts } from './texts'

/** Sheaves of a drive that nobody has typed yet, as an ordinary one; millimetres. */
export const drawnSizes = (
  small: number | null,
  large: number | null,
  centre: number | null,
): { readonly motor: number; readonly driven: number; readonly centre: number } => {
  const motor = small ?? (large === null ? 140 : large / 2)
  const driven = Math.max(motor, large ?? 2 * motor)
  const least = (motor + driven) / 2
  return { motor, driven, centre: centre !== null && centre > least ? centre : 1.2 * (motor + driven) }
}

const groups = (list: Texts | undefined): readonly TextGroup[] =>
  Array.isArray(list) ? (list as TextGroup[]) : []
const said = (group: TextGroup, name: string): string => {
  const text = group[name]
  return typeof text === 'string' ? text.trim() : text ? 'something' : ''
}

/** Whether every belt of a set is read by a force at one deflection: only that has boxes before its bar. */
export const fitsForces = (list: Texts | undefined): boolean => {
  const rows = groups(list)
  return (
    rows.every((r) => said(r, 'frequency') === '' && said(r, 'elongation') === '') &&
    new Set(rows.map((r) => said(r, 'deflection'))).size <= 1
  )
}

/** A set of so many belts in the sum's form: forces as typed, one deflection for all. */
export const forceRows = (forces: readonly string[], deflection: string): readonly TextGroup[] =>
  forces.map((force, i) => ({
    id: String(i + 1),
    force,
    deflection,
    frequency: '',
    elongation: null,
  }))

interface SetResult {
  readonly band: { readonly tension: readonly [number, number] }
  readonly belts: readonly { readonly tension: number; readonly verdict: 'slack' | 'in' | 'tight' }[]
}

/** Each belt's tension as a bar against the band; figures as the sum answers them. */
export const barsOf = (
  { band, belts }: SetResult,
  figure: (tension: number) => string,
  names: readonly string[],
): BeltBars => {
  const [low, high] = band.tension
  const most = Math.max(high, ...belts.map((b) => b.tension), 1e-9) * 1.12
  return {
    bars: belts.map((b, i) => ({
      name: names[i] ?? '',
      figure: figure(b.tension),
      share: Math.max(0, b.tension / most),
      verdict: b.verdict === 'in' ? 'in' : 'out',
    })),
    band: { low: low / most, high: high / most, words: [figure(low), figure(high)] },
  }
}

/** What the sum of a variable sheave is asked and answers, in its own units. */
export interface SettingAsked {
  readonly grooveAngle: number
  readonly threadPitch: number
  readonly turns: number
  readonly pitchDiameter: number
  readonly rpm: number
  readonly drivenDiameter: number
  readonly flanges?: 'one' | 'both'
  readonly motorCurrent?: number
  readonly plateCurrent?: number
}
interface SettingRowAnswered {
  readonly turns: number
  readonly pitchDiameter: number
  readonly drivenRpm: number
  readonly powerRatio: number
}
export interface SettingAnswered extends Omit<SettingRowAnswered, 'turns'> {
  readonly centreShift: number
  readonly centreChange: number | null
  readonly table?: readonly SettingRowAnswered[]
}

/** A sheave that is turned, as its board draws it: from now on, turns counted from how it stands. */
export const settingOf = (
  asked: SettingAsked,
  answered: SettingAnswered,
  units: UnitSystem,
): SettingFollows => {
  const mm = (x: number) => toCore(x, 'distance', units)
  const plate = asked.plateCurrent ?? null
  const row = (r: SettingRowAnswered): SettingRow => {
    const amperes = asked.motorCurrent === undefined ? null : asked.motorCurrent * r.powerRatio
    return {
      turns: r.turns,
      pitchDiameter: mm(r.pitchDiameter),
      drivenRpm: r.drivenRpm,
      current: amperes === null ? null : [amperes, amperes],
      verdict: amperes === null || plate === null ? null : verdictOfMargin(marginIn(amperes, [null, plate])),
    }
  }
  const was = row({
    turns: 0,
    pitchDiameter: asked.pitchDiameter,
    drivenRpm: (asked.rpm * asked.pitchDiameter) / asked.drivenDiameter,
    powerRatio: 1,
  })
  const is = row({ ...answered, turns: asked.turns })
  const known = (answered.table ?? []).map(row)
  const rows = [...known, ...[was, is].filter((r) => !known.some((k) => k.turns === r.turns))].sort(
    (a, b) => a.turns - b.turns,
  )
  return {
    place: 'motor',
    moves: asked.flanges === 'both' ? 'both' : 'outer',
    turnsMost: Math.max(...rows.map((r) => r.turns)),
    grooveAngle: asked.grooveAngle,
    before: 0,
    now: asked.turns,
    changed: asked.turns !== 0,
    was,
    is,
    rows: rows.filter((r, i) => i === 0 || r.turns !== rows[i - 1]?.turns),
    opened: mm(asked.turns * asked.threadPitch),
    shift: mm(answered.centreShift),
    ridesLower: (was.pitchDiameter - is.pitchDiameter) / 2,
    amperes: { before: asked.motorCurrent ?? null, plate },
    line: null,
    tension: { left: null, leans: 'in', motor: mm(answered.centreChange ?? 0) },
  }
}
