import dayjs from 'dayjs'
import type { Content, ContentTable, TableCell } from 'pdfmake/interfaces'
import { verdictSvg } from './shaftSvg'
import { together } from './together'

/** The parts that every section of the report is put together from. */
export const when = (iso: string): string => dayjs(iso).format('D MMM YYYY HH:mm')

export const QUIET = '#444444'

export const figures = (text: string, bold = false): TableCell => ({
  text,
  font: 'Figures',
  alignment: 'right',
  bold,
})

/** A figure with the word of its sign under it. */
export const withWord = (shown: TableCell, word: string): TableCell => ({
  stack: [shown as Content, { text: word, alignment: 'right', fontSize: 8, color: QUIET }],
})

export const grid = (widths: (string | number)[], header: string[], rows: TableCell[][]): ContentTable => ({
  table: {
    headerRows: 1,
    keepWithHeaderRows: 1,
    dontBreakRows: true,
    widths,
    body: [
      header.map((h, i): TableCell => ({ text: h, color: QUIET, alignment: i === 0 ? 'left' : 'right' })),
      ...rows,
    ],
  },
  layout: {
    hLineWidth: (i) => (i === 0 ? 0 : 0.5),
    vLineWidth: () => 0,
    hLineColor: () => '#999999',
    paddingLeft: (i) => (i === 0 ? 0 : 4),
    paddingRight: () => 2,
    paddingTop: () => 2,
    paddingBottom: () => 2,
  },
  margin: [0, 2, 0, 6],
})

/** Marked, so that the page is broken before a heading that would stand alone at its foot. */
export const HEADING = 1

export const heading = (text: string): Content => ({
  text,
  bold: true,
  fontSize: 11.5,
  margin: [0, 9, 0, 2],
  headlineLevel: HEADING,
})

/** A heading with what belongs to it, kept on one page where it fits. */
export const block = (title: string, ...body: Content[]): Content => together(heading(title), ...body)

/** The end of a long list, which the page after it may take along. */
const TAIL = 4

/** A titled list; nothing when it is empty. Short lists are kept on one page. */
export const list = (title: string, lines: readonly string[]): Content[] =>
  lines.length === 0
    ? []
    : lines.length <= 12
      ? [block(title, { ul: [...lines] })]
      : [heading(title), { ul: lines.slice(0, -TAIL) }, { ul: lines.slice(-TAIL) }]

/** A verdict's lozenge with its word. */
export const verdictCell = (verdict: string, word: string): TableCell => ({
  columns: [
    { svg: verdictSvg(verdict), width: 12 },
    { text: word, width: 'auto' },
  ],
  columnGap: 3,
})
