import { targetSource, hasTarget } from '../../../shared/wording/aims'
import {
  closingWords,
  directionsWords,
  reportWords,
  roughInWords,
  setsWords,
  targetsWords,
  aimsWords,
} from '../../../shared/wording/en'
import type { Content } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { offsetWords, slopeWords, lineWords } from '../../../shared/wording/directions'
import { targetAtFeet } from '../../../shared/wording/targets'
import { capital } from '../../../shared/wording/capital'
import { type Telling, farEnd } from '../../../shared/wording/telling'
import { limitSource } from '../../../shared/wording/tolerances'
import { block, QUIET } from '../blocks'
import type { Section } from '../section'
import { shaftSvg } from '../shaftSvg'
import { judgedGrid } from './judged'

type Sees = Pick<
  CoupledState,
  | 'asFound'
  | 'asLeft'
  | 'roughIn'
  | 'setUp'
  | 'tolerance'
  | 'target'
  | 'coldTarget'
  | 'feet'
  | 'rpm'
  | 'machine'
>

/** Where it was to lie cold, and where that comes from; nothing where it is set straight. */
const targetLines = ({ coldTarget, feet }: Sees, telling: Telling): readonly Content[] => {
  if (!hasTarget(coldTarget)) return []
  const w = targetsWords(telling.words)
  const at = targetAtFeet(coldTarget.line, feet.movable, telling)
    .map((f) => capital(w.report.at(telling.footNames(f.id), f.v, f.h)))
    .join('. ')
  const line = lineWords(coldTarget.line, farEnd(feet.movable, telling), telling)
  return [
    {
      text: `${aimsWords(telling.words).source(targetSource(coldTarget, telling))} ${w.report.values}`,
      bold: true,
    },
    { text: `${w.report.name}: ${line}. ${at}.` },
  ]
}

/** As found against as left, judged, with both drawn. */
export const couplingResult: Section<Sees> = (state, { telling }) => {
  const { asFound, asLeft } = state
  const { words } = telling
  const w = reportWords(words).result
  if (!asLeft?.judgement || !asLeft.coupling)
    return [block(w.name, { text: state.roughIn.proves ? roughInWords(words).report.proved : w.nothing })]
  const far = farEnd(state.setUp?.feet ?? [], telling)
  const inWords = (m: Measurement) =>
    m.coupling
      ? [
          offsetWords(m.coupling.offset.v, 'v', telling),
          offsetWords(m.coupling.offset.h, 'h', telling),
          w.inPlane(directionsWords(words).planes.v, slopeWords(m.coupling.slope.v, 'v', far, telling)),
          w.inPlane(directionsWords(words).planes.h, slopeWords(m.coupling.slope.h, 'h', far, telling)),
        ].join('; ')
      : closingWords(words).notMeasured
  const views = (['v', 'h'] as const).flatMap((plane): Content[] => {
    const svg = asLeft.coupling && shaftSvg(state, plane, asFound?.coupling ?? null, asLeft.coupling, telling)
    return svg
      ? [
          {
            stack: [
              {
                text: w.view(directionsWords(words).views[plane], directionsWords(words).viewNotes[plane]),
                color: QUIET,
              },
              { svg, width: 250 },
            ],
          },
        ]
      : []
  })
  return [
    block(
      w.name,
      judgedGrid(asFound?.judgement ?? null, asLeft.judgement, state.rpm, telling),
      { text: w.limits(limitSource(state, telling)), color: QUIET },
      ...targetLines(state, telling),
      ...(asFound ? [{ text: w.asFound(inWords(asFound), setsWords(words).trust[asFound.trust]) }] : []),
      { text: w.asLeft(inWords(asLeft), setsWords(words).trust[asLeft.trust]) },
      { columns: views, columnGap: 16, margin: [0, 8, 0, 0] },
      {
        text: hasTarget(state.coldTarget) ? `${w.legend} ${targetsWords(words).report.legend}` : w.legend,
        color: QUIET,
      },
    ),
  ]
}
