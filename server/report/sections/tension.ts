import type { Content, TableCell } from 'pdfmake/interfaces'
import type { BeltState } from '../../../core/jobs/belt'
import type { TensionRead } from '../../../core/stages/tension/tension'
import { reportWords, tablesWords, tensionWords, verdictsWords } from '../../../shared/wording/en'
import { forceFigure, percent } from '../../../shared/wording/forces'
import {
  bandSourceWords,
  beltName,
  meaningOfTensionRead,
  readingFigure,
} from '../../../shared/wording/tension'
import type { Telling } from '../../../shared/wording/telling'
import { toCore } from '../../../core/units/unitSystem'
import { gapFigure } from '../../../shared/wording/figures'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** The first reading of the job, where there was another behind it. */
const foundOf = ({
  tensions,
  tensionLeft,
}: Pick<BeltState, 'tensions' | 'tensionLeft'>): TensionRead | null => {
  const first = tensions.find((t) => t !== null) ?? null
  return first === tensionLeft ? null : first
}

/** Each belt's tension, mean and spread, as found against as left, and where the band comes from. */
export const tensionResult: Section<Pick<BeltState, 'tensions' | 'tensionLeft' | 'machine'>> = (
  state,
  { telling },
) => {
  const left = state.tensionLeft
  if (!left) return []
  const w = reportWords(telling.words).tension
  const t = tablesWords(telling.words)
  const v = tensionWords(telling.words).view
  const found = foundOf(state)
  const f = (x: number | null | undefined) =>
    x === null || x === undefined ? '–' : forceFigure(x, telling.units, true)
  const word = (x: 'in' | 'edge' | 'out' | null) => (x ? verdictCell(x, verdictsWords(telling.words)[x]) : '')
  const limit = left.band
    ? `${forceFigure(left.band.tension[0], telling.units)}–${forceFigure(left.band.tension[1], telling.units)}`
    : '–'
  const rows: TableCell[][] = [
    ...left.belts.map((b, i): TableCell[] => [
      beltName(i, left.belts.length, telling),
      figures(f(found?.belts[i]?.tension)),
      figures(b.tension === null ? readingFigure(left, b.value, telling, true) : f(b.tension), true),
      figures(limit),
      word(b.verdict),
    ]),
    ...(left.belts.length > 1
      ? [
          [
            v.spread,
            figures(found ? percent(found.spread) : '–'),
            figures(percent(left.spread), true),
            figures(percent(left.spreadLimit)),
            word(left.unmatched ? 'out' : 'in'),
          ] as TableCell[],
        ]
      : []),
  ]
  return [
    block(
      w.name(tensionWords(telling.words).ages[left.entry.payload.age].toLowerCase()),
      grid(['*', 70, 70, 70, 70], ['', t.asFound, t.asLeft, t.limit, ''], rows),
      {
        text: `${meaningOfTensionRead(left, telling).headline} ${bandSourceWords(left, state, telling)}`,
        color: QUIET,
      },
    ),
  ]
}

/** How the set was read, with what it was read at. */
const schoolWords = (read: TensionRead, telling: Telling): string => {
  const { read: by, units } = read.entry.payload
  const { schools } = tensionWords(telling.words)
  if (by.by === 'force')
    return `${schools.force}, ${gapFigure(toCore(by.deflection, 'distance', units), telling, true)}`
  if (by.by === 'deflection')
    return `${schools.deflection}, ${forceFigure(toCore(by.force, 'force', units), telling.units, true)}`
  return schools[by.by]
}

/** Each reading of the set, and the turns that followed it. */
export const tensionRounds: Section<Pick<BeltState, 'rounds' | 'tensions'>> = (
  { rounds, tensions },
  { telling, personName },
) => {
  const w = reportWords(telling.words).tension
  const lines = rounds.flatMap(({ reading, adjusted }, i): string[] => {
    const read = tensions[i]
    return [
      ...(reading && read
        ? [
            w.read(
              `${when(reading.madeAt)}, ${personName(reading.author)}`,
              schoolWords(read, telling),
              read.belts.map((b) => readingFigure(read, b.value, telling)).join(', '),
              read.mean === null ? '' : forceFigure(read.mean, telling.units, true),
            ),
          ]
        : []),
      ...(adjusted
        ? [
            w.turned(
              `${when(adjusted.madeAt)}, ${personName(adjusted.author)}`,
              String(adjusted.payload.sheaveEnd).replace('-', '−'),
              String(adjusted.payload.farEnd).replace('-', '−'),
            ),
          ]
        : []),
    ]
  })
  return lines.length === 0 ? [] : [block(w.rounds, ...lines.map((text): Content => ({ text })))]
}
