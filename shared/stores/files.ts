import type { z } from 'zod'
import { issuesOf } from '../calculation/issues'
import type { LotAnswer, SpareBeltsAnswer } from '../api/answers'
import { csvText } from '../files/csv'
import { csvLines, figureIn } from '../files/csvLines'
import { typing } from '../wording/en'
import { csvFileWords } from '../wording/en/csvFile'
import { stockFileWords } from '../wording/en/stockFile'
import { newLot, type NewLot } from './lot'
import { newSpareBelts, type NewSpareBelts } from './spareBelts'

/** Columns of the file: a line for all shims, or all spare belts, of one kind at one place; figures in the line's own units. */
const COLUMNS = [
  'what',
  'units',
  'thickness',
  'kind',
  'layer',
  'size',
  'section',
  'construction',
  'length',
  'together',
  'place',
  'counted',
  'orderAt',
  'retired',
] as const
type Column = (typeof COLUMNS)[number]
type Line = Readonly<Partial<Record<Column, string>>>

/** What lies in the stores, as they answer it. */
export interface Stock {
  readonly lots: readonly LotAnswer[]
  readonly belts: readonly SpareBeltsAnswer[]
}

/** The stores as CSV: how many lie there now, not when somebody counted last. */
export const stockToCsv = ({ lots, belts }: Stock): string => {
  const rows: Line[] = [
    ...lots.map((l) => ({
      what: 'shims',
      units: l.units,
      thickness: String(l.thickness),
      kind: l.kind,
      layer: l.layer === null ? '' : String(l.layer),
      size: l.size,
      place: l.place,
      counted: String(l.now),
      orderAt: String(l.low),
      retired: String(l.retired),
    })),
    ...belts.map((b) => ({
      what: 'belts',
      units: b.units,
      section: b.section,
      construction: b.construction ?? '',
      length: String(b.length),
      together: String(b.together),
      place: b.place,
      counted: String(b.now),
      orderAt: String(b.low),
      retired: String(b.retired),
    })),
  ]
  const data = rows.map((r) => COLUMNS.map((c) => r[c] ?? ''))
  return csvText(COLUMNS, data)
}

/** What a line would do to what it names, and to which lot where it is known. */
interface Beside<Fields, Known> {
  readonly fields: Fields
  readonly retired: boolean
  readonly known: Known | null
  readonly is: 'new' | 'changed' | 'same'
}
export type ReadStock =
  | ({ readonly what: 'shims' } & Beside<Omit<NewLot, 'id'>, LotAnswer>)
  | ({ readonly what: 'belts' } & Beside<Omit<NewSpareBelts, 'id'>, SpareBeltsAnswer>)

/** One thing that is wrong in a file, where it stands, and a sentence. */
export interface StockFault {
  readonly at: string
  readonly message: string
}
export interface StockRead {
  readonly rows: readonly ReadStock[]
  readonly faults: readonly StockFault[]
}

const plain = (s: string) => s.trim().toLowerCase()
/** Shims of one thickness, kind and size at one place are one lot. */
const shimKey = (l: Omit<NewLot, 'id' | 'counted' | 'low'>) =>
  JSON.stringify(['shims', l.units, l.thickness, l.kind, l.layer, plain(l.size), plain(l.place)])
const beltKey = (b: Omit<NewSpareBelts, 'id' | 'counted' | 'low'>) =>
  JSON.stringify(['belts', b.units, plain(b.section), b.construction, b.length, b.together, plain(b.place)])

const beside = <
  F extends { counted: number; low: number },
  K extends { now: number; low: number; retired: boolean },
>(
  fields: F,
  retired: boolean,
  known: K | undefined,
): Beside<F, K> => {
  const same = known?.now === fields.counted && known.low === fields.low && known.retired === retired
  return { fields, retired, known: known ?? null, is: !known ? 'new' : same ? 'same' : 'changed' }
}

const MOST_ROWS = 5000
/** An id that a line has only while it is looked at. */
const NO_ID = '00000000-0000-4000-8000-000000000000'

/** Stock out of CSV beside what lies in the stores. What is wrong is told by its line; such lines are left out. */
export const readStockFile = (text: string, stock: Stock): StockRead => {
  const w = stockFileWords
  const wrong = (message: string): StockRead => ({ rows: [], faults: [{ at: '', message }] })
  const file = csvLines<Column>(text, { needs: ['what', 'units', 'counted'], most: MOST_ROWS })
  if ('wrong' in file) return wrong(csvFileWords.wrong(file.wrong))
  const shims = new Map(stock.lots.map((l) => [shimKey(l), l]))
  const belts = new Map(stock.belts.map((b) => [beltKey(b), b]))
  const faults: StockFault[] = []
  const seen = new Map<string, number>()
  const rows = file.lines.flatMap(({ line, say: field, tooLong }): readonly ReadStock[] => {
    const at = w.line(line)
    if (tooLong) {
      faults.push({ at, message: csvFileWords.tooLong })
      return []
    }
    const before = faults.length
    const number = (c: Column): number | null => {
      const x = figureIn(field(c))
      if (x !== undefined) return x
      faults.push({ at: `${at}, ${c}`, message: typing.faults['not-a-number'] })
      return null
    }
    const parsed = <T>(schema: z.ZodType<T>, raw: object): T | null => {
      const read = schema.safeParse({ id: NO_ID, ...raw })
      if (read.success) return read.data
      if (faults.length === before)
        for (const { path, message } of issuesOf(read.error)) faults.push({ at: `${at}, ${path}`, message })
      return null
    }
    const common = {
      units: field('units').toLowerCase(),
      place: field('place'),
      counted: number('counted'),
      low: number('orderAt') ?? 0,
    }
    const retired = plain(field('retired')) === 'true'
    /** The same thing twice in a file would be counted twice. */
    const once = (key: string): boolean => {
      const first = seen.get(key)
      if (first === undefined) seen.set(key, line)
      else faults.push({ at, message: w.twice(first) })
      return first === undefined
    }
    const what = plain(field('what'))
    if (what === 'shims') {
      const raw = {
        ...common,
        thickness: number('thickness'),
        kind: field('kind').toLowerCase() || 'plain',
        layer: number('layer'),
        size: field('size'),
      }
      const lot = parsed(newLot, raw)
      if (!lot || faults.length > before || !once(shimKey(lot))) return []
      const { id: _, ...fields } = lot
      return [{ what, ...beside(fields, retired, shims.get(shimKey(lot))) }]
    }
    if (what === 'belts') {
      const raw = {
        ...common,
        section: field('section'),
        construction: field('construction').toLowerCase() || null,
        length: number('length'),
        together: number('together') ?? 1,
      }
      const lot = parsed(newSpareBelts, raw)
      if (!lot || faults.length > before || !once(beltKey(lot))) return []
      const { id: _, ...fields } = lot
      return [{ what, ...beside(fields, retired, belts.get(beltKey(lot))) }]
    }
    faults.push({ at: `${at}, what`, message: w.whatItIs })
    return []
  })
  return { rows, faults }
}
