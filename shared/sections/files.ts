import { issuesOf } from '../calculation/issues'
import { csvText } from '../files/csv'
import { csvLines, figureIn } from '../files/csvLines'
import { typing } from '../wording/en'
import { csvFileWords } from '../wording/en/csvFile'
import { sectionWords } from '../wording/viewWords'
import { sectionFields, type SectionFields, type SectionRecord } from './section'

/** Columns of the file: a line for each row of a chart, one for a section without any; figures in its own units. */
const COLUMNS = [
  'section',
  'construction',
  'source',
  'units',
  'inUse',
  'topWidth',
  'height',
  'mass',
  'smallestSheave',
  'stiffness',
  'spanOver',
  'from',
  'to',
  'speedFrom',
  'speedTo',
  'newLow',
  'newHigh',
  'runInLow',
  'runInHigh',
] as const
type Column = (typeof COLUMNS)[number]

const shown = (x: number | null | undefined) => (x == null ? '' : String(x))

/** Sections as CSV. */
export const sectionsToCsv = (sections: readonly SectionFields[]): string => {
  const data = sections.flatMap((s) => {
    const head = [
      s.section,
      s.construction ?? '',
      s.source,
      s.units,
      String(s.inUse),
      ...[s.topWidth, s.height, s.mass, s.smallestSheave, s.stiffness, s.spanOver].map(shown),
    ]
    const rows = s.rows.map((r) =>
      [
        r.from,
        r.to,
        r.speed?.from,
        r.speed?.to,
        r.force.new?.[0],
        r.force.new?.[1],
        r.force['run-in']?.[0],
        r.force['run-in']?.[1],
      ].map(shown),
    )
    return (rows.length > 0 ? rows : [Array.from({ length: 8 }, () => '')]).map((r) => [...head, ...r])
  })
  return csvText(COLUMNS, data)
}

/** One thing that is wrong in a file, where it stands, and a sentence. */
export interface SectionsFault {
  readonly at: string
  readonly message: string
}

/** A section of a file beside the one it would change. */
export interface ReadSection {
  readonly fields: SectionFields
  readonly known: SectionRecord | null
  readonly is: 'new' | 'changed' | 'same'
}

export interface SectionsRead {
  readonly sections: readonly ReadSection[]
  readonly faults: readonly SectionsFault[]
}

const fieldsOf = ({ id: _, version: __, ...fields }: SectionRecord): SectionFields => fields
const inOrder = (s: SectionFields): string =>
  JSON.stringify([
    s.section,
    s.construction,
    s.source,
    s.units,
    s.inUse,
    s.topWidth,
    s.height,
    s.mass,
    s.smallestSheave,
    s.stiffness,
    s.spanOver,
    s.rows.map((r) => [r.from, r.to, r.speed?.from, r.speed?.to, r.force.new, r.force['run-in']]),
  ])

/** A section is the one of that name and construction; the one in use where there are several. */
const beside = (fields: SectionFields, known: readonly SectionRecord[]): ReadSection => {
  const same = known.filter(
    (k) =>
      k.section.trim().toLowerCase() === fields.section.trim().toLowerCase() &&
      k.construction === fields.construction,
  )
  const found = same.find((k) => k.inUse) ?? same[0] ?? null
  const is = !found ? 'new' : inOrder(fieldsOf(found)) === inOrder(fields) ? 'same' : 'changed'
  return { fields, known: found, is }
}

const MOST_SECTIONS = 200
/** Rows of their charts. */
const MOST_LINES = 20_000

/** Sections out of CSV, beside those that are known: lines of one section and construction belong together. */
export const readSectionsFile = (text: string, known: readonly SectionRecord[]): SectionsRead => {
  const w = sectionWords.files
  const wrong = (message: string): SectionsRead => ({ sections: [], faults: [{ at: '', message }] })
  const file = csvLines<Column>(text, { needs: ['section', 'source', 'units'], most: MOST_LINES })
  if ('wrong' in file) return wrong(csvFileWords.wrong(file.wrong))
  const faults: SectionsFault[] = []
  const tables = new Map<string, { head: object; name: string; rows: unknown[] }>()
  file.lines.forEach(({ line, say: field, tooLong }) => {
    const at = w.line(line)
    if (tooLong) {
      faults.push({ at, message: csvFileWords.tooLong })
      return
    }
    const number = (c: Column): number | null => {
      const x = figureIn(field(c))
      if (x !== undefined) return x
      faults.push({ at: `${at}, ${c}`, message: typing.faults['not-a-number'] })
      return null
    }
    const construction = field('construction').toLowerCase() || null
    const key = JSON.stringify([field('section').toLowerCase(), construction])
    const table = tables.get(key) ?? {
      name: [field('section'), construction ?? ''].join(' ').trim(),
      head: {
        section: field('section'),
        construction,
        source: field('source'),
        units: field('units'),
        inUse: field('inUse').toLowerCase() !== 'false',
        topWidth: number('topWidth'),
        height: number('height'),
        mass: number('mass'),
        smallestSheave: number('smallestSheave'),
        stiffness: number('stiffness'),
        spanOver: number('spanOver') ?? 64,
      },
      rows: [],
    }
    tables.set(key, table)
    const chart = (
      ['from', 'to', 'speedFrom', 'speedTo', 'newLow', 'newHigh', 'runInLow', 'runInHigh'] as const
    ).map((c) => number(c))
    if (chart.every((x) => x === null)) return
    const [from, to, speedFrom, speedTo, newLow, newHigh, runInLow, runInHigh] = chart
    const force = (low: number | null | undefined, high: number | null | undefined) =>
      low == null && high == null ? null : [low, high]
    table.rows.push({
      from: from ?? 0,
      to: to ?? null,
      speed: speedFrom == null && speedTo == null ? null : { from: speedFrom ?? 0, to: speedTo ?? null },
      force: { new: force(newLow, newHigh), 'run-in': force(runInLow, runInHigh) },
    })
  })
  if (tables.size > MOST_SECTIONS) return wrong(w.tooMany)
  const sections = [...tables.values()].flatMap(({ head, name, rows }): readonly ReadSection[] => {
    const parsed = sectionFields.safeParse({ ...head, rows })
    if (parsed.success) return [beside(parsed.data, known)]
    for (const { path, message } of issuesOf(parsed.error)) faults.push({ at: `${name}, ${path}`, message })
    return []
  })
  return { sections, faults }
}
