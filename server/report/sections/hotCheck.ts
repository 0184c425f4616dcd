import { machineNames } from '../../../shared/wording/machineNames'
import { hotWords, tablesWords, verdictsWords } from '../../../shared/wording/en'
import dayjs from 'dayjs'
import type { Content } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import { figure, UNIT_NAMES } from '../../../shared/wording/figures'
import { goWords } from '../../../shared/wording/directions'
import { meaningOfHot } from '../../../shared/wording/hotCheck'
import { quantityName } from '../../../shared/wording/quantities'
import { capital } from '../../../shared/wording/capital'
import { type Telling, farEnd } from '../../../shared/wording/telling'
import { fromCore } from '../../../core/units/unitSystem'
import { block, figures, grid, verdictCell } from '../blocks'
import type { Section } from '../section'

const day = (at: string | number) => dayjs(at).format('D MMM YYYY HH:mm')

const degrees = (celsius: number, { units }: Telling) =>
  `${fromCore(celsius, 'temperature', units).toFixed(0)} ${units === 'inch' ? '°F' : '°C'}`

/** The run, its temperatures and what the machine did; where none was made, that the job is provisional. */
export const hotCheck: Section<CoupledState> = (state, { telling }) => {
  const { hot, expected, closing } = state
  const { run } = hot
  const w = hotWords(telling.words)
  const far = farEnd(state.feet.movable, telling)
  if (!run.begun)
    return expected && closing
      ? [
          block(w.sections.title, {
            text: w.sections.provisional(goWords(expected, far, telling)),
            bold: true,
          }),
        ]
      : []
  const names = machineNames(state)
  const meaning = meaningOfHot(state, names.movable, telling)
  const warm = hot.warming.map((x) => {
    const [first, last] = [x.points[0], x.points[x.points.length - 1]]
    return [
      capital(telling.footNames(x.pair, x.machine)),
      figures(first ? degrees(first.value, telling) : ''),
      figures(last ? degrees(last.value, telling) : ''),
    ]
  })
  const rows = (hot.judgement?.quantities ?? []).map((q) => [
    quantityName(q.name, telling),
    figures(figure(q.value, q.kind, telling.units, { sign: q.low !== 0 }), true),
    { text: UNIT_NAMES[telling.units][q.kind], alignment: 'right' as const },
    verdictCell(q.verdict, verdictsWords(telling.words)[q.verdict]),
  ])
  const content: Content[] = [
    {
      text: [
        ...(run.ended ? [w.sections.run(day(run.begun.payload.at), day(run.ended.payload.at))] : []),
        ...(hot.settledSince === null ? [] : [w.sections.settled(day(hot.settledSince))]),
      ].join(' '),
    },
    ...(warm.length > 0
      ? [grid(['*', 70, 70], [w.view.atFeet, w.view.columns.cold, w.view.columns.hot], warm)]
      : []),
    { text: `${meaning.headline} ${meaning.detail}`, bold: true },
    ...(rows.length > 0
      ? [grid(['*', 70, 60, 90], ['', w.view.columns.hot, tablesWords(telling.words).unit, ''], rows)]
      : []),
  ]
  return [block(w.sections.title, ...content)]
}
