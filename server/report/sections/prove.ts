import {
  directionsWords,
  proveWords,
  tablesWords,
  verdictsWords,
  proofStepsWords,
} from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { MeasuredState } from '../../../core/jobs/measured'
import type { ProofRow } from '../../../core/stages/prove/checkProof'
import { figure, UNIT_NAMES } from '../../../shared/wording/figures'
import { gapWindow, hubGap, openedWords, strainWords } from '../../../shared/wording/prove'
import { quantityName } from '../../../shared/wording/quantities'
import { capital } from '../../../shared/wording/capital'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Rotation, gap, coupled against uncoupled, and what was confirmed before the guard went on; nothing where nobody began. */
export const proved: Section<MeasuredState> = (state, { telling, personName }) => {
  const { proof, skips } = state
  const { facts, gap, strain, rows } = proof
  const { words, units, footNames } = telling
  const w = proveWords(words)
  const begun = facts.rotation ?? facts.madeUp ?? facts.confirmed[0]
  if (!begun) return []
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const names = (stands: ProofRow['stands']) =>
    rows
      .filter((r) => r.stands === stands)
      .map((r) => proofStepsWords(words)[r.step].name.toLowerCase())
      .join(', ')
  const lines: string[] = []
  const seen = facts.rotation?.payload.seen
  if (facts.rotation && (seen === 'right' || seen === 'wrong'))
    lines.push(w.report.row(w.report.rotation[seen], by(facts.rotation)))
  lines.push(...openedWords(state, telling))
  if (facts.madeUp) {
    const felt = gap ? hubGap(gap.value, telling) : ''
    lines.push(w.report.row(w.report.made(felt), by(facts.madeUp)))
    if (gap?.verdict === 'out') lines.push(w.gapOut(felt, gapWindow(gap, telling)))
  }
  for (const c of facts.confirmed)
    if (c.payload.how === 'done')
      lines.push(w.report.row(proofStepsWords(words)[c.payload.point].name, by(c)))
  const [lacking, left] = [names('not-here'), names('todo')]
  if (lacking) lines.push(w.report.notHere(lacking))
  if (left && !skips.once.has('prove')) lines.push(w.report.open(left))
  const signed = (x: number | null, kind: 'displacement' | 'slope', strong = false) =>
    figures(figure(x, kind, units, { sign: true }), strong)
  const strained: Content[] = strain
    ? [
        {
          text: strain.strained ? w.strained(strainWords(strain, state, telling)) : w.unstrained,
          bold: true,
        },
        grid(
          ['*', 66, 66, 50, 70],
          ['', w.report.columns.difference, tablesWords(words).limit, '', ''],
          strain.quantities.map((q): TableCell[] => [
            quantityName(q.name, telling),
            signed(q.value, q.kind, true),
            figures(q.limit === null ? '–' : figure(q.limit, q.kind, units)),
            { text: UNIT_NAMES[units][q.kind], alignment: 'right' },
            q.limit === null
              ? ''
              : verdictCell(q.over ? 'out' : 'in', verdictsWords(words)[q.over ? 'out' : 'in']),
          ]),
        ),
        { text: w.limit, color: QUIET },
        ...(strain.strained && strain.plans.length > 0
          ? [
              grid(
                ['*', 90, 90, 66],
                [w.view.columns.foot, w.view.columns.byOpen, w.view.columns.byMadeUp, w.view.columns.wrongBy],
                strain.plans.flatMap((p, i) =>
                  (['v', 'h'] as const).map((plane): TableCell[] => [
                    `${capital(footNames(p.id))}, ${directionsWords(words).planes[plane]}`,
                    signed(p.uncoupled[plane], 'displacement'),
                    signed(p.coupled[plane], 'displacement'),
                    signed(strain.feet[i]?.moveError[plane] ?? null, 'displacement'),
                  ]),
                ),
              ),
            ]
          : []),
      ]
    : []
  return [block(w.report.title, ...strained, ...(lines.length > 0 ? [{ ul: lines }] : []))]
}
