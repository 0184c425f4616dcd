import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { reportWords } from '../../shared/wording/en'
import { QUIET } from './blocks'
import type { Reported } from './section'

/** Room to write a figure by hand at the machine. */
const ROW = 22

/** A table to write in: every box ruled. */
export const ruled = (widths: (string | number)[], body: TableCell[][], row = ROW): Content => ({
  table: { headerRows: 1, widths, body, heights: (n) => (n === 0 ? 13 : row) },
  layout: {
    hLineWidth: () => 0.5,
    vLineWidth: () => 0.5,
    hLineColor: () => '#777777',
    vLineColor: () => '#777777',
  },
  margin: [0, 2, 0, 8],
})

/** A sheet to write on at the machine: whose it is, when and by whom, what follows, and in which unit. */
export const sheetPage = (
  { machine, works, telling, jobId, paper }: Reported,
  title: string,
  unit: string,
  content: readonly Content[],
): TDocumentDefinitions => {
  const w = reportWords(telling.words).sheet
  return {
    pageSize: paper,
    pageMargins: [42, 40, 42, 44],
    defaultStyle: { font: 'Text', fontSize: 10, lineHeight: 1.15 },
    info: { title: `${machine.tag} ${title.toLowerCase()}`, author: works },
    footer: {
      margin: [42, 10, 42, 0],
      fontSize: 8,
      color: QUIET,
      text: w.foot(works, machine.tag, jobId, unit),
    },
    content: [
      { text: works, color: QUIET },
      { text: `${title}, ${machine.tag} ${machine.name}`, bold: true, fontSize: 16 },
      { text: w.lines, margin: [0, 10, 0, 6] },
      ...content,
    ],
  }
}
