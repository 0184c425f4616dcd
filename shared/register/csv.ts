import { csvFileWords } from '../wording/en/csvFile'
import { recordWords } from '../wording/viewWords'
import { csvText } from '../files/csv'
import { csvLines } from '../files/csvLines'
import { issuesOf } from '../calculation/issues'
import { FEWEST_BOLTS, MOST_BOLTS } from '../../core/register/flangeMachine'
import { DRIVES } from '../../core/register/drive'
import type { CoupledFields } from './coupledMachine'
import type { DrumFields } from './drumMachine'
import { withBolts } from './flangeBoxes'
import { withUnits } from './trainBoxes'
import { blankRecord, openedBy, readRecord, recordBoxes, recordTexts } from './form'
import { machineFields, type MachineFields, type MachineRecord } from './machine'

/** The columns that say what the others mean. */
const DRIVE = 'drive'
const UNITS = 'units'
const RETIRED = 'retired'
/** How many bolts a flange has: so many columns say what lies under them. */
const BOLTS = 'flange.bolts'

/** A pair of feet nobody has written anything of. */
const BLANK_PAIR = {
  x: 0,
  existing: { left: [], right: [] },
  maxPack: 0,
  sidePlus: 0,
  sideMinus: 0,
  locked: false,
}

const textsOf = (m: MachineFields): Readonly<Record<string, string>> => ({
  [DRIVE]: m.drive,
  [UNITS]: m.units,
  [RETIRED]: String(m.retired ?? false),
  ...feetNames(m),
  ...partNames(m),
  ...(m.drive === 'flange' ? { [BOLTS]: String(m.flange.bolts) } : {}),
  ...recordTexts(m, recordBoxes(m)),
})

const feetNames = (m: MachineFields): Readonly<Record<string, string>> =>
  'feet' in m
    ? Object.fromEntries(
        (['movable', 'stationary'] as const).flatMap((role) =>
          m.feet[role].map((f, i) => [`feet.${role}.${i}.id`, f.id]),
        ),
      )
    : {}

/** Machines and couplings of a train are known by their ids, whatever stands before them. */
const partNames = (m: MachineFields): Readonly<Record<string, string>> =>
  m.drive === 'train'
    ? Object.fromEntries(
        (['machines', 'couplings'] as const).flatMap((list) =>
          m[list].map((part, i) => [`${list}.${i}.id`, part.id]),
        ),
      )
    : {}

/**
 * The register as CSV: a row a machine, a column for each thing any of them has, named by its place in the record;
 * figures in the machine's own units.
 */
export const machinesToCsv = (machines: readonly MachineFields[]): string => {
  const rows = machines.map(textsOf)
  const columns = [...new Set(rows.flatMap((r) => Object.keys(r)))]
  return csvText(
    columns,
    rows.map((r) => columns.map((c) => r[c] ?? '')),
  )
}

/** One thing that is wrong in a file: its line as a spreadsheet counts, its column, and a sentence. */
export interface CsvFault {
  readonly line: number
  readonly column: string
  readonly message: string
}

export interface CsvRow {
  readonly line: number
  readonly tag: string
  readonly faults: readonly CsvFault[]
  /** What it would be; null while something is wrong. */
  readonly record: MachineFields | null
  readonly is: 'new' | 'changed' | 'same' | 'faulty'
  /** Columns in which it differs from the register. */
  readonly changes: readonly string[]
}

export interface CsvRead {
  readonly rows: readonly CsvRow[]
  /** What is wrong with the file as a whole. */
  readonly faults: readonly CsvFault[]
}

type Texts = Readonly<Record<string, string>>

/** Numbered pairs that have something in their columns, in order. */
const pairsIn = (texts: Texts, role: string): readonly number[] => [
  ...new Set(
    Object.keys(texts).flatMap((c) => {
      const at = new RegExp(`^feet\\.${role}\\.(\\d{1,2})\\.`).exec(c)
      return at && (texts[c] ?? '') !== '' ? [Number(at[1])] : []
    }),
  ),
]

/** How many machines of a train have something in their columns. */
const unitsIn = (texts: Texts): number =>
  Math.max(
    0,
    ...Object.keys(texts).map((c) => {
      const at = /^machines\.(\d{1,2})\./.exec(c)
      return at && (texts[c] ?? '') !== '' ? Number(at[1]) + 1 : 0
    }),
  )

