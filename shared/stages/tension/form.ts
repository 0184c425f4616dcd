import type { BeltAge } from '../../../core/belt/tension'
import { gaugeDeflectionOf } from '../../../core/belt/beltLimits'
import { gaugeSetting } from '../../../core/belt/gaugeSetting'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { driveOf } from '../../../core/stages/lineUp/line'
import type { TensionEntries, TensionReadBy, TensionSchool } from '../../../core/stages/tension/entries'
import { readingsOf } from '../../../core/register/readingsOf'
import { readTypedNumber, type TypedMeasure } from '../../../core/units/typedNumber'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { unitOf, withUnit } from '../../forms/typed'
import { tensionWords, typingWords } from '../../wording/en'
import type { Telling } from '../../wording/telling'
import { BELT_BOX } from './boxes'

/** What stands on the tension board, as typed. */
export interface TensionTexts {
  units: UnitSystem
  school: TensionSchool
  age: BeltAge
  sheaves: 'free' | 'held'
  /** The gauge's deflection for the school of forces; the force for the school of deflections. */
  deflection: string
  force: string
  /** Marks apart when slack. */
  slack: string
  windowLeast: string
  windowMost: string
  /** One text a belt, by school. */
  belts: Record<TensionSchool, string[]>
  words: string
}

/** What a school asks for besides each belt. */
export const SCHOOL_BOXES: Readonly<
  Record<TensionSchool, readonly ('deflection' | 'force' | 'slack' | 'windowLeast' | 'windowMost')[]>
> = {
  force: ['deflection'],
  deflection: ['force'],
  frequency: [],
  marks: ['slack'],
  hand: ['windowLeast', 'windowMost'],
}

const settable = (mm: number, units: UnitSystem): string =>
  String(Number(gaugeSetting(mm, units).toPrecision(6)))

/** Where the gauge goes on this drive, millimetres; null where its sheaves would touch. */
export const gaugeDeflection = (machine: BeltMachine): number | null => {
  const drive = driveOf(machine)
  return drive && gaugeDeflectionOf(machine, drive).value
}

/** An empty board: the gauge set for this span, belts of the age they went on with. */
export const blankTension = (machine: BeltMachine, newHere: boolean, units: UnitSystem): TensionTexts => {
  const at = gaugeDeflection(machine)
  const none = () => Array.from({ length: readingsOf(machine) }, () => '')
  return {
    units,
    school: 'force',
    age: newHere ? 'new' : 'run-in',
    sheaves: 'free',
    deflection: at === null ? '' : settable(at, units),
    force: '',
    slack: '',
    windowLeast: '',
    windowMost: '',
    belts: { force: none(), deflection: none(), frequency: none(), marks: none(), hand: none() },
    words: '',
  }
}

/** The same texts meaning the same in other units; hertz are hertz everywhere. */
export const nameTensionUnits = (texts: TensionTexts, was: UnitSystem): void => {
  const length = unitOf('distance', was)
  const force = unitOf('force', was)
  for (const key of ['deflection', 'slack', 'windowLeast', 'windowMost'] as const)
    texts[key] = withUnit(texts[key], length)
  texts.force = withUnit(texts.force, force)
  for (const school of ['force', 'deflection', 'marks', 'hand'] as const)
    texts.belts[school] = texts.belts[school].map((t) => withUnit(t, school === 'force' ? force : length))
}

export interface TensionFormRead {
  /** By box: `deflection`, `belt.0`. */
  readonly faults: Readonly<Record<string, string>>
  readonly asks: Readonly<Record<string, string>>
  /** Belts nobody has typed yet, by their place. */
  readonly missing: readonly number[]
  readonly begun: boolean
  readonly payload: TensionEntries['tension-read'] | null
}

/** Beyond this factor a reading is taken for a slip of the digits. */
const SLIP = 3

