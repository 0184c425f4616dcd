import { limitSetWords } from '../wording/viewWords'
import { GRADES, LIMITED, type LimitRow, type RowLimits } from '../../core/judge/limitSets'
import { issuesOf } from '../calculation/issues'
import { csvText } from '../files/csv'
import { csvLines, figureIn, type CsvLine } from '../files/csvLines'
import { typing } from '../wording/en'
import { csvFileWords } from '../wording/en/csvFile'
import { limitSetFields, type LimitSetFields, type LimitSetRecord } from './limitSet'

/** Columns of the file: a line for each row and grade of a table, figures in the table's own units. */
const COLUMNS = [
  'level',
  'coupling',
  'name',
  'source',
  'revision',
  'inForce',
  'units',
  'upTo',
  'grade',
  ...LIMITED,
] as const
type Column = (typeof COLUMNS)[number]

/** Tables as CSV. */
export const limitsToCsv = (sets: readonly LimitSetFields[]): string => {
  const text = (x: number | null) => (x === null ? '' : String(x))
  const data = sets.flatMap((s) =>
    s.rows.flatMap((r) =>
      GRADES.map((grade) => [
        s.level,
        s.coupling,
        s.name,
        s.source,
        s.revision,
        String(s.inForce),
        s.units,
        text(r.upTo),
        grade,
        ...LIMITED.map((q) => text(r[grade][q])),
      ]),
    ),
  )
  return csvText(COLUMNS, data)
}

const plain = ({ level, coupling, name, source, revision, units, rows, inForce }: LimitSetFields) => ({
  level,
  coupling,
  name,
  source,
  revision,
  units,
  rows,
  inForce,
})

/** Tables as JSON: a list of what a person writes of each. */
export const limitsToJson = (sets: readonly LimitSetFields[]): string =>
  `${JSON.stringify(sets.map(plain), null, 2)}\n`

/** One thing that is wrong in a file, where it stands, and a sentence. */
export interface LimitsFault {
  readonly at: string
  readonly message: string
}

/** A table of a file beside the one it would change. */
export interface ReadLimitSet {
  readonly fields: LimitSetFields
  readonly known: LimitSetRecord | null
  readonly is: 'new' | 'changed' | 'same'
}

export interface LimitsRead {
  readonly sets: readonly ReadLimitSet[]
  readonly faults: readonly LimitsFault[]
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/** A table is the one of that name, for that level and coupling. */
const beside = (fields: LimitSetFields, known: readonly LimitSetRecord[]): ReadLimitSet => {
  const found =
    known.find(
      (k) => k.level === fields.level && same(k.coupling, fields.coupling) && same(k.name, fields.name),
    ) ?? null
  const is = !found
    ? 'new'
    : JSON.stringify(plain(found)) === JSON.stringify(plain(fields))
      ? 'same'
      : 'changed'
  return { fields, known: found, is }
}

const checked = (
  raw: unknown,
  at: string,
  known: readonly LimitSetRecord[],
): { readonly set: ReadLimitSet | null; readonly faults: readonly LimitsFault[] } => {
  const parsed = limitSetFields.safeParse(raw)
  return parsed.success
    ? { set: beside(parsed.data, known), faults: [] }
    : {
        set: null,
        faults: issuesOf(parsed.error).map((i) => ({
          at: i.path ? `${at}, ${i.path}` : at,
          message: i.message,
        })),
      }
}

const together = (
  read: readonly { readonly set: ReadLimitSet | null; readonly faults: readonly LimitsFault[] }[],
): LimitsRead => ({
  sets: read.flatMap((r) => (r.set ? [r.set] : [])),
  faults: read.flatMap((r) => r.faults),
})

const MOST_SETS = 200
/** Rows of them all. */
const MOST_LINES = 20_000

/** Tables out of JSON, beside those that are known. */
const readJson = (text: string, known: readonly LimitSetRecord[]): LimitsRead => {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return { sets: [], faults: [{ at: '', message: limitSetWords.files.notJson }] }
  }
  if (!Array.isArray(raw) || raw.length > MOST_SETS)
    return { sets: [], faults: [{ at: '', message: limitSetWords.files.notJson }] }
  return together(raw.map((one, i) => checked(one, limitSetWords.files.nth(i + 1), known)))
}

/** Tables out of CSV: lines of one level, coupling and name belong together. */
const readCsv = (text: string, known: readonly LimitSetRecord[]): LimitsRead => {
  const w = limitSetWords.files
  const file = csvLines<Column>(text, { needs: ['level', 'name', 'units', 'grade'], most: MOST_LINES })
  if ('wrong' in file) return { sets: [], faults: [{ at: '', message: csvFileWords.wrong(file.wrong) }] }
  const faults: LimitsFault[] = []
  const tables = new Map<string, { first: CsvLine<Column>; rows: Map<string, LimitRow> }>()
  file.lines.forEach((line) => {
    const at = w.line(line.line)
    const field = line.say
    if (line.tooLong) {
      faults.push({ at, message: csvFileWords.tooLong })
      return
    }
    const number = (c: Column): number | null => {
      const x = figureIn(field(c))
      if (x !== undefined) return x
      faults.push({ at: `${at}, ${c}`, message: typing.faults['not-a-number'] })
      return null
    }
    const grade = GRADES.find((g) => g === field('grade').toLowerCase())
    if (!grade) {
      faults.push({ at: `${at}, grade`, message: w.grade })
      return
    }
    const key = JSON.stringify([field('level'), field('coupling'), field('name')].map((s) => s.toLowerCase()))
    const table = tables.get(key) ?? { first: line, rows: new Map<string, LimitRow>() }
    tables.set(key, table)
    const speed = field('upTo')
    const none: RowLimits = { offset: null, slope: null, flexSlope: null }
    const row = table.rows.get(speed) ?? { upTo: number('upTo'), fine: none, standard: none }
    table.rows.set(speed, {
      ...row,
      [grade]: { offset: number('offset'), slope: number('slope'), flexSlope: number('flexSlope') },
    })
  })
  if (tables.size > MOST_SETS) return { sets: [], faults: [{ at: '', message: w.notCsv }] }
  const read = together(
    [...tables.values()].map(({ first, rows }) =>
      checked(
        {
          level: first.say('level'),
          coupling: first.say('coupling'),
          name: first.say('name'),
          source: first.say('source'),
          revision: first.say('revision'),
          units: first.say('units'),
          inForce: first.say('inForce').toLowerCase() === 'true',
          rows: [...rows.values()],
        },
        first.say('name'),
        known,
      ),
    ),
  )
  return { sets: read.sets, faults: [...faults, ...read.faults] }
}

/** Tables out of a file, CSV or JSON by what it looks like, beside those that are known. */
export const readLimitsFile = (text: string, known: readonly LimitSetRecord[]): LimitsRead => {
  const bare = text.replace(/^\uFEFF/, '')
  if (bare.trim() === '') return { sets: [], faults: [{ at: '', message: limitSetWords.files.empty }] }
  return /^\s*[[{]/.test(bare) ? readJson(bare, known) : readCsv(bare, known)
}