/** An empty record of the shape that a row asks for: its pairs of feet, its method and form of limit. */
const shapeFor = (texts: Texts, known: MachineRecord | undefined): MachineFields => {
  const drive = DRIVES.find((d) => d === texts[DRIVE]) ?? 'coupled'
  const units = texts[UNITS] === 'metric' ? 'metric' : 'inch'
  let record: MachineFields
  if (known && known.drive === drive && known.units === units) {
    const { id: _, version: __, ...fields } = known
    record = fields
  } else record = blankRecord(drive, units)
  if ('feet' in record) {
    const blank = { ...BLANK_PAIR, x: record.drive === 'drum' ? null : 0 }
    const old = record.feet
    const feet = (role: 'movable' | 'stationary') => {
      const asked = pairsIn(texts, role)
      const count = asked.length === 0 ? old[role].length : Math.max(...asked) + 1
      return Array.from({ length: Math.min(count, 8) }, (_, i) => ({
        ...(old[role][i] ?? blank),
        id: texts[`feet.${role}.${i}.id`]?.trim() || (old[role][i]?.id ?? `pair ${i + 1}`),
      }))
    }
    record = {
      ...record,
      feet: { movable: feet('movable'), stationary: feet('stationary') },
    } as CoupledFields | DrumFields
  }
  if (record.drive === 'train') {
    const shaped = withUnits(record, unitsIn(texts) || record.machines.length)
    const named = <P extends { readonly id: string }>(list: 'machines' | 'couplings', parts: readonly P[]) =>
      parts.map((p, i) => ({ ...p, id: texts[`${list}.${i}.id`]?.trim() || p.id }))
    if (shaped.drive === 'train')
      record = {
        ...shaped,
        machines: named('machines', shaped.machines),
        couplings: named('couplings', shaped.couplings),
      }
  }
  if (texts[BOLTS]) record = withBolts(record, Number(texts[BOLTS]))
  for (const box of recordBoxes(record))
    if (box.kind === 'choice' && box.opens) record = openedBy(record, box, texts[box.path]?.trim() ?? '')
  return record
}

const isBoltCount = (text: string): boolean => {
  const n = Number(text)
  return Number.isInteger(n) && n >= FEWEST_BOLTS && n <= MOST_BOLTS
}

const readRow = (line: number, texts: Texts, register: readonly MachineRecord[]): CsvRow => {
  const w = recordWords.csv
  const tag = texts.tag?.trim() ?? ''
  const known = register.find((m) => m.tag.toLowerCase() === tag.toLowerCase())
  const faults: CsvFault[] = []
  const fault = (column: string, message: string) => faults.push({ line, column, message })
  if (!DRIVES.some((d) => d === texts[DRIVE])) fault(DRIVE, w.drive)
  if (!['inch', 'metric'].includes(texts[UNITS] ?? '')) fault(UNITS, w.units)
  if (texts[DRIVE] === 'flange' && texts[BOLTS] && !isBoltCount(texts[BOLTS])) fault(BOLTS, w.bolts)
  const shape = shapeFor(texts, known)
  const boxes = recordBoxes(shape)
  // A column the file doesn't have leaves what the register has.
  const filled = { ...recordTexts(shape, boxes), ...texts }
  const read = readRecord(filled, shape, boxes)
  for (const [path, message] of Object.entries(read.faults)) fault(path, message)
  const retired = texts[RETIRED]
  const parsed = machineFields.safeParse({
    ...(read.record as object),
    ...(retired === undefined || retired === '' ? {} : { retired: retired === 'true' }),
  })
  if (!parsed.success)
    for (const { path, message } of issuesOf(parsed.error))
      if (!faults.some((f) => f.column === path)) fault(path, message)
  const record = faults.length === 0 && parsed.success ? parsed.data : null
  if (!record) return { line, tag, faults, record: null, is: 'faulty', changes: [] }
  if (!known) return { line, tag, faults, record, is: 'new', changes: [] }
  const [was, now] = [textsOf(known), textsOf(record)]
  const changes = [...new Set([...Object.keys(was), ...Object.keys(now)])].filter(
    (c) => (was[c] ?? '') !== (now[c] ?? ''),
  )
  return { line, tag, faults, record, is: changes.length > 0 ? 'changed' : 'same', changes }
}

/** Machines that are taken from one file. */
const MOST_ROWS = 2000

/** A CSV file against the register: what each row would do, and what is wrong, by line and column. */
export const readMachinesCsv = (file: string, register: readonly MachineRecord[]): CsvRead => {
  const w = recordWords.csv
  const whole = (message: string, line = 1, column = ''): CsvRead => ({
    rows: [],
    faults: [{ line, column, message }],
  })
  const read = csvLines<string>(file, { needs: ['tag', DRIVE, UNITS], most: MOST_ROWS })
  if ('wrong' in read) {
    const { wrong } = read
    const column = wrong.is === 'no-columns' ? (wrong.missing[0] ?? '') : ''
    return whole(csvFileWords.wrong(wrong), wrong.is === 'torn' ? wrong.line : 1, column)
  }
  if (read.lines.length === 0) return whole(w.empty)
  const rows = read.lines.map(({ line, say, tooLong }) => {
    const row = readRow(line, Object.fromEntries(read.fields.map((f) => [f, say(f)])), register)
    return tooLong
      ? { ...row, faults: [...row.faults, { line, column: '', message: csvFileWords.tooLong }] }
      : row
  })
  const seen = new Set<string>()
  return {
    rows: rows.map((row): CsvRow => {
      const tag = row.tag.toLowerCase()
      const again = tag !== '' && seen.has(tag)
      seen.add(tag)
      const faults = again ? [...row.faults, { line: row.line, column: 'tag', message: w.twice }] : row.faults
      return faults.length > 0 ? { ...row, faults, record: null, is: 'faulty', changes: [] } : row
    }),
    faults: [],
  }
}
