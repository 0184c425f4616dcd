import { currentAfter, diameterAt, halfTurns, judgeCurrent, type SetSheave } from '../../belt/settingTable'
import { driveAtCentre, pitchLengthAt } from '../../belt/geometry'
import { judgeTension, type Interval, type TensionVerdict } from '../../belt/tensionBand'
import { marginIn, verdictOfMargin, type Verdict } from '../../judge/judge'
import { otherSheave, type BeltMachine, type Sheave, type SheavePlace } from '../../register/beltMachine'
import { machineAsSet, SAME_SETTING } from '../../register/setSheaves'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { lineOfRound, type LineReading } from '../lineUp/line'
import { stiffnessOf } from '../tension/band'
import { readTension, type TensionRead } from '../tension/tension'
import type { DriveLeft } from './driveLeft'

/** One setting of the sheave and what comes of it. */
export interface SettingRow {
  readonly turns: number
  readonly pitchDiameter: Millimetres
  readonly drivenRpm: number
  /** What the motor may draw; null where it was never read. */
  readonly current: Interval | null
  readonly verdict: Verdict | null
}

/** What follows from how a sheave that can be set stands now, against how it was left. Millimetres, newtons. */
export interface SettingFollows {
  readonly place: SheavePlace
  readonly moves: 'outer' | 'inner' | 'both'
  readonly turnsMost: number
  readonly grooveAngle: number
  /** Turns open as it was left, and now. */
  readonly before: number
  readonly now: number
  readonly changed: boolean
  readonly was: SettingRow
  readonly is: SettingRow
  readonly rows: readonly SettingRow[]
  /** Of the moving flange, outward positive. */
  readonly opened: Millimetres
  /** Of the groove's centre, away from the motor positive. */
  readonly shift: Millimetres
  /** How much lower the belt rides in the groove. */
  readonly ridesLower: Millimetres
  readonly amperes: { readonly before: number | null; readonly plate: number | null }
  /** The line as it was left, and the offset to be expected from there. */
  readonly line: {
    readonly left: LineReading
    readonly offset: Millimetres
    readonly limit: Millimetres | null
    readonly verdict: Verdict | null
  } | null
  readonly tension: {
    readonly left: TensionRead | null
    /** How the belts stand for it; `in` where the setting did not change or it can't be told to leave the band. */
    readonly leans: TensionVerdict
    /** How far the motor goes to keep the belts as they were: away from the driven shaft positive. */
    readonly motor: Millimetres
  }
}

const variableOf = (sheave: Sheave, units: BeltMachine['units']): (SetSheave & Sheave) | null => {
  const { build } = sheave
  if (build?.kind !== 'variable') return null
  const mm = (x: number) => toCore(x, 'distance', units)
  const { turnsOpen, turnsMost, grooveAngle } = build
  return {
    ...sheave,
    pitchDiameter: mm(sheave.pitchDiameter),
    threadPitch: mm(build.threadPitch),
    turnsOpen,
    turnsMost,
    grooveAngle,
  }
}

/** The line as it was read last, and the offset that the groove's shift makes of it. */
const lineAfter = (
  before: BeltMachine,
  { line }: DriveLeft,
  place: SheavePlace,
  shift: Millimetres,
): SettingFollows['line'] => {
  const left = line && lineOfRound({ contacts: null, reading: line, correction: null, turns: {} }, before)
  if (!line || !left) return null
  // The offset counts from the sheave under the edge to the other one, away from the edge positive.
  const outward = line.payload.edgeSide === 'outer' ? -1 : 1
  const onOther = place === otherSheave(line.payload.edgeOn) ? 1 : -1
  const offset = left.errors.offset + outward * onOther * shift
  const limit = left.limits.offset
  const verdict = limit === null ? null : verdictOfMargin(marginIn(offset, [-limit, limit]))
  return { left, offset, limit, verdict }
}

