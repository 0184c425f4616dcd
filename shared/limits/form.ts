import { limitSetWords } from '../wording/viewWords'
import { GRADES, LIMITED, type Limited, type LimitRow, type RowLimits } from '../../core/judge/limitSets'
import { STARTER_RULES, starterLimit } from '../../core/judge/starterRules'
import type { Grade } from '../../core/judge/tolerance'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../core/units/unitSystem'
import type { LimitSetFields } from './limitSet'

export type CellTexts = Record<Limited, string>
export interface RowTexts extends Record<Grade, CellTexts> {
  /** Speed up to which the row holds; empty for every speed. */
  upTo: string
}
/** What stands in the boxes of a table of limits. */
export interface LimitTexts extends Omit<LimitSetFields, 'rows'> {
  rows: RowTexts[]
}

/** What a limit measures. */
export const MEASURE: Readonly<Record<Limited, 'displacement' | 'slope'>> = {
  offset: 'displacement',
  slope: 'slope',
  flexSlope: 'slope',
}
/** How its box is read: an angle as a bare figure. */
export const boxOf = (q: Limited): TypedMeasure => (q === 'offset' ? 'displacement' : 'plain')
/** Speeds that the starting values are written out for, rpm. */
const SPEEDS = [600, 900, 1200, 1500, 1800, 3000, 3600]

const noCells = (): CellTexts => ({ offset: '', slope: '', flexSlope: '' })
export const blankRow = (): RowTexts => ({ upTo: '', fine: noCells(), standard: noCells() })
const shown = (x: number | null): string => (x === null ? '' : String(Number(x.toPrecision(6))))

const rowTexts = (row: LimitRow): RowTexts => {
  const cells = (l: RowLimits): CellTexts => ({
    offset: shown(l.offset),
    slope: shown(l.slope),
    flexSlope: shown(l.flexSlope),
  })
  return { upTo: shown(row.upTo), fine: cells(row.fine), standard: cells(row.standard) }
}

export const textsOfLimits = (set: LimitSetFields): LimitTexts => ({
  level: set.level,
  coupling: set.coupling,
  name: set.name,
  source: set.source,
  revision: set.revision,
  units: set.units,
  inForce: set.inForce,
  rows: set.rows.map(rowTexts),
})

export const blankLimits = (units: UnitSystem): LimitTexts => ({
  level: 'works',
  coupling: '',
  name: '',
  source: '',
  revision: '',
  units,
  inForce: false,
  rows: [blankRow()],
})

/** The starting values written out by speed, to be edited. */
export const starterCopy = (units: UnitSystem): LimitTexts => {
  const cells = (grade: Grade, rpm: number): CellTexts => {
    const of = (q: Limited) => {
      const own = fromCore(starterLimit(STARTER_RULES[grade][q], q, rpm), MEASURE[q], units)
      return String(Number(own.toPrecision(2)))
    }
    return { offset: of('offset'), slope: of('slope'), flexSlope: of('flexSlope') }
  }
  return {
    ...blankLimits(units),
    name: limitSetWords.starterCopy,
    source: limitSetWords.starterSource,
    rows: SPEEDS.map((rpm) => ({
      upTo: String(rpm),
      fine: cells('fine', rpm),
      standard: cells('standard', rpm),
    })),
  }
}

/** The same figures in the other unit. */
export const convertLimits = (texts: LimitTexts, to: UnitSystem): LimitTexts => {
  const { units: was } = texts
  if (was === to) return texts
  const cells = (c: CellTexts): CellTexts => {
    const of = (q: Limited) => {
      const read = readTypedNumber(c[q], boxOf(q), was)
      return read.ok
        ? String(Number(fromCore(toCore(read.value, MEASURE[q], was), MEASURE[q], to).toPrecision(4)))
        : c[q]
    }
    return { offset: of('offset'), slope: of('slope'), flexSlope: of('flexSlope') }
  }
  return {
    ...texts,
    units: to,
    rows: texts.rows.map((r) => ({ upTo: r.upTo, fine: cells(r.fine), standard: cells(r.standard) })),
  }
}

/** Grades and quantities in the order of a row's boxes. */
export const ROW_BOXES = GRADES.flatMap((grade) => LIMITED.map((quantity) => ({ grade, quantity })))
