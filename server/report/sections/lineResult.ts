import { degrees, gapFigure } from '../../../shared/wording/figures'
import { beltsWords, reportWords, tablesWords, verdictsWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { BeltState } from '../../../core/jobs/belt'
import { diagnosisOf } from '../../../core/stages/lineUp/line'
import { lineFigure, lineLimit, lineLimitSources } from '../../../shared/wording/lines'
import { toCore } from '../../../core/units/unitSystem'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Offset, turn, tilt and fleet of the sheaves, as found against as left. */
export const lineResult: Section<Pick<BeltState, 'asFound' | 'asLeft' | 'machine'>> = (
  state,
  { telling },
) => {
  const { asFound, asLeft, machine } = state
  const w = beltsWords(telling.words)
  const { result } = reportWords(telling.words)
  const t = tablesWords(telling.words)
  if (!asLeft) return [block(result.name, { text: result.sheavesNotRead })]
  const rows = asLeft.quantities.map((q): TableCell[] => {
    const before = asFound?.quantities.find((b) => b.name === q.name)
    return [
      w.quantities[q.name],
      figures(before ? lineFigure(before, telling) : '–'),
      figures(lineFigure(q, telling), true),
      figures(lineLimit(q, telling)),
      q.verdict ? verdictCell(q.verdict, verdictsWords(telling.words)[q.verdict]) : '',
    ]
  })
  return [
    block(result.grooves, grid(['*', 70, 70, 70, 70], ['', t.asFound, t.asLeft, t.limit, ''], rows), {
      text: result.limits(lineLimitSources(machine, telling)),
      color: QUIET,
    }),
  ]
}

/** Each check of the line, what it read, and what was done about it. */
export const lineRounds: Section<Pick<BeltState, 'alignment' | 'lines'>> = (
  { alignment, lines },
  { telling, personName },
) =>
  alignment.flatMap((round, i): Content[] => {
    const w = reportWords(telling.words).line
    const { diagnoses, done } = beltsWords(telling.words)
    const by = (e: { readonly madeAt: string; readonly author: string }) =>
      `${when(e.madeAt)}, ${personName(e.author)}`
    const line = lines[i]
    const parts: string[] = []
    if (round.contacts) {
      const e = round.contacts
      parts.push(w.contacts(by(e), w.sheaves[e.payload.edgeOn], diagnoses[diagnosisOf(e)]))
    }
    if (round.reading) {
      const { payload: p } = round.reading
      const g = (x: number) => gapFigure(toCore(x, 'distance', p.units), telling, true)
      parts.push(
        w.gaps(by(round.reading), w.faces[p.edgeSide], w.sheaves[p.edgeOn], g(p.p1), g(p.p2), g(p.w)) +
          (p.reference ? w.rims(g(p.reference.r1), g(p.reference.r2)) : '') +
          (p.tilt ? w.shifted(g(p.tilt.g12), g(p.tilt.g6)) : w.tiltNotRead) +
          (p.halfTurn ? w.halfTurn(g(p.halfTurn.p1), g(p.halfTurn.p2)) : '') +
          (p.grooves ? w.grooves(p.grooves.motor, p.grooves.driven) : '') +
          w.by[p.by ?? 'edge'],
      )
    }
    if (line)
      parts.push(
        w.came(gapFigure(Math.abs(line.errors.offset), telling, true), degrees(Math.abs(line.errors.turn))),
      )
    if (round.correction) {
      const c = round.correction
      parts.push(
        w.corrected(by(c), c.payload.steps.map((s) => done[s].toLowerCase()).join(', '), c.payload.remark),
      )
    }
    if (parts.length === 0) return []
    return [block(i === 0 ? w.asFound : w.after(i), ...parts.map((text): Content => ({ text })))]
  })
