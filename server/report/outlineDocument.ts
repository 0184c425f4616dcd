import { lookWords } from '../../shared/wording/en'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { SheetShim } from '../../core/shims/sheetShim'
import { CHECK_BAR, outlineDrawing } from '../../shared/stages/look/outline'
import { figure } from '../../shared/wording/figures'
import type { Telling } from '../../shared/wording/telling'
import { QUIET } from './blocks'

const POINTS = 72 / 25.4
const MARGIN = 34
/** What a page holds between its margins, points. */
const ROOM = { A4: [595, 842], LETTER: [612, 792] } as const
const HEAD = 62

/** A page with a shim's outline at its true size; null where it doesn't fit. */
export const outlineDocument = (
  shim: SheetShim,
  telling: Telling,
  note: string,
  paper: 'A4' | 'LETTER',
): TDocumentDefinitions | null => {
  const w = lookWords(telling.words)
  const size = (t: number) => figure(t, 'distance', telling.units, { unit: true })
  const drawing = outlineDrawing(shim, [], w.outline.bar(CHECK_BAR))
  if (!drawing) return null
  const [width, height] = [drawing.width * POINTS, drawing.height * POINTS]
  const [pageWidth, pageHeight] = ROOM[paper]
  if (width > pageWidth - 2 * MARGIN || height > pageHeight - 2 * MARGIN - HEAD) return null
  return {
    pageSize: paper,
    pageMargins: MARGIN,
    defaultStyle: { font: 'Text', fontSize: 10, lineHeight: 1.15 },
    info: { title: w.outline.title },
    content: [
      { text: w.outline.title, bold: true, fontSize: 14 },
      {
        text: [note, w.outline.size(size(shim.width), size(shim.length), size(shim.slot))]
          .filter(Boolean)
          .join(' · '),
      },
      { text: w.view.printAt, color: QUIET, margin: [0, 0, 0, 6] },
      { svg: drawing.svg.replaceAll('font-family="sans-serif"', 'font-family="Text"'), width, height },
    ],
  }
}