/** What the belts do where the motor stays: ridden lower they hang slack, ridden higher they pull. */
const tensionAfter = (
  before: BeltMachine,
  left: TensionRead | null,
  diameters: Readonly<Record<'was' | 'is', number>>,
  place: SheavePlace,
): SettingFollows['tension'] | null => {
  const mm = (x: number) => toCore(x, 'distance', before.units)
  const other = mm(before.sheaves[otherSheave(place)].pitchDiameter)
  const centre = mm(before.centreDistance)
  const ordered = (d: number) => [Math.min(d, other), Math.max(d, other)] as const
  const drive = driveAtCentre(...ordered(diameters.was), centre)
  if (!drive.ok) return null
  const { strandAngle, wrapSmall, wrapLarge, pitchLength } = drive.value
  const by = diameters.is - diameters.was
  const wrap = diameters.was <= other ? wrapSmall : wrapLarge
  const motor = (-wrap * by) / (4 * Math.cos(strandAngle))
  const stiffness = stiffnessOf(before)
  if (left?.band && left.mean !== null && stiffness > 0) {
    const path = pitchLengthAt(...ordered(diameters.is), centre)
    const tension = Math.max(0, left.mean + (stiffness * (path - pitchLength)) / pitchLength)
    return { left, leans: judgeTension(tension, left.band.tension).verdict, motor }
  }
  return { left, leans: by < 0 ? 'slack' : by > 0 ? 'tight' : 'in', motor }
}

/**
 * What a sheave that stands so many turns open makes of speed, current, line and tension, beside how it was
 * left; every half turn besides. Null where the sheave can't be set, or at that setting has no groove left.
 * Source: docs/methods/variable-sheave.md.
 */
export const settingFollows = (
  registered: BeltMachine,
  place: SheavePlace,
  now: number,
  left: DriveLeft | null,
): SettingFollows | null => {
  const before = machineAsSet(registered, left?.turns ?? {})
  const sheave = variableOf(before.sheaves[place], registered.units)
  const { build } = before.sheaves[place]
  if (!sheave || build?.kind !== 'variable') return null
  const { plateCurrent, load } = registered
  const other = toCore(before.sheaves[otherSheave(place)].pitchDiameter, 'distance', registered.units)
  const drivenAt = (d: number) =>
    place === 'motor' ? (registered.rpm * d) / other : (registered.rpm * other) / d
  const amperes = left?.amperes ?? null
  const rowAt = (turns: number): SettingRow | null => {
    const pitchDiameter = diameterAt(sheave, turns)
    if (pitchDiameter === null) return null
    const drivenRpm = drivenAt(pitchDiameter)
    const current =
      amperes === null
        ? null
        : currentAfter(amperes, drivenRpm / drivenAt(sheave.pitchDiameter), load ?? 'other')
    const verdict = current && plateCurrent !== undefined ? judgeCurrent(current, plateCurrent) : null
    return { turns, pitchDiameter, drivenRpm, current, verdict }
  }
  const [was, is] = [rowAt(sheave.turnsOpen), rowAt(now)]
  if (!was || !is) return null
  const opened = (now - sheave.turnsOpen) * sheave.threadPitch
  const shift = build.moves === 'both' ? 0 : (build.moves === 'outer' ? opened : -opened) / 2
  const tension = tensionAfter(
    before,
    left?.tension ? readTension(left.tension, before) : null,
    { was: was.pitchDiameter, is: is.pitchDiameter },
    place,
  )
  if (!tension) return null
  return {
    place,
    moves: build.moves,
    turnsMost: sheave.turnsMost,
    grooveAngle: sheave.grooveAngle,
    before: sheave.turnsOpen,
    now,
    changed: Math.abs(now - sheave.turnsOpen) >= SAME_SETTING,
    was,
    is,
    rows: halfTurns(sheave.turnsMost, [sheave.turnsOpen, now]).flatMap((t) => rowAt(t) ?? []),
    opened,
    shift,
    ridesLower: (was.pitchDiameter - is.pitchDiameter) / 2,
    amperes: { before: amperes, plate: plateCurrent ?? null },
    line: left && lineAfter(before, left, place, shift),
    tension,
  }
}
