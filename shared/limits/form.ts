import { GRADES, LIMITED, type Limited, type LimitRow, type RowLimits } from '../../core/judge/limitSets'
import { STARTER_RULES, starterLimit } from '../../core/judge/starterRules'
import type { Grade } from '../../core/judge/tolerance'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../core/units/unitSystem'
import { issuesOf } from '../calculation/issues'
import type { Words } from '../wording/en'
import { limitSetFields, type LimitSetFields } from './limitSet'

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
export const starterCopy = (units: UnitSystem, words: Words): LimitTexts => {
  const cells = (grade: Grade, rpm: number): CellTexts => {
    const of = (q: Limited) => {
      const own = fromCore(starterLimit(STARTER_RULES[grade][q], q, rpm), MEASURE[q], units)
      return String(Number(own.toPrecision(2)))
    }
    return { offset: of('offset'), slope: of('slope'), flexSlope: of('flexSlope') }
  }
  return {
    ...blankLimits(units),
    name: words.limitSets.starterCopy,
    source: words.limitSets.starterSource,
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

/**
 * Reads the boxes; faults by the path of their field, like `rows.2.fine.offset`. `unread` are those of boxes that hold
 * something that is no figure: said at once, the others when it is to be saved.
 */
export const readLimits = (
  texts: LimitTexts,
  words: Words,
): {
  readonly fields: LimitSetFields | null
  readonly unread: Readonly<Record<string, string>>
  readonly faults: Readonly<Record<string, string>>
} => {
  const unread: Record<string, string> = {}
  const number = (text: string, path: string, measure: TypedMeasure): number | null => {
    const read = readTypedNumber(text, measure, texts.units)
    if (read.ok) return read.value
    if (read.fault !== 'empty') unread[path] = words.typing.faults[read.fault]
    return null
  }
  const rows = texts.rows.map((r, i): LimitRow => {
    const cells = (grade: Grade): RowLimits => {
      const of = (q: Limited) => number(r[grade][q], `rows.${i}.${grade}.${q}`, boxOf(q))
      return { offset: of('offset'), slope: of('slope'), flexSlope: of('flexSlope') }
    }
    return {
      upTo: number(r.upTo, `rows.${i}.upTo`, 'plain'),
      fine: cells('fine'),
      standard: cells('standard'),
    }
  })
  const trimmed = {
    ...texts,
    coupling: texts.level === 'works' ? '' : texts.coupling.trim(),
    name: texts.name.trim(),
    source: texts.source.trim(),
    revision: texts.revision.trim(),
    rows,
  }
  const parsed = limitSetFields.safeParse(trimmed)
  const faults = { ...unread }
  if (!parsed.success) for (const { path, message } of issuesOf(parsed.error)) faults[path] ??= message
  return {
    fields: parsed.success && Object.keys(faults).length === 0 ? parsed.data : null,
    unread,
    faults,
  }
}

/** Grades and quantities in the order of a row's boxes. */
export const ROW_BOXES = GRADES.flatMap((grade) => LIMITED.map((quantity) => ({ grade, quantity })))
