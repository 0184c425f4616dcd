import type { PairMoved } from '../../core/history/jobHistory'
import { offsetWords } from './directions'
import { figure } from './figures'
import type { Telling } from './telling'

/** A change below this is rounding. Millimetres. */
const NOTHING = 1e-6

/** What a job did at a pair, as its row tells it: raised left, raised right, pushed. */
export const movedFigures = ({ raised, pushed }: PairMoved, telling: Telling): string[] => {
  const up = (mm: number) =>
    Math.abs(mm) < NOTHING ? '' : figure(mm, 'displacement', telling.units, { sign: true })
  return [
    up(raised.left),
    up(raised.right),
    Math.abs(pushed) < NOTHING ? '' : offsetWords(pushed, 'h', telling),
  ]
}
