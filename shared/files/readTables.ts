import { issuesOf } from '../calculation/issues'
import { KINDS } from '../logbook/kinds'
import { isUuid, moment } from '../text'
import type { EntryBody } from '../../core/logbook/entry'
import { jobTableWords, typing } from '../wording/en'
import { csvFileWords } from '../wording/en/csvFile'
import { OWN_END } from '../wording/words'
import { csvLines, figureIn, type CsvLine } from './csvLines'
import { BODY_OF, type CellReader } from './tableBodies'
import type { Column } from './tableHeads'
import type { JobTable } from './tableNames'

const w = jobTableWords(OWN_END)

/** One thing that is wrong in a file, where it stands, and a sentence. */
export interface TableFault {
  readonly at: string
  readonly message: string
}

interface Read {
  /** Where its first line stands. */
  readonly at: string
  /** The id of its job, where the file says one. */
  readonly job: string
  readonly tag: string
}

/** A job that a line asks for. */
export interface ReadOpening extends Read {
  readonly openedAt: string | null
  readonly closed: boolean
  readonly reason: string
  readonly rpm: number | null
  readonly customer: string
  readonly site: string
  readonly note: string
}

/** Lines that make one entry, through the door that everything goes through. */
export interface ReadLines extends Read {
  readonly table: Exclude<JobTable, 'jobs'>
  /** How many lines it has. */
  readonly counted: number
  /** What the file calls it: an id, any other name, or nothing. */
  readonly entry: string
  /** ISO; null where the file does not say. */
  readonly madeAt: string | null
  readonly by: string
  readonly part: string
  readonly corrects: { readonly entry: string; readonly reason: string } | null
  readonly body: EntryBody
}

/** What files say; a line that something is wrong with is left out, with all that belongs to it. */
export interface TablesRead {
  readonly openings: readonly ReadOpening[]
  readonly entries: readonly ReadLines[]
  readonly faults: readonly TableFault[]
}

/** Lines of one file. */
export const MOST_LINES = 10_000
/** Jobs and entries that come in at once. */
export const MOST_THINGS = 500

const MOST_OF_A_NAME = 80

/** What tells the tables apart, and what each can't do without. */
const NEEDS: Readonly<Record<JobTable, readonly Column[]>> = {
  readings: ['units', 'circle', 'value'],
  moves: ['units', 'place'],
  belts: ['units', 'age', 'read as', 'belt', 'value'],
  jobs: ['tag'],
}
const TELLS: Readonly<Record<JobTable, Column>> = {
  readings: 'circle',
  moves: 'place',
  belts: 'belt',
  jobs: 'tag',
}

/** What is said of an entry as a whole, on every line of it. */
const OF_ENTRY = ['job', 'tag', 'made at', 'part', 'corrects', 'why corrected', 'units'] as const
const OF_WHOLE: Readonly<Record<Exclude<JobTable, 'jobs'>, readonly Column[]>> = {
  readings: [...OF_ENTRY, 'turned'],
  moves: [...OF_ENTRY, 'remark'],
  belts: [...OF_ENTRY, 'age', 'sheaves', 'read as', 'given', 'window from', 'window to', 'remark'],
}

type Line = CsvLine<Column>

/** Lines that belong together: by the name of their entry, else by standing together and saying the same of when and where. */
const together = (lines: readonly Line[]): readonly (readonly [Line, ...Line[]])[] => {
  const found = new Map<string, [Line, ...Line[]]>()
  let run = 0
  let last = ''
  for (const line of lines) {
    const entry = line.say('entry')
    const where = JSON.stringify(
      (['job', 'tag', 'made at', 'part', 'corrects'] as const).map((c) => line.say(c)),
    )
    if (entry !== '' || where !== last) run++
    last = entry === '' ? where : ''
    const key = entry === '' ? `run ${run}` : JSON.stringify([line.say('job'), line.say('tag'), entry])
    const known = found.get(key)
    if (known) known.push(line)
    else found.set(key, [line])
  }
  return [...found.values()]
}

/** Reads the cells of one file, and keeps what is wrong with them. */
const readerOf = (table: JobTable, faults: TableFault[]): CellReader => {
  const fault = (line: Line, column: Column, message: string) => {
    faults.push({ at: w.column(w.at(table, line.line), column), message })
  }
  return {
    fault,
    figure: (line, column) => {
      const x = figureIn(line.say(column))
      if (x !== undefined) return x
      fault(line, column, typing.faults['not-a-number'])
      return null
    },
  }
}

const DAY = /^\d{4}-\d\d-\d\d$/
const NO_SECONDS = /T\d\d:\d\d(?=$|[Z+-])/
const ZONE = /Z$|[+-]\d\d:?\d\d$/

