import type { Content, TableCell } from 'pdfmake/interfaces'
import type { DrumState } from '../../../core/jobs/drum'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { clockFace } from '../../../shared/wording/clockFace'
import { offsetWords, slopeWords } from '../../../shared/wording/directions'
import { drumLimitSource, leversWords } from '../../../shared/wording/drum'
import { drumRunoutLimit, meaningOfDrum } from '../../../shared/wording/drumTrue'
import {
  directionsWords,
  drumTrueWords,
  drumWords,
  reportWords,
  setsWords,
  verdictsWords,
} from '../../../shared/wording/en'
import { figure } from '../../../shared/wording/figures'
import { capital } from '../../../shared/wording/capital'
import { farEnd } from '../../../shared/wording/telling'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'
import { shaftSvg } from '../shaftSvg'
import { judgedGrid } from './judged'

/** As found against as left, judged by the drum's own windows, with the steps and both views drawn. */
export const drumResult: Section<DrumState> = (state, { telling, machine }) => {
  const { asFound, asLeft, tram } = state
  const { words } = telling
  const w = reportWords(words).result
  const d = drumWords(words)
  if (!asLeft?.judgement || !asLeft.coupling) return [block(d.report.result, { text: w.nothing })]
  const far = farEnd(state.feet.movable, telling)
  const inWords = ({ coupling }: Measurement) =>
    coupling
      ? (['v', 'h'] as const)
          .flatMap((p) => [
            offsetWords(coupling.offset[p], p, telling),
            w.inPlane(directionsWords(words).planes[p], slopeWords(coupling.slope[p], p, far, telling)),
          ])
          .join('; ')
      : ''
  const drawn = { ...state, setUp: state.setUp && { ...state.setUp, feet: state.feet.movable } }
  const views = state.feet.untaped
    ? []
    : (['v', 'h'] as const).flatMap((plane): Content[] => {
        const svg =
          asLeft.coupling && shaftSvg(drawn, plane, asFound?.coupling ?? null, asLeft.coupling, telling)
        const { views: names, viewNotes } = directionsWords(words)
        return svg
          ? [
              {
                stack: [
                  { text: w.view(names[plane], viewNotes[plane]), color: QUIET },
                  { svg, width: 250 },
                ],
              },
            ]
          : []
      })
  const steps = tram.rows.map(
    (r, i) => `${d.ordinals[i]} ${d.steps[r.step].name.toLowerCase()}: ${d.stands[r.stands]}`,
  )
  return [
    block(
      d.report.result,
      judgedGrid(asFound?.judgement ?? null, asLeft.judgement, state.rpm, telling),
      { text: w.limits(drumLimitSource(state, telling, machine.tag)), color: QUIET },
      ...(asFound ? [{ text: w.asFound(inWords(asFound), setsWords(words).trust[asFound.trust]) }] : []),
      { text: w.asLeft(inWords(asLeft), setsWords(words).trust[asLeft.trust]) },
      { text: `${d.report.steps}: ${steps.join('; ')}.` },
      { text: leversWords(state, telling) },
      ...(views.length > 0
        ? [{ columns: views, columnGap: 16, margin: [0, 8, 0, 0] as [number, number, number, number] }]
        : []),
      ...(views.length > 0 ? [{ text: w.legend, color: QUIET }] : []),
    ),
  ]
}

/** Every turn of the drum under a dial, and where it was struck between. */
export const drumTrued: Section<DrumState> = ({ drum }, { telling, personName }) => {
  const { words, units } = telling
  const d = drumWords(words)
  const t = drumTrueWords(words)
  const rows = drum.surfaces.flatMap(({ surface, turns }) =>
    turns.map((turn, i): TableCell[] => [
      i === 0 ? t.surfaces[surface] : '',
      `${i === 0 ? t.first : t.nth(i + 1)}, ${when(turn.entry.madeAt)}, ${personName(turn.entry.author)}`,
      figures(figure(turn.result.tir, 'displacement', units), turn.result.verdict === 'out'),
      figures(clockFace(turn.result.strikeAt)),
      turn.taps.length > 0
        ? capital(d.report.struckAt(turn.taps.map((x) => clockFace(x.payload.mark)).join(', ')))
        : '',
      verdictCell(turn.result.verdict, verdictsWords(words)[turn.result.verdict]),
    ]),
  )
  if (rows.length === 0) return [block(d.report.trued, { text: d.report.none })]
  return [
    block(
      d.report.trued,
      grid([46, '*', 44, 50, 90, 62], [...d.report.columns, ''], rows),
      { text: drumRunoutLimit(drum, telling), color: QUIET },
      { text: meaningOfDrum(drum, telling).headline },
    ),
  ]
}
