import { tablesWords, verdictsWords } from '../../../shared/wording/en'
import type { ContentTable, TableCell } from 'pdfmake/interfaces'
import type { Judgement } from '../../../core/judge/judge'
import { signWord } from '../../../shared/wording/directions'
import { figure, UNIT_NAMES } from '../../../shared/wording/figures'
import { limitWords, quantityName } from '../../../shared/wording/quantities'
import type { Telling } from '../../../shared/wording/telling'
import { figures, grid, verdictCell, withWord } from '../blocks'

/** Every judged quantity as found beside as left, with its limit. */
export const judgedGrid = (
  found: Judgement | null,
  left: Judgement,
  rpm: number,
  telling: Telling,
): ContentTable => {
  const { units, words } = telling
  const t = tablesWords(words)
  const rows = left.quantities.map((q): TableCell[] => {
    const before = found?.quantities.find((b) => b.name === q.name)?.value ?? null
    const f = (x: number | null) => figure(x, q.kind, units, { sign: q.low !== 0 })
    return [
      quantityName(q.name, telling),
      withWord(figures(f(before)), signWord(q, before, telling)),
      withWord(figures(f(q.value), true), signWord(q, q.value, telling)),
      figures(limitWords(q, telling)),
      { text: UNIT_NAMES[units][q.kind], alignment: 'right' },
      verdictCell(q.verdict, verdictsWords(words)[q.verdict]),
    ]
  })
  return grid(['*', 66, 66, 58, 58, 62], [t.judgedAt(rpm), t.asFound, t.asLeft, t.limit, '', ''], rows)
}
