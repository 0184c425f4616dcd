import { levelWords } from '../../wording/en'
import type { LevelEntries, RunoutSurface } from '../../../core/stages/level/entries'
import type { MachineRole } from '../../../core/plan/pairNames'
import { toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { boxReader } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import type { Telling } from '../../wording/telling'

/** One turn of one surface under a fixed dial, as typed. */
export interface TurnTexts {
  units: UnitSystem
  surface: RunoutSurface
  /** Positions over the turn. */
  count: '4' | '8' | '12'
  /** Readings by clock mark. */
  values: Record<string, string>
  diameter: string
  limit: string
}

export const blankTurn = (units: UnitSystem): TurnTexts => ({
  units,
  surface: 'rim',
  count: '8',
  values: {},
  diameter: '',
  limit: '',
})

/** The same texts meaning the same in other units. */
export const nameTurnUnits = (texts: TurnTexts, was: UnitSystem): void => {
  const [small, long] = [unitOf('displacement', was), unitOf('distance', was)]
  for (const key of Object.keys(texts.values)) texts.values[key] = withUnit(texts.values[key] ?? '', small)
  texts.limit = withUnit(texts.limit, small)
  texts.diameter = withUnit(texts.diameter, long)
}

/** Clock marks of a turn. */
export const marksOf = (count: TurnTexts['count']): readonly number[] =>
  Array.from({ length: Number(count) }, (_, i) => (i * 360) / Number(count))

export interface TurnRead {
  /** What can't be read, by box: `value.45`, `diameter`, `limit`. */
  readonly faults: Readonly<Record<string, string>>
  readonly questions: readonly string[]
  readonly runout: LevelEntries['runout-read'] | null
  /** Marks still to be read. */
  readonly missing: readonly number[]
}

/** A hub that runs out more than this would not have been turned: a digit has slipped. */
const FAR_TOO_MUCH: Millimetres = 3

/** Reads the boxes of a turn. A position may be left out where something is in the way: three tell the eccentricity. */
export const readTurn = (texts: TurnTexts, machine: MachineRole, telling: Telling): TurnRead => {
  const { units } = telling
  const { faults, number } = boxReader(telling)
  const readings: { clock: number; value: number }[] = []
  const missing: number[] = []
  for (const clock of marksOf(texts.count)) {
    const value = number(texts.values[clock] ?? '', `value.${clock}`, 'displacement')
    if (value === null) missing.push(clock)
    else readings.push({ clock, value })
  }
  const values = readings.map((r) => toCore(r.value, 'displacement', units))
  const spread = values.length > 1 ? Math.max(...values) - Math.min(...values) : 0
  const much = `${Number((spread / (units === 'inch' ? 0.0254 : 1)).toPrecision(4))} ${unitOf('displacement', units)}`
  const diameter = number(texts.diameter, 'diameter', 'distance', 'above')
  const limit = number(texts.limit, 'limit', 'displacement', 'above')
  const clean = Object.keys(faults).length === 0
  return {
    faults,
    questions: spread > FAR_TOO_MUCH ? [levelWords(telling.words).form.much(much)] : [],
    runout:
      clean && readings.length >= 3
        ? { units, machine, surface: texts.surface, diameter, readings, limit, remark: '' }
        : null,
    missing,
  }
}
