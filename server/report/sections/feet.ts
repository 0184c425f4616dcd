import { shortFoot } from '../../../shared/wording/footPlaces'
import { softFootWords, verdictsWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import { FOOT_NAMES } from '../../../core/feet/softFoot'
import type { FootedState } from '../../../core/jobs/footed'
import type { FootRef } from '../../../core/stages/feet/entries'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { CORNERS } from '../../../shared/stages/feet/form'
import { figure, pack } from '../../../shared/wording/figures'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Each round of the feet: gaps with the bolts loose, rises, and the one foot that was filled. */
export const feetRounds: Section<Pick<FootedState, 'feetCheck' | 'machine'>> = (
  { feetCheck, machine },
  { telling, personName },
) => {
  const { words, units } = telling
  const w = softFootWords(words)
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const name = (f: FootRef) => shortFoot(machine, f, telling)
  const shown = (t: number, was: UnitSystem) => figure(toCore(t, 'displacement', was), 'displacement', units)
  const read = feetCheck.readings.flatMap((r, i) => (r ? [{ r, i }] : []))
  const body: Content[] = []
  if (read.length > 0) {
    const rows = read.map(({ r, i }): TableCell[] => [
      w.report.round(i + 1, r.round.rises ? by(r.round.rises) : ''),
      ...FOOT_NAMES.map((f) => figures(figure(r.rises[f], 'displacement', units), r.rises[f] > r.limit)),
      figures(figure(r.twist, 'displacement', units)),
      verdictCell(r.verdict, verdictsWords(words)[r.verdict]),
    ])
    body.push(grid(['*', 38, 38, 38, 38, 38, 62], ['', ...FOOT_NAMES, w.report.twist, ''], rows), {
      text: w.view.limit(figure(read[0]?.r.limit ?? 0, 'displacement', units, { unit: true })),
      color: QUIET,
    })
  }
  feetCheck.rounds.forEach((round, i) => {
    if (round.gaps && round.gaps !== feetCheck.rounds[i - 1]?.gaps) {
      const { gaps, units: was } = round.gaps.payload
      const list = gaps.map((g) =>
        w.report.gap(name(g), CORNERS.map((c) => shown(g.corners[c], was)).join(' / ')),
      )
      body.push({
        text: `${by(round.gaps)}. ${list.length === 0 ? w.report.noGaps : w.report.gaps(list.join('; '))}`,
      })
    }
    if (round.rises?.payload.remark) body.push({ text: w.report.remark(round.rises.payload.remark) })
    if (round.slack)
      body.push({
        text: `${by(round.slack)}, ${w.report.pipeSlack}: ${round.slack.payload.rises
          .map((x) => `${name(x)} ${shown(x.rise, round.slack?.payload.units ?? units)}`)
          .join(', ')}.`,
      })
    if (round.filled) {
      const { change, units: was, why } = round.filled.payload
      const mm = (l: readonly number[]) => l.map((t) => toCore(t, 'displacement', was))
      const done = [
        ...(change.takenOut.length > 0 ? [w.report.out(pack(mm(change.takenOut), units))] : []),
        ...(change.putIn.length > 0 ? [w.report.in(pack(mm(change.putIn), units))] : []),
      ].join(', ')
      body.push({
        text: w.report.filled(by(round.filled), name(change), done) + (why ? w.report.why(why) : ''),
      })
    }
  })
  return body.length === 0 ? [] : [block(w.report.name, ...body)]
}
