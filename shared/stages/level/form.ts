import { levelWords } from '../../wording/en'
import type { LevelEntries } from '../../../core/stages/level/entries'
import type { MachineRole } from '../../../core/plan/pairNames'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { boxReader, sensitivityFrom } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import type { Telling } from '../../wording/telling'
import { blankTurn, nameTurnUnits, readTurn, type TurnTexts } from './turn'

export const ROLES = ['stationary', 'movable'] as const satisfies readonly MachineRole[]

/** One shaft's boxes. */
interface ShaftTexts {
  feeler: string
  low: 'coupling' | 'far'
  divisions: string
  reversed: string
}

/** What stands in the boxes, as typed. */
export interface LevelTexts extends TurnTexts {
  panel: 'level' | 'runout'
  by: 'feeler' | 'divisions'
  shafts: Record<MachineRole, ShaftTexts>
  supported: string
  sensitivity: string
  machine: MachineRole
}

const blankShaft = (): ShaftTexts => ({ feeler: '', low: 'far', divisions: '', reversed: '' })

export const blankLevel = (units: UnitSystem): LevelTexts => ({
  ...blankTurn(units),
  panel: 'level',
  by: 'feeler',
  shafts: { movable: blankShaft(), stationary: blankShaft() },
  supported: '',
  sensitivity: '',
  machine: 'movable',
})

/** The same texts meaning the same in other units. A sensitivity has no unit behind it: it is emptied. */
export const nameLevelUnits = (texts: LevelTexts, was: UnitSystem): void => {
  const [small, long] = [unitOf('displacement', was), unitOf('distance', was)]
  for (const role of ROLES) texts.shafts[role].feeler = withUnit(texts.shafts[role].feeler, small)
  nameTurnUnits(texts, was)
  texts.supported = withUnit(texts.supported, long)
  texts.sensitivity = sensitivityFrom(texts.sensitivity, was)
}

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

/** Reads the boxes of the level and of the run-out. */
export const readLevel = (texts: LevelTexts, telling: Telling): LevelRead => {
  const { units } = telling
  const w = levelWords(telling.words).form
  const { faults, number } = boxReader(telling)
  const notes: Record<string, string> = {}
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

  const turn = readTurn(texts, texts.machine, telling)
  return {
    faults: { ...faults, ...turn.faults },
    notes,
    questions: texts.panel === 'runout' ? turn.questions : [],
    levels: levelClean && Object.keys(notes).length === 0 ? levels : [],
    runout: turn.runout,
    missing: turn.missing,
  }
}