/** Reads the board; null until every belt of the set stands there. */
export const readTensionTexts = (texts: TensionTexts, telling: Telling): TensionFormRead => {
  const { units } = telling
  const w = tensionWords(telling.words).form
  const faults: Record<string, string> = {}
  const asks: Record<string, string> = {}
  const number = (text: string, key: string, measure: TypedMeasure): number | null => {
    const read = readTypedNumber(text, measure, units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[key] = typingWords(telling.words).faults[read.fault]
      return null
    }
    if (read.value > 0) return read.value
    faults[key] = w.aboveZero
    return null
  }
  const { school } = texts
  const typed = texts.belts[school]
  const values = typed.map((t, i) => number(t, `belt.${String(i)}`, BELT_BOX[school]))
  const missing = values.flatMap((v, i) => (v === null ? [i] : []))
  const known = values.filter((v) => v !== null)
  const middle = [...known].sort((a, b) => a - b)[Math.floor(known.length / 2)] ?? 0
  if (known.length > 2)
    values.forEach((v, i) => {
      if (v !== null && (v > SLIP * middle || v < middle / SLIP))
        asks[`belt.${String(i)}`] = w.farOff(String(Number(middle.toPrecision(3))))
    })
  const whole = missing.length === 0
  const by = ((): TensionReadBy | null => {
    switch (school) {
      case 'force': {
        const deflection = number(texts.deflection, 'deflection', 'distance')
        return deflection !== null && whole ? { by: 'force', deflection, forces: known } : null
      }
      case 'deflection': {
        const force = number(texts.force, 'force', 'force')
        return force !== null && whole ? { by: 'deflection', force, deflections: known } : null
      }
      case 'frequency':
        return whole ? { by: 'frequency', hertz: known } : null
      case 'marks': {
        const slack = number(texts.slack, 'slack', 'distance')
        values.forEach((v, i) => {
          if (slack !== null && v !== null && v < slack) faults[`belt.${String(i)}`] = w.notSlackened
        })
        return slack !== null && whole ? { by: 'marks', slack, apart: known } : null
      }
      case 'hand': {
        const least = number(texts.windowLeast, 'windowLeast', 'distance')
        const most = number(texts.windowMost, 'windowMost', 'distance')
        const given = texts.windowLeast.trim() !== '' || texts.windowMost.trim() !== ''
        if (given && (least === null || most === null || least >= most)) faults.windowMost ??= w.window
        const window = least !== null && most !== null ? ([least, most] as const) : null
        return whole ? { by: 'hand', deflections: known, window } : null
      }
    }
  })()
  return {
    faults,
    asks,
    missing,
    begun: typed.some((t) => t.trim() !== ''),
    payload:
      by && Object.keys(faults).length === 0
        ? { units, age: texts.age, sheaves: texts.sheaves, read: by, words: texts.words.trim() }
        : null,
  }
}

/** What stands in the boxes of what was turned: fractions of a turn at each end. */
export interface TurnTexts {
  sheaveEnd: string
  farEnd: string
  words: string
}

/** The turns that were asked for, filled in. */
export const askedTurns = (turns: number | null): TurnTexts => {
  const text = turns === null ? '' : String(turns)
  return { sheaveEnd: text, farEnd: text, words: '' }
}

/** Reads the turns; an empty box is an end that was left. */
export const readTurns = (
  texts: TurnTexts,
  telling: Telling,
): {
  readonly faults: Readonly<Record<string, string>>
  readonly payload: TensionEntries['tension-adjusted'] | null
} => {
  const faults: Record<string, string> = {}
  const turns = (key: 'sheaveEnd' | 'farEnd'): number | null => {
    const read = readTypedNumber(texts[key], 'plain', telling.units)
    if (read.ok) return read.value
    if (read.fault === 'empty') return 0
    faults[key] = typingWords(telling.words).faults[read.fault]
    return null
  }
  const [sheaveEnd, farEnd] = [turns('sheaveEnd'), turns('farEnd')]
  if (sheaveEnd === null || farEnd === null) return { faults, payload: null }
  if (sheaveEnd === 0 && farEnd === 0) return { faults, payload: null }
  return { faults, payload: { sheaveEnd, farEnd, words: texts.words.trim() } }
}
