import Papa from 'papaparse'
import { FORMULA } from './csv'

/** A line of a file, by the names of its columns. */
export interface CsvLine<C extends string> {
  /** Where it stands, as an editor counts; the head is line 1. */
  readonly line: number
  /** What a column says, trimmed; empty where there is nothing. */
  readonly say: (column: C) => string
  /** It has more cells than there are columns: one of them stands in the wrong one. */
  readonly tooLong: boolean
}

/** Why a text gives no lines at all. */
export type CsvFault =
  | { readonly is: 'empty' }
  | { readonly is: 'too-many'; readonly most: number }
  | { readonly is: 'no-columns'; readonly missing: readonly string[] }
  | { readonly is: 'torn'; readonly line: number }

export type CsvLines<C extends string> =
  { readonly fields: readonly string[]; readonly lines: readonly CsvLine<C>[] } | { readonly wrong: CsvFault }

/** A cell as it was before `csvText` kept a spreadsheet from running it. */
const bare = (cell: string): string => {
  const typed = cell.trim()
  return typed.startsWith("'") && FORMULA.test(typed.slice(1)) ? typed.slice(1) : typed
}

/** What separates the cells: a comma, or what a spreadsheet took for it. The head tells; a name has none of them. */
const separatorIn = (text: string): string => {
  const [head = ''] = text.trimStart().split('\n', 1)
  const [most = ','] = [',', ';', '\t'].sort((a, b) => head.split(b).length - head.split(a).length)
  return most
}

/** Lines of a CSV text with a head, whatever separates its cells; lines without anything are left out. Never throws. */
export const csvLines = <C extends string>(
  text: string,
  { needs, most }: { readonly needs: readonly C[]; readonly most: number },
): CsvLines<C> => {
  const own = text.replace(/^\uFEFF/, '')
  const { data, errors } = Papa.parse<string[]>(own, { delimiter: separatorIn(own) })
  let next = 1
  const all = data.map((cells) => {
    const line = next
    // A cell in quotes may hold several lines of the text.
    next += 1 + cells.reduce((n, c) => n + (c.match(/\n/g)?.length ?? 0), 0)
    return { line, cells }
  })
  const torn = errors.find((e) => e.type === 'Quotes')
  if (torn) return { wrong: { is: 'torn', line: all[torn.row ?? 0]?.line ?? 1 } }
  const rows = all.filter(({ cells }) => cells.some((c) => c.trim() !== ''))
  const [head, ...rest] = rows
  if (!head) return { wrong: { is: 'empty' } }
  const fields = head.cells.map((c) => c.trim())
  const missing = needs.filter((c) => !fields.includes(c))
  if (missing.length > 0) return { wrong: { is: 'no-columns', missing } }
  if (rest.length > most) return { wrong: { is: 'too-many', most } }
  const place = new Map(fields.map((f, i) => [f, i]))
  const lines = rest.map(({ line, cells }) => ({
    line,
    say: (column: C) => bare(cells[place.get(column) ?? -1] ?? ''),
    tooLong: cells.slice(fields.length).some((c) => c.trim() !== ''),
  }))
  return { fields, lines }
}

/** A figure as it was typed, with a point or a comma; null for nothing, undefined for what is none. */
export const figureIn = (typed: string): number | null | undefined => {
  if (typed === '') return null
  const x = Number(typed.replace(',', '.'))
  return Number.isFinite(x) ? x : undefined
}
