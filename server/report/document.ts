import { reportWords, verdictsWords } from '../../shared/wording/en'
import dayjs from 'dayjs'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { Job } from '../../core/jobs/jobs'
import { UNIT_NAMES } from '../../shared/wording/figures'
import { HEADING, QUIET } from './blocks'
import type { Reported } from './section'
import { sectionsOf } from './sections'
import { withoutLostEnd } from './together'
import { verdictSvg } from './shaftSvg'

/** From which end 3 and 9, left and right are told. */
const whereSeen = (words: string): Content => ({
  text: words,
  fontSize: 8,
  color: QUIET,
  margin: [0, 10, 0, 0],
})

/** The report of a job as a printable document: readable in black and white, on A4 or Letter. */
export const reportDocument = (job: Job, report: Reported): TDocumentDefinitions => {
  const { machine, works, telling, jobId } = report
  const verdict = job.state.closing?.payload.signed?.verdict ?? job.state.outcome.verdict
  const w = reportWords(telling.words)
  const names = UNIT_NAMES[telling.units]
  const units = {
    belt: `${names.distance}, ${w.degrees}`,
    gear: `${names.displacement}, %`,
    measured: `${names.displacement}, ${names.slope}`,
  }[job.kind === 'belt' || job.kind === 'gear' ? job.kind : 'measured']
  const title = w.titles[job.kind]
  return {
    pageSize: report.paper,
    pageMargins: [42, 44, 42, 48],
    defaultStyle: { font: 'Text', fontSize: 9.5, lineHeight: 1.15 },
    info: { title: w.fileTitle(machine.tag, title), author: works },
    // A heading never stands at the foot of a page with nothing under it.
    pageBreakBefore: (node, around) =>
      node.headlineLevel === HEADING && around.getFollowingNodesOnPage().length === 0,
    footer: (page, pages) => ({
      margin: [42, 12, 42, 0],
      fontSize: 8,
      color: QUIET,
      columns: [
        {
          text: w.foot(works, machine.tag, jobId, dayjs().format('[UTC]Z'), units),
        },
        { text: w.page(page, pages), alignment: 'right', width: 60 },
      ],
    }),
    content: [
      { text: works, color: QUIET },
      {
        columns: [
          { text: w.title(title, `${machine.tag} ${machine.name}`), bold: true, fontSize: 16 },
          {
            columns: [
              { svg: verdictSvg(verdict), width: 14, margin: [0, 5, 0, 0] },
              { text: verdictsWords(telling.words)[verdict], bold: true, fontSize: 13, margin: [0, 2, 0, 0] },
            ],
            columnGap: 4,
            width: 90,
          },
        ],
      },
      ...withoutLostEnd(sectionsOf(job, report)),
      ...(job.kind === 'coupled' || job.kind === 'drum' || job.kind === 'train'
        ? [whereSeen(w.seenFrom)]
        : []),
    ],
  }
}
