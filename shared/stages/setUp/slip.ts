import { setUpWords } from '../../wording/en'
import { distanceSlip } from '../../../core/setup/distanceSlip'
import { asking, NO_REMARK, type Remark } from '../../forms/typed'
import { figure } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'

/** What is odd about a taped distance beside a known one; nothing where nothing is. */
export const slipRemark = (mm: number, known: number, source: string, telling: Telling): Remark => {
  const { words, units } = telling
  const was = figure(known, 'distance', units, { unit: true })
  switch (distanceSlip(mm, known)) {
    case 'tenfold':
      return asking(setUpWords(words).tenfold(was, source))
    case 'feet-for-inches':
      return asking(setUpWords(words).feetForInches(was, source))
    case 'unit':
      return asking(setUpWords(words).unitSlip(was, source))
    case 'far-off':
      return asking(setUpWords(words).farOff(was, capital(source)))
    case null:
      return NO_REMARK
  }
}
