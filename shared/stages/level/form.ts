import { levelWords } from '../../wording/en'
import type { LevelEntries, RunoutSurface } from '../../../core/stages/level/entries'
import type { MachineRole } from '../../../core/plan/movePlan'
import { toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { boxReader, sensitivityFrom } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import type { Telling } from '../../wording/telling'

export const ROLES = ['stationary', 'movable'] as const satisfies readonly MachineRole[]

/** One shaft's boxes. */
interface ShaftTexts {
  feeler: string
  low: 'coupling' | 'far'
  divisions: string
  reversed: string
}

/** What stands in the boxes, as typed. */
export interface LevelTexts {
  units: UnitSystem
  panel: 'level' | 'runout'
  by: 'feeler' | 'divisions'
  shafts: Record<MachineRole, ShaftTexts>
  supported: string
  sensitivity: string
  machine: MachineRole
  surface: RunoutSurface
  /** Positions over the turn. */
  count: '4' | '8' | '12'
  /** Readings by clock mark. */
  values: Record<string, string>
  diameter: string
  limit: string
}

const blankShaft = (): ShaftTexts => ({ feeler: '', low: 'far', divisions: '', reversed: '' })

export const blankLevel = (units: UnitSystem): LevelTexts => ({
  units,
  panel: 'level',
  by: 'feeler',
  shafts: { movable: blankShaft(), stationary: blankShaft() },
  supported: '',
  sensitivity: '',
  machine: 'movable',
  surface: 'rim',
  count: '8',
  values: {},
  diameter: '',
  limit: '',
})

/** The same texts meaning the same in other units. A sensitivity has no unit behind it: it is emptied. */
export const nameLevelUnits = (texts: LevelTexts, was: UnitSystem): void => {
  const [small, long] = [unitOf('displacement', was), unitOf('distance', was)]
  for (const role of ROLES) texts.shafts[role].feeler = withUnit(texts.shafts[role].feeler, small)
  for (const key of Object.keys(texts.values)) texts.values[key] = withUnit(texts.values[key] ?? '', small)
  texts.limit = withUnit(texts.limit, small)
  texts.supported = withUnit(texts.supported, long)
  texts.diameter = withUnit(texts.diameter, long)
  texts.sensitivity = sensitivityFrom(texts.sensitivity, was)
}

/** Clock marks of a turn. */
export const marksOf = (count: LevelTexts['count']): readonly number[] =>
  Array.from({ length: Number(count) }, (_, i) => (i * 360) / Number(count))

export interface LevelRead {
  /** What can't be read, by box: `feeler.movable`, `supported`, `value.45`. */
  readonly faults: Readonly<Record<string, string>>
  /** What is still missing, by box. */
  readonly notes: Readonly<Record<string, string>>
  readonly questions: readonly string[]
  /** One a shaft that was read. */
  readonly levels: readonly LevelEntries['level-read'][]
  readonly runout: LevelEntries['runout-read'] | null
  /** Marks still to be read. */
  readonly missing: readonly number[]
}

/** A hub that runs out more than this would not have been turned: a digit has slipped. */
const FAR_TOO_MUCH: Millimetres = 3

/** Reads the boxes of the level and of the run-out. */
export const readLevel = (texts: LevelTexts, telling: Telling): LevelRead => {
  const { units } = telling
  const w = levelWords(telling.words).form
  const { faults, number } = boxReader(telling)
  const notes: Record<string, string> = {}
  const questions: string[] = []
  const supported = number(texts.supported, 'supported', 'distance', 'above')
  const sensitivity = number(texts.sensitivity, 'sensitivity', 'plain', 'above')
  const levels: LevelEntries['level-read'][] = []
  for (const machine of ROLES) {
    const shaft = texts.shafts[machine]
    if (texts.by === 'feeler') {
      const feeler = number(shaft.feeler, `feeler.${machine}`, 'displacement', 'zero')
      if (feeler === null) continue
      if (supported === null) notes.supported ??= w.supportedToo
      else
        levels.push({
          units,
          machine,
          reading: { by: 'feeler', feeler, supported, low: shaft.low },
          remark: '',
        })
    } else {
      const divisions = number(shaft.divisions, `divisions.${machine}`, 'plain')
      const reversed = number(shaft.reversed, `reversed.${machine}`, 'plain')
      if (divisions === null) {
        if (reversed !== null) notes[`divisions.${machine}`] = w.firstWay
        continue
      }
      if (sensitivity === null) notes.sensitivity ??= w.sensitivityToo
      else
        levels.push({
          units,
          machine,
          reading: { by: 'divisions', divisions, reversed, sensitivity },
          remark: '',
        })
    }
  }
  const levelClean = !Object.keys(faults).length

  const marks = marksOf(texts.count)
  const readings: { clock: number; value: number }[] = []
  const missing: number[] = []
  for (const clock of marks) {
    const value = number(texts.values[clock] ?? '', `value.${clock}`, 'displacement')
    if (value === null) missing.push(clock)
    else readings.push({ clock, value })
  }
  const values = readings.map((r) => toCore(r.value, 'displacement', units))
  const spread = values.length > 1 ? Math.max(...values) - Math.min(...values) : 0
  if (spread > FAR_TOO_MUCH)
    questions.push(
      w.much(
        `${Number((spread / (units === 'inch' ? 0.0254 : 1)).toPrecision(4))} ${unitOf('displacement', units)}`,
      ),
    )
  const diameter = number(texts.diameter, 'diameter', 'distance', 'above')
  const limit = number(texts.limit, 'limit', 'displacement', 'above')
  const runoutClean =
    !['diameter', 'limit'].some((k) => k in faults) && !marks.some((m) => `value.${m}` in faults)
  return {
    faults,
    notes,
    questions: texts.panel === 'runout' ? questions : [],
    levels: levelClean && Object.keys(notes).length === 0 ? levels : [],
    // A position may be left out where something is in the way: three tell the eccentricity.
    runout:
      runoutClean && readings.length >= 3
        ? { units, machine: texts.machine, surface: texts.surface, diameter, readings, limit, remark: '' }
        : null,
    missing,
  }
}

/** The boxes that show a turn that was logged. */
export const turnTexts = (payload: LevelEntries['runout-read'], shown: (mil: number) => string) =>
  Object.fromEntries(payload.readings.map((r) => [String(r.clock), shown(r.value)]))
