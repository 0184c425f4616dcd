import type { Content, TableCell } from 'pdfmake/interfaces'
import type { BeltState } from '../../../core/jobs/belt'
import { diagnosisOf } from '../../../core/stages/lineUp/line'
import { degrees, gapFigure, lineFigure, lineLimit } from '../../../shared/wording/lines'
import { toCore } from '../../../core/units/unitSystem'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Offset, turn, tilt and fleet of the sheaves, as found against as left. */
export const lineResult: Section<Pick<BeltState, 'asFound' | 'asLeft' | 'machine'>> = (
  state,
  { telling },
) => {
  const { asFound, asLeft, machine } = state
  const w = telling.words.belts
  if (!asLeft) return [block('Result', { text: 'The sheaves were not read.' })]
  const rows = asLeft.quantities.map((q): TableCell[] => {
    const before = asFound?.quantities.find((b) => b.name === q.name)
    return [
      w.quantities[q.name],
      figures(before ? lineFigure(before, telling) : '–'),
      figures(lineFigure(q, telling), true),
      figures(lineLimit(q, telling)),
      q.verdict ? verdictCell(q.verdict, telling.words.verdicts[q.verdict]) : '',
    ]
  })
  const own = machine.limits.offset !== null || machine.limits.angle !== null
  const limits = own ? w.limits.own(machine.limits.source) : w.limits.starter(w.kinds[machine.belts.kind])
  return [
    block(
      'Result, groove to groove',
      grid(['*', 70, 70, 70, 70], ['', 'as found', 'as left', 'limit', ''], rows),
      { text: `Limits: ${limits}`, color: QUIET },
    ),
  ]
}

/** Each check of the line, what it read, and what was done about it. */
export const lineRounds: Section<Pick<BeltState, 'alignment' | 'lines'>> = (
  { alignment, lines },
  { telling, personName },
) =>
  alignment.flatMap((round, i): Content[] => {
    const w = telling.words.belts
    const line = lines[i]
    const parts: string[] = []
    if (round.contacts) {
      const e = round.contacts
      parts.push(
        `Four contacts, ${when(e.madeAt)}, ${personName(e.author)}, edge on the ${e.payload.edgeOn} sheave: ${w.diagnoses[diagnosisOf(e)]}`,
      )
    }
    if (round.reading) {
      const { payload: p, madeAt, author } = round.reading
      const g = (x: number) => gapFigure(toCore(x, 'distance', p.units), telling, true)
      parts.push(
        `Gaps, ${when(madeAt)}, ${personName(author)}, edge on the ${p.edgeSide} face of the ${p.edgeOn} sheave: near rim ${g(p.p1)}, far rim ${g(p.p2)}, ${g(p.w)} apart.` +
          (p.tilt ? ` Shifted up ${g(p.tilt.g12)}, down ${g(p.tilt.g6)}.` : ' Tilt was not read.'),
      )
    }
    if (line)
      parts.push(
        `Offset ${gapFigure(Math.abs(line.errors.offset), telling, true)}, turn ${degrees(Math.abs(line.errors.turn))}.`,
      )
    if (round.correction) {
      const c = round.correction
      parts.push(
        `Corrected ${when(c.madeAt)}, ${personName(c.author)}: ${c.payload.steps.map((s) => w.done[s].toLowerCase()).join(', ')}. ${c.payload.remark}`,
      )
    }
    if (parts.length === 0) return []
    return [
      block(
        i === 0 ? 'Line as found' : `Line after correction ${i}`,
        ...parts.map((text): Content => ({ text })),
      ),
    ]
  })
