import {
  directionsWords,
  drumWords,
  flangeWords,
  reportWords,
  safetyWords,
  setUpWords,
  setsWords,
} from '../../shared/wording/en'
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { FlangeState } from '../../core/jobs/flange'
import type { MeasuredState } from '../../core/jobs/measured'
import type { ReadingSet } from '../../core/stages/measure/readingSet'
import { METHOD_FORMS, type OfferedMethod } from '../../shared/methods/forms'
import { flangeBoxes, flangeLabel } from '../../shared/stages/setUp/flangeTape'
import { editSetUp, numbersOf, startSetUp } from '../../shared/stages/setUp/form'
import { footLabel, numberLabel } from '../../shared/stages/setUp/words'
import { placeName } from '../../shared/stages/measure/drawing'
import { sheetOrder, sheetPositions } from '../../shared/stages/measure/sheetOrder'
import { hourName } from '../../shared/wording/directions'
import { clockFace } from '../../shared/wording/clockFace'
import { figure, pack, UNIT_NAMES } from '../../shared/wording/figures'
import { circleName } from '../../shared/wording/circles'
import { block, figures, QUIET, when } from './blocks'
import type { Reported } from './section'
import { ruled, sheetPage } from './sheetPage'

/** Sets that a sheet has rows for: a second one is always wanted. */
const SETS = 3
/** Room to write a figure at the desk. */
const TAPED_ROW = 16.5

/**
 * A data sheet of one method to write on at the machine: what is taped, then the figures of three sets in the order
 * that quick entry takes them. Filled with what the job knows already, or blank.
 */
export const sheetDocument = (
  state: MeasuredState,
  report: Reported,
  method: OfferedMethod,
  filled: boolean,
  /** The coupling it is for, where a machine has several. */
  coupling = '',
): TDocumentDefinitions => {
  const { telling, personName } = report
  const { words, units } = telling
  const w = reportWords(words).sheet
  const form = METHOD_FORMS[method]
  const same = state.setUp?.how.method === method ? state.setUp : null
  const context = { machine: state.machine, last: same?.entry.payload ?? null, lastJob: null }
  const texts = same ? editSetUp(same.entry.payload, context, units) : startSetUp(context, units, method)
  const circles = form.circles(texts.choices)
  const positions = sheetPositions(form.reads, state.machine.drive)
  const known = (text: string | undefined, unit: string) => (filled && text ? `${text} ${unit}` : '')
  const unit = UNIT_NAMES[units]
  const taped: TableCell[][] = [
    ...numbersOf(method, state.machine).map((f): TableCell[] => [
      numberLabel(f, texts, telling),
      figures(known(texts.numbers[f.id], unit[f.measure])),
    ]),
    ...texts.feet.map((t, i): TableCell[] => [
      footLabel(i, state.machine, telling),
      figures(known(t, unit.distance)),
    ]),
    ...(texts.flange ? flangeBoxes(texts.flange) : []).map((box): TableCell[] => [
      flangeLabel(box, texts.flange?.told ?? 'circle', telling),
      figures(known(texts.flange?.[box], unit.distance)),
    ]),
    [setUpWords(words).view.graduation, figures(known(texts.graduation, unit.displacement))],
    ...(form.reads === 'dials'
      ? circles.map((c): TableCell[] => [setUpWords(words).afterTurn(circleName(c, telling)), ''])
      : []),
  ]
  const taken: readonly ReadingSet[] =
    filled && same ? state.latest.sets.map((s) => s.set).filter((s) => s.setUp === same) : []
  const order = sheetOrder(circles, positions, form.reads)
  const head = [
    '',
    ...positions.map((c) => (form.reads === 'values' && same ? placeName(same, c, telling) : hour(c))),
    ...(form.reads === 'dials' ? [w.afterTurn] : []),
  ]
  function hour(clock: number): string {
    return form.reads === 'values'
      ? directionsWords(words).planes[clock === 0 ? 'v' : 'h']
      : hourName(clock, telling)
  }
  const setTable = (n: number): Content => {
    const set = taken[n]
    const rows = circles.map((circle): TableCell[] => [
      circleName(circle, telling),
      ...order
        .filter((b) => b.circle === circle)
        .map((b): TableCell => {
          if (!set)
            return b.clock !== null && form.reads === 'dials' && b.clock === positions[0] ? figures('0') : ''
          const value =
            b.clock === null
              ? set.returned?.[circle]
              : set.read[circle]?.find((r) => r.clock === b.clock)?.value
          return value === undefined ? '' : figures(figure(value, 'displacement', units, { sign: true }))
        }),
    ])
    return {
      stack: [
        {
          text: set ? w.setTaken(n + 1, when(set.entry.madeAt), personName(set.entry.author)) : w.set(n + 1),
          bold: true,
        },
        ruled(
          ['*', ...head.slice(1).map(() => 62)],
          [head.map((h): TableCell => ({ text: h, color: QUIET })), ...rows],
        ),
      ],
      unbreakable: true,
    }
  }
  const title = [w.title(setsWords(words).methods[method]), coupling].filter(Boolean).join(', ')
  return sheetPage(report, title, unit.displacement, [
    block(
      w.taped,
      ruled(
        ['*', 110],
        [
          [
            { text: w.what, color: QUIET },
            { text: w.figure, color: QUIET },
          ],
          ...taped,
        ],
        TAPED_ROW,
      ),
    ),
    {
      text: w.order(circles.map((c) => circleName(c, telling).toLowerCase())),
      color: QUIET,
      margin: [0, 4, 0, 4],
    },
    ...Array.from({ length: SETS }, (_, n) => setTable(n)),
    ...('shape' in state ? [boltTable(state, report, filled)] : []),
    ...('tram' in state ? [drumTable(report)] : []),
    { text: safetyWords(words).turning, margin: [0, 6, 0, 0], color: QUIET },
  ])
}

/** Marks of the drum, and room for what the dial shows there before and after the blows. */
const drumTable = ({ telling }: Reported): Content => {
  const { sheet: w } = drumWords(telling.words)
  const marks = [0, 45, 90, 135, 180, 225, 270, 315]
  return {
    stack: [
      { text: w.turn, bold: true, margin: [0, 6, 0, 2] },
      ruled(
        ['*', ...marks.map(() => 46)],
        [
          [w.mark, ...marks.map((m) => clockFace(m))].map((h): TableCell => ({ text: h, color: QUIET })),
          ...[w.rim, w.again, w.face].map((name): TableCell[] => [name, ...marks.map(() => '')]),
        ],
        TAPED_ROW,
      ),
    ],
    unbreakable: true,
  }
}

/** The bolts of a flange, clockwise from the marked one: what lies there, and room for what goes in. */
const boltTable = (state: FlangeState, { telling }: Reported, filled: boolean): Content => {
  const f = flangeWords(telling.words)
  return {
    stack: [
      { text: `${f.found.title}, ${f.view.fromAbove}`, bold: true, margin: [0, 6, 0, 2] },
      ruled(
        ['*', 150, 150],
        [
          [f.report.bolt, f.report.wasThere, f.report.added].map((h): TableCell => ({
            text: h,
            color: QUIET,
          })),
          ...state.shape.bolts.map((b, i): TableCell[] => [
            clockFace(b.clock),
            filled ? figures(pack(state.leaves[i] ?? [], telling.units)) : '',
            '',
          ]),
        ],
        TAPED_ROW,
      ),
    ],
    unbreakable: true,
  }
}