/** 2026-03-21 14:20, a day alone, and whatever else an ISO moment may leave out, is meant in UTC. */
const asMoment = (typed: string): string => {
  if (DAY.test(typed)) return `${typed}T00:00:00Z`
  const iso = typed.replace(' ', 'T').toUpperCase().replace(NO_SECONDS, '$&:00')
  return ZONE.test(iso) ? iso : `${iso}Z`
}

const momentOf = (line: Line, column: Column, cells: CellReader): string | null => {
  const typed = line.say(column)
  if (typed === '') return null
  const read = moment.safeParse(asMoment(typed))
  if (!read.success) cells.fault(line, column, w.faults.when)
  return read.success ? read.data : null
}

const idOf = (line: Line, column: Column, cells: CellReader): string => {
  const typed = line.say(column)
  if (typed === '' || isUuid(typed)) return typed.toLowerCase()
  cells.fault(line, column, w.faults.idOf(column))
  return ''
}

const readOpening = (line: Line, cells: CellReader): ReadOpening => ({
  at: w.at('jobs', line.line),
  job: idOf(line, 'job', cells),
  tag: line.say('tag'),
  openedAt: momentOf(line, 'opened at', cells),
  closed: line.say('closed at') !== '',
  reason: line.say('reason').toLowerCase() || 'planned',
  rpm: cells.figure(line, 'rpm'),
  customer: line.say('customer'),
  site: line.say('site'),
  note: line.say('note'),
})

/** A name as a remark can say it: nothing in it that can't be printed. */
const nameIn = (typed: string): string => [...typed.replace(/\p{C}/gu, '')].slice(0, MOST_OF_A_NAME).join('')

const readEntry = (
  table: Exclude<JobTable, 'jobs'>,
  lines: readonly [Line, ...Line[]],
  cells: CellReader,
  faults: TableFault[],
): ReadLines | null => {
  const before = faults.length
  const [first] = lines
  for (const line of lines)
    for (const column of OF_WHOLE[table])
      if (line.say(column) !== first.say(column))
        cells.fault(line, column, w.faults.otherwise(column, first.line))
  const at = w.at(table, first.line)
  const corrects = idOf(first, 'corrects', cells)
  const read = {
    table,
    at,
    counted: lines.length,
    job: idOf(first, 'job', cells),
    tag: first.say('tag'),
    entry: first.say('entry'),
    madeAt: momentOf(first, 'made at', cells),
    by: nameIn(first.say('by')),
    part: first.say('part'),
    corrects:
      corrects === '' ? null : { entry: corrects, reason: first.say('why corrected') || w.whyCorrected },
  }
  const raw = BODY_OF[table](lines, cells)
  if (faults.length > before) return null
  const parsed = KINDS[raw.kind].body.safeParse(raw)
  // Which of its lines a schema means can't be told from a body: all stand by the first.
  if (!parsed.success) for (const { message } of issuesOf(parsed.error)) faults.push({ at, message })
  return parsed.success ? { ...read, body: parsed.data as EntryBody } : null
}

/**
 * Jobs, readings, moves and belts out of the texts of CSV files, whatever the order of their columns. Every fault is
 * told with its table, line and column. Never throws.
 */
export const readTables = (texts: readonly string[]): TablesRead => {
  const openings: ReadOpening[] = []
  const entries: ReadLines[] = []
  const faults: TableFault[] = []
  const wrong = (table: JobTable | null, message: string) =>
    faults.push({ at: table === null ? '' : w.tables[table], message })
  for (const text of texts) {
    const file = csvLines<Column>(text, { needs: [], most: MOST_LINES })
    if ('wrong' in file) {
      wrong(null, csvFileWords.wrong(file.wrong))
      continue
    }
    const table = (Object.keys(TELLS) as JobTable[]).find((t) => file.fields.includes(TELLS[t]))
    if (!table) {
      wrong(null, w.faults.noTable)
      continue
    }
    const missing = NEEDS[table].filter((c) => !file.fields.includes(c))
    if (missing.length > 0) {
      wrong(table, csvFileWords.wrong({ is: 'no-columns', missing }))
      continue
    }
    const cells = readerOf(table, faults)
    const [long] = file.lines.filter((l) => l.tooLong)
    if (long) {
      // What stands in the wrong column may still read well: none of the file is taken for what it says.
      faults.push({ at: w.at(table, long.line), message: csvFileWords.tooLong })
      continue
    }
    if (table === 'jobs')
      for (const line of file.lines) {
        const before = faults.length
        const opening = readOpening(line, cells)
        if (faults.length === before) openings.push(opening)
      }
    else
      for (const lines of together(file.lines)) {
        const entry = readEntry(table, lines, cells, faults)
        if (entry) entries.push(entry)
      }
  }
  if (openings.length + entries.length > MOST_THINGS)
    return { openings: [], entries: [], faults: [{ at: '', message: w.faults.tooManyThings(MOST_THINGS) }] }
  return { openings, entries, faults }
}
