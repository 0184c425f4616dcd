import { findingsWords, setsWords, verdictsWords } from './en'
import type { MeasuredState } from '../../core/jobs/measured'
import type { Measurement } from '../../core/stages/measure/measurement'
import { firstSag, hasSag } from '../methods/forms'
import { figure } from './figures'
import type { Telling } from './telling'

/** What the sheet says of a round of readings. */
export const measurementFinding = (m: Measurement | undefined, { words }: Telling): string => {
  if (!m || m.sets.length === 0) return ''
  const w = setsWords(words)
  if (m.trust === 'agreed')
    return `${w.agree(m.used.length)}: ${verdictsWords(words)[m.judgement?.verdict ?? 'unknown'].toLowerCase()}`
  return `${w.count(m.sets.length)}. ${w.trust[m.trust]}`
}

/** What the sheet says of the set-up in force. */
export const findingOfSetUp = (
  { setUp }: Pick<MeasuredState, 'setUp'>,
  { words, units }: Telling,
): string => {
  if (!setUp) return ''
  const w = findingsWords(words).setUp
  const { why } = setUp.entry.payload
  if (!setUp.holdsZero) return why === '' ? w.missesZero : w.missesZeroWhy(why)
  return w.with(
    setsWords(words).methods[setUp.how.method],
    hasSag(setUp.how) && !setUp.flange ? figure(firstSag(setUp.how), 'displacement', units) : '',
  )
}
